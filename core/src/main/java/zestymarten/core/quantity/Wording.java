package zestymarten.core.quantity;

import java.util.stream.Collectors;

/** Says an understood reading back in the technician's words. */
final class Wording implements MeterReading.ReadingCases<String> {
    static final Wording SPOKEN = new Wording();

    private Wording() {}

    @Override
    public String value(MeterReading.Value value) {
        return EngineeringFormat.text(value.value(), value.unit().symbol());
    }

    @Override
    public String overRange() {
        return "over-range";
    }

    @Override
    public String above(MeterReading.Above above) {
        return "more than " + EngineeringFormat.text(above.value(), above.unit().symbol());
    }

    @Override
    public String below(MeterReading.Below below) {
        return "less than " + EngineeringFormat.text(below.value(), below.unit().symbol());
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
    public String unstable(MeterReading.Unstable unstable) {
        return unstable.between().isEmpty()
                ? "jumps"
                : "jumps between "
                        + unstable.between().stream().map(MeterReading::text).collect(Collectors.joining(" and "));
    }

    @Override
    public String ambiguous(MeterReading.Ambiguous ambiguous) {
        return ambiguous.candidates().stream().map(MeterReading::text).collect(Collectors.joining(" or "));
    }

    @Override
    public String refused(MeterReading.Refused refused) {
        return refused.message();
    }
}
