package zestymarten.web;

import java.net.URI;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;

/**
 * Starts the application once for all tests of a process, on a free port, against a database that {@code ./marten test} made,
 * with the demo data; and one browser, when a test asks for it.
 */
public final class Workshop implements BeforeAllCallback, ParameterResolver {
    private static final ExtensionContext.Namespace NAMES = ExtensionContext.Namespace.create(Workshop.class);

    @Override
    public void beforeAll(ExtensionContext context) {
        site(context);
    }

    static Site site(ExtensionContext context) {
        return context.getRoot().getStore(NAMES).getOrComputeIfAbsent(Site.class, any -> start(), Site.class);
    }

    private static Browser browser(ExtensionContext context) {
        Site site = site(context);
        return context.getRoot()
                .getStore(NAMES)
                .getOrComputeIfAbsent(Browser.class, any -> new Browser(site.url()), Browser.class);
    }

    static String required(String variable) {
        String value = System.getenv(variable);
        if (value == null) {
            throw new IllegalStateException(variable + " is not set: run these tests by './marten test'.");
        }
        return value;
    }

    /** The database of these tests: those that run side by side have one each. */
    public static String database() {
        String fork = System.getProperty("marten.fork", "1");
        return required("MARTEN_DB_URL") + (fork.equals("1") ? "" : "_" + fork);
    }

    private static Site start() {
        PseudoLanguage.lay();
        URI database = URI.create(database().substring("jdbc:".length()));
        Wire wire = new Wire(database.getHost(), database.getPort());
        String through = "jdbc:postgresql://127.0.0.1:" + wire.port() + database.getPath();
        return new Site(
                SpringApplication.run(
                        MartenApplication.class,
                        "--server.port=0",
                        "--marten.demo=true",
                        "--spring.datasource.url=" + through,
                        "--spring.main.banner-mode=off"),
                wire);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        return type == Site.class || type == Browser.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Site.class ? site(context) : browser(context);
    }
}
