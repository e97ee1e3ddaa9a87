package zestymarten.simulator.scpi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Sessions over real sockets, with input that nobody sane would send. */
class ScpiServerTest {
    private ScpiServer server = ScpiServer.on(0, () -> new Commands("none"));

    @BeforeEach
    void listen() {
        server.close();
        server = ScpiServer.on(0, () -> new Commands("Maker,model,0,1").query("READ?", any -> "+1.0E+00"));
    }

    @AfterEach
    void close() {
        server.close();
    }

    /** A connection as a program has it. */
    private record Session(Socket socket, BufferedReader answers) implements AutoCloseable {
        static Session to(int port) throws IOException {
            Socket socket = new Socket(InetAddress.getLoopbackAddress(), port);
            socket.setSoTimeout(5000);
            return new Session(
                    socket,
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII)));
        }

        void send(String text) throws IOException {
            socket.getOutputStream().write(text.getBytes(StandardCharsets.ISO_8859_1));
        }

        String ask(String line) throws IOException {
            send(line + "\n");
            return answers.readLine();
        }

        @Override
        public void close() throws IOException {
            socket.close();
        }
    }

    @Test
    void answersLineByLineHoweverTheyArrive() throws IOException {
        try (Session session = Session.to(server.port())) {
            assertThat(session.ask("*IDN?")).isEqualTo("Maker,model,0,1");
            session.send("RE");
            session.send("AD?\r\n*OPC?\n");
            assertThat(session.answers().readLine()).isEqualTo("+1.0E+00");
            assertThat(session.answers().readLine()).isEqualTo("1");
        }
    }

    @Test
    void eachConnectionHasItsOwnQueueOfErrors() throws IOException {
        try (Session one = Session.to(server.port());
                Session other = Session.to(server.port())) {
            one.send("NONSENSE\n");
            assertThat(other.ask("SYST:ERR?")).isEqualTo("0,\"No error\"");
            assertThat(one.ask("SYST:ERR?")).isEqualTo("-113,\"Undefined header\"");
        }
    }

    @Test
    void whatIsNoTextAndWhatHasNoEndIsSurvived() throws IOException {
        try (Session session = Session.to(server.port())) {
            session.send("\u0000\u00ff\u0001;;;:::???\"\n");
            session.send("A".repeat(70_000));
            assertThat(session.ask("\n*CLS;READ?")).isEqualTo("+1.0E+00");
        }
    }

    @Test
    void tooManyAreHungUpOnAndThePlaceOfOneThatGoesIsFreeAgain() throws IOException {
        List<Session> many = new ArrayList<>();
        for (int i = 0; i < 16; i++) {
            many.add(Session.to(server.port()));
            assertThat(many.get(i).ask("*OPC?")).isEqualTo("1");
        }
        try (Session tooMany = Session.to(server.port())) {
            assertThat(tooMany.answers().read()).isEqualTo(-1);
        }
        many.get(0).close();
        String answer = "";
        for (int i = 0; i < 200 && !"1".equals(answer); i++) {
            try (Session next = Session.to(server.port())) {
                answer = String.valueOf(next.ask("*OPC?"));
            } catch (IOException e) {
                answer = "hung up on";
            }
        }
        assertThat(answer).isEqualTo("1");
        for (Session each : many) {
            each.close();
        }
    }

    @Test
    void aTakenPortIsToldAndAClosedServerAnswersNobody() {
        int port = server.port();
        assertThatThrownBy(() -> ScpiServer.on(port, () -> new Commands("other")))
                .isInstanceOf(UncheckedIOException.class)
                .hasMessage("Port " + port + " cannot be listened on.");
        server.close();
        String answer;
        try (Session late = Session.to(port)) {
            answer = late.ask("*OPC?");
        } catch (IOException e) {
            answer = null; // refused, or hung up on
        }
        assertThat(answer).isNull();
    }
}
