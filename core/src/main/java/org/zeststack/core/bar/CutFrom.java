package org.zeststack.core.bar;

import io.soabase.recordbuilder.core.RecordBuilder;
import org.zeststack.core.quantity.Faults;
import org.zeststack.core.slab.SlabCut;

/**
 * The sheet that a layer is cut from before it is laid: a baked sheet that gives inserts, a rolled one that is halved and stacked.
 *
 * @param lengthMm as it is when it is cut: baked, or rolled out
 * @param gapMm lost between two
 * @param trimMm cut off each of its sides
 */
@RecordBuilder
public record CutFrom(double lengthMm, double widthMm, double gapMm, double trimMm) {

    void check(Faults faults, String field) {
        faults.within(field + "sheetLengthMm", lengthMm, SlabCut.SLAB_MM);
        faults.within(field + "sheetWidthMm", widthMm, SlabCut.SLAB_MM);
        faults.within(field + "sheetGapMm", gapMm, SlabCut.KERF_MM);
        faults.within(field + "sheetTrimMm", trimMm, SlabCut.TRIM_MM);
    }
}
