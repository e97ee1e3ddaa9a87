package zestymarten.web.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.HtmlUtils;

/**
 * Says that the database does not answer where that shows before a request has come to its page: who is signed in is known
 * to the database alone. A page is then written without the frame of all others, which asks who is signed in.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 5)
class DatabaseAway extends OncePerRequestFilter {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);

    private static String page() {
        String title = HtmlUtils.htmlEscape(Words.say("database_away.title"));
        return "<!doctype html><html lang=\"en-GB\"><meta charset=\"utf-8\"><title>" + title
                + "</title><main id=\"main\"><h1>" + title + "</h1><p>"
                + HtmlUtils.htmlEscape(Words.say(ErrorAnswers.DATABASE_AWAY)) + "</p><p><a href=\"/\">"
                + HtmlUtils.htmlEscape(Words.say("database_away.again")) + "</a></p></main></html>";
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (DataAccessException | TransactionException e) {
            say(request, response, e);
        } catch (ServletException e) {
            if (e.getRootCause() instanceof DataAccessException || e.getRootCause() instanceof TransactionException) {
                say(request, response, e);
            } else {
                throw e;
            }
        }
    }

    private static void say(HttpServletRequest request, HttpServletResponse response, Exception e) throws IOException {
        LOG.error("The database failed before {} {}: {}", request.getMethod(), request.getRequestURI(), e.toString());
        if (response.isCommitted()) {
            return; // who asked has the answer; only what came after it was lost
        }
        response.reset();
        if (Refusals.isHtmx(request) || request.getRequestURI().startsWith("/api/")) {
            Refusals.say(request, response, HttpStatus.SERVICE_UNAVAILABLE, Words.say(ErrorAnswers.DATABASE_AWAY));
        } else {
            Refusals.write(response, HttpStatus.SERVICE_UNAVAILABLE, "text/html", page());
        }
    }
}
