package zestymarten.web.testrun;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import zestymarten.web.Browser;
import zestymarten.web.Site;
import zestymarten.web.Workshop;

/** The meter's beep is heard, said back and saved, and nothing else is. */
@ExtendWith(Workshop.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class HandsFreePagesTest {
    /** A microphone whose tone is switched by {@code window.beep(true)}. */
    private static final String MICROPHONE = """
            const context = new AudioContext();
            const tone = new OscillatorNode(context, { frequency: 2300 });
            const volume = new GainNode(context, { gain: 0 });
            const ear = new MediaStreamAudioDestinationNode(context);
            tone.connect(volume).connect(ear);
            tone.start();
            window.beep = (on) => { volume.gain.value = on ? 0.3 : 0; };
            navigator.mediaDevices.getUserMedia = async () => ear.stream.clone();
            return context.resume();
            """;

    /** Speech recognition on the device that hears what {@code window.hear(text, confidence)} says. */
    private static final String LISTENER = """
            window.SpeechRecognition = class extends EventTarget {
              static available = async () => window.onDevice;
              start() {
                window.listener = this;
              }
              abort() {
                this.dispatchEvent(new Event('end'));
              }
            };
            window.hear = (transcript, confidence) => window.listener.dispatchEvent(
              Object.assign(new Event('result'), { results: [[{ transcript, confidence }]] }));
            """;

    private final Site site;
    private final Browser browser;

    HandsFreePagesTest(Site site) {
        this.site = site;
        browser = site.browserWithSound();
    }

    @AfterAll
    void close() {
        browser.close();
    }

    @AfterEach
    void nothingWasRefusedByTheBrowser() {
        assertThat(browser.complaints()).isEmpty();
    }

    private void beep(boolean on) {
        browser.run("window.beep(arguments[0])", on);
    }

    private void openWithMicrophone(String list) {
        long wiring = site.wiring(site.fresh("Hands"), list);
        long run = site.run(wiring, "H-1");
        browser.desktop().signIn("bench").open("/runs/" + run);
        browser.run(MICROPHONE);
    }

    private void learn() {
        beep(true);
        browser.click("#hands-free [data-open]")
                .click("#hands-learn")
                .see("#hands-state", "Listening for the beep of 2");
    }

    @Test
    void aBeepIsSavedWhereAToneIsAnAnswerAndAStepThatNeedsAResistanceWaitsForIt() {
        openWithMicrophone("wire,from,to,max_ohm\nW1,J1.1,J2.1,0.5\nW2,J1.2,J2.2,0.5\n");
        learn();
        assertThat(browser.text(".entries"))
                .as("the beep that was learnt is no answer")
                .isEmpty();
        beep(false);
        pause(400);
        beep(true);
        browser.see(".entries", "tone").see(".sentence", "Still together: what do the leads read?");
        beep(false);
        pause(400);
        beep(true);
        browser.see("#hands-state", "Read the resistance here: a tone does not tell. Nothing was saved.");
        beep(false);
        browser.keys("0.2", Keys.ENTER).see(".sentence", "Black on J1.1, red on J2.1.");
        assertThat(browser.attribute("#work", "data-say"))
                .isEqualTo("Black on J, Juliett one, pin one. Red on J, Juliett two, pin one.");
        assertThat(browser.attribute("#work", "data-heard")).contains("0.2 Ω");
        beep(true);
        browser.see("#hands-state", "Read the resistance here");
        beep(false);
        browser.keys("0.4", Keys.ENTER).see(".sentence", "Black on J1.2, red on J2.2.");
        browser.keys("0.4", Keys.ENTER).see(".sentence", "Black on J1.1, red on J1.2.");
        pause(2600);
        assertThat(browser.text(".entries")).as("silence alone says nothing").doesNotContain("J1.1 – J1.2");
        browser.keys(Keys.PAGE_DOWN).see("#hands-state", "The probes are on").see(".entries", "J1.1 – J1.2");
        assertThat(browser.text(".entries li")).contains("pass");
        browser.click("#hands-stop");
        assertThat(browser.text("#hands-state")).isEmpty();
    }

    private static void pause(long milliseconds) {
        try {
            Thread.sleep(milliseconds);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Test
    void noiseIsRefusedAndAMicrophoneThatIsRefusedLeavesTheSteps() {
        openWithMicrophone("wire,from,to\nW1,J1.1,J2.1\n");
        beep(false);
        browser.click("#hands-free [data-open]")
                .click("#hands-learn")
                .see("#hands-trouble", "No steady tone was heard.");
        browser.run("navigator.mediaDevices.getUserMedia = () => Promise.reject(new Error('refused'))");
        browser.click("#hands-learn").see("#hands-trouble", "The microphone is not there, or was refused.");
        browser.run("document.getElementById('hands-silent').value = 'long'");
        browser.click("#hands-learn").see("#hands-trouble", "“long” is not accepted; expected seconds from 0.5 to 20");
        browser.click("#hands-only-speak").see("#hands-state", "The steps are said aloud.");
    }

    private void hear(String text) {
        browser.run("window.hear(arguments[0], 0.9)", text);
    }

    @Test
    void whatIsSaidIsSavedWordForWordAndAnythingElseIsNot() {
        openWithMicrophone("wire,from,to,max_ohm\nW1,J1.1,J2.1,0.5\nW2,J1.2,J2.2,0.5\n");
        browser.run("window.onDevice = 'available';" + LISTENER);
        browser.click("#hands-free [data-open]").see("#hands-dialog", "no sound leaves it");
        browser.click("#hands-voice").click("#hands-only-speak").see("#hands-state", "Listening for what you say.");
        hear("Beep.");
        browser.see(".sentence", "Still together: what do the leads read?");
        hear("beep");
        browser.see("#hands-state", "Read the resistance here: a tone does not tell. Nothing was saved.");
        hear("zero point two ohms");
        browser.see(".sentence", "Black on J1.1, red on J2.1.");
        hear("0.4 apples");
        browser.see("#hands-state", "“0.4 apples” is not understood.");
        browser.run("window.hear('0.3', 0.2)");
        hear("point 4 ohms");
        browser.see(".sentence", "Black on J1.2, red on J2.2.").see(".entries", "J1.1 – J2.1");
        assertThat(browser.text(".entries")).contains("0.4 Ω").doesNotContain("0.3 Ω");
        hear("undo");
        browser.see(".sentence", "Black on J1.1, red on J2.1.");
        hear("9.5");
        browser.see(".result", "FAIL");
        hear("9.6 ohms");
        browser.see("#say .question", "9.6: the same points again, or the next measurement?");
        hear("one");
        browser.see(".entries", "9.6 Ω");
        browser.click("#hands-stop");
        assertThat(browser.text("#hands-state")).isEmpty();
    }

    @Test
    void whereSpeechWouldLeaveTheDeviceAnswersByVoiceAreNotOffered() {
        openWithMicrophone("wire,from,to\nW1,J1.1,J2.1\n");
        browser.run("window.onDevice = 'downloadable';" + LISTENER);
        browser.click("#hands-free [data-open]").see("#hands-dialog", "answers by voice are not offered");
        assertThat(browser.find("#hands-voice").isDisplayed()).isFalse();
    }
}
