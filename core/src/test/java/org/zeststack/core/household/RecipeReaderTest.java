package org.zeststack.core.household;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.zeststack.core.Near.near;

import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import org.zeststack.core.ingredient.IngredientTable;

/** Recipes as people paste them; invented for these tests. */
public class RecipeReaderTest {

    private static final RecipeReader READER = new RecipeReader(new LineReader(IngredientTable.shipped()));

    private static Recipe read(String text) {
        return READER.read(text, Measures.US);
    }

    @Test
    public void takesATidyRecipeApart() {
        Recipe recipe = read("""
                Lighthouse caramels
                Makes 40 pieces

                Ingredients:
                1 1/2 cups heavy cream
                2 cups sugar
                ½ cup light corn syrup
                6 tbsp butter, cubed
                1 tsp flaky salt

                Method
                1. Line a 9x13 inch pan. Heat the cream until steaming.
                2. Boil the sugar, syrup and cream to 245°F, stirring, about 20 minutes.
                3. Off the heat stir in butter and salt. Pour into the pan and let cool 2 hours.
                """);
        assertEquals(recipe.title(), "Lighthouse caramels");
        assertEquals(recipe.yields(), "Makes 40 pieces");
        assertEquals(
                recipe.lines().stream().map(l -> l.read().ingredient()).toList(),
                List.of("cream-35", "sugar", "corn-syrup-light", "butter", "sea-salt-flakes"));
        assertEquals(recipe.steps().size(), 5);
        near(recipe.stopCelsius(), 118.3, 0.05, "245 °F");
        assertTrue(recipe.steps().get(2).cue().contains("245"), recipe.steps().toString());
        assertTrue(
                recipe.steps().get(2).cue().contains("20 minutes"),
                recipe.steps().toString());
        assertEquals(recipe.steps().get(4).restMinutes(), 120.0);
        assertTrue(recipe.rest().isEmpty(), recipe.rest().toString());
    }

    /** What the reader of a line keeps, the reader of a recipe keeps: alone where it has an amount, below a title, among others, below a heading. */
    @Test(dataProvider = "several", dataProviderClass = LineReaderTest.class)
    public void noNameOfALineVanishesInARecipe(String line, List<String> names, List<Double> grams) {
        boolean title = grams.stream().allMatch(g -> g.isNaN());
        for (String around : List.of(
                title ? "Toffee\n%s" : "%s", "Toffee\n1 cup rolled oats\n%s\nBoil to 245 F.", "Ingredients\n%s")) {
            Recipe recipe = read(around.formatted(line));
            List<String> found = recipe.lines().stream()
                    .map(l -> l.read().ingredient())
                    .filter(slug -> !around.contains("oats") || !"oats-rolled".equals(slug))
                    .toList();
            assertEquals(found, names, around.formatted(line) + " " + recipe);
        }
    }

    @Test
    public void aTitleMayStandBeforeItsListOnOneLine() {
        Recipe recipe = read("Peanut brittle: 2 cups sugar, 1/2 cup water, 2 tbsp butter");
        assertEquals(recipe.title(), "Peanut brittle");
        assertEquals(
                recipe.lines().stream().map(l -> l.read().ingredient()).toList(), List.of("sugar", "water", "butter"));
        for (String line : List.of("Sugar: 300 g", "sugar: 1 kg 200", "Sugar: 300 g, sifted")) {
            Recipe one = read(line);
            assertEquals(one.title(), "", line);
            assertEquals(one.lines().stream().map(l -> l.read().ingredient()).toList(), List.of("sugar"), line);
        }
    }

    @Test
    public void aShortOrderWithAReadingIsTheStop() {
        Recipe recipe = read("Crunch\n1 lb butter\n2 cups sugar\nCook to 300F.");
        near(recipe.stopCelsius(), 148.9, 0.05, "300 °F");
        assertEquals(recipe.rest(), List.of());
    }

    @Test
    public void stepsNumberedOnOneLineAreSteps() {
        Recipe recipe =
                read("Method\n1. Heat cream to 80 C. 2. Pour it over, wait 2 minutes. 3) At 35 C stir in butter.");
        assertEquals(
                recipe.steps().stream().map(Recipe.Step::action).toList(),
                List.of("Heat cream to 80 C", "Pour it over, wait 2 minutes", "At 35 C stir in butter"));
    }

    @Test
    public void whatIsDoneToFoodIsNoLineOfIt() {
        for (String step : List.of(
                "Cream butter and 1 cup sugar",
                "Cream the butter and 200 g sugar",
                "Oil tin, flour and 1 cup sugar",
                "Mix flour, salt and 1 cup sugar",
                "Warm cream and 2 tbsp sugar")) {
            Recipe recipe = read("1 cup rolled oats\n" + step);
            assertEquals(recipe.lines().size(), 1, recipe.toString());
            assertEquals(recipe.steps().get(0).action(), step);
        }
    }

    @Test
    public void readsOneWithoutHeadings() {
        Recipe recipe = read("""
                Oat base
                225 g plain flour
                100g rolled oats
                175 g butter
                75 g caster sugar
                Rub the butter into the flour, stir in oats and sugar.
                Press into a lined tray and bake at 160 °C for 25 minutes until golden.
                """);
        assertEquals(recipe.title(), "Oat base");
        assertEquals(recipe.lines().size(), 4);
        assertEquals(recipe.steps().size(), 2);
        assertEquals(recipe.stopCelsius(), null, "an oven is no pot");
    }

    @Test
    public void keepsSectionsAndLosesNothing() {
        Recipe recipe = read("""
                Two layers
                For the base:
                200 g wheatmeal biscuits
                100 g butter
                For the caramel:
                1 tin condensed milk
                a knob of something odd
                Method:
                Crush. Press. Boil.
                """);
        assertEquals(recipe.lines().get(0).section(), "For the base");
        assertEquals(recipe.lines().get(2).section(), "For the caramel");
        assertEquals(recipe.lines().size(), 4, "the odd line is kept and marked");
        assertTrue(!recipe.lines().get(3).read().guesses().isEmpty());
    }

    @Test
    public void aLineWithTwoAmountsBecomesTwo() {
        Recipe recipe = read("Mix\nIngredients\n100 g sugar and 50 g butter\nMethod\nStir.");
        assertEquals(recipe.lines().size(), 2);
        assertEquals(recipe.lines().get(1).read().grams(), 50.0);
    }

    /** Every written line must be found again: as title, line, step, yield, heading or rest. */
    @Test
    public void whateverIsPastedNothingIsDropped() {
        Random random = new Random(21);
        String[] pieces = {
            "1 cup sugar", "200 g butter, melted", "a dollop of something", "For the topping:", "Makes 12",
                    "Stir it well.",
            "2. Boil to 118 \u00b0C, stirring.", "honey", "My notes on this", "Bake at 160 \u00b0C until golden.",
                    "3 eggs", "***",
        };
        for (int round = 0; round < 200; round++) {
            StringBuilder text = new StringBuilder();
            for (int i = 0; i <= random.nextInt(12); i++) {
                text.append(pieces[random.nextInt(pieces.length)]).append('\n');
            }
            Recipe recipe = read(text.toString());
            StringBuilder found = new StringBuilder(recipe.title()).append(recipe.yields());
            recipe.lines()
                    .forEach(l -> found.append(l.section()).append(l.read().source()));
            recipe.steps().forEach(s -> found.append(s.action()));
            recipe.rest().forEach(found::append);
            for (String line : text.toString().split("\n")) {
                String core = line.replaceAll("^[0-9]\\. |[.:]$", "");
                boolean heading = line.endsWith(":");
                assertTrue(heading || found.toString().contains(core), "seed 21: " + line + " in " + recipe);
            }
        }
    }
}
