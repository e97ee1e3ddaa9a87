package zestymarten.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Base64;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.context.ConfigurableApplicationContext;

/** The running application, its interface over HTTP and its database, as tests reach them. */
public final class Site implements AutoCloseable {
    private static final AtomicInteger NUMBER = new AtomicInteger();

    private final ConfigurableApplicationContext application;
    private final Wire wire;
    private final HttpClient client = HttpClient.newHttpClient();
    private final String url;

    Site(ConfigurableApplicationContext application, Wire wire) {
        this.application = application;
        this.wire = wire;
        url = "http://127.0.0.1:" + application.getEnvironment().getProperty("local.server.port");
    }

    public String url() {
        return url;
    }

    public Wire wire() {
        return wire;
    }

    /** A browser of its own with a line to this site that can be cut, as on a ladder in a cellar. */
    public Ladder ladder() {
        Wire line = new Wire("127.0.0.1", java.net.URI.create(url()).getPort());
        return new Ladder(new Browser("http://127.0.0.1:" + line.port()), line);
    }

    /** A browser of its own that plays and hears sounds. */
    public Browser browserWithSound() {
        return Browser.withSound(url());
    }

    /** A browser and its line. */
    public record Ladder(Browser browser, Wire line) implements AutoCloseable {
        @Override
        public void close() {
            browser.close();
            line.close();
        }
    }

    /** A bean of the application, for what no page shows. */
    public <T> T bean(Class<T> type) {
        return application.getBean(type);
    }

    /** The same of a type of which there are several. */
    public <T> T bean(String name, Class<T> type) {
        return application.getBean(name, type);
    }

    /** A name that no other test uses. */
    public String fresh(String name) {
        return name + " " + NUMBER.incrementAndGet();
    }

    /** Straight to the database, past the application, as its owner. */
    public Connection database() throws SQLException {
        return DriverManager.getConnection(
                Workshop.database(),
                Workshop.required("MARTEN_DB_OWNER"),
                Workshop.required("MARTEN_DB_OWNER_PASSWORD"));
    }

    /** Straight to the database by the account of the application. */
    public Connection databaseAsApplication() throws SQLException {
        return DriverManager.getConnection(
                Workshop.database(), Workshop.required("MARTEN_DB_USER"), Workshop.required("MARTEN_DB_PASSWORD"));
    }

    public HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(url + path));
    }

    /** A request by a demo account, which all have the same password. */
    public HttpRequest.Builder as(String account, String path) {
        return by(account, "marten-demo", path);
    }

    /** A request by somebody with a password. */
    public HttpRequest.Builder by(String name, String password, String path) {
        String both = Base64.getEncoder().encodeToString((name + ":" + password).getBytes(StandardCharsets.UTF_8));
        return request(path).header("Authorization", "Basic " + both);
    }

    /** Sends a request; an answer of the interface has to be one that its description promises. */
    public HttpResponse<String> send(HttpRequest.Builder request) {
        HttpResponse<String> answer = send(request, HttpResponse.BodyHandlers.ofString());
        Contract.check(answer);
        if (!answer.headers().firstValue("Content-Type").orElse("").startsWith("text/javascript")) {
            SaidInWords.check(answer.body()); // a script asks for its sentences by their codes
        }
        return answer;
    }

    public <T> HttpResponse<T> send(HttpRequest.Builder request, HttpResponse.BodyHandler<T> handler) {
        try {
            return client.send(request.build(), handler);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    public HttpResponse<String> post(String account, String path, String type, String body) {
        return send(as(account, path).header("Content-Type", type).POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    /** Takes in a wire list over HTTP and answers the number of the wiring. */
    public long wiring(String name, String list) {
        String query = "?name=" + java.net.URLEncoder.encode(name, StandardCharsets.UTF_8);
        HttpResponse<String> answer = post("bench", "/api/v1/assemblies" + query, "text/csv", list);
        if (answer.statusCode() != 201) {
            throw new IllegalStateException(answer.body());
        }
        String location = answer.headers().firstValue("Location").orElseThrow();
        return Long.parseLong(location.substring(location.lastIndexOf('/') + 1));
    }

    /** Begins a run over HTTP and answers its number. */
    public long run(long wiring, String serial) {
        HttpResponse<String> answer = post(
                "bench",
                "/api/v1/runs",
                "application/json",
                "{\"assembly_id\":" + wiring + ",\"serial\":\"" + serial + "\"}");
        String location = answer.headers().firstValue("Location").orElseThrow();
        return Long.parseLong(location.substring(location.lastIndexOf('/') + 1));
    }

    @Override
    public void close() {
        application.close();
        wire.close();
    }
}
