package zestymarten.web.people;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;

/** Where people are signed in: sessions are kept in the database, so that every node knows them and a restart ends none. */
@Service
class SignedIn {
    /** Session attribute: the address and the browser from which somebody signed in. */
    static final String FROM = "from";

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    SignedIn(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /** One place where a person is signed in. */
    record Place(String id, String from, Instant since, Instant lastSeen) {}

    /** The places where a person is signed in, the one used last first. */
    List<Place> of(String name) {
        return sessions.findByPrincipalName(name).values().stream()
                .map(each -> new Place(
                        each.getId(),
                        each.getAttributeOrDefault(FROM, ""),
                        each.getCreationTime(),
                        each.getLastAccessedTime()))
                .sorted(Comparator.comparing(Place::lastSeen).reversed())
                .toList();
    }

    void endAll(String name) {
        endOthers(name, "");
    }

    /** Ends all but one. */
    void endOthers(String name, String kept) {
        for (Map.Entry<String, ? extends Session> each :
                sessions.findByPrincipalName(name).entrySet()) {
            if (!each.getKey().equals(kept)) {
                sessions.deleteById(each.getKey());
            }
        }
    }
}
