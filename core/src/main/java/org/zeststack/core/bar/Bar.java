package org.zeststack.core.bar;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.zeststack.core.method.MethodStep;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;

/**
 * What one version of a bar says.
 *
 * @param layers in the order of the work: from the floor of a cavity or the table upwards
 * @param storage where the pieces are kept until they are sold
 * @param soldAs the name it is to be sold under
 * @param declaredGrams what the label will say; null where not decided
 * @param centreCelsius how warm a centre is when it is coated; null where not said
 * @param bowlMm inner width of the bowl that pieces are dipped in; null where not said
 * @param method its steps as a person wrote them; empty where the usual ones stand
 */
public record Bar(
        Build build,
        Body body,
        List<BarLayer> layers,
        Finish finish,
        Storage storage,
        SoldAs soldAs,
        Double declaredGrams,
        Double centreCelsius,
        Double bowlMm,
        List<MethodStep> method) {

    /** Most layers of one bar. */
    public static final int MOST_LAYERS = 24;

    public static final Range DECLARED_GRAMS = new Range(1, 5000, "g");

    public static final Range BOWL_MM = new Range(60, 1000, "mm");

    /** What is done with the couverture, and with that what it becomes. */
    public enum Finish {
        TEMPERED("tempered"),
        KEPT_COLD("melted, not tempered, kept cold"),
        COMPOUND("compound coating");

        private final String words;

        Finish(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Where pieces are kept. */
    public enum Storage {
        ROOM("in the room, " + Say.range(Say.celsius(18), Say.celsius(23))),
        COOL("cool, " + Say.range(Say.celsius(12), Say.celsius(18))),
        FRIDGE("in the refrigerator");

        private final String words;

        Storage(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Names that the law reserves, as far as a bar may want them. */
    public enum SoldAs {
        OWN_NAME("a name of its own"),
        FILLED_CHOCOLATE("filled chocolate"),
        CHOCOLATE("chocolate"),
        MILK_CHOCOLATE("milk chocolate"),
        WHITE_CHOCOLATE("white chocolate");

        private final String words;

        SoldAs(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Bar {
        layers = List.copyOf(layers);
        method = method == null ? List.of() : List.copyOf(method);
    }

    /** A bar with the usual answers to everything but its stack. */
    public static Bar of(Build build, Body body, List<BarLayer> layers) {
        return new Bar(
                build, body, layers, Finish.TEMPERED, Storage.COOL, SoldAs.OWN_NAME, null, null, null, List.of());
    }

    public Bar with(List<BarLayer> other) {
        return new Bar(build, body, other, finish, storage, soldAs, declaredGrams, centreCelsius, bowlMm, method);
    }

    public Bar withMethod(List<MethodStep> other) {
        return new Bar(build, body, layers, finish, storage, soldAs, declaredGrams, centreCelsius, bowlMm, other);
    }

    /** Slugs and links of everything in it. */
    public Set<String> materials() {
        Set<String> of = new LinkedHashSet<>();
        for (BarLayer layer : layers) {
            of.add(layer.of());
            if (layer.mix() != null) {
                of.add(layer.mix().of());
            }
        }
        return of;
    }

    /** Whether the body gives the size of a layer, as a shaped piece does of its centre: its first filling. */
    public boolean sizedByBody(int index) {
        return build == Build.SHAPED && index == first(LayerKind.FILLING);
    }

    /**
     * Whether a layer lies on the slab, tray or sheet when that is cut, so that the off-cuts carry their share of it: everything up
     * to the first coat of the single pieces, apart from what is piped on each piece by itself.
     */
    public boolean onCarrier(int index) {
        return body.cutToPieces()
                && !layers.get(index).handling().cover().piped()
                && layers.subList(0, index + 1).stream()
                        .noneMatch(
                                l -> l.kind() == LayerKind.COAT && !l.coated().wholeSlab());
    }

    /** First layer of a kind; −1 where there is none. */
    public int first(LayerKind kind) {
        for (int i = 0; i < layers.size(); i++) {
            if (layers.get(i).kind() == kind) {
                return i;
            }
        }
        return -1;
    }

    /**
     * Checks what does not depend on what it points to. Fields are {@code layer.N.NAME} and {@code body.NAME}.
     *
     * @throws org.zeststack.core.quantity.InvalidInput with every fault found
     */
    public void check() {
        Faults faults = new Faults();
        body.check(faults);
        if (!fits()) {
            faults.add(Fault.of("build", build.title(), "This build wants another kind of body."));
        }
        if (layers.isEmpty() || layers.size() > MOST_LAYERS) {
            faults.add(Fault.of(
                    "layers", String.valueOf(layers.size()), "A bar has 1 to %d layers.".formatted(MOST_LAYERS)));
        }
        List<Integer> rests = new ArrayList<>();
        for (int i = 0; i < layers.size(); i++) {
            BarLayer layer = layers.get(i);
            String field = "layer." + i + ".";
            layer.check(faults, field);
            if (!build.kinds().contains(layer.kind())) {
                faults.add(Fault.of(
                        field + "kind",
                        layer.kind().words(),
                        "A %s has no %s; choose another layer."
                                .formatted(
                                        build.title().toLowerCase(java.util.Locale.ROOT),
                                        layer.kind().words())));
            }
            if (layer.leastMm() != null && layer.greatestMm() != null && layer.leastMm() > layer.greatestMm()) {
                faults.add(Fault.of(
                        field + "leastMm",
                        Numbers.plain(layer.leastMm()),
                        "The least of %s is above the greatest of %s."
                                .formatted(Say.mm(layer.leastMm()), Say.mm(layer.greatestMm()))));
            }
            if (layer.by() == BarLayer.By.REST) {
                rests.add(i);
            }
            checkHandling(layer, field, faults);
        }
        checkRests(rests, faults);
        checkOnes(faults);
        checkDeclared(faults);
        faults.throwIfAny();
    }

    private boolean fits() {
        return build.bodies().stream().anyMatch(kind -> kind.isInstance(body));
    }

    private void checkRests(List<Integer> rests, Faults faults) {
        if (rests.isEmpty()) {
            return;
        }
        String field = "layer." + rests.get(rests.size() - 1) + ".by";
        if (!(body instanceof Body.Moulded)) {
            faults.add(Fault.of(field, "the rest", "Only a cavity has a rest to fill; give millimetres or grams."));
        } else if (rests.size() > 1) {
            faults.add(Fault.of(field, "the rest", "Only one layer can take the rest; give this one an amount."));
        }
    }

    /** Whether what is said of a layer goes with what carries it. */
    private void checkHandling(BarLayer layer, String field, Faults faults) {
        Handling handling = layer.handling();
        int sizes = body instanceof Body.Sheet s
                ? s.cuttersMm().size()
                : body instanceof Body.Plate p ? p.sizesMm().size() : 0;
        if (handling.level() > sizes) {
            faults.add(Fault.of(
                    field + "level",
                    String.valueOf(handling.level()),
                    sizes == 0
                            ? "Only discs on a sheet or plate have levels."
                            : "There are %d sizes; permitted: 0 (all of them) to %d.".formatted(sizes, sizes)));
        }
        if (handling.cover().piped() && sizes == 0) {
            faults.add(Fault.of(
                    field + "cover",
                    handling.cover().words(),
                    "Only on discs of a sheet or plate can it be piped so."));
        }
        if (handling.oneHalf() && !(body instanceof Body.Moulded m && m.halves())) {
            faults.add(Fault.of(field + "oneHalf", "", "There is one half only where two are joined."));
        }
        if (handling.cutFrom() != null
                && layer.kind().level()
                && !(body instanceof Body.Slab)
                && !(body instanceof Body.Tray)) {
            faults.add(Fault.of(
                    field + "sheetLengthMm",
                    "",
                    "Only what lies on a slab or tray, and an insert, is cut from a sheet."));
        }
    }

    private void checkOnes(Faults faults) {
        for (LayerKind kind : LayerKind.values()) {
            long count = layers.stream().filter(l -> l.kind() == kind).count();
            if (kind.once() && count > 1) {
                faults.add(Fault.of("layers", kind.words(), "A bar has one %s.".formatted(kind.words())));
            }
        }
        if (build == Build.SHAPED && first(LayerKind.FILLING) < 0) {
            faults.add(Fault.of("layers", "filling", "A shaped piece has a centre: a filling."));
        }
    }

    private void checkDeclared(Faults faults) {
        if (declaredGrams != null) {
            faults.within("declaredGrams", declaredGrams, DECLARED_GRAMS);
        }
        if (bowlMm != null) {
            faults.within("bowlMm", bowlMm, BOWL_MM);
        }
        if (centreCelsius != null) {
            faults.within("centreCelsius", centreCelsius, BarLayer.CELSIUS);
        }
    }
}
