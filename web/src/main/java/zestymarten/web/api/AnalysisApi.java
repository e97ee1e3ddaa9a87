package zestymarten.web.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.AnalysisReader;
import zestymarten.core.analysis.AnalysisReading;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.ExplainedFinding;
import zestymarten.core.analysis.ImpliedPairs;
import zestymarten.core.analysis.Recommendation;
import zestymarten.core.analysis.UntestedPairs;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.JsonMembers;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Partition;
import zestymarten.core.judgement.Expectation;
import zestymarten.core.judgement.PlausibilityCheck;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.MeterProfile;
import zestymarten.core.meter.TestConditions;
import zestymarten.core.network.Path;
import zestymarten.core.quantity.Message;
import zestymarten.core.quantity.MeterReading;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingParser;
import zestymarten.web.platform.RecommendationWords;
import zestymarten.web.platform.Refusal;
import zestymarten.web.platform.Words;

/** The core's questions over HTTP: stateless, nothing is kept. */
@RestController
@RequestMapping(path = "/api/v1/analysis", consumes = MediaType.APPLICATION_JSON_VALUE)
class AnalysisApi {
    /** A document read whole, or refused with all that is wrong with it. */
    private record RequestedAnalysis(
            Design design, TestConditions conditions, JsonMembers document, List<Problem> problems) {
        static RequestedAnalysis read(String body) {
            List<Problem> problems = new ArrayList<>();
            JsonMembers document = JsonMembers.read(body, problems).orElseThrow(() -> new Refusal(problems));
            Optional<JsonMembers> given = document.object("assembly");
            if (given.isEmpty()) {
                document.problem("assembly", Message.of("asked.expected_assembly_missing"));
            }
            Optional<TestConditions> conditions = AnalysisReader.conditions(document);
            Optional<Assembly> assembly = given.flatMap(each -> AssemblyReader.read(each, problems));
            if (assembly.isEmpty() || conditions.isEmpty()) {
                throw new Refusal(problems);
            }
            return new RequestedAnalysis(
                    Design.of(assembly.get(), conditions.get().ambientC()), conditions.get(), document, problems);
        }

        /** To be called when every member was asked for. */
        void mustBeSound() {
            document.done();
            if (!problems.isEmpty()) {
                throw new Refusal(problems);
            }
        }
    }

    /** What a good unit reads; the three figures are null where there is no path. */
    @JsonInclude(JsonInclude.Include.ALWAYS)
    record Expected(
            @Nullable Double lowOhm,
            @Nullable Double nominalOhm,
            @Nullable Double highOhm,
            boolean open) {
        static Expected of(Path path) {
            return path.fold(
                    way -> new Expected(
                            way.low().value(), way.nominal().value(), way.high().value(), false),
                    () -> new Expected(null, null, null, true));
        }
    }

    @PostMapping("/expected")
    List<Expected> expected(@RequestBody String body) {
        RequestedAnalysis asked = RequestedAnalysis.read(body);
        List<AnalysisReader.TerminalPair> pairs =
                AnalysisReader.pairs(asked.document(), asked.design().assembly());
        asked.mustBeSound();
        return pairs.stream()
                .map(pair -> Expected.of(asked.design().path(pair.a(), pair.b(), pair.state(), pair.links())))
                .toList();
    }

    /** How a text is understood. */
    record ParsedReading(
            String kind, OptionalDouble ohm, List<Candidate> candidates, List<String> doubts, String message) {}

    /** One thing that a text may mean. */
    record Candidate(String kind, OptionalDouble ohm, String text) {}

    @PostMapping("/parse")
    ParsedReading parse(@RequestBody String body) {
        List<Problem> problems = new ArrayList<>();
        JsonMembers document = JsonMembers.read(body, problems).orElseThrow(() -> new Refusal(problems));
        String text = document.needed("text");
        Optional<MeterProfile> meter = AnalysisReader.meter(document.object("meter"));
        Optional<Limit> expected = document.object("expected").flatMap(AnalysisApi::expected);
        document.done();
        if (!problems.isEmpty() || meter.isEmpty()) {
            throw new Refusal(problems);
        }
        MeterReading plain = new ReadingParser(meter.get().oneIsOverRange()).understand(text);
        if (plain instanceof MeterReading.Ambiguous ambiguous) {
            return parsed(plain, candidates(ambiguous), List.of(Words.say(ambiguous.question())));
        }
        TestConditions conditions = new TestConditions(
                20, meter.get(), OptionalDouble.empty(), LeadPolicy.NONE, false, TestConditions.JOINED_BELOW_OHM);
        MeterReading raised = expected.map(
                        limit -> PlausibilityCheck.raise(plain, new Expectation.Joined(limit, true), conditions))
                .orElse(plain);
        return raised instanceof MeterReading.Ambiguous doubt
                ? parsed(plain, candidates(doubt), List.of(Words.say(doubt.question())))
                : parsed(raised, List.of(), List.of());
    }

    private static Optional<Limit> expected(JsonMembers members) {
        OptionalDouble low = members.number("low_ohm");
        OptionalDouble high = members.number("high_ohm");
        members.done();
        if (high.isEmpty() || !(low.orElse(0) >= 0 && low.orElse(0) <= high.getAsDouble())) {
            members.problem("high_ohm", Message.of("analysis_api.expected_figure_least_low"));
            return Optional.empty();
        }
        Ohms minimum = Ohms.of(low.orElse(0));
        Ohms maximum = Ohms.of(high.getAsDouble());
        return Optional.of(new Limit(
                minimum,
                low.isPresent() ? Optional.of(minimum) : Optional.empty(),
                maximum,
                false,
                Limit.Rule.GIVEN,
                Message.of("analysis_api.given")));
    }

    private static ParsedReading parsed(MeterReading understood, List<Candidate> candidates, List<String> doubts) {
        return new ParsedReading(
                understood.kind(), understood.figure(), candidates, doubts, Words.say(understood.message()));
    }

    private static List<Candidate> candidates(MeterReading.Ambiguous ambiguous) {
        return ambiguous.candidates().stream()
                .map(each -> new Candidate(each.kind(), each.figure(), Words.say(each.message())))
                .toList();
    }

    /** What the readings say. */
    record FoundAnswer(
            String verdict,
            List<JudgementOut> judgements,
            List<FindingOut> findings,
            List<ExplanationOut> explanations,
            List<Integer> contradictions,
            List<NotShownOut> notShown,
            List<PairOut> untested,
            List<ImpliedOut> implied,
            NextOut next) {}

    /** A judged reading by its number from 0, with the limit that it was judged by. */
    record JudgementOut(
            int reading,
            String a,
            String b,
            String understood,
            OptionalDouble correctedOhm,
            String result,
            String reason,
            String text,
            Optional<LimitOut> limit) {}

    /** A limit with its source; {@code low_ohm} is null where any lower resistance is good. */
    @JsonInclude(JsonInclude.Include.ALWAYS)
    record LimitOut(@Nullable Double lowOhm, double highOhm, String source, String text) {}

    /** A fault by what would be repaired. */
    record FaultOut(String kind, List<String> conductors, List<String> components) {
        static FaultOut of(Finding finding) {
            boolean part = finding instanceof Finding.PartAtFault;
            return new FaultOut(finding.kind(), finding.conductors(), part ? finding.named() : List.of());
        }
    }

    /** A finding in the open format; {@code evidence} numbers the readings from 0. */
    @JsonInclude(JsonInclude.Include.ALWAYS)
    record FindingOut(
            String kind,
            List<String> conductors,
            List<String> components,
            List<String> terminals,
            @Nullable String end,
            @Nullable Double ohm,
            double probability,
            boolean certain,
            List<FaultOut> alternatives,
            String text,
            List<Integer> evidence,
            List<String> functionsLost) {}

    /** What may be wrong altogether. */
    record ExplanationOut(double probability, List<FaultOut> faults) {}

    /** A kind of fault that the readings would not have shown, and why. */
    record NotShownOut(String kind, String reason, String text) {}

    /** A pair that needs no reading, and the numbers of the readings that it follows from. */
    record ImpliedOut(String a, String b, String result, List<Integer> from) {
        static ImpliedOut of(ImpliedPairs.ImpliedPair pair) {
            return new ImpliedOut(pair.a().name(), pair.b().name(), pair.joined() ? "joined" : "apart", pair.from());
        }
    }

    /** Two terminals. */
    record PairOut(String a, String b) {}

    /** Where the diagnosis stands, and what to measure next. */
    record NextOut(String status, double certainty, List<MeasurementOut> measurements) {}

    /** A measurement that would tell much for its time. */
    record MeasurementOut(
            String a, String b, String state, List<List<String>> setup, double gainBits, double seconds, String asks) {}

    @PostMapping("/findings")
    FoundAnswer findings(@RequestBody String body) {
        RequestedAnalysis asked = RequestedAnalysis.read(body);
        List<AnalysisReading> readings =
                AnalysisReader.readings(asked.document(), asked.design().assembly());
        asked.mustBeSound();
        Analysis analysis = Analysis.of(asked.design(), asked.conditions(), readings);
        return new FoundAnswer(
                analysis.state().name().toLowerCase(Locale.ROOT),
                judgements(analysis.judgements()),
                analysis.findings().stream().map(AnalysisApi::finding).toList(),
                analysis.explanations().stream()
                        .map(each -> new ExplanationOut(
                                each.probability(),
                                each.faults().stream().map(FaultOut::of).toList()))
                        .toList(),
                analysis.contradictions(),
                UntestedPairs.of(asked.design(), readings, analysis).stream()
                        .map(each -> new NotShownOut(each.kind(), each.reason(), Words.say(each.what())))
                        .toList(),
                analysis.untested().stream().map(AnalysisApi::pair).toList(),
                analysis.implied().stream().map(ImpliedOut::of).toList(),
                next(analysis.next()));
    }

    private static NextOut next(Recommendation next) {
        String status = next.status() == Recommendation.Status.CANNOT_BE_TOLD
                ? "cannot_be_told"
                : next.status().name().toLowerCase(Locale.ROOT);
        return new NextOut(
                status,
                next.certainty(),
                next.measurements().stream()
                        .filter(each -> next.status() == Recommendation.Status.GO_ON)
                        .map(each -> new MeasurementOut(
                                each.black().name(),
                                each.red().name(),
                                each.state().id(),
                                each.links().stream()
                                        .map(link -> link.stream()
                                                .map(Terminal::name)
                                                .toList())
                                        .toList(),
                                each.bits(),
                                each.seconds(),
                                RecommendationWords.why(each)))
                        .toList());
    }

    private static PairOut pair(Partition.JoinedPair pair) {
        return new PairOut(pair.a().name(), pair.b().name());
    }

    private static List<JudgementOut> judgements(List<Analysis.JudgedReading> judged) {
        List<JudgementOut> all = new ArrayList<>();
        for (Analysis.JudgedReading each : judged) {
            Optional<LimitOut> limit = each.expectation() instanceof Expectation.Joined joined
                    ? Optional.of(limit(joined.limit()))
                    : Optional.empty();
            all.add(new JudgementOut(
                    all.size(),
                    each.reading().a().name(),
                    each.reading().b().name(),
                    Words.say(each.understood().message()),
                    each.judgement().correctedOhm(),
                    each.judgement().verdict().code(),
                    each.judgement().code().code(),
                    Words.say(each.judgement().reason()),
                    limit));
        }
        return all;
    }

    private static LimitOut limit(Limit limit) {
        return new LimitOut(
                limit.low().value() > 0 ? limit.low().value() : null,
                limit.high().value(),
                Words.say(limit.by().source()),
                Words.say(limit.derivation()));
    }

    private static FindingOut finding(ExplainedFinding explained) {
        Finding finding = explained.finding();
        FaultOut fault = FaultOut.of(finding);
        return new FindingOut(
                fault.kind(),
                fault.conductors(),
                fault.components(),
                finding.terminals().stream().map(Terminal::name).toList(),
                end(finding),
                finding.ohms().map(Ohms::value).orElse(null),
                explained.probability(),
                explained.certain(),
                explained.alternatives().stream().map(FaultOut::of).toList(),
                Words.say(finding.message()),
                explained.evidence(),
                explained.functionsLost());
    }

    /** At which end of its wires a move is: ends that changed places read alike at either side. */
    private static @Nullable String end(Finding finding) {
        if (finding instanceof Finding.Crossed) {
            return "either";
        }
        return finding.moved().isEmpty()
                ? null
                : finding.moved().get(0).designed().connector();
    }
}
