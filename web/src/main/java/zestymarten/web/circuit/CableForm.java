package zestymarten.web.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import zestymarten.core.assembly.CrossSection;
import zestymarten.core.assembly.Metal;
import zestymarten.core.circuit.CableStretch;
import zestymarten.core.circuit.Circuit;
import zestymarten.core.circuit.Spur;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Metres;
import zestymarten.core.quantity.NotAccepted;
import zestymarten.web.platform.TypedForm;

/** Reads the cables of a circuit: the usual one, each stretch, each spur. What makes no sense is said at its field. */
final class CableForm {
    private static final double USUAL_M = 6;
    private static final String SECTION = "#?[\\d.,/]*\\d(?: *(?:AWG|kcmil))?";
    private static final Pattern STRETCH = Pattern.compile(
            "([\\d.,]+(?: *(?:m|ft|'))?)(?: +(" + SECTION + ") */ *(" + SECTION + "))?", Pattern.CASE_INSENSITIVE);
    /** A section without a stroke of its own, as gauges such as 1/0 have. */
    private static final String PLAIN = "(#?[\\d.,]+(?: *(?:AWG|kcmil|mm²))?)";

    private static final Pattern THREE_SECTIONS =
            Pattern.compile(".* " + PLAIN + " */ *" + PLAIN + " */ *" + PLAIN, Pattern.CASE_INSENSITIVE);
    private static final Pattern SPUR = Pattern.compile("(\\d{1,2}) *: *(.+)");
    private static final double MAX_MM2 = 1000;

    private final TypedForm typed;

    CableForm(TypedForm typed) {
        this.typed = typed;
    }

    /** The cable of every stretch for which nothing else is said. */
    CableStretch usual() {
        double line = section("line", 2.5);
        return new CableStretch(USUAL_M, line, section("neutral", line), section("protective", 1.5), metal());
    }

    private Metal metal() {
        String said = typed.text("metal", Metal.COPPER.code());
        return Stream.of(Metal.COPPER, Metal.ALUMINIUM)
                .filter(each -> each.code().equals(said))
                .findFirst()
                .orElseGet(() -> {
                    typed.refuse("metal", Message.of("circuit_form.not_accepted_expected_copper", said));
                    return Metal.COPPER;
                });
    }

    private double section(String field, double usual) {
        double mm2 = typed.section(field).orElse(usual);
        if (!(mm2 > 0 && mm2 <= MAX_MM2)) {
            typed.refuse(
                    field, Message.of("circuit_form.not_accepted_expected_section", typed.text(field), (int) MAX_MM2));
            return usual;
        }
        return mm2;
    }

    CableStretch stretch(String field, CableStretch usual) {
        if (!typed.has(field)) {
            return usual;
        }
        return cable(field, typed.text(field), usual).orElseGet(() -> {
            typed.refuse(field, Message.of("circuit_form.not_accepted_expected_length", typed.text(field)));
            return usual;
        });
    }

    /** Metres, and sections where they differ from the circuit's: {@code 6 4/2.5}, or with a neutral of its own {@code 6 4/2.5/2.5}. */
    private Optional<CableStretch> cable(String field, String text, CableStretch usual) {
        Matcher stretch = STRETCH.matcher(text);
        if (!stretch.matches()) {
            return Optional.empty();
        }
        try {
            double metres = Metres.of(stretch.group(1)).orElse(Double.NaN);
            if (stretch.group(2) == null) {
                return Optional.of(usual.withMetres(metres));
            }
            Matcher three = THREE_SECTIONS.matcher(text);
            boolean ofThree =
                    three.matches() && CrossSection.mm2(stretch.group(2)).isEmpty();
            List<String> sections = ofThree
                    ? List.of(three.group(1), three.group(2), three.group(3))
                    : List.of(stretch.group(2), stretch.group(2), stretch.group(3));
            return Optional.of(new CableStretch(
                    metres, mm2(sections.get(0)), mm2(sections.get(1)), mm2(sections.get(2)), usual.metal()));
        } catch (NotAccepted e) {
            typed.refuse(field, Message.of("circuit_form.not_accepted", text, e.what()));
            return Optional.of(usual);
        }
    }

    List<Spur> spurs(int outlets, CableStretch usual) {
        List<Spur> spurs = new ArrayList<>();
        for (String each : typed.text("spurs").split("[;]|, +")) {
            Matcher spur = SPUR.matcher(each.strip());
            Optional<CableStretch> cable = spur.matches() ? cable("spurs", spur.group(2), usual) : Optional.empty();
            int from = cable.isPresent() ? Integer.parseInt(spur.group(1)) : 0;
            long beside = spurs.stream().filter(one -> one.from() == from).count();
            if (cable.isPresent() && from >= 1 && from <= outlets && beside < Circuit.MAX_SPURS) {
                spurs.add(new Spur(from, cable.get()));
            } else if (cable.isPresent()) {
                typed.refuse(
                        "spurs",
                        Message.of(
                                "circuit_form.not_accepted_expected_outlet", each.strip(), outlets, Circuit.MAX_SPURS));
            } else if (!each.isBlank()) {
                typed.refuse("spurs", Message.of("circuit_form.not_accepted_expected_point", each.strip()));
            }
        }
        return spurs;
    }

    /** A section; what is none is refused by the stretch with its range. */
    private static double mm2(String text) {
        return CrossSection.mm2(text).orElse(Double.NaN);
    }
}
