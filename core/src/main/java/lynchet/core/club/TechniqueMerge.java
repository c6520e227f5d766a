package lynchet.core.club;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Stream;
import lynchet.core.card.Alias;
import lynchet.core.card.Fault;
import lynchet.core.card.Jacket;
import lynchet.core.card.Need;
import lynchet.core.card.Technique;
import lynchet.core.card.TechniqueBuilder;
import lynchet.core.card.Version;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.chain.Turn;
import lynchet.core.map.Link;
import lynchet.core.map.MapData;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.mat.Block;
import lynchet.core.mat.DrillShape;
import lynchet.core.mat.Mark;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.TrainingClass;
import lynchet.core.people.Brought;
import lynchet.core.rank.EarlierSyllabus;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.SyllabusGroup;
import lynchet.core.round.Round;
import lynchet.core.words.Word;

/**
 * Two cards for one technique made one: every link, chain, syllabus and record of the one that goes follows the one that
 * stays, which takes over its names, faults, versions, falls and hazards. The other one stays retired, for history.
 *
 * <p>A link that would stand there twice (same start, end, reaction and version) is retired, and what pointed at it
 * points at the other one.
 */
public final class TechniqueMerge {

    private final Technique kept;
    private final Technique gone;
    private final Map<String, String> faults = new HashMap<>();
    private final Map<String, String> versions = new HashMap<>();
    private final Map<String, String> doubled = new HashMap<>();

    private TechniqueMerge(Technique kept, Technique gone) {
        this.kept = kept;
        this.gone = gone;
    }

    /**
     * The club with {@code gone} merged into {@code kept}.
     *
     * @throws IllegalArgumentException if one of them is not on the map or retired, they are the same, or their families
     *     differ
     */
    public static Club of(Club club, String kept, String gone) {
        if (kept.equals(gone)) {
            throw new IllegalArgumentException("a technique cannot be merged into itself");
        }
        Technique stays = present(club, kept);
        Technique goes = present(club, gone);
        if (stays.family() != goes.family()) {
            throw new IllegalArgumentException(stays.name() + " is a " + lower(stays.family()) + " and " + goes.name()
                    + " a " + lower(goes.family()) + "; two of one family can be the same technique");
        }
        return new TechniqueMerge(stays, goes).merged(club);
    }

    private static Technique present(Club club, String id) {
        return club.map().techniques().stream()
                .filter(t -> t.id().equals(id) && !t.retired())
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the technique to merge is not there"));
    }

    private static String lower(Enum<?> family) {
        return family.name().toLowerCase(Locale.ROOT);
    }

    private Club merged(Club club) {
        List<Fault> allFaults =
                added(kept.faults(), gone.faults(), faults, Fault::id, Fault::see, (f, id) -> f.with(id, f.opens()));
        List<Version> allVersions = added(
                kept.versions(),
                gone.versions(),
                versions,
                Version::id,
                Version::name,
                (v, id) -> v.with(id, v.faults()));
        List<Link> links = links(club.map().links());
        Technique one = together(allFaults, allVersions);
        MapData map = new MapData(
                club.map().pairs(),
                each(club.map().techniques(), t -> pointing(t == kept ? one : t == gone ? gone.asRetired() : t)),
                each(links, l -> l.withNeeds(each(l.needs(), this::need))),
                each(club.map().reactions(), r -> reaction(r, club.map().links())),
                each(club.map().rulesets(), this::ruleset));
        return club.onMap(map)
                .changing(Parts.CHAINS, all -> each(all, this::chain))
                .changing(Parts.LADDERS, all -> each(all, this::ladder))
                .changing(Parts.WORDS, all -> each(all, this::word))
                .changing(Parts.DRILLS, all -> each(all, this::drill))
                .changing(Parts.PATTERNS, all -> each(all, p -> p.withBlocks(each(p.blocks(), this::block))))
                .changing(Parts.PLANS, all -> each(all, plan -> plan.about(gone.id(), kept.id())))
                .changing(Parts.CYCLES, all -> each(all, cycle -> cycle.about(gone.id(), kept.id())))
                .changing(Parts.CLASSES, all -> each(all, this::trained))
                .changing(Parts.PRACTICE, all -> each(all, this::practice))
                .changing(Parts.MARKS, all -> each(all, this::mark))
                .changing(
                        Parts.ASKS,
                        all -> each(all, ask -> gone.id().equals(ask.subject()) ? ask.about(kept.id()) : ask))
                .changing(Parts.CREDITS, all -> each(all, c -> gone.id().equals(c.subject()) ? c.about(kept.id()) : c))
                .changing(Parts.BROUGHT, all -> each(all, this::brought))
                .changing(
                        Parts.TALLIES,
                        all -> each(
                                all,
                                t -> gone.id().equals(t.technique())
                                        ? t.about(kept.id(), faults.getOrDefault(t.fault(), t.fault()))
                                        : t))
                .changing(Parts.ROUNDS, all -> each(all, this::round))
                .changing(
                        Parts.IGNORED_GAPS,
                        all -> each(all, g -> g.technique() == null ? g : g.about(technique(g.technique()))));
    }

    private static <T> List<T> each(List<T> all, Function<T, T> change) {
        return all.stream().map(change).toList();
    }

    private interface Renamed<T> {
        T under(T thing, String id);
    }

    /** Both lists; one of the second that says the same as one of the first is that one, a taken id gets a number. */
    private static <T> List<T> added(
            List<T> first,
            List<T> second,
            Map<String, String> renamed,
            Function<T, String> id,
            Function<T, String> says,
            Renamed<T> under) {
        Map<String, T> all = new LinkedHashMap<>();
        first.forEach(one -> all.put(id.apply(one), one));
        for (T one : second) {
            String same = all.values().stream()
                    .filter(other -> says.apply(other).equalsIgnoreCase(says.apply(one)))
                    .map(id)
                    .findFirst()
                    .orElse(null);
            String free = id.apply(one);
            for (int n = 2; same == null && all.containsKey(free); n++) {
                free = id.apply(one) + "-" + n;
            }
            renamed.put(id.apply(one), same == null ? free : same);
            if (same == null) {
                all.put(free, under.under(one, free));
            }
        }
        return List.copyOf(all.values());
    }

    private Technique together(List<Fault> allFaults, List<Version> allVersions) {
        Map<String, Alias> names = new LinkedHashMap<>();
        Stream.of(kept.aliases().stream(), Stream.of(new Alias(gone.name(), null)), gone.aliases().stream())
                .flatMap(all -> all)
                .filter(alias -> !alias.text().equalsIgnoreCase(kept.name()))
                .forEach(alias -> names.putIfAbsent(alias.text().toLowerCase(Locale.ROOT), alias));
        Set<lynchet.core.card.Hazard> hazards = new TreeSet<>(kept.hazards());
        hazards.addAll(gone.hazards());
        return TechniqueBuilder.builder()
                .id(kept.id())
                .name(kept.name())
                .aliases(List.copyOf(names.values()))
                .family(kept.family())
                .group(kept.group() == null ? gone.group() : kept.group())
                .jacket(kept.jacket() == gone.jacket() ? kept.jacket() : Jacket.EITHER)
                .sided(kept.sided())
                .directions(kept.directions().isEmpty() ? gone.directions() : kept.directions())
                .summary(kept.summary().isEmpty() ? gone.summary() : kept.summary())
                .steps(kept.steps().isEmpty() ? gone.steps() : kept.steps())
                .signs(both(kept.signs(), gone.signs()))
                .faults(allFaults)
                .versions(allVersions)
                .houseVersion(kept.houseVersion() == null ? versions.get(gone.houseVersion()) : kept.houseVersion())
                .prerequisites(both(kept.prerequisites(), gone.prerequisites()))
                .receiverFalls(both(kept.receiverFalls(), gone.receiverFalls()))
                .carriesOverTo(both(kept.carriesOverTo(), gone.carriesOverTo()))
                .hazards(hazards)
                .soloForm(kept.soloForm() == null ? gone.soloForm() : kept.soloForm())
                .tags(both(kept.tags(), gone.tags()))
                .learn(kept.learn())
                .master(kept.master())
                .build();
    }

    private static <T> List<T> both(List<T> a, List<T> b) {
        Set<T> all = new LinkedHashSet<>(a);
        all.addAll(b);
        return List.copyOf(all);
    }

    private String technique(String id) {
        return gone.id().equals(id) ? kept.id() : id;
    }

    private String link(String id) {
        return doubled.getOrDefault(id, id);
    }

    private List<Link> links(List<Link> all) {
        record Way(String from, String to, String when, String version) {}
        Map<Way, String> taken = new HashMap<>();
        for (Link l : all) {
            if (l.technique().equals(kept.id()) && !l.retired()) {
                taken.putIfAbsent(new Way(l.from(), l.to(), l.when(), l.version()), l.id());
            }
        }
        List<Link> moved = new ArrayList<>();
        for (Link l : all) {
            if (!l.technique().equals(gone.id())) {
                moved.add(l);
                continue;
            }
            Link now = l.with(kept.id(), l.version() == null ? null : versions.get(l.version()));
            String other = now.retired()
                    ? null
                    : taken.putIfAbsent(new Way(now.from(), now.to(), now.when(), now.version()), now.id());
            if (other != null) {
                doubled.put(now.id(), other);
            }
            moved.add(other == null ? now : now.asRetired());
        }
        return moved;
    }

    private Technique pointing(Technique t) {
        boolean isGone = t.id().equals(gone.id());
        return t.pointing(
                isGone ? List.of() : techniques(t.prerequisites(), t.id()),
                techniques(t.receiverFalls(), t.id()),
                techniques(t.carriesOverTo(), t.id()),
                each(t.faults(), this::opening),
                each(t.versions(), v -> v.with(v.id(), each(v.faults(), this::opening))));
    }

    private List<String> techniques(List<String> ids, String of) {
        return ids.stream()
                .map(this::technique)
                .filter(id -> !id.equals(of))
                .distinct()
                .toList();
    }

    private Fault opening(Fault f) {
        return f.opens() == null ? f : f.with(f.id(), link(f.opens()));
    }

    private Need need(Need n) {
        return n.madeBy() == null ? n : new Need(n.kind(), n.text(), link(n.madeBy()));
    }

    private Reaction reaction(Reaction r, List<Link> before) {
        boolean ofGone = r.link() != null
                && before.stream()
                        .anyMatch(l -> l.id().equals(r.link()) && l.technique().equals(gone.id()));
        return r.with(
                r.link() == null ? null : link(r.link()),
                r.attack() == null ? null : link(r.attack()),
                ofGone && r.fault() != null ? faults.getOrDefault(r.fault(), r.fault()) : r.fault());
    }

    private Ruleset ruleset(Ruleset r) {
        return r.forbidding(techniques(r.illegalTechniques(), null));
    }

    private Chain chain(Chain c) {
        return c.first() == null ? c : c.walking(step(c.first()));
    }

    private ChainStep step(ChainStep s) {
        return new ChainStep(link(s.link()), each(s.next(), turn -> new Turn(turn.reaction(), step(turn.step()))));
    }

    private Ladder ladder(Ladder ladder) {
        Ladder changed = ladder;
        for (Rank rank : ladder.ranks()) {
            changed = changed.withRank(rank.withSyllabus(each(rank.syllabus(), this::group)));
        }
        return changed.withEarlier(each(
                ladder.earlier(),
                one -> new EarlierSyllabus(
                        one.until(),
                        each(
                                one.ranks(),
                                of -> new EarlierSyllabus.AskedThen(of.rank(), each(of.syllabus(), this::group))))));
    }

    private SyllabusGroup group(SyllabusGroup group) {
        return new SyllabusGroup(group.name(), group.choose(), each(group.items(), this::item));
    }

    private Item item(Item i) {
        return switch (i.kind()) {
            case TECHNIQUE -> gone.id().equals(i.ref()) ? i.about(kept.id(), versions.get(i.version())) : i;
            case COUNTER -> i.about(link(i.ref()), i.version());
            case CHAIN, WORDS, FORM, POSITION_GOAL, LIVE_ROUNDS, HELPING_HOURS -> i;
        };
    }

    private Word word(Word w) {
        return new Word(w.id(), w.term(), w.tongue(), w.parts(), w.meaning(), techniques(w.techniques(), null));
    }

    private DrillShape drill(DrillShape d) {
        return gone.id().equals(d.technique()) ? d.of(kept.id()) : d;
    }

    private TrainingClass trained(TrainingClass c) {
        return c.blocks().stream().noneMatch(b -> gone.id().equals(b.technique()))
                ? c
                : c.withBlocks(each(c.blocks(), this::block));
    }

    private Block block(Block b) {
        return gone.id().equals(b.technique())
                ? b.drilling(kept.id(), versions.get(b.version()), faults.get(b.watchFault()))
                : b;
    }

    private PracticeEntry practice(PracticeEntry p) {
        return gone.id().equals(p.technique()) ? p.of(kept.id()) : p;
    }

    private Brought brought(Brought of) {
        return of.having(each(
                of.had(),
                had -> gone.id().equals(had.subject())
                        ? had.about(kept.id(), versions.getOrDefault(had.version(), had.version()))
                        : had));
    }

    private Mark mark(Mark m) {
        return gone.id().equals(m.subject())
                ? m.about(kept.id(), versions.get(m.version()), each(m.faults(), f -> faults.getOrDefault(f, f)))
                : m;
    }

    private Round round(Round r) {
        return doubled.isEmpty() ? r : r.through(this::link);
    }
}
