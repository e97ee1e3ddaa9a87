package zestymarten.web.testrun;

import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.quantity.Message;
import zestymarten.core.testplan.TestOptions;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;

/** Ways of testing that are kept with an assembly. */
@Service
class Plans {
    private static final int LONGEST_NAME = 60;

    private final PlanMapper mapper;
    private final Clock clock;

    Plans(PlanMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** The plans of an assembly, by name. */
    @Transactional(readOnly = true)
    public List<KeptPlan> of(long assemblyId) {
        return mapper.of(assemblyId);
    }

    /**
     * A plan of an assembly.
     *
     * @throws NotFound if it has none of that number
     */
    @Transactional(readOnly = true)
    public KeptPlan find(long assemblyId, long plan) {
        return of(assemblyId).stream()
                .filter(each -> each.id() == plan)
                .findFirst()
                .orElseThrow(() -> new NotFound(Message.of("plans.this_assembly_has_no")));
    }

    /**
     * Keeps a plan; one of the same name is replaced. Runs that began by it stay as they are.
     *
     * @throws Refusal if the name is none
     */
    @Transactional
    public long keep(long assemblyId, String name, TestOptions approach, String by) {
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new Refusal("plan_name", Message.of("plans.not_accepted_expected_name", name, LONGEST_NAME));
        }
        return mapper.keep(assemblyId, name, ApproachRow.of(approach), by, clock.instant());
    }
}
