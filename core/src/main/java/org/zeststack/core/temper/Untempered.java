package org.zeststack.core.temper;

import java.util.List;
import org.zeststack.core.quantity.Measure;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.temper.TemperPlan.Line;

/** What is coated without tempering: its own short plan and what comes of it. No proof is asked. Common practice, no source. */
public enum Untempered {
    KEPT_COLD(
            List.of(
                    new Line(
                            "Melt it gently, at most " + Say.celsius(45) + ", until no lump is left.",
                            "Burnt it turns grainy."),
                    new Line(
                            "Let it cool to " + Say.range(Say.celsius(32), Say.celsius(35)) + " before it goes on.",
                            "Hotter it runs off thin and melts what it coats."),
                    new Line(
                            "Into the cold within five minutes, " + Say.range(Say.celsius(4), Say.celsius(6))
                                    + ", and leave it there.",
                            "Without temper it sets only in the cold."),
                    new Line(
                            "Serve it from the cold; in a closed box until it is as warm as the room, if it is to lie out.",
                            "Sweat becomes sugar bloom.")),
            List.of(
                    "Dull and soft, it melts on the fingers.",
                    "It blooms within a day or two out of the refrigerator.",
                    "It hardly shrinks: it releases badly from moulds; use it for dipped and cut pieces.",
                    "Say on the label that it must be kept refrigerated.")),
    COMPOUND(
            List.of(
                    new Line(
                            "Melt it to " + Say.range(Say.celsius(40), Say.celsius(45)) + ", or as its pack says.",
                            "Its hard fat has no crystals to choose from: nothing to temper."),
                    new Line(
                            "Work at " + Say.range(Say.celsius(38), Say.celsius(42)) + ".",
                            "Colder it thickens, hotter it runs off thin."),
                    new Line(
                            "Set it in the refrigerator for "
                                    + Say.range(Say.of(5, Measure.MINUTES), Say.of(10, Measure.MINUTES)) + ".",
                            "Its fat sets by itself.")),
            List.of(
                    "It has its own name in law: it may not be sold as chocolate.",
                    "Never mix it with couverture: the two fats soften each other and bloom.",
                    "It keeps its gloss in the warm and tastes waxier."));

    private final List<Line> lines;
    private final List<String> consequences;

    Untempered(List<Line> lines, List<String> consequences) {
        this.lines = lines;
        this.consequences = consequences;
    }

    public List<Line> lines() {
        return lines;
    }

    public List<String> consequences() {
        return consequences;
    }
}
