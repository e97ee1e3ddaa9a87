package zestymarten.web.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zestymarten.web.platform.Languages;
import zestymarten.web.platform.Preferences;
import zestymarten.web.platform.PreferencesOf;

/**
 * What people chose, from the database. Remembered for some seconds, as every page asks for it: another node of the same
 * installation shows a change so much later.
 */
@Service
class PersonPreferences implements PreferencesOf {
    private static final Logger LOG = LoggerFactory.getLogger(PersonPreferences.class);
    private static final int MAX_REMEMBERED = 1_000;

    private final PreferenceMapper mapper;
    private final Cache<String, Preferences> remembered = Caffeine.newBuilder()
            .maximumSize(MAX_REMEMBERED)
            .expireAfterWrite(Duration.ofSeconds(10))
            .build();

    PersonPreferences(PreferenceMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public Preferences of(String person) {
        try {
            return remembered.get(person, this::read);
        } catch (DataAccessException e) {
            LOG.warn("What {} prefers is not known at the moment: {}", person, e.toString());
            return Preferences.USUAL;
        }
    }

    private Preferences read(String person) {
        PreferenceRow row = mapper.find(person);
        return row == null
                ? Preferences.USUAL
                : new Preferences(Languages.of(row.language()), row.comma(), row.fahrenheit(), row.feet(), row.gauge());
    }

    @Transactional
    void choose(String person, Preferences preferences) {
        mapper.put(
                person,
                new PreferenceRow(
                        preferences.language().toLanguageTag(),
                        preferences.comma(),
                        preferences.fahrenheit(),
                        preferences.feet(),
                        preferences.gauge()));
        remembered.invalidate(person);
    }
}
