package app.narrowgate.core.picture;

/** A ball in the picture: where its middle is, how large it is, and how far towards whoever looks. */
record Disc(double x, double y, double radius, double near) {

    /** How far the disc reaches in a direction of length one. */
    double support(double cos, double sin) {
        return x * cos + y * sin + radius;
    }
}
