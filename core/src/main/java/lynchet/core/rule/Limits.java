package lynchet.core.rule;

import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The one rule of limits: a text has at most 80 characters and a list at most 60 entries, unless {@link Most} says
 * otherwise, no sign is in a text that nobody can see, lines are broken where more than 80 characters fit, and a day lies
 * between 1900 and 2199.
 *
 * <p>It holds where something comes in (HTTP, archive, sheets), never where it is read from the disk: what is kept can
 * always be read, shown, repaired and exported, whatever the limits were when it was written.
 */
public final class Limits {

    public static final int TEXT = 80;
    public static final int LIST = 60;
    public static final LocalDate FIRST_DAY = LocalDate.of(1900, 1, 1);
    public static final LocalDate LAST_DAY = LocalDate.of(2199, 12, 31);
    private static final Instant FIRST = Instant.parse("1900-01-01T00:00:00Z");
    private static final Instant LAST = Instant.parse("2200-01-01T00:00:00Z");

    private record Part(String name, java.lang.reflect.Method get, AnnotatedType type) {}

    private static final ClassValue<List<Part>> PARTS = new ClassValue<>() {
        @Override
        protected List<Part> computeValue(Class<?> type) {
            List<Part> parts = new ArrayList<>();
            for (RecordComponent component : type.getRecordComponents()) {
                component.getAccessor().setAccessible(true);
                if (isLimited(component.getType())) {
                    parts.add(new Part(component.getName(), component.getAccessor(), component.getAnnotatedType()));
                }
            }
            return List.copyOf(parts);
        }
    };

    private final List<Breach> breaches = new ArrayList<>();

    private Limits() {}

    /**
     * Every place at which a value is over its limits, as paths from the value such as {@code /faults/0/see}; an empty
     * list when it keeps them. Looks through records, lists and maps.
     */
    public static List<Breach> of(Object value) {
        Limits limits = new Limits();
        if (value != null) {
            limits.look("", value, null);
        }
        return List.copyOf(limits.breaches);
    }

    /** @throws Nonsense with the rule and the place of the first limit that is broken */
    public static <T> T kept(T value) {
        List<Breach> breaches = of(value);
        if (!breaches.isEmpty()) {
            Breach first = breaches.get(0);
            throw new Nonsense(Nonsense.Rule.valueOf(first.rule()), first.where(), first.sentence());
        }
        return value;
    }

    /** The most characters of a text or entries of a list of this type; empty for what has no such limit. */
    public static Optional<Integer> most(AnnotatedType type) {
        Class<?> plain = plain(type.getType());
        if (plain == String.class) {
            return Optional.of(said(type, TEXT));
        }
        return Collection.class.isAssignableFrom(plain) || Map.class.isAssignableFrom(plain)
                ? Optional.of(said(type, LIST))
                : Optional.empty();
    }

    /** The type of the entries of a list or of the values of a map. */
    public static AnnotatedType entries(AnnotatedType type) {
        AnnotatedType[] of = ((AnnotatedParameterizedType) type).getAnnotatedActualTypeArguments();
        return of[of.length - 1];
    }

    private static int said(AnnotatedType type, int usual) {
        Most most = type == null ? null : type.getAnnotation(Most.class);
        return most == null ? usual : most.value();
    }

    private static Class<?> plain(Type type) {
        return type instanceof ParameterizedType generic ? (Class<?>) generic.getRawType() : (Class<?>) type;
    }

    private static boolean isLimited(Class<?> type) {
        return !type.isPrimitive() && !type.isEnum() && !Number.class.isAssignableFrom(type) && type != Boolean.class;
    }

    private void look(String where, Object value, AnnotatedType type) {
        if (value instanceof String text) {
            int most = said(type, TEXT);
            if (text.length() > most) {
                breach("TEXT_LONG", where, "has " + text.length() + " characters and at most " + most + " fit");
            } else if (!text.isBlank() && Visible.isBlank(text)) {
                breach("TEXT_EMPTY", where, "has nothing in it that can be seen");
            } else if (Visible.hasHidden(text, most > TEXT)) {
                breach("TEXT_HIDDEN", where, "has a sign in it that cannot be seen; type it again");
            }
        } else if (value instanceof Collection<?> list) {
            size(where, list.size(), type);
            int i = 0;
            for (Object entry : list) {
                look(where + "/" + i++, entry, type == null ? null : entries(type));
            }
        } else if (value instanceof Map<?, ?> map) {
            size(where, map.size(), type);
            map.forEach((key, entry) -> {
                look(where + "/" + key, key.toString(), null);
                look(where + "/" + key, entry, type == null ? null : entries(type));
            });
        } else if (value instanceof LocalDate day) {
            time(where, !day.isBefore(FIRST_DAY) && !day.isAfter(LAST_DAY));
        } else if (value instanceof Instant at) {
            time(where, !at.isBefore(FIRST) && at.isBefore(LAST));
        } else if (value instanceof Record record) {
            inside(where, record);
        }
    }

    private void inside(String where, Record record) {
        if (record instanceof Sound sound) {
            sound.wrong().forEach((field, why) -> breach("NOT_VALID", where + "/" + field, why));
        }
        for (Part part : PARTS.get(record.getClass())) {
            try {
                Object value = part.get().invoke(record);
                if (value != null) {
                    look(where + "/" + part.name(), value, part.type());
                }
            } catch (IllegalAccessException | InvocationTargetException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    private void size(String where, int size, AnnotatedType type) {
        int most = said(type, LIST);
        if (size > most) {
            breach("TOO_MANY", where, "has " + size + " entries and at most " + most + " fit");
        }
    }

    private void time(String where, boolean fits) {
        if (!fits) {
            breach("OUT_OF_RANGE", where, "is not a day between 1900 and 2199");
        }
    }

    private void breach(String rule, String where, String why) {
        String[] steps = where.split("/");
        String name = steps.length == 0 ? "this" : steps[steps.length - 1];
        breaches.add(new Breach(rule, where.isEmpty() ? "/" : where, null, name + " " + why));
    }
}
