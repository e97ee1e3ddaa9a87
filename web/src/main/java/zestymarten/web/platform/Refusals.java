package zestymarten.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.util.HtmlUtils;

/** Says no before a request has come to its page: to a program, to htmx in the place for messages, to a person as a page. */
final class Refusals {
    private Refusals() {}

    static boolean isHtmx(HttpServletRequest request) {
        return "true".equals(request.getHeader("HX-Request"));
    }

    /** The whole answer; the text is plain and without quotation marks. */
    static void say(HttpServletRequest request, HttpServletResponse response, HttpStatus status, String text)
            throws IOException {
        if (request.getRequestURI().startsWith("/api/")) {
            write(
                    response,
                    status,
                    MediaType.APPLICATION_PROBLEM_JSON_VALUE,
                    "{\"type\":\"about:blank\",\"title\":\"" + status.getReasonPhrase() + "\",\"status\":"
                            + status.value() + ",\"detail\":\"" + text + "\",\"problems\":[{\"where\":\"\",\"text\":\""
                            + text + "\"}]}");
        } else if (isHtmx(request)) {
            inPlace(response, status, HtmlUtils.htmlEscape(text));
        } else {
            response.sendError(status.value(), text);
        }
    }

    /** Said in the place for messages: what was typed stays. */
    static void inPlace(HttpServletResponse response, HttpStatus status, String html) throws IOException {
        response.setHeader("HX-Retarget", "#say");
        response.setHeader("HX-Reswap", "innerHTML");
        write(response, status, "text/html", "<div class=\"say problem\" role=\"alert\"><p>" + html + "</p></div>");
    }

    static void write(HttpServletResponse response, HttpStatus status, String type, String body) throws IOException {
        response.setStatus(status.value());
        response.setContentType(type);
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write(body);
    }
}
