package zestymarten.web.scan;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;

/** A tester as any other on the network, for which time passes as it does: every wire good, well insulated, nothing left on it. */
final class PlainTester implements AutoCloseable {
    private static final Map<String, String> ANSWERS = Map.of(
            "SYST:ERR?",
            "0,\"No error\"",
            "MEAS:RES?",
            "0.25",
            "MEAS:INS?",
            "5E9",
            "MEAS:CURR?",
            "2E-6",
            "MEAS:VOLT?",
            "0.2");

    private final List<String> heard = new CopyOnWriteArrayList<>();
    private final ServerSocket door;

    PlainTester() {
        try {
            door = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        Thread thread = new Thread(this::serve, "plain tester");
        thread.setDaemon(true);
        thread.start();
    }

    String address() {
        return "127.0.0.1:" + door.getLocalPort();
    }

    /** What it was sent, line by line. */
    List<String> heard() {
        return List.copyOf(heard);
    }

    private void serve() {
        while (!door.isClosed()) {
            try (Socket caller = door.accept();
                    BufferedReader lines = new BufferedReader(
                            new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII))) {
                for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                    heard.add(line);
                    String answer = ANSWERS.get(line);
                    if (answer != null) {
                        caller.getOutputStream().write((answer + "\n").getBytes(StandardCharsets.US_ASCII));
                    }
                }
            } catch (IOException e) {
                heard.add("hung up");
            }
        }
    }

    @Override
    public void close() throws IOException {
        door.close();
    }
}
