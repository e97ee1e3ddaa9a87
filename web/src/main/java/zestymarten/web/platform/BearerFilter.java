package zestymarten.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.authentication.WebAuthenticationDetailsSource;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets a program in that shows a token: {@code Authorization: Bearer marten_...}, by RFC 6750. */
final class BearerFilter extends OncePerRequestFilter {
    private static final String SCHEME = "Bearer ";

    private final Bearers bearers;
    private final AuthenticationEntryPoint refused;

    BearerFilter(Bearers bearers, AuthenticationEntryPoint refused) {
        this.bearers = bearers;
        this.refused = refused;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String header = request.getHeader("Authorization");
        if (header == null || !header.startsWith(SCHEME)) {
            chain.doFilter(request, response);
            return;
        }
        UserDetails who =
                bearers.bearer(header.substring(SCHEME.length()).strip()).orElse(null);
        if (who == null) {
            refused.commence(request, response, new BadCredentialsException("Unknown or revoked token."));
            return;
        }
        var authentication = UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
        authentication.setDetails(new WebAuthenticationDetailsSource().buildDetails(request));
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(authentication);
        SecurityContextHolder.setContext(context);
        chain.doFilter(request, response);
    }
}
