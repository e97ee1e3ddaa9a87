package zestymarten.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Face;
import zestymarten.core.assembly.Kind;
import zestymarten.core.assembly.WireList;
import zestymarten.core.meter.Conditions;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.Meter;
import zestymarten.core.plan.Step;
import zestymarten.core.quantity.Understood;

/** A technician at the bench, for tests: types what the meter shows at whatever step is due. */
final class Bench {
    static final Conditions CONDITIONS = new Conditions(
            20,
            new Meter("bench meter", 0.005, 0.01, 30, false, 20e6),
            OptionalDouble.empty(),
            LeadPolicy.FULL,
            false,
            Conditions.JOINED_BELOW_OHM);

    private final Design design;
    private final List<Entry> entries = new ArrayList<>();

    private Bench(Design design) {
        this.design = design;
    }

    static Bench of(String wireList) {
        return new Bench(Design.of(WireList.read(wireList).assembly("Cable", Kind.CABLE, "", Map.of()), 20));
    }

    static Bench withCavities(String wireList, String connector, int cavities) {
        return new Bench(Design.of(
                WireList.read(wireList).assembly("Cable", Kind.CABLE, "", Map.of(connector, Face.line(cavities))), 20));
    }

    Job job() {
        return Job.of(design, CONDITIONS, entries);
    }

    Step step() {
        return job().current().orElseThrow();
    }

    String sentence() {
        return say(step());
    }

    static String say(Step step) {
        return step.fold(
                probes -> "METER " + probes.question(),
                touch -> touch.stage() + " " + touch.black() + " " + touch.red());
    }

    String understood(String typed) {
        Understood understood = job().understand(step(), typed);
        return understood instanceof Understood.Ambiguous ambiguous ? ambiguous.question() : understood.text();
    }

    Bench type(String... readings) {
        for (String reading : readings) {
            at(step(), reading);
        }
        return this;
    }

    Bench at(Step step, String reading) {
        return add(step, new Entry.Content.Reading(reading, job().understand(step, reading)));
    }

    Bench skip(String reason) {
        return add(step(), new Entry.Content.Skip(reason));
    }

    private Bench add(Step step, Entry.Content content) {
        int sequence = entries.size() + 1;
        entries.add(new Entry(
                new UUID(0, sequence), sequence, step, job().nextTouch(step), content, false, "bench", Instant.EPOCH));
        return this;
    }

    Bench takeBack() {
        Entry last = job().last().orElseThrow();
        entries.set(
                last.sequence() - 1,
                new Entry(
                        last.id(),
                        last.sequence(),
                        last.step(),
                        last.touch(),
                        last.content(),
                        true,
                        last.by(),
                        last.at()));
        return this;
    }
}
