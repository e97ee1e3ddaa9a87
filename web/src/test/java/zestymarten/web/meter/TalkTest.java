package zestymarten.web.meter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import zestymarten.web.platform.Refusal;

/** What an instrument says that is no answer: half a figure, none, too much, too slowly. */
class TalkTest {
    private interface Says {
        void answer(Socket meter) throws IOException, InterruptedException;
    }

    /** The figure that is understood of a meter that answers in its way and hangs up. */
    private static double figure(Says says) throws IOException {
        try (ServerSocket meter = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            CompletableFuture<Void> answering = CompletableFuture.runAsync(() -> {
                try (Socket asked = meter.accept()) {
                    says.answer(asked);
                } catch (IOException | InterruptedException e) {
                    // who asked has gone
                }
            });
            Socket socket = new Socket(InetAddress.getLoopbackAddress(), meter.getLocalPort());
            try (Talk talk = new Talk("meter", false, socket)) {
                return talk.figure("MEAS:RES?");
            } finally {
                answering.cancel(true);
            }
        }
    }

    private static Says text(String text) {
        return meter -> {
            meter.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
            meter.getOutputStream().flush();
            meter.shutdownOutput();
            meter.getInputStream().readAllBytes();
        };
    }

    @Test
    void aWholeLineIsAnAnswer() throws IOException {
        assertThat(figure(text("1.25E+6\n"))).isEqualTo(1.25e6);
    }

    @Test
    void theBeginningOfAFigureIsNone() {
        assertThatThrownBy(() -> figure(text("1.2")))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("hung up in the middle of its answer");
        assertThatThrownBy(() -> figure(text(""))).isInstanceOf(Refusal.class);
    }

    @Test
    void whatIsNoFigureIsSaidAsItCame() {
        for (String answer : new String[] {"NaN", "Infinity", "-Infinity", "<html>", ""}) {
            assertThatThrownBy(() -> figure(text(answer + "\n")))
                    .as(answer)
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining("“" + answer + "”; expected a figure");
        }
    }

    @Test
    void anAnswerWithoutEndIsCutOff() {
        assertThatThrownBy(() -> figure(text("9".repeat(10_000) + "\n")))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("said more than 200 characters");
    }

    @Test
    void aByteNowAndThenIsNoAnswerInTime() {
        long begun = System.nanoTime();
        assertThatThrownBy(() -> figure(meter -> {
                    for (int each = 0; each < 60; each++) {
                        meter.getOutputStream().write('1');
                        meter.getOutputStream().flush();
                        Thread.sleep(500);
                    }
                }))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("did not answer within 3 s");
        assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Duration.ofSeconds(20));
    }
}
