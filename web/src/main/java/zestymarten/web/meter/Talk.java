package zestymarten.web.meter;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Refusal;

/**
 * A connection to one instrument, in SCPI-99 style text. Whatever goes wrong is said in a sentence. A stand-in can be sent what
 * the technician's hands do; a real instrument never is. Not safe to share.
 */
public final class Talk implements AutoCloseable {
    static final Message BY_HAND = Message.of("talk.by_hand");

    private static final int ANSWER_MS = 3000;
    private static final int LONGEST = 200;

    private final String address;
    private final boolean standIn;
    private final Socket socket;
    private final BufferedReader answers;

    Talk(String address, boolean standIn, Socket socket) throws IOException {
        this.address = address;
        this.standIn = standIn;
        this.socket = socket;
        socket.setSoTimeout(ANSWER_MS);
        answers = new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII));
        send("*CLS");
    }

    public boolean isStandIn() {
        return standIn;
    }

    /** What the technician's hands do, sent to a stand-in. */
    public void hands(List<String> hands) {
        if (standIn && !hands.isEmpty()) {
            command(String.join("\n", hands));
        }
    }

    /**
     * Commands that the instrument carries out.
     *
     * @throws Refusal with what it says about those that it refuses
     */
    public void command(String commands) {
        String error = line(commands + "\nSYST:ERR?");
        if (!error.startsWith("0,") && !error.startsWith("+0,")) {
            throw new Refusal("", Message.of("talk.cannot", address, error, BY_HAND));
        }
    }

    /** The figure with which the instrument answers a query. */
    public double figure(String query) {
        String answer = line(query);
        try {
            double figure = Double.parseDouble(answer);
            if (Double.isFinite(figure)) {
                return figure;
            }
        } catch (NumberFormatException e) {
            // said below with what was read
        }
        throw new Refusal("", Message.of("talk.no_figure", address, answer, BY_HAND));
    }

    /** The answer to a query, or what the instrument says about refusing it: a number, a comma and words in quotes. */
    public String answer(String query) {
        String answer = line(query + "\nSYST:ERR?");
        if (!answer.matches("[+-]?[0-9]+,\".*")) {
            line("");
        }
        return answer;
    }

    private void send(String line) throws IOException {
        socket.getOutputStream().write((line + "\n").getBytes(StandardCharsets.US_ASCII));
    }

    /**
     * One whole answer: up to its line feed, of at most {@value #LONGEST} characters, within {@value #ANSWER_MS} ms
     * altogether. An instrument that hangs up in the middle of a figure has said nothing: the beginning of 1.25E+6 is 1.2.
     */
    private String line(String query) {
        long until = System.nanoTime() + ANSWER_MS * 1_000_000L;
        try {
            send(query);
            StringBuilder line = new StringBuilder();
            for (int each = next(until); each != '\n'; each = next(until)) {
                if (each < 0) {
                    throw new Refusal("", Message.of("talk.hung_up", address, BY_HAND));
                }
                if (line.length() == LONGEST) {
                    throw new Refusal("", Message.of("talk.too_long", address, LONGEST, BY_HAND));
                }
                line.append((char) each);
            }
            return line.toString().strip();
        } catch (SocketTimeoutException e) {
            throw new Refusal("", Message.of("talk.no_answer", address, ANSWER_MS / 1000, BY_HAND));
        } catch (IOException e) {
            throw new Refusal("", Message.of("talk.not_there", address, BY_HAND));
        }
    }

    /** The next character, for which nobody waits longer than until a moment. */
    private int next(long until) throws IOException {
        long left = (until - System.nanoTime()) / 1_000_000;
        if (left <= 0) {
            throw new SocketTimeoutException();
        }
        socket.setSoTimeout((int) left);
        return answers.read();
    }

    @Override
    public void close() {
        try {
            socket.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
