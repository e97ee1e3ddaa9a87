package zestymarten.web.run;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.job.Entry;
import zestymarten.core.plan.Stage;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Understood;
import zestymarten.core.quantity.Understood.Unit;

/** Between entries of the core and rows of the table. */
final class EntryRows {
    private EntryRows() {}

    static Entry entry(EntryRow row) {
        return new Entry(
                row.id(),
                row.sequence(),
                step(row),
                row.touch(),
                row.skipReason() != null
                        ? new Entry.Content.Skip(row.skipReason())
                        : new Entry.Content.Reading(Objects.requireNonNull(row.asTyped()), meaning(row)),
                row.takenBack(),
                row.enteredBy(),
                row.enteredAt());
    }

    private static Step step(EntryRow row) {
        return row.question() != null
                ? new Step.Probes(Step.Probes.Question.valueOf(row.question()))
                : new Step.Touch(
                        Stage.valueOf(row.stage()),
                        Terminal.of(Objects.requireNonNull(row.black())),
                        Terminal.of(Objects.requireNonNull(row.red())));
    }

    private static Understood meaning(EntryRow row) {
        double value = row.value() == null ? 0 : row.value();
        return switch (Objects.requireNonNull(row.meaning())) {
            case "value" -> Understood.Value.ohms(value);
            case "over_range" -> new Understood.OverRange();
            case "above" -> new Understood.Above(value, Unit.OHM);
            case "below" -> new Understood.Below(value, Unit.OHM);
            case "tone" -> new Understood.Tone();
            case "silent" -> new Understood.Silent();
            default ->
                row.value() == null
                        ? new Understood.Unstable(List.of())
                        : new Understood.Unstable(List.of(level(row.value()), level(row.until())));
        };
    }

    private static Understood level(@Nullable Double ohm) {
        return ohm == null ? new Understood.OverRange() : Understood.Value.ohms(ohm);
    }

    static EntryRow row(Entry entry) {
        Stored stored = entry.content() instanceof Entry.Content.Reading reading
                ? reading.meaning().fold(Stored.CASES)
                : new Stored(null, null, null);
        Step.Touch touch = entry.step() instanceof Step.Touch one ? one : null;
        return new EntryRow(
                entry.id(),
                entry.sequence(),
                entry.step().stage().name(),
                entry.step() instanceof Step.Probes probes ? probes.question().name() : null,
                touch == null ? null : touch.black().name(),
                touch == null ? null : touch.red().name(),
                entry.touch(),
                entry.content() instanceof Entry.Content.Reading reading ? reading.asTyped() : null,
                stored.meaning(),
                stored.value(),
                stored.until(),
                entry.content() instanceof Entry.Content.Skip skip ? skip.reason() : null,
                entry.by(),
                entry.at(),
                entry.takenBack());
    }

    /** The columns in which a meaning is kept. */
    private record Stored(
            @Nullable String meaning,
            @Nullable Double value,
            @Nullable Double until) {
        static final Understood.Cases<Stored> CASES = new Understood.Cases<>() {
            @Override
            public Stored value(Understood.Value value) {
                return new Stored("value", value.value(), null);
            }

            @Override
            public Stored overRange() {
                return new Stored("over_range", null, null);
            }

            @Override
            public Stored above(Understood.Above above) {
                return new Stored("above", above.value(), null);
            }

            @Override
            public Stored below(Understood.Below below) {
                return new Stored("below", below.value(), null);
            }

            @Override
            public Stored tone() {
                return new Stored("tone", null, null);
            }

            @Override
            public Stored silent() {
                return new Stored("silent", null, null);
            }

            @Override
            public Stored unstable(Understood.Unstable unstable) {
                List<Double> figures = unstable.between().stream()
                        .filter(Understood.Value.class::isInstance)
                        .map(each -> ((Understood.Value) each).value())
                        .sorted()
                        .toList();
                Double low = figures.isEmpty() ? null : figures.get(0);
                return new Stored("unstable", low, figures.size() < 2 ? null : figures.get(1));
            }

            @Override
            public Stored ambiguous(Understood.Ambiguous ambiguous) {
                throw new IllegalStateException("An open question is not kept: " + ambiguous.question());
            }

            @Override
            public Stored refused(Understood.Refused refused) {
                throw new IllegalStateException("A refused reading is not kept: " + refused.message());
            }
        };
    }
}
