package zestymarten.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;

/** The command as somebody at a terminal uses it. */
final class CommandLine {
    private static final Path COMMAND = Path.of("..", "marten").toAbsolutePath().normalize();

    private CommandLine() {}

    /** What it said, and how it ended. */
    record Said(int code, List<String> out, String wrong) {
        String last() {
            return out.isEmpty() ? "" : out.get(out.size() - 1);
        }
    }

    static Said marten(String... words) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(COMMAND.toString()));
        command.addAll(List.of(words));
        Path out = Files.createTempFile("marten", ".out");
        Path wrong = Files.createTempFile("marten", ".err");
        Process process = new ProcessBuilder(command)
                .redirectOutput(out.toFile())
                .redirectError(wrong.toFile())
                .start();
        // The first word builds the application anew, which takes minutes on a busy machine.
        assertThat(process.waitFor(10, TimeUnit.MINUTES))
                .as("%s is done", command)
                .isTrue();
        Said said = new Said(process.exitValue(), Files.readAllLines(out), Files.readString(wrong));
        Files.delete(out);
        Files.delete(wrong);
        return said;
    }

    /**
     * Waits up to a minute.
     *
     * @param condition of a type that is loaded: a build by the command takes away the classes of the tests
     */
    static void waitUntil(Callable<Boolean> condition) throws InterruptedException {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        while (System.nanoTime() < until) {
            try {
                if (condition.call()) {
                    return;
                }
            } catch (Exception e) {
                // nobody answers yet
            }
            TimeUnit.MILLISECONDS.sleep(200);
        }
        throw new AssertionError("Not within a minute.");
    }
}
