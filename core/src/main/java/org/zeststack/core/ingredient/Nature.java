package org.zeststack.core.ingredient;

import java.util.EnumSet;
import java.util.Set;

/**
 * What an ingredient is to the rules that judge a bar, as facts: a workshop's own is judged as a shipped one of the same nature.
 * That it is a couverture, or has pores, stands in the ingredient itself.
 *
 * @param kind what it is
 * @param risks what it must be kept from, and what must be said of it
 */
public record Nature(Kind kind, Set<Risk> risks) {

    public static final Nature PLAIN = new Nature(Kind.PLAIN, Set.of());

    /** What it is, as far as a rule asks. */
    public enum Kind {
        PLAIN("none of these"),
        COMPOUND("compound coating"),
        COCOA_BUTTER("cocoa butter"),
        COLOURED_BUTTER("coloured cocoa butter"),
        COLOUR("colour"),
        BAKERY("biscuit, wafer, cake or pastry"),
        NUT("nuts, seeds, nibs"),
        POWDER("powder, flour or spice"),
        EGG_WHITE("egg white"),
        PECTIN("pectin"),
        GELLING("gelatine, agar or another gelling agent");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** What can go wrong with it. */
    public enum Risk {
        STAY_DRY("must stay dry"),
        INFANTS("not for children under one year"),
        CHOKING("whole, small children can choke on it");

        private final String words;

        Risk(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Nature {
        kind = kind == null ? Kind.PLAIN : kind;
        risks = risks == null ? Set.of() : Set.copyOf(risks);
    }

    public boolean is(Risk risk) {
        return risks.contains(risk);
    }

    /** This with the risks of what is mixed into it. */
    public Nature with(Nature other) {
        EnumSet<Risk> both = EnumSet.noneOf(Risk.class);
        both.addAll(risks);
        both.addAll(other.risks);
        return new Nature(kind, both);
    }
}
