package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/** Plans of the methods; the courses are common practice, no source, the figures heat balances. */
public class TemperPlanTest {

    @DataProvider
    public Object[][] kinds() {
        return new Object[][] {{"dark"}, {"milk"}, {"white"}, {"blond"}, {"ruby"}};
    }

    private static TemperPlan plan(Method method, String kind, double grams, Bowl bowl) {
        return TemperPlan.of(method, new TemperPlan.Of(TemperWindow.of(kind), grams, 0.36, bowl, 20, true));
    }

    private static String words(TemperPlan plan) {
        return Say.metric(plan.lines().stream().map(TemperPlan.Line::words).collect(Collectors.joining(" ")));
    }

    @Test(dataProvider = "kinds")
    public void seedLandsInTheMiddleOfTheWindow(String kind) {
        TemperWindow window = TemperWindow.of(kind);
        for (Bowl bowl : new Bowl[] {Bowl.NONE, new Bowl(900, Bowl.Material.GLASS)}) {
            TemperPlan plan = plan(Method.SEED, kind, 1500, bowl);
            near(plan.meltGrams() + plan.seedGrams(), 1500, 1e-9, "nothing is made beyond the bowl");
            double melted = (window.meltOut().least() + window.meltOut().greatest()) / 2;
            double middle = (window.work().least() + window.work().greatest()) / 2;
            Seed.Melt melt = new Seed.Melt(plan.meltGrams(), melted, middle, bowl);
            near(Seed.lands(melt, plan.seedGrams(), 20, 0.36), middle, 1e-9, "the balance read the other way");
            near(Seed.of(melt, 20, 0.36, 1).grams(), plan.seedGrams(), 1e-9, "and by the seed's own");
        }
        double share = plan(Method.SEED, kind, 1500, Bowl.NONE).seedGrams() / 1500;
        assertTrue(
                share > 0.2 && share < 0.35, "a quarter to a third of the bowl (common practice, no source): " + share);
        String words = words(plan(Method.SEED, "dark", 1000, Bowl.NONE));
        assertTrue(words.contains("lift out"), words);
    }

    /** Seed in pieces is what the balance of seed says where so much of it melts: what is lifted out was warmed too. */
    @Test(dataProvider = "kinds")
    public void seedInPiecesIsThatOfTheBalance(String kind) {
        TemperWindow window = TemperWindow.of(kind);
        double melted = (window.meltOut().least() + window.meltOut().greatest()) / 2;
        double middle = (window.work().least() + window.work().greatest()) / 2;
        for (Bowl bowl : new Bowl[] {Bowl.NONE, new Bowl(900, Bowl.Material.GLASS)}) {
            double stirred = plan(Method.SEED, kind, 1500, bowl).doses().stirredGrams();
            double melt = 1500 - 0.7 * stirred;
            near(
                    Seed.of(new Seed.Melt(melt, melted, middle, bowl), 20, 0.36, 0.7)
                            .grams(),
                    stirred,
                    1e-9,
                    "the same figure in both rooms");
            String words = words(plan(Method.SEED, kind, 1500, bowl));
            assertTrue(
                    words.contains("In pieces: melt %.0f g, stir in %.0f g, lift out about %.0f g"
                            .formatted(melt, stirred, 0.3 * stirred)),
                    words);
        }
    }

    @Test
    public void theSlabSaysHowWarmTheKeptThirdMustBe() {
        String words = words(plan(Method.SLAB, "dark", 900, Bowl.NONE));
        assertTrue(words.contains("600 g on the slab") && words.contains("keep 300 g"), words);
        // (31 − 2/3 × 27.5) / (1/3) = 38
        assertTrue(words.contains("must stand at 38.0 °C"), words);
    }

    @Test
    public void iceTakesWhatTheBowlGivesUp() {
        String words = words(plan(Method.BATH, "dark", 1000, Bowl.NONE));
        // 1000 × 1.65 × (47.5 − 27.5) = 33 kJ; 1000 g of water from 18 to 15 °C 12.6 kJ more; / (334 + 62.9) = 115 g
        assertTrue(words.contains("1000 g of cold water with 115 g of ice"), words);
        assertTrue(words.contains("seizes it"), words);
    }

    @Test
    public void aPartialMeltNeverLeavesItsWindowAndGlassIsToldOf() {
        String plastic = words(plan(Method.PARTIAL, "milk", 400, new Bowl(200, Bowl.Material.POLYPROPYLENE)));
        assertTrue(plastic.contains("Never over 30.5 °C"), plastic);
        assertTrue(!plastic.contains("Glass"), plastic);
        assertTrue(words(plan(Method.PARTIAL, "milk", 400, new Bowl(800, Bowl.Material.GLASS)))
                .contains("Glass holds heat"));
        assertEquals(plan(Method.PARTIAL, "milk", 400, Bowl.NONE).seedGrams(), 0, 0);
        // 250 W for at most 30 s: 7.5 kJ on 3000 × 1.65 J/K are 1.5 K
        TemperPlan big = plan(Method.PARTIAL, "dark", 3000, Bowl.NONE);
        assertEquals(big.doses().burstSeconds(), 30, 0);
        assertTrue(
                Say.metric(big.lines().get(0).why()).contains("a burst brings about 1.5 K"),
                big.lines().toString());
        // 100 g would be 12 K warmer after 8 s of it: at 80 W 165 J/K are 3 K warmer after 6.2 s
        TemperPlan small = plan(Method.PARTIAL, "dark", 100, Bowl.NONE);
        near(small.doses().burstSeconds(), 165 * 3 / 80.0, 1e-9, "at the lowest power");
        assertTrue(words(small).contains("bursts of 6 s at the lowest power"), words(small));
        assertTrue(
                Say.metric(small.lines().get(0).why()).contains("a burst brings about 3.0 K"),
                small.lines().toString());
        // 8 s at half power are 3 K for 2000 / 3 J/K, 404.04 g
        assertTrue(words(plan(Method.PARTIAL, "dark", 405, Bowl.NONE)).contains("8 s at half power"));
        assertTrue(words(plan(Method.PARTIAL, "dark", 404, Bowl.NONE)).contains("at the lowest power"));
    }

    /** What is said while a bowl comes down names the degrees of its plan: one method is one thing in both. */
    @Test
    public void whatIsSaidAtTheBowlIsWhatItsPlanSays() {
        TemperWindow window = TemperWindow.of("dark");
        for (Method method : Method.values()) {
            String plan = words(plan(method, "dark", 900, Bowl.NONE));
            String cooling = Say.metric(method.cooling(window));
            Matcher degrees = Pattern.compile("[0-9.]+ to [0-9.]+ °C").matcher(cooling);
            assertTrue(degrees.find(), cooling);
            assertEquals(plan.contains(degrees.group()), true, method + ": " + cooling + " / " + plan);
            assertEquals(plan.startsWith("Melt 900 g to"), method.rewarms(), plan);
            assertEquals(plan.contains(Say.metric(window.meltOut().inWords())), method.meltsOut(), plan);
        }
    }

    /** Without a thermometer only what stands in the room has degrees, and prepared seed, which cannot be felt. */
    @Test(dataProvider = "kinds")
    public void byFeelNoWindowIsNamed(String kind) {
        TemperWindow window = TemperWindow.of(kind);
        for (Method method : Method.values()) {
            TemperPlan plan = TemperPlan.of(
                    method, new TemperPlan.Of(window, 900, 0.36, new Bowl(800, Bowl.Material.GLASS), 20, false));
            for (Range range : List.of(window.meltOut(), window.coolTo(), window.work())) {
                assertTrue(!words(plan).contains(range.inWords()), method + ": " + words(plan));
            }
            assertTrue(words(plan).contains("Dip a proof"), method + ": " + words(plan));
        }
        String prepared =
                words(TemperPlan.of(Method.PREPARED_SEED, new TemperPlan.Of(window, 900, 0.36, Bowl.NONE, 20, false)));
        assertTrue(prepared.contains("borrow a thermometer"), prepared);
    }

    @Test
    public void preparedSeedIsOnePerCentOfTheBowl() {
        TemperPlan plan = plan(Method.PREPARED_SEED, "dark", 2000, Bowl.NONE);
        assertEquals(plan.seedGrams(), 20, 1e-9);
        assertTrue(words(plan).contains("20.0 g of crystallised cocoa butter of 33 to 34 °C"), words(plan));
    }

    private static final Bowl GLASS = new Bowl(800, Bowl.Material.GLASS);

    /** (1000 × 1.65 + 800 × 0.84) × 16.5 / (1.4 × 11 + 137 × 0.36 + 1.65 × 16.5), by hand. */
    @Test
    public void seedSaysItsBalance() {
        TemperPlan plan = plan(Method.SEED, "dark", 1000, GLASS);
        double seed = 2322 * 16.5 / (15.4 + 49.32 + 27.225);
        near(plan.seedGrams(), seed, 1e-9, "by hand");
        assertEquals(
                Say.metric(plan.lines().get(1).why()),
                "%.0f g × 1.65 and the bowl's 672 J/K give up 16.5 K; each gram of seed takes 1.40 × 11.0 + 137 × 0.36 = 65 J"
                        .formatted(1000 - seed));
    }

    /** (1650 + 672) J/K × 20 K = 46.4 kJ, and the tap's water 12.6 kJ: 148.6 g of ice. */
    @Test
    public void iceTakesWhatTheGlassGivesUpToo() {
        TemperPlan plan = plan(Method.BATH, "dark", 1000, GLASS);
        near(plan.doses().iceGrams(), 1000 * (46.44 + 12.57) / (334 + 4.19 * 15), 1e-9, "by hand");
        assertTrue(
                Say.metric(plan.lines().get(1).why()).startsWith("46 kJ go into the bath"),
                plan.lines().toString());
    }

    /** 1000 g from 20 to 31 °C, three quarters of 360 g of butter melted: 52.4 kJ; glass takes 7.4 kJ more. */
    @Test
    public void burstsAddUpToTheHeatOfAPartialMelt() {
        double[] plain = {1000 * (1.4 * 11 + 137 * 0.36 * 0.75), 1650};
        double[] glass = {plain[0] + 672 * 11, 1650 + 672};
        assertBursts(plan(Method.PARTIAL, "dark", 1000, Bowl.NONE), plain[0], 3 * plain[1] / 250, 11, "52 kJ");
        assertBursts(plan(Method.PARTIAL, "dark", 1000, GLASS), glass[0], 3 * glass[1] / 250, 9, "60 kJ");
        String none = words(plan(Method.PARTIAL, "dark", 1000, new Bowl(0, Bowl.Material.GLASS)));
        assertTrue(!none.contains("Glass holds heat"), none);
        assertTrue(none.contains("about 25 % of the pieces is solid"), none);
    }

    private static void assertBursts(TemperPlan plan, double joules, double seconds, long bursts, String told) {
        near(plan.doses().burstSeconds(), seconds, 1e-9, "one of 3 K");
        assertEquals(plan.doses().bursts(), bursts);
        assertEquals(Math.round(joules / (250 * seconds)), bursts, "250 W");
        assertEquals(plan.doses().burstWatts(), 250.0);
        assertTrue(
                Say.metric(plan.lines().get(0).why()).startsWith(told + " melt about 75 %"),
                plan.lines().toString());
    }

    @Test
    public void oneInAHundredIsPreparedSeed() {
        TemperPlan plan = plan(Method.PREPARED_SEED, "dark", 1000, Bowl.NONE);
        near(plan.seedGrams(), 10, 1e-9, "butter");
        near(plan.meltGrams(), 990, 1e-9, "couverture");
        assertTrue(words(plan).contains("Melt 990 g") && words(plan).contains("Stir in 10.0 g"), words(plan));
        assertTrue(
                Say.metric(plan.lines().get(2).why()).startsWith("1 % of the bowl"),
                plan.lines().toString());
    }
}
