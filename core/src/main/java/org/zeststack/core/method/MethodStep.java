package org.zeststack.core.method;

import java.util.List;
import org.zeststack.core.quantity.CsvTable;
import org.zeststack.core.quantity.Range;

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
        Long wrongPhoto) {

    public static final Range REST_MINUTES = new Range(0, 60 * 24 * 60, "min");

    public MethodStep {
        action = orEmpty(action);
        cue = orEmpty(cue);
        caution = orEmpty(caution);
        tool = orEmpty(tool);
        setting = orEmpty(setting);
        right = orEmpty(right);
        wrong = orEmpty(wrong);
        handsOff = handsOff != null && handsOff;
    }

    /** A step told by action, cue and caution alone. */
    public MethodStep(String action, String cue, String caution) {
        this(action, cue, caution, "", "", false, null, null, "", "", null, null);
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
                null);
    }

    private static Double minutes(CsvTable.Row row, String column) {
        return row.text(column).isEmpty() ? null : Double.valueOf(row.number(column));
    }

    private static String orEmpty(String text) {
        return text == null ? "" : text;
    }

    /** The signs that end the step. */
    public List<Ending> endings() {
        return Ending.read(cue);
    }
}
