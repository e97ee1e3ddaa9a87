package zestymarten.web.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import zestymarten.core.analysis.Analysis;
import zestymarten.core.analysis.AnalysisReader;
import zestymarten.core.analysis.Design;
import zestymarten.core.analysis.Explained;
import zestymarten.core.analysis.Reading;
import zestymarten.core.assembly.Assembly;
import zestymarten.core.assembly.AssemblyReader;
import zestymarten.core.assembly.Members;
import zestymarten.core.assembly.Terminal;
import zestymarten.core.finding.Complaint;
import zestymarten.core.diagnosis.Costs;
import zestymarten.core.diagnosis.Diagnosis;
import zestymarten.core.diagnosis.NextTouch;
import zestymarten.core.finding.Priors;
import zestymarten.core.diagnosis.Touched;
import zestymarten.core.fault.GoodUnit;
import zestymarten.core.finding.Finding;
import zestymarten.core.finding.Partition;
import zestymarten.core.judge.Doubts;
import zestymarten.core.judge.Expectation;
import zestymarten.core.limit.Limit;
import zestymarten.core.meter.Conditions;
import zestymarten.core.meter.LeadPolicy;
import zestymarten.core.meter.Meter;
import zestymarten.core.network.Path;
import zestymarten.core.quantity.Ohms;
import zestymarten.core.quantity.Problem;
import zestymarten.core.quantity.ReadingLanguage;
import zestymarten.core.quantity.Understood;
import zestymarten.web.platform.Refused;

/** The core's questions over HTTP: stateless, nothing is kept. */
@RestController
@RequestMapping(path = "/api/v1/analysis", consumes = MediaType.APPLICATION_JSON_VALUE)
class AnalysisApi {
    private static final int NEXT = 5;

    /** A document read whole, or refused with all that is wrong with it. */
    private record Asked(Design design, Conditions conditions, Members document, List<Problem> problems) {
        static Asked read(String body) {
            List<Problem> problems = new ArrayList<>();
            Members document = Members.read(body, problems).orElseThrow(() -> new Refused(problems));
            Optional<Members> given = document.object("assembly");
            if (given.isEmpty()) {
                document.problem("assembly", "Expected an assembly; it is missing.");
            }
            Optional<Conditions> conditions = AnalysisReader.conditions(document);
            Optional<Assembly> assembly = given.flatMap(each -> AssemblyReader.read(each, problems));
            if (assembly.isEmpty() || conditions.isEmpty()) {
                throw new Refused(problems);
            }
            return new Asked(
                    Design.of(assembly.get(), conditions.get().ambientC()), conditions.get(), document, problems);
        }

        /** To be called when every member was asked for. */
        void mustBeSound() {
            document.done();
            if (!problems.isEmpty()) {
                throw new Refused(problems);
            }
        }
    }

    /** What a good unit reads; the three figures are null where there is no way through. */
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
        Asked asked = Asked.read(body);
        List<AnalysisReader.Pair> pairs =
                AnalysisReader.pairs(asked.document(), asked.design().assembly());
        asked.mustBeSound();
        return pairs.stream()
                .map(pair -> Expected.of(asked.design().path(pair.a(), pair.b(), pair.state(), pair.ties())))
                .toList();
    }

    /** How a text is understood. */
    record Parsed(String kind, OptionalDouble ohm, List<Candidate> candidates, List<String> doubts, String message) {}

    /** One thing that a text may mean. */
    record Candidate(String kind, OptionalDouble ohm, String text) {}

    @PostMapping("/parse")
    Parsed parse(@RequestBody String body) {
        List<Problem> problems = new ArrayList<>();
        Members document = Members.read(body, problems).orElseThrow(() -> new Refused(problems));
        String text = document.needed("text");
        Optional<Meter> meter = AnalysisReader.meter(document.object("meter"));
        Optional<Limit> expected = document.object("expected").flatMap(AnalysisApi::expected);
        document.done();
        if (!problems.isEmpty() || meter.isEmpty()) {
            throw new Refused(problems);
        }
        Understood plain = new ReadingLanguage(meter.get().oneIsOverRange()).understand(text);
        if (plain instanceof Understood.Ambiguous ambiguous) {
            return parsed(plain, candidates(ambiguous), List.of(ambiguous.question()));
        }
        Conditions conditions = new Conditions(
                20, meter.get(), OptionalDouble.empty(), LeadPolicy.NONE, false, Conditions.JOINED_BELOW_OHM);
        Understood raised = expected.map(limit -> Doubts.raise(plain, new Expectation.Joined(limit, true), conditions))
                .orElse(plain);
        return raised instanceof Understood.Ambiguous doubt
                ? parsed(plain, candidates(doubt), List.of(doubt.question()))
                : parsed(raised, List.of(), List.of());
    }

    private static Optional<Limit> expected(Members members) {
        OptionalDouble low = members.number("low_ohm");
        OptionalDouble high = members.number("high_ohm");
        members.done();
        if (high.isEmpty() || !(low.orElse(0) >= 0 && low.orElse(0) <= high.getAsDouble())) {
            members.problem("high_ohm", "Expected a figure of at least low_ohm, which is at least 0 ohm.");
            return Optional.empty();
        }
        Ohms least = Ohms.of(low.orElse(0));
        Ohms most = Ohms.of(high.getAsDouble());
        return Optional.of(new Limit(
                least,
                low.isPresent() ? Optional.of(least) : Optional.empty(),
                most,
                false,
                Limit.Rule.GIVEN,
                "Given."));
    }

    private static Parsed parsed(Understood understood, List<Candidate> candidates, List<String> doubts) {
        return new Parsed(understood.kind(), understood.figure(), candidates, doubts, understood.text());
    }

    private static List<Candidate> candidates(Understood.Ambiguous ambiguous) {
        return ambiguous.candidates().stream()
                .map(each -> new Candidate(each.kind(), each.figure(), each.text()))
                .toList();
    }

    /** What the readings say. */
    record Found(
            String verdict,
            List<JudgementOut> judgements,
            List<FindingOut> findings,
            List<PairOut> untested,
            List<NextOut> next) {}

    /** A judged reading, with the limit that it was judged by. */
    record JudgementOut(
            String a,
            String b,
            String understood,
            OptionalDouble correctedOhm,
            OptionalDouble limitLowOhm,
            OptionalDouble limitHighOhm,
            Optional<String> limitSource,
            String judgement,
            String reason) {}

    /** A finding in the open format; {@code evidence} numbers the readings from 0. */
    record FindingOut(
            String kind,
            List<String> conductors,
            List<String> terminals,
            OptionalDouble ohm,
            double probability,
            String text,
            List<Integer> evidence,
            List<String> functionsLost) {}

    /** Two terminals. */
    record PairOut(String a, String b) {}

    /** A touch that would tell much for its time: the bits that it is expected to give, and the seconds it takes. */
    record NextOut(String a, String b, String state, double bits, double seconds, String why) {}

    @PostMapping("/findings")
    Found findings(@RequestBody String body) {
        Asked asked = Asked.read(body);
        List<Reading> readings =
                AnalysisReader.readings(asked.document(), asked.design().assembly());
        asked.mustBeSound();
        Analysis analysis = Analysis.of(asked.design(), asked.conditions(), readings);
        Optional<Diagnosis> diagnosis = analysis.untested().isEmpty() ? Optional.empty() : diagnosis(asked, analysis);
        return new Found(
                analysis.standing().name().toLowerCase(Locale.ROOT),
                analysis.judgements().stream().map(AnalysisApi::judgement).toList(),
                analysis.findings().stream()
                        .map(each -> finding(each, diagnosis))
                        .toList(),
                analysis.untested().stream().map(AnalysisApi::pair).toList(),
                diagnosis
                        .map(each -> each.next(Costs.bench(asked.design().assembly(), false), NEXT))
                        .orElse(List.of())
                        .stream()
                        .map(AnalysisApi::next)
                        .toList());
    }

    /** The diagnosis of partial evidence; empty for a unit too large to weigh every pair of its nets. */
    private static Optional<Diagnosis> diagnosis(Asked asked, Analysis analysis) {
        if (asked.design().nets().all().size() > Diagnosis.MOST_NETS) {
            return Optional.empty();
        }
        List<Touched> touched = new ArrayList<>();
        for (Analysis.Judged each : analysis.judgements()) {
            touched.add(Touched.of(touched.size(), each.reading(), each.understood()));
        }
        return Optional.of(Diagnosis.of(
                GoodUnit.nominal(asked.design()), asked.conditions(), Priors.usual(), Complaint.NONE, touched));
    }

    private static NextOut next(NextTouch next) {
        return new NextOut(
                next.black().name(), next.red().name(), next.state().id(), next.bits(), next.seconds(), next.why());
    }

    private static PairOut pair(Partition.Joined pair) {
        return new PairOut(pair.a().name(), pair.b().name());
    }

    private static JudgementOut judgement(Analysis.Judged judged) {
        Optional<Limit> limit = judged.expectation() instanceof Expectation.Joined joined
                ? Optional.of(joined.limit())
                : Optional.empty();
        return new JudgementOut(
                judged.reading().a().name(),
                judged.reading().b().name(),
                judged.understood().text(),
                judged.judgement().correctedOhm(),
                limit.map(each -> OptionalDouble.of(each.low().value())).orElse(OptionalDouble.empty()),
                limit.map(each -> OptionalDouble.of(each.high().value())).orElse(OptionalDouble.empty()),
                limit.map(Limit::derivation),
                judged.judgement().verdict().word(),
                judged.judgement().reason());
    }

    private static FindingOut finding(Explained explained, Optional<Diagnosis> diagnosis) {
        Finding finding = explained.finding();
        return new FindingOut(
                finding.kind(),
                finding.named(),
                finding.terminals().stream().map(Terminal::name).toList(),
                finding.ohms().map(ohm -> OptionalDouble.of(ohm.value())).orElse(OptionalDouble.empty()),
                diagnosis
                        .filter(each -> finding.isInferred())
                        .map(each -> each.probabilityOf(Set.copyOf(finding.named())))
                        .orElse(1.0),
                finding.text(),
                explained.evidence(),
                explained.functionsLost());
    }
}
