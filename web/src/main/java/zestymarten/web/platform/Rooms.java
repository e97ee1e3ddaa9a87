package zestymarten.web.platform;

import java.util.List;

/** The files of sentences, by what they speak of: {@code messages/NAME.properties}, and one beside it for each other language. */
final class Rooms {
    static final List<String> NAMES = List.of(
            "analysis",
            "api",
            "assembly",
            "check",
            "circuit",
            "comparison",
            "conductor",
            "coreid",
            "diagnosis",
            "drawing",
            "finding",
            "help",
            "helper",
            "insulation",
            "judgement",
            "limit",
            "locate",
            "meter",
            "offline",
            "people",
            "pinout",
            "platform",
            "portable",
            "practice",
            "quantity",
            "record",
            "scan",
            "script",
            "search",
            "speech",
            "statistics",
            "testplan",
            "testrun",
            "today",
            "unit",
            "worksheet");

    private Rooms() {}
}
