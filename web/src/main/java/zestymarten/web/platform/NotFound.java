package zestymarten.web.platform;

import zestymarten.core.quantity.Message;

/** What was asked for is not there. Shown as 404. */
public final class NotFound extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final transient Message what;

    public NotFound(Message what) {
        super(Words.say(what));
        this.what = what;
    }

    Message what() {
        return what;
    }
}
