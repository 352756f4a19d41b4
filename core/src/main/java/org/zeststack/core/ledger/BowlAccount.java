package org.zeststack.core.ledger;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.zeststack.core.bench.BenchEntry;
import org.zeststack.core.bench.BenchState;
import org.zeststack.core.bench.EntryBody;
import org.zeststack.core.bench.InTemper;
import org.zeststack.core.bench.Overruled;
import org.zeststack.core.bench.Proof;
import org.zeststack.core.bench.StepDone;
import org.zeststack.core.bench.WaterIn;
import org.zeststack.core.bench.WeighIn;
import org.zeststack.core.sheet.BenchStep;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.StepKind;

/**
 * What was done with one bowl in temper, and what of it speaks for bloom: a week later the record must tell.
 *
 * @param bowl what was in it
 * @param entries of it, oldest first
 * @param workedAt when the first of what is laid of it was laid; empty where nothing was yet
 * @param against what speaks against it, in the order of time
 */
public record BowlAccount(InTemper bowl, List<BenchEntry> entries, Optional<Instant> workedAt, List<Against> against) {

    /** Something that speaks against a bowl. */
    public record Against(Instant at, String words) {}

    /**
     * Every bowl of a run, in the order in which its sheet tempers them.
     *
     * @param lostAt when a bowl's readings said that it was lost, by its component
     */
    public static List<BowlAccount> of(RunSheet sheet, BenchState state, Map<String, Instant> lostAt) {
        return sheet.steps().stream()
                .filter(s -> s.kind() == StepKind.TEMPER)
                .map(BenchStep::component)
                .distinct()
                .flatMap(key -> InTemper.of(sheet, key).stream())
                .map(bowl -> of(sheet, state, bowl, Optional.ofNullable(lostAt.get(bowl.key()))))
                .toList();
    }

    private static BowlAccount of(RunSheet sheet, BenchState state, InTemper bowl, Optional<Instant> lostAt) {
        List<BenchEntry> entries = state.bowl(bowl.key()).entries();
        Optional<Instant> worked = workedAt(sheet, state, bowl);
        List<Against> against = new ArrayList<>();
        List<BenchEntry> proofs =
                entries.stream().filter(e -> e.body() instanceof Proof).toList();
        worked.ifPresent(at -> {
            Optional<BenchEntry> last =
                    proofs.stream().filter(p -> !p.at().isAfter(at)).reduce((earlier, later) -> later);
            if (last.isEmpty()) {
                against.add(new Against(at, "It was worked without a proof."));
            } else if (!((Proof) last.get().body()).passed()) {
                against.add(new Against(last.get().at(), "The last proof before the work did not pass."));
            }
        });
        lostAt.filter(lost -> passedAfter(proofs, lost).isEmpty())
                .ifPresent(lost -> against.add(
                        new Against(lost, "It was over the top of its window, lost, and no proof passed after that.")));
        entries.stream()
                .filter(e -> e.body() instanceof WaterIn)
                .forEach(e -> against.add(new Against(e.at(), "Water got in.")));
        entries.stream()
                .filter(e -> e.body() instanceof Overruled)
                .forEach(e -> against.add(new Against(
                        e.at(), "Its readings were overruled: %s.".formatted(((Overruled) e.body()).reason()))));
        against.sort(Comparator.comparing(Against::at));
        return new BowlAccount(bowl, entries, worked, List.copyOf(against));
    }

    private static Optional<BenchEntry> passedAfter(List<BenchEntry> proofs, Instant lost) {
        return proofs.stream()
                .filter(p -> p.at().isAfter(lost) && ((Proof) p.body()).passed())
                .findFirst();
    }

    /** The first step done, or weight taken, of a layer that is laid of it. */
    private static Optional<Instant> workedAt(RunSheet sheet, BenchState state, InTemper bowl) {
        return state.entries().stream()
                .filter(e -> laysOf(sheet, bowl, e.body()))
                .map(BenchEntry::at)
                .min(Comparator.naturalOrder());
    }

    private static boolean laysOf(RunSheet sheet, InTemper bowl, EntryBody body) {
        String layer = body instanceof WeighIn weighed
                ? weighed.layer()
                : body instanceof StepDone done
                        ? sheet.step(done.step()).map(BenchStep::layer).orElse("")
                        : "";
        return sheet.layer(layer).filter(l -> l.shareOf(bowl.key()) > 0).isPresent();
    }
}
