package org.zeststack.core.naming;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.quantity.Say;

/** Directive 2000/36/EC, Annex I (values from memory): each minimum met exactly, and missed by one. */
public class ChocolateNameTest {

    private static Composition of(double butter, double nonFat, double milkFat, double lactose, double protein) {
        double rest = 100 - butter - nonFat - milkFat - lactose - protein;
        return Composition.of(
                Map.of(
                        Part.COCOA_BUTTER, butter,
                        Part.NONFAT_COCOA, nonFat,
                        Part.MILK_FAT, milkFat,
                        Part.LACTOSE, lactose,
                        Part.PROTEIN, protein,
                        Part.SUCROSE, rest),
                42);
    }

    @DataProvider
    public Object[][] masses() {
        return new Object[][] {
            {ChocolateName.CHOCOLATE, of(21, 14, 0, 0, 3.5), List.of()},
            {ChocolateName.CHOCOLATE, of(20, 14, 0, 0, 3.5), List.of("dry cocoa 34.0 %, needed 35 %")},
            {ChocolateName.CHOCOLATE, of(17, 19, 0, 0, 4), List.of("cocoa butter 17.0 %, needed 18 %")},
            {ChocolateName.CHOCOLATE, of(24, 13, 0, 0, 3), List.of("dry non-fat cocoa 13.0 %, needed 14 %")},
            {ChocolateName.COUVERTURE, of(31, 4, 0, 0, 1), List.of()},
            {ChocolateName.COUVERTURE, of(30, 6, 0, 0, 1), List.of("cocoa butter 30.0 %, needed 31 %")},
            {ChocolateName.MILK, of(21.5, 3.5, 3.5, 6, 4.5), List.of()},
            {ChocolateName.MILK, of(21.5, 3.5, 3.5, 6, 4.4), List.of("dry milk 13.9 %, needed 14 %")},
            {ChocolateName.MILK, of(22, 3, 3, 6, 5.75), List.of("milk fat 3.0 %, needed 3.5 %")},
            {ChocolateName.MILK_COUVERTURE, of(27, 3, 4, 6, 4.75), List.of()},
            {
                ChocolateName.MILK_COUVERTURE,
                of(25.5, 3, 4, 6, 4.75),
                List.of("fat of cocoa and milk 29.5 %, needed 31 %")
            },
            {ChocolateName.WHITE, of(20, 0, 4, 6, 4), List.of()},
            {ChocolateName.WHITE, of(19, 0, 4, 6, 4), List.of("cocoa butter 19.0 %, needed 20 %")},
            {ChocolateName.WHITE, of(20, 0, 4, 5, 4), List.of("dry milk 13.0 %, needed 14 %")},
        };
    }

    /** What milk brings besides fat, sugar and protein is its ash. */
    @Test
    public void theAshOfMilkIsDryMilk() {
        Map<Part, Double> white = Map.of(
                Part.COCOA_BUTTER, 20.0,
                Part.MILK_FAT, 4.0,
                Part.LACTOSE, 5.0,
                Part.PROTEIN, 4.0,
                Part.ASH, 1.0,
                Part.SUCROSE, 66.0);
        assertEquals(ChocolateName.WHITE.lacks(Composition.of(white, 42)), List.of());
    }

    @Test(dataProvider = "masses")
    public void minimaOfTheDirective(ChocolateName name, Composition mass, List<String> lacks) {
        assertEquals(name.lacks(mass).stream().map(Say::metric).toList(), lacks);
    }
}
