package org.zeststack.core.bar;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.cavity.Hollow;

/**
 * Fills a space layer upon layer. Layers below the one that takes the rest are laid from the floor up, those above it from the
 * opening down. An insert rests on the layer below, pressed in by its sink; what is soft is displaced up around it. An inclusion
 * lies inside a layer and displaces it, as far as it is embedded.
 */
final class Pour {

    private static final double MM3_PER_ML = 1000;
    private static final double SMALL_MM = 1e-9;

    /** A layer with its material. */
    record Deposit(int index, BarLayer layer, Material material) {}

    /** A layer that has found its place. */
    record Laid(Deposit deposit, double fromMm, double toMm, double volumeMl, double grams) {}

    /** What an insert takes away from the layers around it. */
    private record Placed(double areaMm2, double fromMm, double toMm) {}

    private final Hollow space;
    private final List<Deposit> deposits;
    private final double[] from;
    private final double[] to;
    private final double[] taken;
    private final List<Placed> placed = new ArrayList<>();
    private double lackingMl;
    private double lackingMm;
    private double emptyMm;

    private Pour(Hollow space, List<Deposit> deposits) {
        this.space = space;
        this.deposits = deposits;
        from = new double[deposits.size()];
        to = new double[deposits.size()];
        taken = new double[deposits.size()];
    }

    static Pour into(Hollow space, List<Deposit> deposits) {
        Pour pour = new Pour(space, deposits);
        pour.embed();
        pour.pour();
        return pour;
    }

    /** Room that the layers want beyond what there is, mL. */
    double lackingMl() {
        return lackingMl;
    }

    /** Height that they want beyond what there is. */
    double lackingMm() {
        return lackingMm;
    }

    /** Height left free at the opening. */
    double emptyMm() {
        return emptyMm;
    }

    /** Room that inserts and inclusions take inside a layer, mL. */
    double takenMl(int position) {
        return taken[position] + inserts(from[position], to[position]);
    }

    /** Counts what inclusions displace to the layer that they lie in: the one below, else the one above. */
    private void embed() {
        for (int i = 0; i < deposits.size(); i++) {
            Deposit deposit = deposits.get(i);
            if (deposit.layer().kind() == LayerKind.INCLUSION) {
                int host = host(i);
                if (host >= 0) {
                    taken[host] += deposit.layer().embedded()
                            * massOf(deposit)
                            / deposit.material().densityGramsPerMl();
                }
            }
        }
    }

    private int host(int inclusion) {
        for (int i = inclusion - 1; i >= 0; i--) {
            if (deposits.get(i).layer().kind().level()) {
                return i;
            }
        }
        for (int i = inclusion + 1; i < deposits.size(); i++) {
            if (deposits.get(i).layer().kind().level()) {
                return i;
            }
        }
        return -1;
    }

    static double massOf(Deposit deposit) {
        BarLayer layer = deposit.layer();
        return switch (layer.by()) {
            case PIECES -> layer.amount() * layer.eachGrams();
            case MILLIGRAMS -> layer.amount() / 1000;
            default -> layer.amount();
        };
    }

    private void pour() {
        int rest = rest();
        double level = space.floorMm();
        for (int i = 0; i < (rest < 0 ? deposits.size() : rest); i++) {
            level = up(i, level);
        }
        if (rest < 0) {
            emptyMm = space.topMm() - level;
            return;
        }
        double ceiling = space.topMm();
        for (int i = deposits.size() - 1; i > rest; i--) {
            ceiling = down(i, ceiling);
        }
        lackingMm += Math.max(0, level - ceiling);
        from[rest] = Math.min(level, Math.max(ceiling, space.floorMm()));
        to[rest] = Math.max(from[rest], ceiling);
        for (int i = rest + 1; i < deposits.size(); i++) {
            if (deposits.get(i).layer().kind() == LayerKind.INSERT) {
                place(i, to[below(i)]);
            }
        }
        lackingMl = Math.max(lackingMl, Math.max(0, taken[rest] - free(from[rest], to[rest])));
    }

    private int rest() {
        for (int i = 0; i < deposits.size(); i++) {
            if (deposits.get(i).layer().by() == BarLayer.By.REST) {
                return i;
            }
        }
        return -1;
    }

    private int below(int position) {
        for (int i = position - 1; i > 0; i--) {
            if (deposits.get(i).layer().kind().level()) {
                return i;
            }
        }
        return 0;
    }

    /** Lays one from below; returns the new level. */
    private double up(int i, double level) {
        BarLayer layer = deposits.get(i).layer();
        if (layer.kind() == LayerKind.INSERT) {
            place(i, level);
            return level;
        }
        from[i] = level;
        to[i] = level;
        if (!layer.kind().level()) {
            return level;
        }
        double wanted = layer.by() == BarLayer.By.MM ? level + layer.amount() * layer.repeat() : rise(i, level);
        to[i] = Math.min(space.topMm(), wanted);
        lackingMm += wanted - to[i];
        return to[i];
    }

    private void place(int i, double levelMm) {
        BarLayer.Insert insert = deposits.get(i).layer().insert();
        from[i] = Math.max(space.floorMm(), levelMm - insert.sinkMm());
        to[i] = from[i] + insert.heightMm();
        placed.add(new Placed(insert.outlineMm2(), from[i], to[i]));
    }

    /** Height up to which a given mass reaches, with the inserts that are pressed into it. */
    private double rise(int i, double level) {
        double volume = massOf(deposits.get(i))
                        * deposits.get(i).layer().repeat()
                        / deposits.get(i).material().densityGramsPerMl()
                + taken[i];
        double pressedMm2 = 0;
        double sinkMm = 0;
        if (i + 1 < deposits.size() && deposits.get(i + 1).layer().insert() != null) {
            pressedMm2 = deposits.get(i + 1).layer().insert().outlineMm2();
            sinkMm = deposits.get(i + 1).layer().insert().sinkMm();
        }
        double room = free(level, space.topMm()) - pressedMm2 * sinkMm / MM3_PER_ML;
        if (volume > room) {
            lackingMl += volume - room;
            return space.topMm();
        }
        if (placed.isEmpty() && pressedMm2 == 0) {
            return space.heightMm(level, volume);
        }
        double pressed = pressedMm2;
        double sink = sinkMm;
        return new BrentSolver(1e-10)
                .solve(
                        200,
                        z -> free(level, z) - pressed * Math.min(sink, z - level) / MM3_PER_ML - volume,
                        level,
                        space.topMm());
    }

    /** Lays one from above; returns the new ceiling. */
    private double down(int i, double ceiling) {
        BarLayer layer = deposits.get(i).layer();
        from[i] = ceiling;
        to[i] = ceiling;
        if (!layer.kind().level()) {
            return ceiling;
        }
        double floor = space.floorMm();
        double wanted = layer.by() == BarLayer.By.MM ? ceiling - layer.amount() * layer.repeat() : sink(i, ceiling);
        from[i] = Math.max(floor, wanted);
        lackingMm += from[i] - wanted;
        return from[i];
    }

    private double sink(int i, double ceiling) {
        // What lies on the layer below stands in this one.
        double volume =
                massOf(deposits.get(i)) / deposits.get(i).material().densityGramsPerMl() + taken[i] + standing(i);
        double floor = space.floorMm();
        if (volume >= free(floor, ceiling)) {
            lackingMl += volume - free(floor, ceiling);
            return floor;
        }
        return volume <= 0
                ? ceiling
                : new BrentSolver(1e-10).solve(200, z -> free(z, ceiling) - volume, floor, ceiling);
    }

    /** Volume of an insert on the layer below, as far as it is not pressed into that. */
    private double standing(int i) {
        BarLayer.Insert under = i == 0 ? null : deposits.get(i - 1).layer().insert();
        return under == null ? 0 : under.outlineMm2() * Math.max(0, under.heightMm() - under.sinkMm()) / MM3_PER_ML;
    }

    private double inserts(double fromMm, double toMm) {
        double sum = 0;
        for (Placed p : placed) {
            sum += p.areaMm2 * Math.max(0, Math.min(toMm, p.toMm) - Math.max(fromMm, p.fromMm)) / MM3_PER_ML;
        }
        return sum;
    }

    /** Room between two heights that no insert takes, mL. */
    double free(double fromMm, double toMm) {
        return toMm - fromMm < SMALL_MM ? 0 : space.volumeMl(fromMm, toMm) - inserts(fromMm, toMm);
    }

    List<Laid> laid() {
        List<Laid> all = new ArrayList<>();
        for (int i = 0; i < deposits.size(); i++) {
            all.add(laid(i));
        }
        return all;
    }

    private Laid laid(int i) {
        Deposit deposit = deposits.get(i);
        BarLayer layer = deposit.layer();
        double density = deposit.material().densityGramsPerMl();
        if (layer.insert() != null) {
            double ml = layer.insert().outlineMm2() * layer.insert().heightMm() / MM3_PER_ML;
            boolean weighed = layer.by() == BarLayer.By.GRAMS && layer.amount() > 0;
            return new Laid(deposit, from[i], to[i], ml, weighed ? layer.amount() : ml * density);
        }
        if (!layer.kind().level()) {
            double grams = massOf(deposit);
            return new Laid(deposit, from[i], to[i], grams / density, grams);
        }
        if (layer.by() == BarLayer.By.GRAMS) {
            double grams = layer.amount() * layer.repeat();
            return new Laid(deposit, from[i], to[i], grams / density, grams);
        }
        double ml = Math.max(0, free(from[i], to[i]) - taken[i]);
        return new Laid(deposit, from[i], to[i], ml, ml * density);
    }
}
