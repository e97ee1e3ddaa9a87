package zestymarten.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;

/** The command itself, as somebody uses it who has just fetched the project: an installation of its own, started empty. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class MartenCommandIT {
    private static final int WIRES = 300;
    private static final int TECHNICIANS = 4;
    private static final int ACKNOWLEDGED_BEFORE_THE_KILL = 120;

    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private Path data = Path.of("");
    private int port;

    private CommandLine.Said up() throws IOException, InterruptedException {
        return CommandLine.marten("up", "--port", Integer.toString(port), "--data", data.toString(), "--no-demo");
    }

    @BeforeAll
    void choosePlaceAndPort() throws IOException {
        data = Files.createTempDirectory("marten-command");
        data.toFile().setExecutable(true, false);
        data.toFile().setReadable(true, false);
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            port = free.getLocalPort();
        }
    }

    @AfterAll
    void leaveNothingRunning() throws IOException, InterruptedException {
        CommandLine.marten("stop", "--data", data.toString());
        new ProcessBuilder("rm", "-rf", data.toString()).start().waitFor();
    }

    private HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    @Test
    @Order(1)
    void startsEmptyAndAsksForTheFirstAccount() throws Exception {
        CommandLine.Said said = up();
        assertThat(said.wrong()).isEmpty();
        assertThat(said.code()).isZero();
        assertThat(said.last()).isEqualTo("http://127.0.0.1:" + port + "/");
        assertThat(said.out())
                .anyMatch(line -> line.contains("Make the first account at the address below with the code"));
        assertThat(get("/").statusCode()).isEqualTo(302);
        assertThat(get("/sign-in").headers().firstValue("Location").orElse("")).endsWith("/first");
        assertThat(get("/first").body()).doesNotContain("marten-demo").contains("The first account");
    }

    @Test
    @Order(2)
    void theFirstAccountNeedsTheCodeAndThereIsOneOnly() throws Exception {
        String code = Files.readString(data.resolve("first-code")).strip();
        assertThat(first("not-the-code").statusCode()).isEqualTo(422);
        HttpResponse<String> made = first(code);
        assertThat(made.statusCode()).isEqualTo(302);
        assertThat(first(code).headers().firstValue("Location").orElse("")).doesNotEndWith("/first");
        assertThat(get("/sign-in").body()).contains("Sign in").doesNotContain("marten-demo");
    }

    private HttpResponse<String> first(String code) throws IOException, InterruptedException {
        Matcher token = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"")
                .matcher(get("/first").body());
        String csrf = token.find() ? token.group(1) : "";
        return client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/first"))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(
                                "code=" + code + "&name=night&password=a+long+password&_csrf=" + csrf))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> api(String path, String type, String body) throws IOException, InterruptedException {
        String token = Base64.getEncoder().encodeToString("night:a long password".getBytes(StandardCharsets.UTF_8));
        return client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/v1" + path))
                        .header("Authorization", "Basic " + token)
                        .header("Content-Type", type)
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    /** A reading on its way: which run, under which identifier, what. */
    private record OnItsWay(int run, UUID id, String members) {
        String body() {
            return "{\"id\":\"" + id + "\"," + members + "}";
        }
    }

    @Test
    @Order(3)
    void inTheMiddleOfAStreamOfReadingsBothAreKilledAndNothingAcknowledgedIsLostOrTwice() throws Exception {
        StringBuilder list = new StringBuilder("from,to\n");
        for (int wire = 1; wire <= WIRES; wire++) {
            list.append("J1.%d,J2.%d\n".formatted(wire, wire));
        }
        assertThat(api("/assemblies?name=Cable", "text/csv", list.toString()).statusCode())
                .isEqualTo(201);
        for (int run = 1; run <= TECHNICIANS; run++) {
            api("/runs", "application/json", "{\"assembly_id\":1,\"serial\":\"U-" + run + "\"}");
        }
        Queue<OnItsWay> sent = new ConcurrentLinkedQueue<>();
        Queue<OnItsWay> acknowledged = new ConcurrentLinkedQueue<>();
        CountDownLatch flowing = new CountDownLatch(ACKNOWLEDGED_BEFORE_THE_KILL);
        List<Future<Integer>> ringing = new ArrayList<>();
        ExecutorService technicians = Executors.newFixedThreadPool(TECHNICIANS);
        for (int run = 1; run <= TECHNICIANS; run++) {
            int own = run;
            ringing.add(technicians.submit(() -> ring(own, sent, acknowledged, flowing)));
        }
        assertThat(flowing.await(1, TimeUnit.MINUTES)).isTrue();
        kill(Files.readAllLines(data.resolve("postgres/postmaster.pid")).get(0));
        kill(Files.readString(data.resolve("web-process")).split(" ")[0]);
        for (Future<Integer> each : ringing) {
            assertThat(each.get(1, TimeUnit.MINUTES)).as("stopped on the way").isLessThan(WIRES);
        }
        technicians.shutdown();
        assertThat(acknowledged.size()).as("some were on their way").isLessThan(sent.size());

        assertThat(up().wrong()).isEmpty();
        for (OnItsWay each : acknowledged) {
            assertThat(post(each)).as("acknowledged, so it is there: " + each).isEqualTo(200);
        }
        for (OnItsWay each : sent) {
            assertThat(post(each)).as("sent again, it is there once: " + each).isIn(200, 201);
        }
        for (int run = 1; run <= TECHNICIANS; run++) {
            int own = run;
            long ids = sent.stream().filter(each -> each.run() == own).count();
            assertThat(entries(own)).isEqualTo(ids);
        }
    }

    /** Rings out wire after wire until nobody answers; how many were acknowledged. */
    private int ring(int run, Queue<OnItsWay> sent, Queue<OnItsWay> acknowledged, CountDownLatch flowing)
            throws Exception {
        for (int wire = 1; wire <= WIRES; wire++) {
            OnItsWay reading = new OnItsWay(
                    run,
                    new UUID(run, wire),
                    "\"a\":\"J1.%d\",\"b\":\"J2.%d\",\"as_typed\":\"0.4\"".formatted(wire, wire));
            sent.add(reading);
            if (post(reading) != 201) {
                return wire - 1;
            }
            acknowledged.add(reading);
            flowing.countDown();
        }
        return WIRES;
    }

    private int post(OnItsWay reading) throws InterruptedException {
        try {
            return api("/runs/" + reading.run() + "/readings", "application/json", reading.body())
                    .statusCode();
        } catch (IOException e) {
            return 0; // nobody there
        }
    }

    /** How many entries a run has: the first figure of what the server calls its version. */
    private long entries(int run) throws IOException, InterruptedException {
        String token = Base64.getEncoder().encodeToString("night:a long password".getBytes(StandardCharsets.UTF_8));
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/v1/runs/" + run))
                        .header("Authorization", "Basic " + token)
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        return Long.parseLong(answer.headers().firstValue("ETag").orElse("").replaceAll("^\"(\\d+)\\..*", "$1"));
    }

    private static void kill(String process) throws IOException, InterruptedException {
        new ProcessBuilder("kill", "-9", process).start().waitFor();
    }

    @Test
    @Order(4)
    void aSecondUpIsQuickAndChangesNothing() throws Exception {
        String process = Files.readString(data.resolve("web-process"));
        long begun = System.nanoTime();
        CommandLine.Said said = up();
        assertThat(said.last()).isEqualTo("http://127.0.0.1:" + port + "/");
        assertThat(System.nanoTime() - begun).isLessThan(TimeUnit.SECONDS.toNanos(5));
        assertThat(Files.readString(data.resolve("web-process"))).isEqualTo(process);
    }

    @Test
    @Order(5)
    void saysInOneLineWhatStandsInTheWay() throws Exception {
        CommandLine.Said taken = CommandLine.marten("up", "--port", Integer.toString(port), "--data", data + "-other");
        assertThat(taken.code()).isNotZero();
        assertThat(taken.wrong())
                .isEqualTo("marten: Port " + port
                        + " is taken by another program. Choose another: ./marten up --port N\n");
        CommandLine.Said moved = CommandLine.marten("up", "--port", "1", "--data", data.toString());
        assertThat(moved.wrong())
                .isEqualTo("marten: It already runs at http://127.0.0.1:" + port + "/. Run ./marten stop first.\n");
        Path broken = Files.createTempDirectory("marten-broken");
        Files.createDirectories(broken.resolve("postgres"));
        CommandLine.Said unreadable = CommandLine.marten("up", "--data", broken.toString(), "--port", "9");
        assertThat(unreadable.code()).isNotZero();
        assertThat(unreadable.wrong())
                .contains("holds no database that can be read. Move it away, or choose another with --data.")
                .hasLineCount(1);
        Path file = Files.createTempFile("marten", "file");
        assertThat(CommandLine.marten("up", "--data", file + "/below").wrong())
                .isEqualTo("marten: The folder " + file + "/below cannot be made. Choose another with --data, or give"
                        + " yourself permission.\n");
        assertThat(CommandLine.marten("up", "--port", "zero").wrong())
                .isEqualTo("marten: --port needs a number from 1 to 65535, not 'zero'.\n");
        assertThat(CommandLine.marten("sing").code()).isNotZero();
        for (Path each : List.of(broken, file, Path.of(data + "-other"))) {
            new ProcessBuilder("rm", "-rf", each.toString()).start().waitFor();
        }
    }

    /** Whichever of the two dies: nobody has to do anything. */
    @Test
    @Order(6)
    void whatDiesComesBackByItself() throws Exception {
        String database =
                Files.readAllLines(data.resolve("postgres/postmaster.pid")).get(0);
        kill(database);
        CommandLine.waitUntil(() -> !Files.readAllLines(data.resolve("postgres/postmaster.pid"))
                        .get(0)
                        .equals(database)
                && entries(1) > 0);
        String application = Files.readString(data.resolve("web-process"));
        kill(application.split(" ")[0]);
        CommandLine.waitUntil(
                () -> !Files.readString(data.resolve("web-process")).equals(application) && entries(1) > 0);
        assertThat(CommandLine.marten("doctor", "--data", data.toString()).last())
                .isEqualTo("Nothing is wrong with the installation in " + data + ".");
    }

    @Test
    @Order(7)
    void aCopyOfARunningFolderStopsNothing() throws Exception {
        Path copy = Path.of(data + "-copy");
        assertThat(new ProcessBuilder("cp", "-a", data.toString(), copy.toString())
                        .start()
                        .waitFor())
                .isZero();
        assertThat(CommandLine.marten("stop", "--data", copy.toString()).out()).containsExactly("Nothing was running.");
        assertThat(get("/actuator/health").statusCode()).isEqualTo(200);
        new ProcessBuilder("rm", "-rf", copy.toString()).start().waitFor();
    }

    @Test
    @Order(8)
    void everythingIsBroughtBackFromABackup() throws Exception {
        Path file = Files.createTempDirectory("marten-backup").resolve("all.backup");
        Path other = Path.of(data + "-restored");
        assertThat(CommandLine.marten("backup", file.toString(), "--data", data.toString())
                        .last())
                .endsWith("bytes in " + file);
        assertThat(CommandLine.marten("backup", file.toString(), "--data", data.toString())
                        .wrong())
                .isEqualTo("marten: " + file + " is there already; nothing is overwritten. Choose another name.\n");
        assertThat(CommandLine.marten("restore", file.toString(), "--data", data.toString())
                        .wrong())
                .isEqualTo("marten: " + data + " holds data already, and nothing is overwritten. Name an empty folder"
                        + " with --data.\n");
        Path half = file.resolveSibling("half.backup");
        Files.write(half, Arrays.copyOf(Files.readAllBytes(file), 2000));
        assertThat(CommandLine.marten("restore", half.toString(), "--data", other.toString())
                        .wrong())
                .isEqualTo("marten: " + half + " is no whole backup of this program; it may be cut off. Nothing was"
                        + " changed.\n");
        assertThat(Files.exists(other)).isFalse();
        assertThat(CommandLine.marten("restore", file.toString(), "--data", other.toString())
                        .code())
                .isZero();
        String here = CommandLine.marten("verify", "--data", data.toString()).last();
        assertThat(here).startsWith("Every entry is as it was recorded: ").doesNotContain(": 0 entries");
        assertThat(CommandLine.marten("verify", "--data", other.toString()).last())
                .isEqualTo(here);
        for (Path each : List.of(other, file.getParent())) {
            new ProcessBuilder("rm", "-rf", each.toString()).start().waitFor();
        }
    }

    @Test
    @Order(9)
    void stopsWhatItStarted() throws Exception {
        assertThat(CommandLine.marten("stop", "--data", data.toString()).out()).containsExactly("Stopped.");
        assertThat(CommandLine.marten("stop", "--data", data.toString()).out()).containsExactly("Nothing was running.");
        assertThat(Files.exists(data.resolve("postgres/postmaster.pid"))).isFalse();
    }
}
