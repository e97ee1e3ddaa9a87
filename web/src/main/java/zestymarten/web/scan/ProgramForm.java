package zestymarten.web.scan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.core.scan.ScanAction;
import zestymarten.core.scan.ScanVoltage;
import zestymarten.web.platform.TypedForm;

/** The form of a program before any test: which voltages, how long, with which limits, in which order. */
final class ProgramForm {
    private static final double MILLI = 1e-3;
    private static final double MEGA = 1e6;

    private final TypedForm typed;

    ProgramForm(TypedForm typed) {
        this.typed = typed;
    }

    /** The tests under voltage in their order; those that make no sense are left out and said. */
    List<ScanAction.MeasureContacts> voltages() {
        List<ScanAction.MeasureContacts> voltages = new ArrayList<>();
        withstand().ifPresent(voltages::add);
        insulation().ifPresent(voltages::add);
        if (typed.text("order").equals("insulation")) {
            Collections.reverse(voltages);
        }
        return voltages;
    }

    private Optional<ScanAction.MeasureContacts> withstand() {
        String kind = typed.text("withstand", "none");
        if (kind.equals("none")) {
            return Optional.empty();
        }
        if (!kind.equals("dc") && !kind.equals("ac")) {
            typed.refuse("withstand", Message.of("program_form.not_accepted_expected_none", kind));
            return Optional.empty();
        }
        double volts = typed.figure("volts", 1500);
        double hertz = kind.equals("ac") ? typed.figure("hertz", 50) : 0;
        double ramp = typed.figure("ramp", 2);
        double dwell = typed.figure("dwell", 60);
        double maximum = typed.figure("most_ma", 5) * MILLI;
        return made(
                "volts",
                () -> ScanAction.MeasureContacts.withstand(maximum, new ScanVoltage(volts, hertz, ramp, dwell)));
    }

    private Optional<ScanAction.MeasureContacts> insulation() {
        if (typed.text("insulation", "yes").equals("none")) {
            return Optional.empty();
        }
        double volts = typed.figure("insulation_v", 500);
        double dwell = typed.figure("insulation_s", 60);
        double minimum = typed.figure("least_mohm", 100) * MEGA;
        return made(
                "insulation_v",
                () -> ScanAction.MeasureContacts.insulation(
                        minimum, new ScanVoltage(volts, 0, ScanVoltage.USUAL_RAMP_S, dwell)));
    }

    private Optional<ScanAction.MeasureContacts> made(String field, Supplier<ScanAction.MeasureContacts> make) {
        try {
            return Optional.of(make.get());
        } catch (NotAccepted e) {
            typed.refuse(field, e.what());
            return Optional.empty();
        }
    }
}
