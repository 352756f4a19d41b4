package org.zeststack.core.naming;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.rule.Bound;

/**
 * Reserved names of Directive 2000/36/EC, Annex I A (values from memory), in per cent of dry matter of the chocolate. Dry cocoa
 * is cocoa butter and dry non-fat cocoa; dry milk is milk fat, lactose, protein and ash; those of cocoa stand in its dry non-fat part already. Local law and
 * its own text decide.
 */
public enum ChocolateName {
    CHOCOLATE("chocolate", 35, 18, 14, 0, 0, 0),
    COUVERTURE("couverture chocolate", 35, 31, 2.5, 0, 0, 0),
    MILK("milk chocolate", 25, 0, 2.5, 14, 3.5, 25),
    MILK_COUVERTURE("couverture milk chocolate", 25, 0, 2.5, 14, 3.5, 31),
    WHITE("white chocolate", 0, 20, 0, 14, 3.5, 0);

    public static final String SOURCE = "Directive 2000/36/EC, Annex I (values from memory); local law decides.";

    /** Share of a filled chocolate that its outside must at least be. */
    public static final Bound FILLED_OUTSIDE = Bound.of("filled-chocolate");

    private static final double ROUNDING = 0.05;

    private final String words;
    private final double dryCocoa;
    private final double cocoaButter;
    private final double nonFatCocoa;
    private final double dryMilk;
    private final double milkFat;
    private final double fat;

    ChocolateName(
            String words,
            double dryCocoa,
            double cocoaButter,
            double nonFatCocoa,
            double dryMilk,
            double milkFat,
            double fat) {
        this.words = words;
        this.dryCocoa = dryCocoa;
        this.cocoaButter = cocoaButter;
        this.nonFatCocoa = nonFatCocoa;
        this.dryMilk = dryMilk;
        this.milkFat = milkFat;
        this.fat = fat;
    }

    public String words() {
        return words;
    }

    /** What keeps a mass from the name, one sentence each; empty where it may bear it. */
    public List<String> lacks(Composition mass) {
        double hundredth = (mass.totalGrams() - mass.waterGrams()) / 100;
        double butter = mass.grams(Part.COCOA_BUTTER) / hundredth;
        double nonFat = mass.grams(Part.NONFAT_COCOA) / hundredth;
        List<String> lacks = new ArrayList<>();
        least(lacks, "dry cocoa", butter + nonFat, dryCocoa);
        least(lacks, "cocoa butter", butter, cocoaButter);
        least(lacks, "dry non-fat cocoa", nonFat, nonFatCocoa);
        least(lacks, "dry milk", milkGrams(mass) / hundredth, dryMilk);
        least(lacks, "milk fat", mass.grams(Part.MILK_FAT) / hundredth, milkFat);
        least(
                lacks,
                "fat of cocoa and milk",
                (mass.grams(Part.COCOA_BUTTER) + mass.grams(Part.MILK_FAT)) / hundredth,
                fat);
        return lacks;
    }

    private static double milkGrams(Composition mass) {
        boolean milk = mass.grams(Part.MILK_FAT) + mass.grams(Part.LACTOSE) > 0;
        return milk
                ? mass.grams(Part.MILK_FAT) + mass.grams(Part.LACTOSE) + mass.grams(Part.PROTEIN) + mass.grams(Part.ASH)
                : 0;
    }

    private static void least(List<String> lacks, String what, double percent, double leastPercent) {
        if (percent < leastPercent - ROUNDING) {
            lacks.add("%s %s %%, needed %s %%".formatted(what, Numbers.fixed(percent, 1), Numbers.plain(leastPercent)));
        }
    }
}
