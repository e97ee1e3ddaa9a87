package zestymarten.core.quantity;

import java.util.stream.Collectors;

/** Says an understood reading back in the technician's words. */
final class Wording implements Understood.Cases<String> {
    static final Wording SPOKEN = new Wording();

    private Wording() {}

    @Override
    public String value(Understood.Value value) {
        return Engineering.text(value.value(), value.unit().symbol());
    }

    @Override
    public String overRange() {
        return "over-range";
    }

    @Override
    public String above(Understood.Above above) {
        return "more than " + Engineering.text(above.value(), above.unit().symbol());
    }

    @Override
    public String below(Understood.Below below) {
        return "less than " + Engineering.text(below.value(), below.unit().symbol());
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
        return unstable.between().isEmpty()
                ? "jumps"
                : "jumps between "
                        + unstable.between().stream().map(Understood::text).collect(Collectors.joining(" and "));
    }

    @Override
    public String ambiguous(Understood.Ambiguous ambiguous) {
        return ambiguous.candidates().stream().map(Understood::text).collect(Collectors.joining(" or "));
    }

    @Override
    public String refused(Understood.Refused refused) {
        return refused.message();
    }
}
