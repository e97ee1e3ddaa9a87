package zestymarten.web.platform;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandlerImpl;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who may do what, and the headers that keep a page from running or fetching anything that is not ours. */
@Configuration(proxyBeanMethods = false)
class SecurityRules {
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'"
                    + " data:; font-src 'self'; connect-src 'self'; manifest-src 'self'; form-action 'self'; frame-ancestors"
                    + " 'none'; base-uri 'none'; object-src 'none'";

    private static final String SIGNED_OUT =
            "<div class=\"say fault\" role=\"alert\"><p>You are signed out. Nothing of this was saved."
                    + " A reading comes back after you have signed in; copy anything else first."
                    + " <a href=\"\">Sign in</a></p></div>";

    @Bean
    PasswordEncoder passwordEncoder() {
        return new RememberingEncoder(new BCryptPasswordEncoder());
    }

    /** The interface: HTTP Basic, no session, so no cookie that a foreign page could ride on. */
    @Bean
    @Order(1)
    SecurityFilterChain api(HttpSecurity http) throws Exception {
        headers(http);
        return http.securityMatcher("/api/**")
                .authorizeHttpRequests(rules -> rules.dispatcherTypeMatchers(DispatcherType.ERROR)
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/**")
                        .authenticated()
                        .anyRequest()
                        .hasAnyRole("TECHNICIAN", "LEAD"))
                .httpBasic(basic -> basic.realmName("Zesty Marten"))
                .csrf(csrf -> csrf.disable())
                .requestCache(cache -> cache.disable())
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .build();
    }

    @Bean
    @Order(2)
    SecurityFilterChain pages(HttpSecurity http) throws Exception {
        headers(http);
        var toSignIn = new LoginUrlAuthenticationEntryPoint("/sign-in");
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
                                "/*.css",
                                "/*.js",
                                "/*.svg",
                                "/favicon.ico",
                                "/actuator/health")
                        .permitAll()
                        .requestMatchers("/actuator/**")
                        .hasRole("LEAD")
                        .requestMatchers(HttpMethod.GET, "/**")
                        .authenticated()
                        .requestMatchers(
                                HttpMethod.POST, "/sign-out", "/practice/**", "/circuit", "/circuit/sheet.*", "/family")
                        .authenticated()
                        .requestMatchers(
                                HttpMethod.POST, "/wirings/*/sign-off", "/wirings/*/learnt", "/runs/*/sign-off")
                        .hasRole("LEAD")
                        .anyRequest()
                        .hasAnyRole("TECHNICIAN", "LEAD"))
                .formLogin(form ->
                        form.loginPage("/sign-in").defaultSuccessUrl("/").failureUrl("/sign-in?wrong"))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in"))
                .exceptionHandling(handling -> handling.authenticationEntryPoint((request, response, failure) -> {
                            if (isHtmx(request)) {
                                signedOut(response, HttpStatus.UNAUTHORIZED);
                            } else {
                                toSignIn.commence(request, response, failure);
                            }
                        })
                        .accessDeniedHandler((request, response, failure) -> {
                            if (isHtmx(request) && failure instanceof CsrfException) {
                                signedOut(response, HttpStatus.FORBIDDEN);
                            } else {
                                forbidden.handle(request, response, failure);
                            }
                        }))
                .build();
    }

    /** Said in the place for messages: what was typed stays, and the way back leads to the same page. */
    private static void signedOut(HttpServletResponse response, HttpStatus status) throws IOException {
        response.setStatus(status.value());
        response.setHeader("HX-Retarget", "#say");
        response.setHeader("HX-Reswap", "innerHTML");
        response.setContentType("text/html;charset=UTF-8");
        response.getWriter().write(SIGNED_OUT);
    }

    private static boolean isHtmx(HttpServletRequest request) {
        return "true".equals(request.getHeader("HX-Request"));
    }

    private static void headers(HttpSecurity http) throws Exception {
        http.headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
                .permissionsPolicyHeader(policy -> policy.policy("camera=(), microphone=(), geolocation=()")));
    }
}
