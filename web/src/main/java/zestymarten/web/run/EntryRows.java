package zestymarten.web.run;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zestymarten.core.job.Entry;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Understood;
import zestymarten.core.quantity.Understood.Unit;

/** Between entries of the core and rows of the table. */
final class EntryRows {
    private static final String STAND_IN_BEFORE = "what stands in for ";

    private EntryRows() {}

    static Entry entry(EntryRow row) {
        return new Entry(
                row.id(),
                row.sequence(),
                step(row),
                row.touch(),
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

    private static Step step(EntryRow row) {
        return new StepForm(
                        row.stage(),
                        plain(row.question()),
                        subject(plain(row.subject())),
                        plain(row.black()),
                        plain(row.red()),
                        plain(row.state()),
                        plain(row.ties()))
                .step();
    }

    /** As it is written today: what was stored before in other words is the same thing. */
    private static String subject(String stored) {
        return stored.startsWith(STAND_IN_BEFORE)
                ? "the stand-in for " + stored.substring(STAND_IN_BEFORE.length())
                : stored;
    }

    private static Understood meaning(EntryRow row) {
        double value = row.value() == null ? 0 : row.value();
        Unit unit = row.unit() == null ? Unit.OHM : Unit.valueOf(row.unit());
        return switch (Objects.requireNonNull(row.meaning())) {
            case "value" -> new Understood.Value(value, unit);
            case "over_range" -> new Understood.OverRange();
            case "above" -> new Understood.Above(value, unit);
            case "below" -> new Understood.Below(value, unit);
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
        Entry.Content content = entry.content();
        Optional<Entry.Content.Reading> reading = only(Entry.Content.Reading.class, content);
        Optional<Entry.Content.Repair> repair = only(Entry.Content.Repair.class, content);
        Stored stored = reading.map(each -> each.meaning().fold(Stored.CASES)).orElse(Stored.NOTHING);
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
                entry.touch(),
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
    private record Stored(
            @Nullable String meaning,
            @Nullable Double value,
            @Nullable Double until,
            @Nullable String unit) {
        static final Stored NOTHING = new Stored(null, null, null, null);

        static final Understood.Cases<Stored> CASES = new Understood.Cases<>() {
            @Override
            public Stored value(Understood.Value value) {
                return new Stored("value", value.value(), null, value.unit().name());
            }

            @Override
            public Stored overRange() {
                return new Stored("over_range", null, null, null);
            }

            @Override
            public Stored above(Understood.Above above) {
                return new Stored("above", above.value(), null, above.unit().name());
            }

            @Override
            public Stored below(Understood.Below below) {
                return new Stored("below", below.value(), null, below.unit().name());
            }

            @Override
            public Stored tone() {
                return new Stored("tone", null, null, null);
            }

            @Override
            public Stored silent() {
                return new Stored("silent", null, null, null);
            }

            @Override
            public Stored unstable(Understood.Unstable unstable) {
                List<Double> figures = unstable.between().stream()
                        .filter(Understood.Value.class::isInstance)
                        .map(each -> ((Understood.Value) each).value())
                        .sorted()
                        .toList();
                Double low = figures.isEmpty() ? null : figures.get(0);
                return new Stored("unstable", low, figures.size() < 2 ? null : figures.get(1), null);
            }

            @Override
            public Stored ambiguous(Understood.Ambiguous ambiguous) {
                throw new IllegalStateException("An open question is not saved: " + ambiguous.question());
            }

            @Override
            public Stored refused(Understood.Refused refused) {
                throw new IllegalStateException("A refused reading is not saved: " + refused.message());
            }
        };
    }
}
