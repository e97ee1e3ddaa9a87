package zestymarten.core.plan;

/** What a technician does or looks at in a run besides putting both probes on the wiring. */
public enum Deed {
    /** How a function of the machine behaves; its subject is the function. */
    COMPLAINT(Stage.COMPLAINT, Answer.WORDS),
    /** What the test is for from here on; its words are the code of a {@link Purpose}. */
    PURPOSE(Stage.COMPLAINT, Answer.WORDS),
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
    /** How warm it is; its subject is a place, or a sensor. */
    TEMPERATURE(Stage.METER, Answer.CELSIUS),
    /** Other clips, pins or an extension, which need a zero of their own; its subject names the set. */
    ACCESSORIES(Stage.METER, Answer.WORDS),
    /** The meter wanders: from here on it is zeroed before each tight reading. */
    WANDERS(Stage.METER, Answer.WORDS),
    /** What takes time or may do harm to reach, reached with consent; its subject is the connector. */
    ACCESS(Stage.ENDS, Answer.WORDS),
    /** A walk to the other end; its subject numbers it and names the place. */
    WALKED(Stage.ENDS, Answer.WORDS),
    /** All far ends tied together. */
    TIED(Stage.ENDS, Answer.WORDS),
    /** A walk to the other end before the far ends are freed, and back. */
    WALKED_BACK(Stage.SHORTS, Answer.WORDS),
    /** The far ends free and apart again. */
    FREED(Stage.SHORTS, Answer.WORDS),
    /** From here on shorts are looked for by halves, because so much has to be read again. */
    HALVES(Stage.SHORTS, Answer.WORDS),
    /** Ohms between two spots of the frame, to prove the contact. */
    FRAME_PROOF(Stage.FRAME, Answer.OHMS),
    /** Switches and relays set; its subject is the state. */
    POSITION(Stage.PARTS, Answer.WORDS),
    /** A sensor warmed, and how warm it is then; its subject is the sensor. */
    WARMED(Stage.WARM, Answer.CELSIUS),
    /** Barriers up and a second person told, electronics out, before a test voltage. */
    BARRIERS(Stage.INSULATION, Answer.WORDS),
    /** Volts left after the test voltage was on. */
    DISCHARGED(Stage.INSULATION, Answer.VOLTS),
    /** Ohms between two electrodes in the water, to prove that they reach it. */
    WATER(Stage.WET, Answer.OHMS),
    /** The far ends free, dry and apart, out of the water. */
    DRY_ENDS(Stage.WET, Answer.WORDS),
    /** A core lifted out of the water until it reads well again; its subject is where its test began. */
    LIFTED(Stage.WET, Answer.WORDS),
    /** Volts left after the test voltage was on in the water. */
    DISCHARGED_WET(Stage.WET, Answer.VOLTS),
    /** Volts left after the withstand voltage was on. */
    DISCHARGED_LAST(Stage.WITHSTAND, Answer.VOLTS),
    /** Ohms of what is left of a broken wire on one side of the break; its subject names wire and end. */
    REMAINING(Stage.REPAIR, Answer.OHMS),
    /** A repair; its subject names the conductors or parts. */
    MENDED(Stage.REPAIR, Answer.REPAIR),
    /** Another part is to be tried in the place of one; its subject is the part, its words the minutes that it takes. */
    SUBSTITUTE(Stage.REPAIR, Answer.WORDS),
    /** A part unplugged and plugged in again, nothing else, and what the machine does then; its subject is the part. */
    REPLUGGED(Stage.REPAIR, Answer.WORDS),
    /** A known good part in its place, and what the machine does then; its subject is the part. */
    SUBSTITUTED(Stage.REPAIR, Answer.WORDS),
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
        /** A temperature; nothing if it is that of the run. */
        CELSIUS,
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

    /** Whether words are entered, or nothing, rather than a reading. */
    public boolean isByWords() {
        return answer == Answer.WORDS || answer == Answer.CELSIUS;
    }

    /** Whether it waits until what the test voltage has charged is discharged. */
    public boolean isDischarge() {
        return this == DISCHARGED || this == DISCHARGED_WET || this == DISCHARGED_LAST;
    }
}
