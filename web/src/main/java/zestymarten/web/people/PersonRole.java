package zestymarten.web.people;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a person may do. Each role may do all that those before it may. */
public enum PersonRole {
    /** Looks, and uses the tools that save nothing. */
    VIEWER,
    /** Tests units, describes assemblies, keeps meters. */
    TECHNICIAN,
    /** Signs for others and sets limits. */
    LEAD,
    /** Looks after people and this installation. */
    ADMIN;

    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The names of all roles that this one includes, itself last. */
    String[] included() {
        return Stream.of(values())
                .filter(each -> each.compareTo(this) <= 0)
                .map(PersonRole::name)
                .toArray(String[]::new);
    }

    static Optional<PersonRole> of(String code) {
        return Stream.of(values()).filter(each -> each.code().equals(code)).findFirst();
    }

    static String codes() {
        return String.join(
                ", ", List.of(values()).stream().map(PersonRole::code).toList());
    }
}
