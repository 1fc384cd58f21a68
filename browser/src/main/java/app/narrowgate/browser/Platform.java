package app.narrowgate.browser;

/**
 * What the compiled code asks of its platform where the browser has it already, or where tables of the class library would
 * be larger than all that is compiled otherwise. {@code build.Substitutes} puts these in the place of the class library's.
 */
final class Platform {

    /** General categories of characters, as {@link Character#getType(int)} numbers them, by their names in Unicode. */
    private static final String[] CATEGORIES = {"Lu", "Ll", "Mn", "Mc", "Me", "Nd", "No", "Zs", "Zl", "Zp", "Cc", "Cf", "Co", "Cs", "Cn"};
    private static final byte[] TYPES = {Character.UPPERCASE_LETTER, Character.LOWERCASE_LETTER, Character.NON_SPACING_MARK,
        Character.COMBINING_SPACING_MARK, Character.ENCLOSING_MARK, Character.DECIMAL_DIGIT_NUMBER, Character.OTHER_NUMBER,
        Character.SPACE_SEPARATOR, Character.LINE_SEPARATOR, Character.PARAGRAPH_SEPARATOR, Character.CONTROL, Character.FORMAT,
        Character.PRIVATE_USE, Character.SURROGATE, Character.UNASSIGNED};

    private Platform() {
    }

    /** {@link String#formatted} for {@code %s}, {@code %d} and {@code %%}, which are all that the core's sentences use. */
    static String formatted(String pattern, Object[] values) {
        StringBuilder text = new StringBuilder();
        int next = 0;
        for (int i = 0; i < pattern.length(); i++) {
            char c = pattern.charAt(i);
            if (c != '%') {
                text.append(c);
                continue;
            }
            i++;
            char what = pattern.charAt(i);
            if (what == '%') {
                text.append('%');
            } else if (what == 's' || what == 'd') {
                Object value = values[next++];
                text.append(value instanceof Double number ? number(number) : String.valueOf(value));
            } else {
                throw new IllegalStateException("Impossible state: no sentence has %" + what);
            }
        }
        return text.toString();
    }

    /** A number as {@link Double#toString(double)} writes it, but for where its exponent begins. */
    static String number(double value) {
        String written = Js.written(value);
        int exponent = written.indexOf('e');
        if (exponent >= 0) {
            String digits = written.substring(0, exponent);
            String power = written.substring(exponent + (written.charAt(exponent + 1) == '+' ? 2 : 1));
            return (digits.indexOf('.') < 0 ? digits + ".0" : digits) + "E" + power;
        }
        boolean isWhole = value == Math.rint(value) && value - value == 0;
        return isWhole ? written + ".0" : written;
    }

    /** Normalization Form C. */
    static String composed(String value) {
        return Js.composed(value);
    }

    /** {@link Character#getType(int)}; {@link Character#OTHER_LETTER} for every letter, sign and punctuation that is not told apart here. */
    static int type(int c) {
        if (c > 0x20 && c < 0x7F) {
            return Character.OTHER_LETTER;
        }
        for (int i = 0; i < CATEGORIES.length; i++) {
            if (Js.isOf(c, CATEGORIES[i])) {
                return TYPES[i];
            }
        }
        return Character.OTHER_LETTER;
    }
}
