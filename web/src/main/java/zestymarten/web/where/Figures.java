package zestymarten.web.where;

import java.util.Optional;
import zestymarten.core.quantity.ReadingLanguage;
import zestymarten.core.quantity.Understood;

/** Figures as they are typed on this page. */
final class Figures {
    private Figures() {}

    static Understood understood(String typed) {
        return new ReadingLanguage(false).understand(typed);
    }

    static Optional<Double> figure(String typed) {
        return understood(typed) instanceof Understood.Value value ? Optional.of(value.value()) : Optional.empty();
    }
}
