package org.zeststack.core.stack;

import java.util.Map;
import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.cavity.Cavity;
import org.zeststack.core.quantity.Fault;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.rule.Bounds;

/**
 * What a bar points to, looked up.
 *
 * @param cavity the mould's cavity; null for a bar without a mould
 * @param volumeFactor what water said of it, see {@link org.zeststack.core.cavity.Calibrated}
 * @param edgeRadiusMm rounding of its floor's edge
 * @param rows rows of cavities in a mould; 0 without one
 * @param columns cavities in a row
 * @param materials by slug or link
 * @param bounds what the workshop judges by
 */
public record Parts(
        Cavity cavity,
        double volumeFactor,
        double edgeRadiusMm,
        int rows,
        int columns,
        Map<String, Material> materials,
        Bounds bounds) {

    public Parts {
        materials = Map.copyOf(materials);
    }

    /** The same with the bounds of the table. */
    public Parts(
            Cavity cavity,
            double volumeFactor,
            double edgeRadiusMm,
            int rows,
            int columns,
            Map<String, Material> materials) {
        this(cavity, volumeFactor, edgeRadiusMm, rows, columns, materials, Bounds.shipped());
    }

    /** The same in a workshop that judges by bounds of its own. */
    public Parts judgedBy(Bounds own) {
        return new Parts(cavity, volumeFactor, edgeRadiusMm, rows, columns, materials, own);
    }

    /** Parts of a bar without a mould. */
    public static Parts of(Map<String, Material> materials) {
        return new Parts(null, 1, 0, 0, 0, materials);
    }

    public static Parts of(Cavity cavity, Map<String, Material> materials) {
        return new Parts(cavity, 1, 0, 1, 1, materials);
    }

    /** The material of a layer, with what is mixed into it. */
    Material of(BarLayer layer, int index) {
        Material own = find(layer.of(), "layer." + index + ".of");
        return layer.mix() == null || layer.mix().fraction() == 0
                ? own
                : own.with(find(layer.mix().of(), "layer." + index + ".mixOf"), layer.mix());
    }

    private Material find(String of, String field) {
        Material material = materials.get(of);
        if (material == null) {
            throw new InvalidInput(Fault.of(field, of, "Choose an ingredient or a formula that has a version."));
        }
        return material;
    }
}
