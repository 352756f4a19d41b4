package org.zeststack.app.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.method.Act;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Numbers;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Recipes as schema.org describes them, in JSON-LD. Lines travel as {@code 250 g Sugar (white)}; of a step, the direction
 * and its tips. Roles, links, losses and stop are not part of that vocabulary.
 */
public final class RecipeLd {

    private static final int MOST = 60;
    private static final JsonMapper MAPPER =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    private static final String UNTIL = "Until: ";
    private static final String CAUTION = "Caution: ";
    private static final String TOOL = "Tool: ";
    private static final String SETTING = "Setting: ";
    private static final String TAKES = "Takes up: ";
    private static final String STIR = "Stir: ";
    private static final String RIGHT = "Right: ";
    private static final String WRONG = "Wrong: ";

    private RecipeLd() {}

    /**
     * A recipe read.
     *
     * @param family family named by its category; empty where none is
     * @param ingredients lines as written
     */
    public record Read(String name, Optional<Family> family, List<String> ingredients, List<MethodStep> steps) {}

    /**
     * Writes a formula.
     *
     * @param names by slug or link
     * @param finishedGrams what it gives; null where not known
     */
    public static String write(String name, Formula formula, Map<String, String> names, Double finishedGrams) {
        Map<String, Object> recipe = new LinkedHashMap<>();
        recipe.put("@context", "https://schema.org");
        recipe.put("@type", "Recipe");
        recipe.put("name", name);
        recipe.put("recipeCategory", formula.family().title());
        if (finishedGrams != null) {
            recipe.put("recipeYield", Numbers.fixed(finishedGrams, 0) + " g");
        }
        recipe.put(
                "recipeIngredient",
                formula.lines().stream()
                        .map(l -> Numbers.plain(l.grams()) + " g " + names.get(l.ingredient())
                                + (l.role() == FormulaLine.Role.OPTIONAL ? " (optional)" : ""))
                        .toList());
        recipe.put(
                "recipeInstructions",
                formula.method().stream().map(RecipeLd::step).toList());
        return MAPPER.writeValueAsString(recipe);
    }

    private static Map<String, Object> step(MethodStep step) {
        List<Map<String, Object>> parts = new ArrayList<>();
        parts.add(Map.of("@type", "HowToDirection", "text", step.action()));
        tip(parts, UNTIL, step.cue());
        tip(parts, CAUTION, step.caution());
        tip(parts, TOOL, step.tool());
        tip(parts, SETTING, step.setting());
        tip(parts, TAKES, String.join(", ", step.takes()));
        tip(parts, STIR, step.stir() == null ? "" : step.stir() ? "all the time" : "never");
        tip(parts, RIGHT, step.right());
        tip(parts, WRONG, step.wrong());
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("@type", "HowToStep");
        map.put("text", step.cue().isEmpty() ? step.action() : step.action() + ", until " + step.cue());
        map.put("itemListElement", parts);
        return map;
    }

    private static void tip(List<Map<String, Object>> parts, String word, String text) {
        if (!text.isEmpty()) {
            parts.add(Map.of("@type", "HowToTip", "text", word + text));
        }
    }

    /**
     * Reads the first recipe in a document; a graph or a list of several things is looked through.
     *
     * @throws InvalidInput where there is none
     */
    public static Read read(String json) {
        JsonNode root;
        try {
            root = MAPPER.readTree(json);
        } catch (JacksonException e) {
            throw new InvalidInput(Fault.of("text", "", "This is not JSON: " + e.getOriginalMessage()));
        }
        JsonNode recipe = find(root)
                .orElseThrow(() -> new InvalidInput(Fault.of("text", "", "There is no Recipe in this document.")));
        requireFew(recipe);
        List<String> ingredients = new ArrayList<>();
        JsonNode lines = recipe.has("recipeIngredient") ? recipe.get("recipeIngredient") : recipe.path("ingredients");
        lines.forEach(l -> ingredients.add(text(l)));
        List<MethodStep> steps = new ArrayList<>();
        steps(recipe.path("recipeInstructions"), steps);
        return new Read(text(recipe.path("name")), family(text(recipe.path("recipeCategory"))), ingredients, steps);
    }

    /** A formula has at most so many lines and steps: a longer list is told before anything of it is read. */
    private static void requireFew(JsonNode recipe) {
        for (String list : List.of("recipeIngredient", "ingredients", "recipeInstructions")) {
            int size = recipe.path(list).isArray() ? recipe.path(list).size() : 0;
            if (size > MOST) {
                throw new InvalidInput(Fault.of(
                        "text",
                        String.valueOf(size),
                        "%s has %d entries; at most %d are read.".formatted(list, size, MOST)));
            }
        }
    }

    private static Optional<JsonNode> find(JsonNode node) {
        if (node.isArray()) {
            for (JsonNode one : node) {
                Optional<JsonNode> found = find(one);
                if (found.isPresent()) {
                    return found;
                }
            }
            return Optional.empty();
        }
        JsonNode type = node.path("@type");
        boolean recipe = type.isArray()
                ? type.valueStream().anyMatch(t -> t.asString("").equals("Recipe"))
                : type.asString("").equals("Recipe");
        return recipe ? Optional.of(node) : node.has("@graph") ? find(node.get("@graph")) : Optional.empty();
    }

    private static Optional<Family> family(String category) {
        for (Family family : Family.values()) {
            if (family.title().equals(category)) {
                return Optional.of(family);
            }
        }
        return Optional.empty();
    }

    private static void steps(JsonNode node, List<MethodStep> steps) {
        if (node.isArray()) {
            node.forEach(one -> steps(one, steps));
        } else if (node.isString()) {
            node.asString()
                    .lines()
                    .filter(l -> !l.isBlank())
                    .forEach(l -> steps.add(new MethodStep(l.strip(), "", "")));
        } else if (node.path("@type").asString("").equals("HowToSection")) {
            steps(node.path("itemListElement"), steps);
        } else if (node.isObject()) {
            steps.add(step(node));
        }
    }

    private static MethodStep step(JsonNode node) {
        String action = text(node.has("text") ? node.get("text") : node.path("name"));
        Map<String, String> tips = new LinkedHashMap<>();
        for (JsonNode part : node.path("itemListElement")) {
            String text = text(part.path("text"));
            if (part.path("@type").asString("").equals("HowToDirection")) {
                action = text;
            } else {
                int colon = text.indexOf(": ");
                tips.put(colon < 0 ? text : text.substring(0, colon + 2), colon < 0 ? "" : text.substring(colon + 2));
            }
        }
        return new MethodStep(
                action,
                tips.getOrDefault(UNTIL, ""),
                tips.getOrDefault(CAUTION, ""),
                tips.getOrDefault(TOOL, ""),
                tips.getOrDefault(SETTING, ""),
                false,
                null,
                null,
                tips.getOrDefault(RIGHT, ""),
                tips.getOrDefault(WRONG, ""),
                null,
                null,
                Act.HAND,
                "",
                MethodStep.takes(tips.getOrDefault(TAKES, "")),
                tips.containsKey(STIR) ? Boolean.valueOf(!tips.get(STIR).equals("never")) : null);
    }

    private static String text(JsonNode node) {
        return node.isArray() && !node.isEmpty()
                ? text(node.get(0))
                : node.asString("").strip();
    }
}
