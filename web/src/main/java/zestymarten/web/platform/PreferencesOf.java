package zestymarten.web.platform;

/** Who knows what a person chose. */
public interface PreferencesOf {
    /** What somebody chose; the usual preferences where nothing was, or while it cannot be found out. */
    Preferences of(String person);
}
