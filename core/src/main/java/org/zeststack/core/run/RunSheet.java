package org.zeststack.core.run;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.bar.CrossSection;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call;
import org.zeststack.core.explain.Working;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.weighing.FillWindow;
import org.zeststack.core.workshop.Thermometer;

/**
 * The plan of a run with every gram and degree in it. Frozen when the run starts: everything the bench and the ledger need
 * stands in here, so that later changes of formulas, moulds or settings do not reach a run under way.
 */
public record RunSheet(
        int schemaVersion,
        String barName,
        int barVersion,
        int piecesWanted,
        int piecesToMake,
        Moulds moulds,
        Allowances allowances,
        double pressureKpa,
        String thermometerName,
        Thermometer thermometer,
        CrossSection section,
        List<LayerTarget> layers,
        double pieceGrams,
        List<FormulaBatch> formulas,
        List<CouvertureBatch> couvertures,
        List<WeighingLine> weighing,
        List<Call> calls,
        List<BenchStep> steps) {

    public static final int SCHEMA_VERSION = 1;

    /**
     * Moulds and turns; slabs, trays and sheets are counted like moulds.
     *
     * @param fills moulds to line in all
     * @param turns times the owned moulds go round
     * @param cavitiesInLast cavities used in the last mould
     * @param carrier mould, slab, tray, sheet or piece; sheets frozen by the first releases know moulds only
     */
    public record Moulds(
            String name, int cavities, int owned, int fills, int turns, int cavitiesInLast, String carrier) {

        public Moulds {
            carrier = carrier == null ? "mould" : carrier;
        }
    }

    /**
     * What one layer of one piece should weigh.
     *
     * @param component key of the component it is laid from
     */
    public record LayerTarget(
            String key,
            String component,
            String kind,
            String name,
            String material,
            double thicknessMm,
            FillWindow window) {}

    /**
     * One line of a scaled formula.
     *
     * @param toEffect whether the bench writes down what was really used
     */
    public record BatchLine(String ingredient, String name, double grams, String role, Boolean toEffect) {

        public BatchLine {
            toEffect = toEffect != null && toEffect;
        }
    }

    /**
     * A formula scaled to this run.
     *
     * @param key component key, {@code formula-ID-vN}
     * @param depositGrams what goes into the cavities
     * @param usableGrams finished mass to have: deposit and handling loss
     * @param factor what every line of the formula was multiplied by
     * @param rawGrams everything weighed out
     * @param potGrams what goes into the pot, by part of composition; empty map when not cooked
     * @param stopCelsius sea-level target; null when not cooked, as the two after it
     * @param stopCelsiusHere true temperature at this place
     * @param stopReading what this thermometer shows then
     */
    public record FormulaBatch(
            String key,
            String name,
            int version,
            String material,
            double depositGrams,
            double usableGrams,
            double factor,
            double rawGrams,
            List<BatchLine> lines,
            Map<Part, Double> potGrams,
            double dextroseEquivalent,
            Double stopCelsius,
            Double stopCelsiusHere,
            Double stopReading,
            List<MethodStep> method,
            Working why) {

        public boolean cooked() {
            return stopCelsius != null;
        }

        public Composition pot() {
            return Composition.of(potGrams, dextroseEquivalent);
        }
    }

    /**
     * One couverture of this run.
     *
     * @param key component key, {@code couverture-SLUG}
     * @param kind dark, milk, white, blond or ruby
     * @param usedGrams what stays in the pieces
     * @param meltGrams what to melt
     * @param comesBackGrams what is left in the bowl
     */
    public record CouvertureBatch(
            String key,
            String name,
            String kind,
            double usedGrams,
            double meltGrams,
            double comesBackGrams,
            Working why) {}

    /** One line of the weighing list: an ingredient over all components. */
    public record WeighingLine(String ingredient, String name, double grams, List<String> usedIn) {}

    /** What the hands do. */
    public enum StepKind {
        WEIGH,
        COOK,
        MIX,
        TEMPER,
        LINE,
        FILL,
        CLOSE,
        RELEASE
    }

    /**
     * One step of the bench.
     *
     * @param id unique in this sheet
     * @param component key of the component it works on; empty where none
     * @param layer key of the layer it lays; empty where none
     */
    public record BenchStep(
            String id, StepKind kind, String component, String layer, String title, String detail, String caution) {}

    public Optional<FormulaBatch> formula(String key) {
        return formulas.stream().filter(f -> f.key().equals(key)).findFirst();
    }

    public Optional<CouvertureBatch> couverture(String key) {
        return couvertures.stream().filter(c -> c.key().equals(key)).findFirst();
    }

    public Optional<LayerTarget> layer(String key) {
        return layers.stream().filter(l -> l.key().equals(key)).findFirst();
    }

    public Optional<BenchStep> step(String id) {
        return steps.stream().filter(s -> s.id().equals(id)).findFirst();
    }
}
