package zestymarten.web.worksheet;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import zestymarten.web.platform.TypedForm;

/** The form of a desk without what only the page needs. */
public final class WorksheetForm {
    private static final Set<String> OF_THE_PAGE = Set.of("_csrf", "sheet");

    private WorksheetForm() {}

    public static TypedForm typed(Map<String, String> fields) {
        Map<String, String> own = new LinkedHashMap<>(fields);
        own.keySet().removeAll(OF_THE_PAGE);
        return new TypedForm(own);
    }
}
