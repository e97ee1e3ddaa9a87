package zestymarten.web.testrun;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.MeterReading.Unit;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.Entry;

/** Between entries of the core and rows of the table. */
final class EntryRows {
    private EntryRows() {}

    static Entry entry(EntryRow row) {
        return new Entry(
                row.id(),
                row.sequence(),
                step(row),
                row.attempt(),
                content(row),
                row.takenBack(),
                row.enteredBy(),
                row.enteredAt());
    }

    private static Entry.Content content(EntryRow row) {
        if (row.skipReason() != null) {
            return new Entry.Content.Skip(row.skipReason());
        }
        if (row.words() != null) {
            return new Entry.Content.Done(row.words());
        }
        if (row.repairWay() != null) {
            return new Entry.Content.Repair(
                    Entry.Way.valueOf(row.repairWay()),
                    plain(row.repairCause()),
                    plain(row.repairPrevention()),
                    plain(row.repairSpare()),
                    plain(row.repairColour()));
        }
        return new Entry.Content.Reading(Objects.requireNonNull(row.asTyped()), meaning(row), plain(row.happenedAt()));
    }

    private static String plain(@Nullable String text) {
        return text == null ? "" : text;
    }

    private static TestStep step(EntryRow row) {
        return new StepForm(
                        row.stage(),
                        plain(row.question()),
                        plain(row.subject()),
                        plain(row.black()),
                        plain(row.red()),
                        plain(row.state()),
                        plain(row.ties()))
                .step();
    }

    private static MeterReading meaning(EntryRow row) {
        double value = row.value() == null ? 0 : row.value();
        Unit unit = row.unit() == null ? Unit.OHM : Unit.valueOf(row.unit());
        return switch (Objects.requireNonNull(row.meaning())) {
            case "value" -> new MeterReading.Value(value, unit);
            case "over_range" -> new MeterReading.OverRange();
            case "above" -> new MeterReading.Above(value, unit);
            case "below" -> new MeterReading.Below(value, unit);
            case "tone" -> new MeterReading.Tone();
            case "silent" -> new MeterReading.Silent();
            default ->
                row.value() == null
                        ? new MeterReading.Unstable(List.of())
                        : new MeterReading.Unstable(List.of(level(row.value()), level(row.until())));
        };
    }

    private static MeterReading level(@Nullable Double ohm) {
        return ohm == null ? new MeterReading.OverRange() : MeterReading.Value.ohms(ohm);
    }

    static EntryRow row(Entry entry) {
        Entry.Content content = entry.content();
        Optional<Entry.Content.Reading> reading = only(Entry.Content.Reading.class, content);
        Optional<Entry.Content.Repair> repair = only(Entry.Content.Repair.class, content);
        StoredStep stored =
                reading.map(each -> each.meaning().fold(StoredStep.CASES)).orElse(StoredStep.NOTHING);
        StepForm step = StepForm.of(entry.step());
        return new EntryRow(
                entry.id(),
                entry.sequence(),
                step.stage(),
                kept(step.question()),
                kept(step.black()),
                kept(step.red()),
                kept(step.subject()),
                kept(step.state()),
                kept(step.ties()),
                entry.attempt(),
                reading.map(Entry.Content.Reading::asTyped).orElse(null),
                stored.meaning(),
                stored.value(),
                stored.until(),
                stored.unit(),
                reading.map(each -> kept(each.where())).orElse(null),
                only(Entry.Content.Skip.class, content)
                        .map(Entry.Content.Skip::reason)
                        .orElse(null),
                only(Entry.Content.Done.class, content)
                        .map(Entry.Content.Done::words)
                        .orElse(null),
                repair.map(each -> each.way().name()).orElse(null),
                repair.map(Entry.Content.Repair::cause).orElse(null),
                repair.map(Entry.Content.Repair::prevention).orElse(null),
                repair.map(each -> kept(each.spare())).orElse(null),
                repair.map(each -> kept(each.colour())).orElse(null),
                entry.by(),
                entry.at(),
                entry.takenBack());
    }

    private static <T extends Entry.Content> Optional<T> only(Class<T> kind, Entry.Content content) {
        return kind.isInstance(content) ? Optional.of(kind.cast(content)) : Optional.empty();
    }

    /** The table has nothing where a text is empty. */
    private static @Nullable String kept(String text) {
        return text.isEmpty() ? null : text;
    }

    /** The columns in which a meaning is kept. */
    private record StoredStep(
            @Nullable String meaning,
            @Nullable Double value,
            @Nullable Double until,
            @Nullable String unit) {
        static final StoredStep NOTHING = new StoredStep(null, null, null, null);

        static final MeterReading.ReadingCases<StoredStep> CASES = new MeterReading.ReadingCases<>() {
            @Override
            public StoredStep value(MeterReading.Value value) {
                return new StoredStep("value", value.value(), null, value.unit().name());
            }

            @Override
            public StoredStep overRange() {
                return new StoredStep("over_range", null, null, null);
            }

            @Override
            public StoredStep above(MeterReading.Above above) {
                return new StoredStep("above", above.value(), null, above.unit().name());
            }

            @Override
            public StoredStep below(MeterReading.Below below) {
                return new StoredStep("below", below.value(), null, below.unit().name());
            }

            @Override
            public StoredStep tone() {
                return new StoredStep("tone", null, null, null);
            }

            @Override
            public StoredStep silent() {
                return new StoredStep("silent", null, null, null);
            }

            @Override
            public StoredStep unstable(MeterReading.Unstable unstable) {
                List<Double> figures = unstable.between().stream()
                        .filter(MeterReading.Value.class::isInstance)
                        .map(each -> ((MeterReading.Value) each).value())
                        .sorted()
                        .toList();
                Double low = figures.isEmpty() ? null : figures.get(0);
                return new StoredStep("unstable", low, figures.size() < 2 ? null : figures.get(1), null);
            }

            @Override
            public StoredStep ambiguous(MeterReading.Ambiguous ambiguous) {
                throw new IllegalStateException("An open question is not saved: " + ambiguous.question());
            }

            @Override
            public StoredStep refused(MeterReading.Refused refused) {
                throw new IllegalStateException("A refused reading is not saved: " + refused.message());
            }
        };
    }
}
