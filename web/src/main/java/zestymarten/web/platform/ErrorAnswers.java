package zestymarten.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.ModelAndView;
import zestymarten.core.quantity.Problem;

/**
 * Turns what went wrong into an answer: a problem document for the interface, a message in its place for htmx, a page for
 * everything else. A message never replaces what was typed: htmx puts it into the element {@code #say}.
 */
@ControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class ErrorAnswers {
    private static final Logger LOG = LoggerFactory.getLogger(ErrorAnswers.class);
    static final String DATABASE_AWAY =
            "The database does not answer. What you typed is still here: try again in a moment. Nothing of it was kept yet.";

    @ExceptionHandler
    Object refused(Refused refused, HttpServletRequest request, HttpServletResponse response) {
        return answer(HttpStatus.UNPROCESSABLE_CONTENT, refused.problems(), request, response);
    }

    @ExceptionHandler
    Object notFound(NotFound notFound, HttpServletRequest request, HttpServletResponse response) {
        return answer(HttpStatus.NOT_FOUND, only(notFound.getMessage()), request, response);
    }

    @ExceptionHandler
    Object conflict(Conflict conflict, HttpServletRequest request, HttpServletResponse response) {
        return answer(HttpStatus.CONFLICT, only(conflict.getMessage()), request, response);
    }

    @ExceptionHandler
    Object tooLarge(MaxUploadSizeExceededException e, HttpServletRequest request, HttpServletResponse response) {
        return answer(
                HttpStatus.CONTENT_TOO_LARGE,
                only("The file has more than 8 MB; a wire list has at most 2 MB."),
                request,
                response);
    }

    @ExceptionHandler({DataAccessException.class, TransactionException.class})
    Object database(RuntimeException e, HttpServletRequest request, HttpServletResponse response) {
        LOG.error("The database failed at {} {}: {}", request.getMethod(), request.getRequestURI(), e.toString());
        return answer(HttpStatus.SERVICE_UNAVAILABLE, only(DATABASE_AWAY), request, response);
    }

    private static List<Problem> only(@Nullable String text) {
        return List.of(new Problem("", text == null ? "Something went wrong." : text));
    }

    private static Object answer(
            HttpStatus status, List<Problem> problems, HttpServletRequest request, HttpServletResponse response) {
        if (request.getRequestURI().startsWith("/api/")) {
            ProblemDetail detail =
                    ProblemDetail.forStatusAndDetail(status, problems.get(0).toString());
            detail.setProperty(
                    "problems",
                    problems.stream()
                            .map(problem -> Map.of("where", problem.where(), "text", problem.text()))
                            .toList());
            return ResponseEntity.status(status)
                    .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                    .body(detail);
        }
        boolean htmx = "true".equals(request.getHeader("HX-Request"));
        if (htmx) {
            response.setHeader("HX-Retarget", "#say");
            response.setHeader("HX-Reswap", "innerHTML");
        }
        ModelAndView view = new ModelAndView(htmx ? "platform/say" : "platform/trouble", status);
        view.addObject("problems", problems);
        view.addObject("status", status.value());
        return view;
    }
}
