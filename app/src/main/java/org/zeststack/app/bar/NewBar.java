package org.zeststack.app.bar;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.zeststack.app.drawing.PlanDrawing;
import org.zeststack.app.drawing.SectionDrawing;
import org.zeststack.app.shelf.Names;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.formula.NamedFormula;
import org.zeststack.core.picture.CrossSection;
import org.zeststack.core.picture.Plan;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.quantity.Refusal;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.typed.FormInput;
import org.zeststack.core.workshop.Mould;
import org.zeststack.core.workshop.Vessel;
import org.zeststack.store.Saved;
import org.zeststack.store.workshop.Aside;
import org.zeststack.store.workshop.WorkshopStore;

/** A new bar in three choices: its build, what it is made in, and what it is mainly made of. */
@Component
public class NewBar {

    private static final double SHEET_MM = 300;
    private static final double SHEET_WIDTH_MM = 200;
    private static final List<Double> LEVELS_MM = List.of(60.0, 45.0);

    /** Widest that something is drawn to be chosen, in units of the drawing. */
    private static final double DRAWN = 120;

    /** The same of a plan, in rem. */
    private static final double PLAN = 8;

    private final WorkshopStore workshop;
    private final Aside aside;
    private final Shelf shelf;
    private final Names names;
    private final BarWorkings workings;

    NewBar(WorkshopStore workshop, Aside aside, Shelf shelf, Names names, BarWorkings workings) {
        this.workshop = workshop;
        this.aside = aside;
        this.shelf = shelf;
        this.names = names;
        this.workings = workings;
    }

    public List<Saved<Mould>> moulds() {
        return aside.inUse(Aside.Kind.MOULD, workshop.moulds());
    }

    /** Frames and trays. */
    public List<Saved<Vessel>> flat() {
        return aside.inUse(Aside.Kind.VESSEL, workshop.vessels()).stream()
                .filter(v -> !v.content().kind().holdsLitres())
                .toList();
    }

    public List<NamedFormula> formulas() {
        return shelf.current();
    }

    /** What each build looks like cut through, by its name; one that cannot be drawn is left out. */
    public Map<String, SectionDrawing> builds(List<Saved<Mould>> moulds) {
        Map<String, SectionDrawing> drawn = new LinkedHashMap<>();
        for (Build build : Build.values()) {
            Body body =
                    switch (build) {
                        case MOULDED ->
                            new Body.Moulded(
                                    moulds.isEmpty() ? 0 : moulds.get(0).id(), false);
                        case SLAB -> new Body.Slab(SHEET_MM, SHEET_WIDTH_MM, 60, 25, 1, 5, 0);
                        case TRAY -> new Body.Tray(SHEET_MM, SHEET_WIDTH_MM, 4, 10, 1, 0);
                        case SHAPED -> new Body.Shaped(Body.Form.BALL, 0, 0, 0, 12);
                        case OPEN -> new Body.Plate(true, LEVELS_MM);
                    };
            drawn(StartingBars.of(build, body, usual(build)))
                    .ifPresent(stack -> drawn.put(
                            build.name(), SectionDrawing.fitting(CrossSection.across(stack), DRAWN, DRAWN / 3)));
        }
        return drawn;
    }

    /** What each mould looks like from above, by its id. */
    public Map<Long, PlanDrawing> plans(List<Saved<Mould>> moulds) {
        Map<Long, PlanDrawing> drawn = new LinkedHashMap<>();
        for (Saved<Mould> mould : moulds) {
            Body body = new Body.Moulded(mould.id(), false);
            drawn(StartingBars.of(Build.OPEN, body, usual(Build.OPEN)))
                    .ifPresent(stack -> drawn.put(mould.id(), PlanDrawing.fitting(Plan.of(stack), PLAN, PLAN / 2)));
        }
        return drawn;
    }

    private Optional<BarStack> drawn(Bar bar) {
        try {
            return Optional.of(workings.work(bar).stack());
        } catch (InvalidInput | Refusal cannot) {
            return Optional.empty();
        }
    }

    private static String usual(Build build) {
        return build == Build.OPEN ? "couverture-dark-62" : build == Build.SHAPED ? "marzipan" : "gianduja";
    }

    /** The bar chosen; empty with faults noted where a choice is missing or does not go with the build. */
    public Optional<Bar> read(FormInput form) {
        Build build = form.choice("build", Build.class);
        if (build == null) {
            return Optional.empty();
        }
        Body body = body(build, form);
        String typed = form.text("material.ingredient").strip();
        String of = typed.isEmpty()
                ? usual(build)
                : names.slug(typed, form.text("material.slug")).orElse(null);
        if (of == null) {
            form.add(Fault.of(
                    "material.ingredient",
                    typed,
                    "\u201c%s\u201d is neither in the store room nor a formula.".formatted(typed)));
        }
        return form.build(() -> StartingBars.of(build, body, of));
    }

    private Body body(Build build, FormInput form) {
        String in = form.text("madeIn");
        if (build == Build.SHAPED) {
            return new Body.Shaped(Body.Form.BALL, 0, 0, 0, 12);
        }
        if (in.startsWith("mould-") && (build == Build.MOULDED || build == Build.OPEN)) {
            String id = in.substring("mould-".length());
            boolean known = id.matches("[0-9]{1,15}")
                    && workshop.mould(Long.parseLong(id)).isPresent();
            if (known) {
                return new Body.Moulded(Long.parseLong(id), false);
            }
        }
        if (build == Build.MOULDED) {
            form.add(Fault.of("madeIn", in, "A moulded bar is made in a mould: choose one."));
            return null;
        }
        if (build == Build.OPEN && in.equals("plate")) {
            return new Body.Plate(true, LEVELS_MM);
        }
        if (build == Build.OPEN && in.equals("spread")) {
            return new Body.Spread(SHEET_MM, SHEET_WIDTH_MM, 20, 40, 0.03);
        }
        Optional<Vessel> vessel = flat().stream()
                .filter(v -> in.equals("vessel-" + v.id()))
                .map(Saved::content)
                .findFirst();
        double length = vessel.map(Vessel::lengthMm).orElse(SHEET_MM);
        double width = vessel.map(Vessel::widthMm).orElse(SHEET_WIDTH_MM);
        return switch (build) {
            case SLAB -> new Body.Slab(length, width, Math.min(60, length), Math.min(25, width), 1, 5, 0);
            case TRAY -> new Body.Tray(length, width, 4, 10, 1, 0);
            default -> new Body.Sheet(length, width, true, List.of(Math.min(50, Math.min(length, width))), 2);
        };
    }
}
