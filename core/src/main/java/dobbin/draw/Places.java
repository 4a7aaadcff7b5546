package dobbin.draw;

import java.util.Arrays;

/** Places of pixels in a picture, row by row from the top left, to be worked off from the last. */
final class Places {
    private int[] places = new int[256];
    private int count;

    void push(int place) {
        if (count == places.length) {
            places = Arrays.copyOf(places, 2 * count);
        }
        places[count++] = place;
    }

    int pop() {
        return places[--count];
    }

    int get(int index) {
        return places[index];
    }

    int count() {
        return count;
    }

    void addAll(Places others) {
        for (int i = 0; i < others.count; i++) {
            push(others.places[i]);
        }
    }
}
