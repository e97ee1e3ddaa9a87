package zestymarten.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.limit.Limit;
import zestymarten.core.quantity.Bounds;
import zestymarten.core.quantity.NotAccepted;

/**
 * A relay or contactor: its coil, and a contact at rest and operated.
 *
 * @param coilOhm what the coil should have, above 0; empty where nobody knows
 * @param makes whether it has a contact that is open at rest
 * @param breaks whether it has a contact that is closed at rest
 */
public record Relay(OptionalDouble coilOhm, boolean makes, boolean breaks) implements CheckedItem {
    private static final double COIL_TOLERANCE = 0.15;
    private static final double MAX_OHM = 1e6;
    private static final String MAKING = "making";
    private static final String BREAKING = "breaking";

    public Relay {
        coilOhm.ifPresent(each -> Bounds.aboveZero("check_figures.what_the_coil_s_resistance", each, MAX_OHM, "Ω"));
        if (!makes && !breaks) {
            throw new NotAccepted("relay.relay_contact_that");
        }
    }

    @Override
    public List<CheckQuestion> questions() {
        List<CheckQuestion> questions = new ArrayList<>();
        questions.add(new CheckQuestion(
                CheckQuestion.CheckMeasurement.COIL,
                coilOhm.isPresent()
                        ? CheckFigures.around(coilOhm.getAsDouble(), COIL_TOLERANCE, COIL_TOLERANCE)
                        : new GoodReading.AnyResistance()));
        if (makes) {
            questions.add(new CheckQuestion(
                    CheckQuestion.CheckMeasurement.CONTACT_AT_REST, new GoodReading.NoContinuity(), MAKING));
            questions.add(new CheckQuestion(CheckQuestion.CheckMeasurement.CONTACT_OPERATED, closed(), MAKING));
        }
        if (breaks) {
            questions.add(new CheckQuestion(CheckQuestion.CheckMeasurement.CONTACT_AT_REST, closed(), BREAKING));
            questions.add(new CheckQuestion(
                    CheckQuestion.CheckMeasurement.CONTACT_OPERATED, new GoodReading.NoContinuity(), BREAKING));
        }
        return questions;
    }

    private static GoodReading closed() {
        return CheckFigures.atMost(CheckFigures.CONTACT_OHM, Limit.Rule.PART);
    }

    @Override
    public List<Conclusion> conclusions(CheckReadings answers) {
        List<Conclusion> faults = new ArrayList<>();
        answers.all().stream()
                .filter(each -> each.is(CheckQuestion.CheckMeasurement.COIL) && each.verdict() == Verdict.FAIL)
                .map(each -> each.figure().isPresent() && !each.isOpen()
                        ? Conclusion.bad(Code.COIL_WRONG, CheckFigures.ohms(each))
                        : Conclusion.bad(Code.COIL_OPEN))
                .forEach(faults::add);
        faults.addAll(Contacts.faults(answers.all().stream()
                .filter(each -> !each.is(CheckQuestion.CheckMeasurement.COIL))
                .toList()));
        return faults.isEmpty() && answers.isGood() ? List.of(Conclusion.good(Code.RELAY_GOOD)) : faults;
    }
}
