package org.zeststack.core.rule;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.zeststack.core.quantity.CsvTable;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;

/** The bounds that a workshop judges by: those of the table, and its own in the place of some of them. */
public final class Bounds {

    private static final Bounds SHIPPED = read();

    private final Map<String, Bound> byCode;
    private final Set<String> asked;
    private final boolean watching;

    private Bounds(Map<String, Bound> byCode) {
        this.byCode = byCode;
        this.asked = Set.of();
        this.watching = false;
    }

    private Bounds(Map<String, Bound> byCode, Set<String> asked) {
        this.byCode = byCode;
        this.asked = asked;
        this.watching = true;
    }

    /** The same bounds, which remember what they are asked for: that is what one piece of work is judged by. */
    public Bounds watched() {
        return new Bounds(byCode, ConcurrentHashMap.newKeySet());
    }

    /** The bounds of the table. */
    public static Bounds shipped() {
        return SHIPPED;
    }

    private static Bounds read() {
        Map<String, Bound> all = new LinkedHashMap<>();
        for (CsvTable.Row row : CsvTable.load(Bounds.class, "bounds.csv").rows()) {
            Bound bound = Bound.read(row);
            if (all.put(bound.code(), bound) != null) {
                throw row.bad("stands twice: " + bound.code());
            }
        }
        return new Bounds(all);
    }

    /**
     * The bounds of the table with a workshop's own figures by code; codes that the table no longer has are left out.
     *
     * @throws InvalidInput if figures cannot be those of their bound, see {@link #check}
     */
    public static Bounds with(Map<String, Bound.Figures> own) {
        Map<String, Bound> all = new LinkedHashMap<>(SHIPPED.byCode);
        own.forEach((code, figures) -> all.computeIfPresent(code, (c, bound) -> {
            check(bound, figures);
            return bound.own(figures);
        }));
        return new Bounds(all);
    }

    /**
     * Whether figures can be a workshop's own for a bound: it rests on practice, the figures are those that the bound has, each
     * within {@link Bound#permitted}, in order, and not what the table has already.
     *
     * @throws InvalidInput with a fault for each figure that cannot be
     */
    public static void check(Bound bound, Bound.Figures own) {
        Faults faults = new Faults();
        if (!bound.ownAllowed()) {
            faults.add(Fault.of(
                    "code",
                    bound.code(),
                    "This bound is %s: a workshop cannot set it."
                            .formatted(bound.basis().words())));
        }
        within(faults, bound, "least", bound.figures().least(), own.least());
        within(faults, bound, "usual", bound.figures().usual(), own.usual());
        within(faults, bound, "greatest", bound.figures().greatest(), own.greatest());
        inOrder(faults, bound, "usual", own.least(), own.usual());
        inOrder(faults, bound, "greatest", own.usual() == null ? own.least() : own.usual(), own.greatest());
        if (own.equals(bound.figures())) {
            faults.add(Fault.of("code", bound.code(), "These are the shipped figures already."));
        }
        faults.throwIfAny();
    }

    private static void within(Faults faults, Bound bound, String field, Double shipped, Double own) {
        if (shipped == null != (own == null)) {
            faults.add(Fault.of(
                    field,
                    own == null ? "" : String.valueOf(own),
                    shipped == null ? "This bound has no such figure." : "This figure is needed."));
        } else if (own != null) {
            faults.within(field, own, bound.permitted());
        }
    }

    private static void inOrder(Faults faults, Bound bound, String field, Double smaller, Double figure) {
        if (smaller != null && figure != null && figure < smaller) {
            faults.add(Fault.of(
                    field,
                    bound.words(figure),
                    "%s is less than the %s before it.".formatted(bound.words(figure), bound.words(smaller))));
        }
    }

    /**
     * The bound of a name.
     *
     * @throws IllegalArgumentException where there is none
     */
    public Bound of(String code) {
        if (watching) {
            asked.add(code);
        }
        return find(code).orElseThrow(() -> new IllegalArgumentException("no bound " + code));
    }

    public Optional<Bound> find(String code) {
        return Optional.ofNullable(byCode.get(code));
    }

    /** All bounds, in the order of the table. */
    public Collection<Bound> all() {
        return byCode.values();
    }

    /** The workshop's own ones. */
    public List<Bound> own() {
        return byCode.values().stream()
                .filter(b -> b.basis() == Bound.Basis.OWN)
                .toList();
    }

    /** The workshop's own ones among those that were asked for; see {@link #watched}. */
    public List<Bound> ownAsked() {
        return own().stream().filter(b -> asked.contains(b.code())).toList();
    }
}
