package zestymarten.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.i18n.LocaleContext;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.i18n.AbstractLocaleContextResolver;

/**
 * Gives each page to a person in the language and the units that this person chose. Programs, paper and files get the usual
 * ones: what is handed over reads the same whoever made it.
 */
@Component("localeResolver")
class Locales extends AbstractLocaleContextResolver {
    private static final Preferences.PersonalContext USUAL = new Preferences.PersonalContext(Preferences.USUAL);

    private static final Pattern FOR_ALL = Pattern.compile("/api/.*|.*\\.(?:pdf|csv|json|xlsx|svg)");

    private final ObjectProvider<PreferencesOf> preferences;

    Locales(ObjectProvider<PreferencesOf> preferences) {
        this.preferences = preferences;
    }

    @Override
    public LocaleContext resolveLocaleContext(HttpServletRequest request) {
        Principal who = request.getUserPrincipal();
        return who == null || FOR_ALL.matcher(request.getRequestURI()).matches()
                ? USUAL
                : new Preferences.PersonalContext(preferences.getObject().of(who.getName()));
    }

    @Override
    public void setLocaleContext(
            HttpServletRequest request, @Nullable HttpServletResponse response, @Nullable LocaleContext context) {
        throw new UnsupportedOperationException("A person chooses under Your account.");
    }
}
