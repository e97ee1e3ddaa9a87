package zestymarten.core.check;

import java.util.ArrayList;
import java.util.List;
import zestymarten.core.check.Conclusion.Code;
import zestymarten.core.judgement.Judgement.Contact;
import zestymarten.core.judgement.Judgement.Verdict;

/** What is wrong with contacts that should be closed or open in a position. */
final class Contacts {
    private Contacts() {}

    static List<Conclusion> faults(List<CheckReading> answers) {
        List<Conclusion> faults = new ArrayList<>();
        for (CheckReading each : answers) {
            if (each.verdict() != Verdict.FAIL) {
                continue;
            }
            if (each.contact() == Contact.UNSTABLE) {
                faults.add(Conclusion.bad(Code.CONTACT_JUMPS, each));
            } else if (each.isJoinedAtFault()) {
                faults.add(Conclusion.bad(Code.CONTACT_STAYS_CLOSED, each, CheckFigures.ohms(each)));
            } else if (each.isOpen() || each.contact() == Contact.LEAK) {
                faults.add(Conclusion.bad(Code.CONTACT_STAYS_OPEN, each));
            } else {
                faults.add(Conclusion.bad(Code.CONTACT_HIGH, each, CheckFigures.ohms(each), CheckFigures.limit(each)));
            }
        }
        return faults;
    }
}
