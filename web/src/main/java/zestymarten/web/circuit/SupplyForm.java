package zestymarten.web.circuit;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zestymarten.core.circuit.EarthFault;
import zestymarten.core.circuit.Earthing;
import zestymarten.core.circuit.Supply;
import zestymarten.core.conductor.Protection;
import zestymarten.core.conductor.ResidualDevice;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.web.platform.TypedForm;

/** Reads what feeds a circuit: the supply, the protective device, the residual current device and what was read of them. */
final class SupplyForm {
    private final TypedForm typed;

    SupplyForm(TypedForm typed) {
        this.typed = typed;
    }

    /** What feeds it; the usual figures where something makes no sense, which is then said. */
    Supply supply() {
        double volts = typed.figure("volts", 230);
        double drop = typed.figure("most_drop", 5) / 100;
        OptionalDouble ohm = typed.figure("ze", Message.of("circuit_form.supply_impedance_such_as"));
        OptionalDouble load = typed.figure("load", Message.of("circuit_form.load_amperes_such_as"));
        OptionalDouble leg = typed.figure("leg", Message.of("circuit_form.what_one_leg_may"));
        Optional<Protection> protection = protection();
        EarthFault fault = fault();
        try {
            return new Supply(volts, ohm, protection, load, drop, leg, fault);
        } catch (NotAccepted e) {
            typed.refuse("volts", e.what());
            return new Supply(230, ohm, protection, load, 0.05, leg, EarthFault.plain());
        }
    }

    private ResidualDevice.Wave wave() {
        String said = typed.text("rcd_wave", ResidualDevice.Wave.NOT_SAID.name());
        return Stream.of(ResidualDevice.Wave.values())
                .filter(each -> each.name().equals(said))
                .findFirst()
                .orElseGet(() -> {
                    typed.refuse("rcd_wave", Message.of("circuit_form.not_accepted_expected_wave", said));
                    return ResidualDevice.Wave.NOT_SAID;
                });
    }

    private OptionalDouble thousandth(String field, Message expected) {
        return times(0.001, typed.figure(field, expected));
    }

    private static OptionalDouble times(double factor, OptionalDouble figure) {
        return figure.isPresent() ? OptionalDouble.of(factor * figure.getAsDouble()) : figure;
    }

    /** The protective device; empty where none is said. */
    private Optional<Protection> protection() {
        String by = typed.text("device");
        OptionalDouble rated = typed.figure("rated", Message.of("circuit_form.rated_amperes_such_as"));
        if (by.isEmpty() || by.equals("none") || rated.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(Protection.of(by, rated.getAsDouble()));
        } catch (NotAccepted e) {
            typed.refuse("rated", e.what());
            return Optional.empty();
        }
    }

    /** What is asked of a fault to exposed metal, and what was read of it. */
    private EarthFault fault() {
        double factor = typed.figure("factor", EarthFault.USUAL_FACTOR);
        if (!(factor > 0 && factor <= 1)) {
            typed.refuse("factor", Message.of("circuit_form.not_accepted_expected_factor", typed.text("factor")));
            factor = EarthFault.USUAL_FACTOR;
        }
        return new EarthFault(
                earthing(),
                !typed.text("rule").equals("distribution"),
                factor,
                residual(),
                thousandth("rcd_ms", Message.of("circuit_form.trip_time_ms_rated")),
                thousandth("rcd5_ms", Message.of("circuit_form.trip_time_ms_five")),
                typed.figure("zs", Message.of("circuit_form.loop_impedance_such_as")),
                times(1000, typed.figure("breaking", Message.of("circuit_form.breaking_capacity_ka_such"))));
    }

    private Earthing earthing() {
        String said = typed.text("earthing", Earthing.TN.name());
        return Stream.of(Earthing.values())
                .filter(each -> each.name().equals(said))
                .findFirst()
                .orElseGet(() -> {
                    typed.refuse("earthing", Message.of("circuit_form.not_accepted_expected_tn", said));
                    return Earthing.TN;
                });
    }

    private Optional<ResidualDevice> residual() {
        String kind = typed.text("rcd");
        OptionalDouble rated = thousandth("rcd_ma", Message.of("circuit_form.rated_residual_current_ma"));
        if (kind.isEmpty() || kind.equals("none") || rated.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new ResidualDevice(wave(), kind.equals("S"), rated.getAsDouble()));
        } catch (NotAccepted e) {
            typed.refuse("rcd_ma", e.what());
            return Optional.empty();
        }
    }
}
