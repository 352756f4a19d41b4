package org.zeststack.core.bench;

import java.util.List;
import java.util.Optional;
import org.zeststack.core.air.AfterCold;
import org.zeststack.core.explain.Call;
import org.zeststack.core.quantity.InvalidInput;
import org.zeststack.core.rule.Bounds;
import org.zeststack.core.sheet.RunSheet;
import org.zeststack.core.temper.Room;

/**
 * The room as it was read last.
 *
 * @param celsius empty where nobody read it
 * @param afterCold what bars that come out of the cold do in it; empty where nobody read that, or its air is too full to say
 */
public record RoomState(Optional<Double> celsius, Optional<AfterCold> afterCold) {

    static RoomState of(RunSheet sheet, List<BenchEntry> standing) {
        Double room = null;
        OutOfCold cold = null;
        for (BenchEntry entry : standing) {
            if (entry.body() instanceof RoomReading reading) {
                room = reading.celsius();
            } else if (entry.body() instanceof OutOfCold bars) {
                cold = bars;
            }
        }
        double depth = sheet.bar().section().depthMm();
        return new RoomState(
                Optional.ofNullable(room), Optional.ofNullable(cold).flatMap(c -> after(c, depth)));
    }

    private static Optional<AfterCold> after(OutOfCold bars, double depthMm) {
        try {
            return Optional.of(AfterCold.of(bars.roomCelsius(), bars.humidityPercent(), bars.barCelsius(), depthMm));
        } catch (InvalidInput full) {
            return Optional.empty();
        }
    }

    /** What it means for the couverture; empty where nothing. */
    public Optional<Call> advice(Bounds bounds) {
        return celsius.flatMap(c -> Room.advice(c, bounds));
    }
}
