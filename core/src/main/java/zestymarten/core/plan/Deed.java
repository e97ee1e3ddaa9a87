package zestymarten.core.plan;

/** What a technician does or looks at in a run besides putting both probes on the wiring. */
public enum Deed {
    /** How a function of the machine behaves; its subject is the function. */
    COMPLAINT(Stage.COMPLAINT, Answer.WORDS),
    /** Power off, locked off, charge bled off. */
    LOCKED_OFF(Stage.PREPARE, Answer.WORDS),
    /** The voltage tester on a source that is known to be live, before. */
    LIVE_BEFORE(Stage.PREPARE, Answer.VOLTS),
    /** The voltage tester on the wiring itself. */
    DEAD(Stage.PREPARE, Answer.VOLTS),
    /** The voltage tester on the live source once more. */
    LIVE_AFTER(Stage.PREPARE, Answer.VOLTS),
    /** A connector pulled apart, to be put back; its subject is the connector. */
    UNPLUGGED(Stage.PREPARE, Answer.WORDS),
    /** Something looked at by eye; its subject is a connector, a joint or a zone. */
    LOOKED(Stage.LOOK, Answer.WORDS),
    /** A walk to the other end; its subject numbers it and names the place. */
    WALKED(Stage.ENDS, Answer.WORDS),
    /** All far ends tied together. */
    TIED(Stage.ENDS, Answer.WORDS),
    /** A walk to the other end before the far ends are freed, and back. */
    WALKED_BACK(Stage.SHORTS, Answer.WORDS),
    /** The far ends free and apart again. */
    FREED(Stage.SHORTS, Answer.WORDS),
    /** Ohms between two spots of the frame, to prove the contact. */
    FRAME_PROOF(Stage.FRAME, Answer.OHMS),
    /** Switches and relays set; its subject is the state. */
    POSITION(Stage.PARTS, Answer.WORDS),
    /** Barriers up and a second person told, electronics out, before a test voltage. */
    BARRIERS(Stage.INSULATION, Answer.WORDS),
    /** Volts left after the test voltage was on. */
    DISCHARGED(Stage.INSULATION, Answer.VOLTS),
    /** A repair; its subject names the conductors or parts. */
    MENDED(Stage.REPAIR, Answer.REPAIR),
    /** Controllers that keep old faults in memory reset. */
    RESET(Stage.REPAIR, Answer.WORDS),
    /** Whether a function works after a repair; its subject is the function. */
    FUNCTION(Stage.REPAIR, Answer.WORDS),
    /** Something opened, tied or taken off that has to be put back; its subject says what. */
    OPENED(Stage.CLOSE, Answer.WORDS),
    /** Put back; its subject is that of what was opened or unplugged. */
    PUT_BACK(Stage.CLOSE, Answer.WORDS);

    /** What is entered for a deed. */
    public enum Answer {
        /** Nothing if it is done or as it should be, else words. */
        WORDS,
        VOLTS,
        OHMS,
        /** How it was mended, and why it broke. */
        REPAIR
    }

    private final Stage stage;
    private final Answer answer;

    Deed(Stage stage, Answer answer) {
        this.stage = stage;
        this.answer = answer;
    }

    public Stage stage() {
        return stage;
    }

    public Answer answer() {
        return answer;
    }
}
