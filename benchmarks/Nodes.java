import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Technicians behind a proxy who send readings until they are acknowledged, and look at a page as somebody signed in, while
 * programs named on the command line take machines away. Prints what was acknowledged, how often it was sent again and for
 * how long nothing was; writes the identifiers that were acknowledged to a file. Run by {@code ./marten nodes}; {@code -Dbetween=}
 * seconds lets other things be measured with it.
 */
public final class Nodes {
    private static final int TECHNICIANS = 20;
    private static final int CORES = 120;
    private static final Duration BETWEEN = Duration.ofSeconds(Long.getLong("between", 30));

    private final String url;
    private final String name = "Basic " + Base64.getEncoder().encodeToString("bench:marten-demo".getBytes());
    private final Queue<String> acknowledged = new ConcurrentLinkedQueue<>();
    private final AtomicInteger again = new AtomicInteger();
    private final AtomicInteger signedOut = new AtomicInteger();
    private final AtomicInteger pages = new AtomicInteger();
    private final AtomicLong last = new AtomicLong(System.nanoTime());
    private final AtomicLong longest = new AtomicLong();
    private final AtomicBoolean over = new AtomicBoolean();

    private Nodes(String url) {
        this.url = url;
    }

    /** @param arguments the address, a file for identifiers, and what is run one after the other while all goes on */
    public static void main(String[] arguments) throws Exception {
        Nodes nodes = new Nodes(arguments[0]);
        long wiring = nodes.wiring();
        List<Thread> all = new ArrayList<>();
        for (int i = 0; i < TECHNICIANS; i++) {
            Thread one = new Thread(nodes.new Technician(wiring, i));
            one.start();
            all.add(one);
        }
        Thread.sleep(BETWEEN.toMillis());
        nodes.print("as it should be");
        for (int i = 2; i < arguments.length; i++) {
            new ProcessBuilder(arguments[i]).inheritIO().start().waitFor();
            Thread.sleep(BETWEEN.toMillis());
            nodes.print(Path.of(arguments[i]).getFileName().toString());
        }
        nodes.over.set(true);
        for (Thread each : all) {
            each.join();
        }
        Files.write(Path.of(arguments[1]), new ArrayList<>(nodes.acknowledged));
    }

    private void print(String what) {
        System.out.printf(
                "%-34s %6d acknowledged, %5d sent again, longest without %5.1f s, %d of %d pages signed out%n",
                what, acknowledged.size(), again.get(), longest.getAndSet(0) / 1e9, signedOut.get(), pages.get());
    }

    private long wiring() throws Exception {
        StringBuilder list = new StringBuilder("from,to\n");
        for (int i = 1; i <= CORES; i++) {
            list.append("J1.").append(i).append(",J2.").append(i).append('\n');
        }
        HttpResponse<String> made = send(HttpClient.newHttpClient(), post("/api/v1/assemblies?name=Nodes%20" + System.currentTimeMillis(), "text/csv", list.toString()));
        return number(made);
    }

    private static long number(HttpResponse<String> made) {
        String location = made.headers().firstValue("Location").orElseThrow(() -> new IllegalStateException(made.body()));
        return Long.parseLong(location.substring(location.lastIndexOf('/') + 1));
    }

    private HttpRequest post(String path, String type, String body) {
        return HttpRequest.newBuilder(URI.create(url + path))
                .timeout(Duration.ofSeconds(20))
                .header("Authorization", name)
                .header("Content-Type", type)
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build();
    }

    private static HttpResponse<String> send(HttpClient client, HttpRequest request) throws IOException, InterruptedException {
        return client.send(request, HttpResponse.BodyHandlers.ofString());
    }

    /** One person: a session for pages, name and password for readings. */
    private final class Technician implements Runnable {
        private final HttpClient programs = HttpClient.newHttpClient();
        private final HttpClient browser = HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        private final long wiring;
        private final int number;

        Technician(long wiring, int number) {
            this.wiring = wiring;
            this.number = number;
        }

        @Override
        public void run() {
            try {
                signIn();
                long test = number(send(
                        programs,
                        post("/api/v1/runs", "application/json", "{\"assembly_id\":" + wiring + ",\"serial\":\"N-" + number + "\"}")));
                reading(test, "", "b");
                reading(test, "", "0.3");
                for (int i = 1; i <= CORES && !over.get(); i++) {
                    reading(test, ends("J1." + i, "J2." + i), "0.58");
                }
                for (int i = 1; i <= CORES; i++) {
                    for (int j = i + 1; j <= CORES && !over.get(); j++) {
                        reading(test, ends("J1." + i, "J1." + j), "OL");
                        look(j);
                    }
                }
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        }

        private String ends(String a, String b) {
            return ",\"a\":\"" + a + "\",\"b\":\"" + b + "\"";
        }

        private void signIn() throws Exception {
            HttpResponse<String> page = send(browser, HttpRequest.newBuilder(URI.create(url + "/sign-in")).build());
            Matcher token = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"").matcher(page.body());
            if (!token.find()) {
                throw new IllegalStateException(page.body());
            }
            send(browser, HttpRequest.newBuilder(URI.create(url + "/sign-in"))
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(HttpRequest.BodyPublishers.ofString("username=bench&password=marten-demo&_csrf=" + token.group(1)))
                    .build());
        }

        /** Sends the same reading until it is acknowledged. */
        private void reading(long test, String ends, String typed) throws InterruptedException {
            String id = UUID.randomUUID().toString();
            HttpRequest request = post(
                    "/api/v1/runs/" + test + "/readings",
                    "application/json",
                    "{\"id\":\"" + id + "\",\"as_typed\":\"" + typed + "\"" + ends + "}");
            for (int i = 0; i < 600; i++) {
                try {
                    int status = send(programs, request).statusCode();
                    if (status == 201 || status == 200) {
                        acknowledged.add(id);
                        long now = System.nanoTime();
                        longest.accumulateAndGet(now - last.getAndSet(now), Math::max);
                        Thread.sleep(100);
                        return;
                    }
                } catch (IOException e) {
                    // a machine is gone: once more, with the same identifier
                }
                again.incrementAndGet();
                Thread.sleep(200);
            }
            throw new IllegalStateException("Reading " + id + " was never acknowledged.");
        }

        /** A page now and then; while a machine is gone it may fail, but never ask to sign in. */
        private void look(int turn) throws InterruptedException {
            if (turn % 5 != 0) {
                return;
            }
            try {
                int status = send(browser, HttpRequest.newBuilder(URI.create(url + "/assemblies")).build()).statusCode();
                pages.incrementAndGet();
                if (status == 302 || status == 401) {
                    signedOut.incrementAndGet();
                }
            } catch (IOException e) {
                // as above
            }
        }
    }
}
