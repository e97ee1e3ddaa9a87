package zestymarten.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.limit.Limit;
import zestymarten.core.quantity.NotAccepted;

/**
 * A contact of a switch in each of its positions.
 *
 * @param positions 1 to 12 names, in order
 * @param closedIn those in which it is closed
 */
public record SwitchContact(List<String> positions, Set<String> closedIn) implements CheckedItem {
    private static final int MAX = 12;

    public SwitchContact {
        positions = positions.stream().distinct().toList();
        closedIn = Set.copyOf(closedIn);
        if (positions.isEmpty() || positions.size() > MAX) {
            throw new NotAccepted("switch_contact.switch_positions", MAX, positions.size());
        }
        if (!positions.containsAll(closedIn)) {
            throw new NotAccepted("switch_contact.contact_closed_in", closedIn, positions);
        }
    }

    @Override
    public List<CheckQuestion> questions() {
        List<CheckQuestion> questions = new ArrayList<>();
        for (String position : positions) {
            questions.add(new CheckQuestion(
                    CheckQuestion.CheckMeasurement.CONTACT,
                    closedIn.contains(position)
                            ? CheckFigures.atMost(CheckFigures.CONTACT_OHM, Limit.Rule.PART)
                            : new GoodReading.NoContinuity(),
                    position));
        }
        return questions;
    }

    @Override
    public List<Conclusion> conclusions(CheckReadings answers) {
        List<Conclusion> faults = Contacts.faults(answers.all());
        return faults.isEmpty() && answers.isGood() ? List.of(Conclusion.good(Code.CONTACT_GOOD)) : faults;
    }
}
