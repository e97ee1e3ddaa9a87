package zestymarten.core.assembly;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What sort of thing an assembly is. */
public enum AssemblyKind {
    HARNESS,
    CABLE,
    LEAD,
    CIRCUIT,
    DEVICE;

    /** As written in files and shown. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<AssemblyKind> of(String code) {
        return Arrays.stream(values()).filter(each -> each.code().equals(code)).findFirst();
    }
}
