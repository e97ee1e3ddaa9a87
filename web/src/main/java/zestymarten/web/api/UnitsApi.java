package zestymarten.web.api;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import zestymarten.core.testrun.RunOutcome;
import zestymarten.web.unit.UnitLine;
import zestymarten.web.unit.Units;

/** Units over HTTP, with the result of the last test of each. */
@RestController
@RequestMapping("/api/v1/units")
class UnitsApi {
    private final Units units;

    UnitsApi(Units units) {
        this.units = units;
    }

    /** A unit as it stands. */
    record UnitAnswer(
            long id,
            long assemblyId,
            String assembly,
            String serial,
            String state,
            Optional<LocalDate> dueOn,
            Optional<Long> lastTest,
            Optional<String> lastResult) {}

    @GetMapping
    List<UnitAnswer> list(
            @RequestParam(defaultValue = "") String search,
            @RequestParam(defaultValue = "") String state,
            @RequestParam(defaultValue = "0") int page) {
        return units.page(search, state, page).stream().map(UnitsApi::answer).toList();
    }

    private static UnitAnswer answer(UnitLine line) {
        return new UnitAnswer(
                line.id(),
                line.assemblyId(),
                line.assembly(),
                line.serial(),
                line.state().code(),
                Optional.ofNullable(line.dueOn()),
                Optional.ofNullable(line.lastRun()),
                Optional.ofNullable(line.lastOutcome())
                        .map(each -> RunOutcome.ofStored(each).code()));
    }
}
