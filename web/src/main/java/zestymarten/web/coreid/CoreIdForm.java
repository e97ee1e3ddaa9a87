package zestymarten.web.coreid;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import zestymarten.core.coreid.ContinuityMatching;
import zestymarten.core.coreid.GroupCodes;
import zestymarten.core.coreid.GroupScheme;
import zestymarten.core.coreid.IdentificationMethod;
import zestymarten.core.coreid.MarkedVisits;
import zestymarten.core.coreid.Sorting;
import zestymarten.core.coreid.Tags;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.web.platform.TypedForm;

/** Reads the desk's form: {@code f1} ... what was found there, {@code g1} ... what was found here, {@code r1} ... ohms. */
final class CoreIdForm {
    private static final double USUAL_ACCURACY = 1;
    private static final Pattern OF_CORES = Pattern.compile("[fgrweq]\\d{1,3}|closing");
    private static final double USUAL_TOLERANCE = 5;

    private final TypedForm typed;

    CoreIdForm(TypedForm typed) {
        this.typed = typed;
    }

    int cores() {
        double cores = typed.figure("cores", 17);
        if (cores != Math.rint(cores) || cores < 2 || cores > GroupScheme.MAX) {
            typed.refuse(
                    "cores",
                    Message.of("core_id_form.not_accepted_expected_whole", typed.text("cores"), GroupScheme.MAX));
            return 17;
        }
        return (int) cores;
    }

    /** The meter's accuracy as a fraction of the reading. */
    private double accuracy() {
        return percent("accuracy", USUAL_ACCURACY);
    }

    private double percent(String field, double usual) {
        double percent = typed.figure(field, usual);
        if (percent >= 100) {
            typed.refuse(
                    field,
                    Message.of(
                            "core_id_form.not_accepted_expected_percent",
                            typed.text(field),
                            EngineeringFormat.figure(usual)));
            return usual / 100;
        }
        return percent / 100;
    }

    /**
     * What was typed for cores in fields that the page does not show at present: of another method, or of cores beyond the number
     * of them. It stays in the form.
     */
    List<CarriedField> carried(Set<String> shown) {
        return typed.fields().entrySet().stream()
                .filter(each -> OF_CORES.matcher(each.getKey()).matches()
                        && typed.has(each.getKey())
                        && !shown.contains(each.getKey()))
                .map(each -> new CarriedField(each.getKey(), each.getValue()))
                .sorted(Comparator.comparing(CarriedField::field))
                .toList();
    }

    /** A field that is not shown, with what was typed in it. */
    record CarriedField(String field, String typed) {}

    boolean hasReturn() {
        return typed.has("return");
    }

    /** The tags in the order in which they are put on the cores there; none where nothing was typed. */
    Optional<Tags> tags() {
        if (!typed.has("tags")) {
            return Optional.empty();
        }
        List<Double> ohms = new ArrayList<>();
        for (String each : typed.text("tags").split("[,;\\s]+")) {
            if (new ReadingParser(false).understand(each) instanceof MeterReading.Value value && value.value() > 0) {
                ohms.add(value.value());
            } else {
                typed.refuse("tags", Message.of("core_id_form.not_accepted_expected_resistance", each));
            }
        }
        try {
            return Optional.of(new Tags(ohms, percent("tolerance", USUAL_TOLERANCE), typed.figure("core_ohm", 2)));
        } catch (NotAccepted e) {
            typed.refuse("tags", e.what());
            return Optional.empty();
        }
    }

    /** How many of the tags can be distinguished. */
    int apart() {
        return tags().map(each -> each.apart(accuracy(), hasReturn()).size()).orElse(0);
    }

    /** The method that was chosen, else the first that can be used. */
    IdentificationMethod.MethodKind kind(List<IdentificationMethod> methods) {
        return Arrays.stream(IdentificationMethod.MethodKind.values())
                .filter(each -> each.name().equals(typed.text("method")))
                .filter(each -> methods.stream().anyMatch(one -> one.kind() == each && one.isPossible()))
                .findFirst()
                .or(() -> methods.stream()
                        .filter(IdentificationMethod::isPossible)
                        .map(IdentificationMethod::kind)
                        .findFirst())
                .orElse(IdentificationMethod.MethodKind.ONE_BY_ONE);
    }

    /** The sorting by groups or by pairs as far as it was typed; empty for the other methods. */
    Optional<Sorting> sorting(IdentificationMethod.MethodKind kind, int cores) {
        if (kind != IdentificationMethod.MethodKind.GROUPS && kind != IdentificationMethod.MethodKind.PAIR_CHAIN) {
            return Optional.empty();
        }
        int counted = Sorting.counted(kind, cores, hasReturn());
        try {
            return Optional.of(Sorting.of(kind, counted, marks("f", counted), marks("g", counted)));
        } catch (NotAccepted e) {
            typed.refuse("method", e.what());
            return Optional.empty();
        }
    }

    private Optional<GroupCodes> marks(String prefix, int cores) {
        List<String> marks = IntStream.rangeClosed(1, cores)
                .mapToObj(core -> typed.text(prefix + core).toLowerCase(java.util.Locale.ROOT))
                .toList();
        return marks.stream().allMatch(String::isEmpty) ? Optional.empty() : Optional.of(GroupCodes.ofMarks(marks));
    }

    /** For each core here the core there by its tag, 0 where it is not identified; empty until anything was read. */
    List<Integer> byTags(int cores) {
        Optional<Tags> tags = tags();
        List<OptionalDouble> read = ohms("r", cores);
        if (tags.isEmpty() || read.stream().allMatch(OptionalDouble::isEmpty)) {
            return List.of();
        }
        List<Optional<Tags.OwnResistance>> own = read.stream()
                .map(each -> each.isPresent()
                        ? Optional.of(Tags.OwnResistance.read(each.getAsDouble(), accuracy()))
                        : Optional.<Tags.OwnResistance>empty())
                .toList();
        if (!hasReturn()) {
            OptionalDouble closing = typed.figure("closing", Message.of("core_id_form.resistance_from_core_core"));
            if (closing.isEmpty() || cores < 3) {
                return List.of();
            }
            own = Tags.withoutReturn(read.subList(1, cores), closing.getAsDouble(), accuracy());
        }
        List<Double> order = tags.get().apart(accuracy(), hasReturn());
        Tags used = new Tags(order, tags.get().tolerance(), tags.get().coreOhm());
        return own.stream()
                .map(each -> each.map(used::of).orElse(-1) + 1)
                .map(there -> there > cores ? 0 : there)
                .toList();
    }

    /** For each core here the core there by visits, 0 where it is not identified; empty until anything was found. */
    List<Integer> byVisits(MarkedVisits visits) {
        List<MarkedVisits.MarkedCore> found = new ArrayList<>();
        int last = 0;
        for (int i = 1; i <= visits.visits().size(); i++) {
            List<Integer> toReturn = cores("e" + i);
            found.add(new MarkedVisits.MarkedCore(toReturn.stream().findFirst(), cores("q" + i)));
            last = typed.has("e" + i) || typed.has("q" + i) ? i : last;
        }
        return last == 0 ? List.of() : visits.sorted(found.subList(0, last));
    }

    /** Numbers of cores; none where nothing was typed, or {@code -} for none found. */
    private List<Integer> cores(String field) {
        List<Integer> cores = new ArrayList<>();
        for (String each : typed.text(field).split("[ ,+;]+")) {
            if (each.matches("\\d{1,3}")) {
                cores.add(Integer.parseInt(each));
            } else if (!each.isEmpty() && !each.equals("-")) {
                typed.refuse(field, Message.of("core_id_form.not_accepted_expected_number", each));
            }
        }
        return cores;
    }

    private List<OptionalDouble> ohms(String prefix, int cores) {
        return IntStream.rangeClosed(1, cores)
                .mapToObj(core -> ohm(prefix + core))
                .toList();
    }

    /** Ohms; empty where nothing was typed, or no path. */
    private OptionalDouble ohm(String field) {
        if (!typed.has(field)) {
            return OptionalDouble.empty();
        }
        MeterReading understood = new ReadingParser(false).understand(typed.text(field));
        if (understood instanceof MeterReading.Value value) {
            return OptionalDouble.of(value.value());
        }
        if (!(understood instanceof MeterReading.OverRange) && !(understood instanceof MeterReading.Silent)) {
            typed.refuse(field, Message.of("core_id_form.not_accepted_expected_resistance_2", typed.text(field)));
        }
        return OptionalDouble.empty();
    }

    /** Which cores lead through the part; none until it is known and something was read. */
    List<ContinuityMatching.CoreResult> through(int cores) {
        try {
            return typed.has("supply") ? byVolts(cores) : byOhms(cores);
        } catch (NotAccepted e) {
            typed.refuse("part_low", e.what());
            return List.of();
        }
    }

    private List<ContinuityMatching.CoreResult> byOhms(int cores) {
        OptionalDouble low = typed.figure("part_low", Message.of("core_id_form.minimum_resistance_part_such"));
        OptionalDouble high = typed.figure("part_high", Message.of("core_id_form.maximum_resistance_part_such"));
        if (low.isEmpty() || high.isEmpty()) {
            return List.of();
        }
        var expected = ContinuityMatching.expected(low.getAsDouble(), high.getAsDouble(), typed.figure("core_ohm", 2));
        return ContinuityMatching.byOhms(expected, ohms("w", cores), accuracy()).stream()
                .filter(each -> typed.has("w" + each.core()))
                .toList();
    }

    /** Two readings a core, on and off: {@code 23.5/0.1}. */
    private List<ContinuityMatching.CoreResult> byVolts(int cores) {
        OptionalDouble supply = typed.figure("supply", Message.of("core_id_form.supply_volts_such_as"));
        if (supply.isEmpty()) {
            return List.of();
        }
        List<Double> on = new ArrayList<>();
        List<Double> off = new ArrayList<>();
        for (int core = 1; core <= cores; core++) {
            String[] both = typed.text("w" + core).split("/", -1);
            on.add(volts("w" + core, both[0]));
            off.add(both.length > 1 ? volts("w" + core, both[1]) : 0);
        }
        return ContinuityMatching.byVolts(supply.getAsDouble(), on, off).stream()
                .filter(each -> typed.has("w" + each.core()))
                .toList();
    }

    private double volts(String field, String text) {
        if (text.isBlank()) {
            return 0;
        }
        if (new ReadingParser(false).understand(text) instanceof MeterReading.Value value) {
            return value.value();
        }
        typed.refuse(field, Message.of("core_id_form.not_accepted_expected_volts", text));
        return 0;
    }
}
