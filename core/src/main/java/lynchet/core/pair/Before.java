package lynchet.core.pair;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.mat.Pairing;

/** Who worked with whom before: in this class, in the last one each came to, in the last three. */
public final class Before {

    /** Nobody worked with anybody. */
    public static final Before NEVER = new Before("", List.of());

    private static final int LATELY = 3;

    /** A pairing and the day of its class. */
    public record DatedPairing(Pairing pairing, LocalDate on) {}

    private record Two(String first, String second) {
        static Two of(String one, String other) {
            return one.compareTo(other) < 0 ? new Two(one, other) : new Two(other, one);
        }
    }

    private final Map<Two, Integer> tonight = new HashMap<>();
    private final Map<Two, Integer> ago = new HashMap<>();

    /**
     * @param classId the class in hand
     * @param made pairings of it and of classes before it, in any order
     */
    public Before(String classId, List<DatedPairing> made) {
        Map<String, List<String>> came = new HashMap<>();
        Map<String, Set<Two>> together = new HashMap<>();
        List<DatedPairing> latest = new ArrayList<>(made);
        latest.sort(Comparator.comparing(DatedPairing::on)
                .thenComparing(one -> one.pairing().classId())
                .reversed());
        for (DatedPairing one : latest) {
            String in = one.pairing().classId();
            for (Pairing.Together group : one.pairing().groups()) {
                for (String person : group.people()) {
                    if (!in.equals(classId)) {
                        List<String> classes = came.computeIfAbsent(person, p -> new ArrayList<>());
                        if (classes.isEmpty()
                                || !classes.get(classes.size() - 1).equals(in)) {
                            classes.add(in);
                        }
                    }
                    group.people().stream()
                            .filter(other -> person.compareTo(other) < 0)
                            .forEach(other -> {
                                if (in.equals(classId)) {
                                    tonight.merge(Two.of(person, other), 1, Integer::sum);
                                } else {
                                    together.computeIfAbsent(in, c -> new HashSet<>())
                                            .add(Two.of(person, other));
                                }
                            });
                }
            }
        }
        came.forEach((person, classes) -> {
            for (int n = 0; n < Math.min(LATELY, classes.size()); n++) {
                for (Two two : together.getOrDefault(classes.get(n), Set.of())) {
                    if (two.first().equals(person) || two.second().equals(person)) {
                        ago.merge(two, n, Math::min);
                    }
                }
            }
        });
    }

    /** How many rounds of this class they have worked together. */
    int tonight(String one, String other) {
        return tonight.getOrDefault(Two.of(one, other), 0);
    }

    /** 0: in the last class that one of them was paired in; 1 or 2: in the two before; 3: not lately. */
    int ago(String one, String other) {
        return ago.getOrDefault(Two.of(one, other), LATELY);
    }
}
