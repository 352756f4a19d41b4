package org.zeststack.core.bar;

import java.util.List;
import org.zeststack.core.cavity.FilledCavity;
import org.zeststack.core.cavity.LinedCavity;
import org.zeststack.core.ingredient.Ingredient;
import org.zeststack.core.ingredient.IngredientTable;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.quantity.InvalidInput;

/**
 * What one version of a moulded bar says.
 *
 * @param mould the mould's id
 * @param shell slug of the shell's couverture
 * @param shellMm thickness of the shell
 * @param back slug of the back's couverture
 * @param backMm thickness of the back as designed
 * @param backLeastMm thinnest back that still seals
 * @param backGreatestMm thickest back allowed
 * @param fillings one or two fillings from the floor up; the last takes what is left below the back
 */
public record Bar(
        long mould,
        String shell,
        double shellMm,
        String back,
        double backMm,
        double backLeastMm,
        double backGreatestMm,
        List<FillingLayer> fillings) {

    /** Most fillings in one moulded bar. */
    public static final int MOST_FILLINGS = 2;

    /**
     * A filling.
     *
     * @param formula the formula's id
     * @param version its version number
     * @param depthMm how deep it lies; not used for the last filling
     */
    public record FillingLayer(long formula, int version, double depthMm) {}

    public Bar {
        fillings = List.copyOf(fillings);
    }

    /**
     * Checks what does not depend on the cavity.
     *
     * @throws InvalidInput with every fault found
     */
    public void check(IngredientTable ingredients) {
        Faults faults = new Faults();
        couverture(faults, "shell", shell, ingredients);
        couverture(faults, "back", back, ingredients);
        faults.within("shellMm", shellMm, LinedCavity.SHELL_MM);
        faults.within("backMm", backMm, FilledCavity.BACK_MM);
        faults.within("backLeastMm", backLeastMm, FilledCavity.BACK_MM);
        faults.within("backGreatestMm", backGreatestMm, FilledCavity.BACK_MM);
        if (fillings.isEmpty() || fillings.size() > MOST_FILLINGS) {
            faults.add(Fault.of("fillings", String.valueOf(fillings.size()), "A moulded bar has one or two fillings."));
        }
        for (int i = 0; i < fillings.size() - 1; i++) {
            faults.within("filling." + i + ".depthMm", fillings.get(i).depthMm(), FilledCavity.BACK_MM);
        }
        faults.throwIfAny();
    }

    private static void couverture(Faults faults, String field, String slug, IngredientTable ingredients) {
        if (ingredients.find(slug).filter(Ingredient::isCouverture).isEmpty()) {
            faults.add(Fault.of(field, slug, "Choose a couverture."));
        }
    }
}
