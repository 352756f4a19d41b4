package org.zeststack.core.method;

import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.zeststack.core.quantity.CsvTable;
import org.zeststack.core.quantity.Range;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bounds;

/**
 * One step of a method.
 *
 * @param action what the hands do, verb first
 * @param cue what ends it, as typed; {@link #endings} reads it
 * @param caution a short caution at this step; empty where none
 * @param tool what it is done with
 * @param setting how the tool is set: half power, short bursts
 * @param handsOff whether the hands are free meanwhile
 * @param restLeastMinutes least wait after the step; null where none
 * @param restGreatestMinutes greatest wait after the step; null where none
 * @param right what it looks like when it is right
 * @param wrong what it looks like when it is wrong
 * @param rightPhoto photograph of right; null where none
 * @param wrongPhoto photograph of wrong; null where none
 * @param does what it does to the masses; steps written before steps knew it are by hand
 * @param part what that is done to: the key of a bar's layer; empty where there is only one thing it can be
 * @param takes what it takes up while it lasts, so that nothing else can have it: ring, oven, refrigerator
 * @param stir whether it is stirred: milk scorches, a pure syrup grains; null where nobody said
 */
public record MethodStep(
        String action,
        String cue,
        String caution,
        String tool,
        String setting,
        Boolean handsOff,
        Double restLeastMinutes,
        Double restGreatestMinutes,
        String right,
        String wrong,
        Long rightPhoto,
        Long wrongPhoto,
        Act does,
        String part,
        List<String> takes,
        Boolean stir) {

    public static final Range REST_MINUTES = new Range(0, 60 * 24 * 60, "min");

    /** A bound that a cue of the shipped tables names. */
    private static final Pattern BOUND = Pattern.compile("\\{([a-z-]+)}");

    public MethodStep {
        action = orEmpty(action);
        cue = orEmpty(cue);
        caution = orEmpty(caution);
        tool = orEmpty(tool);
        setting = orEmpty(setting);
        right = orEmpty(right);
        wrong = orEmpty(wrong);
        handsOff = handsOff != null && handsOff;
        does = does == null ? Act.HAND : does;
        part = orEmpty(part);
        takes = takes == null ? List.of() : List.copyOf(takes);
    }

    /** A step told by action, cue and caution alone. */
    public MethodStep(String action, String cue, String caution) {
        this(action, cue, caution, "", "", false, null, null, "", "", null, null, Act.HAND, "", List.of(), null);
    }

    /** A step in a table of usual methods. */
    public static MethodStep in(CsvTable.Row row) {
        return new MethodStep(
                row.text("action"),
                row.text("cue"),
                row.text("caution"),
                row.text("tool"),
                row.text("setting"),
                row.text("hands").equals("off"),
                minutes(row, "rest_least"),
                minutes(row, "rest_greatest"),
                row.text("right"),
                row.text("wrong"),
                null,
                null,
                row.text("does").isEmpty() ? Act.HAND : Act.valueOf(row.text("does")),
                "",
                row.words("takes"),
                row.text("stir").isEmpty()
                        ? null
                        : Boolean.valueOf(row.text("stir").equals("yes")));
    }

    /** The same in other words. */
    public MethodStep saying(String words) {
        return with(words, cue, does, part);
    }

    /** The same with the bounds that its cue names in braces, for example {@code {centre-warmth}}, in words. */
    public MethodStep judgedBy(Bounds bounds) {
        return with(
                action,
                BOUND.matcher(cue)
                        .replaceAll(m ->
                                Matcher.quoteReplacement(bounds.of(m.group(1)).words())),
                does,
                part);
    }

    /** The same step doing something. */
    public MethodStep doing(Act act, String to) {
        return with(action, cue, act, to);
    }

    private MethodStep with(String action, String cue, Act does, String part) {
        return new MethodStep(
                action,
                cue,
                caution,
                tool,
                setting,
                handsOff,
                restLeastMinutes,
                restGreatestMinutes,
                right,
                wrong,
                rightPhoto,
                wrongPhoto,
                does,
                part,
                takes,
                stir);
    }

    /** What is taken up, as typed: told apart by commas or semicolons, each once. */
    public static List<String> takes(String typed) {
        return Arrays.stream(typed.split("[,;]"))
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
    }

    /** Whether it does anything that is measured. */
    public boolean acts() {
        return does != Act.HAND;
    }

    private static Double minutes(CsvTable.Row row, String column) {
        return row.text(column).isEmpty() ? null : Double.valueOf(row.number(column));
    }

    /** Its words are a person's to edit, and are compared with what a form sends back: they hold no quantities. */
    private static String orEmpty(String text) {
        return text == null ? "" : Say.metric(text);
    }

    /** The signs that end the step. */
    public List<Ending> endings() {
        return Ending.read(cue);
    }
}
