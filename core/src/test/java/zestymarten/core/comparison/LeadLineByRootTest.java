package zestymarten.core.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

/**
 * The line through leads by another method: not the median of all slopes, but the slope at which what is left falls as often
 * as it rises with the length, found by halving; and a lead just inside and just outside of what passes.
 */
class LeadLineByRootTest {
    private static final double STEP = 0.01;

    private static List<LeadLine.Lead> leads(Random random) {
        int count = 5 + random.nextInt(12);
        double slope = 0.02 + 3 * random.nextDouble();
        double ends = random.nextDouble();
        List<LeadLine.Lead> leads = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double metres = 1 + 20 * random.nextDouble();
            double ohm = ends + slope * metres * (1 + 0.02 * random.nextGaussian());
            leads.add(new LeadLine.Lead(metres, ohm + (i == 0 ? slope * metres : 0), STEP));
        }
        return leads;
    }

    /** How much oftener what is left rises with the length than it falls. */
    private static int rises(List<LeadLine.Lead> leads, double slope) {
        int rises = 0;
        for (LeadLine.Lead one : leads) {
            for (LeadLine.Lead other : leads) {
                double left = (other.ohm() - slope * other.lengthM()) - (one.ohm() - slope * one.lengthM());
                rises += (int) (Math.signum(left) * Math.signum(other.lengthM() - one.lengthM()));
            }
        }
        return rises;
    }

    private static double turningPoint(List<LeadLine.Lead> leads, boolean strict) {
        double low = -100;
        double high = 100;
        for (int i = 0; i < 80; i++) {
            double middle = (low + high) / 2;
            int rises = rises(leads, middle);
            if (rises > 0 || (strict && rises == 0)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    @RepeatedTest(40)
    void theSlopeIsWhereWhatIsLeftNoLongerRisesOrFalls(RepetitionInfo now) {
        List<LeadLine.Lead> leads = leads(new Random(now.getCurrentRepetition()));
        LeadLine line = LeadLine.of(leads).orElseThrow();
        double root = (turningPoint(leads, false) + turningPoint(leads, true)) / 2;
        assertThat(line.ohmPerMetre()).isCloseTo(root, within(1e-9));
        long above = leads.stream().filter(each -> line.off(each) > 1e-12).count();
        long below = leads.stream().filter(each -> line.off(each) < -1e-12).count();
        assertThat(above - below)
                .as("as many above as below, but for the one in the middle")
                .isBetween(-1L, 1L);
    }

    @RepeatedTest(40)
    void aLeadIsOddFromThreeAndAHalfScalesOn(RepetitionInfo now) {
        LeadLine line =
                LeadLine.of(leads(new Random(now.getCurrentRepetition()))).orElseThrow();
        double edge = Math.max(3.5 * line.scaleOhm(), STEP);
        for (int side : new int[] {-1, 1}) {
            for (double share : new double[] {0.999, 1.001}) {
                double ohm = line.predicted(10) + side * share * edge;
                assertThat(ohm < 0 || line.isOutlier(new LeadLine.Lead(10, Math.max(0, ohm), STEP)) == share > 1)
                        .as("%s of the edge", side * share)
                        .isTrue();
            }
        }
    }
}
