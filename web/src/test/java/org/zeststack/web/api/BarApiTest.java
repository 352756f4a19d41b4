package org.zeststack.web.api;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Whole bars assembled for programs, and ten bad ones whose faults were planted before the rules were written. */
public class BarApiTest extends DemoCalls {

    private static final String PLAIN = """
            {"build": "moulded",
             "cavity": {"shape": "tapered", "openingLengthMm": 118, "openingWidthMm": 32, "floorLengthMm": 112,
                        "floorWidthMm": 26, "depthMm": 14},
             "layers": [{"kind": "shell", "of": "couverture-dark-66", "by": "mm", "amount": 1.5},
                        {"kind": "filling", "of": "formula:1:2", "by": "rest"},
                        {"kind": "back", "of": "couverture-dark-66", "by": "mm", "amount": 2}]}
            """;

    @DataProvider
    public Object[][] badBars() throws Exception {
        JsonNode bars = cases("/org/zeststack/web/bar/bad-bars.json");
        Object[][] rows = new Object[bars.size()][];
        for (int i = 0; i < rows.length; i++) {
            JsonNode bar = bars.get(i);
            List<String> planted = new ArrayList<>();
            bar.get("planted").forEach(code -> planted.add(code.stringValue()));
            rows[i] =
                    new Object[] {bar.get("story").stringValue(), bar.get("bar").toString(), planted};
        }
        return rows;
    }

    @Test(dataProvider = "badBars")
    public void everyFaultPlantedIsFound(String story, String bar, List<String> planted) throws Exception {
        List<String> codes = new ArrayList<>();
        caller.answer("/bar/assemble", bar, 200)
                .get("calls")
                .forEach(c -> codes.add(c.get("code").stringValue()));
        assertTrue(codes.containsAll(planted), story + " wants " + planted + ", found " + codes);
    }

    @Test
    public void aWholeBarComesBackWithItsLayers() throws Exception {
        JsonNode answer = caller.answer("/bar/assemble", PLAIN, 200);
        JsonNode layers = answer.get("layers");
        assertEquals(layers.size(), 3);
        assertEquals(layers.get(0).get("volumeMl").doubleValue(), 9.86, 0.02, "prismoidal formula on the inset shape");
        assertEquals(layers.get(1).get("volumeMl").doubleValue(), 30.34, 0.02, "prismoidal formula on the inset shape");
        assertEquals(layers.get(2).get("volumeMl").doubleValue(), 6.53, 0.02, "prismoidal formula on the inset shape");
        double sum = 0;
        for (JsonNode layer : layers) {
            sum += layer.get("grams").doubleValue();
        }
        assertEquals(answer.get("pieceGrams").doubleValue(), sum, 1e-9, "layers add up to the piece");
        assertTrue(layers.get(1).get("leastGrams").doubleValue()
                < layers.get(1).get("grams").doubleValue());
        JsonNode again = caller.answer("/bar/assemble", PLAIN, 200);
        assertEquals(again, answer, "the same bar, the same answer");
    }

    private static final String PLATE = """
            {"build": "open", "body": {"kind": "plate", "cutter": "round", "cuttersMm": [60, 40]},
             "layers": [{"kind": "sheet", "of": "couverture-dark-66", "by": "mm", "amount": 3, "level": 1},
                        {"kind": "filling", "of": "gianduja", "by": "grams", "amount": 4, "level": 1, "cover": "dots"},
                        {"kind": "topping", "of": "cocoa-nibs", "by": "share", "amount": 10, "technique": "strew",
                         "misses": 0.2, "keepsGrams": 5, "level": 1}]}
            """;

    @Test
    public void levelsOfAPlateAndWhatMisses() throws Exception {
        JsonNode layers = caller.answer("/bar/assemble", PLATE, 200).get("layers");
        // π/4 × 60² × 3 mm³ × 1.27 g/mL; 4 g as weighed; a tenth of the 4 g that they are strewn on, a fifth of it
        // beside.
        assertEquals(layers.get(0).get("grams").doubleValue(), 10.773, 1e-3);
        assertEquals(layers.get(1).get("grams").doubleValue(), 4, 1e-9);
        assertEquals(layers.get(2).get("grams").doubleValue(), 0.4, 1e-6);
        assertEquals(layers.get(2).get("laidGrams").doubleValue(), 0.5, 1e-6);
    }

    @DataProvider
    public Object[][] faults() {
        return new Object[][] {
            {PLATE.replace("\"level\": 1, \"cover\"", "\"level\": 3, \"cover\""), List.of("/layers/1/level")},
            {PLATE.replace("\"misses\": 0.2", "\"misses\": 0.91"), List.of("/layers/2/misses")},
            {PLATE.replace("strew", "throw"), List.of("/layers/2/technique")},
            {PLATE.replace("[60, 40]", "[]"), List.of("/body/cuttersMm")},
            {PLATE.replace("plate", "plates"), List.of("/body/kind")},
            {PLAIN.replace("\"amount\": 1.5", "\"amount\": 15"), List.of("/layers/0/amount")},
            {PLAIN.replace("\"amount\": 1.5", "\"amount\": \"1,5\""), List.of("/layers/0/amount")},
            {PLAIN.replace("\"amount\": 1.5", "\"amuont\": 1.5"), List.of("/layers/0/amuont")},
            {PLAIN.replace("formula:1:2", "formula:1:99"), List.of("/layers/1/of")},
            {
                PLAIN.replace(
                        "couverture-dark-66\", \"by\": \"mm\", \"amount\": 2",
                        "ghost\", \"by\": \"mm\", \"amount\": 2"),
                List.of("/layers/2/of")
            },
            {PLAIN.replace("\"kind\": \"back\"", "\"kind\": \"coat\""), List.of("/layers/2/kind")},
            {PLAIN.replace("\"depthMm\": 14", "\"depthMm\": 140"), List.of("/cavity/depthMm")},
            {PLAIN.replace("\"build\": \"moulded\"", "\"build\": \"baked\""), List.of("/build")},
            {"{\"build\": \"slab\", \"layers\": []}", List.of("/layers")},
        };
    }

    @Test(dataProvider = "faults")
    public void faultsPointIntoTheRequest(String body, List<String> pointers) throws Exception {
        List<String> told = new ArrayList<>();
        caller.answer("/bar/assemble", body, 400)
                .get("errors")
                .forEach(e -> told.add(e.get("pointer").stringValue()));
        assertEquals(told, pointers);
    }

    @Test
    public void aMouldOfTheWorkshopAndTwoFaultsAtOnce() throws Exception {
        String body = """
                {"build": "moulded", "body": {"kind": "mould", "mould": 1},
                 "layers": [{"kind": "shell", "of": "couverture-milk-38", "by": "mm", "amount": 1.6},
                            {"kind": "filling", "of": "gianduja", "by": "rest"},
                            {"kind": "back", "of": "couverture-milk-38", "by": "mm", "amount": 2}]}
                """;
        assertEquals(
                caller.answer("/bar/assemble", body, 200).get("piecesOfOne").intValue(), 10);
        String two = body.replace("1.6", "-1").replace("\"amount\": 2", "\"amount\": 101");
        assertEquals(caller.answer("/bar/assemble", two, 400).get("errors").size(), 2);
    }
}
