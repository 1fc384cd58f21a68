package app.narrowgate.exchange.markdown;

/** Words for Markdown (CommonMark). */
public final class Markdown {

    private static final String MARKED = "([\\\\`*_{}\\[\\]<>#|])";

    private Markdown() {
    }

    /** Words as they stand, with nothing in them taken for a mark. */
    public static String plain(String words) {
        return words.replaceAll(MARKED, "\\\\$1");
    }
}
