package zestymarten.web.platform;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
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
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who may do what, and the headers that keep a page from running or fetching anything that is not ours. */
@Configuration(proxyBeanMethods = false)
class SecurityRules {
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'"
                    + " data:; font-src 'self'; connect-src 'self'; manifest-src 'self'; form-action 'self'; frame-ancestors"
                    + " 'none'; base-uri 'none'; object-src 'none'";

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
                        response.setHeader("HX-Redirect", "/sign-in");
                        response.setStatus(HttpStatus.UNAUTHORIZED.value());
                    } else {
                        toSignIn.commence(request, response, failure);
                    }
                }))
                .build();
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
