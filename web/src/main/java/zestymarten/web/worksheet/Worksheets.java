package zestymarten.web.worksheet;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;
import zestymarten.web.unit.Units;

/** Sheets that were kept: they are records and are never altered. */
@Service
public class Worksheets {
    private static final int SHOWN = 12;
    private static final int LONGEST_FORM = 60_000;
    private static final int LONGEST_SAID = 2000;
    private static final TypeReference<Map<String, String>> FIELDS = new TypeReference<>() {};

    private final WorksheetMapper mapper;
    private final Units units;
    private final JsonMapper json;
    private final Clock clock;

    Worksheets(WorksheetMapper mapper, Units units, JsonMapper json, Clock clock) {
        this.mapper = mapper;
        this.units = units;
        this.json = json;
        this.clock = clock;
    }

    /**
     * Keeps a sheet.
     *
     * @param serial of the unit to whose record it belongs; blank for none
     * @return its number
     * @throws Refusal where there is no such unit, or several
     */
    @Transactional
    public long keep(SavedSheet kept, String serial, String by) {
        @Nullable
        Long unit = serial.isBlank() ? null : units.bySerial(serial.strip()).id();
        return insert(kept, unit, by);
    }

    /** Keeps a sheet in the record of a unit. */
    @Transactional
    public long keepFor(long unitId, SavedSheet kept, String by) {
        return insert(kept, unitId, by);
    }

    private long insert(SavedSheet kept, @Nullable Long unitId, String by) {
        String fields = json.writeValueAsString(kept.fields());
        if (fields.length() > LONGEST_FORM) {
            throw new Refusal("form", Message.of("worksheets.that_too_much_save", fields.length(), LONGEST_FORM));
        }
        String says = kept.says().length() > LONGEST_SAID ? kept.says().substring(0, LONGEST_SAID) : kept.says();
        return mapper.insert(
                kept.tool().code(), kept.title().strip(), unitId, fields, says, kept.result(), by, clock.instant());
    }

    /** The form of a kept sheet as it was typed. */
    @Transactional(readOnly = true)
    public Map<String, String> fields(SavedSheet.SavedTool tool, long id) {
        String fields = mapper.fields(tool.code(), id);
        if (fields == null) {
            throw new NotFound(Message.of("worksheets.there_no_saved_sheet", id));
        }
        return json.readValue(fields, FIELDS);
    }

    /** The sheets that belong to a unit, newest first. */
    @Transactional(readOnly = true)
    public List<WorksheetLine> ofUnit(long unitId) {
        return mapper.ofUnit(unitId, SHOWN);
    }

    /** The last sheets of a tool, newest first. */
    @Transactional(readOnly = true)
    public List<WorksheetLine> last(SavedSheet.SavedTool tool) {
        return mapper.ofDesk(tool.code(), SHOWN);
    }
}
