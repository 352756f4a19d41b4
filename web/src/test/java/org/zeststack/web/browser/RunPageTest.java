package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.SelectOption;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.zeststack.core.bar.Bar;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.Body;
import org.zeststack.core.bar.Build;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.formula.Family;
import org.zeststack.core.formula.Finish;
import org.zeststack.core.formula.Formula;
import org.zeststack.core.formula.FormulaLine;
import org.zeststack.core.formula.FormulaLine.Role;
import org.zeststack.core.household.Measures;
import org.zeststack.store.Stamp;
import org.zeststack.store.design.Designs;
import org.zeststack.web.TestApp;
import org.zeststack.web.WithDemo;

/** Runs of what nobody has said the yield of, and of what is made of each other. */
public class RunPageTest extends WithDemo {

    private static final Stamp STAMP = new Stamp("Ada", Instant.parse("2026-11-01T08:00:00Z"));

    private Page page;

    @BeforeClass
    public void open() {
        page = app.signedIn("runa");
    }

    @SuppressWarnings("unchecked")
    private <T> long keep(String designs, String name, T content) {
        Designs<T> of = (Designs<T>) app.beanNamed(designs);
        long id = of.create(name, content, STAMP);
        of.keepVersion(id, 0, "first", STAMP);
        return id;
    }

    private long formula(String name, Family family, Double stop, Finish finish, FormulaLine... lines) {
        return keep("formulas", name, new Formula(family, List.of(lines), stop, 0.05, List.of(), finish, Map.of()));
    }

    private void plan(long bar, String pieces) {
        page.navigate("/runs");
        page.selectOption("#bar", String.valueOf(bar));
        page.fill("[name=pieces]", pieces);
        page.click("text=Plan the run");
    }

    private static Bar bar(BarLayer... inside) {
        java.util.ArrayList<BarLayer> layers = new java.util.ArrayList<>();
        layers.add(BarLayer.mm(LayerKind.SHELL, "couverture-milk-38", 1.5));
        layers.addAll(List.of(inside));
        layers.add(BarLayer.mm(LayerKind.BACK, "couverture-milk-38", 2));
        return Bar.of(Build.MOULDED, new Body.Moulded(1, false), layers);
    }

    @Test
    public void aCookByEyeIsNotPlannedUntilSomebodySaysHowMoistItIs() {
        long pan = formula(
                "Pan caramel",
                Family.CARAMEL_MELTED,
                null,
                new Finish(true, null, null, 0, 0),
                new FormulaLine("caramel-bought", 300, Role.POT),
                new FormulaLine("cream-35", 100, Role.POT));
        long id = keep("bars", "Pan bar", bar(BarLayer.rest(LayerKind.FILLING, "formula:" + pan + ":1")));
        plan(id, "30");
        assertThat(page.locator("main")).containsText("Pan caramel: It ends by eye");
        assertThat(page.locator("[name=pieces]")).hasValue("30");
        page.click("text=Open Pan caramel and write the moisture it usually has");
        assertThat(page.locator("h1, [name=name]").first()).isVisible();
        assertThat(page.locator("[data-live=balance]")).containsText("as weighed out");
    }

    @Test
    public void aCaramelThatIsALayerAndInAGanacheIsCookedForBoth() {
        long caramel = formula(
                "Shared caramel",
                Family.CARAMEL,
                115.0,
                Finish.PLAIN,
                new FormulaLine("sugar", 500, Role.POT),
                new FormulaLine("glucose-syrup-42", 300, Role.POT),
                new FormulaLine("cream-35", 400, Role.POT));
        long ganache = formula(
                "Caramel ganache",
                Family.GANACHE_CARAMEL,
                null,
                Finish.PLAIN,
                new FormulaLine("formula:" + caramel + ":1", 500, Role.POT),
                new FormulaLine("couverture-dark-66", 500, Role.POT),
                new FormulaLine("cream-35", 300, Role.POT));
        long id = keep(
                "bars",
                "Shared bar",
                bar(
                        BarLayer.mm(LayerKind.FILLING, "formula:" + caramel + ":1", 5),
                        BarLayer.rest(LayerKind.FILLING, "formula:" + ganache + ":1")));
        plan(id, "100");
        assertThat(page.locator(".batch")).hasCount(2);
        assertThat(page.locator(".batch").first()).containsText("Into Caramel ganache");
        page.navigate("/formulas/" + ganache);
        page.fill("[name='scale.amount']", "1000");
        assertThat(page.locator("[data-live=scaled]")).containsText("Made for it first");
        assertThat(page.locator("[data-live=scaled]")).containsText("Shared caramel");
    }

    /** Ropewalk of the demo: its birch caramel has salt for whoever likes it, 7 g to the formula. */
    @Test
    public void aRunMayDoWithoutAThermometerWithSaltBesideAnother() {
        page.navigate("/runs");
        page.selectOption("#bar", new com.microsoft.playwright.options.SelectOption().setLabel("Ropewalk, version 1"));
        page.fill("[name=pieces]", "40");
        page.fill("[name=day]", "the day after");
        page.selectOption("#thermometer", "0");
        page.click("text=beside another run, to compare");
        page.fill("[name=difference]", "no thermometer");
        page.click("text=Plan the run");
        assertThat(page.locator("#fault-day")).containsText("30 Nov 2026");
        assertThat(page.locator("#fault-against")).containsText("Choose the run");
        page.fill("[name=day]", "30 Nov 2026");
        page.selectOption("#against", "1");
        page.click("text=Plan the run");
        assertThat(page.locator(".difference")).containsText("The one difference: no thermometer");
        assertThat(page.locator("main")).containsText("Without a thermometer: done when the pot holds");
        assertThat(page.locator("main")).not().containsText("Sea salt flakes7");
        page.check("[name=variant]");
        page.click("text=Plan with these");
        Locator salt = page.locator(".batch tr", new Page.LocatorOptions().setHasText("Sea salt flakes"));
        assertThat(salt).hasCount(1);
        assertThat(page.locator("[name=variant]")).isChecked();
        TestApp.sent(page, "text=Start: freeze this sheet");
        page.navigate(page.url() + "?step=" + cook());
        assertThat(page.locator(".instrument.pot")).hasCount(0);
        assertThat(page.locator("[data-out=done-grams]")).containsText("less the pot");
        assertThat(page.locator(".detail")).containsText("A drop in cold water");
    }

    /** A bar that no cavity holds: it is begun only with a reason, which its ledger keeps. */
    @Test
    public void aBarThatWillFailIsBegunWithAReason() {
        long id = keep("bars", "Brimful", bar(BarLayer.mm(LayerKind.FILLING, "gianduja", 40)));
        plan(id, "12");
        assertThat(page.locator("[data-out=going-on]")).containsText("It does not fit");
        page.click("text=Start: freeze this sheet");
        assertThat(page.locator(".going-on .fault")).containsText("Say why it is made all the same.");
        page.fill("#reason", "to photograph it");
        TestApp.sent(page, "text=Start: freeze this sheet");
        assertThat(page.locator(".log li").first()).containsText("Made all the same, because to photograph it");
    }

    /** Id of the cook on the bench that stands open. */
    private String cook() {
        return (String)
                page.evaluate(
                        "() => [...document.querySelectorAll('a[href*=\"step=cook\"]')].map(a => new URL(a.href).searchParams.get('step'))[0]");
    }

    /** A step of a bar and of a formula is changed by hand: the next run shows it, on sheet and bench, and the old run does not. */
    @Test
    public void whatIsWrittenInAMethodIsWorked() {
        long caramel = formula(
                "Stepped caramel",
                Family.CARAMEL,
                115.0,
                Finish.PLAIN,
                new FormulaLine("sugar", 500, Role.POT),
                new FormulaLine("glucose-syrup-42", 300, Role.POT),
                new FormulaLine("cream-35", 400, Role.POT));
        long id = keep("bars", "Stepped bar", bar(BarLayer.rest(LayerKind.FILLING, "formula:" + caramel + ":1")));
        plan(id, "20");
        assertThat(page.locator(".sheet-steps")).containsText("Close with tempered couverture and scrape");
        TestApp.sent(page, "text=Start: freeze this sheet");
        String old = page.url();

        page.navigate("/formulas/" + caramel);
        page.click("text=Add the family's usual method");
        assertThat(page.locator("[name='step.0.caution']")).hasValue("A hot mass sticks and burns deeply");
        page.fill("[name='step.0.action']", "Melt it my own way");
        page.fill("[name='step.0.caution']", "Mind the copper handle");
        page.click("[data-row='0'] summary");
        page.fill("[name='step.0.restLeast']", "2 h");
        page.fill("[name=why]", "own way");
        TestApp.sent(page, "text=Keep version");
        page.navigate("/bars/" + id);
        assertThat(page.locator("[data-row='1'].layer-row")).containsText("Version 2 is the one that is made.");
        page.click("text=Take version 2");
        assertThat(page.locator("[name='layer.1.ingredient']")).hasValue("Stepped caramel, version 2");
        assertThat(page.locator(".made-instead")).hasCount(0);
        page.click("text=steps of the build");
        String back =
                page.locator(".steps-table tr:has(.does:has-text('lay back'))").getAttribute("data-row");
        page.fill("[name='step." + back + ".action']", "Close them by brush");
        page.fill("[name='step." + back + ".caution']", "Hot lamp");
        page.click("[data-row='" + back + "'].step summary");
        page.fill("[name='step." + back + ".restGreatest']", "90");
        page.fill("[name=why]", "own steps");
        page.click("text=Keep version");
        assertThat(page.locator(".versions")).containsText("own steps");

        plan(id, "20");
        for (String told : List.of(
                "Melt it my own way",
                "Mind the copper handle",
                "at least 2\u202fh",
                "Close them by brush",
                "Hot lamp")) {
            assertThat(page.locator(".sheet-steps")).containsText(told);
        }
        page.click("text=Start: freeze this sheet");
        page.click(".steps >> text=Melt it my own way");
        assertThat(page.locator("p.caution")).hasText("Mind the copper handle");
        page.click(".steps >> text=Close the backs");
        assertThat(page.locator(".how")).containsText("Close them by brush");
        assertThat(page.locator(".how")).containsText("at most 90\u202fmin");
        page.navigate(old);
        page.click(".steps >> text=Close the backs");
        assertThat(page.locator(".how")).containsText("Close with tempered couverture and scrape");
        assertThat(page.locator(".how")).not().containsText("brush");
    }

    private int acts;

    private void click(String what) {
        acts++;
        page.click(what);
    }

    private void fill(String field, String text) {
        acts++;
        page.fill(field, text);
    }

    /** From a pasted recipe to the printed sheet in at most forty fills and clicks, its boil found by its reading. */
    @Test
    public void aPastedRecipeIsSoonARunSheet() {
        acts = 0;
        click("text=Formulas");
        click("text=Write a new formula");
        click("text=paste a whole recipe");
        acts++;
        page.selectOption("#measures", "US");
        fill("#paste", """
                Pier-end caramels
                1 cup cream
                1 \u00bd cups packed brown sugar
                2/3 cup light corn syrup
                1 stick butter
                a good pinch of flaky salt
                Warm everything but the salt until dissolved.
                Boil to 245\u00b0F, stirring, about 20 minutes. Stir in the salt and pour.
                """);
        click("text=Read it");
        assertThat(page.locator("#name")).hasValue("Pier-end caramels");
        for (int left = page.locator("button[value^='accept']").count(); left > 0; left--) {
            click("button[value^='accept'] >> nth=0");
            assertThat(page.locator("button[value^='accept']")).hasCount(left - 1);
        }
        fill("[name=why]", "first");
        click("text=Keep version");
        assertThat(page.locator(".versions")).containsText("first");
        click("text=Bars");
        click("text=Draw a new bar");
        fill("[name='material.ingredient']", "Pier-end caramels");
        click("text=Draw it");
        fill("#name", "Pier-end bar");
        fill("[name=why]", "drawn");
        click("text=Keep version");
        assertThat(page.locator(".versions")).containsText("drawn");
        click("text=Runs");
        acts++;
        page.selectOption("#bar", new SelectOption().setLabel("Pier-end bar, version 1"));
        fill("#pieces", "48");
        click("text=Plan the run");
        assertThat(page.locator(".sheet-steps li").nth(2)).containsText("Cook Pier-end caramels");
        assertTrue(acts <= 40, acts + " fills and clicks");
    }

    @Test
    public void aFormulaKeepsTheMeasuresItWasWrittenIn() {
        Formula cups = new Formula(
                Family.CARAMEL,
                List.of(new FormulaLine("sugar", 200, Role.POT), new FormulaLine("water", 60, Role.POT)),
                115.0,
                0,
                List.of(),
                Finish.PLAIN,
                Map.of(),
                Measures.US);
        long id = keep("formulas", "Written in cups", cups);
        page.navigate("/formulas");
        page.evaluate("localStorage.setItem('measures', 'METRIC')");
        page.navigate("/formulas/" + id);
        assertThat(page.locator("#measures")).hasValue("US");
        page.fill("#quick", "1 1/4 cups water");
        page.click("button[value=add]");
        // 1 ¼ US cups of 236.6 mL; metric ones would be 312.5 mL.
        assertThat(page.locator("[name='line.2.grams']")).hasValue(java.util.regex.Pattern.compile("29[56].*"));
    }
}
