package zestymarten.web.unit;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.quantity.Message;
import zestymarten.core.testrun.UnitState;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Patterns;
import zestymarten.web.platform.Refusal;

/** The physical pieces built to an assembly. */
@Service
public class Units {
    private static final int LONGEST_SERIAL = 60;
    private static final int SHOWN = 200;

    /** Units on one page of the list. */
    public static final int PAGE = 50;

    /** Further on nobody pages; a search is quicker. */
    static final int LAST_PAGE = 200;

    /** Where a unit can stand. */
    private final UnitMapper mapper;

    private final Clock clock;

    Units(UnitMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** Units of an assembly by serial, the first {@value #SHOWN}. */
    @Transactional(readOnly = true)
    public List<UnitLine> of(long assemblyId) {
        return mapper.ofAssembly(assemblyId, SHOWN);
    }

    /** Units by assembly and serial, one page, whose serial or assembly contains a text; in a state, or in any if empty. */
    @Transactional(readOnly = true)
    public List<UnitLine> page(String search, String state, int page) {
        return mapper.page(Patterns.containing(search), state, PAGE, PAGE * Math.max(0, Math.min(page, LAST_PAGE)));
    }

    /** Units in quarantine, newest first. */
    @Transactional(readOnly = true)
    public List<UnitLine> quarantined(int limit) {
        return mapper.quarantined(limit);
    }

    /** Units that are due within some days or overdue, the most overdue first. */
    @Transactional(readOnly = true)
    public List<UnitLine> due(int days, int limit) {
        return mapper.due(LocalDate.now(clock).plusDays(days), limit);
    }

    /** When the unit is to be tested again. */
    @Transactional
    public void setDue(long id, DueDate due) {
        mapper.setDue(id, due);
    }

    @Transactional(readOnly = true)
    public UnitRow find(long id) {
        UnitRow row = mapper.find(id);
        if (row == null) {
            throw new NotFound(Message.of("units.there_no_unit_number", id));
        }
        return row;
    }

    /**
     * Units that were chosen on a page of the list, by assembly and serial.
     *
     * @throws Refusal if none was chosen, or more than a page has
     */
    @Transactional(readOnly = true)
    public List<UnitRow> chosen(List<Long> ids) {
        mustBeChosen(ids);
        return mapper.findAll(ids);
    }

    /** Units have to be chosen, and no more than a page has.
     *
     * @throws Refusal if they are not
     */
    public static void mustBeChosen(List<Long> ids) {
        if (ids.isEmpty() || ids.size() > PAGE) {
            throw new Refusal("unit", Message.of("units.units_chosen_expected_tick", ids.size(), PAGE));
        }
    }

    /** Chosen units are due on a day. */
    @Transactional
    public void setDue(List<Long> ids, String day) {
        mustBeChosen(ids);
        LocalDate on = DueDate.day(day, LocalDate.now(clock))
                .orElseThrow(() -> new Refusal(
                        "due_on", Message.of("units.not_accepted_expected", day.strip(), DueDate.EXPECTED)));
        mapper.setDueOn(ids, on);
    }

    /** The one unit of that serial, whatever its wiring. */
    @Transactional(readOnly = true)
    public UnitRow bySerial(String serial) {
        List<UnitRow> found = mapper.bySerial(serial);
        if (found.size() != 1) {
            throw new Refusal("serial", Message.of("units.not_accepted_expected_serial", serial, found.isEmpty()));
        }
        return found.get(0);
    }

    /** The unit of that serial, made if it is new, and held until the transaction ends. */
    @Transactional
    public UnitRow takeToTheBench(long assemblyId, String serial) {
        String clean = serial.strip();
        if (clean.isEmpty() || clean.length() > LONGEST_SERIAL) {
            throw new Refusal("serial", Message.of("units.not_accepted_expected_unit", serial, LONGEST_SERIAL));
        }
        mapper.insert(assemblyId, clean, clock.instant());
        UnitRow row = mapper.lock(assemblyId, clean);
        if (row == null) {
            throw new NotFound(Message.of("units.there_no_assembly_number", assemblyId));
        }
        return row;
    }

    /** Holds a unit until the transaction ends, so that what is decided on it at once comes one after the other. */
    public void hold(long id) {
        mapper.hold(id);
    }

    /** Where the unit goes from here. */
    @Transactional
    public void setState(long id, UnitState state) {
        mapper.setState(id, state.code());
    }
}
