package org.zeststack.core.household;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.core.ingredient.IngredientTable;

/** Readings of a method as the program of a pot: common practice, no source; recipes invented. */
public class RecipeProgramTest {

    private static final RecipeReader READER = new RecipeReader(new LineReader(IngredientTable.shipped()));

    private static final String LINES = """
            Ingredients
            300 g sugar
            60 g glucose syrup DE 42
            250 g cream 35 %
            50 g butter
            3 g salt
            80 g honey
            Method
            """;

    @DataProvider
    public Object[][] programs() {
        return new Object[][] {
            {
                "Melt the sugar dry to 160 °C.\nPour in the hot cream with the glucose.\nBring back to 118 °C.\nOff the heat stir in butter and salt.",
                118.0,
                "sugar POT, glucose POURED 2, cream POURED 2, butter OFF_HEAT 4, salt OFF_HEAT 4, honey -",
                "HAND, POUR at 160 °C, COOK, HAND",
                0
            },
            {
                "Melt the sugar dry to 160 °C, pour in the cream and cook to 118 °C. Stir in the butter.",
                118.0,
                "sugar POT, glucose -, cream POURED 2, butter OFF_HEAT 4, salt -, honey -",
                "HAND, POUR at 160 °C, COOK, HAND",
                0
            },
            {
                "Boil sugar and glucose to 145 °C. In a second pan bring the honey to 122 °C.",
                145.0,
                "sugar POT, glucose POT, cream -, butter -, salt -, honey SECOND_POT 2",
                "COOK, SECOND_POT",
                0
            },
            {
                "Cook the honey to 122 °C. Boil sugar and glucose to 145 °C and pour over the whites.",
                145.0,
                "sugar POT, glucose POT, cream -, butter -, salt -, honey SECOND_POT 1",
                "SECOND_POT, COOK",
                0
            },
            {
                "Boil everything but the salt to 245 °F (118 °C), stirring. Add the salt off the heat.",
                118.3,
                "sugar POT, glucose POT, cream POT, butter POT, salt OFF_HEAT 2, honey POT",
                "COOK, HAND",
                0
            },
            {
                "Warm all except the butter and the salt until dissolved. Boil to 118 °C. Stir in butter and salt and pour.",
                118.0,
                "sugar POT, glucose POT, cream POT, butter OFF_HEAT 3, salt OFF_HEAT 3, honey POT",
                "HAND, COOK, HAND",
                0
            },
            {
                "Put everything but honey in the pan with the butter. Boil to 118 °C. Stir in the honey.",
                118.0,
                "sugar POT, glucose POT, cream POT, butter POT, salt POT, honey OFF_HEAT 3",
                "HAND, COOK, HAND",
                0
            },
            {
                "Boil everything but the bicarb to 149 °C. Off the heat whisk in the bicarb.",
                149.0,
                "sugar -, glucose -, cream -, butter -, salt -, honey -",
                "COOK, HAND",
                1
            },
            {
                "Boil everything but the butter to 118 °C.",
                118.0,
                "sugar POT, glucose POT, cream POT, butter -, salt POT, honey POT",
                "COOK",
                0
            },
            {
                "Boil everything to 118 °C but stir in the salt at the end.",
                118.0,
                "sugar POT, glucose POT, cream POT, butter POT, salt POT, honey POT",
                "COOK",
                0
            },
            {
                "Boil sugar and cream to 110 °C.\nBoil on to 118 °C.",
                118.0,
                "sugar POT, glucose -, cream POT, butter -, salt -, honey -",
                "HAND, COOK",
                1
            },
            {
                "Bake at 160 °C for 25 minutes.\nBoil sugar and cream to 112 °C.",
                112.0,
                "sugar POT, glucose -, cream POT, butter -, salt -, honey -",
                "HAND, COOK",
                0
            },
            {
                "Boil sugar and glucose to 236-239 °F.",
                114.2,
                "sugar POT, glucose POT, cream -, butter -, salt -, honey -",
                "COOK",
                0
            },
            {"Boil the honey to 118 °C.", 118.0, "sugar -, glucose -, cream -, butter -, salt -, honey POT", "COOK", 0},
            {"Melt the sugar dry to 175 °C.", null, "sugar -, glucose -, cream -, butter -, salt -, honey -", "HAND", 0
            },
        };
    }

    @Test(dataProvider = "programs")
    public void isReadInTheOrderOfItsReadings(String method, Double stop, String places, String doings, int questions) {
        Recipe recipe = READER.read(LINES + method, Measures.METRIC);
        assertEquals(recipe.stopCelsius(), stop, method);
        assertEquals(
                recipe.lines().stream()
                        .map(l -> name(l.read().ingredient())
                                + (l.place() == null
                                        ? " -"
                                        : " " + l.place().where()
                                                + (l.place().step() < 0
                                                        ? ""
                                                        : " " + (l.place().step() + 1))))
                        .collect(Collectors.joining(", ")),
                places);
        assertEquals(
                recipe.steps().stream()
                        .map(s -> s.does() == Recipe.Doing.POUR
                                ? "POUR at " + s.cue().split(";")[0]
                                : s.does().name())
                        .collect(Collectors.joining(", ")),
                doings);
        assertEquals(recipe.questions().size(), questions, recipe.questions().toString());
    }

    private static String name(String slug) {
        return slug.split("-")[0];
    }

    /** Salt is called salt whatever kind it is; butter that is salted is butter. */
    @Test
    public void saltIsNamedWhateverItsKind() {
        String lines = "Buns\n1 cup cream\n200 g sugar\n120 g salted butter\na good pinch of flaky salt\nMethod\n";
        Recipe recipe =
                READER.read(lines + "Boil sugar, butter and cream to 245 F. Stir in the salt and pour.", Measures.US);
        assertEquals(
                recipe.lines().stream().map(l -> l.place().where()).toList(),
                List.of(Recipe.Where.POT, Recipe.Where.POT, Recipe.Where.POT, Recipe.Where.OFF_HEAT));
        Recipe other =
                READER.read(lines + "Boil sugar and cream to 245 F. Stir in the salt, then the butter.", Measures.US);
        assertEquals(
                other.lines().stream().map(l -> l.place().where()).toList(),
                List.of(Recipe.Where.POT, Recipe.Where.POT, Recipe.Where.OFF_HEAT, Recipe.Where.OFF_HEAT));
    }

    @Test
    public void whatHappensAtAnEarlierReadingIsAsked() {
        Recipe recipe = READER.read(LINES + "Boil the sugar to 110 °C.\nBoil on to 118 °C.", Measures.METRIC);
        assertEquals(
                recipe.questions(),
                List.of(
                        "Readings are written for 110 °C and then for 118 °C: the last is taken as the stop. What happens at 110 °C?"));
        assertTrue(recipe.steps().get(0).cue().contains("110 °C"));
    }
}
