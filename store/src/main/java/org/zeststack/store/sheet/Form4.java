package org.zeststack.store.sheet;

import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Sheets of form 4, in which everything of a sheet, a formula, a layer or a couverture stood side by side. Here it is put where it
 * stands today; what was not known stays so.
 */
final class Form4 {

    private Form4() {}

    static void regroup(ObjectNode sheet) {
        each(sheet, "layers", Form4::layer);
        each(sheet, "formulas", Form4::formula);
        each(sheet, "couvertures", Form4::couverture);
        ObjectNode bar = group(
                sheet,
                Map.of(
                        "barName", "name",
                        "barVersion", "version",
                        "section", "section",
                        "pieceGrams", "pieceGrams",
                        "layers", "layers"));
        ObjectNode pieces = group(
                sheet,
                Map.of(
                        "piecesWanted", "wanted",
                        "piecesToMake", "toMake",
                        "allowances", "allowances",
                        "moulds", "carriers"));
        ObjectNode gauge = group(
                sheet, Map.of("pressureKpa", "pressureKpa", "thermometerName", "name", "thermometer", "thermometer"));
        sheet.set("bar", bar);
        sheet.set("pieces", pieces);
        sheet.set("gauge", gauge);
    }

    private interface Form {
        ObjectNode today(ObjectNode of);
    }

    private static void each(ObjectNode of, String list, Form form) {
        if (of.path(list) instanceof ArrayNode all) {
            for (int i = 0; i < all.size(); i++) {
                all.set(i, form.today((ObjectNode) all.get(i)));
            }
        }
    }

    /** What stood side by side, taken out of where it stood, by the names it has together; what is not there is not known. */
    private static ObjectNode group(ObjectNode of, Map<String, String> names) {
        ObjectNode group = of.objectNode();
        names.forEach((old, name) -> {
            JsonNode value = of.remove(old);
            group.set(name, value == null ? of.nullNode() : value);
        });
        return group;
    }

    private static ObjectNode layer(ObjectNode layer) {
        String mixed = layer.remove("mixed").asString();
        JsonNode fraction = layer.remove("mixedFraction");
        String technique = layer.remove("technique").asString();
        ObjectNode laid = group(layer, Map.of("component", "component"));
        laid.putNull("mixed");
        laid.putNull("technique");
        if (!mixed.isEmpty()) {
            laid.putObject("mixed").put("component", mixed).set("fraction", fraction);
        }
        if (!technique.isEmpty()) {
            laid.put("technique", technique);
        }
        layer.set("laid", laid);
        layer.set("wholeGrams", layer.path("wholeGrams").isNumber() ? layer.get("wholeGrams") : layer.nullNode());
        return layer;
    }

    /** The version stands in the key; what is laid in all is the sum of where it ends up. */
    private static ObjectNode formula(ObjectNode formula) {
        formula.remove("version");
        formula.remove("depositGrams");
        ObjectNode uses = group(formula, Map.of("deposit", "deposit", "taken", "taken", "usableGrams", "usableGrams"));
        ObjectNode out = group(
                formula,
                Map.of(
                        "factor", "factor",
                        "rawGrams", "grams",
                        "waterGrams", "waterGrams",
                        "lines", "lines",
                        "batches", "batches",
                        "sharedOut", "sharedOut"));
        ObjectNode finished = group(
                formula,
                Map.of(
                        "finishedGrams", "leastGrams",
                        "mostFinishedGrams", "mostGrams",
                        "ending", "by",
                        "airFraction", "airFraction",
                        "fat", "fat"));
        ObjectNode cooking = formula.objectNode();
        cooking.set("pot", group(formula, Map.of("potGrams", "grams", "dextroseEquivalent", "dextroseEquivalent")));
        cooking.set("stop", stop(formula));
        cooking.setAll(group(formula, Map.of("cookedGrams", "cookedGrams")));
        cooking.set("plan", pots(formula.remove("pots")));
        formula.set("uses", uses);
        formula.set("out", out);
        formula.set("finished", finished);
        formula.set("cooking", cooking);
        return formula;
    }

    private static JsonNode stop(ObjectNode of) {
        ObjectNode stop =
                group(of, Map.of("stopCelsius", "seaLevel", "stopCelsiusHere", "here", "stopReading", "reading"));
        return stop.get("seaLevel").isNull() ? of.nullNode() : stop;
    }

    private static JsonNode pots(JsonNode pots) {
        if (!(pots instanceof ObjectNode plan)) {
            return null;
        }
        each(plan, "pours", pour -> {
            ObjectNode at = group(pour, Map.of("atCelsius", "seaLevel", "reading", "reading"));
            pour.set("at", at.get("seaLevel").isNull() ? pour.nullNode() : at);
            return pour;
        });
        if (plan.path("second") instanceof ObjectNode second) {
            second.set("stop", stop(second));
        }
        return plan;
    }

    /** What stays is the sum of where it ends up, and what comes back that of what is poured out and left. */
    private static ObjectNode couverture(ObjectNode couverture) {
        couverture.remove("usedGrams");
        couverture.remove("comesBackGrams");
        ObjectNode of = group(
                couverture,
                Map.of(
                        "kind", "kind",
                        "cocoaButterFraction", "cocoaButterFraction",
                        "windows", "windows",
                        "allergens", "allergens"));
        ObjectNode melt = group(
                couverture,
                Map.of(
                        "meltGrams", "grams",
                        "deposit", "deposit",
                        "scrapedGrams", "scrapedGrams",
                        "pouredGrams", "pouredGrams",
                        "bowlGrams", "bowlGrams"));
        couverture.set("of", of);
        couverture.set("melt", melt);
        return couverture;
    }
}
