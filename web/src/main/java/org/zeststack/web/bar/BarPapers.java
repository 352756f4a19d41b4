package org.zeststack.web.bar;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.zeststack.app.Missing;
import org.zeststack.app.drawing.PaperTemplate;
import org.zeststack.core.stack.BarStack;
import org.zeststack.core.typed.FormInput;
import org.zeststack.web.page.Page;

/** A bar on paper and elsewhere: its drawing as SVG and true-size templates as PDF, both of what stands in the form. */
@Page
class BarPapers {

    private final BarPage page;
    private final MaterialStyle style;

    BarPapers(BarPage page, MaterialStyle style) {
        this.page = page;
        this.style = style;
    }

    @PostMapping("/bars/{id}/drawing.svg")
    String svg(
            @PathVariable long id, @RequestParam Map<String, String> typed, Model model, HttpServletResponse response) {
        return svg(id, FormInput.of(typed), model, response);
    }

    /** The drawing of what is saved, for those who only look. */
    @GetMapping("/bars/{id}/drawing.svg")
    String savedSvg(@PathVariable long id, Model model, HttpServletResponse response) {
        return svg(id, page.saved(id), model, response);
    }

    private String svg(long id, FormInput form, Model model, HttpServletResponse response) {
        BarPage.Computed computed = page.compute(form);
        stack(computed);
        page.show(id, form, computed, model);
        model.addAttribute("style", style.css());
        response.setContentType("image/svg+xml;charset=UTF-8");
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, attachment(form, "svg"));
        return "bar/export";
    }

    @PostMapping("/bars/{id}/templates.pdf")
    void templates(@PathVariable long id, @RequestParam Map<String, String> typed, HttpServletResponse response)
            throws IOException {
        templates(FormInput.of(typed), response);
    }

    /** The templates of what is saved, for those who only look. */
    @GetMapping("/bars/{id}/templates.pdf")
    void savedTemplates(@PathVariable long id, HttpServletResponse response) throws IOException {
        templates(page.saved(id), response);
    }

    private void templates(FormInput form, HttpServletResponse response) throws IOException {
        byte[] pdf = PaperTemplate.of(form.text("name"), stack(page.compute(form)));
        response.setContentType("application/pdf");
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, attachment(form, "pdf"));
        response.getOutputStream().write(pdf);
    }

    private static BarStack stack(BarPage.Computed computed) {
        Optional<BarStack> stack = computed.stack();
        return stack.orElseThrow(() -> new Missing("A drawing of a bar with faults"));
    }

    private static String attachment(FormInput form, String ending) {
        String name = form.text("name").replaceAll("[^A-Za-z0-9]+", "-").replaceAll("^-|-$", "");
        return "attachment; filename=\"%s.%s\"".formatted(name.isEmpty() ? "bar" : name.toLowerCase(), ending);
    }
}
