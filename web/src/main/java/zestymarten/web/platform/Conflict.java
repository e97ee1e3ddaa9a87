package zestymarten.web.platform;

import zestymarten.core.quantity.Message;

/** Somebody else was faster. Nothing was changed. Shown as 409. */
public final class Conflict extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final transient Message what;

    public Conflict(Message what) {
        super(Words.say(what));
        this.what = what;
    }

    Message what() {
        return what;
    }
}
