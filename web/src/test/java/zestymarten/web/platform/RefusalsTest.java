package zestymarten.web.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.check.SingleFuse;
import zestymarten.core.check.SwitchContact;
import zestymarten.core.conductor.FuseLink;
import zestymarten.core.conductor.Protection;
import zestymarten.core.coreid.GroupScheme;
import zestymarten.core.coreid.Tags;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.limit.InsulationRule;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.locate.Distance;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.scan.ScanVoltage;

/** What a value of the core refuses is read by people: what was read, what was expected, every figure with its unit. */
class RefusalsTest {
    static Stream<Arguments> refusals() {
        return Stream.of(
                refusal(
                        () -> Ohms.of(-1),
                        "Resistance (-1 Ω) must be from 0 to 1000 TΩ. Say 'open' where there is no path."),
                refusal(() -> CavityLayout.grid(0, 4), "A face must have 1 to 10000 cavities, not 0 by 4."),
                refusal(
                        () -> new Connector("J2", "", CavityLayout.line(1), List.of("1", "2")),
                        "Connector J2 has 2 pins but its face only 1 cavity."),
                refusal(
                        () -> Terminal.of("J1."),
                        "Terminal 'J1.' must be such as J1.3, S1 or FRAME, at most 40 characters."),
                refusal(
                        () -> new MeterProfile("m", 1.5, 0.01, 30, false, 20e6),
                        "Meter: accuracy (150 %) must be from 0 % to below 100 %."),
                refusal(
                        () -> new MeterProfile("m", 0.01, 0.01, 30, false, 10),
                        "Meter: top of the range (10 Ω) must be above the tone threshold and at most 10 TΩ."),
                refusal(
                        () -> new SingleFuse(OptionalDouble.of(-3)),
                        "The rated current (-3 A) must be above 0 and at most 10 kA."),
                refusal(
                        () -> new SwitchContact(List.of("off"), Set.of("on")),
                        "The contact is closed in on, but the positions are off."),
                refusal(
                        () -> Protection.of("Z", 16),
                        "“Z” is not accepted; expected B, C or D for a breaker, gG for a fuse."),
                refusal(() -> new FuseLink(0), "A fuse's rated current (0 A) must be above 0 and at most 1250 A."),
                refusal(
                        () -> new Tags(List.of(100.0, 99e6), 0.05, 1),
                        "Tags must be above 0 and at most 10 MΩ; read 100 Ω and 99 MΩ."),
                refusal(() -> GroupScheme.of(201), "A bundle (201 cores) must have from 1 to 200 cores."),
                refusal(
                        () -> InsulationLimit.ofCircuit(60, true),
                        "Nominal voltage (60 V) must be above 0 V and at most 50 V for SELV and PELV."),
                refusal(
                        () -> new InsulationRule(6000, OptionalDouble.empty(), OptionalDouble.empty()),
                        "Test voltage (6 kV) must be above 0 V and at most 5 kV."),
                refusal(
                        () -> new WithstandRule(Double.NaN, OptionalDouble.empty(), OptionalDouble.empty(), 0.01, 60),
                        "Withstand voltage (NaN) must be above 0 and at most 20 kV."),
                refusal(() -> new ScanVoltage(500, 0, -1, 60), "The ramp (-1 s) must be from 0 to 120 s."),
                refusal(
                        () -> new Distance(240, 1, 120, Message.NONE, List.of()),
                        "The fault would be 240 m from end 1 of a run of 120 m: one of the readings, or the length, is not what it says."));
    }

    private static Arguments refusal(ThrowingCallable made, String sentence) {
        return arguments(made, sentence);
    }

    @ParameterizedTest(name = "{1}")
    @MethodSource("refusals")
    void whatIsRefusedIsSaidInWords(ThrowingCallable made, String sentence) {
        NotAccepted refused = catchThrowableOfType(NotAccepted.class, made);

        assertThat(Words.say(refused.what())).isEqualTo(sentence);
    }
}
