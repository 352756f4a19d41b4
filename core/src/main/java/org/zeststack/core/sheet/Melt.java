package org.zeststack.core.sheet;

/**
 * What of a couverture is melted: what stays, is scraped off, is poured out and is left in the bowl, to the gram.
 *
 * @param grams to melt
 * @param deposit where what stays ends up
 * @param scrapedGrams scraped off moulds, tables and forks
 * @param pouredGrams poured out of one full mould
 * @param bowlGrams left in the bowl to work in
 */
public record Melt(double grams, Deposit deposit, double scrapedGrams, double pouredGrams, double bowlGrams) {

    /** What stays in pieces and off-cuts. */
    public double staysGrams() {
        return deposit.total();
    }

    /** What is poured out and what is left in the bowl. */
    public double comesBackGrams() {
        return pouredGrams + bowlGrams;
    }
}
