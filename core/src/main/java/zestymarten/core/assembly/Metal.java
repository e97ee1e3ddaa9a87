package zestymarten.core.assembly;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.ResourceTable;

/**
 * What a conductor is made of.
 *
 * @param code as written in files: {@code copper}, {@code copper-coated}, {@code aluminium} or a row of the metals table
 * @param resistivity at 20 °C in ohm·mm²/m (IEC 60028, IEC 60889 or handbook), above 0
 * @param coefficient change of resistance per kelvin, referred to 20 °C
 */
public record Metal(String code, double resistivity, double coefficient) {
    private static final Map<String, Metal> KNOWN = ResourceTable.read(Metal.class, "metals.csv").stream()
            .map(row -> new Metal(
                    row.cell("metal"), Double.parseDouble(row.cell("rho20")), Double.parseDouble(row.cell("alpha20"))))
            .collect(Collectors.toMap(Metal::code, metal -> metal, (a, b) -> a, LinkedHashMap::new));

    /** Plain annealed copper: what a wire is taken for when nothing else is said. */
    public static final Metal COPPER = require("copper");

    public static final Metal ALUMINIUM = require("aluminium");

    private static final String COATED = "copper-coated";

    public Metal {
        if (!(resistivity > 0)) {
            throw new IllegalArgumentException(
                    "Metal '" + code + "': resistivity (" + resistivity + ") must be above 0.");
        }
    }

    /** The metal of that code, if it is known. Coated copper has the resistivity of copper; its limits differ. */
    public static Optional<Metal> of(String code) {
        if (code.equals(COATED)) {
            return Optional.of(new Metal(COATED, COPPER.resistivity, COPPER.coefficient));
        }
        return Optional.ofNullable(KNOWN.get(code));
    }

    /** Every code that {@link #of} knows, in the order of the table. */
    public static List<String> codes() {
        return Stream.concat(
                        Stream.of("copper", COATED), KNOWN.keySet().stream().skip(1))
                .toList();
    }

    /** What it is called where one is chosen, shortly. */
    public Message title() {
        return Message.of("metal_title." + code.replace('-', '_'));
    }

    /** Its name as standards have it. */
    public Message words() {
        return Message.of("metal." + code.replace('-', '_'));
    }

    /** Factor by which a resistance at 20 °C changes at another temperature. */
    public double factor(double celsius) {
        return 1 + coefficient * (celsius - 20);
    }

    private static Metal require(String code) {
        return Optional.ofNullable(KNOWN.get(code)).orElseThrow();
    }
}
