package zestymarten.core.testrun;

import java.util.List;
import java.util.OptionalDouble;
import zestymarten.core.quantity.English;
import zestymarten.core.testplan.TestMethod;
import zestymarten.core.testplan.TestOptions;

/** A cable of three cores and how its test is gone about, for the tests of a job. */
final class ThreeCores {
    static final String LIST = "wire,from,to,function,length_m,area_mm2,current_a,zone\n"
            + "W1,J1.1,J2.1,up,8,0.5,,flexing\nW2,J1.2,J2.2,down,8,0.5,2,flexing\nW3,J1.3,J2.3,horn,8,0.5,,\n";

    static TestOptions approach(TestMethod method, boolean inPlace) {
        return new TestOptions(method, inPlace, false, OptionalDouble.empty());
    }

    static final TestOptions WHOLE = approach(TestMethod.BOTH_ENDS, false);

    static List<String> found(Bench bench) {
        return bench.test().findings().stream()
                .map(found -> English.of(found.finding().message()))
                .toList();
    }

    static Bench untilRungOut(Bench bench) {
        return bench.manual("", "", "").type("b", "0.30", "0.6", "0.6", "0.6");
    }

    private ThreeCores() {}
}
