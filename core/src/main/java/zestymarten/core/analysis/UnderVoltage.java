package zestymarten.core.analysis;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.quantity.Ohms;

/** What readings under a test voltage show to be wrong: insulation that is too low, or did not withstand. */
public final class UnderVoltage {
    private UnderVoltage() {}

    /**
     * The finding of one reading; empty unless it failed.
     *
     * @param tested the terminals that had the voltage, linked together if there are several
     * @param testV test voltage in volts
     * @param minimum what it had to read at least
     */
    public static Optional<ExplainedFinding> finding(
            Design design,
            List<Terminal> tested,
            Terminal b,
            Quantity quantity,
            double testV,
            Ohms minimum,
            Judgement judgement,
            int number) {
        if (!quantity.needsTestVoltage() || judgement.verdict() != Verdict.FAIL) {
            return Optional.empty();
        }
        Terminal a = tested.get(0);
        List<String> names = tested.stream()
                .flatMap(each -> design.namesBetween(each, b).stream())
                .distinct()
                .toList();
        OptionalDouble ohm = judgement.correctedOhm();
        Finding finding = quantity == Quantity.INSULATION && ohm.isPresent()
                ? new Finding.InsulationLow(names, a, b, Ohms.of(ohm.getAsDouble()), minimum, testV)
                : new Finding.Withstand(names, a, b, testV, judgement.reason());
        return Optional.of(ExplainedFinding.shown(finding, List.of(number), design.functionsOf(names)));
    }
}
