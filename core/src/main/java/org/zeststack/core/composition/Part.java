package org.zeststack.core.composition;

/** The parts that a mass is divided into. They do not overlap: together they are the whole mass. */
public enum Part {
    WATER,
    SUCROSE,
    GLUCOSE,
    FRUCTOSE,
    LACTOSE,
    MALTOSE,
    /** Dry solids of glucose syrup, described by their dextrose equivalent. */
    SYRUP_SOLIDS,
    /** Sorbitol and the like. */
    POLYOLS,
    GLYCEROL,
    ISOMALT,
    STARCH,
    FIBRE,
    PROTEIN,
    COCOA_BUTTER,
    MILK_FAT,
    OTHER_FAT,
    /** Cocoa solids other than cocoa butter. */
    NONFAT_COCOA,
    ALCOHOL,
    ACIDS,
    SALT,
    ASH;

    /** Whether the part is a fat. */
    public boolean isFat() {
        return this == COCOA_BUTTER || this == MILK_FAT || this == OTHER_FAT;
    }

    /** Whether the part dissolves in the water of a confectionery mass and lowers its activity. */
    public boolean dissolves() {
        return switch (this) {
            case SUCROSE, GLUCOSE, FRUCTOSE, LACTOSE, MALTOSE, SYRUP_SOLIDS, POLYOLS, GLYCEROL, ISOMALT, SALT -> true;
            default -> false;
        };
    }
}
