package zestymarten.core;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The other packages of its module that a package uses, in the order of the alphabet: these and no others, which a test compares. */
@Target(ElementType.PACKAGE)
@Retention(RetentionPolicy.CLASS)
public @interface Uses {
    /** Their last names, such as {@code quantity}; none for one that stands by itself. */
    String[] value();
}
