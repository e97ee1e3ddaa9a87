package zestymarten.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.limit.Limit;

/**
 * A contact of a switch in each of its positions.
 *
 * @param positions 1 to 12 names, in order
 * @param closedIn those in which it is closed
 */
public record Contact(List<String> positions, Set<String> closedIn) implements Item {
    private static final int MOST = 12;

    public Contact {
        positions = positions.stream().distinct().toList();
        closedIn = Set.copyOf(closedIn);
        if (positions.isEmpty() || positions.size() > MOST) {
            throw new IllegalArgumentException(
                    "A switch has 1 to " + MOST + " positions, not " + positions.size() + ".");
        }
        if (!positions.containsAll(closedIn)) {
            throw new IllegalArgumentException(
                    "The contact is closed in " + closedIn + ", but the positions are " + positions + ".");
        }
    }

    @Override
    public List<Question> questions() {
        List<Question> questions = new ArrayList<>();
        for (String position : positions) {
            questions.add(new Question(
                    Question.Ask.CONTACT,
                    closedIn.contains(position)
                            ? Figures.atMost(Figures.CONTACT_OHM, Limit.Rule.PART)
                            : new Expected.NoContinuity(),
                    position));
        }
        return questions;
    }

    @Override
    public List<Conclusion> conclusions(Answers answers) {
        List<Conclusion> faults = Contacts.faults(answers.all());
        return faults.isEmpty() && answers.isGood() ? List.of(Conclusion.good(Code.CONTACT_GOOD)) : faults;
    }
}
