package zestymarten.web.record;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Problem;
import zestymarten.core.testrun.Decision;
import zestymarten.core.testrun.RunOutcome;
import zestymarten.core.testrun.UnitState;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.platform.AuditEvent;
import zestymarten.web.platform.Conflict;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;
import zestymarten.web.testrun.RunSnapshot;
import zestymarten.web.testrun.TestRuns;
import zestymarten.web.unit.DueDate;
import zestymarten.web.unit.Units;

/** Decides what happens to units after their test, and takes the signature of a second role. */
@Service
class Releases {
    private static final int LONGEST_NOTE = 500;

    private final ReleaseMapper mapper;
    private final TestRuns runs;
    private final Units units;
    private final Assemblies assemblies;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Releases(
            ReleaseMapper mapper,
            TestRuns runs,
            Units units,
            Assemblies assemblies,
            ApplicationEventPublisher events,
            Clock clock) {
        this.events = events;
        this.mapper = mapper;
        this.runs = runs;
        this.units = units;
        this.assemblies = assemblies;
        this.clock = clock;
    }

    /** How a run stands after its end. */
    record ReleaseState(
            Decision suggested, boolean needsSignOff, Optional<ReleaseRow> release, Optional<SignOffRow> signOff) {

        /** Whether a lead hand still has to sign. */
        public boolean waits() {
            return needsSignOff && signOff.isEmpty();
        }
    }

    @Transactional(readOnly = true)
    ReleaseState of(RunSnapshot run) {
        return new ReleaseState(
                Decision.after(outcome(run)),
                assemblies.needsSignOff(run.revision().assemblyId()),
                Optional.ofNullable(mapper.lastOf(run.id())),
                Optional.ofNullable(mapper.signOffOf(run.id())));
    }

    private static RunOutcome outcome(RunSnapshot run) {
        return run.ended().map(RunSnapshot.RunEnd::outcome).orElse(RunOutcome.INCOMPLETE);
    }

    /** When a unit is due again, as typed. */
    record DueForm(String on, String hours, String cycles) {
        DueDate read(LocalDate today) {
            List<Problem> problems = new ArrayList<>();
            DueDate due = new DueDate(date(today, problems), hours(problems), cycles(problems));
            if (!problems.isEmpty()) {
                throw new Refusal(problems);
            }
            return due;
        }

        private @Nullable LocalDate date(LocalDate today, List<Problem> problems) {
            if (on.isBlank()) {
                return null;
            }
            Optional<LocalDate> day = DueDate.day(on, today);
            if (day.isEmpty()) {
                problems.add(new Problem(
                        "due_on", Message.of("due_form.not_accepted_expected", on.strip(), DueDate.EXPECTED)));
            }
            return day.orElse(null);
        }

        private @Nullable Double hours(List<Problem> problems) {
            String text = hours.strip().replace(',', '.');
            if (text.isEmpty()) {
                return null;
            }
            double value = text.matches("[0-9]{1,7}(?:\\.[0-9]{1,2})?") ? Double.parseDouble(text) : Double.NaN;
            if (!(value > 0 && value <= 1e6)) {
                problems.add(new Problem(
                        "due_hours", Message.of("due_form.not_accepted_expected_operating", hours.strip())));
            }
            return value;
        }

        private @Nullable Integer cycles(List<Problem> problems) {
            String text = cycles.strip();
            if (text.isEmpty()) {
                return null;
            }
            int value = text.matches("[0-9]{1,9}") ? Integer.parseInt(text) : 0;
            if (value == 0) {
                problems.add(new Problem("due_cycles", Message.of("due_form.not_accepted_expected_cycles", text)));
            }
            return value;
        }
    }

    /**
     * Decides on the unit of a run that is ended.
     *
     * @throws Refusal if the outcome does not allow it
     */
    @Transactional
    public void decide(long runId, Decision decision, DueForm form, String note, String by, boolean lead) {
        RunSnapshot run = held(runId);
        DueDate due = form.read(LocalDate.now(clock));
        decision.refusal(outcome(run), lead, due.isSaid()).ifPresent(reason -> {
            throw new Refusal("decision", reason);
        });
        mapper.insert(new ReleaseRow(
                runId,
                decision.name(),
                due.on(),
                due.hours(),
                due.cycles(),
                checked(note),
                by,
                clock.instant().truncatedTo(ChronoUnit.MILLIS)));
        units.setDue(run.unitId(), due);
        boolean waits = decision != Decision.QUARANTINE && of(run).waits();
        units.setState(run.unitId(), waits ? UnitState.ON_THE_BENCH : decision.unitState());
        tell(run, Words.say(decision.word()));
    }

    /**
     * Releases every chosen unit whose last test allows it, and says of the others why not: nothing is decided of them.
     *
     * @param day on which they are due again, as typed; empty for none
     * @return a sentence for what was released, then one for each unit that was not
     */
    @Transactional
    public List<String> releaseChosen(List<Long> chosen, String day, String by) {
        Units.mustBeChosen(chosen);
        DueForm due = new DueForm(day, "", "");
        due.read(LocalDate.now(clock));
        List<String> not = new ArrayList<>();
        int released = 0;
        for (LastTestRow last : mapper.lastTests(chosen)) {
            Optional<Message> reason = release(last, due, by);
            reason.ifPresent(each -> not.add(Words.say("releases.is_not_released", last.serial(), each)));
            released += reason.isEmpty() ? 1 : 0;
        }
        not.add(0, Words.say("releases.released", released));
        return not;
    }

    /** Why a unit is not released after its last test; empty where it is. */
    private Optional<Message> release(LastTestRow last, DueForm due, String by) {
        Long run = last.runId();
        String outcome = last.outcome();
        if (run == null) {
            return Optional.of(Message.of("releases.never_tested"));
        } else if (outcome == null) {
            return Optional.of(Message.of("releases.test_under_way"));
        } else if (last.released()) {
            return Optional.of(Message.of("releases.already"));
        }
        Decision decision = Decision.after(RunOutcome.ofStored(outcome));
        if (decision == Decision.QUARANTINE) {
            return Optional.of(Message.of("releases.last_test"));
        }
        try {
            decide(run, decision, due, "", by, false);
            return Optional.empty();
        } catch (Refusal e) {
            return Optional.of(e.problems().get(0).what());
        }
    }

    /** A lead hand, who did not make the test, signs for it. */
    @Transactional
    public void sign(long runId, String note, String by) {
        RunSnapshot run = held(runId);
        ReleaseState before = of(run);
        boolean own = by.equals(run.startedBy())
                || run.ended().filter(end -> end.by().equals(by)).isPresent();
        if (own) {
            throw new Refusal("", Message.of("releases.you_made_this_test"));
        }
        if (before.signOff().isPresent()) {
            return;
        }
        mapper.insertSignOff(
                new SignOffRow(runId, checked(note), by, clock.instant().truncatedTo(ChronoUnit.MILLIS)));
        tell(run, Words.say("audit.signed"));
        Decision decided =
                before.release().map(each -> Decision.valueOf(each.decision())).orElse(before.suggested());
        if (decided != Decision.QUARANTINE) {
            units.setState(run.unitId(), decided.unitState());
        }
    }

    private void tell(RunSnapshot run, String what) {
        events.publishEvent(new AuditEvent(
                AuditEvent.AuditKind.RELEASE,
                run.revision().assembly().name() + " " + run.serial(),
                Words.say("audit.decided", what, String.valueOf(run.id()))));
    }

    /** The run, with its unit held until the transaction ends: of two decisions at once the last counts altogether. */
    private RunSnapshot held(long runId) {
        units.hold(runs.find(runId).unitId());
        return ended(runId);
    }

    private RunSnapshot ended(long runId) {
        RunSnapshot run = runs.find(runId);
        if (run.isUnderWay()) {
            throw new Conflict(Message.of("releases.this_test_still_under"));
        }
        return run;
    }

    private static String checked(String note) {
        String text = note.strip();
        if (text.length() > LONGEST_NOTE) {
            throw new Refusal("note", Message.of("releases.that_characters_use_most", text.length(), LONGEST_NOTE));
        }
        return text;
    }
}
