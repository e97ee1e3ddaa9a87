package zestymarten.web.portable;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.portable.LeadTest;
import zestymarten.core.portable.LeadVerdict;
import zestymarten.core.quantity.Message;
import zestymarten.core.testrun.UnitState;
import zestymarten.web.assembly.Assemblies;
import zestymarten.web.assembly.Revision;
import zestymarten.web.meter.Meters;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;
import zestymarten.web.unit.DueDate;
import zestymarten.web.unit.UnitRow;
import zestymarten.web.unit.Units;
import zestymarten.web.worksheet.SavedSheet;
import zestymarten.web.worksheet.Worksheets;

/** Days on which a batch of leads is tested: each lead is one entry, and where its unit goes follows from it. */
@Service
class BatchTests {
    private static final int SHOWN = 8;
    private static final int MAX_LEADS = 500;
    private static final int LONGEST_TAG = 60;
    /** A lead to be watched comes back in half the time. */
    private static final int SOONER = 2;

    private final BatchMapper mapper;
    private final Assemblies assemblies;
    private final Meters meters;
    private final Units units;
    private final Worksheets sheets;
    private final Clock clock;

    BatchTests(BatchMapper mapper, Assemblies assemblies, Meters meters, Units units, Worksheets sheets, Clock clock) {
        this.mapper = mapper;
        this.assemblies = assemblies;
        this.meters = meters;
        this.units = units;
        this.sheets = sheets;
        this.clock = clock;
    }

    /** A day with its leads, and how a lead of it is checked. */
    record Day(DayRow row, Revision revision, LeadTest check, List<LeadRow> leads) {
        /** The first lead that is not done. */
        Optional<LeadRow> next() {
            return leads.stream().filter(each -> !each.isDone()).findFirst();
        }

        LeadRow lead(int position) {
            return leads.stream()
                    .filter(each -> each.position() == position)
                    .findFirst()
                    .orElseThrow(() -> new NotFound(Message.of("day.this_day_has_no", position)));
        }
    }

    @Transactional(readOnly = true)
    List<DayRow> last() {
        return mapper.last(SHOWN);
    }

    /**
     * Begins a day.
     *
     * @param row without its number, its time and its author
     * @param tags a line each
     */
    @Transactional
    long begin(DayRow row, String tags, String by) {
        List<String> clean = Arrays.stream(tags.split("[\\n,;]"))
                .map(String::strip)
                .filter(each -> !each.isEmpty())
                .distinct()
                .toList();
        if (clean.isEmpty() || clean.size() > MAX_LEADS) {
            throw new Refusal("tags", Message.of("batch_tests.read_tags_expected_line", clean.size(), MAX_LEADS));
        }
        clean.stream().filter(each -> each.length() > LONGEST_TAG).findFirst().ifPresent(each -> {
            throw new Refusal("tags", Message.of("batch_tests.tag_longer_than_characters", each, LONGEST_TAG));
        });
        long id = mapper.insert(new DayRow(
                0,
                row.revisionId(),
                "",
                row.meterId(),
                row.leadsOhm(),
                row.ambientC(),
                row.testV(),
                row.onScrews(),
                row.months(),
                by,
                clock.instant()));
        mapper.insertLeads(id, clean);
        return id;
    }

    @Transactional(readOnly = true)
    Day find(long id) {
        DayRow row = mapper.find(id);
        if (row == null) {
            throw new NotFound(Message.of("batch_tests.there_no_batch_test", id));
        }
        Revision revision = assemblies.revision(row.revisionId());
        TestConditions conditions = new TestConditions(
                row.ambientC(),
                meters.find(row.meterId()).meter(),
                OptionalDouble.of(row.leadsOhm()),
                LeadPolicy.FULL,
                false,
                TestConditions.JOINED_BELOW_OHM);
        LeadTest check = new LeadTest(revision.assembly(), conditions, row.testV(), row.onScrews());
        return new Day(row, revision, check, mapper.leads(id));
    }

    /**
     * Judges what was typed of a lead. A final verdict is kept in its unit's record, and the unit goes into service or into
     * quarantine by it; anything else changes nothing.
     */
    @Transactional
    LeadVerdict enter(Day day, int position, Map<String, String> typed, String by) {
        LeadRow lead = day.lead(position);
        LeadVerdict verdict = day.check().judge(typed);
        if (verdict.outcome().isFinal()) {
            UnitRow unit = units.takeToTheBench(day.revision().assemblyId(), lead.tag());
            long sheet = sheets.keepFor(unit.id(), kept(day, lead, verdict), by);
            mapper.insertResult(
                    day.row().id(),
                    position,
                    sheet,
                    unit.id(),
                    verdict.outcome().code(),
                    clock.instant());
            settle(unit.id(), day.row(), verdict.outcome());
        }
        return verdict;
    }

    private static SavedSheet kept(Day day, LeadRow lead, LeadVerdict verdict) {
        Map<String, String> fields = new LinkedHashMap<>();
        verdict.answers().forEach(each -> fields.put(each.item().id(), each.typed()));
        fields.put("day", String.valueOf(day.row().id()));
        fields.put("position", String.valueOf(lead.position()));
        return new SavedSheet(
                SavedSheet.SavedTool.BATCH_TEST,
                lead.tag(),
                fields,
                String.join(" ", Words.all(verdict.says())),
                LeadRow.state(verdict.outcome()));
    }

    private void settle(long unitId, DayRow day, LeadVerdict.LeadOutcome outcome) {
        LocalDate today = LocalDate.now(clock);
        switch (outcome) {
            case PASS -> {
                units.setState(unitId, UnitState.IN_SERVICE);
                units.setDue(unitId, new DueDate(today.plusMonths(day.months()), null, null));
            }
            case MARGINAL -> {
                units.setState(unitId, UnitState.IN_SERVICE);
                units.setDue(unitId, new DueDate(today.plusDays(day.months() * 30L / SOONER), null, null));
            }
            case FAIL -> units.setState(unitId, UnitState.QUARANTINED);
            case SCREWS_ONLY -> units.setState(unitId, UnitState.ON_THE_BENCH);
            case INCOMPLETE -> throw new IllegalStateException("Only a final verdict settles a lead.");
        }
    }

    /** Where a kept lead of a day stands: the day's number and its place. */
    @Transactional(readOnly = true)
    Map<String, String> kept(long sheetId) {
        return sheets.fields(SavedSheet.SavedTool.BATCH_TEST, sheetId);
    }
}
