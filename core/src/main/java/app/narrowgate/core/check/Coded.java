package app.narrowgate.core.check;

import java.util.Optional;

/** A fixed choice that has a written code in files and in the API, such as {@code last-chance}. */
public interface Coded {

    /** Supplied by every enum. */
    String name();

    /** The written form: the constant's name in lower case with hyphens. */
    default String code() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < name().length(); i++) {
            char c = name().charAt(i);
            code.append(c == '_' ? '-' : c >= 'A' && c <= 'Z' ? (char) (c - 'A' + 'a') : c);
        }
        return code.toString();
    }

    /** The constant of {@code type} written as {@code code}; empty when there is none. */
    static <E extends Enum<E> & Coded> Optional<E> of(Class<E> type, String code) {
        for (E constant : type.getEnumConstants()) {
            if (constant.code().equals(code)) {
                return Optional.of(constant);
            }
        }
        return Optional.empty();
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
        StringBuilder codes = new StringBuilder();
        for (E constant : type.getEnumConstants()) {
            codes.append(codes.length() == 0 ? "" : ", ").append(constant.code());
        }
        return codes.toString();
    }
}
