package zestymarten.simulator.scpi;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.function.Supplier;

/**
 * Speaks with whoever connects on loopback: a line in, the answers of its queries out on one line. At most
 * {@value #CONNECTIONS} at a time; a line of more than {@value #LONGEST} bytes is dropped with an error; whoever is silent for a
 * minute is hung up on.
 */
public final class ScpiServer implements AutoCloseable {
    private static final int CONNECTIONS = 16;
    private static final int LONGEST = 64 * 1024;
    private static final int PATIENCE_MS = 60_000;

    private final ServerSocket listening;
    private final Supplier<Commands> instrument;
    private final Semaphore places = new Semaphore(CONNECTIONS);
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();

    private ScpiServer(ServerSocket listening, Supplier<Commands> instrument) {
        this.listening = listening;
        this.instrument = instrument;
    }

    /**
     * Begins to listen.
     *
     * @param port 0 for any that is free
     * @param instrument makes the commands of a connection
     * @throws UncheckedIOException if the port is taken
     */
    public static ScpiServer on(int port, Supplier<Commands> instrument) {
        try {
            ScpiServer server =
                    new ScpiServer(new ServerSocket(port, CONNECTIONS, InetAddress.getLoopbackAddress()), instrument);
            start("scpi-" + server.port(), server::accept);
            return server;
        } catch (IOException e) {
            throw new UncheckedIOException("Port " + port + " cannot be listened on.", e);
        }
    }

    private static void start(String name, Runnable work) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        thread.start();
    }

    /** The port on which it listens. */
    public int port() {
        return listening.getLocalPort();
    }

    private void accept() {
        while (!listening.isClosed()) {
            try {
                Socket socket = listening.accept();
                if (listening.isClosed()) {
                    socket.close(); // came in while it was being closed: nobody answers any more
                } else if (places.tryAcquire()) {
                    open.add(socket);
                    start("scpi-" + port() + "-" + socket.getPort(), () -> serve(socket));
                } else {
                    socket.close();
                }
            } catch (IOException e) {
                // closed, or one that hung up before it was answered: the next one is waited for
            }
        }
    }

    private void serve(Socket socket) {
        try (socket) {
            socket.setSoTimeout(PATIENCE_MS);
            socket.setTcpNoDelay(true); // an answer is one small packet
            Commands commands = instrument.get();
            InputStream in = new BufferedInputStream(socket.getInputStream());
            OutputStream out = socket.getOutputStream();
            StringBuilder line = new StringBuilder();
            for (int each = in.read(); each >= 0; each = in.read()) {
                if (each != '\n') {
                    line.append((char) each);
                    if (line.length() > LONGEST) {
                        commands.fail(ScpiError.TOO_LONG);
                        line.setLength(0);
                    }
                } else {
                    answer(commands, line.toString(), out);
                    line.setLength(0);
                }
            }
        } catch (IOException e) {
            // gone or silent; there is nobody to tell
        } finally {
            open.remove(socket);
            places.release();
        }
    }

    private static void answer(Commands commands, String line, OutputStream out) throws IOException {
        Optional<String> answer = commands.line(line.strip());
        if (answer.isPresent()) {
            out.write((answer.get() + "\n").getBytes(StandardCharsets.US_ASCII));
            out.flush();
        }
    }

    @Override
    public void close() {
        try {
            listening.close();
            for (Socket each : open) {
                each.close();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
