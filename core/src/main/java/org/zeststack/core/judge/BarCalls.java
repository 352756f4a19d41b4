package org.zeststack.core.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.zeststack.core.explain.Call;
import org.zeststack.core.explain.Call.Change;
import org.zeststack.core.explain.Call.Weight;
import org.zeststack.core.quantity.Numbers;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.rule.Bound;
import org.zeststack.core.rule.Rule;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.stack.StackLayer;

/** Gathers the calls on a bar: the gravest first. */
public final class BarCalls {

    /** A height that nobody sees. */
    static final double SMALL_MM = 0.05;

    private final BarStack stack;
    private final List<Call> calls = new ArrayList<>();

    private BarCalls(BarStack stack) {
        this.stack = stack;
    }

    public static List<Call> of(BarStack stack) {
        return Mending.tried(stack, said(stack));
    }

    /** What is said, with every change that is proposed, whether it helps or not. */
    static List<Call> said(BarStack stack) {
        BarCalls calls = new BarCalls(stack);
        ContentCalls.add(calls);
        FitCalls.add(calls);
        InsertCalls.add(calls);
        AirCalls.add(calls);
        ThicknessCalls.add(calls);
        NeighbourCalls.add(calls);
        WarmthCalls.add(calls);
        NameCalls.add(calls);
        KeepingCalls.add(calls);
        calls.calls.sort((a, b) -> a.weight().compareTo(b.weight()));
        return List.copyOf(calls.calls);
    }

    BarStack stack() {
        return stack;
    }

    /** A bound as this workshop has it. */
    Bound bound(String code) {
        return stack.bounds().of(code);
    }

    void add(Weight weight, String code, String message, String arithmetic) {
        add(weight, code, message, arithmetic, null);
    }

    void add(Weight weight, String code, String message, String arithmetic, Change change) {
        String source = Rule.of(Rule.About.BAR, code).source(stack.bounds());
        boolean said = calls.stream().anyMatch(c -> c.message().equals(message) && Objects.equals(c.change(), change));
        if (!said) {
            calls.add(new Call(weight, code, message, arithmetic, source, change));
        }
    }

    /** A change of one field of a layer. */
    static Change set(StackLayer layer, String field, double amount, String words) {
        return new Change(words, Map.of("layer." + layer.index() + "." + field, Numbers.plain(round(amount, 2))));
    }

    static double round(double number, int decimals) {
        double ten = Math.pow(10, decimals);
        return Math.round(number * ten) / ten;
    }

    /** The figure of two decimals at or below a number. */
    static double floor(double number) {
        return Math.floor(100 * number + 1e-9) / 100;
    }

    static String mm(double mm) {
        return Say.mm(mm, 1);
    }

    public static String grams(double grams) {
        return Say.grams(grams, 1);
    }

    public static String percent(double fraction) {
        return Say.percent(100 * fraction, 1);
    }
}
