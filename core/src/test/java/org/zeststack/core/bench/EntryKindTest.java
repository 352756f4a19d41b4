package org.zeststack.core.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.temper.Bowl;
import org.zeststack.core.temper.Method;
import org.zeststack.core.temper.TemperVerdict;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Thermometer;

/** Every kind of entry as it is typed at the bench: what is read, and beside which field what cannot be taken is told. */
public class EntryKindTest {

    private static final RunSheet SHEET =
            PotProgramTest.sheet(PotProgramTest.caramel(118.0, Finish.PLAIN), true, Scaling.Limits.NONE);
    private static final String POT = SHEET.formulas().get(0).key();
    private static final String BOWL = SHEET.couvertures().get(0).key();
    private static final String FILLING = "filling-1";
    private static final BenchStep SIGNED = SHEET.steps().stream()
            .filter(s -> !StepEnd.endings(SHEET, s).isEmpty())
            .findFirst()
            .orElseThrow();
    private static final String SIGN =
            StepEnd.endings(SHEET, SIGNED).iterator().next().words();
    private static final Thermometer SHORT = new Thermometer(Thermometer.Kind.PROBE, 1, 101, 100);

    private static FormInput form(String fields) {
        Map<String, String> typed = new HashMap<>();
        Arrays.stream(fields.split(";"))
                .filter(f -> !f.isBlank())
                .map(f -> f.strip().split("=", 2))
                .forEach(f -> typed.put(
                        f[0],
                        switch (f[1]) {
                            case "POT" -> POT;
                            case "BOWL" -> BOWL;
                            case "STEP" -> SIGNED.id();
                            case "SIGN" -> SIGN;
                            default -> f[1];
                        }));
        return FormInput.of(typed);
    }

    private static Optional<EntryBody> read(EntryKind kind, FormInput form) {
        return kind.read(new TypedEntry(
                form, SHEET, () -> List.of(new TypedEntry.Other("4", "Short probe", SHORT)), Bounds.shipped()));
    }

    @DataProvider
    public Object[][] right() {
        double sets =
                InTemper.of(SHEET, BOWL).orElseThrow().sets(Bounds.shipped()).greatest();
        return new Object[][] {
            {EntryKind.STEP_DONE, "step=STEP", new StepDone(SIGNED.id(), null, null)},
            {EntryKind.STEP_DONE, "step=STEP; grams=120; reason= late ", new StepDone(SIGNED.id(), 120.0, "late")},
            {EntryKind.WEIGH_IN, "layer=filling-1; grossGrams=39.4", new WeighIn(FILLING, 39.4, 0, 1, false)},
            {
                EntryKind.WEIGH_IN,
                "layer=filling-1; grossGrams=240; tareGrams=140; cavities=10; whole=yes",
                new WeighIn(FILLING, 240, 140, 10, true)
            },
            {EntryKind.TALLY, "outcome=SECOND; pieces=3; reason=dull", new Tally(PieceOutcome.SECOND, 3, "dull")},
            {EntryKind.NOTE, "text= thick today ", new Note("thick today")},
            {EntryKind.ROOM, "roomCelsius=21.5", new RoomReading(21.5)},
            {EntryKind.ROOM, "roomCelsius=68 F", new RoomReading(20)},
            {EntryKind.ACTUAL, "component=POT; ingredient=sugar; actualGrams=401", new Actual(POT, "sugar", 401)},
            {EntryKind.CUP, "component=POT; cupBeforeGrams=80; cupAfterGrams=60", new Cup(POT, 80, 60)},
            {EntryKind.RING, "component=POT", new RingTurned(POT)},
            {EntryKind.OFF, "component=POT", new TakenOff(POT)},
            {EntryKind.POT, "component=POT; potGrossGrams=3600", new PotWeighed(POT, 3600, 0, "")},
            {
                EntryKind.POT,
                "component=POT; potGrossGrams=3600; potTareGrams=1400; step=STEP",
                new PotWeighed(POT, 3600, 1400, SIGNED.id())
            },
            {
                EntryKind.SECOND,
                "component=POT; second=4; secondCelsius=111",
                new SecondReading(POT, "Short probe", SHORT.trueCelsius(111))
            },
            {EntryKind.POURED, "component=POT", new Poured(POT)},
            {EntryKind.BEGUN, "step=STEP", new StepBegun(SIGNED.id())},
            {EntryKind.SIGN, "step=STEP; sign=SIGN; found= soon ", new Sign(SIGNED.id(), SIGN, "soon")},
            {
                EntryKind.TEMPER,
                "component=BOWL; method=SEED; bowl=STEEL; seedCelsius=20",
                new TemperPlanned(BOWL, Method.SEED, 0, Bowl.Material.STEEL, 20, null)
            },
            {
                EntryKind.TEMPER,
                "component=BOWL; method=SLAB; bowl=GLASS; bowlGrams=900; seedCelsius=68 F; roomHumidity=45",
                new TemperPlanned(BOWL, Method.SLAB, 900, Bowl.Material.GLASS, 20, 45.0)
            },
            {
                EntryKind.PROOF,
                "component=BOWL; proofMinutes=4",
                new Proof(BOWL, 4, null, false, false, false, sets, null)
            },
            {
                EntryKind.PROOF,
                "component=BOWL; proofMinutes=9; proofRoom=21; dull=yes; streaks=yes; mark=yes; photo=12",
                new Proof(BOWL, 9, 21.0, true, true, true, sets, 12L)
            },
            {
                EntryKind.OVERRULED,
                "component=BOWL; overruled=WORK; overruleReason= felt right ",
                new Overruled(BOWL, TemperVerdict.Step.WORK, "felt right")
            },
            {EntryKind.WATER, "component=BOWL", new WaterIn(BOWL)},
            {EntryKind.FRESH, "component=BOWL", new FreshBowl(BOWL)},
            {EntryKind.LEFT, "component=BOWL; leftGrams=500", new BowlLeft(BOWL, 500, null)},
            {EntryKind.LEFT, "component=BOWL; leftGrams=500; leftCelsius=31", new BowlLeft(BOWL, 500, 31.0)},
            {EntryKind.FED, "component=BOWL; fedGrams=100; fedCelsius=40", new Fed(BOWL, 100, 40)},
            {EntryKind.COLD, "coldRoom=22; humidity=60; barCelsius=8", new OutOfCold(22, 60, 8)},
            {EntryKind.UNDO, "", new Undo()},
        };
    }

    @Test(dataProvider = "right")
    public void whatIsTypedIsRead(EntryKind kind, String typed, EntryBody body) {
        FormInput form = form(typed);
        assertEquals(read(kind, form), Optional.of(body), form.faults().toString());
        assertEquals(EntryKind.of(body), kind);
        assertEquals(EntryKind.named(kind.name()), Optional.of(kind));
        assertEquals(kind.type(), body.getClass());
    }

    @Test
    public void everyKindIsAmongThem() {
        assertEquals(Arrays.stream(right()).map(row -> row[0]).collect(Collectors.toSet()), Set.of((Object[])
                EntryKind.values()));
        assertTrue(EntryKind.named("SUNG").isEmpty());
    }

    @DataProvider
    public Object[][] wrong() {
        return new Object[][] {
            {EntryKind.STEP_DONE, "step=nowhere", Set.of("step")},
            {EntryKind.STEP_DONE, "step=STEP; grams=x", Set.of("grams")},
            {EntryKind.BEGUN, "step=nowhere", Set.of("step")},
            {EntryKind.WEIGH_IN, "layer=roof; grossGrams=1", Set.of("layer")},
            {
                EntryKind.WEIGH_IN,
                "layer=filling-1; grossGrams=a; tareGrams=b; cavities=c",
                Set.of("grossGrams", "tareGrams", "cavities")
            },
            {EntryKind.WEIGH_IN, "layer=filling-1; grossGrams=10; tareGrams=20", Set.of("grossGrams")},
            {EntryKind.TALLY, "outcome=LOST; pieces=2.5", Set.of("outcome", "pieces")},
            {EntryKind.TALLY, "outcome=REJECTED; pieces=2", Set.of("reason")},
            {EntryKind.NOTE, "text=  ", Set.of("text")},
            {EntryKind.ROOM, "roomCelsius=warm", Set.of("roomCelsius")},
            {EntryKind.ACTUAL, "component=POT; ingredient=sand; actualGrams=1", Set.of("actualGrams")},
            {EntryKind.ACTUAL, "component=BOWL; ingredient=sugar; actualGrams=1", Set.of("actualGrams")},
            {EntryKind.CUP, "component=BOWL; cupBeforeGrams=80; cupAfterGrams=60", Set.of("cupBeforeGrams")},
            {EntryKind.RING, "component=BOWL", Set.of("component")},
            {EntryKind.OFF, "component=none", Set.of("component")},
            {EntryKind.POT, "component=none; potGrossGrams=3600", Set.of("potGrossGrams")},
            {
                EntryKind.POT,
                "component=POT; potGrossGrams=3600; potTareGrams=x; step=nowhere",
                Set.of("potTareGrams", "step")
            },
            {EntryKind.SECOND, "component=POT; second=5; secondCelsius=111", Set.of("second")},
            {EntryKind.SECOND, "component=POT; second=4; secondCelsius=hot", Set.of("secondCelsius")},
            {EntryKind.POURED, "component=none", Set.of("component")},
            {EntryKind.SIGN, "step=STEP; sign=never", Set.of("step")},
            {EntryKind.TEMPER, "component=POT; method=SEED; bowl=STEEL; seedCelsius=20", Set.of("method")},
            {
                EntryKind.TEMPER,
                "component=BOWL; method=X; bowl=Y; seedCelsius=z; bowlGrams=b; roomHumidity=h",
                Set.of("method", "bowl", "seedCelsius", "bowlGrams", "roomHumidity")
            },
            {EntryKind.PROOF, "component=POT; proofMinutes=4", Set.of("proofMinutes")},
            {EntryKind.PROOF, "component=BOWL; proofMinutes=0.4; proofRoom=x", Set.of("proofMinutes", "proofRoom")},
            {EntryKind.OVERRULED, "component=POT; overruled=WORK; overruleReason=x", Set.of("overruled")},
            {EntryKind.WATER, "component=POT", Set.of("component")},
            {EntryKind.FRESH, "component=POT", Set.of("component")},
            {EntryKind.LEFT, "component=POT; leftGrams=5", Set.of("leftGrams")},
            {EntryKind.LEFT, "component=BOWL; leftGrams=5; leftCelsius=x", Set.of("leftCelsius")},
            {EntryKind.FED, "component=POT; fedGrams=100; fedCelsius=40", Set.of("fedGrams")},
            {EntryKind.COLD, "coldRoom=x; humidity=60; barCelsius=8", Set.of("coldRoom")},
        };
    }

    @Test(dataProvider = "wrong")
    public void whatCannotBeTakenStandsBesideItsField(EntryKind kind, String typed, Set<String> fields) {
        FormInput form = form(typed);
        assertTrue(read(kind, form).isEmpty());
        assertEquals(form.faults().stream().map(Fault::field).collect(Collectors.toSet()), fields);
    }

    @Test
    public void whatANewerReleaseWroteIsNotWrittenHere() {
        Faults faults = new Faults();
        new FromNewer("SUNG").check(faults);
        assertEquals(faults.list().get(0).field(), "kind");
        assertEquals(faults.list().get(0).given(), "SUNG");
    }
}
