package zestymarten.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * How much a request may bring: 16 MB a document, 9 MB a file, 24 MB the form of a scan, 8 MB any other form, 100 kB
 * whatever a stranger sends. Refused by the length that is announced, or as soon as more has come than was announced.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 15)
class BodyLimits extends OncePerRequestFilter {
    private static final long KB = 1000;
    private static final long MB = 1_000_000;
    private static final long STRANGER = 100 * KB;
    private static final long FORM = 8 * MB;
    private static final long FILE = 9_500 * KB;
    private static final long DOCUMENT = 16 * MB;
    private static final long SCAN = 24 * MB;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long maximum = maximum(request);
        if (request.getContentLengthLong() > maximum) {
            response.setHeader("Connection", "close"); // what comes is not read
            Refusals.say(
                    request,
                    response,
                    HttpStatus.CONTENT_TOO_LARGE,
                    Words.say("body_limits.what_was_sent_bytes", request.getContentLengthLong(), maximum));
            return;
        }
        chain.doFilter(request.getContentLengthLong() < 0 ? new CountedRequest(request, maximum) : request, response);
    }

    private static long maximum(HttpServletRequest request) {
        String path = request.getRequestURI();
        String type = String.valueOf(request.getContentType());
        boolean stranger = request.getCookies() == null && request.getHeader("Authorization") == null;
        if (stranger || path.equals("/sign-in") || path.equals("/first")) {
            return STRANGER;
        }
        if (path.startsWith("/api/")) {
            return DOCUMENT;
        }
        return type.startsWith("multipart/") ? FILE : path.contains("/scan") ? SCAN : FORM;
    }

    /** A body whose length was not announced. */
    private static final class CountedRequest extends HttpServletRequestWrapper {
        private final long maximum;

        CountedRequest(HttpServletRequest request, long maximum) {
            super(request);
            this.maximum = maximum;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new CountedStream(super.getInputStream(), maximum);
        }
    }

    private static final class CountedStream extends ServletInputStream {
        private final ServletInputStream in;
        private long left;

        CountedStream(ServletInputStream in, long maximum) {
            this.in = in;
            left = maximum;
        }

        @Override
        public int read() throws IOException {
            int each = in.read();
            count(each < 0 ? 0 : 1);
            return each;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int count = in.read(into, from, length);
            count(Math.max(0, count));
            return count;
        }

        private void count(int came) throws IOException {
            left -= came;
            if (left < 0) {
                throw new IOException("More was sent than is accepted here.");
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
    }
}
