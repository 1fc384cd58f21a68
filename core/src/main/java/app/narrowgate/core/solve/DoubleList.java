package app.narrowgate.core.solve;

import java.util.Arrays;

/** A growing list of doubles without boxes. */
final class DoubleList {

    private double[] items = new double[16];
    private int size;

    void add(double item) {
        if (size == items.length) {
            items = Arrays.copyOf(items, size * 2);
        }
        items[size++] = item;
    }

    double[] toArray() {
        return Arrays.copyOf(items, size);
    }
}
