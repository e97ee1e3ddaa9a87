package zestymarten.simulator.practice;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.assembly.WireList;
import zestymarten.core.fault.SeededFault;
import zestymarten.core.finding.Symptoms;
import zestymarten.core.finding.Symptoms.Behaviour;
import zestymarten.core.quantity.Problem;
import zestymarten.simulator.unit.Flaw;

/** The exercises of the room, by grade, over the whole trade. */
public final class Exercises {
    private static final List<Exercise> ALL = List.of(
            deadWire(),
            fuse(),
            trips(),
            weakValve(),
            swapped(),
            staysOn(),
            sensor(),
            oxide(),
            windingToFrame(),
            heaterOpen(),
            flexing(),
            ring(),
            ringJoint(),
            farCore(),
            wrongSleeves(),
            twoFaults(),
            wet(),
            collector(),
            breaksDown());

    private Exercises() {}

    /** All of them, the easiest first. */
    public static List<Exercise> all() {
        return ALL;
    }

    /** The one of that name. */
    public static Optional<Exercise> find(String id) {
        return ALL.stream().filter(each -> each.id().equals(id)).findFirst();
    }

    private static Exercise deadWire() {
        return new Exercise(
                "dead-lower",
                1,
                "cable",
                "The hoist that does not lower",
                "It raises and travels, the horn sounds, but it never lowers. Nobody has dropped it.",
                complaint(Map.of("lower", Behaviour.DEAD, "raise", Behaviour.WORKS, "horn", Behaviour.WORKS)),
                wires("pendant.csv", AssemblyKind.CABLE),
                Map.of(),
                wired(new SeededFault.Open("W2")),
                List.of(
                        "isolate",
                        "join",
                        "J1.2 J2.2",
                        "J1.2 J1.1",
                        "say open W2",
                        "repair W2 spare",
                        "J1.2 J2.2",
                        "done"));
    }

    private static Exercise fuse() {
        return new Exercise(
                "dark-lamp",
                1,
                "harness",
                "The signal lamp that stays dark",
                "Dark, whatever the switch says. It went out last night with a flash.",
                complaint(Map.of("lamp", Behaviour.DEAD)),
                assembly("lamp.json"),
                Map.of(),
                wired(new SeededFault.PartOpen("F1")),
                List.of(
                        "isolate",
                        "join",
                        "FH.1 FH.2",
                        "FH.2 J1.2",
                        "say component_open F1",
                        "repair F1 replace",
                        "FH.1 FH.2",
                        "done"));
    }

    private static Exercise trips() {
        return new Exercise(
                "trips-at-once",
                1,
                "lead",
                "The shore lead that trips",
                "The breaker falls the moment the lead is plugged in, with no carriage at the other end.",
                complaint(Map.of("line 2", Behaviour.STAYS_ON, "line 1", Behaviour.WORKS)),
                wires("shore.csv", AssemblyKind.LEAD),
                Map.of(),
                wired(new SeededFault.Shorted(Terminal.of("P2.2"), Terminal.of("P2.4"), 0.4)),
                List.of("isolate", "join", "P1.2 P1.4", "say short L2 N", "repair L2 N insulate", "P1.2 P1.4", "done"));
    }

    private static Exercise weakValve() {
        return new Exercise(
                "weak-valve",
                2,
                "harness",
                "The brake valve that hesitates",
                "The valve works when it likes. The meter beeps on every wire, says the last man.",
                complaint(Map.of("brake valve", Behaviour.SOMETIMES, "gong", Behaviour.WORKS)),
                wires("desk.csv", AssemblyKind.HARNESS),
                Map.of(),
                wired(new SeededFault.High("W1", 2.6)),
                List.of(
                        "isolate",
                        "join",
                        "J1.1 J2.1",
                        "J1.1 J1.2",
                        "say high_resistance W1",
                        "repair W1 clean",
                        "J1.1 J2.1",
                        "done"));
    }

    private static Exercise swapped() {
        return new Exercise(
                "gong-sands",
                2,
                "harness",
                "The gong that sands",
                "Since the desk was out, the gong's pedal sands the rails, and the sander's rings.",
                complaint(Map.of("gong", Behaviour.DEAD, "sander", Behaviour.DEAD, "wiper", Behaviour.WORKS)),
                wires("desk.csv", AssemblyKind.HARNESS),
                Map.of(),
                wired(new SeededFault.Moved(Map.of("W3", Terminal.of("J3.2"), "W4", Terminal.of("J3.1")))),
                List.of(
                        "isolate",
                        "join",
                        "J1.3 J3.1",
                        "J1.3 J3.2",
                        "J1.4 J3.1",
                        "say crossed W3 W4",
                        "repair W3 W4 move",
                        "J1.3 J3.1",
                        "done"));
    }

    private static Exercise staysOn() {
        return new Exercise(
                "never-off",
                2,
                "harness",
                "The lamp that never goes out",
                "It burns day and night; the switch clicks and changes nothing.",
                complaint(Map.of("lamp", Behaviour.STAYS_ON)),
                assembly("lamp.json"),
                Map.of(),
                wired(new SeededFault.PartStuck("SW1", true)),
                List.of(
                        "isolate",
                        "join",
                        "SW.1 SW.2",
                        "SW.2 J1.2",
                        "say component_state SW1",
                        "repair SW1 replace",
                        "SW.1 SW.2",
                        "done"));
    }

    private static Exercise sensor() {
        return new Exercise(
                "hot-in-winter",
                2,
                "sensor",
                "The points that are warm in a frost",
                "The panel shows 98 °C at the points and never heats. There is ice on them.",
                complaint(Map.of("temperature", Behaviour.SOMETIMES, "heating", Behaviour.WORKS)),
                assembly("heater.json"),
                Map.of(),
                wired(new SeededFault.PartValue("RT", 1.27)),
                List.of(
                        "isolate",
                        "join",
                        "K2.1 K2.2",
                        "K2.1 FRAME",
                        "say component_value RT",
                        "repair RT replace",
                        "K2.1 K2.2",
                        "done"));
    }

    private static Exercise oxide() {
        return new Exercise(
                "dead-till-touched",
                2,
                "harness",
                "The wiper that works when looked at",
                "Dead in the rain; when somebody has had the plug in the hand it goes for a week.",
                complaint(Map.of("wiper", Behaviour.SOMETIMES, "sander", Behaviour.WORKS)),
                wires("desk.csv", AssemblyKind.HARNESS),
                Map.of(),
                List.of(new Flaw.Oxide(Terminal.of("J3.3"))),
                List.of(
                        "isolate",
                        "join",
                        "J1.5 J3.3",
                        "scrape J3.3",
                        "J1.5 J3.3",
                        "J1.5 J1.4",
                        "say contact_surface W5",
                        "repair W5 clean",
                        "J1.5 J3.3",
                        "done"));
    }

    private static Exercise windingToFrame() {
        return new Exercise(
                "tingling-case",
                3,
                "winding",
                "The compressor that trips the earth device",
                "It hums, and then everything in the shed is dark. Its case tingled once.",
                complaint(Map.of("starting", Behaviour.STAYS_ON)),
                assembly("motor.json"),
                Map.of(),
                wired(new SeededFault.Shorted(Terminal.of("M1.S"), Terminal.FRAME, 1800)),
                List.of(
                        "isolate",
                        "join",
                        "J1.3 FRAME",
                        "J1.3 J1.1",
                        "say frame_short LS",
                        "repair LS spare",
                        "J1.3 FRAME",
                        "done"));
    }

    private static Exercise heaterOpen() {
        return new Exercise(
                "cold-points",
                2,
                "sensor",
                "The points that freeze",
                "Cold, though the relay pulls in. The thermometer on the panel is right.",
                complaint(Map.of("heating", Behaviour.DEAD, "temperature", Behaviour.WORKS)),
                assembly("heater.json"),
                Map.of(),
                wired(new SeededFault.PartOpen("HR")),
                List.of(
                        "isolate",
                        "join",
                        "B1.1 B1.2",
                        "K1.1 K1.2",
                        "K1.1 FRAME",
                        "say component_open HR",
                        "repair HR replace",
                        "K1.1 K1.2",
                        "done"));
    }

    private static Exercise flexing() {
        return new Exercise(
                "horn-now-and-then",
                3,
                "cable",
                "The horn that sounds now and then",
                "It sounds while the pendant hangs still, and drops out when somebody moves with it.",
                complaint(Map.of("horn", Behaviour.SOMETIMES, "raise", Behaviour.WORKS, "lower", Behaviour.WORKS)),
                wires("pendant.csv", AssemblyKind.CABLE),
                Map.of(),
                List.of(new Flaw.LooseAt("W5", "J2")),
                List.of(
                        "isolate",
                        "join",
                        "J1.5 J2.5",
                        "bend flexing",
                        "J1.5 J2.5",
                        "bend J2",
                        "J1.5 J2.5",
                        "J1.5 J1.4",
                        "let go",
                        "say intermittent W5 at J2",
                        "repair W5 contact",
                        "bend J2",
                        "J1.5 J2.5",
                        "done"));
    }

    private static Exercise ring() {
        return new Exercise(
                "half-a-ring",
                3,
                "ring",
                "The ring that passed last year",
                "The sockets all work. The yearly test wants the ring, and somebody drilled for a shelf in spring.",
                Symptoms.NONE,
                wires("ring.csv", AssemblyKind.CIRCUIT),
                Map.of(),
                wired(new SeededFault.Open("P-C")),
                List.of(
                        "isolate",
                        "join",
                        "OR.3 OR.4",
                        "OR.3 O2.P",
                        "OR.3 O3.P",
                        "OR.3 O3.L",
                        "say open P-C",
                        "repair P-C splice",
                        "OR.3 OR.4",
                        "done"));
    }

    private static Exercise ringJoint() {
        return new Exercise(
                "warm-socket",
                3,
                "ring",
                "The socket that was warm",
                "Everything works. One of the sockets was warm under the fan heater; nobody remembers which.",
                Symptoms.NONE,
                wires("ring.csv", AssemblyKind.CIRCUIT),
                Map.of(),
                wired(new SeededFault.High("L-D", 0.9)),
                List.of(
                        "isolate",
                        "join",
                        "OR.1 OR.2",
                        "O3.L O4.L",
                        "O3.L O3.P",
                        "say high_resistance L-D",
                        "repair L-D clean",
                        "OR.1 OR.2",
                        "done"));
    }

    private static Exercise farCore() {
        return new Exercise(
                "dead-bell",
                3,
                "cable",
                "The bell that does not ring on the platform",
                "The hut pushes, the platform hears nothing. A hundred and forty metres lie between, and you are alone.",
                complaint(Map.of("bell", Behaviour.DEAD, "telephone", Behaviour.WORKS)),
                wires("hut.csv", AssemblyKind.CABLE),
                Map.of("H1", "hut", "F1", "platform"),
                wired(new SeededFault.Open("C1")),
                List.of(
                        "isolate",
                        "join",
                        "go platform",
                        "link F1.1 F1.2",
                        "go hut",
                        "H1.1 H1.2",
                        "say open C1",
                        "repair C1 splice",
                        "H1.1 H1.2",
                        "done"));
    }

    private static Exercise wrongSleeves() {
        return new Exercise(
                "gate-lights",
                4,
                "bundle",
                "The gate that lights the lamp",
                "Five grey cores, sleeves on both ends. Since the sleeves were put on anew, the lamp's push moves the gate.",
                complaint(Map.of("gate", Behaviour.DEAD, "lamp", Behaviour.DEAD, "bell", Behaviour.WORKS)),
                wires("hut.csv", AssemblyKind.CABLE),
                Map.of("H1", "hut", "F1", "platform"),
                wired(new SeededFault.Moved(Map.of("C3", Terminal.of("F1.4"), "C4", Terminal.of("F1.3")))),
                List.of(
                        "isolate",
                        "join",
                        "go platform",
                        "link F1.3 FRAME",
                        "go hut",
                        "H1.3 FRAME",
                        "H1.4 FRAME",
                        "say crossed C3 C4",
                        "repair C3 C4 move",
                        "H1.3 FRAME",
                        "done"));
    }

    private static Exercise twoFaults() {
        List<Flaw> flaws = new ArrayList<>(wired(new SeededFault.Open("W1")));
        flaws.addAll(wired(new SeededFault.Shorted(Terminal.of("J2.3"), Terminal.of("J2.4"), 0.6)));
        return new Exercise(
                "two-at-once",
                4,
                "cable",
                "The hoist that was driven over",
                "It does not raise, and it travels left when it should travel right. A cart went over the cable.",
                complaint(Map.of(
                        "raise",
                        Behaviour.DEAD,
                        "travel left",
                        Behaviour.STAYS_ON,
                        "travel right",
                        Behaviour.STAYS_ON,
                        "horn",
                        Behaviour.WORKS)),
                wires("pendant.csv", AssemblyKind.CABLE),
                Map.of(),
                flaws,
                List.of(
                        "isolate",
                        "join",
                        "J1.1 J2.1",
                        "J1.3 J1.4",
                        "say open W1",
                        "say short W3 W4",
                        "repair W1 spare",
                        "repair W3 W4 insulate",
                        "J1.1 J2.1",
                        "J1.3 J1.4",
                        "done"));
    }

    private static Exercise wet() {
        return new Exercise(
                "flooded-pit",
                4,
                "wet cable",
                "The track that is occupied when it rains",
                "After rain the track shows occupied. In dry weather every insulation test passes.",
                complaint(Map.of("relay feed", Behaviour.SOMETIMES, "track feed", Behaviour.WORKS)),
                wires("pit.csv", AssemblyKind.CABLE),
                Map.of(),
                List.of(new Flaw.Weak(Terminal.of("R1.3"), Terminal.FRAME, 900e6, 1.2, 0.0004)),
                List.of(
                        "isolate",
                        "join",
                        "wet",
                        "test R1.3 FRAME 500",
                        "say insulation_low T3",
                        "repair T3 insulate",
                        "test R1.3 FRAME 500",
                        "done"));
    }

    private static Exercise collector() {
        return new Exercise(
                "smelling-stud",
                4,
                "chain",
                "The collector that smells",
                "The tram pulls badly and the cover over the collector smells of hot varnish.",
                complaint(Map.of("collector", Behaviour.SOMETIMES)),
                wires("collector.csv", AssemblyKind.DEVICE),
                Map.of(),
                wired(new SeededFault.High("K-stud", 0.21)),
                List.of(
                        "isolate",
                        "join",
                        "A1.1 A7.1",
                        "A1.1 A4.1",
                        "A4.1 A5.1",
                        "A4.1 FRAME",
                        "say high_resistance K-stud",
                        "repair K-stud clean",
                        "A1.1 A7.1",
                        "done"));
    }

    private static Exercise breaksDown() {
        return new Exercise(
                "arcs-at-night",
                4,
                "withstand",
                "The feeder that arcs at night",
                "Some nights the feeder's breaker falls. Resistance and 500 V show nothing at all.",
                complaint(Map.of("workshop feed", Behaviour.SOMETIMES)),
                wires("feeder.csv", AssemblyKind.CABLE),
                Map.of(),
                List.of(new Flaw.Breaks(Terminal.of("G1.1"), Terminal.of("G1.3"), 1100)),
                List.of(
                        "isolate",
                        "join",
                        "G1.1 G1.3",
                        "test G1.1 G1.3 1500",
                        "say withstand F-L F-E",
                        "repair F-L F-E insulate",
                        "test G1.1 G1.3 1500",
                        "done"));
    }

    private static Symptoms complaint(Map<String, Behaviour> functions) {
        return new Symptoms(functions);
    }

    private static List<Flaw> wired(SeededFault fault) {
        return List.of(new Flaw.Wired(fault));
    }

    private static Assembly wires(String file, AssemblyKind kind) {
        String name = file.substring(0, file.indexOf('.'));
        return WireList.read(read(file)).assembly(name, kind, "", Map.of());
    }

    private static Assembly assembly(String file) {
        List<Problem> problems = new ArrayList<>();
        return AssemblyReader.read(read(file), problems)
                .orElseThrow(() -> new IllegalStateException(problems.toString()));
    }

    private static String read(String file) {
        try (InputStream stream = Exercises.class.getResourceAsStream(file)) {
            if (stream == null) {
                throw new IllegalStateException("The practice room lacks " + file + ".");
            }
            return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
