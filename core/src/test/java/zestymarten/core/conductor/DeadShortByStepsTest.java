package zestymarten.core.conductor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;

/**
 * A dead short followed in small steps: the core takes all heat (3.45 MJ per cubic metre and kelvin), its resistance rises with it
 * and the current falls. Never is something said to be cut off whose device, by its band, may act after the insulation is lost.
 */
class DeadShortByStepsTest {
    private static final double HEAT_J_PER_MM2_M_K = 3.45;
    private static final double COPPER_OHM_MM2_PER_M = 0.017241;
    private static final double ALPHA = 0.00393;
    private static final double END_C = 160;
    /** A breaker may take a minute by heat, IEC 60898-1. */
    private static final double SOONEST_BY_HEAT_S = 60;

    private static final Map<Breaker.Curve, Double> BANDS =
            Map.of(Breaker.Curve.B, 5.0, Breaker.Curve.C, 10.0, Breaker.Curve.D, 20.0);

    private static final List<Breaker.Curve> CURVES = List.of(Breaker.Curve.B, Breaker.Curve.C, Breaker.Curve.D);

    private record Case(double metres, double mm2, double sourceOhm, Breaker.Curve curve, double rated) {}

    private static Case of(Random random) {
        return new Case(
                5 + 150 * random.nextDouble(),
                new double[] {0.5, 0.75, 1, 1.5, 2.5, 4}[random.nextInt(6)],
                0.1 + random.nextDouble(),
                CURVES.get(random.nextInt(CURVES.size())),
                new double[] {6, 10, 16, 20, 32}[random.nextInt(5)]);
    }

    /** Amperes with the core at a temperature. */
    private static double amperes(Case of, double celsius) {
        double loop = 2 * COPPER_OHM_MM2_PER_M * of.metres() / of.mm2() * (1 + ALPHA * (celsius - 20));
        return 230 / (of.sourceOhm() + loop);
    }

    /** Seconds until the core is at its end temperature from a start, all of its heat kept. */
    private static double seconds(Case of, double from) {
        double celsius = from;
        double seconds = 0;
        double step = 0.02;
        while (celsius < END_C) {
            double current = amperes(of, celsius);
            double ohmPerM = COPPER_OHM_MM2_PER_M / of.mm2() * (1 + ALPHA * (celsius - 20));
            seconds += step * HEAT_J_PER_MM2_M_K * of.mm2() / (current * current * ohmPerM);
            celsius += step;
        }
        return seconds;
    }

    @RepeatedTest(60)
    void currentsAndTimesAgreeAndNothingIsCutOffTooLate(RepetitionInfo now) {
        Case of = of(new Random(now.getCurrentRepetition()));
        Feeder feeder = new Feeder(
                Metal.COPPER,
                StrandClass.TWO,
                OptionalDouble.of(of.metres()),
                OptionalDouble.empty(),
                OptionalDouble.of(2 * COPPER_OHM_MM2_PER_M * of.metres() / of.mm2()),
                true,
                20);
        DeadShort dead = new DeadShort(
                feeder,
                230,
                of.sourceOhm(),
                FeederWire.Insulation.COPPER_PVC,
                Optional.of(new Breaker(of.curve(), of.rated())));
        assertThat(dead.coldA()).isCloseTo(amperes(of, 20), within(0.002 * amperes(of, 20)));
        assertThat(dead.hotA()).isCloseTo(amperes(of, 70), within(0.005 * amperes(of, 70)));
        assertThat(dead.endA()).isCloseTo(amperes(of, END_C), within(0.01 * amperes(of, END_C)));
        double band = BANDS.getOrDefault(of.curve(), 0.0) * of.rated();
        double end = amperes(of, END_C);
        if (end > 1.02 * band && seconds(of, 20) > 0.1) {
            assertThat(dead.isCutOff())
                    .as("%s: %.1f A at the end, at once", of, end)
                    .isTrue();
        } else if (end < 0.98 * band && seconds(of, 20) < SOONEST_BY_HEAT_S) {
            assertThat(dead.isCutOff())
                    .as("%s: %.1f A at the end, its insulation lost after %.1f s", of, end, seconds(of, 20))
                    .isFalse();
        }
    }
}
