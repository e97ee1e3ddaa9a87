package zestymarten.core.quantity;

/** Says an understood reading back. */
final class Wording implements MeterReading.ReadingCases<Message> {
    static final Wording SPOKEN = new Wording();

    private Wording() {}

    @Override
    public Message value(MeterReading.Value value) {
        return Message.of("reading.value", figure(value.value(), value.unit()));
    }

    @Override
    public Message overRange() {
        return Message.of("reading.over_range");
    }

    @Override
    public Message above(MeterReading.Above above) {
        return Message.of("reading.above", figure(above.value(), above.unit()));
    }

    @Override
    public Message below(MeterReading.Below below) {
        return Message.of("reading.below", figure(below.value(), below.unit()));
    }

    @Override
    public Message tone() {
        return Message.of("reading.tone");
    }

    @Override
    public Message silent() {
        return Message.of("reading.silent");
    }

    @Override
    public Message unstable(MeterReading.Unstable unstable) {
        return unstable.between().isEmpty()
                ? Message.of("reading.jumps")
                : Message.of("reading.jumps_between", unstable.between());
    }

    @Override
    public Message ambiguous(MeterReading.Ambiguous ambiguous) {
        return Message.of("reading.ambiguous", Message.list(MessageArgument.Listing.Link.OR, ambiguous.candidates()));
    }

    @Override
    public Message refused(MeterReading.Refused refused) {
        return refused.message();
    }

    private static MessageArgument figure(double value, MeterReading.Unit unit) {
        return Message.figure(value, unit.symbol());
    }
}
