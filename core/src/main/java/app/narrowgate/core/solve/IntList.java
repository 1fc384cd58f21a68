package app.narrowgate.core.solve;

import java.util.Arrays;

/** A growing list of ints without boxes. */
final class IntList {

    private int[] items = new int[16];
    private int size;

    void add(int item) {
        if (size == items.length) {
            items = Arrays.copyOf(items, size * 2);
        }
        items[size++] = item;
    }

    int get(int index) {
        return items[index];
    }

    int size() {
        return size;
    }

    int[] toArray() {
        return Arrays.copyOf(items, size);
    }
}
