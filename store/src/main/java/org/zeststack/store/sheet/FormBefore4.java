package org.zeststack.store.sheet;

import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Sheets of the releases that wrote forms 1 to 3. Those grew without a number of their own: what a release did not know yet is missing
 * in what it wrote, and means what is filled in here. What was not known and cannot be said now stays null.
 */
final class FormBefore4 {

    private FormBefore4() {}

    static void complete(ObjectNode sheet) {
        if (missing(sheet, "laid")) {
            sheet.putArray("laid");
        }
        moulds(sheet);
        each(sheet, "layers", FormBefore4::layer);
        each(sheet, "formulas", FormBefore4::formula);
        each(sheet, "couvertures", FormBefore4::couverture);
        each(sheet, "laid", FormBefore4::deposit);
        each(sheet, "steps", FormBefore4::step);
    }

    private static void each(ObjectNode of, String list, Consumer<ObjectNode> completes) {
        of.path(list).forEach(node -> completes.accept((ObjectNode) node));
    }

    private static boolean missing(JsonNode node, String field) {
        return node.path(field).isMissingNode() || node.path(field).isNull();
    }

    private static void put(ObjectNode node, String field, String text) {
        if (missing(node, field)) {
            node.put(field, text);
        }
    }

    private static void put(ObjectNode node, String field, double number) {
        if (missing(node, field)) {
            node.put(field, number);
        }
    }

    private static void put(ObjectNode node, String field, boolean is) {
        if (missing(node, field)) {
            node.put(field, is);
        }
    }

    /** There were moulds only, and nothing was spare. */
    private static void moulds(ObjectNode sheet) {
        if (sheet.path("moulds") instanceof ObjectNode moulds) {
            put(moulds, "carrier", "mould");
            put(moulds, "spareBare", true);
            if (missing(moulds, "spare")) {
                moulds.put("spare", 0);
            }
        }
    }

    /** It was laid in one cavity of a piece, of one component. */
    private static void layer(ObjectNode layer) {
        put(layer, "technique", "");
        put(layer, "mixed", "");
        put(layer, "mixedFraction", 0.0);
        if (missing(layer, "perPiece")) {
            layer.put("perPiece", 1);
        }
    }

    /** The finished mass was called usable; nothing was trimmed off, and no formula took of another. */
    private static void formula(ObjectNode formula) {
        put(formula, "airFraction", 0.0);
        each(formula, "lines", line -> {
            put(line, "toEffect", false);
            put(line, "mostGrams", line.get("grams").asDouble());
        });
        if (missing(formula, "finishedGrams")) {
            double usable = formula.get("usableGrams").asDouble();
            double laid = formula.get("depositGrams").asDouble();
            formula.put("finishedGrams", usable);
            formula.put("mostFinishedGrams", usable);
            formula.put("usableGrams", laid);
            formula.put("ending", missing(formula, "stopCelsius") ? "MIXED" : "READING");
            formula.put("batches", 1);
            formula.put("sharedOut", "");
            formula.putObject("taken");
            formula.set("deposit", allInPieces(formula, laid));
        }
        deposit(formula);
    }

    /** All of it stayed in the pieces, and what was neither used nor came back was scraped off. */
    private static void couverture(ObjectNode couverture) {
        if (missing(couverture, "deposit")) {
            double used = couverture.get("usedGrams").asDouble();
            double back = couverture.get("comesBackGrams").asDouble();
            double melt = couverture.get("meltGrams").asDouble();
            couverture.put("scrapedGrams", Math.max(0, melt - used - back));
            couverture.put("pouredGrams", 0.0);
            couverture.put("bowlGrams", back);
            couverture.set("deposit", allInPieces(couverture, used));
        }
        deposit(couverture);
    }

    private static ObjectNode allInPieces(ObjectNode of, double grams) {
        return of.objectNode().put("pieces", grams).put("offcuts", 0.0).put("spare", 0.0);
    }

    /** Nothing was kept by brush, gun or bag. */
    private static void deposit(ObjectNode of) {
        if (of.path("deposit") instanceof ObjectNode deposit) {
            put(deposit, "kept", 0.0);
        }
    }

    /** Methods were not worked yet: a step has figures only. */
    private static void step(ObjectNode step) {
        if (missing(step, "how")) {
            step.putObject("how");
        }
    }
}
