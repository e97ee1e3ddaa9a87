package zestymarten.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.UriUtils;
import zestymarten.core.quantity.PlainText;

/**
 * Fields and parameters without the characters that nobody types: control characters that came in with a paste, halves of
 * characters, what is no character. Left out at this one place, so that whatever is stored can be printed. Bytes that are
 * no UTF-8 are refused.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 20)
class PlainRequest extends OncePerRequestFilter {
    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (isReadable(request)) {
            chain.doFilter(new Plain(request), response);
        } else {
            Refusals.say(
                    request, response, HttpStatus.BAD_REQUEST, Words.say("plain_request.parameter_address_not_utf"));
        }
    }

    /** Whether the address can be read; a body is read later, by whoever may send one. */
    private static boolean isReadable(HttpServletRequest request) {
        String query = request.getQueryString();
        if (query == null || query.indexOf('%') < 0) {
            return true;
        }
        try {
            StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(
                            UriUtils.decode(query, StandardCharsets.ISO_8859_1).getBytes(StandardCharsets.ISO_8859_1)));
            return true;
        } catch (CharacterCodingException | IllegalArgumentException e) {
            return false;
        }
    }

    private static final class Plain extends HttpServletRequestWrapper {
        Plain(HttpServletRequest request) {
            super(request);
        }

        @Override
        public @Nullable String getParameter(String name) {
            String value = super.getParameter(name);
            return value == null ? null : PlainText.of(value);
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            String[] values = super.getParameterValues(name);
            return values == null ? null : Stream.of(values).map(PlainText::of).toArray(String[]::new);
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            Map<String, String[]> plain = new LinkedHashMap<>();
            super.getParameterMap()
                    .forEach((name, values) ->
                            plain.put(name, Stream.of(values).map(PlainText::of).toArray(String[]::new)));
            return plain;
        }
    }
}
