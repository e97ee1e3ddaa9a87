package zestymarten.web.testrun;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zestymarten.core.assembly.Access;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyKind;
import zestymarten.core.assembly.Connector;
import zestymarten.core.assembly.Subject;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.quantity.EngineeringFormat;
import zestymarten.core.quantity.Message;
import zestymarten.core.testplan.ManualAction;
import zestymarten.core.testplan.TestStep;
import zestymarten.core.testrun.RecordedSymptoms;
import zestymarten.core.testrun.TestRun;
import zestymarten.web.platform.ChoiceView;
import zestymarten.web.platform.Times;
import zestymarten.web.platform.Words;

/**
 * What a manual step asks of the technician, in words.
 *
 * @param sentence what to do
 * @param why why, and what to mind: the caution at the step where it bites
 */
record ManualStepWords(String sentence, String why) {
    private static final int NAMED = 24;

    /** What is entered for an answer as it was typed: the code where one of the choices is meant, with the note behind it. */
    static String entered(TestStep step, String typed) {
        int end = typed.indexOf(':') < 0 ? typed.length() : typed.indexOf(':');
        String word = typed.substring(0, end).strip();
        return step
                .fold(probes -> List.<ChoiceView>of(), measurement -> List.<ChoiceView>of(), ManualStepWords::choices)
                .stream()
                .filter(each -> each.word().equalsIgnoreCase(word))
                .findFirst()
                .map(each -> each.code() + typed.substring(end))
                .orElse(typed);
    }

    /** Answers that are offered as buttons, besides typing. */
    static List<ChoiceView> choices(TestStep.ManualStep manual) {
        return switch (manual.action()) {
            case SYMPTOM -> symptoms(0);
            case FUNCTION, REPLUGGED, SUBSTITUTED -> symptoms(1);
            case INSPECT ->
                Stream.concat(
                                Stream.of(Finding.Defect.values())
                                        .map(each -> new ChoiceView(each.code(), Words.say(each))),
                                Stream.of(Words.say("manual_step_words.dirty_cleaned"))
                                        .map(each -> new ChoiceView(each, each)))
                        .toList();
            default -> List.of();
        };
    }

    /** The answers about a function from one on. */
    static List<ChoiceView> symptoms(int from) {
        return RecordedSymptoms.codes().stream()
                .skip(from)
                .map(each -> new ChoiceView(each, Words.say(RecordedSymptoms.words(each))))
                .toList();
    }

    static ManualStepWords of(TestRun test, TestStep.ManualStep manual) {
        Assembly assembly = test.design().assembly();
        Subject about = manual.subject();
        Message subject = about.words();
        return switch (manual.action()) {
            case SYMPTOM ->
                new ManualStepWords(
                        Words.say("manual_step_words.how_does_behave", subject),
                        Words.say("manual_step_words.what_machine_does_evidence"));
            case LOCKED_OFF ->
                new ManualStepWords(
                        Words.say("manual_step_words.power_off_locked_off"),
                        Words.say("manual_step_words.your_own_lock_your"));
            case LIVE_BEFORE ->
                new ManualStepWords(
                        Words.say("manual_step_words.voltage_tester_on_source"),
                        Words.say("manual_step_words.this_proves_tester_live"));
            case DEAD ->
                new ManualStepWords(
                        Words.say("manual_step_words.same_tester_on_wiring"),
                        Words.say("manual_step_words.most_counts_as_dead"));
            case LIVE_AFTER ->
                new ManualStepWords(
                        Words.say("manual_step_words.back_on_live_source"),
                        Words.say("manual_step_words.tester_that_failed_between"));
            case UNPLUGGED ->
                new ManualStepWords(
                        Words.say("manual_step_words.unplug", title(assembly, about)),
                        Words.say("manual_step_words.note_or_photograph_how"));
            case INSPECT ->
                new ManualStepWords(
                        Words.say("manual_step_words.look", place(assembly, about)), looking(assembly, about));
            case TEMPERATURE ->
                new ManualStepWords(
                        Words.say("manual_step_words.how_warm_enter", subject, ambient(test)),
                        Words.say("manual_step_words.copper_gains_every_sensor"));
            case ACCESSORIES -> new ManualStepWords(Words.say("manual_step_words.on_meter_now", subject), "");
            case PURPOSE -> new ManualStepWords(Words.say("manual_step_words.what_this_test"), "");
            case ZERO_DRIFTS -> new ManualStepWords(Words.say("manual_step_words.meter_drifts"), "");
            case ACCESS -> access(assembly, about);
            case HALVES -> new ManualStepWords(Words.say("manual_step_words.shorts_by_halves_from"), "");
            case WARMED ->
                new ManualStepWords(
                        Words.say("manual_step_words.warm_by_hand_or", subject),
                        Words.say("manual_step_words.least_more_sensor_good"));
            case WATER ->
                new ManualStepWords(
                        Words.say("manual_step_words.two_electrodes_water_not"),
                        Words.say("manual_step_words.electrode_that_hangs_dry"));
            case DRY_ENDS ->
                new ManualStepWords(
                        Words.say("manual_step_words.far_ends_out_water"),
                        Words.say("manual_step_words.wet_end_reads_like"));
            case LIFTED ->
                new ManualStepWords(
                        Words.say("manual_step_words.voltage_on_again_lift", subject),
                        Words.say("manual_step_words.damage_where_leaves_water"));
            case REMAINING ->
                new ManualStepWords(
                        Words.say("manual_step_words.resistance_what_left", subject),
                        Words.say("manual_step_words.wire_can_be_broken"));
            case GO_TO_FAR_END, GO_TO_FAR_END_AGAIN ->
                new ManualStepWords(
                        about == Subject.Sole.THERE
                                ? Words.say("manual_step_words.go_far_end")
                                : Words.say("manual_step_words.go_back_near_end"),
                        about == Subject.Sole.THERE
                                ? Words.say(
                                        "manual_step_words.take_clips_enough_every",
                                        ends(test.plan().farEnds()))
                                : "");
            case LINK_FAR_ENDS ->
                new ManualStepWords(
                        Words.say(
                                "manual_step_words.link_all_far_ends",
                                ends(test.plan().linkedFar())),
                        Words.say("manual_step_words.each_one_caught_one"));
            case UNLINK_FAR_ENDS ->
                new ManualStepWords(
                        Words.say("manual_step_words.free_far_ends_keep"),
                        Words.say("manual_step_words.nothing_may_touch_not"));
            case FRAME_PROOF ->
                new ManualStepWords(
                        Words.say("manual_step_words.both_probes_on_frame"),
                        Words.say("manual_step_words.painted_or_oxidised_spot"));
            case POSITION_NAMED ->
                new ManualStepWords(Words.say("manual_step_words.positions_moving_part", subject), "");
            case MOVED_TO ->
                new ManualStepWords(
                        about.isNothing()
                                ? Words.say("manual_step_words.bring_moving_part_back")
                                : Words.say("manual_step_words.bring_moving_part_hold", subject),
                        Words.say("manual_step_words.secure_against_moving_by"));
            case POSITION ->
                new ManualStepWords(
                        Words.say("manual_step_words.set_switches_relays", subject),
                        Words.say("manual_step_words.leave_everything_else_as"));
            case BARRIERS ->
                new ManualStepWords(
                        Words.say("manual_step_words.electronics_out_barriers_up"),
                        Words.say("manual_step_words.test_voltage_stands_on"));
            case DISCHARGED, DISCHARGED_WET, DISCHARGED_LAST ->
                new ManualStepWords(
                        Words.say("manual_step_words.discharge_least_four_times"),
                        Words.say(
                                "manual_step_words.long_cable_holds_charge",
                                test.dischargedAt(manual.action())
                                        .map(end -> Words.say("manual_step_words.not_before", Times.second(end)))
                                        .orElse("")));
            case REPAIR -> new ManualStepWords(Words.say("manual_step_words.repair", subject), "");
            case SUBSTITUTE -> new ManualStepWords(Words.say("manual_step_words.another_one_be_tried", subject), "");
            case REPLUGGED ->
                new ManualStepWords(
                        Words.say("manual_step_words.unplug_plug_again_nothing", title(assembly, about)),
                        Words.say("manual_step_words.that_alone_may_cure"));
            case SUBSTITUTED ->
                new ManualStepWords(
                        Words.say("manual_step_words.known_good_one_place", title(assembly, about)),
                        Words.say("manual_step_words.if_works_now_that", substitute(test, about)));
            case RESET ->
                new ManualStepWords(
                        Words.say("manual_step_words.reset_what_keeps_old"),
                        Words.say("manual_step_words.controller_that_latched_old"));
            case FUNCTION ->
                new ManualStepWords(
                        Words.say("manual_step_words.try_does_work", subject),
                        Words.say("manual_step_words.repair_proved_by_machine"));
            case OPENED -> new ManualStepWords(Words.say("manual_step_words.restore", subject), "");
            case RESTORE ->
                new ManualStepWords(
                        Words.say("manual_step_words.restore_2", place(assembly, about)),
                        Words.say("manual_step_words.everything_on_list_must"));
        };
    }

    /** The price of a substitute. */
    private static String substitute(TestRun test, Subject subject) {
        return test.entriesOf(new TestStep.ManualStep(ManualAction.SUBSTITUTE, subject)).stream()
                .reduce((first, second) -> second)
                .map(entry -> Words.say(
                        "manual_step_words.substitute",
                        test.words(entry).arguments().get(0)))
                .orElse("");
    }

    private static String ambient(TestRun test) {
        return EngineeringFormat.figure(test.design().ambientC());
    }

    private static ManualStepWords access(Assembly assembly, Subject about) {
        Access reach = assembly.connector(about.code()).map(Connector::reach).orElse(Access.AT_HAND);
        String minutes = reach.minutes() > 0
                ? Words.say("manual_step_words.about_min", EngineeringFormat.figure(reach.minutes()))
                : Words.say("manual_step_words.no_time");
        String harm = switch (reach.harm()) {
            case NONE -> Words.say("manual_step_words.does_no_harm");
            case OPEN -> Words.say("manual_step_words.opens_what_was_closed");
            case PIERCE -> Words.say("manual_step_words.pierces_insulation_which_be");
            case CUT -> Words.say("manual_step_words.cuts_which_be_made");
        };
        return new ManualStepWords(
                Words.say("manual_step_words.may_be_opened_takes", title(assembly, about), minutes, harm),
                Words.say("manual_step_words.everything_that_needs_no"));
    }

    private static String title(Assembly assembly, Subject about) {
        return assembly.connector(about.code()).map(Connector::title).orElseGet(() -> Words.say(about.words()));
    }

    private static String place(Assembly assembly, Subject about) {
        return isZone(assembly, about) ? Words.say("manual_step_words.stretch", about.words()) : title(assembly, about);
    }

    private static boolean isZone(Assembly assembly, Subject about) {
        return assembly.connector(about.code()).isEmpty()
                && assembly.conductors().stream()
                        .anyMatch(
                                each -> each.zone().filter(about.code()::equals).isPresent());
    }

    private static String looking(Assembly assembly, Subject about) {
        String what = assembly.connector(about.code()).isPresent()
                ? Words.say("manual_step_words.pins_pushed_back_spread")
                : isZone(assembly, about)
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
}
