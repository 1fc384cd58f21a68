package app.narrowgate.core.check;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/** A fixed choice that has a written code in files and in the API, such as {@code last-chance}. */
public interface Coded {

    /** Supplied by every enum. */
    String name();

    /** The written form: the constant's name in lower case with hyphens. */
    default String code() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }

    /** The constant of {@code type} written as {@code code}; empty when there is none. */
    static <E extends Enum<E> & Coded> Optional<E> of(Class<E> type, String code) {
        return Arrays.stream(type.getEnumConstants()).filter(e -> e.code().equals(code)).findFirst();
    }

    /**
     * The constant of {@code type} written as {@code code}.
     *
     * @throws RefusedException naming {@code name}, the code and those there are
     */
    static <E extends Enum<E> & Coded> E require(Class<E> type, String name, String code) {
        return of(type, code).orElseThrow(() -> new RefusedException(
                "%s is “%s”; it must be one of %s.".formatted(name, code, codes(type))));
    }

    /** All codes of {@code type}, in order, for an error sentence. */
    static <E extends Enum<E> & Coded> String codes(Class<E> type) {
        return Arrays.stream(type.getEnumConstants()).map(Coded::code).collect(Collectors.joining(", "));
    }
}
