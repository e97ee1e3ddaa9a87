package zestymarten.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import zestymarten.core.quantity.Patience;
import zestymarten.core.quantity.Problem;

/**
 * Turns what went wrong into an answer: a problem document for the interface, a message in its place for htmx, a page for
 * everything else. A message never replaces what was typed: htmx puts it into the element {@code #say}.
 */
@ControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class ErrorAnswers {
    private static final Logger LOG = LoggerFactory.getLogger(ErrorAnswers.class);
    private static final String OF_DATA = "22";
    private static final String OF_CONSTRAINTS = "23";
    private static final String LOCKED = "55P03";
    private static final String DEADLOCKED = "40P01";
    private static final String DISK_FULL = "53100";
    private static final String HELD =
            "Somebody else is saving in the same place at this moment. What you typed is still here: try again.";
    private static final String NO_ROOM =
            "The disk of the server is full, so nothing can be saved. What was saved before"
                    + " is still there. Tell whoever looks after the machine.";
    private static final String NOT_STORED =
            "A text or figure in this cannot be stored: it has a control character in it, or is too large. Nothing was saved.";
    private static final String NOT_CONSISTENT =
            "This names something that is not there, or that is there already. Nothing was saved.";
    private static final String TOOK_TOO_LONG =
            "This was given up: it takes longer than the server computes for one request. Ask for less at once.";
    static final String DATABASE_AWAY =
            "The database does not answer. What you typed is still here: try again in a moment. Nothing of it was saved yet.";

    /** The SQL standard's code of what the database refused; empty where it did not answer. */
    private static String sqlState(Throwable failed) {
        for (Throwable each = failed; each != null; each = each.getCause()) {
            if (each instanceof SQLException sql && sql.getSQLState() != null) {
                return sql.getSQLState();
            }
        }
        return "";
    }

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
        String state = sqlState(e);
        if (state.startsWith(OF_DATA)) {
            return answer(HttpStatus.UNPROCESSABLE_CONTENT, only(NOT_STORED), request, response);
        }
        if (state.startsWith(OF_CONSTRAINTS)) {
            return answer(HttpStatus.CONFLICT, only(NOT_CONSISTENT), request, response);
        }
        if (state.equals(LOCKED) || state.equals(DEADLOCKED)) {
            return answer(HttpStatus.SERVICE_UNAVAILABLE, only(HELD), request, response);
        }
        if (state.equals(DISK_FULL)) {
            LOG.error("The disk of the database is full.");
            return answer(HttpStatus.INSUFFICIENT_STORAGE, only(NO_ROOM), request, response);
        }
        LOG.error("The database failed at {} {}: {}", request.getMethod(), request.getRequestURI(), e.toString());
        return answer(HttpStatus.SERVICE_UNAVAILABLE, only(DATABASE_AWAY), request, response);
    }

    /** A computation that took longer than anybody waits. */
    @ExceptionHandler
    Object tookTooLong(Patience.TookTooLong e, HttpServletRequest request, HttpServletResponse response) {
        return answer(HttpStatus.SERVICE_UNAVAILABLE, only(TOOK_TOO_LONG), request, response);
    }

    /** What a page of ours does not do: addresses that lead nowhere, members and parameters of a wrong form. */
    @ExceptionHandler
    Object unforeseen(Exception e, HttpServletRequest request, HttpServletResponse response) {
        if (e instanceof NoResourceFoundException) {
            String text = "The address leads nowhere. It may have been typed or shortened by hand.";
            return answer(HttpStatus.NOT_FOUND, only(text), request, response);
        }
        if (e instanceof HttpMessageNotReadableException unreadable) {
            return answer(
                    HttpStatus.BAD_REQUEST, only(unreadable(unreadable.getMostSpecificCause())), request, response);
        }
        if (e instanceof TypeMismatchException mismatch) {
            String text = "“" + mismatch.getValue() + "” for “" + mismatch.getPropertyName()
                    + "” is not accepted; expected "
                    + (mismatch.getRequiredType() == null ? "another value" : kind(mismatch.getRequiredType())) + ".";
            return answer(HttpStatus.BAD_REQUEST, only(text), request, response);
        }
        if (e instanceof ErrorResponse known) {
            HttpStatus status = HttpStatus.valueOf(known.getStatusCode().value());
            return answer(status, only(known.getBody().getDetail()), request, response);
        }
        LOG.error("Failed at {} {}", request.getMethod(), request.getRequestURI(), e);
        String text = "Something broke on our side. What was saved before is still saved. Go back and try again; if it"
                + " happens again, the log tells the rest.";
        return answer(HttpStatus.INTERNAL_SERVER_ERROR, only(text), request, response);
    }

    /** What is wrong with a body, without the names of classes. */
    private static String unreadable(Throwable cause) {
        if (cause instanceof UnrecognizedPropertyException unknown) {
            return "The member “" + unknown.getPropertyName() + "” is not known. Known here: "
                    + unknown.getKnownPropertyIds().stream()
                            .map(String::valueOf)
                            .sorted()
                            .collect(Collectors.joining(", "))
                    + ".";
        }
        if (cause instanceof DatabindException wrong && !wrong.getPath().isEmpty()) {
            String member = wrong.getPath().stream()
                    .map(each -> each.getPropertyName() == null ? "[" + each.getIndex() + "]" : each.getPropertyName())
                    .collect(Collectors.joining("."));
            return "The member “" + member + "” has a value of another kind than expected.";
        }
        if (cause instanceof JacksonException broken && broken.getLocation() != null) {
            return "The body is not JSON: line " + broken.getLocation().getLineNr() + ", column "
                    + broken.getLocation().getColumnNr() + ".";
        }
        return "The body cannot be read; expected the document that openapi.yaml describes.";
    }

    private static String kind(Class<?> type) {
        if (type.isEnum()) {
            return "one of "
                    + Stream.of(type.getEnumConstants())
                            .map(each -> each.toString().toLowerCase(Locale.ROOT))
                            .collect(Collectors.joining(", "));
        }
        if (type == Instant.class) {
            return "a moment such as 2026-11-02T09:10:00Z";
        }
        boolean truth = type == boolean.class || type == Boolean.class;
        return truth
                ? "true or false"
                : Number.class.isAssignableFrom(type) || type.isPrimitive() ? "a number" : "another form";
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
