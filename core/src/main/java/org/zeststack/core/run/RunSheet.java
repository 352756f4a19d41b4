package org.zeststack.core.run;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.component.Component;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call;
import org.zeststack.core.explain.Working;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.rule.Rule;
import org.zeststack.core.sugar.Cook;
import org.zeststack.core.sugar.Moistures;
import org.zeststack.core.sugar.StagedCook;
import org.zeststack.core.temper.TemperWindow;
import org.zeststack.core.weighing.FillWindow;
import org.zeststack.core.workshop.Thermometer;

/**
 * The plan of a run with every gram and degree in it. Frozen when the run starts: everything the bench and the ledger need
 * stands in here, so that later changes of formulas, moulds or settings do not reach a run under way.
 */
public record RunSheet(
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
        List<LaidBatch> laid,
        List<WeighingLine> weighing,
        List<Call> calls,
        List<BenchStep> steps) {

    /**
     * Moulds and turns; slabs, trays and sheets are counted like moulds.
     *
     * @param cavities pieces of one
     * @param fills moulds to line in all; of slabs, trays and sheets whole ones are made
     * @param turns times the owned moulds go round
     * @param cavitiesInLast cavities used in the last mould
     * @param carrier mould, slab, tray, sheet or piece
     * @param spare pieces that whole slabs, trays and sheets give beyond those to make
     * @param spareBare whether these go without what the pieces get after the cut
     */
    public record Moulds(
            String name,
            int cavities,
            int owned,
            int fills,
            int turns,
            int cavitiesInLast,
            String carrier,
            int spare,
            boolean spareBare) {}

    /**
     * Where what is laid ends up, in grams.
     *
     * @param pieces in the pieces to make
     * @param offcuts trimmed off, lost in the kerf, left over, or landed beside the piece
     * @param spare in pieces beyond those to make
     * @param kept what brush, gun, bag or tray keeps
     */
    public record Deposit(double pieces, double offcuts, double spare, double kept) {

        public static final Deposit NOTHING = new Deposit(0, 0, 0);

        public Deposit(double pieces, double offcuts, double spare) {
            this(pieces, offcuts, spare, 0);
        }

        public double total() {
            return pieces + offcuts + spare + kept;
        }

        public Deposit plus(Deposit other) {
            return new Deposit(pieces + other.pieces, offcuts + other.offcuts, spare + other.spare, kept + other.kept);
        }

        Deposit times(double share) {
            return new Deposit(pieces * share, offcuts * share, spare * share, kept * share);
        }
    }

    /** A plain ingredient that is laid as it is: inserts, inclusions, toppings, decoration. */
    public record LaidBatch(String key, String name, Deposit deposit) {

        /** What it is in the store room. */
        public String slug() {
            return Component.laid(key).orElseThrow().slug();
        }
    }

    /**
     * What one layer should weigh, in one cavity where it is laid in cavities.
     *
     * @param component key of the component it is laid from
     * @param perPiece cavities that make a piece: 2 where halves are joined
     * @param mixed key of the component that is mixed into it; empty where none
     * @param mixedFraction share of the layer's mass that is that
     * @param technique how it is brought on, by its name; empty where not said
     * @param wholeGrams what is laid on one slab, tray or sheet, its trim with it; null where it is laid on pieces, and on older sheets
     */
    public record LayerTarget(
            String key,
            String component,
            String kind,
            String name,
            String material,
            double thicknessMm,
            FillWindow window,
            int perPiece,
            String mixed,
            double mixedFraction,
            String technique,
            Double wholeGrams) {

        /** Share of its mass that is of a component, or of one of its batches. */
        public double shareOf(String key) {
            String whole = FormulaBatch.wholeKey(key);
            return (component.equals(whole) ? 1 - mixedFraction : 0) + (mixed.equals(whole) ? mixedFraction : 0);
        }
    }

    /**
     * One line of a scaled formula.
     *
     * @param toEffect whether the bench writes down what was really used
     * @param mostGrams the most of it that may be used: to have ready
     */
    public record BatchLine(
            String ingredient, String name, double grams, String role, boolean toEffect, double mostGrams) {

        public BatchLine(String ingredient, String name, double grams, String role, boolean toEffect) {
            this(ingredient, name, grams, role, toEffect, grams);
        }

        /** Whether it has a range. */
        public boolean ranges() {
            return mostGrams > grams * 1.001;
        }

        /** The line for one of so many equal batches. */
        public BatchLine times(double share) {
            return new BatchLine(ingredient, name, grams * share, role, toEffect, mostGrams * share);
        }
    }

    /**
     * A formula scaled to this run.
     *
     * @param key component key, {@code formula-ID-vN}; that of one of its batches ends with its number
     * @param depositGrams what is laid of it, off-cuts and spare pieces included
     * @param usableGrams what reaches the pieces and other formulas
     * @param factor what every line of the formula was multiplied by, apart from counted pieces
     * @param rawGrams everything weighed out
     * @param potGrams what goes into the first pot, by part of composition; empty map when not cooked, and by eye on older sheets
     * @param stopCelsius sea-level target; null when not cooked, as the two after it
     * @param stopCelsiusHere true temperature at this place
     * @param stopReading what this thermometer shows then
     * @param finishedGrams finished mass to have, the least where it ends by eye: usable and handling loss
     * @param mostFinishedGrams the most it may come to
     * @param deposit where what is laid ends up
     * @param taken what other formulas take of it, by their names
     * @param waterGrams water in everything weighed out: no more can leave as steam
     * @param ending how it comes to its finished mass
     * @param batches equal batches to make it in
     * @param sharedOut why there are several; empty where there is one
     * @param airFraction air that it is planned with; 0 where it is not whipped
     * @param cookedGrams what the pots hold at the stop; null where none is made to a reading, and on older sheets
     * @param pots what of it goes into which pot, and when; null where nothing is cooked to a reading, and on older sheets
     * @param fat of what is made; null on older sheets
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
            Working why,
            double finishedGrams,
            double mostFinishedGrams,
            Deposit deposit,
            Map<String, Double> taken,
            Double waterGrams,
            Ending ending,
            int batches,
            String sharedOut,
            double airFraction,
            Double cookedGrams,
            PotPlan pots,
            Fat fat) {

        /** Key of the formula that a batch or a pot is of; any other key as it is. */
        public static String wholeKey(String key) {
            return Component.made(key).map(m -> m.whole().key()).orElse(key);
        }

        private Component.Made made() {
            return Component.made(key).orElseThrow(() -> new IllegalStateException(key + " is no formula's key"));
        }

        /** What the steps of a sheet make of its formulas: batches each on its own; on older sheets all of them as one. */
        static List<FormulaBatch> firstPots(List<FormulaBatch> formulas, List<BenchStep> steps) {
            Set<String> worked = steps.stream().map(BenchStep::component).collect(Collectors.toSet());
            return formulas.stream()
                    .flatMap(f -> worked.contains(EqualBatches.key(f, 1)) ? EqualBatches.of(f).stream() : Stream.of(f))
                    .toList();
        }

        /** The formula's id, as its key has it. */
        public long formula() {
            return made().formula();
        }

        public double takenGrams() {
            return taken.values().stream().mapToDouble(Double::doubleValue).sum();
        }

        public boolean byEye() {
            return ending == Ending.EYE;
        }

        public boolean spreads() {
            return mostFinishedGrams > finishedGrams * 1.001;
        }

        public boolean cooked() {
            return stopCelsius != null;
        }

        /** Everything that goes into its first pot, of all its batches. */
        public Composition pot() {
            return Composition.of(potGrams, dextroseEquivalent);
        }

        /** What one pot of it weighs when it is done, least and greatest; both 0 where it is not known what goes into it. */
        public Range doneGrams() {
            if (potGrams.isEmpty() || cooked() && cookedGrams == null) {
                return new Range(0, 0, "g");
            }
            double later = rawGrams - pot().totalGrams();
            double each = 1.0 / batches;
            return cooked()
                    ? new Range(cookedGrams * each, cookedGrams * each, "g")
                    : new Range((finishedGrams - later) * each, (mostFinishedGrams - later) * each, "g");
        }

        /** How moist a pot of it is that weighs so much, by what went in; empty where it cannot weigh that, or what went in is not known. */
        public Optional<Double> moisture(double potGrams) {
            return this.potGrams.isEmpty() ? Optional.empty() : Moistures.of(pot().times(1.0 / batches), potGrams);
        }

        /** What is poured into a pot of it while it cooks. */
        public List<PotPlan.Pour> pours() {
            return pots == null ? List.of() : pots.pours();
        }

        /** What is cooked in its second pot, as a batch of its own; empty where there is none. */
        public Optional<FormulaBatch> second() {
            return Optional.ofNullable(pots).map(PotPlan::second).map(this::secondOf);
        }

        /** Whether it is the second pot of another. */
        public boolean inSecondPot() {
            return made().second();
        }

        private FormulaBatch secondOf(PotPlan.Second of) {
            Composition mass = of.mass().composition();
            return new FormulaBatch(
                    made().secondPot().key(),
                    String.join(", ", of.names()) + " for " + name,
                    version,
                    material,
                    0,
                    of.cookedGrams(),
                    factor,
                    mass.totalGrams(),
                    lines.stream().filter(l -> of.names().contains(l.name())).toList(),
                    of.mass().grams(),
                    of.mass().dextroseEquivalent(),
                    of.stopCelsius(),
                    of.stopCelsiusHere(),
                    of.stopReading(),
                    List.of(),
                    why,
                    of.cookedGrams(),
                    of.cookedGrams(),
                    new Deposit(0, 0, 0),
                    Map.of(),
                    mass.waterGrams(),
                    Ending.READING,
                    batches,
                    "",
                    0.0,
                    of.cookedGrams(),
                    null,
                    fat);
        }

        /**
         * One pot of it, that nothing was read of yet.
         *
         * @param afterHeatKelvin how much it climbs on after it is taken off
         */
        public StagedCook cook(double pressureKpa, double afterHeatKelvin) {
            double one = 1.0 / batches;
            return new StagedCook(
                    start(),
                    pours().stream()
                            .map(p -> new StagedCook.Pour(
                                    p.mass().composition().times(one),
                                    p.atCelsius() == null ? OptionalDouble.empty() : OptionalDouble.of(p.atCelsius())))
                            .toList(),
                    stopCelsius,
                    pressureKpa,
                    afterHeatKelvin);
        }

        /** What is in one pot of it at first. */
        public Composition start() {
            Composition all = pots == null ? pot() : pots.start().composition();
            return all.times(1.0 / batches);
        }

        /** One pot of it as planned, with everything in it. */
        public Cook planned(double pressureKpa) {
            return Cook.to(pot().times(1.0 / batches), stopCelsius, pressureKpa);
        }
    }

    /**
     * Fat in a gram of something, g.
     *
     * @param other milk fat, nut oil and all that is not cocoa butter
     */
    public record Fat(double cocoaButter, double other) {}

    /**
     * Something to be brought into temper: couverture, or a filling that is tempered by its own fat.
     *
     * @param key of the component
     * @param grams in the bowl
     * @param cocoaButterFraction of it; null on older sheets
     * @param workingGrams that stay behind to work in
     * @param sets code of the bound within which a dip of it sets
     */
    public record InTemper(
            String key,
            String name,
            TemperWindow window,
            double grams,
            Double cocoaButterFraction,
            double workingGrams,
            String sets) {

        private static final Rule PROOF = Rule.of(Rule.About.BENCH, "proof");

        /** Within how long a dip of it sets where it is in temper. */
        public Bound sets(Bounds bounds) {
            return PROOF.bound(bounds, sets);
        }
    }

    /**
     * What the rest of a bowl is still good for.
     *
     * @param layer kind of the layer that is laid of it
     * @param pieces that it is enough for
     */
    public record Serves(String layer, double gramsAPiece, int pieces) {}

    /** What so many grams in a bowl still serve, layer by layer, when the depth to work in stays behind. */
    public List<Serves> serves(InTemper bowl, double grams) {
        double usable = Math.max(0, grams - bowl.workingGrams());
        return layers.stream()
                .filter(l -> l.shareOf(bowl.key()) > 0 && l.window().targetGrams() > 0)
                .map(l -> {
                    double each = l.shareOf(bowl.key()) * l.window().targetGrams() * l.perPiece();
                    return new Serves(
                            LayerKind.valueOf(l.kind()).words(), each, (int) Math.floor(usable / each + 1e-9));
                })
                .toList();
    }

    /** What is tempered of a component: itself, or each of its batches. */
    public List<InTemper> bowls(String component) {
        List<String> batches =
                firstPots(component).stream().map(FormulaBatch::key).toList();
        return (batches.isEmpty() ? List.of(component) : batches)
                .stream().flatMap(key -> inTemper(key).stream()).toList();
    }

    /** What is tempered under a key; empty for everything else. */
    public Optional<InTemper> inTemper(String key) {
        Optional<InTemper> couverture = couverture(key).flatMap(c -> c.window()
                .map(w -> new InTemper(
                        key, c.name(), w, c.meltGrams(), c.cocoaButterFraction(), c.bowlGrams(), "smear-sets")));
        return couverture.or(() -> pot(key).filter(f -> f.fat() != null
                        && steps.stream()
                                .anyMatch(s -> s.kind() == StepKind.TEMPER
                                        && s.component().equals(key)))
                .flatMap(f -> TemperWindow.byFat(f.fat().cocoaButter(), f.fat().other())
                        .map(w -> new InTemper(
                                key,
                                f.name(),
                                w,
                                f.finishedGrams() / f.batches(),
                                f.fat().cocoaButter(),
                                0,
                                "filling-sets"))));
    }

    /** How a formula comes to its finished mass. */
    public enum Ending {
        READING("steam"),
        EYE("steam"),
        BAKED("oven"),
        MIXED("mill and bowl");

        private final String loses;

        Ending(String loses) {
            this.loses = loses;
        }

        /** What takes the difference between weighed out and finished. */
        public String loses() {
            return loses;
        }
    }

    /**
     * One couverture of this run. What is melted is what stays, is scraped off, is poured out and is left in the bowl, to the gram.
     *
     * @param key component key, {@code couverture-SLUG}, with what is stirred in behind it
     * @param kind dark, milk, white, blond, ruby or compound; empty where what is stirred in makes it none of them
     * @param usedGrams what stays in pieces and off-cuts
     * @param meltGrams what to melt
     * @param comesBackGrams what is poured out and what is left in the bowl
     * @param deposit where what stays ends up
     * @param scrapedGrams scraped off moulds, tables and forks
     * @param pouredGrams poured out of one full mould
     * @param bowlGrams left in the bowl to work in
     * @param tint what of it is stirred in; null where nothing
     * @param cocoaButterFraction of it; null on older sheets
     * @param windows tempering temperatures of its own sheet; null where its kind's are taken
     * @param allergens that it brings, by name; null on older sheets
     */
    public record CouvertureBatch(
            String key,
            String name,
            String kind,
            double usedGrams,
            double meltGrams,
            double comesBackGrams,
            Working why,
            Deposit deposit,
            double scrapedGrams,
            double pouredGrams,
            double bowlGrams,
            Tint tint,
            Double cocoaButterFraction,
            TemperWindow.Limits windows,
            List<String> allergens) {

        /** The kind of what has no cocoa butter to temper. */
        public static final String COMPOUND = "compound";

        /** What the couverture itself is in the store room. */
        public String slug() {
            return Component.bowl(key).orElseThrow().slug();
        }

        /** Where it is melted out, cooled to and worked; empty for what is not tempered. */
        public Optional<TemperWindow> window() {
            return isCouverture() ? Optional.of(TemperWindow.of(kind, windows)) : Optional.empty();
        }

        /** Whether there is cocoa butter to temper in it. */
        private boolean isCouverture() {
            return !kind.isEmpty() && !kind.equals(COMPOUND);
        }

        /** What of the bowl is couverture. */
        public double plainGrams() {
            return meltGrams - (tint == null ? 0 : tint.grams());
        }
    }

    /** What is stirred into a bowl, g. */
    public record Tint(String ingredient, String name, double grams) {}

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
        RELEASE,
        HAND
    }

    /**
     * One step of the bench.
     *
     * @param id unique in this sheet
     * @param component key of the component it works on; empty where none
     * @param layer key of the layer it lays; empty where none
     * @param title what is done, in a few words
     * @param detail the figures of this run
     * @param how the step of the method; without words on sheets of before methods were worked
     */
    public record BenchStep(
            String id,
            StepKind kind,
            String component,
            String layer,
            String title,
            String detail,
            String caution,
            MethodStep how) {}

    /** Cavities that make a piece: 2 where halves are joined. */
    public int cavitiesOfAPiece() {
        return layers.stream().mapToInt(LayerTarget::perPiece).max().orElse(1);
    }

    /** Whether it is worked with a thermometer. */
    public boolean measured() {
        return !thermometerName.isEmpty();
    }

    /** Words of a step with every reading in them as this thermometer shows it at this place. */
    public String asRead(BenchStep step, String words) {
        return StepEnd.asRead(this, step, words);
    }

    /** Whether what came of a formula is put on the scale at a step: its own, on older sheets the end of its cook. */
    public boolean weighsAt(BenchStep step) {
        return step.kind() == StepKind.MIX
                || step.kind() == StepKind.COOK
                        && pot(step.component()).filter(p -> !p.inSecondPot()).isPresent()
                        && steps.stream()
                                .noneMatch(s -> s.kind() == StepKind.MIX
                                        && s.component().equals(step.component()));
    }

    public Optional<FormulaBatch> formula(String key) {
        return formulas.stream().filter(f -> f.key().equals(key)).findFirst();
    }

    /** What is made on its own: each batch of a formula. */
    public List<FormulaBatch> firstPots() {
        return FormulaBatch.firstPots(formulas, steps);
    }

    /** The batches of a formula, by its key; none where it has none of that key. */
    public List<FormulaBatch> firstPots(String key) {
        return firstPots().stream()
                .filter(b -> FormulaBatch.wholeKey(b.key()).equals(key))
                .toList();
    }

    /** Batches, each with what cooks in its second pot behind it. */
    public List<FormulaBatch> pots() {
        return firstPots().stream()
                .flatMap(f -> Stream.concat(Stream.of(f), f.second().stream()))
                .toList();
    }

    /** What a pot cooks: a batch, or the second pot of one. */
    public Optional<FormulaBatch> pot(String key) {
        return pots().stream().filter(f -> f.key().equals(key)).findFirst();
    }

    /** The batch that a pot belongs to: itself, or the one that it is the second pot of. */
    public Optional<FormulaBatch> whole(String key) {
        return firstPots().stream()
                .filter(f -> f.key().equals(key)
                        || f.second().filter(s -> s.key().equals(key)).isPresent())
                .findFirst();
    }

    /** What is done to a batch in its pots and bowl, from the weighing to the scale, in the order of the work. */
    public List<BenchStep> program(FormulaBatch whole) {
        return steps.stream()
                .filter(s -> s.component().equals(whole.key())
                        || whole.second()
                                .filter(p -> p.key().equals(s.component()))
                                .isPresent())
                .filter(s -> s.kind() == StepKind.COOK || s.kind() == StepKind.HAND)
                .toList();
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
