package zestymarten.core.locate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zestymarten.core.analysis.Design;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.WireList;
import zestymarten.core.quantity.Problem;

class WireChainTest {
    private static final Design COLLECTOR = Design.of(
            WireList.read("wire,from,to,length_m,area_mm2,zone\nK1,A1.1,A2.1,2,25,\nK2,A3.1,A2.1,4,35,flexing\n"
                            + "K3,A3.1,A4.1,1,35,\nX1,A4.1,A9.1,1,10,\nX2,A4.1,A8.1,1,10,\n")
                    .assembly("Collector", AssemblyKind.DEVICE, "", Map.of()),
            20);

    private static WireChain chain(String wire, String... jumps) {
        return WireChain.of(COLLECTOR, COLLECTOR.conductor(wire), Set.of(jumps));
    }

    @Test
    void aChainGoesOnUntilSomethingBranchesOff() {
        WireChain chain = chain("K2");
        assertThat(chain.start().name()).isEqualTo("A4.1");
        assertThat(chain.parts().stream().map(WireChain.Part::name)).containsExactly("K3", "K2", "K1");
        assertThat(chain.parts().stream().map(each -> each.to().name())).containsExactly("A3.1", "A2.1", "A1.1");
        assertThat(chain("X1").parts()).as("ends at the branch").hasSize(1);
    }

    @Test
    void whatFlexesAndWhereItJumpedIsLikelier() {
        WireChain.Part plain = chain("K2").parts().get(0);
        WireChain.Part flexing = chain("K2").parts().get(1);
        assertThat(flexing.entry()).isEqualTo(3 * plain.entry());
        WireChain.Part marked = chain("K2", "flexing").parts().get(1);
        assertThat(marked.run()).isEqualTo(20 * flexing.run());
        assertThat(chain("K2", "A2").parts().get(1).exit()).isEqualTo(20 * flexing.exit());
    }

    @Test
    void whatNoProbeReachesIsOneStretchWithItsNeighbour() {
        List<Problem> problems = new ArrayList<>();
        Assembly assembly = AssemblyReader.read("""
                {"format": "zesty-marten/assembly", "version": 1, "name": "Spliced", "kind": "harness",
                 "joints": [{"id": "S1", "kind": "splice", "probe": false}, {"id": "S2", "kind": "screw", "probe": true}],
                 "conductors": [{"id": "W1", "from": "J1.1", "to": "S1", "max_ohm": 0.1},
                   {"id": "W2", "from": "S1", "to": "S2", "max_ohm": 0.2}, {"id": "W3", "from": "S2", "to": "J2.1", "max_ohm": 0.3}]}
                """, problems).orElseThrow();
        Chain chain = WireChain.of(
                        Design.of(assembly, 20), assembly.conductors().get(1), Set.of())
                .chain();
        assertThat(chain.stretches().stream().map(Chain.ChainStretch::name)).containsExactly("W1 W2", "W3");
        assertThat(chain.maxOhm(0)).isCloseTo(0.3, within(1e-9));
    }
}
