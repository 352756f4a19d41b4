package org.zeststack.core.sheet;

import java.util.OptionalDouble;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.weighing.FillWindow;

/**
 * What one layer should weigh, in one cavity where it is laid in cavities.
 *
 * @param laid from what and how
 * @param perPiece cavities that make a piece: 2 where halves are joined
 * @param wholeGrams what is laid on one slab, tray or sheet, its trim with it; empty where it is laid on pieces, and on older sheets
 */
public record LayerTarget(
        String key,
        LayerKind kind,
        String name,
        String material,
        double thicknessMm,
        LaidFrom laid,
        FillWindow window,
        int perPiece,
        OptionalDouble wholeGrams) {

    /** Key of the component that it is laid from. */
    public String component() {
        return laid.component();
    }

    /** Share of its mass that is of a component, or of one of its batches. */
    public double shareOf(String key) {
        return laid.shareOf(FormulaBatch.wholeKey(key));
    }
}
