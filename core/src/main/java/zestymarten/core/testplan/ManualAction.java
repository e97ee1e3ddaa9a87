package zestymarten.core.testplan;

import java.util.Arrays;

/** What a technician does or looks at in a run besides putting both probes on the wiring. */
public enum ManualAction {
    /** How a function of the machine behaves; its subject is the function. */
    SYMPTOM("COMPLAINT", Stage.SYMPTOMS, AnswerKind.WORDS),
    /** What the test is for from here on; its words are the code of a {@link Purpose}. */
    PURPOSE(Stage.SYMPTOMS, AnswerKind.WORDS),
    /** Power off, locked off, charge bled off. */
    LOCKED_OFF(Stage.PREPARE, AnswerKind.WORDS),
    /** The voltage tester on a source that is known to be live, before. */
    LIVE_BEFORE(Stage.PREPARE, AnswerKind.VOLTS),
    /** The voltage tester on the wiring itself. */
    DEAD(Stage.PREPARE, AnswerKind.VOLTS),
    /** The voltage tester on the live source once more. */
    LIVE_AFTER(Stage.PREPARE, AnswerKind.VOLTS),
    /** A connector pulled apart, to be put back; its subject is the connector. */
    UNPLUGGED(Stage.PREPARE, AnswerKind.WORDS),
    /** Something looked at by eye; its subject is a connector, a joint or a zone. */
    INSPECT("LOOKED", Stage.INSPECTION, AnswerKind.WORDS),
    /** How warm it is; its subject is a place, or a sensor. */
    TEMPERATURE(Stage.METER, AnswerKind.CELSIUS),
    /** Other clips, pins or an extension, which need a zero of their own; its subject names the set. */
    ACCESSORIES(Stage.METER, AnswerKind.WORDS),
    /** The null drifts: from here on it is zeroed before each tight reading. */
    ZERO_DRIFTS("WANDERS", Stage.METER, AnswerKind.WORDS),
    /** What takes time or may do harm to reach, reached with consent; its subject is the connector. */
    ACCESS(Stage.CONTINUITY, AnswerKind.WORDS),
    /** A trip to the other end; its subject says which way. */
    GO_TO_FAR_END("WALKED", Stage.CONTINUITY, AnswerKind.WORDS),
    /** All far ends linked together. */
    LINK_FAR_ENDS("TIED", Stage.CONTINUITY, AnswerKind.WORDS),
    /** A trip to the other end before the far ends are unlinked, and back. */
    GO_TO_FAR_END_AGAIN("WALKED_BACK", Stage.SHORTS, AnswerKind.WORDS),
    /** The far ends unlinked and apart again. */
    UNLINK_FAR_ENDS("FREED", Stage.SHORTS, AnswerKind.WORDS),
    /** From here on shorts are looked for by halves, because so much has to be read again. */
    HALVES(Stage.SHORTS, AnswerKind.WORDS),
    /** Resistance between two spots of the frame, to prove the contact. */
    FRAME_PROOF(Stage.FRAME, AnswerKind.OHMS),
    /** A position of the machine's moving part in which wires are to be read; its subject is the position. */
    POSITION_NAMED(Stage.WIGGLE, AnswerKind.WORDS),
    /** The machine's moving part brought to a position that was named; its subject is the position, empty for back again. */
    MOVED_TO(Stage.WIGGLE, AnswerKind.WORDS),
    /** Switches and relays set; its subject is the state. */
    POSITION(Stage.PARTS, AnswerKind.WORDS),
    /** A sensor warmed, and how warm it is then; its subject is the sensor. */
    WARMED(Stage.WARM, AnswerKind.CELSIUS),
    /** Barriers up and a second person informed, electronics out, before a test voltage. */
    BARRIERS(Stage.INSULATION, AnswerKind.WORDS),
    /** Volts left after the test voltage was on. */
    DISCHARGED(Stage.INSULATION, AnswerKind.VOLTS),
    /** Resistance between two electrodes in the water, to prove that they reach it. */
    WATER(Stage.WET, AnswerKind.OHMS),
    /** The far ends free, dry and apart, out of the water. */
    DRY_ENDS(Stage.WET, AnswerKind.WORDS),
    /** A core lifted out of the water until it reads well again; its subject is where its test began. */
    LIFTED(Stage.WET, AnswerKind.WORDS),
    /** Volts left after the test voltage was on in the water. */
    DISCHARGED_WET(Stage.WET, AnswerKind.VOLTS),
    /** Volts left after the withstand voltage was on. */
    DISCHARGED_LAST(Stage.WITHSTAND, AnswerKind.VOLTS),
    /** Resistance of what is left of a broken wire on one side of the break; its subject names wire and end. */
    REMAINING(Stage.REPAIR, AnswerKind.OHMS),
    /** A repair; its subject names the conductors or parts. */
    REPAIR("MENDED", Stage.REPAIR, AnswerKind.REPAIR),
    /** Another part is to be tried in the place of one; its subject is the part, its words the minutes that it takes. */
    SUBSTITUTE(Stage.REPAIR, AnswerKind.WORDS),
    /** A part unplugged and plugged in again, nothing else, and what the machine does then; its subject is the part. */
    REPLUGGED(Stage.REPAIR, AnswerKind.WORDS),
    /** A known good part in its place, and what the machine does then; its subject is the part. */
    SUBSTITUTED(Stage.REPAIR, AnswerKind.WORDS),
    /** Controllers that keep old faults in memory reset. */
    RESET(Stage.REPAIR, AnswerKind.WORDS),
    /** Whether a function works after a repair; its subject is the function. */
    FUNCTION(Stage.REPAIR, AnswerKind.WORDS),
    /** Something opened, linked or taken off that has to be put back; its subject says what. */
    OPENED(Stage.RESTORE, AnswerKind.WORDS),
    /** Put back; its subject is that of what was opened or unplugged. */
    RESTORE("PUT_BACK", Stage.RESTORE, AnswerKind.WORDS);

    /** What is entered for a manual step. */
    public enum AnswerKind {
        /** Nothing if it is done or as it should be, else words. */
        WORDS,
        VOLTS,
        OHMS,
        /** A temperature; nothing if it is that of the run. */
        CELSIUS,
        /** How it was repaired, and why it broke. */
        REPAIR
    }

    private final String code;
    private final Stage stage;
    private final AnswerKind answer;

    ManualAction(Stage stage, AnswerKind answer) {
        this.code = name();
        this.stage = stage;
        this.answer = answer;
    }

    ManualAction(String code, Stage stage, AnswerKind answer) {
        this.code = code;
        this.stage = stage;
        this.answer = answer;
    }

    /** By which it is stored, sent and sealed: the word it was first recorded by. */
    public String code() {
        return code;
    }

    /**
     * The action of a code.
     *
     * @throws IllegalArgumentException if there is none
     */
    public static ManualAction of(String code) {
        return Arrays.stream(values())
                .filter(each -> each.code.equals(code))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No action: " + code));
    }

    public Stage stage() {
        return stage;
    }

    public AnswerKind answer() {
        return answer;
    }

    /** Whether words are entered, or nothing, rather than a reading. */
    public boolean isByWords() {
        return answer == AnswerKind.WORDS || answer == AnswerKind.CELSIUS;
    }

    /** Whether it waits until what the test voltage has charged is discharged. */
    public boolean isDischarge() {
        return this == DISCHARGED || this == DISCHARGED_WET || this == DISCHARGED_LAST;
    }
}
