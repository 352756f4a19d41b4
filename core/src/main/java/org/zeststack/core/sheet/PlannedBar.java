package org.zeststack.core.sheet;

import java.util.List;
import org.zeststack.core.picture.CrossSection;

/** The bar that a run makes, in the version that it was planned with. */
public record PlannedBar(String name, int version, CrossSection section, double pieceGrams, List<LayerTarget> layers) {

    /** Cavities that make a piece: 2 where halves are joined. */
    public int cavitiesOfAPiece() {
        return layers.stream().mapToInt(LayerTarget::perPiece).max().orElse(1);
    }
}
