package org.zeststack.core.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.stack.Bars.CARAMEL;
import static org.zeststack.core.stack.Bars.DARK;
import static org.zeststack.core.stack.Bars.TAPERED;
import static org.zeststack.core.stack.Bars.back;
import static org.zeststack.core.stack.Bars.codes;
import static org.zeststack.core.stack.Bars.moulded;
import static org.zeststack.core.stack.Bars.shell;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.formula.Density;
import org.zeststack.core.formula.Family;
import org.zeststack.core.ingredient.Nature;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;

/** What touches what, and what is what: a call looks at what is there. Facts of the trade: common practice, no source. */
public class ContactTest {

    private static final BarLayer FILL = BarLayer.rest(LayerKind.FILLING, CARAMEL);
    private static final BarLayer ALMONDS = BarLayer.grams(LayerKind.INCLUSION, "almond-roasted", 5);
    private static final BarLayer RICE = BarLayer.grams(LayerKind.INCLUSION, "rice-crisped", 1);

    /** A crisp disc of flakes with so much cocoa butter around them. */
    static BarStack disc(double cocoaButter) {
        Material disc = new Material(
                "disc",
                "Crisp disc",
                "crunch",
                Density.exactly(1.1),
                Composition.of(Map.of(Part.COCOA_BUTTER, 100 * cocoaButter, Part.STARCH, 100 - 100 * cocoaButter), 42),
                0.25,
                true,
                "",
                false,
                Nature.PLAIN,
                false,
                Family.Kind.DRY,
                0,
                List.of(),
                "",
                null,
                null);
        Map<String, Material> materials = new HashMap<>(Bars.MATERIALS);
        materials.put("disc", disc);
        BarLayer insert = BarLayer.mm(LayerKind.INSERT, "disc", 0)
                .with(new BarLayer.Insert(BarLayer.Shape.BAR, 90, 16, 3, 0, 0, 0, 0));
        return BarStack.of(
                Bar.of(Build.MOULDED, new Body.Moulded(1, false), List.of(shell(1.5), insert, FILL, back(2))),
                Parts.of(TAPERED, materials).judgedBy(Bars.judgedBy));
    }

    @Test
    public void whatChocolateWrapsStaysCrisp() {
        assertTrue(codes(disc(0.05)).contains("crisp-beside-wet"));
        assertFalse(codes(disc(0.27)).contains("crisp-beside-wet"), "three quarters of it are chocolate");
    }

    @Test
    public void oilMovesOnlyFromWhatIsFree() {
        BarLayer chopped = BarLayer.grams(LayerKind.INCLUSION, "almond-slivered", 5);
        assertFalse(
                codes(moulded(TAPERED, shell(1.5), FILL, ALMONDS, back(2))).contains("oil-into-chocolate"),
                "whole almonds, given in grams");
        assertFalse(
                codes(moulded(TAPERED, shell(1.5), FILL, chopped, back(2))).contains("oil-into-chocolate"),
                "wrapped in caramel");
        assertFalse(
                codes(moulded(TAPERED, BarLayer.rest(LayerKind.FILLING, DARK), chopped))
                        .contains("oil-into-chocolate"),
                "slivers hold their oil");
        BarStack paste = moulded(TAPERED, shell(1.5), BarLayer.rest(LayerKind.FILLING, "hazelnut-paste"), back(2));
        assertTrue(codes(paste).contains("oil-into-chocolate"), "ground, it is free: " + codes(paste));
    }

    @Test
    public void whatALayerWrapsDoesNotTouchTheCoat() {
        BarLayer paste = BarLayer.rest(LayerKind.FILLING, Bars.PASTE);
        BarLayer wetCoat = BarLayer.mm(LayerKind.SHELL, CARAMEL, 1.5);
        assertFalse(codes(moulded(TAPERED, wetCoat, paste, RICE, back(2))).contains("crisp-beside-wet"));
        BarStack bare = moulded(TAPERED, wetCoat, RICE, back(2));
        assertTrue(codes(bare).contains("crisp-beside-wet"), codes(bare).toString());
    }

    @Test
    public void wholeAlmondsOnCoconutAreWhatTheyAre() {
        Composition coconut = Composition.of(
                Map.of(
                        Part.SUCROSE,
                        40.0,
                        Part.SYRUP_SOLIDS,
                        15.0,
                        Part.WATER,
                        10.0,
                        Part.OTHER_FAT,
                        22.0,
                        Part.FIBRE,
                        13.0),
                42);
        Map<String, Material> materials = new HashMap<>(Bars.MATERIALS);
        materials.put("coconut", Bars.mass("coconut", "fruit", 1.15, coconut, 0.65, Family.Kind.KNEADED));
        BarLayer almonds = BarLayer.pieces("almond-roasted", 2, 1.2, 0.3);
        BarStack stack = BarStack.of(
                Bar.of(
                        Build.SLAB,
                        new Body.Slab(300, 200, 60, 25, 0, 0, 0),
                        List.of(
                                BarLayer.mm(LayerKind.FILLING, "coconut", 12),
                                almonds,
                                BarLayer.mm(LayerKind.COAT, DARK, 1))),
                Parts.of(materials));
        assertEquals(
                Bars.faults(stack), List.of("whole-nuts-choking"), codes(stack).toString());
    }

    /** Chips and bars melted for a coat, by what they are made of; Directive 2000/36/EC, Annex I (values from memory). */
    @Test
    public void chocolateByAnotherNameIsChocolate() {
        assertEquals(Bars.MATERIALS.get("chocolate-chips-dark").chocolate(), "dark");
        assertEquals(Bars.MATERIALS.get("chocolate-chips-milk").chocolate(), "milk");
        assertEquals(Bars.MATERIALS.get("chocolate-chips-white").chocolate(), "white");
        for (String other : List.of(
                "cocoa-liquor",
                "cocoa-powder",
                "cocoa-nibs",
                "cocoa-butter",
                "compound-dark",
                "sugar",
                "bar-chocolate-bought",
                "hazelnut-paste",
                "cream-35")) {
            assertEquals(Bars.MATERIALS.get(other).chocolate(), "", other);
        }
        BarStack chips = moulded(
                TAPERED,
                BarLayer.mm(LayerKind.SHELL, "chocolate-chips-dark", 1.5),
                FILL,
                BarLayer.mm(LayerKind.BACK, "chocolate-chips-dark", 2));
        assertFalse(codes(chips).contains("couverture-name"), "nobody calls it couverture");
        assertTrue(chips.chocolateShare() > 0.25, "it is the outside: " + chips.chocolateShare());
        BarStack warm = moulded(
                TAPERED,
                BarLayer.mm(LayerKind.SHELL, "chocolate-chips-dark", 1.5),
                FILL.at(40),
                BarLayer.mm(LayerKind.BACK, "chocolate-chips-dark", 2));
        assertTrue(codes(warm).contains("poured-too-warm"), codes(warm).toString());
    }
}
