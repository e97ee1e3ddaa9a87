package zestymarten.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Codes with arguments become sentences from the inside out, and nothing to say leaves no gap. */
class MessageWriterTest {
    /** A language in which every sentence is its code with the arguments behind it. */
    private static final MessageWriter WRITER = new MessageWriter((code, arguments) -> {
        StringBuilder said = new StringBuilder(code);
        Arrays.stream(arguments).forEach(each -> said.append(' ').append(each));
        return said.toString();
    });

    private static String write(MessageArgument message) {
        return WRITER.write(message);
    }

    @Test
    void aSentenceInASentenceIsWrittenFirst() {
        assertThat(write(Message.of("outer", "W1", Message.of("inner", Ohms.of(0.3)))))
                .isEqualTo("outer W1 inner 0.3 Ω");
    }

    @Test
    void whatHasNothingToSayLeavesNoGap() {
        assertThat(write(Message.NONE)).isEmpty();
        assertThat(write(Message.of("open", "", "J1.4"))).isEqualTo("open J1.4");
        assertThat(write(Message.of("open", Optional.empty(), Message.NONE))).isEqualTo("open");
        assertThat(write(Message.of("outer", Message.of("inner", "")))).isEqualTo("outer inner");
    }

    @Test
    void countsStayNumbersSoThatALanguageCanChooseItsPlural() {
        Object[] seen = new Object[1];
        new MessageWriter((code, arguments) -> {
                    seen[0] = arguments[0];
                    return code;
                })
                .write(Message.of("faults", 2));
        assertThat(seen[0]).isInstanceOf(Number.class);
        assertThat(((Number) seen[0]).longValue()).isEqualTo(2);
    }

    @Test
    void severalAreStrungTogetherAsTheLanguageDoes() {
        List<String> wires = List.of("W1", "W2", "W3");
        assertThat(write(Message.list(MessageArgument.Listing.Link.COMMA, wires)))
                .isEqualTo("W1, W2, W3");
        assertThat(write(Message.list(MessageArgument.Listing.Link.SEMICOLON, wires)))
                .isEqualTo("W1; W2; W3");
        assertThat(write(Message.list(MessageArgument.Listing.Link.AND, wires))).isEqualTo("message.and W1, W2 W3");
        assertThat(write(Message.list(MessageArgument.Listing.Link.OR, List.of("W1"))))
                .isEqualTo("W1");
        assertThat(write(Message.list(MessageArgument.Listing.Link.AND, List.of())))
                .isEmpty();
    }

    @Test
    void sentencesThatSayNothingAreLeftOut() {
        Message one = Message.of("one");
        assertThat(Message.sentences(Message.NONE, one, Message.NONE)).isEqualTo(one);
        assertThat(Message.sentences(Message.NONE, "")).isEqualTo(Message.NONE);
        assertThat(write(Message.sentences(one, Message.of("two")))).isEqualTo("message.verbatim one two");
    }

    @Test
    void aFigureWithoutItsUnitIsRefused() {
        assertThatThrownBy(() -> Message.of("resistance", 0.3)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Message.of("resistance", OptionalDouble.of(0.3)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aConstantHasTheCodeOfItsFamily() {
        assertThat(Message.of(MeterReading.Unit.OHM).code()).isEqualTo("unit.ohm");
        assertThat(Message.of(MessageArgument.Listing.Link.SEMICOLON).code()).isEqualTo("link.semicolon");
    }
}
