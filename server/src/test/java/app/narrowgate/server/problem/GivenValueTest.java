package app.narrowgate.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class GivenValueTest {

    @Test
    void aValueIsRepeatedShortlyAndWithoutWhatIsHidden() {
        assertThat(GivenValue.told("minutes", "x")).isEqualTo("“minutes” is “x”");
        assertThat(GivenValue.told("minutes", 0.5)).isEqualTo("“minutes” is “0.5”");
        assertThat(GivenValue.told("words", "a".repeat(5000))).hasSizeLessThan(100).endsWith("…”");
        assertThat(GivenValue.told("words", "a\u0000\u202eb")).doesNotContain("\u0000").doesNotContain("\u202e");
        assertThat(GivenValue.told("words", null)).isEqualTo("“words” is missing");
    }

    @Test
    void neitherPasswordsNorTheProgramsOwnWordsAreTold() {
        assertThat(GivenValue.told("password", "open-sesame")).doesNotContain("open-sesame");
        assertThat(GivenValue.told("newPassword", "open-sesame")).doesNotContain("open-sesame");
        assertThat(GivenValue.told("read", new String[] {"1", "2"})).isEqualTo("“read” is given 2 times");
        assertThat(GivenValue.told("parts", List.of())).isEqualTo("“parts” has 0 entries");
        assertThat(GivenValue.told("part", new Object())).isEqualTo("“part” is not right");
    }
}
