package lynchet.starter.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lynchet.core.mat.Credit;
import lynchet.core.mat.Side;
import lynchet.core.people.Ask;
import lynchet.core.people.Consent;
import lynchet.core.people.Contacts;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Hold;
import lynchet.core.people.Lead;
import lynchet.core.people.Restriction;
import lynchet.core.people.Student;
import lynchet.core.people.StudentBuilder;
import lynchet.core.people.WayBack;

/** The forty-six made-up people of the demo club. */
final class DemoPeople {

    /** Weeks since which the club keeps records here; what came before is credited. */
    static final int WEEKS = 39;

    /**
     * name | called by | age | kg | cm | lead | rank | stripes | weeks in rank | comes | passed | traits.
     *
     * <p>comes: chance of coming to a class of one's own; passed: share of the rank's syllabus. Order decides the card
     * numbers.
     */
    private static final String TABLE = """
            Orla Fenwick          |      | 34 | 64 | 168 | RIGHT | white               | 2 | 40 | 0.85 | 0.70 |
            Tobias Marrow         | Tobi | 27 | 82 | 181 | RIGHT | white               | 3 | 44 | 0.90 | 1.00 | one-sided
            Ines Calloway         |      | 41 | 58 | 162 | LEFT  | white               | 1 | 22 | 0.60 | 0.40 | starts-left
            Bram Oakhurst         |      | 22 | 95 | 188 | RIGHT | white               | 0 |  7 | 0.75 | 0.15 |
            Nadia Thorne          |      | 30 | 61 | 170 | RIGHT | yellow              | 2 | 44 | 0.80 | 0.75 |
            Ellis Quayle          |      | 38 | 77 | 176 | LEFT  | yellow              | 3 | 50 | 0.70 | 0.95 | lapsed
            Rowan Pettifer        |      | 19 | 71 | 174 | RIGHT | yellow              | 3 | 60 | 0.90 | 1.00 | held-hard
            Maud Sallow           |      | 52 | 66 | 165 | RIGHT | orange              | 1 | 30 | 0.65 | 0.50 | one-sided
            Kit Harrowgate        |      | 25 | 88 | 183 | RIGHT | orange              | 2 | 48 | 0.50 | 0.60 | no-throws
            Vera Lindqvist-Poole  | Vera | 45 | 70 | 172 | BOTH  | green               | 1 | 70 | 0.70 | 0.45 |
            Jonah Wick            |      | 31 | 79 | 178 | RIGHT | white               | 1 | 35 | 0.70 | 0.30 | gone-9
            Pia Thorne            |      |  9 | 30 | 134 | RIGHT | junior-white        | 2 | 20 | 0.85 | 0.80 |
            Milo Thorne           |      | 12 | 41 | 151 | RIGHT | junior-white-yellow | 1 | 24 | 0.85 | 0.50 |
            Tess Ashgrove         |      | 11 | 37 | 146 | RIGHT | junior-white-yellow | 3 | 36 | 0.90 | 1.00 |
            Odd Farrier           |      | 13 | 52 | 160 | RIGHT | junior-yellow       | 0 | 14 | 0.60 | 0.30 | one-side-only
            Lark Bellweather      |      |  8 | 27 | 128 | RIGHT | junior-white        | 0 |  5 | 0.70 | 0.10 |
            Amara Quist           |      | 29 | 68 | 171 | RIGHT | white               | 1 | 17 | 0.70 | 0.35 |
            Devrim Hallow         |      | 36 | 84 | 179 | RIGHT | white               | 2 | 31 | 0.55 | 0.50 |
            Sunniva Beck          |      | 24 | 59 | 166 | LEFT  | white               | 0 | 11 | 0.80 | 0.25 |
            Tariq Lanmore         |      | 18 | 73 | 177 | RIGHT | white               | 0 |  3 | 0.65 | 0.05 |
            Mei Larkspur          |      | 33 | 55 | 160 | RIGHT | yellow              | 0 | 17 | 0.75 | 0.30 |
            Pavel Drumm           |      | 47 | 99 | 186 | RIGHT | yellow              | 1 | 38 | 0.50 | 0.45 |
            Ngozi Hartfell        |      | 28 | 72 | 175 | RIGHT | yellow              | 0 | 17 | 0.85 | 0.40 |
            Ruben Saltry          |      | 40 | 90 | 182 | RIGHT | yellow              | 3 | 57 | 0.80 | 0.90 | no-tuesdays
            Ilse Wrenfield        |      | 55 | 63 | 163 | RIGHT | yellow              | 1 | 42 | 0.45 | 0.40 | gone-13
            Kofi Marsden          |      | 23 | 81 | 180 | LEFT  | orange              | 0 | 17 | 0.80 | 0.25 |
            Yara Pinder           |      | 26 | 62 | 169 | RIGHT | orange              | 3 | 84 | 0.85 | 1.00 | passed-over
            Anders Thistle        |      | 35 | 86 | 185 | RIGHT | orange              | 1 | 33 | 0.60 | 0.55 |
            Leila Moorcroft       |      | 31 | 57 | 164 | RIGHT | orange              | 2 | 52 | 0.70 | 0.70 | back-from-injury
            Hamish Oake           |      | 49 | 93 | 184 | RIGHT | green               | 2 | 72 | 0.60 | 1.00 |
            Priya Fenlow          |      | 27 | 60 | 167 | RIGHT | green               | 3 | 52 | 0.90 | 1.00 | nearly-there
            Sorin Vale            |      | 32 | 78 | 178 | RIGHT | green               | 3 | 90 | 0.85 | 1.00 | held-word
            Wanda Crake           |      | 38 | 65 | 170 | RIGHT | blue                | 1 | 66 | 0.70 | 0.50 |
            Ebbe Rushworth        |      | 30 | 83 | 182 | LEFT  | blue                | 2 | 92 | 0.75 | 0.65 |
            Noor Tidewell         |      | 42 | 69 | 173 | RIGHT | brown               | 1 | 88 | 0.70 | 0.60 |
            Gus Merriday          |      | 58 | 88 | 180 | RIGHT | black               | 0 | 120 | 0.60 | 0.40 |
            Zofia Brill           |      |  7 | 24 | 123 | RIGHT | junior-white        | 1 | 13 | 0.80 | 0.40 |
            Idris Penhale         |      | 10 | 34 | 140 | RIGHT | junior-white        | 3 | 34 | 0.75 | 1.00 |
            Nell Corrow           |      |  9 | 29 | 132 | LEFT  | junior-white        | 1 | 17 | 0.70 | 0.45 |
            Bo Lindale            |      | 11 | 40 | 148 | RIGHT | junior-yellow       | 2 | 33 | 0.85 | 1.00 |
            Ada Quickly           |      | 12 | 43 | 154 | RIGHT | junior-yellow       | 3 | 41 | 0.90 | 1.00 |
            Jun Harbour           |      | 13 | 47 | 159 | RIGHT | junior-yellow-orange | 1 | 22 | 0.80 | 0.50 |
            Fenn Osprey           |      | 14 | 55 | 167 | RIGHT | junior-orange       | 1 | 28 | 0.75 | 0.50 |
            Mirela Stoat          |      | 14 | 51 | 163 | RIGHT | junior-orange       | 2 | 33 | 0.85 | 0.65 |
            Caspar Wainlow        |      | 15 | 60 | 170 | RIGHT | junior-orange-green | 2 | 35 | 0.70 | 0.60 | hands-over
            Roo Tanager           |      |  6 | 21 | 117 | RIGHT | junior-white        | 0 |  2 | 0.65 | 0.00 |
            """;

    private DemoPeople() {}

    /**
     * One person and how they train.
     *
     * @param comes chance of coming to a class of one's own, 0 to 1
     * @param passed share of the present rank's syllabus that is passed, 0 to 1
     */
    record Person(Student student, HeldRank held, double comes, double passed, Set<String> traits) {

        boolean is(String trait) {
            return traits.contains(trait);
        }

        /** Weeks since the last class; 0: still coming. */
        int gone() {
            return traits.stream()
                    .filter(trait -> trait.startsWith("gone-"))
                    .map(trait -> Integer.parseInt(trait.substring("gone-".length())))
                    .findFirst()
                    .orElse(0);
        }

        boolean isJunior() {
            return held().ladder().equals("junior");
        }
    }

    static List<Person> of(LocalDate today) {
        List<String> lines = TABLE.lines().toList();
        return Stream.iterate(0, i -> i + 1)
                .limit(lines.size())
                .map(i -> person(today, i + 1, lines.get(i).split("\\|", -1)))
                .toList();
    }

    /** What was asked at the edge of the mat; one has an answer, one was taken up. */
    static List<Ask> asks(LocalDate today) {
        return List.of(
                new Ask(
                        "ask-scarf",
                        "devrim-hallow",
                        today.minusDays(12),
                        "wren",
                        "gets stuck under the scarf hold and cannot breathe",
                        "scarf-bridge-roll",
                        null),
                new Ask(
                        "ask-taller",
                        "amara-quist",
                        today.minusDays(5),
                        "head",
                        "what to do against somebody much taller who holds the collar",
                        null,
                        null),
                new Ask(
                        "ask-mount",
                        "kit-harrowgate",
                        today.minusDays(40),
                        "wren",
                        "the elbow escape when they sit high",
                        "elbow-escape",
                        today.minusDays(19)));
    }

    /** What one of them brought along from school. */
    static List<Credit> credits(LocalDate today) {
        return List.of(new Credit(
                "credit-double-leg",
                "amara-quist",
                "double-leg",
                Side.RIGHT,
                300,
                today.minusYears(2),
                "Two seasons on a school wrestling team",
                null,
                "head"));
    }

    /** Somebody who came once to look. */
    static Student guest(LocalDate today) {
        return StudentBuilder.builder()
                .id("jory-sedge")
                .name("Jory Sedge")
                .joined(today.minusDays(8))
                .guest(new Student.Guest(false))
                .notes("Wrestled at school; asked about the beginners' hour.")
                .build();
    }

    private static Person person(LocalDate today, int n, String[] cells) {
        String[] c = Stream.of(cells).map(String::strip).toArray(String[]::new);
        String rank = c[6];
        boolean junior = rank.startsWith("junior");
        int weeks = Integer.parseInt(c[8]);
        double comes = Double.parseDouble(c[9]);
        Set<String> traits =
                Stream.of(c[11].split(" ")).filter(t -> !t.isEmpty()).collect(Collectors.toSet());
        LocalDate since = today.minusWeeks(weeks).plusDays(traits.contains("nearly-there") ? 3 : 0);
        int credited = (int) Math.round(Math.max(0, weeks - WEEKS) * comes * (junior ? 1.6 : 2));
        Student student = StudentBuilder.builder()
                .id(c[0].toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", "-"))
                .name(c[0])
                .calledBy(c[1].isEmpty() ? null : c[1])
                .card(String.valueOf(4000 + 7 * n))
                .born(today.minusYears(Integer.parseInt(c[2])).minusDays(34L * (n % 11) + 3))
                .joined(joined(since, rank, n))
                .weightKg(Double.valueOf(c[3]))
                .weighed(today.minusWeeks(n % 31))
                .heightCm(Integer.valueOf(c[4]))
                .lead(Lead.valueOf(c[5]))
                .tracks(tracks(junior, rank, n))
                .priorClasses(credited)
                .memberUntil(traits.contains("lapsed") ? today.minusDays(8) : today.plusDays(40 + 9L * n))
                .contacts(contacts(c[0], junior, n))
                .holds(holds(today, traits).map(List::of).orElse(List.of()))
                .restrictions(restrictions(today, traits))
                .notes(traits.contains("starts-left") ? "Prefers to start standing drills on the left." : "")
                .consents(consents(c[0], junior, n, joined(since, rank, n)))
                .beltSize(beltSize(Integer.parseInt(c[4])))
                .build();
        HeldRank held = new HeldRank(junior ? "junior" : "adult", rank, Integer.parseInt(c[7]), since, weeks > WEEKS);
        return new Person(student, held, comes, Double.parseDouble(c[10]), traits);
    }

    /** Anybody who wears the first belt joined a week before it was given; others had years before. */
    private static LocalDate joined(LocalDate since, String rank, int n) {
        boolean first = rank.equals("white") || rank.equals("junior-white");
        return first ? since.minusWeeks(1) : since.minusWeeks(40 + 3L * n);
    }

    /** A junior's family said yes to first aid; to pictures most did. */
    private static List<Consent> consents(String name, boolean junior, int n, LocalDate joined) {
        String by = junior ? "Parent " + name.substring(name.lastIndexOf(' ') + 1) : null;
        Consent aid = new Consent(Consent.Kind.FIRST_AID, joined, null, by);
        Consent pictures = new Consent(Consent.Kind.PICTURES, joined, null, by);
        Consent events = new Consent(Consent.Kind.OUTSIDE_EVENTS, joined, null, by);
        return n % 5 == 0 ? List.of(aid) : n % 3 == 0 ? List.of(aid, pictures) : List.of(aid, pictures, events);
    }

    /** Belts are sold by twenty centimetres of length. */
    private static String beltSize(int heightCm) {
        return String.valueOf(180 + (heightCm - 110) / 12 * 20);
    }

    private static List<String> tracks(boolean junior, String rank, int n) {
        if (junior) {
            return rank.contains("orange") ? List.of("juniors", "competition") : List.of("juniors");
        }
        boolean squad = n % 4 == 3 && !rank.equals("white");
        return squad
                ? List.of("fundamentals", "throws", "no-jacket", "competition")
                : List.of("fundamentals", "throws", "no-jacket");
    }

    private static Contacts contacts(String name, boolean junior, int place) {
        String surname = name.substring(name.lastIndexOf(' ') + 1);
        int n = junior ? firstOf(surname) : place;
        return junior
                ? new Contacts(
                        null,
                        null,
                        "Parent " + surname,
                        "0555 01" + (10 + n),
                        mail("parent", surname, n),
                        "Grandparent " + surname,
                        "0555 02" + (10 + n))
                : new Contacts(
                        n % 11 == 0 ? null : "0555 04" + (10 + n),
                        n % 11 == 0 ? null : mail("mail", surname, n),
                        null,
                        null,
                        null,
                        "Household " + surname,
                        "0555 03" + (10 + n));
    }

    /** Brothers and sisters are reached as the first of them is. */
    private static int firstOf(String surname) {
        List<String> names =
                TABLE.lines().map(line -> line.split("\\|")[0].strip()).toList();
        return 1
                + names.indexOf(names.stream()
                        .filter(name -> name.endsWith(" " + surname))
                        .findFirst()
                        .orElseThrow());
    }

    /** Most can be written to, some can only be phoned. */
    private static String mail(String box, String surname, int n) {
        return n % 4 == 0 ? null : box + "@" + surname.toLowerCase(Locale.ROOT) + ".example";
    }

    private static Optional<Hold> holds(LocalDate today, Set<String> traits) {
        Map<String, Hold> holds = Map.of(
                "held-hard",
                new Hold(
                        today.minusWeeks(5),
                        today.plusWeeks(7),
                        "Lets partners land hard; show calm finishes for two months.",
                        "head",
                        null,
                        null),
                "held-word",
                new Hold(
                        today.minusWeeks(12),
                        today.plusWeeks(4),
                        "Promised to lead the beginners' hour before the next belt; has not begun.",
                        "head",
                        null,
                        null));
        return holds.keySet().stream().filter(traits::contains).map(holds::get).findFirst();
    }

    private static List<Restriction> restrictions(LocalDate today, Set<String> traits) {
        Map<String, List<Restriction>> restrictions = Map.of(
                "no-throws",
                List.of(new Restriction(
                        Restriction.Kind.NO_THROWS_TAKEN, today.minusWeeks(3), today.plusWeeks(2), "left shoulder")),
                "one-side-only",
                List.of(new Restriction(
                        Restriction.Kind.ONE_SIDE_ONLY, today.minusDays(9), today.plusDays(12), "right wrist")),
                "back-from-injury",
                backAfterAKnee(today).limits());
        return restrictions.keySet().stream()
                .filter(traits::contains)
                .sorted()
                .flatMap(trait -> restrictions.get(trait).stream())
                .toList();
    }

    private static WayBack backAfterAKnee(LocalDate today) {
        return new WayBack(
                List.of(
                        new WayBack.BackStep(
                                today.minusWeeks(14),
                                Set.of(Restriction.Kind.NO_THROWS, Restriction.Kind.LIGHT_ONLY),
                                "groundwork from the back, lightly"),
                        new WayBack.BackStep(
                                today.minusWeeks(5),
                                Set.of(Restriction.Kind.NO_LIVE, Restriction.Kind.NO_LEG_LOCKS),
                                "drills everything, knee untouched"),
                        new WayBack.BackStep(
                                today.plusWeeks(1),
                                Set.of(Restriction.Kind.NO_LEG_LOCKS),
                                "rounds from the knees, then standing")),
                today.plusWeeks(3));
    }
}
