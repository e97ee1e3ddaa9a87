package zestymarten.core.locate;

import java.util.List;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;

/**
 * Where a fault is on a run, as one way of reckoning finds it.
 *
 * @param metres from end 1, from 0 to the length of the run
 * @param doubtM half of the interval that the readings' own uncertainty leaves, in metres, from 0
 * @param lengthM of the run, above 0
 * @param by the way of reckoning and its formula
 * @param assumes what it takes for granted, in sentences
 */
public record Distance(double metres, double doubtM, double lengthM, Message by, List<Message> assumes) {
    public Distance {
        assumes = List.copyOf(assumes);
        if (!(lengthM > 0 && lengthM < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException("Length of the run (" + lengthM + " m) must be above 0 m.");
        }
        if (!(metres >= 0 && metres <= lengthM)) {
            throw new IllegalArgumentException("The fault would be " + EngineeringFormat.text(Math.abs(metres), "m")
                    + (metres < 0 ? " before end 1" : " from end 1 of a run of " + EngineeringFormat.text(lengthM, "m"))
                    + ": one of the readings, or the length, is not what it says.");
        }
        if (!(doubtM >= 0)) {
            throw new IllegalArgumentException("The uncertainty (" + doubtM + " m) must not be below 0 m.");
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
