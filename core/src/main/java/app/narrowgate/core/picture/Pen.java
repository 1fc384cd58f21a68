package app.narrowgate.core.picture;

/**
 * Writes a path of SVG as short as it can be said: whole numbers, told from the last point, no space where none is needed.
 */
final class Pen {

    /** How far an arc may lie from its chord to be drawn as one. */
    private static final double HARDLY = .35;

    private final StringBuilder path = new StringBuilder();
    private boolean down;
    private int x;
    private int y;

    /** The next point begins a new line. */
    void lift() {
        down = false;
    }

    /** A straight line to there, or a beginning there. */
    void line(int toX, int toY) {
        if (!down) {
            path.append('M').append(pair(toX, toY));
            down = true;
        } else if (toX != x || toY != y) {
            path.append('l').append(pair(toX - x, toY - y));
        }
        x = toX;
        y = toY;
    }

    /**
     * An arc anticlockwise to there; y runs downwards, so that anticlockwise is the sweep 0. One that is hardly bent is a
     * line.
     */
    void arc(int radius, boolean large, int toX, int toY) {
        int square = (toX - x) * (toX - x) + (toY - y) * (toY - y);
        if (!large && square < 8 * HARDLY * radius) {
            line(toX, toY);
        } else {
            path.append('a').append(radius).append(' ').append(radius).append(" 0 ").append(large ? 1 : 0).append('0')
                    .append(pair(toX - x, toY - y));
        }
        x = toX;
        y = toY;
    }

    /** Back to where the line began; the next point begins a new one. */
    Pen close() {
        path.append('z');
        down = false;
        return this;
    }

    private static String pair(int a, int b) {
        return b < 0 ? a + "" + b : a + " " + b;
    }

    @Override
    public String toString() {
        return path.toString();
    }
}
