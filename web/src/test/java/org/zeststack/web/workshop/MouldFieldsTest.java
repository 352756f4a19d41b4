package org.zeststack.web.workshop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.cavity.Dome;
import org.zeststack.core.cavity.FrustumCavity;
import org.zeststack.core.cavity.HalfCylinder;
import org.zeststack.core.cavity.HalfEllipsoid;
import org.zeststack.core.cavity.SegmentRow;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Mould;

public class MouldFieldsTest {

    @DataProvider
    public Object[][] cavities() {
        return new Object[][] {
            {new TaperedCavity(100, 30, 94, 24, 14), "tapered bar"},
            {new HalfCylinder(80, 12), "half-cylinder"},
            {new Dome(15, 12), "dome"},
            {new HalfEllipsoid(60, 30, 12.5), "half ellipsoid"},
            {new FrustumCavity(false, 40, 34, 15), "round, straight walls"},
            {new FrustumCavity(true, 40, 34, 15), "hexagonal, across the flats"},
            {new SegmentRow(new TaperedCavity(24, 30, 19, 25, 14), 4, 2, 12, 5), "row of segments to break off"},
        };
    }

    @Test(dataProvider = "cavities")
    public void everyShapeComesBackAsItWasTyped(Cavity cavity, String words) {
        Mould mould = new Mould(cavity, 1.5, null, 3, 4, 2);
        Map<String, String> fields = new LinkedHashMap<>();
        MouldFields.put(fields, mould);
        FormInput form = FormInput.of(fields);
        assertEquals(MouldFields.read(form).orElseThrow(() -> new AssertionError(form.faults())), mould);
        assertEquals(MouldFields.Shape.of(cavity).words(), words);
        assertEquals(mould.cavities(), 12);
    }

    @Test(dataProvider = "cavities")
    public void waterSaysWhatTheCavityReallyHolds(Cavity cavity, String words) {
        double ml = new Mould(cavity, 0, null, 1, 1, 1).cavityMl();
        // Water at 20 °C: 0.9982 g/mL.
        Mould measured = new Mould(cavity, 0, 1.04 * ml * 0.9982, 1, 1, 1);
        assertEquals(measured.cavityMl(), 1.04 * ml, 1e-9 * ml, words);
        assertEquals(measured.volumeFactor(), 1.04, 1e-9);
    }

    private static List<String> faults(String... pairs) {
        Map<String, String> fields = new LinkedHashMap<>();
        MouldFields.put(fields, new Mould(new TaperedCavity(100, 30, 94, 24, 14), 0, null, 1, 10, 1));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        FormInput form = FormInput.of(fields);
        assertTrue(MouldFields.read(form).isEmpty(), "it was taken");
        return form.faults().stream().map(Fault::field).toList();
    }

    @Test
    public void faultsStandBesideTheirFields() {
        assertEquals(faults("shape", "PYRAMID", "rows", "1"), List.of("shape"));
        assertEquals(faults("depthMm", "a lot"), List.of("depthMm"));
        assertEquals(faults("floorWidthMm", "31"), List.of("floorWidthMm"));
        assertEquals(faults("columns", "0"), List.of("columns"));
        assertEquals(faults("columns", "2.5"), List.of("columns"));
        assertEquals(faults("waterGrams", "80"), List.of("waterGrams"), "a fifth more than the model is too much");
        assertEquals(faults("edgeRadiusMm", "11"), List.of("edgeRadiusMm"));
        assertEquals(faults("shape", "DOME"), List.of("openingRadiusMm"), "a dome has another dimension");
    }
}
