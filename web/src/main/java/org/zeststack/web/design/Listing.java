package org.zeststack.web.design;

import java.util.List;
import org.springframework.ui.Model;
import org.zeststack.store.Part;
import org.zeststack.store.design.Designs;

/** What a list of designs shows, whichever kind they are. */
public final class Listing {

    private Listing() {}

    /**
     * Puts one page of a list with what was asked for into a model.
     *
     * @param orders what it may be sorted by
     * @param rows the page with all that is shown of it
     */
    public static void put(
            Model model, Designs<?> designs, String words, Designs.By by, List<Designs.By> orders, Part<?> rows) {
        model.addAttribute("any", rows.found() > 0 || !words.isBlank());
        model.addAttribute("q", words);
        model.addAttribute("by", by);
        model.addAttribute("bys", orders);
        model.addAttribute("part", rows);
        model.addAttribute("archived", designs.archived(words));
    }
}
