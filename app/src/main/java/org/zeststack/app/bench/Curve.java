package org.zeststack.app.bench;

import java.util.List;
import java.util.stream.IntStream;

/**
 * Points of a curve for drawing.
 *
 * @param edition changes when all was read again
 * @param from number of the first point of these
 * @param minutes of the pot's own time
 * @param celsius what the thermometer showed
 * @param wild numbers of those that are left out of the fit
 * @param aheadMinutes the way to the stop at the heat that the pot has, empty for a bowl
 * @param aheadCelsius what the thermometer would show on it
 */
public record Curve(
        int edition,
        int from,
        List<Double> minutes,
        List<Double> celsius,
        List<Integer> wild,
        List<Double> aheadMinutes,
        List<Double> aheadCelsius) {

    static Curve of(FollowedPot.Piece piece, List<FollowedPot.Seen> ahead) {
        List<FollowedPot.Seen> points = piece.points();
        return new Curve(
                piece.edition(),
                piece.from(),
                points.stream().map(FollowedPot.Seen::minute).toList(),
                points.stream().map(FollowedPot.Seen::celsius).toList(),
                IntStream.range(0, points.size())
                        .filter(i -> points.get(i).wild())
                        .mapToObj(i -> piece.from() + i)
                        .toList(),
                ahead.stream().map(FollowedPot.Seen::minute).toList(),
                ahead.stream().map(FollowedPot.Seen::celsius).toList());
    }
}
