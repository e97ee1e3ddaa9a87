package zestymarten.web.worksheet;

import zestymarten.web.platform.TypedForm;

/** A tool that can calculate its form anew, to be saved. */
public interface Worksheet {
    SavedSheet.SavedTool tool();

    /**
     * What the tool makes of a form.
     *
     * @throws zestymarten.web.platform.Refusal with everything that makes no sense in it
     * @throws IllegalArgumentException where it has no title to be kept under
     */
    SavedSheet kept(TypedForm typed);
}
