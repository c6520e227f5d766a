package lynchet.core.rule;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * How much a text or a list may hold where it differs from the rule of {@link Limits}: characters of a text, entries of a
 * list. Said once, on the component of a record; the door, the archive, sheets and the schemas all read it here.
 */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE_USE)
public @interface Most {
    int value();
}
