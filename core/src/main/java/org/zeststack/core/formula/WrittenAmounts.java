package org.zeststack.core.formula;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.zeststack.core.quantity.AmountText;
import org.zeststack.core.quantity.Numbers;

/**
 * Amounts that stand in the words of a method, such as {@code boil 100 ml cream}: where the formula is multiplied they follow it, and
 * what was written stays beside them. Temperatures, times and sizes are no amounts.
 */
public final class WrittenAmounts {

    private static final int LONGEST = 600;
    /** Nearer than this the words stay as they are. */
    private static final double SAME = 0.005;

    private static final Pattern AMOUNT = Pattern.compile(
            "(?<![0-9.,/x\u00d7-])(?<number>(?:[0-9]{1,6} )?[0-9]{1,4}/[0-9]{1,2}|[0-9]{1,6}(?:[.,][0-9]{1,3})?(?: ?[\u00bc-\u00be\u2150-\u215e])?|[\u00bc-\u00be\u2150-\u215e])"
                    + "(?<space>\\s?)(?<unit>kg|g|mg|ml|cl|dl|l|litres?|liters?|oz|lbs?|cups?|tbsp|tbs|tablespoons?|tsp|teaspoons?|pints?|sticks?|(?:egg )?(?:whites?|yolks?)|eggs?|tins?|cans?|pods?|leaves|sheets?)\\b",
            Pattern.CASE_INSENSITIVE);

    private WrittenAmounts() {}

    /** The words with every amount in them multiplied, and what was written behind it. */
    public static String times(String words, double factor) {
        if (words.length() > LONGEST || Math.abs(factor - 1) < SAME) {
            return words;
        }
        Matcher amount = AMOUNT.matcher(words);
        StringBuilder multiplied = new StringBuilder();
        while (amount.find()) {
            double written = AmountText.parse(amount.group("number")).orElse(Double.NaN);
            String told = Double.isNaN(written)
                    ? amount.group()
                    : "%s%s%s (written: %s)"
                            .formatted(
                                    rounded(written * factor),
                                    amount.group("space"),
                                    amount.group("unit"),
                                    amount.group());
            amount.appendReplacement(multiplied, Matcher.quoteReplacement(told));
        }
        return amount.appendTail(multiplied).toString();
    }

    /** As fine as it is weighed or measured: three figures. */
    private static String rounded(double amount) {
        double step = Math.pow(10, Math.floor(Math.log10(amount)) - 2);
        return Numbers.plain(Math.round(Math.round(amount / step) * step * 1e6) / 1e6);
    }
}
