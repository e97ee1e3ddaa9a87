package zestymarten.web.pinout;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.pinout.ReadOff;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.platform.Conflict;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** Read-offs: started, answered measurement by measurement, made into an assembly. */
@Service
class ReadOffs {
    private final ReadOffMapper mapper;
    private final Assemblies assemblies;
    private final Clock clock;

    ReadOffs(ReadOffMapper mapper, Assemblies assemblies, Clock clock) {
        this.mapper = mapper;
        this.assemblies = assemblies;
        this.clock = clock;
    }

    /** A read-off with where it stands. */
    record ReadOffState(ReadOffRow row, ReadOff state, List<AnswerRow> answers) {}

    @Transactional
    public long begin(ReadOffRow row) {
        if (row.name().isBlank() || row.name().length() > Assembly.LONGEST_NAME) {
            throw new Refusal("name", Message.of("read_offs.expected_name_characters", Assembly.LONGEST_NAME));
        }
        try {
            state(row, List.of());
            new Connector(row.nearId(), "", zestymarten.core.assembly.CavityLayout.line(1), List.of());
            new Connector(row.farId(), "", zestymarten.core.assembly.CavityLayout.line(1), List.of());
        } catch (NotAccepted e) {
            throw new Refusal("pins", e.what());
        }
        if (row.nearId().equals(row.farId())) {
            throw new Refusal("far", Message.of("read_offs.both_connectors_called_give", row.nearId()));
        }
        return mapper.insert(row, clock.instant().truncatedTo(ChronoUnit.MILLIS));
    }

    @Transactional(readOnly = true)
    public ReadOffState find(long id) {
        ReadOffRow row = mapper.find(id);
        if (row == null) {
            throw new NotFound(Message.of("read_offs.there_no_read_off", id));
        }
        List<AnswerRow> answers = mapper.answers(id);
        return new ReadOffState(row, state(row, answers), answers);
    }

    private static ReadOff state(ReadOffRow row, List<AnswerRow> answers) {
        return ReadOff.of(
                pins(row.nearId(), row.nearPins()),
                pins(row.farId(), row.farPins()),
                row.linked(),
                answers.stream()
                        .map(each -> new ReadOff.PairAnswer(
                                new ReadOff.Ask(Terminal.of(each.near()), terminals(each.far())), each.joined()))
                        .toList());
    }

    private static List<Terminal> pins(String connector, int count) {
        return IntStream.rangeClosed(1, count)
                .mapToObj(i -> Terminal.of(connector, String.valueOf(i)))
                .toList();
    }

    private static List<Terminal> terminals(String names) {
        return Arrays.stream(names.split(" ", -1)).map(Terminal::of).toList();
    }

    static String names(List<Terminal> terminals) {
        return terminals.stream().map(Terminal::name).collect(Collectors.joining(" "));
    }

    /**
     * Keeps the answer to the measurement that is due.
     *
     * @param count how many answers the sender knows of
     * @throws Conflict if somebody else has answered meanwhile
     */
    @Transactional
    public ReadOffState answer(long id, int count, boolean joined, String by) {
        ReadOffState found = hold(id, count);
        ReadOff.Ask ask = found.state()
                .next()
                .orElseThrow(() -> new Conflict(Message.of("read_offs.everything_measured_already")));
        AnswerRow row = new AnswerRow(count + 1, ask.near().name(), names(ask.far()), joined);
        mapper.insertAnswer(id, row, by, clock.instant().truncatedTo(ChronoUnit.MILLIS));
        return find(id);
    }

    @Transactional
    public ReadOffState takeBack(long id, int count) {
        hold(id, count);
        mapper.deleteAnswer(id, count);
        return find(id);
    }

    private ReadOffState hold(long id, int count) {
        mapper.lock(id);
        ReadOffState found = find(id);
        if (found.row().assemblyId() != null) {
            throw new Conflict(Message.of("read_offs.this_read_off_has"));
        }
        if (found.answers().size() != count) {
            throw new Conflict(Message.of("read_offs.somebody_has_answered_meanwhile"));
        }
        return found;
    }

    /** Makes the wires that were found an assembly, and answers its number. */
    @Transactional
    public long become(long id, String by) {
        mapper.lock(id);
        ReadOffState found = find(id);
        if (found.row().assemblyId() != null) {
            return found.row().assemblyId();
        }
        if (found.state().next().isPresent() || found.state().wires().isEmpty()) {
            throw new Refusal("", Message.of("read_offs.read_off_complete_when"));
        }
        Assembly assembly = WireList.read(found.state().wireList())
                .assembly(found.row().name(), AssemblyKind.CABLE, Words.say("read_offs.read_off_good_unit"), Map.of());
        long made = assemblies.create(assembly, by).assemblyId();
        mapper.setAssembly(id, made);
        return made;
    }
}
