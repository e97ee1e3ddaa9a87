package zestymarten.web.record;

import zestymarten.core.quantity.Understood;

/** What a reading was if it was not a plain figure, as written in the readings file. */
final class Qualifiers implements Understood.Cases<String> {
    static final Qualifiers NAMES = new Qualifiers();

    private Qualifiers() {}

    @Override
    public String value(Understood.Value value) {
        return "";
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
