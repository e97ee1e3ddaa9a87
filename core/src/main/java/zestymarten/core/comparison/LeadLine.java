package zestymarten.core.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zestymarten.core.quantity.Median;
import zestymarten.core.quantity.NotAccepted;

/**
 * The line through the resistance of alike leads over their lengths.
 *
 * <p>Method: Theil-Sen: the slope is the median of the slopes of all pairs of unequal lengths, the intercept, for the
 * terminations, the median of what is left; the scale is 1.4826 times the median absolute residual. A lead is odd if it
 * lies more than {@value #ODD_BEYOND} scales off and by more than its reading's uncertainty. Cost: n² log n. Source: Sen,
 * "Estimates of the regression coefficient based on Kendall's tau", 1968. Holds for: fewer than half of the leads odd.
 *
 * @param ohmPerMetre slope
 * @param terminationOhm intercept, which may come out below 0
 * @param scaleOhm spread of the good ones
 * @param confidence how far the line can be trusted for its number of leads
 */
public record LeadLine(double ohmPerMetre, double terminationOhm, double scaleOhm, Confidence confidence) {
    private static final double OUTLIER_BEYOND = 3.5;
    private static final double NORMAL = 1.4826;
    private static final int WEAK = 4;

    /** How far the line can be trusted. */
    public enum Confidence {
        /** Of four leads, to be said so. */
        WEAK,
        /** Of five and more. */
        FULL
    }

    /**
     * A lead.
     *
     * @param uncertaintyOhm expanded uncertainty of its reading, 0 or more
     */
    public record Lead(double lengthM, double ohm, double uncertaintyOhm) {
        public Lead {
            if (!(lengthM > 0 && ohm >= 0 && uncertaintyOhm >= 0)) {
                throw new NotAccepted(
                        "lead_line.lead_length_above",
                        NotAccepted.given(lengthM, "m"),
                        NotAccepted.given(ohm, "Ω"),
                        NotAccepted.given(uncertaintyOhm, "Ω"));
            }
        }
    }

    /** The line of some leads, level where all have one length; empty for fewer than four. */
    public static Optional<LeadLine> of(List<Lead> leads) {
        List<Double> slopes = new ArrayList<>();
        for (int i = 0; i < leads.size(); i++) {
            for (int j = i + 1; j < leads.size(); j++) {
                double apart = leads.get(j).lengthM() - leads.get(i).lengthM();
                if (apart != 0) {
                    slopes.add((leads.get(j).ohm() - leads.get(i).ohm()) / apart);
                }
            }
        }
        if (leads.size() < WEAK) {
            return Optional.empty();
        }
        double slope = slopes.isEmpty() ? 0 : Median.of(slopes.stream().mapToDouble(each -> each));
        double intercept = Median.of(leads.stream().mapToDouble(lead -> lead.ohm() - slope * lead.lengthM()));
        double scale = NORMAL
                * Median.of(
                        leads.stream().mapToDouble(lead -> Math.abs(lead.ohm() - slope * lead.lengthM() - intercept)));
        double minimum = Median.of(leads.stream().mapToDouble(Lead::uncertaintyOhm));
        return Optional.of(new LeadLine(
                slope,
                intercept,
                scale > 0 ? scale : minimum,
                leads.size() == WEAK ? Confidence.WEAK : Confidence.FULL));
    }

    /** Whether the leads were of several lengths, so that their resistance per metre is known. */
    public boolean hasSlope() {
        return ohmPerMetre != 0;
    }

    /** What a lead of a length should read, in ohms. */
    public double predicted(double lengthM) {
        return terminationOhm + ohmPerMetre * lengthM;
    }

    /** How far a lead lies above the line, in ohms; below it negative. */
    public double off(Lead lead) {
        return lead.ohm() - predicted(lead.lengthM());
    }

    public boolean isOutlier(Lead lead) {
        double off = Math.abs(off(lead));
        return off > OUTLIER_BEYOND * scaleOhm && off > lead.uncertaintyOhm();
    }
}
