package zestymarten.web.meter;

import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.web.platform.Refusal;

/** A meter as typed; every field is text, and every problem is named with what was read. */
record MeterForm(
        String name,
        String accuracy,
        String resolution,
        String tone,
        String mark,
        String top,
        String ranges,
        String voltages,
        String address,
        String calibrated,
        String note) {
    MeterForm {
        name = typed(name);
        accuracy = typed(accuracy);
        resolution = typed(resolution);
        tone = typed(tone);
        mark = typed(mark);
        top = typed(top);
        ranges = typed(ranges);
        voltages = typed(voltages);
        address = typed(address);
        calibrated = typed(calibrated);
        note = typed(note);
    }

    /** A field that was not sent counts as one that was left empty. */
    private static String typed(@Nullable String field) {
        return field == null ? "" : field;
    }

    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_LIST = 200;
    private static final int LONGEST_NOTE = 500;

    /** An empty form with usual figures. */
    static final MeterForm EMPTY = new MeterForm("", "0.8", "0.01", "30", "OL", "20M", "", "", "", "", "");

    static MeterForm of(MeterRow row) {
        return new MeterForm(
                row.name(),
                EngineeringFormat.figure(row.accuracy() * 100),
                EngineeringFormat.figure(row.resolutionOhm()),
                EngineeringFormat.figure(row.toneBelowOhm()),
                row.oneIsOverRange() ? "1" : "OL",
                short1(row.topOhm()),
                row.meter().rangesOhm().stream().map(MeterForm::short1).collect(Collectors.joining(" ")),
                row.testVoltages(),
                row.address() == null ? "" : row.address(),
                row.calibratedUntil() == null ? "" : row.calibratedUntil().toString(),
                row.note());
    }

    private static String short1(double ohm) {
        return ohm >= 1e6
                ? EngineeringFormat.figure(ohm / 1e6) + "M"
                : ohm >= 1e3 ? EngineeringFormat.figure(ohm / 1e3) + "k" : EngineeringFormat.figure(ohm);
    }

    /** The meter that is meant; refused with all problems at once. */
    MeterRow read(long id, Instruments instruments, String by, Instant at) {
        List<Problem> problems = new ArrayList<>();
        if (name.isBlank() || name.strip().length() > LONGEST_NAME) {
            problems.add(new Problem("name", Message.of("meter_form.expected_what_meter_called", LONGEST_NAME)));
        }
        double share = figure("accuracy", accuracy, problems) / 100;
        double step = figure("resolution", resolution, problems);
        double sounds = figure("tone", tone, problems);
        double highest = figure("top", top, problems);
        String tops = Stream.of(ranges.strip().split("[\\s;]+"))
                .filter(each -> !each.isEmpty())
                .map(each -> String.valueOf(figure("ranges", each, problems)))
                .collect(Collectors.joining(" "));
        if (voltages.strip().length() > LONGEST_LIST || tops.length() > LONGEST_LIST) {
            problems.add(new Problem("voltages", Message.of("meter_form.that_too_long_name")));
        }
        if (!address.isBlank() && !instruments.isAddress(address.strip())) {
            problems.add(new Problem(
                    "address",
                    Message.of("meter_form.not_accepted_expected", address.strip(), instruments.expected())));
        }
        if (note.strip().length() > LONGEST_NOTE) {
            problems.add(new Problem("note", Message.of("meter_form.that_too_long_use", LONGEST_NOTE)));
        }
        LocalDate until = date(problems);
        if (!problems.isEmpty()) {
            throw new Refusal(problems);
        }
        MeterRow row = new MeterRow(
                id,
                name.strip(),
                share,
                step,
                sounds,
                mark.equals("1"),
                highest,
                tops,
                voltages.strip(),
                address.isBlank() ? null : address.strip(),
                until,
                note.strip(),
                by,
                at);
        try {
            row.meter();
        } catch (NotAccepted e) {
            throw new Refusal("meter", e.what());
        }
        return row;
    }

    private @Nullable LocalDate date(List<Problem> problems) {
        try {
            return calibrated.isBlank() ? null : LocalDate.parse(calibrated.strip());
        } catch (DateTimeParseException e) {
            problems.add(
                    new Problem("calibrated", Message.of("meter_form.not_accepted_expected_day", calibrated.strip())));
            return null;
        }
    }

    private static double figure(String field, String typed, List<Problem> problems) {
        if (new ReadingParser(false).understand(typed) instanceof MeterReading.Value value) {
            return value.value();
        }
        problems.add(new Problem(field, Message.of("meter_form.not_accepted_expected_figure", typed.strip())));
        return Double.NaN;
    }
}
