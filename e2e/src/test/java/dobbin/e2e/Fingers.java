package dobbin.e2e;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;

/** Fingers on a touch screen. */
final class Fingers {
    private final CDPSession session;

    Fingers(Page page) {
        session = page.context().newCDPSession(page);
    }

    /** @param places x and y of each finger that is down then */
    void down(double... places) {
        send("touchStart", places);
    }

    /** @param places x and y of each finger that is down */
    void move(double... places) {
        send("touchMove", places);
    }

    /** Lifts all fingers. */
    void up() {
        send("touchEnd");
    }

    private void send(String type, double... places) {
        JsonArray points = new JsonArray();
        for (int i = 0; i < places.length; i += 2) {
            JsonObject point = new JsonObject();
            point.addProperty("id", i / 2);
            point.addProperty("x", places[i]);
            point.addProperty("y", places[i + 1]);
            points.add(point);
        }
        JsonObject event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", points);
        session.send("Input.dispatchTouchEvent", event);
    }
}
