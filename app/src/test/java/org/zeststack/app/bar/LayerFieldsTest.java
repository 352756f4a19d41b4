package org.zeststack.app.bar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.CutFrom;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.stack.RandomBars;
import org.zeststack.core.stack.RandomWays;
import org.zeststack.core.typed.FormInput;

/** A line for each field of a layer serves the page, programs and what is published. */
public class LayerFieldsTest {

    private static final int BARS = 400;
    private static final Set<Class<?>> PARTS =
            Set.of(BarLayer.Mix.class, BarLayer.Insert.class, BarLayer.Faces.class, Handling.class, CutFrom.class);

    private static LayerField line(String name) {
        return LayerFields.ALL.stream()
                .filter(f -> f.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Stream<RecordComponent> leaves(Class<?> record) {
        return Stream.of(record.getRecordComponents())
                .flatMap(c -> PARTS.contains(c.getType()) ? leaves(c.getType()) : Stream.of(c));
    }

    @Test
    public void everyPartOfALayerHasItsLine() {
        List<String> parts =
                leaves(BarLayer.class).map(RecordComponent::getName).toList();
        assertEquals(LayerFields.ALL.size(), parts.size(), parts.toString());
        assertEquals(
                LayerFields.ALL.stream()
                        .map(LayerField::name)
                        .collect(Collectors.toSet())
                        .size(),
                LayerFields.ALL.size());
    }

    private static BarLayer read(FormInput form, BarLayer like) {
        LayerDraft draft = new LayerDraft(like.kind(), like.of(), like.by());
        draft.layer.mix(like.mix());
        LayerFields.take(form, "layer.7.", draft);
        return draft.build();
    }

    /** What another field makes idle. */
    private static List<String> idle(BarLayer layer) {
        List<String> idle = new ArrayList<>();
        if (layer.by() != BarLayer.By.PIECES) {
            idle.add("eachGrams");
        }
        if (layer.insert() != null && layer.insert().shape() != BarLayer.Shape.FREE) {
            idle.add("areaMm2");
        }
        if (layer.insert() != null && layer.insert().shape() == BarLayer.Shape.DISC) {
            idle.add("widthMm");
        }
        return idle;
    }

    @Test
    public void whatIsWrittenIsReadAsItWas() {
        SplittableRandom random = new SplittableRandom(7);
        RandomWays ways = new RandomWays(new RandomBars(random, List.of("raspberry-jam")), random);
        for (int i = 0; i < BARS; i++) {
            for (BarLayer layer : ways.next().bar().layers()) {
                Map<String, String> written = new HashMap<>();
                LayerFields.put(written, "layer.7.", layer);
                FormInput form = FormInput.of(written);
                BarLayer read = read(form, layer);
                assertTrue(form.faults().isEmpty(), layer + ": " + form.faults());
                Map<String, String> again = new HashMap<>();
                LayerFields.put(again, "layer.7.", read);
                for (Map<String, String> row : List.of(written, again)) {
                    idle(layer).forEach(name -> row.remove("layer.7." + name));
                }
                assertEquals(again, written);
            }
        }
    }

    @DataProvider
    public Object[][] bounds() {
        return new Object[][] {
            {LayerKind.DECORATION, "keepsGrams", "2000", "2001"},
            {LayerKind.DECORATION, "misses", "90", "90.5"},
            {LayerKind.INSERT, "spare", "50", "51"},
            {LayerKind.INSERT, "sinkMm", "60", "60.5"},
            {LayerKind.INSERT, "rawLengthMm", "400", "400.5"},
            {LayerKind.INSERT, "heightMm", "0.3", "0.2"},
            {LayerKind.INSERT, "widthMm", "400", "401"},
            {LayerKind.FILLING, "celsius", "-20", "-20.5"},
            {LayerKind.FILLING, "repeat", "1", "0"},
            {LayerKind.FILLING, "leastMm", "100", "101"},
        };
    }

    @Test(dataProvider = "bounds")
    public void theRangeOfALineIsHeard(LayerKind kind, String name, String inside, String outside) {
        BarLayer like = kind.usual();
        for (String typed : List.of(inside, outside)) {
            Map<String, String> fields = new HashMap<>();
            LayerFields.put(fields, "layer.7.", like);
            Map.of("lengthMm", "40", "widthMm", "20", "heightMm", "3").forEach((k, v) -> fields.put("layer.7." + k, v));
            fields.put("layer.7." + name, typed);
            FormInput form = FormInput.of(fields);
            read(form, like);
            List<String> wrong = form.faults().stream().map(Fault::field).toList();
            assertEquals(wrong, typed.equals(inside) ? List.of() : List.of("layer.7." + name));
        }
    }

    @Test
    public void aDiscIsAsWideAsItIsLong() {
        FormInput form = FormInput.of(Map.of(
                "layer.7.shape", "DISC", "layer.7.lengthMm", "30", "layer.7.widthMm", "x", "layer.7.heightMm", "2"));
        BarLayer read = read(form, LayerKind.INSERT.usual());
        assertTrue(form.faults().isEmpty(), "its width is not asked");
        assertEquals(read.insert().widthMm(), 30.0);
    }

    @Test
    public void aLineSaysWhatItHolds() {
        assertEquals(line("cover").choices(), List.of("WHOLE", "FULL", "RINGS", "DOTS"));
        assertEquals(line("sheetGapMm").unit(), "mm");
        assertEquals(line("misses").unit(), "%");
        assertEquals(line("misses").range().orElseThrow().greatest(), 0.9);
        assertTrue(line("leastMm").range().isEmpty(), "what it is depends on how the amount is given");
        assertEquals(LayerFields.SMALL.get("SIZE").size(), 7);
    }
}
