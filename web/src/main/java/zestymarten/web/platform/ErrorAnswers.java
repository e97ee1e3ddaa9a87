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
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.NoHandlerFoundException;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import zestymarten.core.quantity.Message;
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
    private static final Message HELD = Message.of("error_answers.somebody_else_saving_same");
    private static final Message NO_ROOM = Message.of("error_answers.disk_server_full_so");
    private static final Message NOT_STORED = Message.of("error_answers.text_or_figure_this");
    private static final Message NOT_CONSISTENT = Message.of("error_answers.this_names_something_that");
    private static final Message TOOK_TOO_LONG = Message.of("error_answers.this_was_given_up");
    static final Message DATABASE_AWAY = Message.of("error_answers.database_does_not_answer");

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
    Object refused(Refusal refused, HttpServletRequest request, HttpServletResponse response) {
        return answer(HttpStatus.UNPROCESSABLE_CONTENT, refused.problems(), request, response);
    }

    @ExceptionHandler
    Object notFound(NotFound notFound, HttpServletRequest request, HttpServletResponse response) {
        return answer(HttpStatus.NOT_FOUND, only(notFound.what()), request, response);
    }

    @ExceptionHandler
    Object conflict(Conflict conflict, HttpServletRequest request, HttpServletResponse response) {
        return answer(HttpStatus.CONFLICT, only(conflict.what()), request, response);
    }

    @ExceptionHandler
    Object tooLarge(MaxUploadSizeExceededException e, HttpServletRequest request, HttpServletResponse response) {
        return answer(
                HttpStatus.CONTENT_TOO_LARGE, only(Message.of("error_answers.file_has_more_than")), request, response);
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

    /** Whoever followed a test has closed the page: there is nobody to answer. */
    @ExceptionHandler
    void gone(AsyncRequestNotUsableException e, HttpServletResponse response) {
        if (!response.isCommitted()) {
            response.setStatus(HttpStatus.NO_CONTENT.value());
        }
    }

    /** What a page of ours does not do: addresses that lead nowhere, members and parameters of a wrong form. */
    @ExceptionHandler
    Object unforeseen(Exception e, HttpServletRequest request, HttpServletResponse response) {
        if (e instanceof NoResourceFoundException || e instanceof NoHandlerFoundException) {
            Message text = Message.of("error_answers.address_leads_nowhere_may");
            return answer(HttpStatus.NOT_FOUND, only(text), request, response);
        }
        if (e instanceof HttpMessageNotReadableException unreadable) {
            return answer(
                    HttpStatus.BAD_REQUEST, only(unreadable(unreadable.getMostSpecificCause())), request, response);
        }
        if (e instanceof TypeMismatchException mismatch) {
            Message text = Message.of(
                    "error_answers.not_accepted_expected",
                    String.valueOf(mismatch.getValue()),
                    String.valueOf(mismatch.getPropertyName()),
                    mismatch.getRequiredType() == null
                            ? Message.of("error_answers.another_value")
                            : kind(mismatch.getRequiredType()));
            return answer(HttpStatus.BAD_REQUEST, only(text), request, response);
        }
        if (e instanceof ErrorResponse known) {
            HttpStatus status = HttpStatus.valueOf(known.getStatusCode().value());
            return answer(status, only(detail(known)), request, response);
        }
        LOG.error("Failed at {} {}", request.getMethod(), request.getRequestURI(), e);
        Message text = Message.of("error_answers.something_broke_on_our");
        return answer(HttpStatus.INTERNAL_SERVER_ERROR, only(text), request, response);
    }

    /** What is wrong with a body, without the names of classes. */
    private static Message unreadable(Throwable cause) {
        if (cause instanceof UnrecognizedPropertyException unknown) {
            return Message.of(
                    "error_answers.member_not_known_known",
                    unknown.getPropertyName(),
                    unknown.getKnownPropertyIds().stream()
                            .map(String::valueOf)
                            .sorted()
                            .collect(Collectors.joining(", ")));
        }
        if (cause instanceof DatabindException wrong && !wrong.getPath().isEmpty()) {
            String member = wrong.getPath().stream()
                    .map(each -> each.getPropertyName() == null ? "[" + each.getIndex() + "]" : each.getPropertyName())
                    .collect(Collectors.joining("."));
            return Message.of("error_answers.member_has_value_another", member);
        }
        if (cause instanceof JacksonException broken && broken.getLocation() != null) {
            return Message.of(
                    "error_answers.body_not_json_line",
                    broken.getLocation().getLineNr(),
                    broken.getLocation().getColumnNr());
        }
        return Message.of("error_answers.body_cannot_be_read");
    }

    private static Message kind(Class<?> type) {
        if (type.isEnum()) {
            return Message.of(
                    "error_answers.one",
                    Stream.of(type.getEnumConstants())
                            .map(each -> each.toString().toLowerCase(Locale.ROOT))
                            .collect(Collectors.joining(", ")));
        }
        if (type == Instant.class) {
            return Message.of("error_answers.moment_such_as");
        }
        boolean truth = type == boolean.class || type == Boolean.class;
        return truth
                ? Message.of("error_answers.true_or_false")
                : Number.class.isAssignableFrom(type) || type.isPrimitive()
                        ? Message.of("error_answers.number")
                        : Message.of("error_answers.another_form");
    }

    private static Message detail(ErrorResponse known) {
        String text = known.getBody().getDetail();
        return text == null ? Message.of("error_answers.something_went_wrong") : Message.verbatim(text);
    }

    private static List<Problem> only(Message what) {
        return List.of(new Problem("", what));
    }

    private static Object answer(
            HttpStatus status, List<Problem> problems, HttpServletRequest request, HttpServletResponse response) {
        if (request.getRequestURI().startsWith("/api/")) {
            ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                    status, Words.say(problems.get(0).message()));
            detail.setProperty(
                    "problems",
                    problems.stream()
                            .map(problem ->
                                    Map.of("where", Words.say(problem.where()), "text", Words.say(problem.what())))
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
        view.addObject("problems", ProblemView.all(problems));
        view.addObject("status", status.value());
        return view;
    }
}
