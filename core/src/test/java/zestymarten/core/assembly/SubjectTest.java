package zestymarten.core.assembly;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a manual step concerns is kept as a code, and read back from it. */
class SubjectTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "J1",
                "door half open",
                "cover under the desk",
                "@mate J3",
                "@cover J2",
                "@pierced J2",
                "@cut J2",
                "@stand_in F1",
                "@length W1 J2.1",
                "@length left wire J2.1",
                "@far_end_links",
                "@moving_part",
                "@far_end",
                "@there",
                "@back",
                "@scanner",
                "@length W1",
                "@length W1 J2.1.1",
                "@nothing of ours"
            })
    void everyCodeIsReadBack(String code) {
        assertThat(Subject.of(code).code()).isEqualTo(code);
        assertThat(Subject.of(code)).isEqualTo(Subject.of(code));
    }

    @Test
    void aKindIsNoName() {
        assertThat(Subject.of("@mate J3")).isEqualTo(new Subject.MateOf("J3"));
        assertThat(Subject.of("@length left wire J2.1"))
                .isEqualTo(new Subject.LengthOf("left wire", Terminal.of("J2.1")));
        assertThat(Subject.of("@there")).isSameAs(Subject.Sole.THERE);
        assertThat(Subject.of("@length W1 J2.1.1")).as("no such end").isEqualTo(new Subject.Named("@length W1 J2.1.1"));
        assertThat(Subject.of("").isNothing()).isTrue();
        assertThat(Subject.of("J1").isNothing()).isFalse();
    }

    @Test
    void whatWasOpenedSaysWhichHarmWasDone() {
        assertThat(new Subject.WayTo("J2", Access.Harm.NONE)).isEqualTo(new Subject.WayTo("J2", Access.Harm.OPEN));
        assertThat(new Subject.WayTo("J2", Access.Harm.PIERCE).words().code()).isEqualTo("subject.pierced");
        assertThat(new Subject.WayTo("J2", Access.Harm.CUT).words().code()).isEqualTo("subject.cut");
        assertThat(Subject.Sole.BACK.words().code()).isEqualTo("sole.back");
        assertThat(new Subject.Named("J1").words().arguments()).hasToString("[J1]");
    }
}
