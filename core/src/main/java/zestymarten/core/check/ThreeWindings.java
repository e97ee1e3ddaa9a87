package zestymarten.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.quantity.Bounds;

/**
 * Three windings in star or delta, read between their three leads and to the frame; no nominal figure is needed.
 *
 * <p>Rules: the three readings are equal within {@value #BALANCE} of their mean, a usual figure. Two open ones share the lead
 * whose phase is open (star). In delta, one open winding reads alone through the two others: twice what each of them reads.
 *
 * @param ohm what each pair should read, above 0; empty where nobody knows
 */
public record ThreeWindings(OptionalDouble ohm) implements CheckedItem {
    private static final double BALANCE = 0.02;
    private static final double DOUBLE = 0.1;
    private static final double TOLERANCE = 0.1;
    private static final double MAX_OHM = 1e6;
    private static final List<String> LEADS = List.of("U", "V", "W");
    private static final List<String> PAIRS = List.of("U–V", "V–W", "W–U");

    public ThreeWindings {
        ohm.ifPresent(each -> Bounds.aboveZero("check_figures.what_the_windings_resistance", each, MAX_OHM, "Ω"));
    }

    @Override
    public List<CheckQuestion> questions() {
        List<CheckQuestion> questions = new ArrayList<>();
        GoodReading expected = ohm.isPresent()
                ? CheckFigures.around(ohm.getAsDouble(), TOLERANCE, TOLERANCE)
                : new GoodReading.AnyResistance();
        PAIRS.forEach(pair -> questions.add(new CheckQuestion(CheckQuestion.CheckMeasurement.WINDING, expected, pair)));
        LEADS.forEach(lead -> questions.add(
                new CheckQuestion(CheckQuestion.CheckMeasurement.LEAD_TO_FRAME, new GoodReading.NoContinuity(), lead)));
        return questions;
    }

    @Override
    public List<Conclusion> conclusions(CheckReadings answers) {
        List<Conclusion> said = new ArrayList<>();
        answers.all().stream()
                .filter(each -> each.is(CheckQuestion.CheckMeasurement.LEAD_TO_FRAME) && each.verdict() == Verdict.FAIL)
                .forEach(each -> said.add(Conclusion.bad(Code.LEAD_TO_FRAME, each, CheckFigures.ohms(each))));
        List<CheckReading> pairs = answers.all().stream()
                .filter(each -> each.is(CheckQuestion.CheckMeasurement.WINDING))
                .toList();
        List<String> open = pairs.stream()
                .filter(CheckReading::isOpen)
                .map(CheckReading::subject)
                .toList();
        if (!open.isEmpty()) {
            said.add(open(open));
        } else if (pairs.size() == PAIRS.size()
                && pairs.stream().allMatch(each -> each.figure().isPresent())) {
            said.addAll(compared(pairs, answers));
        }
        return said;
    }

    private static Conclusion open(List<String> open) {
        List<String> shared = LEADS.stream()
                .filter(lead -> open.stream().allMatch(pair -> pair.contains(lead)))
                .toList();
        return open.size() == 2 && shared.size() == 1
                ? Conclusion.bad(Code.PHASE_OPEN, shared.get(0))
                : Conclusion.bad(Code.WINDINGS_OPEN, String.join(", ", open));
    }

    private static List<Conclusion> compared(List<CheckReading> pairs, CheckReadings answers) {
        List<CheckReading> rising = pairs.stream()
                .sorted(Comparator.comparingDouble(each -> each.figure().orElse(0)))
                .toList();
        double minimum = rising.get(0).figure().orElse(0);
        double middle = rising.get(1).figure().orElse(0);
        double maximum = rising.get(2).figure().orElse(0);
        double mean = (minimum + middle + maximum) / 3;
        if (middle - minimum <= BALANCE * middle && Math.abs(maximum / Math.max(middle, 1e-9) - 2) < DOUBLE) {
            return List.of(Conclusion.bad(Code.DELTA_OPEN, rising.get(2), CheckFigures.ohms(rising.get(2))));
        }
        if (maximum - minimum > BALANCE * mean) {
            CheckReading odd = middle - minimum > maximum - middle ? rising.get(0) : rising.get(2);
            double others = (minimum + middle + maximum - odd.figure().orElse(0)) / 2;
            long percent = Math.round(100 * (odd.figure().orElse(0) / Math.max(others, 1e-9) - 1));
            return List.of(Conclusion.bad(
                    Code.WINDINGS_UNLIKE,
                    odd,
                    CheckFigures.ohms(odd),
                    Math.abs(percent) + " %",
                    percent < 0 ? "low" : "high"));
        }
        return answers.isGood() ? List.of(Conclusion.good(Code.WINDINGS_BALANCED)) : List.of();
    }
}
