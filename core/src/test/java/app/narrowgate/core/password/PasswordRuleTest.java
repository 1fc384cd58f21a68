package app.narrowgate.core.password;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PasswordRuleTest {

    private static final List<String> NAMES = List.of("wren", "Wren Askeby", "Quarrystep Grappling");

    /** OWASP ASVS 4.0, 2.1.1, 2.1.2, 2.1.9: long enough is enough, of whatever characters, and 64 fit. */
    @ParameterizedTest
    @ValueSource(strings = {"open-the-gate", "two owls on skates", "żółw na rowerze", "𓀀 𓀁 𓀂 𓀃 𓀄 𓀅 𓀆 𓀇",
            "correct mare accumulator nail", "the quick brown fox and some more words to make it longer than sixty-four",
            "Wren sits on a cold roof"})
    void longOnesOfAnyCharactersAreAccepted(String password) {
        assertThat(PasswordRule.problem(password, NAMES)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "elevenchars", "six  blanks      "})
    void shortOnesAreRefused(String password) {
        assertThat(PasswordRule.problem(password, NAMES)).get().asString().contains("12");
    }

    @Test
    void beyondTheMostNothingIsCutOffButRefused() {
        String most = "ab cde fg hi".repeat(11).substring(0, 128);
        assertThat(PasswordRule.problem(most, NAMES)).isEmpty();
        assertThat(PasswordRule.problem(most + "x", NAMES)).get().asString().contains("129", "128");
    }

    /** OWASP ASVS 4.0, 2.1.7; which ones are chosen most is common knowledge, from memory. */
    @ParameterizedTest
    @ValueSource(strings = {"password1234", "P@ssw0rd!2024", "123456789012", "qwertyuiop123", "1q2w3e4r5t6y", "aaaaaaaaaaaa",
            "abcabcabcabc", "iloveyou12345", "Welcome123456", "abcdefghijklm", "changeme!!!!!", "0987654321098", "correcthorsebatterystaple",
            "jiu jitsu 1234"})
    void thoseThatAreTriedFirstAreRefused(String password) {
        assertThat(PasswordRule.problem(password, NAMES)).get().asString().contains("first that are tried");
    }

    @ParameterizedTest
    @ValueSource(strings = {"wrenaskeby2026", "Wren Askeby!!", "quarrystep grappling 1"})
    void onesOwnNameIsNone(String password) {
        assertThat(PasswordRule.problem(password, NAMES)).get().asString().contains("name");
    }
}
