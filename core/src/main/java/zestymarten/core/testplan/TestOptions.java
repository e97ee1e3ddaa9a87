package zestymarten.core.testplan;

import java.util.Optional;
import java.util.OptionalDouble;
import zestymarten.core.limit.InsulationRule;
import zestymarten.core.limit.WithstandRule;
import zestymarten.core.quantity.NotAccepted;

/**
 * How a run goes about its unit.
 *
 * @param method by which opens and shorts are looked for; any but the insulation test, which comes after
 * @param inPlace whether the wiring is in its machine or building, so that it has to be proved dead and unplugged first
 * @param quick whether it is resistance alone: no inspection, no proof of the frame contact, nothing moved, no last check
 * @param insulation the insulation test after continuity; empty for none
 * @param moisture whether water looks for damage under that test
 * @param withstand the withstand test after insulation; empty for none
 * @param order of stages and wires
 */
public record TestOptions(
        TestMethod method,
        boolean inPlace,
        boolean quick,
        Optional<InsulationRule> insulation,
        Moisture moisture,
        Optional<WithstandRule> withstand,
        Order order) {
    /** Ohms alone, both ends on the bench. */
    public static final TestOptions QUICK = new TestOptions(TestMethod.BOTH_ENDS, false, true, OptionalDouble.empty());

    public TestOptions {
        if (method == TestMethod.INSULATION) {
            throw new NotAccepted("test_options.insulation_tested_after");
        }
        if (insulation.isEmpty() && (withstand.isPresent() || moisture != Moisture.NONE)) {
            throw new NotAccepted("test_options.withstand_or_wet");
        }
        if (method.linksFarEnds() && !order.isBefore(Stage.CONTINUITY, Stage.SHORTS)) {
            throw new NotAccepted("test_options.with_far_ends");
        }
    }

    /** In the usual order, with an insulation test at so many volts DC or none. */
    public TestOptions(TestMethod method, boolean inPlace, boolean quick, OptionalDouble testV) {
        this(
                method,
                inPlace,
                quick,
                testV.isPresent() ? Optional.of(InsulationRule.ofVolts(testV.getAsDouble())) : Optional.empty(),
                Moisture.NONE,
                Optional.empty(),
                Order.USUAL);
    }

    /** The same in another order. */
    public TestOptions in(Order other) {
        return new TestOptions(method, inPlace, quick, insulation, moisture, withstand, other);
    }

    /** The same with other tests under voltage. */
    public TestOptions with(InsulationRule rule, Moisture wet, Optional<WithstandRule> high) {
        return new TestOptions(method, inPlace, quick, Optional.of(rule), wet, high, order);
    }
}
