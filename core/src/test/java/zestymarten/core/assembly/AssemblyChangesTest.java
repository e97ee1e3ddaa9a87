package zestymarten.core.assembly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import zestymarten.core.assembly.AssemblyChanges.ChangeSort;
import zestymarten.core.assembly.AssemblyChanges.RowChange;
import zestymarten.core.quantity.English;
import zestymarten.core.quantity.Problem;

class AssemblyChangesTest {
    private static Assembly read(String members) {
        List<Problem> problems = new ArrayList<>();
        String json = ("{'format':'zesty-marten/assembly','version':1,'name':'Lamp','kind':'harness'," + members + "}")
                .replace('\'', '"');
        return AssemblyReader.read(json, problems).orElseThrow(() -> new AssertionError(problems));
    }

    private static final String WIRES = "'conductors':[{'id':'W1','from':'J1.1','to':'J2.1','length_m':2},"
            + "{'id':'W2','from':'J1.2','to':'J2.2'}]";

    @Test
    void theSameDesignHasNoChanges() {
        assertThat(AssemblyChanges.between(read(WIRES), read(WIRES)).lines()).isEmpty();
    }

    @Test
    void saysWhichRowsWereAddedRemovedAndChangedAndHow() {
        Assembly after = read("'conductors':[{'id':'W1','from':'J1.1','to':'J2.1','length_m':2.5},"
                + "{'id':'W3','from':'J1.3','to':'J2.3','spare':true}],"
                + "'components':[{'id':'F1','kind':'fuse','a':'J2.1','b':'J3.1','max_ohm':0.1}],"
                + "'states':[{'id':'rest','closed':[]}]");
        assertThat(AssemblyChanges.between(read(WIRES), after).lines())
                .extracting(
                        RowChange::sort,
                        RowChange::kind,
                        RowChange::name,
                        each -> English.of(each.before()),
                        each -> English.of(each.after()))
                .containsExactly(
                        tuple(
                                ChangeSort.CHANGED,
                                "wire",
                                "W1",
                                "J1.1 to J2.1, 2 m, copper, class 5",
                                "J1.1 to J2.1, 2.5 m, copper, class 5"),
                        tuple(ChangeSort.REMOVED, "wire", "W2", "J1.2 to J2.2, copper, class 5", ""),
                        tuple(ChangeSort.ADDED, "wire", "W3", "", "J1.3 to J2.3, copper, class 5, spare"),
                        tuple(ChangeSort.ADDED, "part", "F1", "", "fuse, J2.1 to J3.1, max 0.1 Ω"),
                        tuple(ChangeSort.CHANGED, "connector", "J1", "2, 2 pins", "2, 2 pins"),
                        tuple(ChangeSort.CHANGED, "connector", "J2", "2, 2 pins", "2, 2 pins"),
                        tuple(ChangeSort.ADDED, "connector", "J3", "", "1, 1 pins"));
    }
}
