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
import zestymarten.web.platform.Words;

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
            case COMPLAINT ->
                asks(
                        Words.say("manual_step_words.how_does_behave", subject),
                        Words.say("manual_step_words.what_machine_does_evidence"));
            case LOCKED_OFF ->
                does(
                        Words.say("manual_step_words.power_off_locked_off"),
                        Words.say("manual_step_words.your_own_lock_your"));
            case LIVE_BEFORE ->
                does(
                        Words.say("manual_step_words.voltage_tester_on_source"),
                        Words.say("manual_step_words.this_proves_tester_live"));
            case DEAD ->
                does(
                        Words.say("manual_step_words.same_tester_on_wiring"),
                        Words.say("manual_step_words.most_counts_as_dead"));
            case LIVE_AFTER ->
                does(
                        Words.say("manual_step_words.back_on_live_source"),
                        Words.say("manual_step_words.tester_that_failed_between"));
            case UNPLUGGED ->
                does(
                        Words.say("manual_step_words.unplug", title(assembly, subject)),
                        Words.say("manual_step_words.note_or_photograph_how"));
            case LOOKED ->
                new ManualStepWords(
                        Words.say("manual_step_words.look", place(assembly, subject)),
                        looking(assembly, subject),
                        SEEN);
            case TEMPERATURE ->
                does(
                        Words.say("manual_step_words.how_warm_enter", subject, ambient(test)),
                        Words.say("manual_step_words.copper_gains_every_sensor"));
            case ACCESSORIES -> does(Words.say("manual_step_words.on_meter_now", subject), "");
            case PURPOSE -> does(Words.say("manual_step_words.what_this_test"), "");
            case WANDERS -> does(Words.say("manual_step_words.meter_drifts"), "");
            case ACCESS -> access(assembly, subject);
            case HALVES -> does(Words.say("manual_step_words.shorts_by_halves_from"), "");
            case WARMED ->
                does(
                        Words.say("manual_step_words.warm_by_hand_or", subject),
                        Words.say("manual_step_words.least_more_sensor_good"));
            case WATER ->
                does(
                        Words.say("manual_step_words.two_electrodes_water_not"),
                        Words.say("manual_step_words.electrode_that_hangs_dry"));
            case DRY_ENDS ->
                does(
                        Words.say("manual_step_words.far_ends_out_water"),
                        Words.say("manual_step_words.wet_end_reads_like"));
            case LIFTED ->
                does(
                        Words.say("manual_step_words.voltage_on_again_lift", subject),
                        Words.say("manual_step_words.damage_where_leaves_water"));
            case REMAINING ->
                does(
                        Words.say("manual_step_words.resistance_what_left", subject),
                        Words.say("manual_step_words.wire_can_be_broken"));
            case WALKED, WALKED_BACK ->
                does(
                        subject.startsWith("1")
                                ? Words.say("manual_step_words.go_far_end")
                                : Words.say("manual_step_words.go_back_near_end"),
                        subject.startsWith("1")
                                ? Words.say(
                                        "manual_step_words.take_clips_enough_every",
                                        ends(test.plan().farEnds()))
                                : "");
            case TIED ->
                does(
                        Words.say(
                                "manual_step_words.link_all_far_ends",
                                ends(test.plan().tiedFar())),
                        Words.say("manual_step_words.each_one_caught_one"));
            case FREED ->
                does(
                        Words.say("manual_step_words.free_far_ends_keep"),
                        Words.say("manual_step_words.nothing_may_touch_not"));
            case FRAME_PROOF ->
                does(
                        Words.say("manual_step_words.both_probes_on_frame"),
                        Words.say("manual_step_words.painted_or_oxidised_spot"));
            case POSITION_NAMED -> does(Words.say("manual_step_words.positions_moving_part", subject), "");
            case MOVED_TO ->
                does(
                        subject.isEmpty()
                                ? Words.say("manual_step_words.bring_moving_part_back")
                                : Words.say("manual_step_words.bring_moving_part_hold", subject),
                        Words.say("manual_step_words.secure_against_moving_by"));
            case POSITION ->
                does(
                        Words.say("manual_step_words.set_switches_relays", subject),
                        Words.say("manual_step_words.leave_everything_else_as"));
            case BARRIERS ->
                does(
                        Words.say("manual_step_words.electronics_out_barriers_up"),
                        Words.say("manual_step_words.test_voltage_stands_on"));
            case DISCHARGED, DISCHARGED_WET, DISCHARGED_LAST ->
                does(
                        Words.say("manual_step_words.discharge_least_four_times"),
                        Words.say(
                                "manual_step_words.long_cable_holds_charge",
                                test.dischargedAt(act.action())
                                        .map(end -> Words.say("manual_step_words.not_before", Times.second(end)))
                                        .orElse("")));
            case MENDED -> does(Words.say("manual_step_words.repair", subject), "");
            case SUBSTITUTE -> does(Words.say("manual_step_words.another_one_be_tried", subject), "");
            case REPLUGGED ->
                new ManualStepWords(
                        Words.say("manual_step_words.unplug_plug_again_nothing", title(assembly, subject)),
                        Words.say("manual_step_words.that_alone_may_cure"),
                        TRIED);
            case SUBSTITUTED ->
                new ManualStepWords(
                        Words.say("manual_step_words.known_good_one_place", title(assembly, subject)),
                        Words.say("manual_step_words.if_works_now_that", substitute(test, subject)),
                        TRIED);
            case RESET ->
                does(
                        Words.say("manual_step_words.reset_what_keeps_old"),
                        Words.say("manual_step_words.controller_that_latched_old"));
            case FUNCTION ->
                new ManualStepWords(
                        Words.say("manual_step_words.try_does_work", subject),
                        Words.say("manual_step_words.repair_proved_by_machine"),
                        TRIED);
            case OPENED -> does(Words.say("manual_step_words.restore", subject), "");
            case PUT_BACK ->
                does(
                        Words.say("manual_step_words.restore_2", place(assembly, subject)),
                        Words.say("manual_step_words.everything_on_list_must"));
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
                .map(entry -> Words.say(
                        "manual_step_words.substitute",
                        test.words(entry).arguments().get(0)))
                .orElse("");
    }

    private static String ambient(TestRun test) {
        return EngineeringFormat.figure(test.design().ambientC());
    }

    private static ManualStepWords access(Assembly assembly, String subject) {
        Access reach = assembly.connector(subject).map(Connector::reach).orElse(Access.AT_HAND);
        String minutes = reach.minutes() > 0
                ? Words.say("manual_step_words.about_min", EngineeringFormat.figure(reach.minutes()))
                : Words.say("manual_step_words.no_time");
        String harm = switch (reach.harm()) {
            case NONE -> Words.say("manual_step_words.does_no_harm");
            case OPEN -> Words.say("manual_step_words.opens_what_was_closed");
            case PIERCE -> Words.say("manual_step_words.pierces_insulation_which_be");
            case CUT -> Words.say("manual_step_words.cuts_which_be_made");
        };
        return does(
                Words.say("manual_step_words.may_be_opened_takes", title(assembly, subject), minutes, harm),
                Words.say("manual_step_words.everything_that_needs_no"));
    }

    private static String title(Assembly assembly, String connector) {
        return assembly.connector(connector).map(Connector::title).orElse(connector);
    }

    private static String place(Assembly assembly, String subject) {
        return assembly.connector(subject).isPresent()
                ? title(assembly, subject)
                : isZone(assembly, subject) ? Words.say("manual_step_words.stretch", subject) : subject;
    }

    private static boolean isZone(Assembly assembly, String subject) {
        return assembly.conductors().stream()
                .anyMatch(each -> each.zone().filter(subject::equals).isPresent());
    }

    private static String looking(Assembly assembly, String subject) {
        String what = assembly.connector(subject).isPresent()
                ? Words.say("manual_step_words.pins_pushed_back_spread")
                : isZone(assembly, subject)
                        ? Words.say("manual_step_words.cuts_chafe_kinks_burns")
                        : Words.say("manual_step_words.loose_strands_cracks_discolouring");
        return Words.say("manual_step_words.nothing_found_enter_else", what, byKind(assembly.kind()));
    }

    /** What goes wrong first in wiring of this kind. */
    private static String byKind(AssemblyKind kind) {
        return switch (kind) {
            case HARNESS -> Words.say("manual_step_words.harness_where_rubs_on");
            case CABLE -> Words.say("manual_step_words.cable_sheath_both_glands");
            case LEAD -> Words.say("manual_step_words.lead_sheath_plugs_bent");
            case CIRCUIT -> Words.say("manual_step_words.circuit_loose_screws_bare");
            case DEVICE -> Words.say("manual_step_words.device_traces_heat_arcing");
        };
    }

    private static String ends(List<Terminal> ends) {
        String named = ends.stream().limit(NAMED).map(Terminal::name).collect(Collectors.joining(" "));
        return ends.size() > NAMED ? Words.say("manual_step_words.more", named, ends.size() - NAMED) : named;
    }

    /** The deed shortly, as lists name it. */
    static String shortly(TestStep.ManualStep act) {
        boolean back = act.action() == ManualAction.MOVED_TO && act.subject().isEmpty();
        String name = back ? Words.say("manual_action.moved_back") : Words.say(act.action());
        if (act.action() == ManualAction.WALKED || act.action() == ManualAction.WALKED_BACK) {
            return name + act.subject().substring(1); // without its number
        }
        return act.subject().isEmpty() ? name : name + " " + act.subject();
    }
}
