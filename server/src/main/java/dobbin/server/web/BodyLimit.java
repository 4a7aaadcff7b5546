package dobbin.server.web;

import dobbin.server.Settings;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.time.Duration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Bounds what is read into memory of a request, and for how long anything is: files have a size of their own and go to the
 * disk.
 */
@Component
class BodyLimit extends OncePerRequestFilter {
    private static final long MOST_BYTES = 4_000_000;

    private final Settings settings;

    BodyLimit(Settings settings) {
        this.settings = settings;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = request.getContentType();
        boolean isFile = type != null && type.startsWith(MediaType.APPLICATION_OCTET_STREAM_VALUE);
        chain.doFilter(new Limited(request, isFile ? Long.MAX_VALUE : MOST_BYTES, settings.patience()), response);
    }

    private static final class Limited extends HttpServletRequestWrapper {
        private final long most;
        private final Pace pace;

        Limited(HttpServletRequest request, long most, Duration patience) {
            super(request);
            this.most = most;
            this.pace = new Pace(patience);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (getContentLengthLong() > most) {
                throw tooLarge();
            }
            ServletInputStream in = super.getInputStream();
            return new ServletInputStream() {
                private long left = most;

                @Override
                public int read() throws IOException {
                    int one = timely(in::read);
                    count(one < 0 ? 0 : 1);
                    return one;
                }

                @Override
                public int read(byte[] into, int offset, int length) throws IOException {
                    int read = timely(() -> in.read(into, offset, length));
                    count(Math.max(0, read));
                    return read;
                }

                private void count(int read) {
                    left -= read;
                    pace.came(read);
                    if (left < 0) {
                        throw tooLarge();
                    }
                    if (pace.isTooSlow()) {
                        throw tooSlow();
                    }
                }

                @Override
                public boolean isFinished() {
                    return in.isFinished();
                }

                @Override
                public boolean isReady() {
                    return in.isReady();
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    in.setReadListener(listener);
                }
            };
        }

        private interface Read {
            int now() throws IOException;
        }

        /** If no byte arrives for a while, the container ends the read. */
        private int timely(Read read) throws IOException {
            try {
                return read.now();
            } catch (SocketTimeoutException e) {
                throw tooSlow();
            }
        }

        private Refused tooSlow() {
            setAttribute(Bodies.GIVEN_UP, true);
            return new Refused(
                    HttpStatus.REQUEST_TIMEOUT, "This came too slowly to wait for it. Try again over a faster line.");
        }

        private static Refused tooLarge() {
            return new Refused(
                    HttpStatus.CONTENT_TOO_LARGE,
                    "This is more than " + MOST_BYTES / 1_000_000 + " MB at once. Do it in smaller parts.");
        }
    }
}
