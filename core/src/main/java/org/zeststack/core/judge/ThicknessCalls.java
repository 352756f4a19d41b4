package org.zeststack.core.judge;

import static org.zeststack.core.judge.BarCalls.mm;
import static org.zeststack.core.judge.BarCalls.percent;
import static org.zeststack.core.judge.BarCalls.set;
import static org.zeststack.core.quantity.Numbers.plain;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.composition.Composition;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Call.Change;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.slab.SlabCut;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.Frame;
import org.zeststack.core.stack.StackLayer;

/** Shells and coats that hold and are pleasant to bite, salt that is, walls that let go, slabs that leave little over. */
final class ThicknessCalls {

    private static final String COAT_THICKNESS = "coat-thickness";
    private static final String DRAFT = "draft";
    private static final String OFFCUTS = "offcuts";

    private final BarCalls calls;
    private final BarStack stack;

    private ThicknessCalls(BarCalls calls) {
        this.calls = calls;
        this.stack = calls.stack();
    }

    static void add(BarCalls calls) {
        ThicknessCalls own = new ThicknessCalls(calls);
        own.shell();
        own.coats();
        own.salt();
        own.draft();
        own.offcuts();
        own.bowl();
    }

    private void shell() {
        stack.first(LayerKind.SHELL)
                .ifPresent(shell -> bound(
                        shell,
                        shell.thicknessMm(),
                        calls.bound("shell-thickness"),
                        "shell",
                        "shell",
                        "it will crack on release or let the filling through",
                        Weight.WILL_FAIL));
    }

    private void coats() {
        List<StackLayer> coats = stack.all(LayerKind.COAT);
        if (coats.isEmpty()) {
            return;
        }
        coats.stream().filter(c -> c.design().coated().none()).forEach(this::noFace);
        List<Face> faces = new ArrayList<>();
        face(faces, coats, "on the bottom", BarLayer.Faces::bottom);
        face(faces, coats, "on the sides", BarLayer.Faces::sides);
        face(faces, coats, "on top", BarLayer.Faces::top);
        faces.stream()
                .min(Comparator.comparingDouble(Face::mm))
                .filter(f -> f.mm < f.last.design().least(() -> calls.bound(COAT_THICKNESS)))
                .ifPresent(f -> coat(f, faces));
        faces.stream()
                .max(Comparator.comparingDouble(Face::mm))
                .filter(f -> f.mm > f.last.design().greatest(() -> calls.bound(COAT_THICKNESS)))
                .ifPresent(f -> coat(f, faces));
    }

    private void noFace(StackLayer coat) {
        calls.add(
                Weight.WILL_FAIL,
                "coat-no-face",
                "%s covers no face: nothing of it is laid. Say which faces it covers, or take the coat out."
                        .formatted(coat.name()),
                "bottom, sides and top are all left bare");
    }

    /**
     * What lies on one side of a centre.
     *
     * @param last outermost coat there
     */
    private record Face(String words, double mm, StackLayer last) {}

    /** The coats that cover a face, one on the other; a face that nothing is meant to cover is none. */
    private static void face(List<Face> faces, List<StackLayer> coats, String words, Predicate<BarLayer.Faces> covers) {
        List<StackLayer> here = coats.stream()
                .filter(c -> c.material().isCoating() && covers.test(c.design().coated()))
                .toList();
        if (!here.isEmpty()) {
            double mm = here.stream().mapToDouble(StackLayer::thicknessMm).sum();
            faces.add(new Face(words, mm, here.get(here.size() - 1)));
        }
    }

    private void coat(Face face, List<Face> faces) {
        boolean even = faces.stream().allMatch(f -> Math.abs(f.mm - face.mm) < 1e-9);
        String what = even ? "coat" : "coat " + face.words;
        bound(
                face.last,
                face.mm,
                calls.bound(COAT_THICKNESS),
                "coat",
                what,
                "the centre shows through and draws water",
                Weight.TAKE_CARE);
    }

    private void bound(
            StackLayer layer, double thick, Bound bound, String code, String what, String failure, Weight thin) {
        double least = layer.design().least(() -> bound);
        double greatest = layer.design().greatest(() -> bound);
        double usual = bound.usual();
        boolean byMm = layer.design().by() == BarLayer.By.MM;
        double target = usual >= least && usual <= greatest ? usual : (least + greatest) / 2;
        if (thick < least - 1e-9) {
            calls.add(
                    thin,
                    code + "-too-thin",
                    "%s of %s: %s. Take %s or more.".formatted(title(what), mm(thick), failure, mm(least)),
                    "%s < %s".formatted(Say.mm(thick, 2), Say.mm(least)),
                    byMm
                            ? set(
                                    layer,
                                    "amount",
                                    layer.design().amount()
                                            + (target - thick) / layer.design().repeat(),
                                    title(what) + " of " + mm(target))
                            : null);
        } else if (thick > greatest + 1e-9) {
            double less = (thick - greatest) / layer.design().repeat();
            double amount = BarCalls.floor(layer.design().amount() - less);
            calls.add(
                    Weight.TAKE_CARE,
                    code + "-too-thick",
                    "%s of %s: more to bite through than anybody enjoys. Take %s or less."
                            .formatted(title(what), mm(thick), mm(greatest)),
                    "%s > %s".formatted(Say.mm(thick, 2), Say.mm(greatest)),
                    byMm && amount > 0 ? set(layer, "amount", amount, title(what) + " of " + mm(greatest)) : null);
        }
    }

    private static String title(String what) {
        return Character.toUpperCase(what.charAt(0)) + what.substring(1);
    }

    /** All salt of the piece, strewn on it or in what it is made of. */
    private void salt() {
        double salt = 0;
        StackLayer most = null;
        double mostGrams = 0;
        for (StackLayer layer : stack.layers()) {
            Composition hundred = layer.material().per100Grams();
            double grams = layer.grams() * hundred.grams(Part.SALT) / hundred.totalGrams();
            salt += grams;
            if (grams > mostGrams) {
                most = layer;
                mostGrams = grams;
            }
        }
        Bound bound = calls.bound("salt");
        double share = salt / stack.pieceGrams();
        if (share > bound.greatest()) {
            calls.add(
                    Weight.TAKE_CARE,
                    "salt-high",
                    "%s of the piece is salt, most of it in %s: more than anybody enjoys."
                            .formatted(percent(share), most.name()),
                    "%s of salt / %s; %s is usual"
                            .formatted(Say.grams(salt, 2), Say.grams(stack.pieceGrams(), 1), bound.words()));
        }
    }

    private void draft() {
        if (stack.frame() instanceof Frame.Moulded m
                && m.cavity().draftDegrees() < calls.bound(DRAFT).least()
                && m.cavity().floorEdgeMm() > 0) {
            calls.add(
                    Weight.TAKE_CARE,
                    "low-draft",
                    "The walls lean by %s only: pieces hold on at release. Chill them longer, or take a mould that opens more."
                            .formatted(Say.of(m.cavity().draftDegrees(), 1, Measure.DEGREES)),
                    "atan((opening − floor) / 2 depth) = %s < %s"
                            .formatted(
                                    Say.of(m.cavity().draftDegrees(), 1, Measure.DEGREES),
                                    Say.of(calls.bound(DRAFT).least(), Measure.DEGREES)));
        }
    }

    private void offcuts() {
        if (!(stack.frame() instanceof Frame.Cut frame)) {
            return;
        }
        SlabCut cut = frame.cut();
        double laid = stack.layers().stream().mapToDouble(StackLayer::laidGrams).sum();
        double lost = (laid - stack.pieceGrams()) * cut.pieces();
        boolean care = cut.offcutFraction() > calls.bound(OFFCUTS).greatest();
        calls.add(
                care ? Weight.TAKE_CARE : Weight.GOOD_TO_KNOW,
                care ? "offcuts-high" : "offcuts",
                "%s of the slab is off-cuts: %s of %s.%s"
                        .formatted(
                                percent(cut.offcutFraction()),
                                Say.grams(lost, 0),
                                cut.pieces() == 1 ? "one piece" : cut.pieces() + " pieces",
                                care ? " Pieces that divide the slab leave less." : ""),
                "1 − %d × %s × %s / (%s × %s)"
                        .formatted(
                                cut.pieces(),
                                Say.bare(Say.mm(cut.alongMm(), 1)),
                                Say.mm(cut.acrossMm(), 1),
                                Say.bare(Say.mm(cut.lengthMm())),
                                Say.mm(cut.widthMm())),
                care && stack.bar().body() instanceof Body.Slab ? dividing(cut).orElse(null) : null);
    }

    /** Pieces nearest to the designed ones that leave nothing but trim and kerf; empty where that is too much itself. */
    private Optional<Change> dividing(SlabCut cut) {
        double along = dividing(cut.lengthMm(), cut.alongMm(), cut.kerfMm(), cut.trimMm());
        double across = dividing(cut.widthMm(), cut.acrossMm(), cut.kerfMm(), cut.trimMm());
        double length = cut.turned() ? across : along;
        double width = cut.turned() ? along : across;
        if (length < SlabCut.PIECE_MM.least()
                || width < SlabCut.PIECE_MM.least()
                || SlabCut.of(cut.lengthMm(), cut.widthMm(), length, width, cut.kerfMm(), cut.trimMm())
                                .offcutFraction()
                        > calls.bound(OFFCUTS).greatest()) {
            return Optional.empty();
        }
        return Optional.of(new Change(
                "Pieces of %s × %s".formatted(Say.bare(Say.mm(length)), Say.mm(width)),
                Map.of("body.pieceLengthMm", plain(length), "body.pieceWidthMm", plain(width))));
    }

    private static double dividing(double side, double piece, double kerf, double trim) {
        double room = side - 2 * trim + kerf;
        double best = 0;
        int fewer = (int) Math.max(1, Math.floor(room / (piece + kerf)));
        for (int n = fewer; n <= fewer + 1; n++) {
            double of = Math.floor((room / n - kerf) * 10) / 10;
            if (Math.abs(of - piece) < Math.abs(best - piece)) {
                best = of;
            }
        }
        return best;
    }

    /** What the dipping bowl must hold; it comes back. */
    private void bowl() {
        Double bowl = stack.bar().bowlMm();
        double grams = stack.bowlGrams();
        if (bowl == null || grams == 0) {
            return;
        }
        List<StackLayer> coats = stack.all(LayerKind.COAT);
        StackLayer coat = coats.get(coats.size() - 1);
        double height = stack.bowlDepthMm();
        calls.add(
                Weight.GOOD_TO_KNOW,
                "bowl-depth",
                "The bowl must hold %s of %s to dip in: %s beyond what the pieces take. It comes back."
                        .formatted(Say.mm(height, 0), coat.name(), Say.grams(grams, 0)),
                "π/4 × (%s)² × (piece %s + %s) × %s"
                        .formatted(
                                Say.mm(bowl),
                                Say.mm(height - BarStack.BOWL_OVER_MM, 1),
                                Say.mm(BarStack.BOWL_OVER_MM),
                                Say.of(coat.material().densityGramsPerMl(), 2, Measure.GRAMS_PER_MILLILITRE)));
    }
}
