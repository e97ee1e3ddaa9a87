package zestymarten.web.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Refusal;

/** Whoever signed in with a password that somebody else has seen goes nowhere before it is changed. */
@Configuration(proxyBeanMethods = false)
class PasswordFirst implements WebMvcConfigurer, HandlerInterceptor {
    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this)
                .addPathPatterns("/**")
                .excludePathPatterns("/account/**", "/sign-in", "/sign-out", "/error");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        boolean must = who != null && who.getPrincipal() instanceof Person person && person.mustChangePassword();
        if (must && request.getRequestURI().startsWith("/api/")) {
            throw new Refusal("password", Message.of("password_first.sign_on_page_first"));
        }
        if (must && handler instanceof HandlerMethod) {
            response.sendRedirect("/account");
            return false;
        }
        return true;
    }
}
