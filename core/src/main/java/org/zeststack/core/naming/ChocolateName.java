package org.zeststack.core.naming;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;

/**
 * Reserved names of Directive 2000/36/EC, Annex I A, by shares of the dry matter of the chocolate that stand in the table of bounds. Dry cocoa
 * is cocoa butter and dry non-fat cocoa; dry milk is milk fat, lactose, protein and ash; those of cocoa stand in its dry non-fat part already. Local law and
 * its own text decide.
 */
public enum ChocolateName {
    CHOCOLATE("chocolate", "chocolate"),
    COUVERTURE("couverture chocolate", "couverture"),
    MILK("milk chocolate", "milk"),
    MILK_COUVERTURE("couverture milk chocolate", "milk-couverture"),
    WHITE("white chocolate", "white");

    private static final double ROUNDING = 0.0005;

    private final String words;
    private final String code;

    ChocolateName(String words, String code) {
        this.words = words;
        this.code = code;
    }

    public String words() {
        return words;
    }

    /**
     * The kind of chocolate that a dry mass is by what it is made of: dark, milk or white, with sugar and hardly any other fat;
     * empty where it is none.
     */
    public static String kindOf(Composition mass) {
        double total = mass.totalGrams();
        boolean plain = mass.grams(Part.SUCROSE) > 0
                && mass.grams(Part.OTHER_FAT)
                        <= Bounds.shipped().of("other-fats").greatest() * total
                && mass.waterGrams() < Bounds.shipped().of("dry-mass").least() * total;
        if (!plain) {
            return "";
        }
        return CHOCOLATE.lacks(mass).isEmpty()
                ? "dark"
                : MILK.lacks(mass).isEmpty() ? "milk" : WHITE.lacks(mass).isEmpty() ? "white" : "";
    }

    /** What keeps a mass from the name, one sentence each; empty where it may bear it. */
    public List<String> lacks(Composition mass) {
        double dry = mass.totalGrams() - mass.waterGrams();
        double butter = mass.grams(Part.COCOA_BUTTER) / dry;
        double nonFat = mass.grams(Part.NONFAT_COCOA) / dry;
        double milkFat = mass.grams(Part.MILK_FAT) / dry;
        List<String> lacks = new ArrayList<>();
        least(lacks, "dry cocoa", "dry-cocoa", butter + nonFat);
        least(lacks, "cocoa butter", "cocoa-butter", butter);
        least(lacks, "dry non-fat cocoa", "nonfat-cocoa", nonFat);
        least(lacks, "dry milk", "dry-milk", milkGrams(mass) / dry);
        least(lacks, "milk fat", "milk-fat", milkFat);
        least(lacks, "fat of cocoa and milk", "cocoa-and-milk-fat", butter + milkFat);
        return lacks;
    }

    private static double milkGrams(Composition mass) {
        boolean milk = mass.grams(Part.MILK_FAT) + mass.grams(Part.LACTOSE) > 0;
        return milk
                ? mass.grams(Part.MILK_FAT) + mass.grams(Part.LACTOSE) + mass.grams(Part.PROTEIN) + mass.grams(Part.ASH)
                : 0;
    }

    private void least(List<String> lacks, String what, String part, double share) {
        Bounds.shipped()
                .find("name-" + code + "-" + part)
                .filter(bound -> share < bound.least() - ROUNDING)
                .ifPresent(bound ->
                        lacks.add("%s %s, needed %s".formatted(what, Say.percent(100 * share, 1), bound.leastWords())));
    }
}
