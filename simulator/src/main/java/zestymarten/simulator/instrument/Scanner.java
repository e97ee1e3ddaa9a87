package zestymarten.simulator.instrument;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import zestymarten.core.assembly.Terminal;
import zestymarten.simulator.scpi.Commands;
import zestymarten.simulator.scpi.Parameters.Channel;
import zestymarten.simulator.scpi.ScpiError;
import zestymarten.simulator.unit.Workbench;

/**
 * A scanning switch: a matrix that connects any of its points to bus A, bus B or the guard G. The meters of the bench stand
 * between A and B; what is on the guard is held at the frame's potential and takes no part. Points are wired to terminals by
 * whoever builds the adapter; here by {@code SIMulation:MAP}.
 *
 * <p>Commands: {@code ROUTe:CLOSe (@A!1,B!5)}, {@code ROUTe:OPEN (@A!1)}, {@code ROUTe:OPEN:ALL},
 * {@code ROUTe:CLOSe? (@A!1)} as 0 or 1 for each, {@code ROUTe:COUNt?} how often a relay has switched since the reset,
 * {@code *RST}; {@code SIMulation:MAP "1 J1.1;2 J1.2"}, {@code SIMulation:PLUG ON|OFF} for a plug that joins all points, with
 * which the resistance of each point's own relay and wire are found. It refuses to switch while a test voltage is on: error -221, and
 * nothing has moved.
 */
public final class Scanner {
    private static final int MAX_POINTS = 4000;
    private static final double RELAY_OHM = 0.05;
    private static final double ADAPTER_OHM = 0.02;
    private static final int UNLIKE = 5;

    private final Workbench bench;
    private final Map<Integer, Terminal> points = new TreeMap<>();
    private final Map<String, Set<Integer>> closed =
            Map.of("A", new TreeSet<>(), "B", new TreeSet<>(), "G", new TreeSet<>());
    private long switched;

    public Scanner(Workbench bench) {
        this.bench = bench;
    }

    private synchronized void map(Map<Integer, Terminal> wired) {
        openAll();
        points.clear();
        points.putAll(wired);
    }

    private synchronized void close(List<Channel> channels) {
        mustNotBeLive();
        channels.forEach(this::mustBeThere);
        for (Channel each : channels) {
            boolean elsewhere = closed.entrySet().stream()
                    .anyMatch(bus ->
                            !bus.getKey().equals(each.bus()) && bus.getValue().contains(each.point()));
            if (elsewhere) {
                throw new ScpiError.Refused(ScpiError.CONFLICT);
            }
            switched += bus(each).add(each.point()) ? 1 : 0;
        }
        connect();
    }

    private synchronized void open(List<Channel> channels) {
        mustNotBeLive();
        channels.forEach(this::mustBeThere);
        for (Channel each : channels) {
            switched += bus(each).remove(each.point()) ? 1 : 0;
        }
        connect();
    }

    private synchronized void openAll() {
        mustNotBeLive();
        for (Set<Integer> bus : closed.values()) {
            switched += bus.size();
            bus.clear();
        }
        connect();
    }

    private synchronized String isClosed(List<Channel> channels) {
        channels.forEach(this::mustBeThere);
        return String.join(
                ",",
                channels.stream()
                        .map(each -> bus(each).contains(each.point()) ? "1" : "0")
                        .toList());
    }

    private synchronized void reset() {
        openAll();
        switched = 0;
    }

    private synchronized String count() {
        return Long.toString(switched);
    }

    private Set<Integer> bus(Channel channel) {
        return closed.getOrDefault(channel.bus(), Set.of());
    }

    private void mustBeThere(Channel channel) {
        if (!closed.containsKey(channel.bus()) || !points.containsKey(channel.point())) {
            throw new ScpiError.Refused(ScpiError.ILLEGAL);
        }
    }

    private void mustNotBeLive() {
        if (bench.isLive()) {
            throw new ScpiError.Refused(ScpiError.CONFLICT);
        }
    }

    private void connect() {
        bench.connect(on("A"), on("B"), pathOhm("A") + pathOhm("B"));
    }

    /** What a point's relay and its wire in the adapter have; points of one bus are taken to be as good as their best. */
    private double pathOhm(String bus) {
        return closed.getOrDefault(bus, Set.of()).stream()
                .mapToDouble(point -> RELAY_OHM + ADAPTER_OHM * (point % UNLIKE))
                .min()
                .orElse(0);
    }

    private List<Terminal> on(String bus) {
        return closed.getOrDefault(bus, Set.of()).stream()
                .flatMap(point -> java.util.stream.Stream.ofNullable(points.get(point)))
                .toList();
    }

    private static Map<Integer, Terminal> wired(String text) {
        Map<Integer, Terminal> wired = new TreeMap<>();
        for (String each : text.split(";", -1)) {
            String[] parts = each.strip().split(" ", -1);
            boolean point = parts.length == 2 && parts[0].matches("[0-9]{1,4}");
            if (!point || wired.size() >= MAX_POINTS) {
                throw new ScpiError.Refused(ScpiError.ILLEGAL);
            }
            wired.put(Integer.valueOf(parts[0]), Hands.terminal(parts[1]));
        }
        return wired;
    }

    /** The commands of a connection; the relays are the instrument's, whoever switches them. */
    public Commands commands() {
        Commands commands = new Commands("Zesty Marten,simulated scanning switch,0,1");
        commands.command("*RST", any -> reset())
                .command("ROUTe:CLOSe", with -> close(with.channels()))
                .query("ROUTe:CLOSe?", with -> isClosed(with.channels()))
                .command("ROUTe:OPEN", with -> open(with.channels()))
                .command("ROUTe:OPEN:ALL", any -> openAll())
                .query("ROUTe:COUNt?", any -> count())
                .command("SIMulation:PLUG", with -> bench.plug(with.isOn()))
                .command("SIMulation:MAP", with -> map(wired(with.text())));
        Hands.on(bench, commands);
        return commands;
    }
}
