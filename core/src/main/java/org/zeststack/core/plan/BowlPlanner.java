package org.zeststack.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.composition.Part;
import org.zeststack.core.explain.Working;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.sheet.Chocolate;
import org.zeststack.core.sheet.CouvertureBatch;
import org.zeststack.core.sheet.CouvertureBatch.Tint;
import org.zeststack.core.sheet.Deposit;
import org.zeststack.core.sheet.Melt;
import org.zeststack.core.stack.Material;
import org.zeststack.core.stack.StackLayer;

/**
 * Couvertures and compounds of a run. To melt = what stays + scrapings + one mould filled to the rim less its shells + what must stay in
 * the bowl; the last two come back.
 */
final class BowlPlanner {

    private final RunOrder order;
    private final IngredientTable ingredients;
    private final int pieces;
    private final LaidMasses masses;

    BowlPlanner(RunOrder order, IngredientTable ingredients, int pieces, LaidMasses masses) {
        this.order = order;
        this.ingredients = ingredients;
        this.pieces = pieces;
        this.masses = masses;
    }

    /** Each once, the shell's first. */
    List<CouvertureBatch> all() {
        List<CouvertureBatch> batches = new ArrayList<>();
        List<StackLayer> coats = order.bar().all(LayerKind.COAT);
        String shell = order.bar().first(LayerKind.SHELL).map(masses::of).orElse("");
        String dip = coats.isEmpty() ? "" : masses.of(coats.get(coats.size() - 1));
        for (LaidMasses.Melted bowl : masses.bowls()) {
            String key = bowl.bowl().key();
            double rim = key.equals(shell) ? order.bar().pouredOutGrams() : 0;
            double left = Math.max(
                    order.allowances().bowlGrams(),
                    key.equals(dip) ? order.bar().bowlGrams() : 0);
            batches.add(batch(bowl, melt(masses.deposit(key), rim, left)));
        }
        return List.copyOf(batches);
    }

    /** What goes beyond the pieces is rounded up to whole grams, so that the lines of the sheet add up. */
    private Melt melt(Deposit deposit, double rimGrams, double bowlGrams) {
        double stays = deposit.total();
        double scraped = Math.ceil(stays / (1 - order.allowances().scrapeFraction()) - stays - 1e-9);
        double poured = Math.ceil(rimGrams - 1e-9);
        double bowl = Math.ceil(bowlGrams - 1e-9);
        return new Melt(stays + scraped + poured + bowl, deposit, scraped, poured, bowl);
    }

    private CouvertureBatch batch(LaidMasses.Melted bowl, Melt melt) {
        Material of = bowl.material();
        Optional<Tint> tint = Optional.ofNullable(bowl.tint()).map(mix -> {
            String name = order.bar().parts().materials().get(mix.of()).name();
            return new Tint(mix.of(), name, mix.fraction() * melt.grams());
        });
        double butter = ingredients.get(bowl.bowl().slug()).per100Grams().grams(Part.COCOA_BUTTER) / 100;
        Chocolate chocolate = new Chocolate(
                of.compound() ? Chocolate.COMPOUND : of.chocolate(),
                OptionalDouble.of(butter),
                Optional.ofNullable(of.windows()),
                Optional.of(of.allergens()));
        return new CouvertureBatch(bowl.bowl().key(), of.name(), chocolate, melt, tint, why(of, melt, bowl, tint));
    }

    private Working why(Material of, Melt melt, LaidMasses.Melted bowl, Optional<Tint> tint) {
        Deposit deposit = melt.deposit();
        Working.Builder why = Working.of(of.name())
                .line("Stays in the pieces", "%d pieces: %s", pieces, Say.grams(deposit.pieces(), 0));
        if (deposit.offcuts() + deposit.spare() > 0) {
            why.line("Stays in off-cuts and spare pieces", "%s", Say.grams(deposit.offcuts() + deposit.spare(), 0));
        }
        if (deposit.kept() > 0) {
            why.line("Kept in brush, gun or bag", "%s", Say.grams(deposit.kept(), 0));
        }
        why.line(
                        "Scraped off",
                        "%s / (1 − %s) − %s = %s",
                        Say.grams(deposit.total(), 0),
                        Say.percent(100 * order.allowances().scrapeFraction()),
                        Say.grams(deposit.total(), 0),
                        Say.grams(melt.scrapedGrams(), 0))
                .line("Poured out of one full mould", "%s come back", Say.grams(melt.pouredGrams(), 0))
                .line("Left in the bowl to work in", "%s come back", Say.grams(melt.bowlGrams(), 0))
                .line("Melt", "%s", Say.grams(melt.grams(), 0));
        tint.ifPresent(t -> why.line(
                "Of it " + t.name(),
                "%s of all the bowl: %s",
                Say.percent(100 * bowl.tint().fraction()),
                Say.grams(t.grams(), 1)));
        return why.from("Common practice, no source; the allowances are this run's own.");
    }
}
