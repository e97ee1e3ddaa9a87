package zestymarten.web.assembly;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import zestymarten.core.assembly.Allowances;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyJson;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.CavityLayout;
import zestymarten.core.assembly.Colour;
import zestymarten.core.assembly.Conductor;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Metal;
import zestymarten.core.assembly.StrandClass;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;
import zestymarten.web.platform.AuditEvent;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Patterns;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** Assemblies as stored: kept revision by revision, and read back as assemblies. */
@Service
public class Assemblies {
    /** Assemblies on one page of the list. */
    public static final int PAGE = 50;

    /** Further on nobody pages; a search is quicker. */
    static final int LAST_PAGE = 200;

    private static final int MAX_REVISIONS = 500;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final AssemblyMapper mapper;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    /** Revisions never change, so one that was read stays right; heavy ones are few. */
    private final Cache<Long, Revision> read = Caffeine.newBuilder()
            .maximumWeight(200_000)
            .weigher(Assemblies::weight)
            .build();

    Assemblies(AssemblyMapper mapper, ApplicationEventPublisher events, Clock clock) {
        this.mapper = mapper;
        this.events = events;
        this.clock = clock;
    }

    /** The same assemblies by another clock, for callers that hold a transaction and tell of the past. */
    public Assemblies withClock(Clock other) {
        return new Assemblies(mapper, events, other);
    }

    private static int weight(Long id, Revision revision) {
        return 10 + revision.assembly().conductors().size();
    }

    /** Assemblies whose name, or a function of whose wires, contains a text, by name, one page of {@value #PAGE}. */
    @Transactional(readOnly = true)
    public List<AssemblyLine> page(String search, int page) {
        return page(search, page, false);
    }

    /** The same of those that are archived, or of those that are not. */
    @Transactional(readOnly = true)
    public List<AssemblyLine> page(String search, int page, boolean archived) {
        return mapper.page(Patterns.containing(search), archived, PAGE, PAGE * Math.max(0, Math.min(page, LAST_PAGE)));
    }

    /** Whether an assembly is archived: it is in no list any more, and everything about it stays. */
    @Transactional(readOnly = true)
    public boolean isArchived(long assemblyId) {
        return mapper.isArchived(assemblyId);
    }

    /** Archives an assembly, or restores it. */
    @Transactional
    public void setArchived(long assemblyId, boolean archived) {
        latest(assemblyId);
        mapper.setArchived(assemblyId, archived ? clock.instant() : null);
    }

    /**
     * Another assembly made of the latest revision of one.
     *
     * @throws Refusal if the name is no name, or an assembly has it
     */
    @Transactional
    public Revision duplicate(long assemblyId, String typed, String by) {
        return create(latest(assemblyId).assembly().withName(named(typed)), by);
    }

    private static String named(String typed) {
        String name = typed.strip();
        if (name.isEmpty() || name.length() > Assembly.LONGEST_NAME) {
            throw new Refusal("name", Message.of("assemblies.give_assembly_name_characters", Assembly.LONGEST_NAME));
        }
        return name;
    }

    /**
     * Gives an assembly another name, in all of its revisions; certificates keep the name that they were made with.
     *
     * @throws Refusal if the name is no name, or another assembly has it
     */
    @Transactional
    public void rename(long assemblyId, String typed) {
        String name = named(typed);
        latest(assemblyId);
        Long other = mapper.assemblyNamed(name);
        if (other != null && other != assemblyId) {
            throw new Refusal("name", Message.of("assemblies.assembly_already_choose_another", name));
        }
        mapper.rename(assemblyId, name);
        read.invalidateAll(); // what was read bears the old name
    }

    /** The newest revision of an assembly. */
    @Transactional(readOnly = true)
    public Revision latest(long assemblyId) {
        RevisionRow row = mapper.latest(assemblyId);
        if (row == null) {
            throw new NotFound(Message.of("assemblies.there_no_assembly_number", assemblyId));
        }
        return load(row);
    }

    /** The heads of the revisions of an assembly, the newest first; those of single units are not among them. */
    @Transactional(readOnly = true)
    public List<RevisionLine> revisions(long assemblyId) {
        List<RevisionLine> lines = mapper.revisions(assemblyId, MAX_REVISIONS);
        if (lines.isEmpty()) {
            throw new NotFound(Message.of("assemblies.there_no_assembly_number", assemblyId));
        }
        return lines;
    }

    /** A revision by its number in the database. */
    @Transactional(readOnly = true)
    public Revision revision(long revisionId) {
        Revision known = read.getIfPresent(revisionId);
        if (known != null) {
            return known;
        }
        RevisionRow row = mapper.revision(revisionId);
        if (row == null) {
            throw new NotFound(Message.of("assemblies.there_no_such_revision"));
        }
        return load(row);
    }

    private Revision load(RevisionRow row) {
        Revision known = read.getIfPresent(row.id());
        if (known != null) {
            return known;
        }
        Map<String, List<String>> pins = new LinkedHashMap<>();
        for (TerminalRow terminal : mapper.terminals(row.id())) {
            if (terminal.connectorId() != null) {
                pins.computeIfAbsent(terminal.connectorId(), any -> new ArrayList<>())
                        .add(Terminal.of(terminal.name()).pin());
            }
        }
        List<Connector> connectors = mapper.connectors(row.id()).stream()
                .map(each -> new Connector(each.id(), each.name(), face(each), pins.getOrDefault(each.id(), List.of())))
                .toList();
        List<Conductor> conductors =
                mapper.conductors(row.id()).stream().map(Assemblies::conductor).toList();
        AssemblyKind kind = AssemblyKind.of(row.kind()).orElseThrow();
        Assembly assembly = new Assembly(row.name(), kind, row.note(), connectors, conductors);
        if (row.parts() != null) {
            assembly = assembly.withPartsOf(parts(row.parts()));
        }
        Revision revision =
                new Revision(row.id(), row.assemblyId(), row.number(), row.createdBy(), row.createdAt(), assembly);
        read.put(row.id(), revision);
        return revision;
    }

    private static Assembly parts(String stored) {
        List<Problem> problems = new ArrayList<>();
        return AssemblyReader.readStored(stored, problems)
                .orElseThrow(() -> new IllegalStateException("Stored parts cannot be read: " + problems));
    }

    private static CavityLayout face(ConnectorRow row) {
        return new CavityLayout(
                CavityLayout.Shape.valueOf(row.faceShape().toUpperCase(java.util.Locale.ROOT)),
                row.faceRows(),
                row.faceColumns());
    }

    private static Conductor conductor(ConductorRow row) {
        return new Conductor(
                row.id(),
                Terminal.of(row.fromTerminal()),
                Terminal.of(row.toTerminal()),
                Optional.ofNullable(row.colour()).map(Colour::of),
                Optional.ofNullable(row.function()),
                number(row.lengthM()),
                number(row.areaMm2()),
                Metal.of(row.metal()).orElseThrow(),
                StrandClass.of(row.strandClass()).orElseThrow(),
                Optional.ofNullable(row.zone()),
                number(row.currentA()),
                row.spare(),
                number(row.maxOhm()),
                number(row.minOhm()),
                Optional.ofNullable(row.note()));
    }

    private static OptionalDouble number(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static @Nullable Double cell(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    /**
     * Keeps a new wiring as its revision 1.
     *
     * @throws Refusal if there is an assembly of that name already
     */
    @Transactional
    public Revision create(Assembly assembly, String by) {
        if (mapper.assemblyNamed(assembly.name()) != null) {
            throw new Refusal("name", Message.of("assemblies.assembly_already_choose_another_2", assembly.name()));
        }
        return insert(mapper.insertAssembly(assembly.name(), clock.instant()), 1, null, assembly, by);
    }

    /** Keeps a changed wiring as its next revision; earlier ones stay as they are, with the runs made against them. */
    @Transactional
    public Revision revise(long assemblyId, Assembly assembly, String by) {
        if (mapper.lock(assemblyId) == null) {
            throw new NotFound(Message.of("assemblies.there_no_assembly_number", assemblyId));
        }
        return insert(assemblyId, mapper.latestNumber(assemblyId) + 1, null, assembly, by);
    }

    /** Keeps what a repair has made of one unit as a revision of its own; the wiring's newest stays the newest. */
    @Transactional
    public Revision reviseUnit(long assemblyId, long unitId, Assembly assembly, String by) {
        if (mapper.lock(assemblyId) == null) {
            throw new NotFound(Message.of("assemblies.there_no_assembly_number", assemblyId));
        }
        return insert(assemblyId, mapper.latestNumber(assemblyId) + 1, unitId, assembly, by);
    }

    /** What repairs have made of a unit, where it is no longer as designed. */
    @Transactional(readOnly = true)
    public Optional<Revision> ofUnit(long unitId) {
        return Optional.ofNullable(mapper.ofUnit(unitId)).map(this::load);
    }

    private Revision insert(long assemblyId, int number, @Nullable Long unitId, Assembly assembly, String by) {
        String parts = assembly.hasParts() ? AssemblyJson.write(assembly.withoutConductors()) : null;
        long id = mapper.insertRevision(
                assemblyId, number, unitId, assembly.kind().code(), assembly.note(), parts, by, clock.instant());
        mapper.insertConnectors(
                id,
                JSON.writeValueAsString(assembly.connectors().stream()
                        .map(each -> new ConnectorRow(
                                each.id(),
                                each.name(),
                                each.face().shape().code(),
                                each.face().rows(),
                                each.face().columns()))
                        .toList()));
        mapper.insertTerminals(
                id,
                JSON.writeValueAsString(assembly.terminals().stream()
                        .map(each -> new TerminalRow(each.name(), each.isPin() ? each.connector() : null))
                        .toList()));
        mapper.insertConductors(
                id,
                JSON.writeValueAsString(
                        assembly.conductors().stream().map(Assemblies::row).toList()));
        return revision(id);
    }

    private static ConductorRow row(Conductor conductor) {
        return new ConductorRow(
                conductor.id(),
                conductor.from().name(),
                conductor.to().name(),
                conductor.colour().map(Colour::text).orElse(null),
                conductor.function().orElse(null),
                cell(conductor.lengthM()),
                cell(conductor.areaMm2()),
                conductor.metal().code(),
                conductor.strandClass().code(),
                conductor.zone().orElse(null),
                cell(conductor.current()),
                conductor.spare(),
                cell(conductor.maxOhm()),
                cell(conductor.minOhm()),
                conductor.note().orElse(null));
    }

    /** Saves changed limits as the next revision, so that earlier tests keep theirs; nothing where they are as before. */
    @Transactional
    public void setAllowances(long assemblyId, Allowances allowances, String by) {
        Assembly before = latest(assemblyId).assembly();
        Assembly after = before.withAllowances(allowances);
        if (!after.equals(before)) {
            Revision revision = revise(assemblyId, after, by);
            events.publishEvent(new AuditEvent(
                    AuditEvent.AuditKind.LIMITS,
                    after.name(),
                    Words.say("audit.limits_of_revision", revision.number())));
        }
    }

    /** Whether a second role has to sign for tests of this wiring. */
    @Transactional(readOnly = true)
    public boolean needsSignOff(long assemblyId) {
        return mapper.needsSignOff(assemblyId);
    }

    /** Says whether a second role has to sign for tests of this wiring. */
    @Transactional
    public void setNeedsSignOff(long assemblyId, boolean needed) {
        mapper.setNeedsSignOff(assemblyId, needed);
        events.publishEvent(new AuditEvent(
                AuditEvent.AuditKind.SIGN_OFF,
                latest(assemblyId).assembly().name(),
                Words.say(needed ? "audit.second_person_signs" : "audit.nobody_else_signs")));
    }
}
