package zestymarten.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** A line that a test can cut and repair: between application and database, or between a browser and the application. */
public final class Wire implements AutoCloseable {
    private final String host;
    private final int port;
    private final int near;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private volatile ServerSocket door;

    Wire(String host, int port) {
        this.host = host;
        this.port = port;
        door = listen(0);
        near = door.getLocalPort();
        serve(door);
    }

    private static ServerSocket listen(int port) {
        try {
            return new ServerSocket(port, 100, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    int port() {
        return near;
    }

    private void serve(ServerSocket listening) {
        daemon(() -> {
            while (!listening.isClosed()) {
                Socket caller = listening.accept();
                Socket far = new Socket(host, port);
                caller.setTcpNoDelay(true); // or small packets wait for one another, 40 ms at a time
                far.setTcpNoDelay(true);
                open.add(caller);
                open.add(far);
                daemon(() -> pump(caller, far));
                daemon(() -> pump(far, caller));
            }
        });
    }

    private void pump(Socket from, Socket to) throws IOException {
        try (from;
                to) {
            from.getInputStream().transferTo(to.getOutputStream());
        } finally {
            open.remove(from);
            open.remove(to);
        }
    }

    private interface Work {
        void run() throws IOException;
    }

    private static void daemon(Work work) {
        Thread thread = new Thread(() -> {
            try {
                work.run();
            } catch (IOException closed) {
                // a cut wire ends like this
            }
        });
        thread.setDaemon(true);
        thread.start();
    }

    /** From here on the far side cannot be reached, and what was connected is not any more. */
    public void cut() {
        try {
            door.close();
            for (Socket socket : open) {
                socket.close();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The far side can be reached again, at the same address. */
    public void repair() {
        door = listen(near);
        serve(door);
    }

    @Override
    public void close() {
        cut();
    }
}
