package org.zeststack.core.stack;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.cavity.Hollow;

/**
 * Fills a space layer upon layer. Layers below the one that takes the rest are laid from the floor up, those above it from the
 * opening down. An insert rests on the level layer below it, pressed in by its sink; what is soft is displaced up around it,
 * through as many layers as it is pressed into. An inclusion lies inside the layer below it as far as it is embedded, and stands
 * in the one above with the rest.
 *
 * <p>Levels and inserts depend on each other: the levels are found with the inserts where they last were, until nothing moves.
 * What is pressed into the layer being laid moves with its level, so that in the usual case one round is enough.
 */
final class Pour {

    private static final double MM3_PER_ML = 1000;
    private static final double SMALL_MM = 1e-9;

    /** How far into the layer above a piece that is not wholly embedded is taken to reach: enough to touch it. */
    private static final double STANDING_MM = 0.5;

    private static final double STILL_MM = 1e-11;
    private static final int MOST_ROUNDS = 500;
    private static final int FLOOR = -1;

    /**
     * A layer with its material.
     *
     * @param shareGrams what it comes to where it is given as a share of what it lies on
     * @param times how often its amount is laid: a part of it where a piece has several stacks
     */
    record Deposit(int index, BarLayer layer, Material material, double shareGrams, double times) {

        Deposit(int index, BarLayer layer, Material material) {
            this(index, layer, material, 0, 1);
        }

        Deposit times(double other) {
            return new Deposit(index, layer, material, shareGrams, other);
        }

        private boolean level() {
            return layer.kind().level();
        }

        private double volumeMl() {
            return massOf(this) / material.densityGramsPerMl();
        }
    }

    /** A layer that has found its place. */
    record Laid(Deposit deposit, double fromMm, double toMm, double volumeMl, double grams) {}

    private final Hollow space;
    private final List<Deposit> deposits;
    private final double[] from;
    private final double[] to;
    private final double[] taken;
    private final List<Integer> inserts = new ArrayList<>();
    private double lackingMl;
    private double lackingMm;
    private double emptyMm;

    private Pour(Hollow space, List<Deposit> deposits) {
        this.space = space;
        this.deposits = deposits;
        from = new double[deposits.size()];
        to = new double[deposits.size()];
        taken = new double[deposits.size()];
        for (int i = 0; i < deposits.size(); i++) {
            if (deposits.get(i).layer().insert() != null) {
                inserts.add(i);
            }
        }
    }

    static Pour into(Hollow space, List<Deposit> deposits) {
        Pour pour = new Pour(space, deposits);
        pour.embed();
        int rounds = 0;
        while (pour.round() > STILL_MM && ++rounds < MOST_ROUNDS) {
            pour.lackingMl = 0;
            pour.lackingMm = 0;
        }
        pour.crowded();
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

    /** Counts what inclusions displace to the layers that they lie and stand in. */
    private void embed() {
        for (int i = 0; i < deposits.size(); i++) {
            Deposit deposit = deposits.get(i);
            if (deposit.layer().kind() != LayerKind.INCLUSION) {
                continue;
            }
            if (loose(i)) {
                continue;
            }
            int below = below(i);
            int above = above(i);
            double inside = below == FLOOR ? 0 : deposit.layer().embedded();
            if (below != FLOOR) {
                taken[below] += inside * deposit.volumeMl();
            }
            if (above < deposits.size()) {
                taken[above] += (1 - inside) * deposit.volumeMl();
            }
        }
    }

    /** Whether what is strewn lies loose in a hollow, under nothing but the back that closes it. */
    private boolean loose(int i) {
        int above = above(i);
        return below(i) == FLOOR
                && above < deposits.size()
                && deposits.get(above).layer().kind() == LayerKind.BACK;
    }

    /** The level layer below a position; {@link #FLOOR} where there is none. */
    private int below(int position) {
        int i = position - 1;
        while (i >= 0 && !deposits.get(i).level()) {
            i--;
        }
        return i;
    }

    private int above(int position) {
        int i = position + 1;
        while (i < deposits.size() && !deposits.get(i).level()) {
            i++;
        }
        return i;
    }

    static double massOf(Deposit deposit) {
        BarLayer layer = deposit.layer();
        double each =
                switch (layer.by()) {
                    case PIECES -> layer.amount() * layer.eachGrams();
                    case MILLIGRAMS -> layer.amount() / 1000;
                    case SHARE -> deposit.shareGrams() / layer.repeat();
                    default -> layer.amount();
                };
        return each * layer.repeat() * deposit.times();
    }

    /** Lays everything once; returns how far an insert moved by it. */
    private double round() {
        int rest = rest();
        double level = space.floorMm();
        for (int i = 0; i < (rest < 0 ? deposits.size() : rest); i++) {
            level = up(i, level);
        }
        emptyMm = rest < 0 ? space.topMm() - level : 0;
        if (rest >= 0) {
            double ceiling = space.topMm();
            for (int i = deposits.size() - 1; i > rest; i--) {
                ceiling = down(i, ceiling);
            }
            lackingMm += Math.max(0, level - ceiling);
            from[rest] = Math.min(level, Math.max(ceiling, space.floorMm()));
            to[rest] = Math.max(from[rest], ceiling);
        }
        double moved = 0;
        for (int i : inserts) {
            int support = below(i);
            double lowest = bottom(i, support == FLOOR ? space.floorMm() : to[support]);
            moved = Math.max(moved, Math.abs(lowest - from[i]));
            from[i] = lowest;
            to[i] = lowest + heightMm(i);
        }
        return moved;
    }

    private int rest() {
        for (int i = 0; i < deposits.size(); i++) {
            if (deposits.get(i).layer().by() == BarLayer.By.REST) {
                return i;
            }
        }
        return -1;
    }

    private double bottom(int insert, double levelMm) {
        return Math.max(
                space.floorMm(), levelMm - deposits.get(insert).layer().insert().sinkMm());
    }

    private double heightMm(int insert) {
        BarLayer layer = deposits.get(insert).layer();
        return layer.insert().heightMm() * layer.repeat();
    }

    /** Lays one from below; returns the new level. */
    private double up(int i, double level) {
        Deposit deposit = deposits.get(i);
        if (!deposit.level()) {
            return level;
        }
        from[i] = level;
        BarLayer layer = deposit.layer();
        if (layer.by() == BarLayer.By.MM) {
            double wanted = level + layer.amount() * layer.repeat();
            to[i] = Math.min(space.topMm(), wanted);
            lackingMm += wanted - to[i];
        } else {
            to[i] = rise(i, level);
        }
        return to[i];
    }

    /** Height up to which a given mass reaches, with what is pressed into it. */
    private double rise(int i, double level) {
        double volume = deposits.get(i).volumeMl() + taken[i];
        double top = space.topMm();
        double room = roomBelow(i, level, top);
        if (volume > room) {
            lackingMl += volume - room;
            return top;
        }
        if (inserts.isEmpty()) {
            return space.heightMm(level, volume);
        }
        return volume <= 0
                ? level
                : new BrentSolver(1e-12).solve(300, z -> roomBelow(i, level, z) - volume, level, top);
    }

    /** Room between two heights while layer {@code i} reaches up to the upper one. */
    private double roomBelow(int i, double fromMm, double toMm) {
        return space.volumeMl(fromMm, toMm) - inserted(fromMm, toMm, i, toMm);
    }

    /** Lays one from above; returns the new ceiling. */
    private double down(int i, double ceiling) {
        Deposit deposit = deposits.get(i);
        if (!deposit.level()) {
            return ceiling;
        }
        to[i] = ceiling;
        double floor = space.floorMm();
        BarLayer layer = deposit.layer();
        if (layer.by() == BarLayer.By.MM) {
            double wanted = ceiling - layer.amount() * layer.repeat();
            from[i] = Math.max(floor, wanted);
            lackingMm += from[i] - wanted;
        } else {
            from[i] = sink(i, ceiling);
        }
        return from[i];
    }

    private double sink(int i, double ceiling) {
        double volume = deposits.get(i).volumeMl() + taken[i];
        double floor = space.floorMm();
        double room = roomAbove(i, floor, ceiling);
        if (volume >= room) {
            lackingMl += volume - room;
            return floor;
        }
        return volume <= 0
                ? ceiling
                : new BrentSolver(1e-12).solve(300, z -> roomAbove(i, z, ceiling) - volume, floor, ceiling);
    }

    /** Room between two heights while layer {@code i} begins at the lower one: what rests below stands in it. */
    private double roomAbove(int i, double fromMm, double toMm) {
        return space.volumeMl(fromMm, toMm) - inserted(fromMm, toMm, below(i), fromMm);
    }

    /**
     * Volume of inserts between two heights.
     *
     * @param support layer whose inserts rest on {@code levelMm}; the others are where they last were
     */
    private double inserted(double fromMm, double toMm, int support, double levelMm) {
        double sum = 0;
        for (int i : inserts) {
            double bottom = below(i) == support ? bottom(i, levelMm) : from[i];
            sum += between(i, bottom, fromMm, toMm);
        }
        return sum;
    }

    private double between(int insert, double bottom, double fromMm, double toMm) {
        double height = Math.max(0, Math.min(toMm, bottom + heightMm(insert)) - Math.max(fromMm, bottom));
        return deposits.get(insert).layer().insert().outlineMm2() * height / MM3_PER_ML;
    }

    /** Room between two heights that no insert takes, mL. */
    double free(double fromMm, double toMm) {
        if (toMm - fromMm < SMALL_MM) {
            return 0;
        }
        double sum = 0;
        for (int i : inserts) {
            sum += between(i, from[i], fromMm, toMm);
        }
        return space.volumeMl(fromMm, toMm) - sum;
    }

    /** Layers of a given height, or of the rest, that hold less than what lies in them. */
    private void crowded() {
        for (int i = 0; i < deposits.size(); i++) {
            if (deposits.get(i).level() && deposits.get(i).layer().by() != BarLayer.By.GRAMS) {
                lackingMl += Math.max(0, taken[i] - free(from[i], to[i]));
            }
        }
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
            double ml = layer.insert().outlineMm2() * heightMm(i) / MM3_PER_ML;
            boolean weighed = layer.by() == BarLayer.By.GRAMS && layer.amount() > 0;
            return new Laid(deposit, from[i], to[i], ml, weighed ? massOf(deposit) : ml * density);
        }
        if (layer.kind() == LayerKind.INCLUSION) {
            return inclusion(i);
        }
        if (layer.by() == BarLayer.By.GRAMS) {
            return new Laid(deposit, from[i], to[i], deposit.volumeMl(), massOf(deposit));
        }
        double ml = Math.max(0, free(from[i], to[i]) - taken[i]);
        return new Laid(deposit, from[i], to[i], ml, ml * density);
    }

    /** An inclusion reaches over the layer that it lies in and, as far as it is not embedded, into the one above. */
    private Laid inclusion(int i) {
        Deposit deposit = deposits.get(i);
        int host = loose(i) ? deposits.size() : below(i) == FLOOR ? above(i) : below(i);
        int over = above(host == deposits.size() ? i : host);
        double low = host < deposits.size() ? from[host] : space.floorMm();
        double high = host < deposits.size() ? to[host] : space.floorMm();
        boolean stands = host < i && deposit.layer().embedded() < 1 && over < deposits.size();
        return new Laid(
                deposit,
                low,
                stands ? Math.min(to[over], high + STANDING_MM) : high,
                deposit.volumeMl(),
                massOf(deposit));
    }
}
