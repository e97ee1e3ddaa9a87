package zestymarten.web.platform;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumSet;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.task.TaskExecutor;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import zestymarten.core.quantity.PlainText;

/** Prints templates as PDF, in the typefaces of the application. */
@Component
public class Prints {
    private static final EnumSet<FSFontUseCase> USES = EnumSet.of(FSFontUseCase.DOCUMENT, FSFontUseCase.SVG);

    private static final Pattern WRITTEN = Pattern.compile("&#(?:x([0-9a-fA-F]{1,6})|([0-9]{1,7}));");

    private final ITemplateEngine templates;
    private final TaskExecutor background;

    Prints(ITemplateEngine templates, TaskExecutor background) {
        this.templates = templates;
        this.background = background;
    }

    /** The PDF of a template that is well-formed XHTML, with its values. */
    public byte[] pdf(String template, Map<String, Object> values) {
        return print(templates.process(template, new Context(LocaleContextHolder.getLocale(), values)));
    }

    /** A drawing as a file of its own. */
    public String drawing(String template, Map<String, Object> values) {
        return printable(templates.process(template, new Context(LocaleContextHolder.getLocale(), values)));
    }

    /** The first PDF of a process takes about a second to set up; that second is spent before anybody waits for it. */
    @EventListener(ApplicationReadyEvent.class)
    void warmUp() {
        background.execute(() -> print("<html><head><title>-</title></head><body>-</body></html>"));
    }

    /**
     * A page without the characters that XML knows no way to write: a control character that came in with a paste is not worth
     * a certificate.
     */
    static String printable(String html) {
        StringBuilder text = new StringBuilder(html.length());
        WRITTEN.matcher(html)
                .replaceAll(
                        number -> PlainText.isPlain(codePoint(number)) ? Matcher.quoteReplacement(number.group()) : "")
                .codePoints()
                .filter(PlainText::isPlain)
                .forEach(text::appendCodePoint);
        return text.toString();
    }

    private static int codePoint(MatchResult number) {
        return number.group(1) == null ? Integer.parseInt(number.group(2)) : Integer.parseInt(number.group(1), 16);
    }

    /** The characters of XML 1.0, section 2.2. */
    static byte[] print(String html) {
        XRLog.setLoggingEnabled(false); // every PDF would tell its timings
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        font(builder, "next-400", "Atkinson Hyperlegible Next", 400);
        font(builder, "next-700", "Atkinson Hyperlegible Next", 700);
        font(builder, "mono-500", "Atkinson Hyperlegible Mono", 400);
        // What the typeface has no letter for (Greek, Cyrillic, Vietnamese, marks) is taken from one that has many.
        builder.useFont(
                () -> open("dejavu-sans"),
                "DejaVu Sans",
                400,
                FontStyle.NORMAL,
                true,
                EnumSet.of(FSFontUseCase.FALLBACK_PRE));
        builder.withHtmlContent(printable(html), null);
        builder.withProducer("Zesty Marten");
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException("The page could not be printed.", e);
        }
        return out.toByteArray();
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(() -> open("atkinson-hyperlegible-" + file), family, weight, FontStyle.NORMAL, true, USES);
    }

    private static InputStream open(String file) {
        try {
            return new ClassPathResource("pdf/" + file + ".ttf").getInputStream();
        } catch (IOException e) {
            throw new UncheckedIOException("A typeface of the application is missing.", e);
        }
    }
}
