package zestymarten.core.locate;

import java.util.List;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;

/**
 * Where a fault is on a run, as one way of calculation finds it.
 *
 * @param metres from end 1, from 0 to the length of the run
 * @param doubtM half of the interval that the readings' own uncertainty leaves, in metres, from 0
 * @param lengthM of the run, above 0
 * @param by the way of calculation and its formula
 * @param assumes what it takes for granted, in sentences
 */
public record Distance(double metres, double doubtM, double lengthM, Message by, List<Message> assumes) {
    public Distance {
        assumes = List.copyOf(assumes);
        if (!(lengthM > 0 && lengthM < Double.POSITIVE_INFINITY)) {
            throw new NotAccepted("distance.length_run_above", NotAccepted.given(lengthM, "m"));
        }
        if (!(metres >= 0 && metres <= lengthM)) {
            throw metres < 0
                    ? new NotAccepted("distance.fault_before_end", Message.figure(-metres, "m"))
                    : new NotAccepted(
                            "distance.fault_beyond_run", NotAccepted.given(metres, "m"), Message.figure(lengthM, "m"));
        }
        if (!(doubtM >= 0)) {
            throw new NotAccepted("distance.uncertainty_below_m", NotAccepted.given(doubtM, "m"));
        }
    }

    /** The nearest that it can be, in metres from end 1. */
    public double from() {
        return Math.max(0, metres - doubtM);
    }

    /** The farthest that it can be, in metres from end 1. */
    public double to() {
        return Math.min(lengthM, metres + doubtM);
    }
}
