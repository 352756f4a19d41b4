package org.zeststack.web.shelf;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import org.zeststack.app.shelf.Names;
import org.zeststack.app.shelf.Shelf;
import org.zeststack.core.formula.DefaultMethods;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.formula.FormulaLink;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.web.WithDemo;

/** Names stand for what bears them, not for what is called alike. */
public class NamesTest extends WithDemo {

    private static final Stamp STAMP = new Stamp("Runa", Instant.parse("2026-11-20T08:00:00Z"));

    @SuppressWarnings("unchecked")
    private long keep(String name) {
        Designs<Formula> formulas = (Designs<Formula>) app.beanNamed("formulas");
        Formula formula = new Formula(
                Family.CARAMEL,
                List.of(new FormulaLine("sugar", 500, Role.POT), new FormulaLine("cream-35", 400, Role.POT)),
                115.0,
                0,
                DefaultMethods.of(Family.CARAMEL),
                Finish.PLAIN,
                Map.of());
        long id = formulas.create(name, formula, STAMP);
        formulas.keepVersion(id, 0, "first", STAMP);
        return id;
    }

    @Test
    public void aNameThatStartsAlikeIsNotTheName() {
        long wick = keep("Wickbrand");
        Names names = app.bean(Names.class);
        assertEquals(names.named("Wickbrand"), Optional.of(new FormulaLink(wick, 1).text()));
        assertEquals(names.named("wickbrand"), Optional.of(new FormulaLink(wick, 1).text()));
        assertEquals(names.named("Wickbrand, version 1"), Optional.of(new FormulaLink(wick, 1).text()));
        for (String other : List.of("Wickbrand sauce", "Wickbran", "Wickbrand, version 2", "")) {
            assertEquals(names.named(other), Optional.empty(), other);
        }
        assertEquals(names.slug("Wickbrand sauce", ""), Optional.empty());
    }

    @Test
    public void twoOfOneNameAreToldApart() {
        long one = keep("Lampblack");
        long other = keep("lampblack");
        Names names = app.bean(Names.class);
        Map<Long, String> titles = app.bean(Shelf.class).titles();
        assertEquals(titles.get(one), "Lampblack, version 1, no. " + one);
        assertEquals(titles.get(other), "lampblack, version 1, no. " + other);
        assertTrue(titles.values().stream().anyMatch(t -> !t.contains("no. ")), "one of its name needs no number");
        assertEquals(names.named("Lampblack"), Optional.empty(), "nobody can say which");
        assertEquals(names.named(titles.get(one)), Optional.of(new FormulaLink(one, 1).text()));
        assertEquals(names.named(titles.get(other)), Optional.of(new FormulaLink(other, 1).text()));
    }
}
