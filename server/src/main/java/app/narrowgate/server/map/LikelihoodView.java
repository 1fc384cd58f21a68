package app.narrowgate.server.map;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.Word;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;

/** How often: a word or a number, never both. */
@Schema(name = "Likelihood")
public record LikelihoodView(
        @Schema(allowableValues = {"rarely", "sometimes", "often", "usually"}) @Nullable String word,
        @Nullable Double number) {

    static LikelihoodView of(Likelihood likelihood) {
        return likelihood instanceof Likelihood.Said said
                ? new LikelihoodView(said.word().code(), null)
                : new LikelihoodView(null, ((Likelihood.Counted) likelihood).number());
    }

    /**
     * The likelihood itself.
     *
     * @throws RefusedException unless exactly one of word and number is given
     */
    public Likelihood toLikelihood(String name) {
        if ((word == null) == (number == null)) {
            throw new RefusedException(
                    "%s needs either a word (%s) or a number.".formatted(name, Coded.codes(Word.class)));
        }
        if (word == null) {
            return Likelihood.of(number);
        }
        return Likelihood.of(Coded.require(Word.class, name, word));
    }
}
