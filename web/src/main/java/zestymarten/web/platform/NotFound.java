package zestymarten.web.platform;

/** What was asked for is not there. Shown as 404. */
public final class NotFound extends RuntimeException {
    private static final long serialVersionUID = 1;

    public NotFound(String what) {
        super(what);
    }
}
