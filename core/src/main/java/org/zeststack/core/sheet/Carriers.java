package org.zeststack.core.sheet;

/**
 * Moulds and turns; slabs, trays and sheets are counted like moulds.
 *
 * @param cavities pieces of one
 * @param fills moulds to line in all; of slabs, trays and sheets whole ones are made
 * @param turns times the owned moulds go round
 * @param cavitiesInLast cavities used in the last mould
 * @param carrier mould, slab, tray, sheet or piece
 * @param spare pieces that whole slabs, trays and sheets give beyond those to make
 * @param spareBare whether these go without what the pieces get after the cut
 */
public record Carriers(
        String name,
        int cavities,
        int owned,
        int fills,
        int turns,
        int cavitiesInLast,
        String carrier,
        int spare,
        boolean spareBare) {}
