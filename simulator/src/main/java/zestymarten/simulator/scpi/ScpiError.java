package zestymarten.simulator.scpi;

/**
 * What an instrument puts into its queue of errors. Source: SCPI-99, volume 2, section 21.8.
 *
 * @param code of the standard, below 0; above 0 for an instrument's own
 */
public record ScpiError(int code, String text) {
    public static final ScpiError NONE = new ScpiError(0, "No error");
    public static final ScpiError SYNTAX = new ScpiError(-102, "Syntax error");
    public static final ScpiError NOT_ALLOWED = new ScpiError(-108, "Parameter not allowed");
    public static final ScpiError MISSING = new ScpiError(-109, "Missing parameter");
    public static final ScpiError UNDEFINED = new ScpiError(-113, "Undefined header");
    public static final ScpiError CONFLICT = new ScpiError(-221, "Settings conflict");
    public static final ScpiError OUT_OF_RANGE = new ScpiError(-222, "Data out of range");
    public static final ScpiError ILLEGAL = new ScpiError(-224, "Illegal parameter value");
    public static final ScpiError TOO_LONG = new ScpiError(-363, "Input buffer overrun");
    public static final ScpiError OVERFLOW = new ScpiError(-350, "Queue overflow");

    /** As {@code SYSTem:ERRor?} answers it. */
    public String answer() {
        return code + ",\"" + text + "\"";
    }

    /** A command that could not be carried out; what it was about goes into the queue of errors. */
    public static final class Refused extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final transient ScpiError error;

        public Refused(ScpiError error) {
            super(error.answer());
            this.error = error;
        }

        public ScpiError error() {
            return error;
        }
    }
}
