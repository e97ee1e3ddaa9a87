package zestymarten.core.scan;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Problem;

/**
 * A program as text: CSV with the columns {@code
 * action,contacts,quantity,low_ohm,high_ohm,max_a,test_v,hz,ramp_s,dwell_s,state}. Actions are {@code open}, {@code close},
 * {@code await}, {@code measure}; contacts are separated by spaces; an empty limit is none, an empty frequency is DC. Files
 * without the columns of withstand tests are read as well.
 */
public final class ProgramText {
    private static final List<String> COLUMNS = List.of(
            "action",
            "contacts",
            "quantity",
            "low_ohm",
            "high_ohm",
            "max_a",
            "test_v",
            "hz",
            "ramp_s",
            "dwell_s",
            "state");
    private static final List<String> WITHOUT_WITHSTAND =
            List.of("action", "contacts", "quantity", "low_ohm", "high_ohm", "test_v", "dwell_s", "state");
    private static final String WITHSTAND = "withstand";
    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setRecordSeparator("\n")
            .setTrim(true)
            .setIgnoreEmptyLines(true)
            .get();

    private ProgramText() {}

    /** The program as CSV with a header row. */
    public static String write(ScanProgram program) {
        StringBuilder text = new StringBuilder(String.join(",", COLUMNS)).append('\n');
        for (ScanAction each : program.actions()) {
            text.append(each.fold(
                            close -> line("close", contacts(close.contacts())),
                            open -> line("open", contacts(open.contacts())),
                            await -> line("await", "", "", "", "", "", "", "", "", "", await.state()),
                            ProgramText::measure))
                    .append('\n');
        }
        return text.toString();
    }

    private static String line(Object... cells) {
        Object[] all = Arrays.copyOf(cells, COLUMNS.size());
        Arrays.fill(all, cells.length, all.length, "");
        return FORMAT.format(all);
    }

    private static String measure(ScanAction.MeasureContacts measure) {
        return line(
                "measure",
                "",
                measure.quantity() == Quantity.LEAKAGE
                        ? WITHSTAND
                        : measure.quantity().code(),
                figure(measure.lowOhm()),
                figure(measure.highOhm()),
                figure(measure.maxA()),
                measure.voltage().map(each -> figure(each.volts())).orElse(""),
                measure.voltage().map(each -> figure(each.hertz())).orElse(""),
                measure.voltage()
                        .map(each -> EngineeringFormat.figure(each.rampS()))
                        .orElse(""),
                measure.voltage()
                        .map(each -> EngineeringFormat.figure(each.dwellS()))
                        .orElse(""));
    }

    private static String contacts(List<ScanContact> contacts) {
        return contacts.stream().map(ScanContact::toString).collect(Collectors.joining(" "));
    }

    private static String figure(double value) {
        if (value == 0 || Double.isInfinite(value)) {
            return "";
        }
        return new java.math.BigDecimal(value, new java.math.MathContext(6))
                .stripTrailingZeros()
                .toPlainString();
    }

    /**
     * Reads a program.
     *
     * @param problems gains what cannot be read, with its line; then nothing is answered
     */
    public static Optional<ScanProgram> read(String text, List<Problem> problems) {
        int before = problems.size();
        List<ScanAction> actions = new ArrayList<>();
        try (CSVParser rows = CSVParser.parse(new StringReader(text), FORMAT)) {
            List<String> columns = COLUMNS;
            for (CSVRecord row : rows) {
                if (row.getRecordNumber() == 1) {
                    columns = columns(row, problems);
                } else if (actions.size() >= ScanProgram.MAX_LINES) {
                    problems.add(
                            new Problem("", Message.of("program_text.program_has_most_lines", ScanProgram.MAX_LINES)));
                    break;
                } else {
                    new ProgramRow(row, columns, problems).action().ifPresent(actions::add);
                }
            }
        } catch (IOException | UncheckedIOException e) {
            problems.add(new Problem("", Message.of("program_text.that_no_csv_quote")));
        }
        if (actions.isEmpty() && problems.size() == before) {
            problems.add(new Problem("", Message.of("program_text.there_no_line_expected", String.join(",", COLUMNS))));
        }
        return problems.size() > before ? Optional.empty() : Optional.of(new ScanProgram(actions));
    }

    private static List<String> columns(CSVRecord row, List<Problem> problems) {
        List<String> read = row.toList();
        if (read.equals(WITHOUT_WITHSTAND)) {
            return WITHOUT_WITHSTAND;
        }
        if (!read.equals(COLUMNS)) {
            problems.add(new Problem(
                    Message.of("problem.line", 1),
                    Message.of(
                            "program_text.not_accepted_expected_columns",
                            String.join(",", read),
                            String.join(",", COLUMNS))));
        }
        return COLUMNS;
    }

    /** One line being read. */
    private record ProgramRow(CSVRecord row, List<String> columns, List<Problem> problems) {
        private String cell(String column) {
            int at = columns.indexOf(column);
            return at >= 0 && at < row.size() ? row.get(at) : "";
        }

        private Optional<ScanAction> problem(Message what) {
            problems.add(new Problem(Message.of("problem.line", row.getRecordNumber()), what));
            return Optional.empty();
        }

        Optional<ScanAction> action() {
            return switch (cell("action")) {
                case "close" -> contacts().map(ScanAction.Close::new);
                case "open" -> contacts().map(ScanAction.OpenContact::new);
                case "await" -> Optional.of(new ScanAction.Await(cell("state")));
                case "measure" -> measure();
                default -> problem(Message.of("program_row.action_not_accepted_expected", cell("action")));
            };
        }

        private Optional<List<ScanContact>> contacts() {
            List<ScanContact> contacts = new ArrayList<>();
            for (String each : cell("contacts").split("\\s+")) {
                Optional<ScanContact> contact = ScanContact.of(each);
                if (contact.isEmpty()) {
                    problem(Message.of("program_row.contact_not_accepted_expected", each));
                    return Optional.empty();
                }
                contacts.add(contact.get());
            }
            return Optional.of(contacts);
        }

        private Optional<ScanAction> measure() {
            String said = cell("quantity");
            Optional<Quantity> quantity = said.equals(WITHSTAND) ? Optional.of(Quantity.LEAKAGE) : Quantity.of(said);
            if (quantity.isEmpty()) {
                return problem(Message.of("program_row.quantity_not_accepted_expected", said));
            }
            int before = problems.size();
            double low = figure("low_ohm", 0);
            double high = figure("high_ohm", Double.POSITIVE_INFINITY);
            double maximum = figure("max_a", Double.POSITIVE_INFINITY);
            double volts = figure("test_v", 0);
            double hertz = figure("hz", 0);
            double ramp = figure("ramp_s", ScanVoltage.USUAL_RAMP_S);
            double dwell = figure("dwell_s", 0);
            if (problems.size() > before) {
                return Optional.empty();
            }
            try {
                Optional<ScanVoltage> voltage =
                        volts > 0 ? Optional.of(new ScanVoltage(volts, hertz, ramp, dwell)) : Optional.empty();
                return Optional.of(new ScanAction.MeasureContacts(quantity.get(), low, high, maximum, voltage));
            } catch (NotAccepted e) {
                return problem(e.what());
            }
        }

        private double figure(String column, double ifEmpty) {
            String text = cell(column);
            if (text.isEmpty()) {
                return ifEmpty;
            }
            if (!text.matches("[0-9]{1,15}(?:\\.[0-9]{1,12})?(?:[eE][+-]?[0-9]{1,2})?")) {
                problem(Message.of("program_row.as_expected_figure_without", text, column));
                return ifEmpty;
            }
            return Double.parseDouble(text);
        }
    }
}
