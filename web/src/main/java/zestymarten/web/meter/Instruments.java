package zestymarten.web.meter;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/**
 * Asks meters for their reading, in SCPI-99 style text over TCP. Whatever goes wrong is said in a sentence, and the run goes on
 * by hand. A stand-in is sent first what the technician's hands do; a real one never is.
 */
@Service
public class Instruments {
    private static final int CONNECT_MS = 1000;

    private final Set<String> hosts;
    private final ObjectProvider<StandIns> standIns;

    /** @param hosts the only ones that are ever connected to */
    Instruments(
            @Value("${marten.instruments:127.0.0.1,localhost}") Set<String> hosts, ObjectProvider<StandIns> standIns) {
        this.hosts = Set.copyOf(hosts);
        this.standIns = standIns;
    }

    /** Whether an address is one that can be asked: a stand-in, or host and port of an allowed host. */
    boolean isAddress(String address) {
        return StandIns.NAMES.contains(address)
                || (address.matches("[A-Za-z0-9.-]{1,60}:[0-9]{1,5}")
                        && hosts.contains(address.substring(0, address.indexOf(':')))
                        && Integer.parseInt(address.substring(address.indexOf(':') + 1)) <= 65_535);
    }

    /** What is expected of an address, for messages. */
    String expected() {
        return Words.say(
                "instruments.host_port_one_hosts",
                String.join(", ", hosts.stream().sorted().toList()),
                StandIns.MULTIMETER);
    }

    /**
     * A meter's answer to a query.
     *
     * @param hands what a stand-in is sent first: what is on the bench, where the probes are
     * @throws Refusal if it is not there, is too slow, or answers nonsense
     */
    public double ask(String address, List<String> hands, String query) {
        try (Talk talk = open(address)) {
            talk.hands(hands);
            return talk.figure(query);
        }
    }

    /**
     * A connection to an instrument, for several commands one after the other.
     *
     * @throws Refusal if it is not there
     */
    public Talk open(String address) {
        Optional<Integer> standIn =
                Optional.ofNullable(standIns.getIfAvailable()).flatMap(each -> each.port(address));
        if (standIn.isEmpty() && (!isAddress(address) || address.indexOf(':') < 0)) {
            throw new Refusal(
                    "", Message.of("instruments.meter_address_leads_nowhere", address, expected(), Talk.BY_HAND));
        }
        try {
            Socket socket = standIn.isPresent()
                    ? connected(InetAddress.getLoopbackAddress(), standIn.get())
                    : connected(address);
            return new Talk(address, standIn.isPresent(), socket);
        } catch (IOException e) {
            throw new Refusal("", Message.of("instruments.meter_not_there", address, Talk.BY_HAND));
        }
    }

    /** To the first address of a host that answers. */
    private static Socket connected(String address) throws IOException {
        int colon = address.indexOf(':');
        int port = Integer.parseInt(address.substring(colon + 1));
        IOException trouble = new IOException("No address.");
        for (InetAddress each : InetAddress.getAllByName(address.substring(0, colon))) {
            try {
                return connected(each, port);
            } catch (IOException e) {
                trouble = e;
            }
        }
        throw trouble;
    }

    private static Socket connected(InetAddress host, int port) throws IOException {
        Socket socket = new Socket();
        try {
            socket.setTcpNoDelay(true); // small lines would wait for one another
            socket.connect(new InetSocketAddress(host, port), CONNECT_MS);
            return socket;
        } catch (IOException e) {
            socket.close();
            throw e;
        }
    }
}
