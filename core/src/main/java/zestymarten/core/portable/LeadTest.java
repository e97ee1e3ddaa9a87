package zestymarten.core.portable;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.Colour;
import zestymarten.core.assembly.Component;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.finding.Finding;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.InsulationJudge;
import zestymarten.core.judgement.Judgement;
import zestymarten.core.judgement.Judgement.Verdict;
import zestymarten.core.judgement.Quantity;
import zestymarten.core.judgement.ResistanceJudge;
import zestymarten.core.limit.Derivation;
import zestymarten.core.limit.InsulationLimit;
import zestymarten.core.limit.Limit;
import zestymarten.core.limit.LimitRules;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.ReadingParser;

/**
 * The short test of one lead of a batch: inspected, the protective conductor first, then every other core, the fuse, every two
 * live cores apart from each other, insulation last and only where the protective conductor is whole.
 *
 * <p>Polarity needs no step of its own: each core is read from its own pin to its own pin, so one that answers there has not
 * changed places; two or more that do not answer are said to be perhaps exchanged.
 *
 * @param testV test voltage of the insulation in volts DC, above 0
 * @param onScrews whether the probes go on the screws instead of into the contacts: then no lead passes, since nobody has
 *     proved the contacts of plug and socket
 */
public record LeadTest(Assembly assembly, TestConditions conditions, double testV, boolean onScrews) {
    /** What is typed where nothing is seen. */
    public static final String SOUND = "s";

    private static final double MAINS_V = 230;
    private static final Set<String> SOUND_WORDS = Set.of(SOUND, "sound", "ok", "good", "none", "nothing", "no defect");
    private static final List<String> DEFECT_WORDS = List.of(
            "cut", "burn", "melt", "loose", "pushed", "chafe", "crack", "broken", "fray", "damag", "bent", "missing");

    /** Two contacts, at plug and socket, of 15 mΩ each: clean ones have less. Rule of thumb. */
    private static final double CONTACTS_OHM = 0.03;

    public LeadTest {
        if (!(testV > 0 && testV <= 5000)) {
            throw new NotAccepted("lead_test.test_voltage_above", NotAccepted.given(testV, "V"));
        }
    }

    /** What is asked at one slot. */
    public sealed interface Item {
        /** Its name, unique within the lead. */
        String id();

        /** Nothing is read, it is looked at. */
        record Look() implements Item {
            @Override
            public String id() {
                return "look";
            }
        }

        /** A core from end to end. */
        record Core(Conductor wire, boolean protective) implements Item {
            @Override
            public String id() {
                return "core_" + wire.id();
            }
        }

        /** A fuse, from cap to cap. */
        record Fuse(Component part) implements Item {
            @Override
            public String id() {
                return "fuse_" + part.id();
            }
        }

        /** Two live cores, which are apart in a good lead: all of them together against earth would not show a short between. */
        record CoresApart(Conductor one, Conductor other) implements Item {
            @Override
            public String id() {
                return "apart_" + one.id() + "_" + other.id();
            }
        }

        /** All live cores together against the protective conductor and the shell. */
        record InsulationItem() implements Item {
            @Override
            public String id() {
                return "insulation";
            }
        }
    }

    /**
     * An item with what was typed at it.
     *
     * @param judgement empty while nothing was typed
     */
    public record ItemAnswer(Item item, String typed, Optional<Judgement> judgement) {
        boolean isOpen() {
            return is(Verdict.FAIL) && judgement.orElseThrow().contact() != Judgement.Contact.JOINED;
        }

        boolean is(Verdict verdict) {
            return judgement.filter(each -> each.verdict() == verdict).isPresent();
        }
    }

    /** Everything that is asked of a lead, in its order. */
    public List<Item> items() {
        List<Item> items = new ArrayList<>(List.of(new Item.Look()));
        assembly.conductors().stream()
                .filter(wire -> !wire.spare())
                .map(wire -> new Item.Core(wire, isProtective(wire)))
                .sorted(Comparator.comparing((Item.Core core) -> !core.protective()))
                .forEach(items::add);
        assembly.components().stream()
                .filter(part -> part.kind() == Component.ComponentKind.FUSE)
                .map(Item.Fuse::new)
                .forEach(items::add);
        List<Conductor> live = assembly.conductors().stream()
                .filter(wire -> !wire.spare() && !isProtective(wire))
                .toList();
        for (int i = 0; i < live.size(); i++) {
            for (int j = i + 1; j < live.size(); j++) {
                items.add(new Item.CoresApart(live.get(i), live.get(j)));
            }
        }
        items.add(new Item.InsulationItem());
        return items;
    }

    private static boolean isProtective(Conductor wire) {
        String function = wire.function().orElse("").toLowerCase(Locale.ROOT);
        String colour = wire.colour().map(Colour::text).orElse("").toUpperCase(Locale.ROOT);
        return function.contains("protective") || function.contains("earth") || colour.equals("GNYE");
    }

    /** What a good lead reads at an item, with where that comes from. */
    public Message expected(Item item) {
        if (item instanceof Item.Core core) {
            return limit(core.wire()).derivation();
        } else if (item instanceof Item.Fuse fuse) {
            return limits().of(fuse.part()).derivation();
        } else if (item instanceof Item.CoresApart) {
            return Message.of("lead_test.more_than_meter_shows");
        }
        return item instanceof Item.Look ? Message.of("lead_test.sound_else_what_seen", SOUND) : limit().derivation();
    }

    /** The same in a few words: the limit of a core and its source. */
    public Message brief(Item item) {
        if (item instanceof Item.Core core) {
            Limit limit = limit(core.wire());
            return Message.of("lead_test.maximum", limit.high(), limit.by().source());
        }
        return expected(item);
    }

    /** A lead is for the mains, whatever voltage it is tested at. */
    private static InsulationLimit limit() {
        return InsulationLimit.ofCircuit(MAINS_V, false);
    }

    /** Between plug and socket a core is read through the contacts at its ends, which no cable's limit has. */
    private Limit limit(Conductor wire) {
        Limit cable = limits().of(wire);
        boolean byTable = cable.rule() == Limit.Rule.STANDARD || cable.rule() == Limit.Rule.HANDBOOK;
        if (onScrews || !byTable) {
            return cable;
        }
        Ohms maximum = Ohms.of(cable.high().value() + CONTACTS_OHM);
        return new Limit(
                cable.low(),
                cable.nominal(),
                maximum,
                cable.lowGiven(),
                Derivation.plain(
                        cable.rule(),
                        Message.of("lead_test.source_and_contacts", cable.by().source()),
                        Message.of("lead_test.with_contacts", cable.derivation(), Ohms.of(CONTACTS_OHM), maximum)));
    }

    private LimitRules limits() {
        return new LimitRules(conditions.ambientC());
    }

    /** What was typed, by the items' names, judged; anything else in the map is left alone. */
    public LeadVerdict judge(Map<String, String> typed) {
        List<ItemAnswer> answers = new ArrayList<>();
        for (Item item : items()) {
            String text = typed.getOrDefault(item.id(), "").strip();
            answers.add(
                    new ItemAnswer(item, text, text.isEmpty() ? Optional.empty() : Optional.of(judged(item, text))));
        }
        return LeadVerdict.of(this, answers);
    }

    private Judgement judged(Item item, String text) {
        if (item instanceof Item.Look) {
            return inspected(text);
        }
        MeterReading understood = new ReadingParser(conditions.meter().oneIsOverRange()).understand(text);
        if (item instanceof Item.Core core) {
            return joined(understood, limit(core.wire()));
        } else if (item instanceof Item.Fuse fuse) {
            return joined(understood, limits().of(fuse.part()));
        } else if (item instanceof Item.CoresApart) {
            return ResistanceJudge.judge(understood, new Expectation.Apart(), conditions);
        }
        return insulation(understood);
    }

    private Judgement insulation(MeterReading understood) {
        Judgement judgement = InsulationJudge.judge(understood, Quantity.INSULATION, testV, limit());
        boolean passes = judgement.verdict() == Verdict.PASS || judgement.verdict() == Verdict.MARGINAL;
        return passes && testV < limit().testV()
                ? said(
                        Verdict.UNDECIDED,
                        Message.of("lead_test.test_does_not_show", Message.figure(testV, "V"), limit().derivation()))
                : judgement;
    }

    private Judgement inspected(String text) {
        String word = text.toLowerCase(Locale.ROOT);
        if (SOUND_WORDS.contains(word)) {
            return said(Verdict.PASS, Message.of("lead_test.nothing_seen"));
        }
        boolean denied = word.startsWith("no ") || word.startsWith("not ");
        boolean defect = !denied
                && (Stream.of(Finding.Defect.values())
                                .anyMatch(each -> word.contains(each.code())
                                        || word.contains(each.name().toLowerCase(Locale.ROOT)))
                        || DEFECT_WORDS.stream().anyMatch(word::contains));
        return defect
                ? said(Verdict.FAIL, Message.of("lead_test.seen", text))
                : said(Verdict.DOUBTFUL, Message.of("lead_test.neither_sound_nor_defect", text));
    }

    private Judgement joined(MeterReading understood, Limit limit) {
        return ResistanceJudge.judge(understood, new Expectation.Joined(limit, true), conditions);
    }

    private static Judgement said(Verdict verdict, Message reason) {
        return new Judgement(
                verdict,
                Judgement.Contact.UNKNOWN,
                Judgement.Reason.CHECKED,
                reason,
                java.util.OptionalDouble.empty(),
                java.util.OptionalDouble.empty());
    }
}
