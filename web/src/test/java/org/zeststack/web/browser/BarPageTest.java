package org.zeststack.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.zeststack.web.WithDemo;

/** The bar's page as a designer uses it: every build from nothing, the picture as the control, papers out. */
public class BarPageTest extends WithDemo {

    private static final int MOST_TABS = 260;

    /** Goes on with the tab key until the focus is on what is meant. */
    private static void tabTo(Page page, String selector) {
        for (int i = 0; i < MOST_TABS; i++) {
            page.keyboard().press("Tab");
            Object there = page.evaluate("s => document.activeElement.matches(s)", selector);
            if (Boolean.TRUE.equals(there)) {
                return;
            }
        }
        throw new AssertionError("the tab key never reaches " + selector);
    }

    @DataProvider
    public Object[][] builds() {
        return new Object[][] {
            // build, arrows down from the first radio button, what is typed as its material, boundary, what it shows
            {"MOULDED", 0, "Burnt-honey and bay caramel", "layer.2.amount", "back"},
            {"SLAB", 1, "Buckwheat-honey nougat", "layer.1.amount", "filling-1"},
            {"TRAY", 2, "Birch-syrup caramel", "layer.1.amount", "filling-1"},
            {"SHAPED", 3, "Marzipan", "layer.1.amount", "coat-1"},
            {"OPEN", 4, "Dark couverture 62 %", "layer.0.amount", "sheet-1"},
        };
    }

    @Test(dataProvider = "builds")
    public void everyBuildIsDesignedFromNothingWithTheKeyboardAlone(
            String build, int down, String material, String boundary, String layer) {
        Page page = app.signedIn("runa");
        page.navigate("/bars");
        tabTo(page, "a[href='/bars/new']");
        page.keyboard().press("Enter");
        assertThat(page.locator("h1")).hasText("A new bar in three choices");
        tabTo(page, "[name=build]");
        for (int i = 0; i < down; i++) {
            page.keyboard().press("ArrowDown");
        }
        assertThat(page.locator("[name=build][value=" + build + "]")).isChecked();
        tabTo(page, "[name=madeIn]");
        if (build.equals("OPEN")) {
            // From the moulds to the frame.
            for (int i = 0; i < 3; i++) {
                page.keyboard().press("ArrowDown");
            }
        }
        tabTo(page, "[name='material.ingredient']");
        page.keyboard().type(material);
        page.keyboard().press("Escape");
        tabTo(page, "button.next");
        page.keyboard().press("Enter");
        assertThat(page.locator("#section")).isVisible();
        tabTo(page, "#name");
        page.keyboard().press("Control+a");
        page.keyboard().type("By keys " + build.toLowerCase());
        Locator grams = page.locator("[data-layer=" + layer + "] [data-out=grams]");
        String before = grams.textContent();
        tabTo(page, ".handle[data-field='" + boundary + "']");
        page.keyboard().press("ArrowUp");
        assertThat(grams).not().hasText(before);
        String once = grams.textContent();
        page.keyboard().press("Shift+ArrowUp");
        assertThat(grams).not().hasText(once);
        String nudged = grams.textContent();
        page.keyboard().press("Control+z");
        assertThat(grams).not().hasText(nudged);
        page.keyboard().press("Control+y");
        assertThat(grams).hasText(nudged);
        tabTo(page, "[name=why]");
        page.keyboard().type("drawn with the keys");
        tabTo(page, "[name=keep]");
        page.keyboard().press("Enter");
        assertThat(page.locator(".versions")).containsText("drawn with the keys");
        assertThat(grams).hasText(nudged);
        assertThat(page.locator("#name")).hasValue("By keys " + build.toLowerCase());
        page.context().close();
    }

    @DataProvider
    public Object[][] demoBars() {
        // Moulded, moulded with an insert, slab, tray, shaped, open: a boundary of each, a layer that follows it, and
        // what a sound
        // bar must still say to whoever sells it.
        return new Object[][] {
            {4, "layer.1.amount", "filling-2", List.of("honey-infants")},
            {5, "layer.2.amount", "filling-2", List.of("keeps-days-only")},
            {15, "layer.4.amount", "filling-2", List.of()},
            {16, "layer.2.amount", "filling-2", List.of("honey-infants")},
            {17, "layer.2.amount", "filling-1", List.of()},
            {18, "body.heightMm", "filling-1", List.of("honey-infants", "keeps-days-only")},
            {19, "layer.0.amount", "sheet-1", List.of()},
        };
    }

    @Test(dataProvider = "demoBars")
    public void everyDemoBarIsDraggedAndWithoutFault(int id, String boundary, String layer, List<String> said) {
        Page page = app.signedIn("runa");
        page.navigate("/bars/" + id);
        assertThat(page.locator("#section")).isVisible();
        assertEquals(
                page.locator(".call.will_fail, .call.take_care").all().stream()
                        .map(call -> call.getAttribute("data-call"))
                        .toList(),
                said);
        Locator grams = page.locator("[data-layer=" + layer + "] [data-out=grams]");
        String before = grams.textContent();
        BoundingBox box =
                page.locator(".handle[data-field='" + boundary + "'] .knob").boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x, box.y - 14, new Mouse.MoveOptions().setSteps(10));
        page.mouse().up();
        assertThat(grams).not().hasText(before);
        page.click("#undo");
        assertThat(grams).hasText(before);
        page.context().close();
    }

    @Test
    public void undoGoesBackThroughTwentySteps() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/4");
        Locator shell = page.locator("[name='layer.0.amount']");
        page.focus(".handle[data-field='layer.0.amount']");
        for (int i = 1; i <= 20; i++) {
            page.keyboard().press(i % 2 == 0 ? "ArrowDown" : "ArrowUp");
            page.keyboard().press("ArrowUp");
        }
        assertThat(shell).hasValue("3.6");
        for (int i = 0; i < 40; i++) {
            String now = shell.inputValue();
            page.click("#undo");
            assertThat(shell).not().hasValue(now);
        }
        assertThat(shell).hasValue("1.6");
        assertThat(page.locator("#undo")).isDisabled();
        page.click("#redo");
        assertThat(shell).hasValue("1.7");
        page.context().close();
    }

    @Test
    public void anotherVersionIsLaidOverThePicture() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/5");
        assertThat(page.locator(".other-version path")).hasCount(0);
        page.selectOption("[name=overlay]", "1");
        assertThat(page.locator(".other-version path:not(.under)")).hasCount(4);
        assertThat(page.locator("[data-layer=filling-1] small").first()).containsText("was ");
        page.selectOption("[name=view]", "exploded");
        assertThat(page.locator(".handle")).hasCount(0);
        page.selectOption("[name=view]", "");
        assertThat(page.locator(".handle")).hasCount(3);
        page.context().close();
    }

    @Test
    public void aBoundaryCanSnapToWholeGrams() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/4");
        page.check("[name=snap]");
        Locator grams = page.locator("[data-layer=filling-1] [data-out=grams]");
        page.focus(".handle[data-field='layer.1.amount']");
        page.keyboard().press("Shift+ArrowUp");
        assertThat(grams).hasText(java.util.regex.Pattern.compile("^[0-9]+\\.0.g$"));
        page.context().close();
    }

    private static Download download(Page page, String button) {
        return page.waitForDownload(() -> page.click("text=" + button));
    }

    @Test
    public void theDrawingOpensElsewhere() throws Exception {
        Page page = app.signedIn("ilse");
        page.navigate("/bars/15");
        Download svg = download(page, "drawing (SVG)");
        assertEquals(svg.suggestedFilename(), "pilot.svg");
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        var root = factory.newDocumentBuilder().parse(svg.path().toFile()).getDocumentElement();
        assertEquals(root.getNamespaceURI(), "http://www.w3.org/2000/svg");
        String text = Files.readString(svg.path());
        assertTrue(!text.contains("var(--"), "colours are written out");
        assertTrue(text.contains("Blackcurrant caramel"), "the legend is on it");
        // Another program draws it: Chromium itself, from the file.
        page.navigate("data:image/svg+xml;base64,"
                + java.util.Base64.getEncoder().encodeToString(text.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        Object width = page.evaluate("() => document.querySelector('path.layer').getBoundingClientRect().width");
        assertTrue(((Number) width).doubleValue() > 100, "drawn " + width);
        page.context().close();
    }

    /** Corners of the paths of a page's content, in points. */
    private static List<double[]> corners(PDDocument pdf) throws IOException {
        List<double[]> corners = new ArrayList<>();
        PDFStreamParser parser = new PDFStreamParser(pdf.getPage(0));
        List<Double> numbers = new ArrayList<>();
        for (Object token = parser.parseNextToken(); token != null; token = parser.parseNextToken()) {
            if (token instanceof COSNumber number) {
                numbers.add((double) number.floatValue());
            } else if (token instanceof Operator operator) {
                boolean corner = List.of("m", "l").contains(operator.getName()) && numbers.size() >= 2;
                if (corner) {
                    corners.add(new double[] {numbers.get(numbers.size() - 2), numbers.get(numbers.size() - 1)});
                }
                numbers.clear();
            }
        }
        return corners;
    }

    @Test
    public void aTemplateIsPrintedTrueToSize() throws Exception {
        Page page = app.signedIn("runa");
        page.navigate("/bars/18");
        Download paper = download(page, "true-size templates (PDF)");
        double pointsPerMm = 72 / 25.4;
        try (PDDocument pdf = Loader.loadPDF(paper.path().toFile())) {
            List<double[]> corners = corners(pdf);
            // The ruler is the first line drawn: 100 mm.
            double ruler = corners.get(1)[0] - corners.get(0)[0];
            assertEquals(ruler / pointsPerMm, 100, 0.01, "a ruler of 100 mm, at 72 points an inch");
            // The last outline is the block: 62 × 29 mm.
            double[] low = corners.get(corners.size() - 4);
            double[] high = corners.get(corners.size() - 2);
            assertEquals((high[0] - low[0]) / pointsPerMm, 62, 0.01);
            assertEquals((high[1] - low[1]) / pointsPerMm, 29, 0.01);
            assertEquals(pdf.getPage(0).getMediaBox().getWidth() / pointsPerMm, 210, 0.1, "A4");
            assertTrue(new PDFTextStripper().getText(pdf).contains("Print at 100 %"));
        }
        page.navigate("/bars/16");
        Download slab = download(page, "true-size templates (PDF)");
        try (PDDocument pdf = Loader.loadPDF(slab.path().toFile())) {
            assertEquals(pdf.getNumberOfPages(), 4, "360 × 270 mm runs over two by two sheets");
        }
        page.context().close();
    }

    @Test
    public void aBuildWithAnotherBodyTellsWhatIsMissing() {
        Page page = app.signedIn("runa");
        page.navigate("/bars/4");
        page.selectOption("#build", "SLAB");
        assertThat(page.locator("[id='fault-body.pieceLengthMm']")).containsText("Write a number");
        page.fill("[name='body.lengthMm']", "300");
        page.fill("[name='body.widthMm']", "200");
        page.fill("[name='body.pieceLengthMm']", "60");
        page.fill("[name='body.pieceWidthMm']", "25");
        assertThat(page.locator("[id='fault-layer.0.kind']")).containsText("has no shell");
        page.click("#undo");
        assertNotEquals(page.inputValue("[name='body.lengthMm']"), "");
        page.context().close();
    }

    @Test
    public void aBoxOfSeveralBarsIsPacked() {
        Page page = app.signedIn("runa");
        page.navigate("/boxes");
        page.click("text=Pack a new box");
        page.fill("#name", "Fair box");
        page.selectOption("[name='item.0.bar']", "4-v1");
        page.fill("[name='item.0.count']", "3");
        Locator net = page.locator("[data-out=net]");
        assertThat(net).containsText("159");
        page.selectOption("[name='item.1.bar']", "15-v1");
        page.fill("[name='item.1.count']", "none");
        assertThat(page.locator("[id='fault-item.1.count']")).containsText("is not a number");
        page.fill("[name='item.1.count']", "4");
        assertThat(page.locator("tbody tr th:has-text('Pilot')")).hasCount(1);
        page.fill("#declaredGrams", "900");
        assertThat(page.locator("[data-call=lighter-than-declared]")).containsText("less than declared");
        page.fill("#declaredGrams", "250");
        assertThat(page.locator("[data-call=lighter-than-declared]")).hasCount(0);
        page.fill("[name=why]", "for the fair");
        page.click("text=Keep version");
        assertThat(page.locator(".versions")).containsText("for the fair");
        assertThat(page.locator("[name='item.1.count']")).hasValue("4");
        page.navigate("/boxes");
        assertThat(page.locator("table")).containsText("Fair box");
        page.context().close();
    }
}
