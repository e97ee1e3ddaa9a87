package zestymarten.web.platform;

/** Somebody else was faster. Nothing was changed. Shown as 409. */
public final class Conflict extends RuntimeException {
    private static final long serialVersionUID = 1;

    public Conflict(String what) {
        super(what);
    }
}
