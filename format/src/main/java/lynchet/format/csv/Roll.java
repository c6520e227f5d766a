package lynchet.format.csv;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The people of a club as a sheet names them: by id, by card number, or by full name. They are looked up one by one. */
public interface Roll {

    Optional<Member> byId(String id);

    Optional<Member> byCard(String card);

    /** Everybody whose {@link #fold folded} name is that of {@code name}. */
    List<Member> named(String name);

    /** The roll of people who are held already. */
    static Roll of(List<Member> people) {
        Map<String, Member> byId = new HashMap<>();
        Map<String, Member> byCard = new HashMap<>();
        Map<String, List<Member>> byName = new HashMap<>();
        for (Member member : people) {
            byId.put(member.student().id(), member);
            if (member.student().card() != null) {
                byCard.put(member.student().card(), member);
            }
            byName.computeIfAbsent(fold(member.student().name()), name -> new ArrayList<>())
                    .add(member);
        }
        return new Roll() {
            @Override
            public Optional<Member> byId(String id) {
                return Optional.ofNullable(byId.get(id));
            }

            @Override
            public Optional<Member> byCard(String card) {
                return Optional.ofNullable(byCard.get(card));
            }

            @Override
            public List<Member> named(String name) {
                return byName.getOrDefault(fold(name), List.of());
            }
        };
    }

    /** The person who is meant; more than one person of that name, or none, is a bad line. */
    default Member whoever(String text) {
        Optional<Member> found = byId(text).or(() -> byCard(text));
        if (found.isPresent()) {
            return found.get();
        }
        List<Member> named = named(text);
        if (named.size() > 1) {
            throw new BadLine(
                    "there are " + named.size() + " people called " + text + "; use the id or the card number");
        }
        if (named.isEmpty()) {
            throw new BadLine("nobody here is called " + text + ", nor carries it as id or card");
        }
        return named.get(0);
    }

    /** A name as it is compared: single blanks, small letters. */
    static String fold(String name) {
        return name.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
    }
}
