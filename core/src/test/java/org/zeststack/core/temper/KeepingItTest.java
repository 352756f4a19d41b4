package org.zeststack.core.temper;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static org.zeststack.core.Near.near;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.temper.Setting.Where;

/** A bowl in temper kept, worked and handed over. */
public class KeepingItTest {

    private static final TemperWindow DARK = TemperWindow.of("dark");

    @Test
    public void whatIsFedBringsTheBowlBackToTheJoule() {
        SplittableRandom random = new SplittableRandom(11);
        for (int i = 0; i < 500; i++) {
            double grams = 200 + 3000 * random.nextDouble();
            Bowl bowl = new Bowl(1500 * random.nextDouble(), Bowl.Material.values()[random.nextInt(3)]);
            double celsius = 26 + 3 * random.nextDouble();
            double to = 29.5 + 2.5 * random.nextDouble();
            double warm = 33 + 12 * random.nextDouble();
            Feed feed = Feed.of(grams, bowl, celsius, to, warm);
            double given = feed.grams() * 1.65 * (warm - to);
            double taken = (grams * 1.65 + bowl.joulesPerKelvin()) * (to - celsius);
            near(given / taken, 1, 1e-9, "heat given and taken");
            near(feed.share(), feed.grams() / (feed.grams() + grams), 1e-12, "share");
        }
    }

    @Test
    public void aFifthIsFedWithoutAnotherProof() {
        // without a bowl: m / M = (T2 − T1) / (Tw − T2); 2.5 / 10 is a fifth of the whole
        assertFalse(Feed.of(1000, Bowl.NONE, 28.5, 31, 41).provesAgain(Bounds.shipped()));
        assertTrue(Feed.of(1000, Bowl.NONE, 28.4, 31, 41).provesAgain(Bounds.shipped()));
    }

    @DataProvider
    public Object[][] wrongFeeds() {
        return new Object[][] {
            {1000, 31, 31, 40, "leftCelsius"},
            {1000, 28, 31, 31.9, "warmCelsius"},
            {1000, 28, 31, 45.1, "warmCelsius"},
            {1000, 28, 33.9, 40, "toCelsius"},
            {1000, 28, 33, 33, "warmCelsius"},
            {0, 28, 31, 40, "leftGrams"},
        };
    }

    @Test(dataProvider = "wrongFeeds")
    public void aFeedThatCannotBeIsTold(double grams, double celsius, double to, double warm, String field) {
        InvalidInput told = expectThrows(InvalidInput.class, () -> Feed.of(grams, Bowl.NONE, celsius, to, warm));
        assertEquals(told.faults().get(0).field(), field);
    }

    @Test
    public void itThickensThroughItsWindowsWithoutAGap() {
        for (String kind : List.of("dark", "milk", "white", "blond", "ruby")) {
            TemperWindow window = TemperWindow.of(kind);
            Thickness[] all = Thickness.values();
            assertEquals(all[0].celsius(window), window.work());
            for (int i = 1; i < all.length; i++) {
                assertEquals(
                        all[i].celsius(window).greatest(),
                        all[i - 1].celsius(window).least(),
                        kind);
            }
        }
        assertEquals(Say.metric(Thickness.BENDS.celsius(DARK).inWords()), "24 to 27 °C");
    }

    /** Common practice, no source: 12 min at 12 °C on a line, shells 10 to 20 min in the refrigerator, about 5 in the freezer. */
    @Test
    public void settingTakesWhatTheTradeSays() {
        Setting.Layer coat = new Setting.Layer(DARK, 0.36, 5, 1);
        near(Setting.minutes(coat, Where.LINE, 12), 12, 3, "a bar on a line");
        Setting.Layer shell = new Setting.Layer(DARK, 0.36, 2, 1);
        double cold = Setting.minutes(shell, Where.REFRIGERATOR, 5);
        assertTrue(cold > 6 && cold < 20, "shell in the refrigerator: " + cold);
        double frozen = Setting.minutes(shell, Where.FREEZER, -18);
        assertTrue(frozen > 2.5 && frozen < 6, "in the freezer: " + frozen);
        assertTrue(Setting.minutes(coat, Where.ROOM, 18) > 20, "in a room it takes its time");
        assertTrue(Setting.minutes(shell, Where.FROZEN, -18) < 0.6, "on a frozen surface at once");
    }

    @Test
    public void settingIsProportionalToWhatMustLeave() {
        Setting.Layer one = new Setting.Layer(DARK, 0.36, 2, 1);
        double minutes = Setting.minutes(one, Where.REFRIGERATOR, 5);
        near(
                Setting.minutes(new Setting.Layer(DARK, 0.36, 4, 1), Where.REFRIGERATOR, 5),
                2 * minutes,
                1e-9,
                "twice as thick");
        near(
                Setting.minutes(new Setting.Layer(DARK, 0.36, 2, 2), Where.REFRIGERATOR, 5),
                minutes / 2,
                1e-9,
                "two faces");
        // 1270 g/m² a mm × 2; 1.40 ln(26/19) + 137 × 0.36 × 0.6 / 22.5; over 12 W/m²K
        double byHand = 2540 * (1.40 * Math.log(26.0 / 19) + 137 * 0.36 * 0.6 / (27.5 - 5)) / 12 / 60;
        near(minutes, byHand, 1e-9, "by hand");
        double bends = Setting.minutes(one, Where.ROOM, 20, 27);
        // 4 of the 7 K from 31 to 24 °C are gone at 27
        double bendsByHand = 2540 * (1.40 * Math.log(11.0 / 7) + 137 * 0.36 * 0.6 * 4 / 7 / (29 - 20)) / 8 / 60;
        near(bends, bendsByHand, 1e-9, "it bends before it is set");
        InvalidInput warm = expectThrows(InvalidInput.class, () -> Setting.minutes(one, Where.ROOM, 23.5));
        assertEquals(warm.faults().get(0).field(), "airCelsius");
        Setting.minutes(one, Where.ROOM, 23);
    }

    private static HandOver.Of bowl(String name, String kind, String... allergens) {
        return new HandOver.Of(name, kind, Set.of(allergens));
    }

    @Test
    public void theTwoOrdersAreToldApart() {
        HandOver.Of plain = bowl("Dark 66", "dark");
        HandOver.Of white = bowl("White 30", "white", "milk");
        HandOver.Of milk = bowl("Milk 38", "milk", "milk");
        HandOver order = HandOver.of(List.of(white, plain, milk));
        assertEquals(order.byAllergen(), List.of(plain, white, milk));
        assertEquals(order.byColour(), List.of(white, milk, plain));
        assertFalse(order.agree());
        assertEquals(order.washes().size(), 1, "dark specks show in white: " + order.washes());
        assertTrue(
                order.washes().get(0).contains("specks of Dark 66"),
                order.washes().toString());
    }

    @Test
    public void darkIsFirstOnlyIfItIsFreeOfMilk() {
        HandOver.Of dark = bowl("Dark with milk", "dark", "milk", "soya");
        HandOver.Of white = bowl("White", "white", "milk");
        HandOver order = HandOver.of(List.of(dark, white));
        assertEquals(order.byAllergen(), List.of(white, dark));
        assertTrue(order.agree());
        assertEquals(order.washes(), List.of());
    }

    @Test
    public void whatTheNextDoesNotBringIsWashedOff() {
        HandOver.Of nut = bowl("Nut milk", "milk", "milk", "nuts");
        HandOver.Of soya = bowl("Soya dark", "dark", "soya");
        HandOver.Of wheat = bowl("Crisp white", "white", "gluten", "milk");
        HandOver order = HandOver.of(List.of(nut, soya, wheat));
        assertEquals(order.byAllergen(), List.of(soya, wheat, nut));
        String washes = String.join(" ", order.washes());
        assertTrue(washes.contains("Before Crisp white: wash off soya"), washes);
        assertTrue(washes.contains("Before Nut milk: wash off gluten, soya"), "of all before it: " + washes);
    }

    private static Coating coating(double centre, double coatMm, double seconds, double room) {
        return Coating.of(new Coating.Piece(DARK, 0.36, centre, coatMm, 48, seconds, room), Bounds.shipped());
    }

    /** Four or five are dipped and then finished (common practice, no source). */
    @Test
    public void aFewAreDippedBeforeTheyAreFinished() {
        Coating usual = coating(20, 1.2, 10, 20);
        assertTrue(usual.piecesOpen() >= 2 && usual.piecesOpen() <= 5, usual.toString());
        assertTrue(coating(23, 1.2, 10, 20).openSeconds() > usual.openSeconds(), "a warm centre keeps it open");
        assertTrue(coating(20, 2.4, 10, 20).openSeconds() > usual.openSeconds(), "a thick coat too");
        assertEquals(coating(20, 0.5, 600, 20).piecesOpen(), 1, "one at a time at least");
        near(usual.coatGrams(), 48 * 0.12 * 1.27, 1e-9, "weight of the coat");
        // per m²: 1000 × 1.27 × 1.2 × 1.65 J/K; 8 + 15 W/K to 20 °C, from 31 to 28 °C
        near(usual.openSeconds(), 1270 * 1.2 * 1.65 / 23 * Math.log(11 / 8.0), 1e-9, "by hand");
    }

    @DataProvider
    public Object[][] centres() {
        return new Object[][] {{15.9, "cold"}, {16, ""}, {25, ""}, {25.1, "warm"}};
    }

    @Test(dataProvider = "centres")
    public void aCentreIsNeitherColdNorWarm(double centre, String told) {
        if (told.isEmpty()) {
            assertEquals(
                    coating(centre, 1.2, 10, 20).centre().inWords(),
                    Bounds.shipped().of("centre-warmth").words());
            return;
        }
        InvalidInput fault = expectThrows(InvalidInput.class, () -> coating(centre, 1.2, 10, 20));
        assertEquals(fault.faults().get(0).field(), "centreCelsius");
        assertTrue(fault.faults().get(0).message().contains("too " + told), fault.getMessage());
    }

    @Test
    public void pickUpIsWhatTheScaleSays() {
        Coating.PickUp pickUp = Coating.PickUp.of(200, 250, 10);
        near(pickUp.grams(), 5, 1e-12, "a piece");
        near(pickUp.sharePercent(), 20, 1e-12, "of the coated piece");
        near(pickUp.forPieces(96), 480, 1e-9, "for all");
        assertEquals(
                expectThrows(InvalidInput.class, () -> Coating.PickUp.of(250, 250, 10))
                        .faults()
                        .get(0)
                        .field(),
                "afterGrams");
        near(Coating.sheetSquareCm(127, 2), 500, 1e-9, "127 g are 100 mL: 500 cm² of 2 mm");
    }

    @Test
    public void aPaletteIsSharedOutByItsParts() {
        Palette palette = Palette.of("3 red\n1/2 deep blue; 0.5 white", 40);
        assertEquals(palette.parts().stream().map(Palette.Shade::name).toList(), List.of("red", "deep blue", "white"));
        near(palette.parts().get(0).grams(), 30, 1e-9, "three of four parts");
        near(palette.parts().get(1).grams(), 5, 1e-9, "half a part");
        for (String wrong : List.of("", "red", "0 red", "1001 red", "1 a;".repeat(13))) {
            InvalidInput told = expectThrows(InvalidInput.class, () -> Palette.of(wrong, 40));
            assertEquals(told.faults().get(0).field(), "palette", wrong);
        }
        Palette.of("1 a;".repeat(12), 40);
    }

    @Test
    public void everyTechniqueOfColourHasItsWindow() {
        for (Colouring colour : Colouring.all()) {
            colour.warm()
                    .ifPresent(w -> assertTrue(w.greatest() < TemperWindow.FORM_V_MELTS_CELSIUS, colour.technique()));
        }
        assertTrue(Colouring.of("LEAF").orElseThrow().caution().contains("never craft leaf"));
        assertTrue(Colouring.of("STREW").isEmpty());
        assertEquals(Colouring.all().size(), 8);
    }

    @Test
    public void aCoatThatNeverSetsIsRefused() {
        // One that is worked at 23 to 24 °C, in a room of 24 on a centre of 25: (8 × 24 + 15 × 25) / 23 = 24.7 °C.
        InvalidInput fault = expectThrows(
                InvalidInput.class,
                () -> Coating.of(
                        new Coating.Piece(
                                TemperWindow.own(new TemperWindow.Limits(40, 42, 20, 21, 23, 24)),
                                0.36,
                                25,
                                1.2,
                                48,
                                10,
                                24),
                        Bounds.shipped()));
        assertEquals(fault.faults().get(0).field(), "centreCelsius");
        assertTrue(fault.getMessage().contains("never sets"), fault.getMessage());
    }

    /** Every kind is told apart by its words. */
    @Test
    public void everyKindHasWordsOfItsOwn() {
        List<List<String>> told = List.of(
                Arrays.stream(Where.values()).map(Where::words).toList(),
                Arrays.stream(Thickness.values()).map(Thickness::words).toList(),
                Arrays.stream(Thickness.values()).map(Thickness::sign).toList(),
                Arrays.stream(Method.values()).map(Method::words).toList(),
                Arrays.stream(Bowl.Material.values()).map(Bowl.Material::words).toList(),
                Arrays.stream(Untempered.values())
                        .map(u -> u.lines().toString())
                        .toList(),
                Arrays.stream(Untempered.values())
                        .map(u -> u.consequences().toString())
                        .toList());
        for (List<String> words : told) {
            assertEquals(Set.copyOf(words).size(), words.size(), words.toString());
            assertTrue(words.stream().noneMatch(w -> w.isBlank() || w.equals("[]")), words.toString());
        }
        assertTrue(Where.FREEZER.celsius() < 0 && Where.REFRIGERATOR.celsius() > 0, "colder the colder it is called");
        assertTrue(Arrays.stream(Where.values()).noneMatch(w -> w.usual().isBlank()), "and how it usually is");
        assertEquals(Coating.withGrain().size(), 3);
        near(Seed.liquidJoulesPerKelvin(1000), 1650, 1e-9, "1.65 J/(g K)");
    }

    /** Of as many allergens the lighter comes first; bowls of one colour need no wash for it. */
    @Test
    public void ofEquallyManyAllergensTheLighterComesFirst() {
        HandOver order = HandOver.of(List.of(bowl("Milk 38", "milk", "milk"), bowl("White 30", "white", "milk")));
        assertEquals(order.byAllergen().get(0).name(), "White 30");
        assertEquals(order.byColour().get(0).name(), "White 30");
        assertEquals(order.washes(), List.of(), "and no specks show in the darker one");
        HandOver same = HandOver.of(List.of(bowl("Dark 66", "dark", "soya"), bowl("Dark 58", "dark", "soya")));
        assertEquals(same.washes(), List.of());
        HandOver less = HandOver.of(List.of(bowl("B", "dark", "milk", "soya"), bowl("A", "dark", "soya")));
        assertEquals(less.byColour().get(0).name(), "A", "of one colour the one with fewer allergens first");
    }
}
