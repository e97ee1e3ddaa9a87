package zestymarten.web.desk;

import zestymarten.web.platform.Typed;

/** A desk that can reckon its form anew, to be kept. */
public interface Reckons {
    Kept.Desk desk();

    /**
     * What the desk makes of a form.
     *
     * @throws zestymarten.web.platform.Refused with everything that makes no sense in it
     * @throws IllegalArgumentException where it has no title to be kept under
     */
    Kept kept(Typed typed);
}
