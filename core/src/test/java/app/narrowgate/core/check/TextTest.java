package app.narrowgate.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** One rule for every text that comes from outside. Characters by the Unicode Standard 15; directions by its Annex 9. */
class TextTest {

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "\u200B", "\u2060\uFEFF", "\u00AD", "\u3164", "\u2800 \u115F", "\u0301", "\u00A0"})
    void whatShowsNothingIsEmpty(String invisible) {
        assertThat(Text.TITLE.problem("The title", invisible)).hasValueSatisfying(
                message -> assertThat(message).contains("is empty"));
        assertThat(Text.SENTENCE.problem("The cause", "")).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"half \uD83E", "\uDD4B half", "no\uFFFEcharacter", "no\uFDD0character", "nul\u0000"})
    void whatIsNoTextIsBroken(String broken) {
        assertThat(Text.isBroken(broken)).isTrue();
        assertThat(Text.TITLE.problem("The title", broken)).isPresent();
        assertThat(Text.isBroken(Text.shown(broken))).isFalse();
        assertThat(Text.shown("a" + broken + "\u202eb")).doesNotContain("\u202e");
    }

    @ParameterizedTest
    @ValueSource(strings = {"a\u0007b", "a\u2028b", "a\u2029b", "a\u0085b", "a\tb"})
    void oneLineIsOneLine(String lines) {
        assertThat(Text.TITLE.problem("The title", lines)).isPresent();
    }

    @ParameterizedTest
    @ValueSource(strings = {"Knie über die Hüfte", "膝を入れる", "חילוץ מהר", "هروب", "👩‍👧 with a joiner", "¿Y si se levanta?"})
    void wordsOfAnyScriptAreFine(String words) {
        assertThat(Text.TITLE.problem("The title", words)).isEmpty();
        assertThat(Text.tidy(words)).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({"u\u0308ber,\u00FCber", "tap\u202Enot\u202C,tapnot", "\u2066x\u2069,x", "\u212B,\u00C5"})
    void whatLooksTheSameIsTheSame(String typed, String kept) {
        assertThat(Text.tidy(typed)).isEqualTo(kept);
        assertThat(Text.tidy(kept)).isEqualTo(kept);
        assertThat(Text.TITLE.problem("The title", Text.tidy(typed))).isEmpty();
    }

    @Test
    void whatIsSaidOfAnInputCanBeSaid() {
        assertThat(new Problem("/\uD800", "“\u0000” is not a field").message()).isEqualTo("“\uFFFD” is not a field");
        assertThat(new RefusedException("“\uD800”").getMessage()).isEqualTo("“\uFFFD”");
    }
}
