package org.zeststack.app.drawing;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;

public class PaperTemplateTest {

    private static final Map<String, Material> MATERIALS = IngredientTable.shipped().all().stream()
            .collect(Collectors.toMap(Ingredient::slug, i -> Material.of(i, null)));
    private static final BarLayer SHEET = BarLayer.mm(LayerKind.SHEET, "couverture-dark-66", 2);

    private static BarStack stack(Build build, Body body, BarLayer... layers) {
        TaperedCavity cavity = new TaperedCavity(100, 30, 94, 24, 14);
        return BarStack.of(Bar.of(build, body, List.of(layers)), Parts.of(cavity, MATERIALS));
    }

    @DataProvider
    public Object[][] papers() {
        BarLayer.Insert finger = new BarLayer.Insert(BarLayer.Shape.BAR, 80, 14, 4, 0, 0.5, 0, 86);
        BarLayer nougat = BarLayer.mm(LayerKind.FILLING, "marzipan", 10);
        // stack, sheets of A4 (186 × 241 mm are drawn on each), words on the first
        return new Object[][] {
            {stack(Build.SLAB, new Body.Slab(180, 240, 60, 25, 0, 0, 0), nougat), 1, "pieces"},
            {stack(Build.SLAB, new Body.Slab(190, 240, 60, 25, 0, 0, 0), nougat), 2, "Sheet 1 of 2"},
            {stack(Build.SLAB, new Body.Slab(600, 400, 60, 25, 0, 0, 3), nougat), 8, "Sheet 1 of 8"},
            {stack(Build.TRAY, new Body.Tray(180, 200, 4, 5, 1, 2), nougat), 1, "cut and score lines"},
            {stack(Build.OPEN, new Body.Sheet(180, 200, true, List.of(40.0, 30.0), 2), SHEET), 1, "the largest is shown"
            },
            {
                stack(
                        Build.MOULDED,
                        new Body.Moulded(1, false),
                        BarLayer.mm(LayerKind.SHELL, "couverture-dark-66", 1.5),
                        BarLayer.mm(LayerKind.INSERT, "biscuit-shortbread", 0).with(finger),
                        BarLayer.rest(LayerKind.FILLING, "gianduja"),
                        BarLayer.mm(LayerKind.BACK, "couverture-dark-66", 2)),
                1,
                "before baking"
            },
            {
                stack(
                        Build.MOULDED,
                        new Body.Moulded(1, false),
                        BarLayer.mm(LayerKind.SHELL, "couverture-dark-66", 1.5),
                        BarLayer.rest(LayerKind.FILLING, "gianduja"),
                        BarLayer.mm(LayerKind.BACK, "couverture-dark-66", 2)),
                1,
                "to pipe in"
            },
        };
    }

    @Test(dataProvider = "papers")
    public void papersHaveTheSheetsTheyNeedAndSayWhatTheyAre(BarStack stack, int sheets, String words)
            throws Exception {
        try (PDDocument pdf = Loader.loadPDF(PaperTemplate.of("Skerry ☂ bar", stack))) {
            assertEquals(pdf.getNumberOfPages(), sheets);
            PDFTextStripper text = new PDFTextStripper();
            text.setEndPage(1);
            String first = text.getText(pdf).replaceAll("\\s+", " ");
            assertTrue(first.contains("Skerry ? bar, true size"), first);
            assertTrue(first.contains(words), first);
            assertTrue(first.contains("100 mm"), "the ruler: " + first);
        }
    }
}
