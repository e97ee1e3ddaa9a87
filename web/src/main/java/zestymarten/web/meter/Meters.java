package zestymarten.web.meter;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.AuditEvent;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** The workshop's meters. */
@Service
public class Meters {
    private static final int MAX = 200;
    private static final int ZEROS = 100;

    private final MeterMapper mapper;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Meters(MeterMapper mapper, ApplicationEventPublisher events, Clock clock) {
        this.mapper = mapper;
        this.events = events;
        this.clock = clock;
    }

    /** Tops of ranges as they are stored: figures with spaces between. */
    public static List<Double> ranges(String stored) {
        return Arrays.stream(stored.split(" "))
                .filter(each -> !each.isEmpty())
                .map(Double::valueOf)
                .toList();
    }

    /** By name, the first {@value #MAX}. */
    @Transactional(readOnly = true)
    public List<MeterRow> all() {
        return mapper.all(MAX);
    }

    @Transactional(readOnly = true)
    public MeterRow find(long id) {
        MeterRow row = mapper.find(id);
        if (row == null) {
            throw new NotFound(Message.of("meters.there_no_meter_number", id));
        }
        return row;
    }

    /** Where the meter of that name answers; empty where its readings are typed. */
    @Transactional(readOnly = true)
    public Optional<String> address(String name) {
        return Optional.ofNullable(mapper.addressOf(name));
    }

    /** Where the first insulation tester that has an address answers; empty where there is none. */
    @Transactional(readOnly = true)
    public Optional<String> testerAddress() {
        return all().stream()
                .filter(each -> !each.testVoltages().isEmpty())
                .flatMap(each -> Optional.ofNullable(each.address()).stream())
                .findFirst();
    }

    /** Whether the day until which it is calibrated is past. */
    boolean isOverdue(MeterRow row) {
        return row.calibratedUntil() != null && row.calibratedUntil().isBefore(LocalDate.now(clock));
    }

    /** What its joined leads read in its last runs, the newest first. */
    @Transactional(readOnly = true)
    List<ZeroRow> zeros(String name) {
        return mapper.zeros(name, ZEROS);
    }

    /** Keeps a new meter, or the changed figures of one that is there. */
    @Transactional
    public void keep(long id, MeterRow row) {
        Long other = mapper.idOf(row.name());
        if (other != null && other != id) {
            throw new Refusal("name", Message.of("meters.there_meter_called_already", row.name()));
        }
        if (id == 0) {
            mapper.insert(row);
        } else {
            find(id);
            mapper.update(row);
        }
        events.publishEvent(
                new AuditEvent(AuditEvent.AuditKind.METER, row.name(), id == 0 ? Words.say("audit.new") : ""));
    }

    java.time.Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}
