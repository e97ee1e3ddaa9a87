package zestymarten.web.testrun;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.core.quantity.Message;
import zestymarten.web.platform.Conflict;
import zestymarten.web.platform.NotFound;
import zestymarten.web.platform.Refusal;

/** Photographs of units as they were found, kept with their test. */
@Service
class Photographs {
    private static final int MAX_PHOTOS = 20;
    private static final int LONGEST_NOTE = 200;

    private final TestRuns runs;
    private final RunMapper mapper;
    private final Clock clock;

    Photographs(TestRuns runs, RunMapper mapper, Clock clock) {
        this.runs = runs;
        this.mapper = mapper;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<PhotoRow> of(long run) {
        return mapper.photos(run);
    }

    @Transactional(readOnly = true)
    public PhotoContent content(long run, UUID photo) {
        return mapper.photo(run, photo).stream()
                .findFirst()
                .orElseThrow(() -> new NotFound(Message.of("photographs.there_no_such_photograph")));
    }

    /**
     * Keeps a photograph of a test under way; sending it again changes nothing.
     *
     * @throws Refusal if there are {@value #MAX_PHOTOS} already or the note is too long
     * @throws Conflict if the test was ended
     */
    @Transactional
    public void keep(long run, UUID token, String typed, byte[] picture, String by) {
        String note = typed.strip();
        if (note.length() > LONGEST_NOTE) {
            throw new Refusal("note", Message.of("photographs.say_what_on_most", LONGEST_NOTE));
        }
        mapper.lock(run);
        if (!runs.find(run).isUnderWay()) {
            throw new Conflict(Message.of("photographs.this_test_was_ended"));
        }
        if (mapper.photos(run).size() >= MAX_PHOTOS) {
            throw new Refusal("photo", Message.of("photographs.there_photographs_already_which", MAX_PHOTOS));
        }
        mapper.insertPhoto(
                run,
                new PhotoRow(
                        token,
                        note,
                        MediaType.IMAGE_JPEG_VALUE,
                        by,
                        clock.instant().truncatedTo(ChronoUnit.MILLIS)),
                picture);
    }
}
