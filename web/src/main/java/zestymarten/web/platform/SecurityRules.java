package zestymarten.web.platform;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandlerImpl;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.www.BasicAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.web.util.HtmlUtils;
import org.springframework.web.util.UriComponentsBuilder;

/** Who may do what, and the headers that keep a page from running or fetching anything that is not ours. */
@Configuration(proxyBeanMethods = false)
class SecurityRules {
    private static final String TECHNICIAN = "TECHNICIAN";
    private static final String LEAD = "LEAD";
    private static final String ADMIN = "ADMIN";

    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'"
                    + " data:; font-src 'self'; connect-src 'self'; manifest-src 'self'; form-action 'self'; frame-ancestors"
                    + " 'none'; base-uri 'none'; object-src 'none'";

    /** The way back leads to the same page. */
    private final String cookie;

    SecurityRules(@Value("${server.servlet.session.cookie.name}") String cookie) {
        this.cookie = cookie;
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return new RememberingEncoder(new BCryptPasswordEncoder());
    }

    /**
     * The interface: a token, or the person's name and password by HTTP Basic. No session, so no cookie that a foreign page
     * could ride on; and nothing that a browser sends on behalf of a foreign page, which could ride on remembered passwords.
     */
    @Bean
    @Order(1)
    SecurityFilterChain api(HttpSecurity http, Bearers bearers) throws Exception {
        headers(http);
        AuthenticationEntryPoint refused = SecurityRules::toProgram;
        return http.securityMatcher("/api/**")
                .authorizeHttpRequests(rules -> rules.dispatcherTypeMatchers(DispatcherType.ERROR)
                        .permitAll()
                        .requestMatchers(SecurityRules::isOfForeignPage)
                        .denyAll()
                        .requestMatchers(HttpMethod.GET, "/api/**")
                        .authenticated()
                        .anyRequest()
                        .hasRole(TECHNICIAN))
                .addFilterBefore(new BearerFilter(bearers, refused), BasicAuthenticationFilter.class)
                .httpBasic(basic -> basic.realmName("Zesty Marten").authenticationEntryPoint(refused))
                .exceptionHandling(handling -> handling.authenticationEntryPoint(refused)
                        .accessDeniedHandler((request, response, failure) -> Refusals.say(
                                request,
                                response,
                                HttpStatus.FORBIDDEN,
                                isOfForeignPage(request)
                                        ? Words.say("security_rules.foreign_page")
                                        : Words.say("security_rules.role"))))
                .csrf(csrf -> csrf.disable())
                .requestCache(cache -> cache.disable())
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .build();
    }

    /** Whether a browser says that a page of another site has sent this; programs say nothing of the kind. */
    private static boolean isOfForeignPage(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader("Origin");
        boolean foreign = site != null && !site.equals("same-origin") && !site.equals("none");
        return foreign || (origin != null && !KnownHosts.isHost(origin, request.getHeader("Host")));
    }

    private static void toProgram(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException failure)
            throws IOException {
        if (failure instanceof AuthenticationServiceException) {
            Refusals.say(request, response, HttpStatus.SERVICE_UNAVAILABLE, Words.say(ErrorAnswers.DATABASE_AWAY));
        } else if (failure instanceof LockedException) {
            response.setHeader("Retry-After", "300");
            Refusals.say(request, response, HttpStatus.TOO_MANY_REQUESTS, Words.say("security_rules.slowed"));
        } else {
            response.setHeader("WWW-Authenticate", "Basic realm=\"Zesty Marten\"");
            Refusals.say(request, response, HttpStatus.UNAUTHORIZED, Words.say("security_rules.token"));
        }
    }

    @Bean
    @Order(2)
    SecurityFilterChain pages(
            HttpSecurity http, AuthenticationSuccessHandler welcome, AuthenticationFailureHandler sorry)
            throws Exception {
        headers(http);
        var forbidden = new AccessDeniedHandlerImpl();
        return http.authorizeHttpRequests(rules -> rules.dispatcherTypeMatchers(
                                DispatcherType.FORWARD, DispatcherType.ERROR, DispatcherType.ASYNC)
                        .permitAll()
                        .requestMatchers(
                                "/sign-in",
                                "/first",
                                "/webjars/**",
                                "/fonts/**",
                                "/vendor/**",
                                "/styles/**",
                                "/scripts/**",
                                "/*.js",
                                "/*.svg",
                                "/favicon.ico",
                                "/h/**",
                                "/away",
                                "/manifest.webmanifest",
                                "/actuator/health/**")
                        .permitAll()
                        .requestMatchers("/people/**", "/audit", "/audit.csv")
                        .hasRole(ADMIN)
                        .requestMatchers("/actuator/**")
                        .hasRole(LEAD)
                        .requestMatchers(HttpMethod.GET, "/**")
                        .authenticated()
                        .requestMatchers(
                                HttpMethod.POST,
                                "/sign-out",
                                "/account/**",
                                "/practice/**",
                                "/circuit",
                                "/circuit/sheet.*",
                                "/compare-leads",
                                "/units/labels.pdf",
                                "/units/units.csv",
                                "/code")
                        .authenticated()
                        .requestMatchers(
                                HttpMethod.POST, "/assemblies/*/sign-off", "/assemblies/*/learnt", "/runs/*/sign-off")
                        .hasRole(LEAD)
                        .anyRequest()
                        .hasRole(TECHNICIAN))
                .csrf(csrf -> csrf.csrfTokenRepository(tokens()))
                .requestCache(cache -> cache.disable())
                .formLogin(form ->
                        form.loginPage("/sign-in").successHandler(welcome).failureHandler(sorry))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in"))
                .exceptionHandling(handling -> handling.authenticationEntryPoint((request, response, failure) -> {
                            if (Refusals.isHtmx(request)) {
                                Refusals.inPlace(response, HttpStatus.UNAUTHORIZED, signedOut());
                            } else {
                                response.sendRedirect(door(request));
                            }
                        })
                        .accessDeniedHandler((request, response, failure) -> {
                            if (Refusals.isHtmx(request) && failure instanceof CsrfException) {
                                Refusals.inPlace(response, HttpStatus.FORBIDDEN, signedOut());
                            } else {
                                forbidden.handle(request, response, failure);
                            }
                        }))
                .build();
    }

    /** In a cookie of its own: a stranger who looks at the door makes no session. */
    private CookieCsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName(cookie + "-form");
        tokens.setCookieCustomizer(each -> each.sameSite("Strict").httpOnly(true));
        return tokens;
    }

    private static String door(HttpServletRequest request) {
        String query = request.getQueryString();
        String wanted = request.getRequestURI() + (query == null ? "" : "?" + query);
        boolean again = request.getMethod().equals("GET") && !wanted.equals("/");
        return again
                ? UriComponentsBuilder.fromPath("/sign-in")
                        .queryParam("next", "{next}")
                        .encode()
                        .buildAndExpand(Destination.of(wanted))
                        .toUriString()
                : "/sign-in";
    }

    private static void headers(HttpSecurity http) throws Exception {
        http.headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
                .permissionsPolicyHeader(policy -> policy.policy("camera=(self), microphone=(self), geolocation=()")));
    }

    private static String signedOut() {
        return HtmlUtils.htmlEscape(Words.say("security_rules.signed_out")) + " <a href=\"\">"
                + HtmlUtils.htmlEscape(Words.say("security_rules.sign_in")) + "</a>";
    }
}
