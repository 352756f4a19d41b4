package org.zeststack.core.box;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.List;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.explain.Call;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Bars;

public class BoxContentTest {

    private static BoxContent box(Double declared, Bar.Storage second) {
        BarStack one = Bars.plain(1.5, 2);
        Bar b = Bars.plain(1.8, 2).bar();
        Bar other =
                new Bar(b.build(), b.body(), b.layers(), b.finish(), second, b.soldAs(), null, null, null, List.of());
        Box box = new Box(List.of(new Box.Item(1, 1, 6), new Box.Item(2, 3, 4)), 32, declared);
        return new BoxContent(
                box,
                List.of(
                        new BoxContent.Part("Plain", 6, one),
                        new BoxContent.Part("Thick", 4, Bars.of(other, Bars.TAPERED))));
    }

    private static List<String> faults(BoxContent content) {
        return content.calls().stream()
                .filter(c -> c.weight() != Call.Weight.GOOD_TO_KNOW)
                .map(Call::code)
                .toList();
    }

    @Test
    public void weighsItsPiecesAndItsPacking() {
        BoxContent content = box(null, Bar.Storage.COOL);
        double net =
                6 * Bars.plain(1.5, 2).pieceGrams() + 4 * Bars.plain(1.8, 2).pieceGrams();
        near(content.netGrams(), net, 1e-9, "counts times pieces");
        near(content.grossGrams(), net + 32, 1e-9, "and the packing");
        assertEquals(content.pieces(), 10);
        near(content.cost(), net / 1000 * 10, 1e-9, "every material at 10 a kilogram");
        assertEquals(faults(content), List.of());
        assertEquals(content.allergens(), Bars.plain(1.5, 2).allergens(), "of all its bars, each once");
    }

    @Test
    public void isCalledWhenItIsLightOrKeptTwoWays() {
        double net = box(null, Bar.Storage.COOL).netGrams();
        assertEquals(faults(box(Math.ceil(net) + 5, Bar.Storage.COOL)), List.of("lighter-than-declared"));
        assertEquals(faults(box(Math.floor(net), Bar.Storage.COOL)), List.of());
        assertEquals(faults(box(null, Bar.Storage.FRIDGE)), List.of("storage-differs"));
    }

    /** The gravest first; the allowance of a single box stands where the law gives one. */
    @Test
    public void callsAreToldTheGravestFirst() {
        double net = box(null, Bar.Storage.COOL).netGrams();
        List<Call> calls = box(net + 100, Bar.Storage.FRIDGE).calls();
        assertEquals(
                calls.stream().map(Call::code).toList(),
                List.of("lighter-than-declared", "storage-differs", "keeping", "allergens"));
        String message = Say.metric(calls.get(0).message());
        assertTrue(message.contains(" net, 100.0 g less than declared"), message);
        assertTrue(
                Say.metric(calls.get(0).arithmetic()).contains("a single box may be"),
                Say.metric(calls.get(0).arithmetic()));
        Box box = new Box(List.of(new Box.Item(1, 1, 1)), 0, 60_000.0);
        BoxContent heavy = new BoxContent(box, List.of(new BoxContent.Part("Plain", 1, Bars.plain(1.5, 2))));
        assertTrue(
                !Say.metric(heavy.calls().get(0).arithmetic()).contains("may be"), "no allowance is known for so much");
        assertEquals(heavy.parts().size(), 1);
    }

    @Test
    public void itsShortestLivedBarDecides() {
        Call keeping = box(null, Bar.Storage.COOL).calls().stream()
                .filter(c -> c.code().equals("keeping"))
                .findFirst()
                .orElseThrow();
        assertTrue(Say.metric(keeping.message()).startsWith("Plain decides"), Say.metric(keeping.message()));
    }

    @Test
    public void faultsAreCollected() {
        InvalidInput fault =
                expectThrows(InvalidInput.class, () -> new Box(List.of(new Box.Item(1, 1, 0)), -1, 0.5).check());
        assertEquals(
                fault.faults().stream().map(Fault::field).toList(),
                List.of("item.0.count", "packingGrams", "declaredGrams"));
        expectThrows(InvalidInput.class, () -> new Box(List.of(), 1, null).check());
    }
}
