package dobbin.server.web;

import dobbin.server.Settings;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Sees that bodies which drip in keep nobody else out. An address may send so many at a time. What is left of one when its request
 * is answered is read and thrown away, so that the browser gets to see the answer, but only as long as it comes fast enough.
 */
@Component
class Bodies implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    /** An attribute of a request whose body came too slowly: nobody waits for the rest of it. */
    static final String GIVEN_UP = "dobbin.givenUp";

    private final Settings settings;
    private final Map<String, Integer> underWay = new ConcurrentHashMap<>();

    Bodies(Settings settings) {
        this.settings = settings;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextValves(new Valve());
    }

    private final class Valve extends ValveBase {
        Valve() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            if (!hasBody(request)) {
                getNext().invoke(request, response);
                return;
            }
            String address = ClientAddress.of(request);
            int count = underWay.merge(address, 1, Integer::sum);
            try {
                if (count > settings.bodiesAtOnce()) {
                    ProblemWriter.write(
                            response,
                            HttpStatus.TOO_MANY_REQUESTS,
                            "Refused",
                            "Too much is being sent from your address at once. Wait until some of it has arrived.");
                    cutOff(request);
                    return;
                }
                getNext().invoke(request, response);
                if (request.getAttribute(GIVEN_UP) != null) {
                    cutOff(request);
                } else if (!request.isAsync()) {
                    readRest(request);
                }
            } finally {
                underWay.computeIfPresent(address, (key, now) -> now == 1 ? null : now - 1);
            }
        }
    }

    private static boolean hasBody(Request request) {
        return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
    }

    /** Below what controllers read from, which they may have closed. */
    private void readRest(Request request) {
        Pace pace = new Pace(settings.patience());
        Thrown away = new Thrown();
        try {
            while (!request.isFinished()) {
                int read = request.getCoyoteRequest().doRead(away);
                if (read < 0) {
                    return;
                }
                pace.came(read);
                if (pace.isTooSlow()) {
                    cutOff(request);
                    return;
                }
            }
        } catch (IOException e) {
            cutOff(request);
        }
    }

    private static final class Thrown implements ApplicationBufferHandler {
        private ByteBuffer buffer = ByteBuffer.allocate(0);

        @Override
        public void setByteBuffer(ByteBuffer newBuffer) {
            buffer = newBuffer;
        }

        @Override
        public ByteBuffer getByteBuffer() {
            return buffer;
        }

        @Override
        public void expand(int size) {
            // It is given buffers, and fills none.
        }
    }

    /** The rest of the body is not read; the connection is closed after the answer. */
    private static void cutOff(Request request) {
        request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
    }
}
