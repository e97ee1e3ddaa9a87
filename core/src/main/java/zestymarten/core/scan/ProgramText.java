package zestymarten.core.scan;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.quantity.Problem;

/**
 * A program as text: CSV with the columns {@code action,contacts,quantity,low_ohm,high_ohm,test_v,dwell_s,state}. Actions are
 * {@code open}, {@code close}, {@code await}, {@code measure}; contacts are separated by spaces; an empty limit is none.
 */
public final class ProgramText {
    private static final String[] COLUMNS = {
        "action", "contacts", "quantity", "low_ohm", "high_ohm", "test_v", "dwell_s", "state"
    };
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
            String line = each.fold(
                    close -> "close," + contacts(close.contacts()) + ",,,,,,",
                    open -> "open," + contacts(open.contacts()) + ",,,,,,",
                    await -> FORMAT.format("await", "", "", "", "", "", "", await.state()),
                    measure -> "measure,," + measure.quantity().code() + ',' + figure(measure.lowOhm()) + ','
                            + figure(measure.highOhm()) + ',' + figure(measure.testV()) + ','
                            + figure(measure.dwellS()) + ',');
            text.append(line).append('\n');
        }
        return text.toString();
    }

    private static String contacts(List<ScanContact> contacts) {
        return contacts.stream().map(ScanContact::toString).collect(Collectors.joining(" "));
    }

    private static String figure(double value) {
        if (value == 0 || value == Double.POSITIVE_INFINITY) {
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
            for (CSVRecord row : rows) {
                if (row.getRecordNumber() == 1) {
                    header(row, problems);
                } else if (actions.size() >= ScanProgram.MOST_LINES) {
                    problems.add(new Problem("", "A program has at most " + ScanProgram.MOST_LINES + " lines."));
                    break;
                } else {
                    new ProgramRow(row, problems).action().ifPresent(actions::add);
                }
            }
        } catch (IOException | UncheckedIOException e) {
            problems.add(new Problem("", "That is no CSV: a quote is open at its end, or stands inside a cell."));
        }
        if (actions.isEmpty() && problems.size() == before) {
            problems.add(
                    new Problem("", "There is no line in it. Expected the columns " + String.join(",", COLUMNS) + "."));
        }
        return problems.size() > before ? Optional.empty() : Optional.of(new ScanProgram(actions));
    }

    private static void header(CSVRecord row, List<Problem> problems) {
        if (!Arrays.asList(COLUMNS).equals(row.toList())) {
            problems.add(new Problem(
                    "line 1",
                    "“" + String.join(",", row.toList()) + "” is not accepted; expected the columns "
                            + String.join(",", COLUMNS) + "."));
        }
    }

    /** One line being read. */
    private record ProgramRow(CSVRecord row, List<Problem> problems) {
        private String cell(int column) {
            return column < row.size() ? row.get(column) : "";
        }

        private Optional<ScanAction> problem(String text) {
            problems.add(new Problem("line " + row.getRecordNumber(), text));
            return Optional.empty();
        }

        Optional<ScanAction> action() {
            return switch (cell(0)) {
                case "close" -> contacts().map(ScanAction.Close::new);
                case "open" -> contacts().map(ScanAction.OpenContact::new);
                case "await" -> Optional.of(new ScanAction.Await(cell(7)));
                case "measure" -> measure();
                default ->
                    problem("The action “" + cell(0) + "” is not accepted; expected open, close, await or measure.");
            };
        }

        private Optional<List<ScanContact>> contacts() {
            List<ScanContact> contacts = new ArrayList<>();
            for (String each : cell(1).split("\\s+")) {
                Optional<ScanContact> contact = ScanContact.of(each);
                if (contact.isEmpty()) {
                    problem("The contact “" + each
                            + "” is not accepted; expected a bus and a point, such as A!3 or B!12.");
                    return Optional.empty();
                }
                contacts.add(contact.get());
            }
            return Optional.of(contacts);
        }

        private Optional<ScanAction> measure() {
            Optional<Quantity> quantity = Quantity.of(cell(2));
            if (quantity.isEmpty()) {
                return problem("The quantity “" + cell(2) + "” is not accepted; expected resistance or insulation.");
            }
            OptionalDouble low = figure(3, 0);
            OptionalDouble high = figure(4, Double.POSITIVE_INFINITY);
            OptionalDouble volts = figure(5, 0);
            OptionalDouble dwell = figure(6, 0);
            if (low.isEmpty() || high.isEmpty() || volts.isEmpty() || dwell.isEmpty()) {
                return Optional.empty();
            }
            try {
                return Optional.of(new ScanAction.MeasureContacts(
                        quantity.get(),
                        low.getAsDouble(),
                        high.getAsDouble(),
                        volts.getAsDouble(),
                        dwell.getAsDouble()));
            } catch (IllegalArgumentException e) {
                return problem(String.valueOf(e.getMessage()));
            }
        }

        private OptionalDouble figure(int column, double ifEmpty) {
            String text = cell(column);
            if (text.isEmpty()) {
                return OptionalDouble.of(ifEmpty);
            }
            if (!text.matches("[0-9]{1,15}(?:\\.[0-9]{1,12})?(?:[eE][+-]?[0-9]{1,2})?")) {
                problem("“" + text + "” as " + COLUMNS[column] + "; expected a figure without a prefix, such as 0.33.");
                return OptionalDouble.empty();
            }
            return OptionalDouble.of(Double.parseDouble(text));
        }
    }
}
