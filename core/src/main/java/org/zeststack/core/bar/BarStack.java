package org.zeststack.core.bar;

import java.util.ArrayList;
import java.util.List;
import org.zeststack.core.cavity.FilledCavity;
import org.zeststack.core.cavity.LinedCavity;
import org.zeststack.core.cavity.TaperedCavity;
import org.zeststack.core.explain.Call;
import org.zeststack.core.explain.Working;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.weighing.FillWindow;

/**
 * A moulded bar computed: the level, volume and mass of every layer, the windows of its fillings and the calls.
 *
 * <p>Levels are heights above the cavity's own floor, mm. With several fillings each one's window is its own share of the
 * inside: if every filling stands at the same end of its window, the back stands at that end of its own.
 */
public final class BarStack {

    /** What a layer is. */
    public enum Kind {
        SHELL,
        FILLING,
        BACK
    }

    /**
     * One layer of the stack.
     *
     * @param key {@code shell}, {@code filling-1}, {@code filling-2} or {@code back}
     * @param fromMm lower level
     * @param toMm upper level
     * @param window grams that still leave a good piece; for shell and back the mass itself at both ends
     */
    public record Layer(
            String key,
            Kind kind,
            String name,
            String material,
            double fromMm,
            double toMm,
            double volumeMl,
            double grams,
            FillWindow window) {}

    private final Bar bar;
    private final BarParts parts;
    private final FilledCavity filled;
    private final List<Layer> layers = new ArrayList<>();

    private BarStack(Bar bar, BarParts parts) {
        this.bar = bar;
        this.parts = parts;
        filled = FilledCavity.of(parts.cavity(), bar.shellMm(), bar.backMm(), bar.backLeastMm(), bar.backGreatestMm());
    }

    /**
     * Computes a bar.
     *
     * @throws org.zeststack.core.quantity.InvalidInput if shell or back cannot be drawn in this cavity
     */
    public static BarStack of(Bar bar, BarParts parts) {
        BarStack stack = new BarStack(bar, parts);
        stack.build();
        return stack;
    }

    private void build() {
        LinedCavity lined = filled.lined();
        double depth = parts.cavity().depthMm();
        double backFrom = depth - bar.backMm();
        add("shell", Kind.SHELL, parts.shell(), 0, lined.shellMm(), lined.shellMl(), null);
        double from = lined.shellMm();
        for (int i = 0; i < parts.fillings().size(); i++) {
            boolean last = i == parts.fillings().size() - 1;
            double to = last
                    ? backFrom
                    : Math.min(backFrom, from + bar.fillings().get(i).depthMm());
            double volume = lined.volumeMl(from, to);
            BarParts.Part part = parts.fillings().get(i);
            add("filling-" + (i + 1), Kind.FILLING, part, from, to, volume, window(volume, part.densityGramsPerMl()));
            from = to;
        }
        add("back", Kind.BACK, parts.back(), backFrom, depth, filled.backMl(), null);
    }

    private FillWindow window(double volumeMl, double density) {
        double share = filled.fillingMl() == 0 ? 0 : volumeMl / filled.fillingMl() * density;
        return new FillWindow(filled.fillingLeastMl() * share, volumeMl * density, filled.fillingGreatestMl() * share);
    }

    private void add(
            String key, Kind kind, BarParts.Part part, double from, double to, double volumeMl, FillWindow window) {
        double grams = volumeMl * part.densityGramsPerMl();
        FillWindow shown = window == null ? new FillWindow(grams, grams, grams) : window;
        layers.add(new Layer(key, kind, part.name(), part.material(), from, to, volumeMl, grams, shown));
    }

    public List<Layer> layers() {
        return List.copyOf(layers);
    }

    public Layer shell() {
        return layers.get(0);
    }

    public Layer back() {
        return layers.get(layers.size() - 1);
    }

    public List<Layer> fillings() {
        return layers.subList(1, layers.size() - 1);
    }

    public Bar bar() {
        return bar;
    }

    public TaperedCavity cavity() {
        return parts.cavity();
    }

    public LinedCavity lined() {
        return filled.lined();
    }

    /** Couverture poured out of a cavity filled to the rim when only the shell stays, g. */
    public double pouredOutGrams() {
        return filled.lined().volumeMl() * parts.shell().densityGramsPerMl();
    }

    FilledCavity filled() {
        return filled;
    }

    BarParts parts() {
        return parts;
    }

    public double pieceGrams() {
        return layers.stream().mapToDouble(Layer::grams).sum();
    }

    /** Shell and back over the whole piece. */
    public double chocolateShare() {
        return (shell().grams() + back().grams()) / pieceGrams();
    }

    public List<Call> calls() {
        return BarCalls.of(this);
    }

    /** The arithmetic of volumes, grams and window. */
    public Working why() {
        Working.Builder working = Working.of("Grams per cavity")
                .line(
                        "Cavity",
                        "d (A₀ + 4 Aₘ + A₁) / 6 = %s mL",
                        Numbers.fixed(parts.cavity().volumeMl(), 2))
                .line(
                        "Inside the shell",
                        "walls in by %s mm √(1 + tan²θ), floor up by %s mm: %s mL",
                        Numbers.plain(bar.shellMm()),
                        Numbers.plain(bar.shellMm()),
                        Numbers.fixed(filled.lined().volumeMl(), 2));
        for (Layer layer : layers) {
            working.line(
                    layer.name(),
                    "%s mL × %s g/mL = %s g",
                    Numbers.fixed(layer.volumeMl(), 2),
                    Numbers.fixed(layer.grams() / Math.max(1e-12, layer.volumeMl()), 3),
                    Numbers.fixed(layer.grams(), 1));
        }
        return working.line(
                        "Window of the filling",
                        "back %s to %s mm leaves %s to %s mL",
                        Numbers.plain(bar.backLeastMm()),
                        Numbers.plain(bar.backGreatestMm()),
                        Numbers.fixed(filled.fillingLeastMl(), 2),
                        Numbers.fixed(filled.fillingGreatestMl(), 2))
                .from(
                        "Prismoidal formula on the inset shape; densities by Choi and Okos 1986 or the couverture's own.");
    }
}
