package zestymarten.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zestymarten.web.platform.Words;

class PasswordRulesTest {
    @Test
    void aLongPasswordOfWhateverLettersWillDo() {
        for (String good : new String[] {"wren carries thirty volts", "żółw-na-płocie", "correct battery 12"}) {
            assertThat(PasswordRules.objection("rook", good).map(each -> Words.say(each)))
                    .as(good)
                    .isEmpty();
        }
    }

    @Test
    void saysWhatIsWrongWithABadOne() {
        assertThat(PasswordRules.objection("rook", "elevenchars").map(each -> Words.say(each)))
                .hasValueSatisfying(each -> assertThat(Words.say(each))
                        .isEqualTo("The password is too short: use at least 12 characters."));
        assertThat(PasswordRules.objection("rook", "a".repeat(40) + "bcdefgh".repeat(6))
                        .map(each -> Words.say(each)))
                .hasValueSatisfying(each -> assertThat(Words.say(each)).contains("at most 72 bytes"));
        assertThat(PasswordRules.objection("rook", "ababababababab").map(each -> Words.say(each)))
                .hasValueSatisfying(each -> assertThat(Words.say(each)).contains("repeats itself"));
        assertThat(PasswordRules.objection("rook", "the Rook of today").map(each -> Words.say(each)))
                .hasValueSatisfying(each -> assertThat(Words.say(each)).contains("contains the user name"));
        assertThat(PasswordRules.objection("rook", "Password12345!").map(each -> Words.say(each)))
                .hasValueSatisfying(each -> assertThat(Words.say(each)).contains("tried first"));
    }

    @Test
    void oneTimePasswordsPassTheirOwnRulesAndAreNeverTheSame() {
        Set<String> made = new HashSet<>();
        for (int i = 0; i < 500; i++) {
            String password = PasswordRules.oneTime();
            assertThat(password).matches("([a-hjkmnp-z2-9]{4}-){3}[a-hjkmnp-z2-9]{4}");
            made.add(password);
        }
        assertThat(made).hasSize(500);
    }
}
