package org.zeststack.core.formula;

import java.util.Optional;

/** Families of formulas; each has a material that draws it in every picture. */
public enum Family {
    CARAMEL("Caramel, cooked", "caramel", Kind.CARAMEL),
    CARAMEL_MELTED("Caramel, melted down from bought", "caramel", Kind.CARAMEL),
    NOUGAT("Nougat on whites", "nougat", Kind.NOUGAT),
    NOUGAT_QUICK("Nougat, whipped quick", "nougat", Kind.NOUGAT),
    NOUGAT_SLAB("Nougat, chewy slab", "nougat", Kind.NOUGAT),
    GANACHE("Ganache on cream", "ganache", Kind.GANACHE),
    GANACHE_FRUIT("Ganache on fruit", "ganache", Kind.GANACHE),
    GANACHE_WATER("Ganache on water or tea", "ganache", Kind.GANACHE),
    GANACHE_SPIRIT("Ganache with spirit", "ganache", Kind.GANACHE),
    GANACHE_CARAMEL("Ganache, caramelised", "ganache", Kind.GANACHE),
    GANACHE_WHIPPED("Ganache, whipped", "ganache", Kind.GANACHE),
    NUT_PASTE("Nut or seed paste", "nut-paste", Kind.NUT),
    NUT_TEMPERED("Nut filling, tempered", "nut-paste", Kind.NUT),
    NUT_CREAM("Nut cream, whipped without water", "nut-paste", Kind.NUT),
    GEL("Fruit gel", "gel", Kind.GEL),
    CRUNCH("Crunch or crumb", "crunch", Kind.DRY),
    PRALINE_POWDER("Praline powder", "crunch", Kind.DRY),
    PRALINE_DISC("Praline disc", "crunch", Kind.DRY),
    PUFFED("Grain in a binder", "crunch", Kind.BINDER),
    BISCUIT_PRESSED("Base, pressed", "biscuit", Kind.BISCUIT, new Density(0.75, 0.95, 1.15)),
    BISCUIT_ROLLED("Biscuit, rolled", "biscuit", Kind.BISCUIT, new Density(0.5, 0.65, 0.8)),
    CRUMBLE("Crumble, baked", "biscuit", Kind.BISCUIT, new Density(0.45, 0.6, 0.8)),
    KNEADED("Uncooked kneaded centre", "fruit", Kind.KNEADED),
    FONDANT("Fondant or syrup", "white", Kind.FONDANT),
    INCLUSION("Inclusion mix", "crunch", Kind.DRY),
    COATING_MIX("Coating mix with grain", "crunch", Kind.COATING),
    COLOUR("Coloured butter, mixed", "coloured", Kind.OTHER),
    OTHER("Other filling", "crunch", Kind.OTHER);

    /** Families that share their judgements. */
    public enum Kind {
        CARAMEL,
        NOUGAT,
        GANACHE,
        NUT,
        GEL,
        DRY,
        BINDER,
        BISCUIT,
        KNEADED,
        FONDANT,
        COATING,
        OTHER
    }

    private final String title;
    private final String material;
    private final Kind kind;
    private final Density baked;

    Family(String title, String material, Kind kind) {
        this(title, material, kind, null);
    }

    Family(String title, String material, Kind kind, Density baked) {
        this.title = title;
        this.material = material;
        this.kind = kind;
        this.baked = baked;
    }

    /** How dense it usually comes out of the oven (common practice, no source); empty where it is not baked. */
    public Optional<Density> baked() {
        return Optional.ofNullable(baked);
    }

    public String title() {
        return title;
    }

    public String material() {
        return material;
    }

    public Kind kind() {
        return kind;
    }
}
