package org.zeststack.app.run;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.sheet.WeighingLine;
import org.zeststack.store.Stamp;
import org.zeststack.store.ingredient.Lots;
import org.zeststack.store.run.Run;

/** Which lots a run takes, and what it takes of them when it is closed. */
@Component
public class LotsOfRun {

    private final Lots lots;
    private final Clock clock;

    LotsOfRun(Lots lots, Clock clock) {
        this.lots = lots;
        this.clock = clock;
    }

    /**
     * The lots there are of one line of the weighing list.
     *
     * @param chosen the lot taken; null where none is
     */
    record Choice(WeighingLine line, List<Lots.Kept> lots, Long chosen) {}

    /** Lines of the weighing list that there are lots of. */
    public List<Choice> choices(Run run, RunSheet sheet) {
        List<Lots.Kept> all = lots.of(
                sheet.weighing().stream().map(WeighingLine::ingredient).toList(),
                run.lots().values());
        List<Choice> choices = new ArrayList<>();
        for (WeighingLine line : sheet.weighing()) {
            Long chosen = run.lots().get(line.ingredient());
            List<Lots.Kept> of = all.stream()
                    .filter(k -> k.ingredient().equals(line.ingredient()))
                    .filter(k -> k.gramsLeft() > 0 || Long.valueOf(k.id()).equals(chosen))
                    .toList();
            if (!of.isEmpty()) {
                choices.add(new Choice(line, of, chosen));
            }
        }
        return choices;
    }

    /** Reads fields {@code lot.SLUG}; a lot that is none of the line's is left out. */
    public Map<String, Long> chosen(Run run, RunSheet sheet, Map<String, String> typed) {
        Map<String, Long> chosen = new LinkedHashMap<>();
        for (Choice choice : choices(run, sheet)) {
            String id = typed.getOrDefault("lot." + choice.line().ingredient(), "");
            choice.lots().stream()
                    .filter(k -> String.valueOf(k.id()).equals(id))
                    .findFirst()
                    .ifPresent(k -> chosen.put(choice.line().ingredient(), k.id()));
        }
        return chosen;
    }

    /** Writes down what a closed run used of its lots; a run used twice counts once. */
    public void use(Run run, String by) {
        RunSheet sheet = run.frozen();
        for (WeighingLine line : sheet.weighing()) {
            Long lot = run.lots().get(line.ingredient());
            if (lot != null) {
                UUID key = UUID.nameUUIDFromBytes(
                        ("run " + run.id() + " " + line.ingredient()).getBytes(StandardCharsets.UTF_8));
                lots.use(lot, key, line.grams(), run.id(), new Stamp(by, clock.instant()));
            }
        }
    }
}
