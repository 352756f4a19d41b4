package org.zeststack.core;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.zeststack.core.quantity.Say;
import org.zeststack.core.quantity.Units;

/** Finds figures with a unit that no quantity stands behind: nobody could read them in other units. */
public final class BareQuantities {

    /** Everything that may be read otherwise is. */
    public static final Units AMERICAN = new Units(true, true, true, '.');

    private static final Pattern QUANTITY = Pattern.compile(Say.OPENS + "[^" + Say.CLOSES + "]*" + Say.CLOSES);

    /** A name has its own figures: cream of 35 % fat, couverture 66 %, cocoa powder 10/12. */
    private static final Pattern OF_A_NAME = Pattern.compile(
            "(?i)(couverture|chocolate|cream|milk|butter|syrup|yoghurt|purée|vol|fat|rum|spirit) [0-9.]+ %|[0-9.]+ % (fat|vol)");

    private static final Pattern BARE =
            Pattern.compile("[0-9]\\s?(°C|°F|K|g|mg|kg|mm|cm|m|mL|L|g/mL|kPa|kW|kJ|J|%|min|s|h|days|weeks)(?![\\w/])");

    private BareQuantities() {}

    /** Holds that there are none in what was said. */
    public static void none(String said) {
        String rest = OF_A_NAME.matcher(QUANTITY.matcher(said).replaceAll("…")).replaceAll("…");
        List<String> found = BARE.matcher(rest)
                .results()
                .map(MatchResult::start)
                .map(at -> rest.substring(Math.max(0, at - 40), Math.min(rest.length(), at + 20)))
                .distinct()
                .toList();
        assertEquals(found.toString(), "[]", "figures without a quantity behind them");
    }
}
