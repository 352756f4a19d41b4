package org.zeststack.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.UUID;
import org.testng.Reporter;
import org.testng.annotations.Test;
import org.zeststack.core.bar.CutFrom;
import org.zeststack.core.bar.Handling;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.BowlLeft;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.PieceOutcome;
import org.zeststack.core.bench.StepDone;
import org.zeststack.core.bench.Tally;
import org.zeststack.core.bench.WeighIn;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaBalance;
import org.zeststack.core.formula.FormulaBook;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.formula.Scaling;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.judge.BarCalls;
import org.zeststack.core.ledger.MassFlow;
import org.zeststack.core.ledger.RunAccount;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.Allowances;
import org.zeststack.core.sheet.BatchLine;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.Deposit;
import org.zeststack.core.sheet.FormulaBatch;
import org.zeststack.core.sheet.LaidBatch;
import org.zeststack.core.sheet.LaidFrom;
import org.zeststack.core.sheet.LayerTarget;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.Parts;
import org.zeststack.core.stack.RandomBars;
import org.zeststack.core.stack.RandomWays;
import org.zeststack.core.stack.StackLayer;
import org.zeststack.core.workshop.Place;
import org.zeststack.core.workshop.Thermometer;

/** Mass is neither made nor lost on the way from the weighing list to the ledger, whatever the bar. The seeds are fixed. */
public class AnyRunTest {

    private static final int RUNS = 500;
    private static final IngredientTable TABLE = IngredientTable.shipped();

    private static FormulaLine line(String of, double grams) {
        return new FormulaLine(of, grams, Role.POT);
    }

    private static NamedFormula formula(
            long id, Family family, Double stop, double loss, Finish finish, FormulaLine... lines) {
        Formula formula = new Formula(family, List.of(lines), stop, loss, List.of(), finish, Map.of());
        return new NamedFormula(id, family.name().toLowerCase(java.util.Locale.ROOT), 1, formula);
    }

    /** A caramel to a reading, one by eye, a ganache made of both, a nougat with whole whites, a baked base, a paste. */
    private static final List<NamedFormula> FORMULAS = List.of(
            formula(
                    1,
                    Family.CARAMEL,
                    115.0,
                    0.04,
                    Finish.PLAIN,
                    line("sugar", 500),
                    line("glucose-syrup-42", 300),
                    line("cream-35", 400),
                    new FormulaLine("butter", 60, Role.OFF_HEAT)),
            formula(
                    2,
                    Family.CARAMEL_MELTED,
                    null,
                    0.05,
                    new Finish(true, 0.06, 0.1, 0, 0),
                    line("caramel-bought", 300),
                    line("cream-35", 120)),
            formula(
                    3,
                    Family.GANACHE,
                    null,
                    0.03,
                    Finish.PLAIN,
                    line("formula:1:1", 500),
                    line("formula:2:1", 50),
                    line("couverture-dark-66", 500),
                    line("cream-35", 300)),
            formula(
                    4,
                    Family.NOUGAT,
                    125.0,
                    0.06,
                    new Finish(false, null, null, 0, 0.4),
                    line("sugar", 400),
                    line("glucose-syrup-42", 150),
                    line("water", 120),
                    new FormulaLine("egg-white", 66, Role.WARM, 2.0, false, null, "", List.of()),
                    new FormulaLine("almond-roasted", 200, Role.WARM)),
            formula(
                    5,
                    Family.BISCUIT_ROLLED,
                    null,
                    0.02,
                    new Finish(false, null, null, 0.08, 0),
                    line("flour-wheat", 250),
                    line("butter", 120),
                    line("icing-sugar", 90),
                    new FormulaLine("egg-whole", 50, Role.POT, 1.0, false, null, "", List.of())),
            formula(
                    6,
                    Family.NUT_PASTE,
                    null,
                    0.02,
                    Finish.PLAIN,
                    line("hazelnut-paste", 300),
                    line("couverture-milk-38", 120)));

    private static Optional<NamedFormula> version(FormulaLink link) {
        return FORMULAS.stream().filter(f -> f.link().equals(link)).findFirst();
    }

    private static final IngredientTable FINISHED = finished();

    private static IngredientTable finished() {
        IngredientTable table = TABLE;
        for (NamedFormula f : FORMULAS) {
            Ingredient made = FormulaBook.ingredient(
                    f,
                    FormulaBook.needs(f.id(), f.name(), f.formula(), table, AnyRunTest::version)
                            .table());
            table = table.with(List.of(made));
        }
        return table;
    }

    private static final Map<String, Material> MATERIALS = materials();

    private static Map<String, Material> materials() {
        Map<String, Material> all = new HashMap<>();
        TABLE.all().forEach(i -> all.put(i.slug(), Material.of(i, null)));
        for (NamedFormula f : FORMULAS) {
            String link = f.link().text();
            all.put(link, Material.of(f, FINISHED.get(link), FormulaBalance.of(f.formula(), FINISHED, 101.325), null));
        }
        return all;
    }

    private record Planned(RunOrder order, RunSheet sheet) {}

    private static Planned next(RandomWays bars, SplittableRandom random) {
        while (true) {
            RandomBars.Made made = bars.next();
            try {
                Parts parts =
                        new Parts(made.cavity(), 1, 0, 1 + random.nextInt(4), 2 * (1 + random.nextInt(6)), MATERIALS);
                BarStack stack = BarStack.of(made.bar(), parts);
                boolean fits =
                        BarCalls.of(stack).stream().noneMatch(c -> c.code().equals("does-not-fit"));
                if (fits && stack.frame().piecesOfOne() > 0) {
                    return planned(stack, random);
                }
            } catch (InvalidInput refused) {
                // Told to the person; there is nothing to plan.
            }
        }
    }

    private static Planned planned(BarStack stack, SplittableRandom random) {
        Map<String, NamedFormula> layers = new LinkedHashMap<>();
        for (String of : stack.bar().materials()) {
            FormulaLink.in(of).flatMap(AnyRunTest::version).ifPresent(f -> layers.put(of, f));
        }
        boolean ganache = layers.containsKey("formula:3:1");
        RunOrder order = new RunOrder(
                "any",
                1,
                stack,
                layers,
                ganache ? List.of(FORMULAS.get(0), FORMULAS.get(1)) : List.of(),
                ganache && random.nextInt(4) == 0 ? Set.of("formula:1:1") : Set.of(),
                f -> new Scaling.Limits(f.cooked() ? 6.0 : null, null, 1),
                "carrier",
                1 + random.nextInt(5),
                new Place(Place.By.ALTITUDE, 2000 * random.nextDouble()),
                "probe",
                Thermometer.TRUE,
                1 + random.nextInt(200),
                new Allowances(
                        0.2 * random.nextDouble(), 0.1 * random.nextDouble(), Math.rint(500 * random.nextDouble())));
        return new Planned(order, RunPlanner.plan(order, FINISHED));
    }

    private static RandomWays bars(SplittableRandom random) {
        RandomBars bars = new RandomBars(
                random,
                List.of("formula:1:1", "formula:2:1", "formula:3:1", "formula:4:1", "formula:6:1", "raspberry-jam"));
        return new RandomWays(bars, random);
    }

    @Test
    public void whatIsWeighedIsWhatIsLaidLostAndComesBack() {
        SplittableRandom random = new SplittableRandom(51);
        RandomWays bars = bars(random);
        int both = 0;
        for (int n = 0; n < RUNS; n++) {
            Planned planned = next(bars, random);
            RunSheet sheet = planned.sheet;
            String where = "seed 51, run " + n + " " + sheet.carriers();
            RunAccount account = RunAccount.of(sheet, BenchState.of(sheet, List.of()), Bounds.shipped());
            double in = 0;
            double out = 0;
            for (MassFlow flow : account.flows()) {
                near(flow.openPlanned(), 0, 1e-6 * Math.max(1, flow.weighed().planned()), where + " " + flow);
                flow.outs().forEach(o -> assertTrue(o.amount().planned() > -1e-6, where + " " + o));
                in += flow.weighed().planned();
                out += flow.outs().stream()
                        .mapToDouble(o -> o.amount().planned())
                        .sum();
            }
            near(in, out, 1e-6 * in, where + ": in all");
            sheet.formulas().forEach(f -> isMade(planned, f, where));
            both += (int) sheet.formulas().stream()
                    .filter(f -> f.uses().takenGrams() > 0 && f.deposit().total() > 0)
                    .count();
            isLaid(planned, where);
            isOnTheList(sheet, where);
            isWorked(sheet, where);
        }
        Reporter.log(RUNS + " runs close; formulas that are a layer and in another one: " + both, true);
        assertTrue(both > RUNS / 25, "the generator makes what the rule is about: " + both);
    }

    /** A batch's own lines come to its finished mass, and what others take is what stands in their lines. */
    private static void isMade(Planned planned, FormulaBatch batch, String where) {
        NamedFormula named = FORMULAS.stream()
                .filter(f -> f.key().equals(batch.key()))
                .findFirst()
                .orElseThrow();
        List<FormulaLine> lines = new ArrayList<>();
        for (int i = 0; i < batch.lines().size(); i++) {
            FormulaLine of = named.formula().lines().get(i);
            double grams = batch.lines().get(i).grams();
            lines.add(new FormulaLine(of.ingredient(), grams, of.role()));
            if (of.pieces() != null) {
                double pieces = grams / (of.grams() / of.pieces());
                boolean small =
                        Math.abs(Math.rint(pieces) - pieces) * of.grams() / of.pieces() > 0.04 * batch.rawGrams();
                near(pieces, small ? pieces : Math.rint(pieces), 1e-9, where + ": eggs are whole");
            }
        }
        FormulaBalance made = FormulaBalance.of(
                named.formula().withLines(lines),
                FINISHED,
                planned.order.place().pressureKpa());
        near(made.leastGrams(), batch.finishedGrams(), 1e-6, where + " " + batch.name());
        double enough = batch.uses().usableGrams() / (1 - named.formula().handlingLossFraction());
        near(batch.finishedGrams(), enough, 1e-6 * enough, where + " " + batch.name() + ": finished mass is there");
        near(
                batch.uses().usableGrams(),
                batch.deposit().total() + batch.uses().takenGrams(),
                1e-6,
                where + " " + batch.name());
        String link = named.link().text();
        double taken = planned.sheet.formulas().stream()
                .flatMap(f -> f.lines().stream())
                .filter(l -> l.ingredient().equals(link))
                .mapToDouble(BatchLine::grams)
                .sum();
        near(batch.uses().takenGrams(), planned.order.fromStock().contains(link) ? 0 : taken, 1e-6, where + " " + link);
    }

    /** Over all components the grams in pieces are the pieces, and off-cuts are what whole slabs have beyond them. */
    private static void isLaid(Planned planned, String where) {
        RunSheet sheet = planned.sheet;
        BarStack stack = planned.order.bar();
        Deposit all = Deposit.NOTHING;
        for (FormulaBatch f : sheet.formulas()) {
            all = all.plus(f.deposit());
        }
        for (CouvertureBatch c : sheet.couvertures()) {
            all = all.plus(c.deposit());
            near(
                    c.meltGrams(),
                    c.deposit().total()
                            + c.melt().scrapedGrams()
                            + c.melt().pouredGrams()
                            + c.melt().bowlGrams(),
                    1e-9 * c.meltGrams(),
                    where + " " + c.name());
        }
        for (LaidBatch l : sheet.laid()) {
            all = all.plus(l.deposit());
        }
        near(all.pieces(), stack.pieceGrams() * sheet.pieces().toMake(), 1e-6 * all.total(), where + ": in the pieces");
        double laid = 0;
        for (StackLayer layer : stack.layers()) {
            boolean whole = stack.bar().onCarrier(layer.index());
            int of = whole
                    ? sheet.carriers().fills() * sheet.carriers().cavities()
                    : sheet.pieces().toMake();
            laid += layer.perSheet() == 0 ? layer.laidGrams() * of : inSheets(stack, layer, sheet, whole);
            laid += layer.grams() > 0 ? layer.design().handling().keeps() : 0;
        }
        near(all.total(), laid, 1e-6 * laid, where + ": laid in all");
        double targets = sheet.layers().stream()
                .mapToDouble(t -> t.window().targetGrams() * t.perPiece())
                .sum();
        near(targets, sheet.bar().pieceGrams(), 1e-9 * targets, where + ": the layers' targets are the piece");
        int halves = stack.frame() instanceof Frame.Moulded m ? m.halves() : 1;
        sheet.layers().forEach(t -> {
            boolean one = stack.layer(t.key()).orElseThrow().design().handling().oneHalf();
            assertEquals(t.perPiece(), Integer.valueOf(one ? 1 : halves), where);
        });
    }

    /** Whole sheets by their own size, or pieces one by one, with what breaks; every sheet of the generator is of one layer. */
    private static double inSheets(BarStack stack, StackLayer layer, RunSheet sheet, boolean whole) {
        Handling handling = layer.design().handling();
        int halves = stack.frame() instanceof Frame.Moulded m && !handling.oneHalf() ? m.halves() : 1;
        int needed = layer.design().repeat()
                * (whole ? sheet.carriers().fills() : sheet.pieces().toMake() * halves);
        int made = (int) Math.ceil(needed / (1 - handling.spareFraction()) - 1e-9);
        int sheets = (made + layer.perSheet() - 1) / layer.perSheet();
        double cut = layer.design().repeat() * (whole ? 1.0 / sheet.carriers().cavities() : halves);
        CutFrom from = handling.cutFrom();
        if (from == null) {
            return made * layer.laidGrams() * (1 - handling.spareFraction()) / cut;
        }
        double areaMm2 = whole
                ? ((Frame.Cut) stack.frame()).cut().lengthMm()
                        * ((Frame.Cut) stack.frame()).cut().widthMm()
                : layer.design().insert().outlineMm2();
        double net = whole ? layer.grams() / (1 - outside((Frame.Cut) stack.frame())) : layer.grams();
        return sheets * from.lengthMm() * from.widthMm() * net / cut / areaMm2;
    }

    /** Share of a slab that no piece keeps, rounded corners too. */
    private static double outside(Frame.Cut cut) {
        double piece = cut.cut().alongMm() * cut.cut().acrossMm() - (4 - Math.PI) * cut.cornerMm() * cut.cornerMm();
        return 1
                - cut.cut().pieces() * piece / (cut.cut().lengthMm() * cut.cut().widthMm());
    }

    private static void isOnTheList(RunSheet sheet, String where) {
        Map<String, Double> wanted = new HashMap<>();
        sheet.formulas().forEach(f -> f.lines().forEach(l -> wanted.merge(l.ingredient(), l.grams(), Double::sum)));
        sheet.couvertures().forEach(c -> wanted.merge(c.slug(), c.plainGrams(), Double::sum));
        sheet.couvertures().stream()
                .flatMap(c -> c.tint().stream())
                .forEach(t -> wanted.merge(t.ingredient(), t.grams(), Double::sum));
        sheet.laid().forEach(l -> wanted.merge(l.key().substring(5), l.deposit().total(), Double::sum));
        assertEquals(sheet.weighing().size(), wanted.size(), where);
        sheet.weighing().forEach(w -> near(w.grams(), wanted.get(w.ingredient()), 1e-6, where + " " + w));
    }

    /** Every formula is weighed out, made and weighed back, parts first; every layer is laid, its formula made and its bowl melted before. */
    private static void isWorked(RunSheet sheet, String where) {
        List<BenchStep> steps = sheet.steps();
        List<String> ids = steps.stream().map(BenchStep::id).toList();
        assertEquals(ids.stream().distinct().count(), (long) ids.size(), where + " " + ids);
        assertEquals(
                sheet.firstPots().size(),
                sheet.formulas().stream().mapToInt(FormulaBatch::batches).sum(),
                where);
        for (FormulaBatch whole : sheet.formulas()) {
            near(
                    sheet.firstPots(whole.key()).stream()
                            .mapToDouble(f -> f.uses().takenGrams())
                            .sum(),
                    whole.uses().takenGrams(),
                    1e-6,
                    where);
        }
        for (FormulaBatch batch : sheet.firstPots()) {
            int out = ids.indexOf("weigh:" + FormulaBatch.wholeKey(batch.key()));
            int back = ids.indexOf("mix:" + batch.key());
            assertTrue(out >= 0 && out < back, where + " " + batch.name());
            assertEquals(ids.contains("cook:" + batch.key()), batch.cooked() || batch.byEye(), where);
            for (FormulaBatch user : sheet.formulas()) {
                boolean part = batch.taken().containsKey(user.name());
                assertTrue(!part || back < ids.indexOf("weigh:" + user.key()), where + " " + batch.name());
            }
        }
        for (LayerTarget layer : sheet.layers()) {
            List<Integer> laid = java.util.stream.IntStream.range(0, steps.size())
                    .filter(i -> steps.get(i).layer().equals(layer.key()))
                    .boxed()
                    .toList();
            assertEquals(laid.size(), 1, where + " " + layer.key());
            for (String component : List.of(
                    layer.component(),
                    layer.laid().mixed().map(LaidFrom.Mixed::component).orElse(""))) {
                boolean made = sheet.formula(component).isPresent();
                boolean bowl = sheet.couverture(component).isPresent() && !strewn(layer);
                List<BenchStep> before = steps.subList(0, laid.get(0));
                boolean melted = before.stream()
                        .anyMatch(s -> s.component().equals(component)
                                && (s.kind() == StepKind.TEMPER || s.id().startsWith("melt:")));
                boolean mixed = sheet.firstPots(component).stream()
                        .allMatch(b -> before.stream().anyMatch(s -> s.id().equals("mix:" + b.key())));
                assertTrue(!bowl || melted, where + " " + layer.key() + " of " + component);
                assertTrue(!made || mixed, where + " " + layer.key() + " of " + component);
            }
        }
    }

    private static boolean strewn(LayerTarget layer) {
        return List.of("INCLUSION", "TOPPING", "INSERT").contains(layer.kind());
    }

    @Test
    public void theLedgerOfASimulatedBenchCloses() {
        SplittableRandom random = new SplittableRandom(52);
        RandomWays bars = bars(random);
        for (int n = 0; n < RUNS; n++) {
            Planned planned = next(bars, random);
            RunSheet sheet = planned.sheet;
            SimulatedBench bench = new SimulatedBench(planned, random);
            RunAccount account = RunAccount.of(sheet, BenchState.of(sheet, bench.entries), Bounds.shipped());
            for (MassFlow flow : account.flows()) {
                String where = "seed 52, run " + n + " " + flow;
                assertTrue(flow.measured(), where);
                double out = flow.outs().stream()
                        .mapToDouble(o -> o.amount().measured())
                        .sum();
                MassFlow.Amount there = flow.weighed();
                double in = there.measured() == null ? there.planned() : there.measured();
                near(out, in, 1e-6 * Math.max(1, out), where);
                MassFlow.Way left = flow.outs().get(flow.outs().size() - 1).way();
                near(flow.of(left).measured(), bench.left.get(flow.key()), 1e-6 * Math.max(1, out), where);
                assertNotNull(flow.of(MassFlow.Way.GOOD).measured(), where);
                assertEquals(flow.question(), MassFlow.Question.NONE, where);
            }
        }
    }

    /** A bench whose truth is known: every pot, every piece and what stays behind. The account must find the last by itself. */
    private static final class SimulatedBench {

        private final List<BenchEntry> entries = new ArrayList<>();
        private final Map<String, Double> left = new HashMap<>();
        private final Map<String, Double> laid = new HashMap<>();
        private final SplittableRandom random;

        SimulatedBench(Planned planned, SplittableRandom random) {
            this.random = random;
            RunSheet sheet = planned.sheet;
            int pieces = sheet.pieces().toMake();
            int good = (int) Math.round(pieces * (0.5 + 0.5 * random.nextDouble()));
            if (good > 0) {
                enter(new Tally(PieceOutcome.GOOD, good, ""));
            }
            if (pieces > good) {
                enter(new Tally(PieceOutcome.REJECTED, pieces - good, "leak"));
            }
            // Every piece a little lighter than planned, so that what there is suffices.
            Map<String, Double> shares = new HashMap<>();
            for (LayerTarget layer : sheet.layers()) {
                shares.put(layer.key(), 0.94 + 0.05 * random.nextDouble());
            }
            for (LayerTarget layer : sheet.layers()) {
                double each = layer.window().targetGrams() * shares.get(layer.key());
                if (layer.window().targetGrams() > 0) {
                    enter(new WeighIn(layer.key(), 100 + 3 * each, 100, 3));
                }
            }
            for (FormulaBatch f : sheet.formulas()) {
                double finished = 0;
                for (FormulaBatch one : sheet.firstPots(f.key())) {
                    double grams = one.finishedGrams() * (1 - 0.001 * random.nextDouble());
                    enter(new StepDone((f.cooked() ? "cook:" : "mix:") + one.key(), grams));
                    finished += grams;
                }
                left.put(f.key(), finished - f.uses().takenGrams() - laid(sheet, f.key(), f.deposit(), shares));
            }
            for (CouvertureBatch c : sheet.couvertures()) {
                double back = Math.max(
                        0.01, (c.melt().pouredGrams() + c.melt().bowlGrams()) * (0.9 + 0.2 * random.nextDouble()));
                enter(new BowlLeft(c.key(), back, null));
                left.put(c.key(), c.meltGrams() - back - laid(sheet, c.key(), c.deposit(), shares));
            }
            for (LaidBatch l : sheet.laid()) {
                left.put(l.key(), l.deposit().total() - laid(sheet, l.key(), l.deposit(), shares));
            }
        }

        /** What was really laid of a component: all of it by the share that its layers came out lighter. */
        private static double laid(RunSheet sheet, String key, Deposit deposit, Map<String, Double> shares) {
            double planned = 0;
            double real = 0;
            for (LayerTarget layer : sheet.layers()) {
                double grams = layer.shareOf(key) * layer.window().targetGrams() * layer.perPiece();
                planned += grams;
                real += grams * shares.get(layer.key());
            }
            return planned == 0 ? deposit.kept() : (deposit.total() - deposit.kept()) * real / planned + deposit.kept();
        }

        private void enter(EntryBody body) {
            entries.add(new BenchEntry(
                    entries.size() + 1,
                    new UUID(7, entries.size()),
                    body,
                    Instant.parse("2026-03-01T08:00:00Z"),
                    "Ada",
                    null,
                    false));
        }
    }
}
