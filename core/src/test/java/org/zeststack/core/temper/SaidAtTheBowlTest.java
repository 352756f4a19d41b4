package org.zeststack.core.temper;

import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import org.zeststack.core.BareQuantities;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Say;

/** What is said at the bowl stands for everybody: no figure with a unit that could not be read in °F or ounces. */
public class SaidAtTheBowlTest {

    private static final List<String> KINDS = List.of("dark", "milk", "white");

    private static TemperPlan plan(Method method, String kind) {
        return TemperPlan.of(
                method,
                new TemperPlan.Of(
                        TemperWindow.of(kind),
                        900,
                        0.36,
                        new Bowl(800, Bowl.Material.GLASS),
                        Room.USUAL_CELSIUS,
                        true));
    }

    @Test
    public void plansOfEveryMethod() {
        List<String> said = new ArrayList<>();
        for (Method method : Method.values()) {
            for (String kind : KINDS) {
                plan(method, kind).lines().forEach(l -> {
                    said.add(l.words());
                    said.add(l.why());
                });
            }
        }
        BareQuantities.none(String.join("\n", said));
    }

    @Test
    public void verdictsOnTheWayThroughEveryMethod() {
        List<String> said = new ArrayList<>();
        for (Method method : Method.values()) {
            List<TemperVerdict.Reading> readings = new ArrayList<>();
            for (double celsius : new double[] {22, 40, 47, 52, 44, 36, 33.9, 31, 27.5, 26, 31, 32.6, 34.5}) {
                readings.add(new TemperVerdict.Reading(readings.size() * 120.0, celsius, false));
                TemperVerdict.State state = TemperVerdict.of(TemperWindow.of("dark"), method, readings);
                said.add(state.reason());
                said.add(state.next());
            }
        }
        BareQuantities.none(String.join("\n", said));
        assertTrue(Say.in(String.join(" ", said), BareQuantities.AMERICAN).contains("Melt out to 113 to 122 °F"));
    }

    /** 31 °C is 87.8 °F, 5 to 45 °C are 41 to 113 °F. */
    @Test
    public void aRefusalSaysItsRangeInEither() {
        InvalidInput refused = expectThrows(InvalidInput.class, () -> {
            Faults faults = new Faults();
            Room.check(faults, "room", 160);
            faults.throwIfAny();
        });
        String said = refused.faults().get(0).message();
        assertTrue(Say.in(said, BareQuantities.AMERICAN).startsWith("160 is outside 41 to 113 °F."), said);
        assertTrue(Say.metric(said).startsWith("160 is outside 5 to 45 °C."), said);
    }
}
