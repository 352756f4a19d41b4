package org.zeststack.core.plan;

import java.util.Optional;
import org.zeststack.core.explain.Call;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Rule;
import org.zeststack.core.sheet.Carriers;
import org.zeststack.core.sheet.Pieces;

/**
 * Pieces to make, and what they are made in: moulds and their turns; slabs, trays and sheets are laid as often as they are needed, and
 * whole. Pieces to make = wanted / (1 − rejects), rounded up.
 */
final class CarrierPlan {

    private static final String REJECTS = "carrier-for-rejects";

    private CarrierPlan() {}

    static Pieces of(RunOrder order) {
        int toMake = (int) Math.ceil(order.pieces() / (1 - order.allowances().rejectFraction()) - 1e-9);
        return new Pieces(order.pieces(), toMake, order.allowances(), carriers(order, toMake));
    }

    private static Carriers carriers(RunOrder order, int pieces) {
        int each = order.bar().frame().piecesOfOne();
        int fills = (pieces + each - 1) / each;
        int turns = (fills + order.carriersOwned() - 1) / order.carriersOwned();
        boolean whole = order.bar().bar().body().cutToPieces();
        return new Carriers(
                order.carrierName(),
                each,
                order.carriersOwned(),
                fills,
                turns,
                pieces - (fills - 1) * each,
                order.bar().bar().body().carrier(),
                whole ? fills * each - pieces : 0,
                order.bar().layers().stream().anyMatch(l -> !order.bar().bar().onCarrier(l.index())));
    }

    /** Whether only the rejects expected open another slab, tray or sheet. */
    static Optional<Call> call(RunOrder order, Pieces planned) {
        Carriers carriers = planned.carriers();
        int enough = (planned.wanted() + carriers.cavities() - 1) / carriers.cavities();
        if (!order.bar().bar().body().cutToPieces() || enough >= carriers.fills()) {
            return Optional.empty();
        }
        double good = 1 - planned.allowances().rejectFraction();
        int fewer = enough * carriers.cavities();
        int all = carriers.fills() * carriers.cavities();
        String one = carriers.carrier();
        return Optional.of(new Call(
                Call.Weight.GOOD_TO_KNOW,
                REJECTS,
                "%s: expect %d good, or %d of %d with %s more. Only the rejects expected ask for it."
                        .formatted(
                                enough == 1
                                        ? "One %s gives %d".formatted(one, fewer)
                                        : "%d %ss give %d".formatted(enough, one, fewer),
                                Math.round(fewer * good),
                                Math.round(all * good),
                                all,
                                carriers.fills() - enough == 1 ? "one" : carriers.fills() - enough),
                "%d wanted / (1 − %s) = %d to make, %d on one %s"
                        .formatted(
                                planned.wanted(),
                                Say.percent(100 * planned.allowances().rejectFraction()),
                                planned.toMake(),
                                carriers.cavities(),
                                one),
                Rule.of(Rule.About.RUN, REJECTS).source(order.bar().bounds())));
    }
}
