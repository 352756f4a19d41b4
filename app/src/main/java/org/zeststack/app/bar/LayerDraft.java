package org.zeststack.app.bar;

import org.zeststack.core.bar.BarLayer;
import org.zeststack.core.bar.BarLayerBuilder;
import org.zeststack.core.bar.BarLayerFacesBuilder;
import org.zeststack.core.bar.BarLayerInsertBuilder;
import org.zeststack.core.bar.CutFromBuilder;
import org.zeststack.core.bar.HandlingBuilder;
import org.zeststack.core.bar.LayerKind;
import org.zeststack.core.quantity.Range;

/** A layer while its fields are read. */
public final class LayerDraft {

    public final BarLayerBuilder layer = BarLayerBuilder.builder().embedded(1).repeat(1);
    final BarLayerInsertBuilder insert = BarLayerInsertBuilder.builder();
    final BarLayerFacesBuilder faces = BarLayerFacesBuilder.builder();
    final HandlingBuilder handling = HandlingBuilder.builder();
    final CutFromBuilder sheet = CutFromBuilder.builder();

    /** Whether it is cut from a sheet of its own. */
    boolean cut;

    public LayerDraft(LayerKind kind, String of, BarLayer.By by) {
        layer.kind(kind).of(of).by(by);
    }

    LayerKind kind() {
        return layer.kind();
    }

    BarLayer.By by() {
        return layer.by();
    }

    boolean is(BarLayer.Shape shape) {
        return insert.shape() == shape;
    }

    /** What an amount given so may be. */
    Range range() {
        return switch (by()) {
            case MM, REST -> BarLayer.MM;
            case GRAMS -> BarLayer.GRAMS;
            case MILLIGRAMS -> BarLayer.MILLIGRAMS;
            case PIECES -> BarLayer.PIECES;
            case SHARE -> BarLayer.SHARE_PERCENT;
        };
    }

    public BarLayer build() {
        if (is(BarLayer.Shape.DISC)) {
            insert.widthMm(insert.lengthMm());
        }
        return layer.insert(kind().has(LayerKind.Field.SIZE) ? insert.build() : null)
                .faces(kind().has(LayerKind.Field.FACES) ? faces.build() : null)
                .handling(handling.cutFrom(cut ? sheet.build() : null).build())
                .build();
    }
}
