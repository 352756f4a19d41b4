package org.zeststack.web.ingredient;

import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.web.page.Page;

/** What the ingredients are made of. */
@Page
class StoreRoomController {

    private final IngredientTable ingredients;

    StoreRoomController(IngredientTable ingredients) {
        this.ingredients = ingredients;
    }

    @GetMapping("/store-room")
    String page(Model model) {
        model.addAttribute("ingredients", ingredients.all());
        return "store-room";
    }
}
