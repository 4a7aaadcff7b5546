package dobbin.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Bounds what is read into memory of a request; files have a limit of their own and go to the disk. */
@Component
class BodyLimit extends OncePerRequestFilter {
    private static final long MOST_BYTES = 4_000_000;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = request.getContentType();
        boolean isFile = type != null && type.startsWith(MediaType.APPLICATION_OCTET_STREAM_VALUE);
        chain.doFilter(isFile ? request : new Limited(request), response);
    }

    private static final class Limited extends HttpServletRequestWrapper {
        Limited(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (getContentLengthLong() > MOST_BYTES) {
                throw tooLarge();
            }
            ServletInputStream in = super.getInputStream();
            return new ServletInputStream() {
                private long left = MOST_BYTES;

                @Override
                public int read() throws IOException {
                    int one = in.read();
                    count(one < 0 ? 0 : 1);
                    return one;
                }

                @Override
                public int read(byte[] into, int offset, int length) throws IOException {
                    int read = in.read(into, offset, length);
                    count(Math.max(0, read));
                    return read;
                }

                private void count(int read) {
                    left -= read;
                    if (left < 0) {
                        throw tooLarge();
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

        private static Refused tooLarge() {
            return new Refused(
                    HttpStatus.CONTENT_TOO_LARGE,
                    "This is more than " + MOST_BYTES / 1_000_000 + " MB at once. Do it in smaller parts.");
        }
    }
}
