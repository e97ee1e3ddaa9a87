import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.Iterator;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * Fifty technicians, each posting one reading every three seconds, and between the readings a trivial page of the same
 * server; then the same as fast as it goes. Prints how long each took. Run by {@code ./marten bench}.
 */
public final class Load {
    private static final int TECHNICIANS = 50;
    private static final int CORES = 40;
    private static final int SECONDS = 60;
    private static final int EVERY_MS = 3000;

    private final HttpClient client = HttpClient.newHttpClient();
    private final String url;
    private final String token = "Basic " + Base64.getEncoder().encodeToString("bench:marten-demo".getBytes());
    private final ConcurrentLinkedQueue<Long> readings = new ConcurrentLinkedQueue<>();
    private final ConcurrentLinkedQueue<Long> pages = new ConcurrentLinkedQueue<>();

    private Load(String url) {
        this.url = url;
    }

    public static void main(String[] arguments) throws Exception {
        Load load = new Load(arguments[0]);
        System.out.println("Warming up");
        load.saturate(load.technicians("warm"), 10);
        load.forget();
        load.atTheirPace(load.technicians("paced"));
        load.print("50 technicians, a reading each per 3 s", SECONDS);
        load.forget();
        load.saturate(load.technicians("saturated"), 20);
        load.print("saturated, 8 at once", 20);
    }

    private void forget() {
        readings.clear();
        pages.clear();
    }

    /** One technician's readings, in the order of the job. */
    private final class Technician {
        private final long run;
        private final Iterator<String[]> measurements;

        Technician(long run) {
            this.run = run;
            List<String[]> all = new ArrayList<>();
            all.add(new String[] {null, null, "b"});
            all.add(new String[] {null, null, "0.3"});
            for (int i = 1; i <= CORES; i++) {
                all.add(new String[] {"J1." + i, "J2." + i, "0.58"});
            }
            for (int i = 1; i <= CORES; i++) {
                for (int j = i + 1; j <= CORES; j++) {
                    all.add(new String[] {"J1." + i, "J1." + j, "OL"});
                }
            }
            measurements = all.iterator();
        }

        void read() {
            if (!measurements.hasNext()) {
                return;
            }
            String[] measurement = measurements.next();
            String ends = measurement[0] == null ? "" : ",\"a\":\"" + measurement[0] + "\",\"b\":\"" + measurement[1] + "\"";
            String body = "{\"id\":\"" + UUID.randomUUID() + "\",\"as_typed\":\"" + measurement[2] + "\"" + ends + "}";
            long begun = System.nanoTime();
            expect(201, post("/api/v1/runs/" + run + "/readings", "application/json", body));
            readings.add(System.nanoTime() - begun);
            long again = System.nanoTime();
            expect(200, send(HttpRequest.newBuilder(URI.create(url + "/sign-in"))));
            pages.add(System.nanoTime() - again);
        }
    }

    private List<Technician> technicians(String name) {
        StringBuilder list = new StringBuilder("from,to,length_m,area_mm2\n");
        for (int i = 1; i <= CORES; i++) {
            list.append("J1.").append(i).append(",J2.").append(i).append(",8,0.5\n");
        }
        long wiring = created(post("/api/v1/assemblies?name=Load-" + name, "text/csv", list.toString()));
        List<Technician> all = new ArrayList<>();
        for (int i = 0; i < TECHNICIANS; i++) {
            String body = "{\"assembly_id\":" + wiring + ",\"serial\":\"" + name + "-" + i + "\"}";
            all.add(new Technician(created(post("/api/v1/runs", "application/json", body))));
        }
        return all;
    }

    private void atTheirPace(List<Technician> technicians) throws InterruptedException {
        ScheduledExecutorService clock = Executors.newScheduledThreadPool(TECHNICIANS);
        for (int i = 0; i < technicians.size(); i++) {
            clock.scheduleAtFixedRate(
                    technicians.get(i)::read, (long) EVERY_MS * i / TECHNICIANS, EVERY_MS, TimeUnit.MILLISECONDS);
        }
        Thread.sleep(SECONDS * 1000L);
        clock.shutdownNow();
        clock.awaitTermination(10, TimeUnit.SECONDS);
    }

    private void saturate(List<Technician> technicians, int seconds) throws InterruptedException {
        int atOnce = 8;
        long end = System.nanoTime() + seconds * 1_000_000_000L;
        CountDownLatch done = new CountDownLatch(atOnce);
        for (int i = 0; i < atOnce; i++) {
            int first = i;
            new Thread(() -> {
                        for (int at = first; System.nanoTime() < end; at += atOnce) {
                            technicians.get(at % technicians.size()).read();
                        }
                        done.countDown();
                    })
                    .start();
        }
        done.await();
    }

    private HttpResponse<String> post(String path, String type, String body) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Authorization", token)
                .header("Content-Type", type)
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private static void expect(int status, HttpResponse<String> answer) {
        if (answer.statusCode() != status) {
            throw new IllegalStateException(answer.statusCode() + ": " + answer.body());
        }
    }

    private static long created(HttpResponse<String> answer) {
        expect(201, answer);
        String location = answer.headers().firstValue("Location").orElseThrow();
        return Long.parseLong(location.substring(location.lastIndexOf('/') + 1));
    }

    private void print(String title, int seconds) {
        System.out.printf("%n%s (%d readings, %.0f per second)%n", title, readings.size(), readings.size() / (double) seconds);
        System.out.printf("  %-22s %8s %8s %8s%n", "", "p50 ms", "p95 ms", "p99 ms");
        row("posting a reading", readings);
        row("a trivial page", pages);
    }

    private static void row(String what, ConcurrentLinkedQueue<Long> nanos) {
        long[] sorted = nanos.stream().mapToLong(Long::longValue).toArray();
        Arrays.sort(sorted);
        System.out.printf("  %-22s %8.1f %8.1f %8.1f%n", what, at(sorted, .5), at(sorted, .95), at(sorted, .99));
    }

    private static double at(long[] sorted, double share) {
        return sorted.length == 0 ? Double.NaN : sorted[(int) Math.min(sorted.length - 1L, (long) (share * sorted.length))] / 1e6;
    }
}
