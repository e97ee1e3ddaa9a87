package zestymarten.web.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.authentication.CredentialsExpiredException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;
import zestymarten.web.platform.Destination;

/** What follows a sign-in: the page that somebody wanted, or the door again with the reason. */
@Component
class Welcome implements AuthenticationSuccessHandler, AuthenticationFailureHandler {
    private static final Pattern BROWSER = Pattern.compile("Edg|Firefox|Chrome|Safari");
    private static final Pattern SYSTEM = Pattern.compile("Android|iPhone|iPad|Windows|Macintosh|Linux");

    @Override
    public void onAuthenticationSuccess(HttpServletRequest request, HttpServletResponse response, Authentication who)
            throws IOException {
        String agent = String.valueOf(request.getHeader("User-Agent"));
        String from = (first(BROWSER, agent) + " " + first(SYSTEM, agent)).strip() + " at " + request.getRemoteAddr();
        request.getSession().setAttribute(SignedIn.FROM, from.strip());
        response.sendRedirect(Destination.of(next(request)));
    }

    private static String first(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        return matcher.find() ? matcher.group() : "";
    }

    private static String next(HttpServletRequest request) {
        String next = request.getParameter("next");
        return next == null ? "" : next;
    }

    @Override
    public void onAuthenticationFailure(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException why) throws IOException {
        String reason = why instanceof LockedException
                ? "wait"
                : why instanceof CredentialsExpiredException
                        ? "expired"
                        : why instanceof AuthenticationServiceException ? "away" : "wrong";
        response.sendRedirect(UriComponentsBuilder.fromPath("/sign-in")
                .queryParam(reason)
                .queryParam("next", "{next}")
                .encode()
                .buildAndExpand(Destination.of(next(request)))
                .toUriString());
    }
}
