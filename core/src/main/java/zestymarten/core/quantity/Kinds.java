package zestymarten.core.quantity;

/** The kinds of an understood text, as written in the open format. */
final class Kinds implements Understood.Cases<String> {
    static final Kinds NAMES = new Kinds();

    private Kinds() {}

    @Override
    public String value(Understood.Value value) {
        return "value";
    }

    @Override
    public String overRange() {
        return "over_range";
    }

    @Override
    public String above(Understood.Above above) {
        return "above";
    }

    @Override
    public String below(Understood.Below below) {
        return "below";
    }

    @Override
    public String tone() {
        return "tone";
    }

    @Override
    public String silent() {
        return "silent";
    }

    @Override
    public String unstable(Understood.Unstable unstable) {
        return "unstable";
    }

    @Override
    public String ambiguous(Understood.Ambiguous ambiguous) {
        return "ambiguous";
    }

    @Override
    public String refused(Understood.Refused refused) {
        return "refused";
    }
}
