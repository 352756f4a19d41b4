package org.zeststack.app.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientData;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The project's own format: a formula and back, without loss but for photographs. */
public final class FormulaJson {

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();

    private FormulaJson() {}

    /**
     * A formula read from a document, not yet kept.
     *
     * @param ingredients ingredients it came with
     * @param used formulas it came with, by the link that lines name them by, those made first standing first
     */
    public record Read(
            String name, String why, Formula formula, List<Ingredient> ingredients, Map<String, Named> used) {}

    /** A formula with its name. */
    public record Named(String name, Formula formula) {}

    /**
     * Writes a formula.
     *
     * @param used formulas that it uses, those made first standing first
     */
    public static String write(
            String name, String why, Formula formula, List<NamedFormula> used, IngredientTable table) {
        Map<String, Ingredient> ingredients = new LinkedHashMap<>();
        List<Formula> all = new ArrayList<>(List.of(formula));
        used.forEach(u -> all.add(u.formula()));
        for (Formula one : all) {
            for (FormulaLine line : one.lines()) {
                if (FormulaLink.in(line.ingredient()).isEmpty()) {
                    ingredients.put(line.ingredient(), table.get(line.ingredient()));
                }
            }
        }
        return MAPPER.writeValueAsString(new FormulaDocument(
                FormulaDocument.FORMAT,
                FormulaDocument.VERSION,
                body(name, why, formula),
                ingredients.values().stream().map(IngredientData::of).toList(),
                used.stream()
                        .map(u -> new FormulaDocument.Used(u.link().text(), body(u.name(), "", u.formula())))
                        .toList()));
    }

    /**
     * Reads a document.
     *
     * @throws InvalidInput where it does not meet the published schema, with place, value and what is permitted
     */
    public static Read read(String json) {
        FormulaDocument document;
        try {
            JsonNode tree = MAPPER.readTree(json);
            List<Fault> faults = FormulaSchema.faults(tree);
            if (!faults.isEmpty()) {
                throw new InvalidInput(faults);
            }
            document = MAPPER.treeToValue(tree, FormulaDocument.class);
        } catch (JacksonException e) {
            throw fault("This is no formula document: " + e.getOriginalMessage());
        }
        Map<String, Named> used = new LinkedHashMap<>();
        for (FormulaDocument.Used one : document.formulas()) {
            used.put(one.link(), new Named(one.formula().name(), formula(one.formula())));
        }
        return new Read(
                document.formula().name(),
                document.formula().why(),
                formula(document.formula()),
                document.ingredients().stream().map(FormulaJson::ingredient).toList(),
                used);
    }

    private static InvalidInput fault(String message) {
        return new InvalidInput(Fault.of("text", "", message));
    }

    private static FormulaDocument.Body body(String name, String why, Formula f) {
        Finish finish = f.finish();
        return new FormulaDocument.Body(
                name,
                why,
                f.family(),
                f.stopCelsius(),
                f.handlingLossFraction(),
                finish.byEye(),
                finish.moistureLeast(),
                finish.moistureGreatest(),
                finish.bakedLossFraction(),
                finish.overrunFraction(),
                finish.cupBeforeGrams(),
                finish.cupAfterGrams(),
                f.choices(),
                f.measures(),
                f.lines().stream().map(FormulaJson::line).toList(),
                f.method().stream().map(FormulaJson::step).toList());
    }

    private static FormulaDocument.Line line(FormulaLine l) {
        return new FormulaDocument.Line(
                l.ingredient(),
                l.grams(),
                l.role(),
                l.pieces(),
                l.toEffect(),
                l.step(),
                l.written(),
                l.guesses(),
                l.upToGrams());
    }

    private static FormulaDocument.Step step(MethodStep s) {
        return new FormulaDocument.Step(
                s.action(),
                s.cue(),
                s.caution(),
                s.tool(),
                s.setting(),
                s.handsOff(),
                s.restLeastMinutes(),
                s.restGreatestMinutes(),
                s.right(),
                s.wrong(),
                s.does(),
                s.takes(),
                s.stir());
    }

    private static Formula formula(FormulaDocument.Body b) {
        List<FormulaLine> lines = b.lines().stream()
                .map(l -> new FormulaLine(
                        l.ingredient(),
                        l.grams(),
                        l.role(),
                        l.pieces(),
                        l.toEffect(),
                        l.step(),
                        l.written(),
                        l.guesses(),
                        l.upToGrams()))
                .toList();
        List<MethodStep> method = b.method().stream()
                .map(s -> new MethodStep(
                        s.action(),
                        s.cue(),
                        s.caution(),
                        s.tool(),
                        s.setting(),
                        s.handsOff(),
                        s.restLeastMinutes(),
                        s.restGreatestMinutes(),
                        s.right(),
                        s.wrong(),
                        null,
                        null,
                        s.does(),
                        "",
                        s.takes(),
                        s.stir()))
                .toList();
        Finish finish = new Finish(
                b.byEye(),
                b.moistureLeast(),
                b.moistureGreatest(),
                b.bakedLossFraction(),
                b.overrunFraction(),
                b.cupBeforeGrams(),
                b.cupAfterGrams());
        return new Formula(
                b.family(),
                lines,
                b.stopCelsius(),
                b.handlingLossFraction(),
                method,
                finish,
                b.choices(),
                b.measures());
    }

    private static Ingredient ingredient(IngredientData data) {
        try {
            Ingredient ingredient = data.ingredient();
            ingredient.check();
            return ingredient;
        } catch (IllegalArgumentException | NullPointerException e) {
            throw fault("The ingredient %s of the document is faulty: %s".formatted(data.slug(), e.getMessage()));
        }
    }
}
