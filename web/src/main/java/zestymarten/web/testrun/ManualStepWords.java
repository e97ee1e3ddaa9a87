package zestymarten.web.testrun;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Access;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.RecordedSymptoms;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.platform.Times;

/**
 * What a deed asks of the technician, in words.
 *
 * @param sentence what to do
 * @param why why, and what to mind: the caution at the step where it bites
 * @param choices answers offered as buttons, besides typing
 */
record ManualStepWords(String sentence, String why, List<String> choices) {
    private static final List<String> TRIED =
            RecordedSymptoms.words().subList(1, RecordedSymptoms.words().size());
    private static final int NAMED = 24;
    private static final List<String> SEEN = Stream.concat(
                    Stream.of(Finding.Defect.values()).map(Finding.Defect::word), Stream.of("dirty: cleaned"))
            .toList();

    static ManualStepWords of(TestRun test, TestStep.ManualStep act) {
        Assembly assembly = test.design().assembly();
        String subject = act.subject();
        return switch (act.action()) {
            case COMPLAINT -> asks("How does " + subject + " behave?", "What the machine does is evidence.");
            case LOCKED_OFF ->
                does(
                        "Power off, locked off, charge bled off?",
                        "Your own lock, your own key. Stored energy in restraint systems and capacitors: supply off, wait, never"
                                + " energise opened. Local codes and licensed practice decide.");
            case LIVE_BEFORE ->
                does(
                        "Voltage tester on a source that is surely live: how many volts?",
                        "This proves the tester. Live checks only by those permitted.");
            case DEAD ->
                does(
                        "The same tester on the wiring, every pair that could be live: the highest volts?",
                        "At most 1 V counts as dead. Resistance steps stay locked until it is.");
            case LIVE_AFTER ->
                does(
                        "Back on the live source: how many volts?",
                        "A tester that failed in between would have shown 0 V on anything.");
            case UNPLUGGED ->
                does(
                        "Unplug " + title(assembly, subject) + ".",
                        "Note or photograph how it was. Whatever stays plugged in gives the meter another path. It goes on"
                                + " the list to restore until it is restored.");
            case LOOKED ->
                new ManualStepWords("Look at " + place(assembly, subject) + ".", looking(assembly, subject), SEEN);
            case TEMPERATURE ->
                does(
                        "How warm is it at " + subject + "? Enter for " + ambient(test) + " °C.",
                        "Copper gains 4 % for every 10 °C, a sensor far more. °F with an F behind it.");
            case ACCESSORIES -> does("On the meter now: " + subject + ".", "");
            case PURPOSE -> does("What this test is for.", "");
            case WANDERS -> does("The meter drifts.", "");
            case ACCESS -> access(assembly, subject);
            case HALVES -> does("Shorts by halves from here on.", "");
            case WARMED ->
                does(
                        "Warm " + subject + ", by hand or with hot air: how warm is it now?",
                        "At least 5 °C more. A sensor is good if it goes the right way and far enough.");
            case WATER ->
                does(
                        "Two electrodes in the water, not touching: what is the resistance between them?",
                        "An electrode that hangs dry would pass every core. Nothing wet on running high-voltage equipment.");
            case DRY_ENDS ->
                does(
                        "Far ends out of the water, dry, free and apart?",
                        "A wet end reads like damaged insulation. Everything dead, and nobody touches the water.");
            case LIFTED ->
                does(
                        "Voltage on " + subject
                                + " again: lift the wire slowly out of the water until it reads well. Where?",
                        "The damage is where it leaves the water at that moment. Say how far from which end.");
            case REMAINING -> does("Resistance of what is left: " + subject + ".", "A wire can be broken twice.");
            case WALKED, WALKED_BACK ->
                does(
                        subject.startsWith("1") ? "Go to the far end." : "Go back to the near end.",
                        subject.startsWith("1")
                                ? "Take clips enough for every end. Far ends: "
                                        + ends(test.plan().farEnds()) + "."
                                : "");
            case TIED ->
                does(
                        "Link all far ends together: " + ends(test.plan().tiedFar()) + ".",
                        "Each one caught? One that is not reads as a broken wire. The links go on the list to restore.");
            case FREED ->
                does(
                        "Free the far ends and keep them apart.",
                        "Nothing may touch: not each other, not metal, not skin.");
            case FRAME_PROOF ->
                does(
                        "Both probes on the frame, on two spots: what is the resistance?",
                        "A painted or oxidised spot passes everything. Use one of these two from here on. Maximum 1 Ω: rule of"
                                + " thumb for bare metal.");
            case POSITION_NAMED -> does("Positions of the moving part: " + subject + ".", "");
            case MOVED_TO ->
                does(
                        subject.isEmpty()
                                ? "Bring the moving part back to where it usually stands."
                                : "Bring the moving part to '" + subject + "' and hold it there.",
                        "Secure it against moving by itself, and keep hands and leads out of its way.");
            case POSITION -> does("Set switches and relays to '" + subject + "'.", "Leave everything else as it is.");
            case BARRIERS ->
                does(
                        "Electronics out, barriers up, second person informed?",
                        "Test voltage stands on every exposed end, far ones too. Nothing wet on running high-voltage equipment.");
            case DISCHARGED, DISCHARGED_WET, DISCHARGED_LAST ->
                does(
                        "Discharge at least four times as long as the voltage was on: what voltage is left?",
                        "A long cable holds its charge. Do not touch before it reads 1 V or less."
                                + test.dischargedAt(act.action())
                                        .map(end -> " Not before " + Times.second(end) + ".")
                                        .orElse(""));
            case MENDED -> does("Repair: " + subject + ".", "");
            case SUBSTITUTE -> does("Another one is to be tried in the place of " + subject + ".", "");
            case REPLUGGED ->
                new ManualStepWords(
                        "Unplug " + title(assembly, subject)
                                + " and plug it in again, nothing else. What does the machine do?",
                        "That alone may cure a contact. Enter: nothing has changed.",
                        TRIED);
            case SUBSTITUTED ->
                new ManualStepWords(
                        "A known good one in the place of " + title(assembly, subject) + ". What does the machine do?",
                        substitute(test, subject)
                                + "If it works now, that condemns nothing yet: test the old one on the bench. The list to restore asks for"
                                + " it at the end. Enter: nothing has changed.",
                        TRIED);
            case RESET ->
                does(
                        "Reset what keeps old faults in memory.",
                        "A controller that latched the old fault looks like a repair that failed.");
            case FUNCTION ->
                new ManualStepWords(
                        "Try it: does " + subject + " work?",
                        "A repair is proved by the machine, not by the meter alone.",
                        TRIED);
            case OPENED -> does("To restore: " + subject + ".", "");
            case PUT_BACK ->
                does(
                        "Restore: " + place(assembly, subject) + ".",
                        "Everything on the list must be restored before the test ends.");
        };
    }

    private static ManualStepWords does(String sentence, String why) {
        return new ManualStepWords(sentence, why, List.of());
    }

    private static ManualStepWords asks(String sentence, String why) {
        return new ManualStepWords(sentence, why, RecordedSymptoms.words());
    }

    /** The price of a substitute. */
    private static String substitute(TestRun test, String subject) {
        return test.standing(new TestStep.ManualStep(ManualAction.SUBSTITUTE, subject)).stream()
                .reduce((first, second) -> second)
                .map(entry -> "It takes a" + test.told(entry).substring("planned, a".length()) + ". ")
                .orElse("");
    }

    private static String ambient(TestRun test) {
        return EngineeringFormat.figure(test.design().ambientC());
    }

    private static ManualStepWords access(Assembly assembly, String subject) {
        Access reach = assembly.connector(subject).map(Connector::reach).orElse(Access.AT_HAND);
        String minutes =
                reach.minutes() > 0 ? "about " + EngineeringFormat.figure(reach.minutes()) + " min" : "no time";
        String harm = switch (reach.harm()) {
            case NONE -> "and does no harm";
            case OPEN -> "and opens what was closed";
            case PIERCE -> "and pierces the insulation, which is to be sealed afterwards";
            case CUT -> "and cuts, which is to be made good afterwards";
        };
        return does(
                "May " + title(assembly, subject) + " be opened? It takes " + minutes + " " + harm + ".",
                "Everything that needs no dismantling is done before. Enter: agreed, and open; it goes on the list to restore."
                        + " Not allowed: x, with the reason; what is behind it is skipped, and the record says so.");
    }

    private static String title(Assembly assembly, String connector) {
        return assembly.connector(connector).map(Connector::title).orElse(connector);
    }

    private static String place(Assembly assembly, String subject) {
        return assembly.connector(subject).isPresent()
                ? title(assembly, subject)
                : isZone(assembly, subject) ? "the stretch '" + subject + "'" : subject;
    }

    private static boolean isZone(Assembly assembly, String subject) {
        return assembly.conductors().stream()
                .anyMatch(each -> each.zone().filter(subject::equals).isPresent());
    }

    private static String looking(Assembly assembly, String subject) {
        String what = assembly.connector(subject).isPresent()
                ? "Pins pushed back, spread, discoloured or melted; cracked shell; strain relief; an earlier repair. Melted: its"
                        + " mate is condemned too."
                : isZone(assembly, subject)
                        ? "Cuts, chafe, kinks, burns, crushed spots, where it bends and where it enters a shell or a clamp."
                        : "Loose strands, cracks, discolouring, arcing, loose nuts and screws.";
        return what + " " + byKind(assembly.kind()) + " Nothing found: Enter. Else say what, and where.";
    }

    /** What goes wrong first in wiring of this kind. */
    private static String byKind(AssemblyKind kind) {
        return switch (kind) {
            case HARNESS -> "In a harness: where it rubs on edges, where branches leave, splices under the tape.";
            case CABLE -> "In a cable: the sheath at both glands, kinks, where it is dragged or trodden on.";
            case LEAD -> "In a lead: the sheath at the plugs, bent or blued pins, the cover screws, the fuse's holder.";
            case CIRCUIT -> "In a circuit: loose screws, bare copper outside the terminal, boxes without a lid.";
            case DEVICE -> "In a device: traces of heat and of arcing, dust and damp, solder that cracked.";
        };
    }

    private static String ends(List<Terminal> ends) {
        String named = ends.stream().limit(NAMED).map(Terminal::name).collect(Collectors.joining(" "));
        return ends.size() > NAMED ? named + " and " + (ends.size() - NAMED) + " more" : named;
    }

    /** The deed shortly, as lists name it. */
    static String shortly(TestStep.ManualStep act) {
        String name = switch (act.action()) {
            case COMPLAINT -> "symptom";
            case LOCKED_OFF -> "locked off";
            case LIVE_BEFORE -> "tester on live source, before";
            case DEAD -> "proved dead";
            case LIVE_AFTER -> "tester on live source, after";
            case UNPLUGGED -> "unplugged";
            case LOOKED -> "looked at";
            case WALKED, WALKED_BACK -> "walked";
            case TIED -> "far ends linked";
            case FREED -> "far ends freed";
            case FRAME_PROOF -> "frame, two spots";
            case POSITION_NAMED -> "position named:";
            case MOVED_TO -> act.subject().isEmpty() ? "moving part back" : "moving part at";
            case POSITION -> "set to";
            case BARRIERS -> "barriers up";
            case DISCHARGED, DISCHARGED_WET, DISCHARGED_LAST -> "discharged";
            case TEMPERATURE -> "temperature at";
            case ACCESSORIES -> "on the meter:";
            case PURPOSE -> "purpose";
            case WANDERS -> "the meter drifts";
            case ACCESS -> "opened";
            case HALVES -> "shorts by halves";
            case WARMED -> "warmed";
            case WATER -> "electrode in the water";
            case DRY_ENDS -> "far ends dry";
            case LIFTED -> "lifted out";
            case REMAINING -> "left of";
            case MENDED -> "repaired";
            case SUBSTITUTE -> "another one for";
            case REPLUGGED -> "plugged in again:";
            case SUBSTITUTED -> "replaces";
            case RESET -> "reset";
            case FUNCTION -> "function";
            case OPENED -> "opened";
            case PUT_BACK -> "restored";
        };
        if (act.action() == ManualAction.WALKED || act.action() == ManualAction.WALKED_BACK) {
            return name + act.subject().substring(1); // without its number
        }
        return act.subject().isEmpty() ? name : name + " " + act.subject();
    }
}
