package zestymarten.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only under names that are ours: numbers as addresses, localhost, and the names that it was started with. Under
 * any other name a foreign page could reach it (name re-binding), and what is made of the name would lead elsewhere.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class KnownHosts extends OncePerRequestFilter {
    private final Set<String> names;

    KnownHosts(
            @Value("${marten.public-url}") String publicUrl,
            @Value("${server.address}") String address,
            @Value("${marten.hosts}") String others) {
        names = Stream.concat(
                        Stream.of("localhost", address, publicUrl.isEmpty() ? "" : host(publicUrl)),
                        Stream.of(others.split("[ ,]+")))
                .filter(each -> !each.isBlank())
                .map(each -> each.toLowerCase(Locale.ROOT))
                .collect(Collectors.toUnmodifiableSet());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (isOurs(request.getServerName())) {
            chain.doFilter(request, response);
            return;
        }
        response.setStatus(421); // misdirected request, RFC 9110
        response.setContentType("text/plain;charset=UTF-8");
        response.getWriter().write(Words.say("known_hosts.this_installation_not_known"));
    }

    private boolean isOurs(String name) {
        return name.matches("[0-9.]+|\\[?[0-9a-fA-F:.]*:[0-9a-fA-F:.]*\\]?")
                || names.contains(name.toLowerCase(Locale.ROOT));
    }

    private static String host(String url) {
        String host = URI.create(url).getHost();
        if (host == null) {
            throw new IllegalArgumentException(
                    "The public address '" + url + "' must be like https://marten.example:8443.");
        }
        return host;
    }

    /** Whether an origin is the host that was asked. */
    static boolean isHost(String origin, @Nullable String host) {
        int at = origin.indexOf("://");
        return at >= 0 && host != null && origin.substring(at + 3).equalsIgnoreCase(host);
    }
}
