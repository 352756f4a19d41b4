package org.zeststack.app.drawing;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.weighing.FillWindow;

public class DrawingTest {

    @Test
    public void pathsRunDownFromTheOpening() {
        CrossSection section = new CrossSection(
                30,
                14,
                List.of(new CrossSection.Shape(
                        "back",
                        "Dark",
                        "dark",
                        List.of(
                                new CrossSection.Point(1, 12),
                                new CrossSection.Point(29, 12),
                                new CrossSection.Point(30, 14)))));
        SectionDrawing drawing = SectionDrawing.of(section);
        assertEquals(drawing.paths().get(0).d(), "M1 2L29 2L30 0Z");
        assertEquals(drawing.viewBox(1, 2, 3, 4), "-1.000 -2.000 34.000 20.000");
    }

    @Test
    public void weighInsStandInTheirWindow() {
        FillWindow window = new FillWindow(35, 39, 43);
        WeighInStrip strip = WeighInStrip.of(List.of(35.0, 43.0, 39.0, 10.0, 90.0), window);
        assertEquals(strip.dots().get(0).y(), 12.0, 1e-9);
        assertEquals(strip.dots().get(1).y(), 4.0, 1e-9);
        assertEquals(strip.targetY(), strip.dots().get(2).y(), 1e-9);
        assertTrue(strip.dots().get(3).y() < 16 && !strip.dots().get(3).inside());
        assertTrue(strip.dots().get(4).y() > 0 && !strip.dots().get(4).inside());
        assertTrue(strip.dots().get(0).x() < strip.dots().get(1).x());
        assertEquals(
                WeighInStrip.of(List.of(5.0), new FillWindow(5, 5, 5))
                        .dots()
                        .get(0)
                        .y(),
                8.0,
                1e-9);
    }
}
