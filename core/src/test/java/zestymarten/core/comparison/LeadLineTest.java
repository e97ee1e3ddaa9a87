package zestymarten.core.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class LeadLineTest {
    private static List<LeadLine.Lead> leads(double... lengthsAndOhms) {
        List<LeadLine.Lead> leads = new ArrayList<>();
        for (int i = 0; i < lengthsAndOhms.length; i += 2) {
            leads.add(new LeadLine.Lead(lengthsAndOhms[i], lengthsAndOhms[i + 1], 0.01));
        }
        return leads;
    }

    @Test
    void namesTheOddLeadOfSix() {
        List<LeadLine.Lead> leads = leads(2.1, 5.31, 2.9, 7.18, 3.6, 8.77, 4.4, 13.40, 5.2, 12.39, 6.0, 14.22);
        LeadLine family = LeadLine.of(leads).orElseThrow();
        assertThat(family.ohmPerMetre()).isCloseTo(2.284, within(0.0005));
        assertThat(leads.stream().filter(family::isOutlier)).containsExactly(leads.get(3));
        assertThat(family.off(leads.get(3))).isCloseTo(2.8, within(0.05));
        assertThat(leads.stream().filter(lead -> !family.isOutlier(lead)))
                .allMatch(lead -> Math.abs(family.off(lead)) < 0.03);
        assertThat(family.predicted(7)).isCloseTo(family.terminationOhm() + 7 * 2.284, within(0.005));
        assertThat(family.confidence()).isEqualTo(LeadLine.Confidence.FULL);
    }

    @Test
    void fewLeadsSayLittle() {
        assertThat(LeadLine.of(leads(1, 2, 2, 4, 3, 6))).isEmpty();
        assertThat(LeadLine.of(leads(2, 4, 2, 4, 2, 4, 2, 5)).orElseThrow().hasSlope())
                .isFalse();
        LeadLine four = LeadLine.of(leads(1, 2, 2, 4, 3, 6, 4, 8)).orElseThrow();
        assertThat(four.confidence()).isEqualTo(LeadLine.Confidence.WEAK);
        assertThat(four.scaleOhm()).isEqualTo(0.01);
        assertThatThrownBy(() -> new LeadLine.Lead(0, 1, 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
