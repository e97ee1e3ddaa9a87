package zestymarten.simulator.scpi;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Lines as instruments understand them. */
class CommandsTest {
    private final List<String> done = new ArrayList<>();
    private final Commands commands = new Commands("Maker,model,0,1")
            .command("CONFigure:RESistance", with -> done.add("range " + with.figureIfAny(1, 1e8)))
            .command("SOURce:VOLTage", with -> done.add("volts " + with.figure(10, 5000)))
            .command("SIMulation:TIES", with -> done.add("links " + with.text()))
            .command("OUTPut", with -> done.add("output " + with.isOn()))
            .query("READ?", any -> "+1.0E+00");

    private String error() {
        return commands.line("SYST:ERR?").orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "CONF:RES",
                "conf:res",
                "CONFIGURE:RESISTANCE",
                "Configure:Res",
                ":CONF:RES",
                "  CONF:RES  ",
                "CONF:RES DEF"
            })
    void aHeaderIsUnderstoodInItsShortAndItsLongForm(String line) {
        assertThat(commands.line(line)).isEmpty();
        assertThat(error()).isEqualTo("0,\"No error\"");
        assertThat(done).containsExactly("range Optional.empty");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "CONFI:RES|-113,\"Undefined header\"",
                "CONF:RES?|-113,\"Undefined header\"",
                "SING|-113,\"Undefined header\"",
                "SOUR:VOLT|-109,\"Missing parameter\"",
                "SOUR:VOLT high|-224,\"Illegal parameter value\"",
                "SOUR:VOLT 6000|-222,\"Data out of range\"",
                "SOUR:VOLT NAN|-224,\"Illegal parameter value\"",
                "SOUR:VOLT 500,2|-108,\"Parameter not allowed\"",
                "SIM:TIES J1.1|-224,\"Illegal parameter value\"",
                "SIM:TIES \"J1.1|-102,\"Syntax error\"",
                "OUTP maybe|-224,\"Illegal parameter value\""
            })
    void whatMakesNoSenseGoesIntoTheQueueOfErrors(String line, String error) {
        assertThat(commands.line(line)).isEmpty();
        assertThat(error()).isEqualTo(error);
        assertThat(error()).isEqualTo("0,\"No error\"");
    }

    @ParameterizedTest
    @CsvSource({"500,500.0", "0.5KV,500.0", "5E2 V,500.0", "500000mV,500.0", "1k,1000.0"})
    void figuresHaveSuffixes(String typed, double volts) {
        commands.line("SOUR:VOLT " + typed);
        assertThat(done).containsExactly("volts " + volts);
    }

    @Test
    void milliIsMegaBeforeOhmsOnly() {
        commands.line("CONF:RES 1MOHM; SOUR:VOLT 20000M");
        assertThat(done).containsExactly("range Optional[1000000.0]", "volts 20.0");
    }

    @Test
    void queriesOfOneLineAreAnsweredTogetherAndAnErrorStopsIt() {
        assertThat(commands.line("*IDN?;READ?;*OPC?")).hasValue("Maker,model,0,1;+1.0E+00;1");
        assertThat(commands.line("READ?;SING;READ?")).hasValue("+1.0E+00");
        assertThat(error()).startsWith("-113");
        assertThat(commands.line("SYST:VERS?")).hasValue("1999.0");
        assertThat(commands.line("")).isEmpty();
    }

    @Test
    void textsInQuotesMayHoldWhatSeparates() {
        commands.line("SIM:TIES \"J1.1 J1.2;J2.1,J2.2\"");
        assertThat(done).containsExactly("links J1.1 J1.2;J2.1,J2.2");
    }

    @Test
    void aFullQueueSaysThatItOverflowedAndIsCleared() {
        for (int i = 0; i < 30; i++) {
            commands.line("SING");
        }
        for (int i = 0; i < 19; i++) {
            assertThat(error()).startsWith("-113");
        }
        assertThat(error()).isEqualTo("-350,\"Queue overflow\"");
        commands.line("SING");
        commands.line("*CLS");
        assertThat(error()).startsWith("0,");
    }
}
