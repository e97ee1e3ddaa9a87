package zestymarten.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.Patience;

/**
 * No request of one person costs more than ten seconds of computation, and of those that may cost much only two are computed
 * at once: a third waits for its turn, and is asked to come back where none comes. So that nobody starves the others.
 */
@Component
@Order(0) // inside the rules of security, which decide first
class RequestBudget extends OncePerRequestFilter {
    private static final Pattern HEAVY = Pattern.compile(
            "/api/v1/(analysis/.*|runs/[0-9]+/findings)|/circuit.*|/runs/[0-9]+/diagnosis|/units/(?:[0-9]+/)?labels\\.pdf|/runs/[0-9]+/certificate\\.pdf");
    private static final int AT_ONCE = 2;
    private static final Message BUSY = Message.of("request_budget.server_computes_others_moment");

    private final Semaphore turns = new Semaphore(AT_ONCE, true);
    private final Duration budget;

    RequestBudget(@Value("${marten.request-budget}") Duration budget) {
        this.budget = budget;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!HEAVY.matcher(request.getRequestURI()).matches()) {
            patiently(request, response, chain);
            return;
        }
        if (!turn()) {
            response.setHeader("Retry-After", "10");
            Refusals.say(request, response, HttpStatus.SERVICE_UNAVAILABLE, Words.say(BUSY));
            return;
        }
        try {
            patiently(request, response, chain);
        } finally {
            turns.release();
        }
    }

    private boolean turn() {
        try {
            return turns.tryAcquire(budget.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private void patiently(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long until = System.nanoTime() + budget.toNanos();
        try {
            Patience.within(() -> System.nanoTime() - until > 0, () -> {
                try {
                    chain.doFilter(request, response);
                    return true;
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                } catch (ServletException e) {
                    throw new WrappedFailure(e);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        } catch (WrappedFailure e) {
            throw e.cause;
        }
    }

    private static final class WrappedFailure extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final transient ServletException cause;

        WrappedFailure(ServletException cause) {
            super(cause);
            this.cause = cause;
        }
    }
}
