package zestymarten.core.quantity;

/** The kinds of an understood text, as written in the open format. */
final class ReadingKinds implements MeterReading.ReadingCases<String> {
    static final ReadingKinds NAMES = new ReadingKinds();

    private ReadingKinds() {}

    @Override
    public String value(MeterReading.Value value) {
        return "value";
    }

    @Override
    public String overRange() {
        return "over_range";
    }

    @Override
    public String above(MeterReading.Above above) {
        return "above";
    }

    @Override
    public String below(MeterReading.Below below) {
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
    public String unstable(MeterReading.Unstable unstable) {
        return "unstable";
    }

    @Override
    public String ambiguous(MeterReading.Ambiguous ambiguous) {
        return "ambiguous";
    }

    @Override
    public String refused(MeterReading.Refused refused) {
        return "refused";
    }
}
