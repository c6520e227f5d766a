package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import java.util.stream.Stream;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every screen by day and by night: nothing for axe-core (4.5 : 1 included), nothing in the console, nothing abroad. */
@Execution(ExecutionMode.CONCURRENT)
@Order(1)
class ScreensTest {

    private static final String[][] SCREENS = {
        {"map", "/map", "[data-plot=closed-guard]"},
        {"map-selected", "/map?at=closed-guard&eyes=rank:orange", "[data-sheet] h3"},
        {"map-technique", "/map/techniques/major-outer-reap", "article h2"},
        {"map-routes", "/map?at=turtle&to=any&eyes=rank:yellow", "[data-sheet] ol li"},
        {"map-compared", "/map?eyes=rank:green&versus=orange", "[data-sheet=compared] h3"},
        {"map-changes", "/map?lens=changes&since=2026-11-01", "[data-sheet=changes] p"},
        {"map-student", "/map?eyes=student:orla-fenwick", "[data-plot] [class*=band]"},
        {"map-evidence", "/map?lens=evidence", "[data-plot] [class*=band]"},
        {"techniques", "/map/list", "tbody tr"},
        {"chains", "/chains", "ul h2"},
        {"chain-editor", "/chains/hip-bump-answers", "[aria-label=Outline] li"},
        {"chain-begun", "/chains/new", "[aria-label=Outline] input"},
        {"ranks", "/ranks", "ol h2"},
        {"ladder", "/ranks/junior", "fieldset svg"},
        {"rank-opened", "/ranks/adult/orange", "[aria-label=Findings] li"},
        {"mat", "/mat/fundamentals-2026-11-24", "[data-student=orla-fenwick]"},
        {"run", "/mat/fundamentals-2026-11-17?do=run", "[data-group]"},
        {"wall", "/mat/fundamentals-2026-11-17/wall", "ul[aria-label=Pairs] li"},
        {"tonight", "/mat/fundamentals-2026-11-17/tonight", "ol h2"},
        {"theme-weeks", "/term/cycles/no-jacket-weeks", "table caption"},
        {"term-met", "/term/running-term-juniors/met", "[data-met]"},
        {"class-sheet", "/mat/fundamentals-2026-11-24/sheet", "article h3"},
        {"week", "/mat/week", "section a strong"},
        {"plan", "/mat/fundamentals-2026-11-24/plan", "fieldset input"},
        {"cards", "/mat/juniors-2026-11-24/cards", "[data-card]"},
        {"people", "/people", "tbody tr"},
        {"promotions", "/people/promotions?ladder=adult&as=hill&who=yara-pinder", "[aria-label=Readiness] li"},
        {"promotions-table", "/people/promotions?ladder=junior&as=table", "tbody tr"},
        {"slips", "/people/promotions/slips?ladder=adult", "article h2"},
        {"home-chart", "/people/charts?ladder=junior", "input"},
        {"incidents", "/people/incidents", "tbody tr"},
        {"incident", "/people/incidents/inc-heads", "article h3"},
        {"faults", "/people/faults?days=91", "article h3"},
        {"falls", "/people/falls", "[aria-label='Falls not yet seen here'] li"},
        {"term", "/term/running-term-juniors", "[data-goal]"},
        {"squad-list", "/people?do=squad&track=juniors", "article td"},
        {"weigh", "/people?do=weigh&track=juniors", "li input"},
        {"progress-sheet", "/people/orla-fenwick/sheet", "article h4"},
        {"their-data", "/people/orla-fenwick/data", "form input"},
        {"person", "/people/new", "form input"},
        {"person-changed", "/people/orla-fenwick/change", "form input"},
        {"student", "/people/orla-fenwick", "[aria-label=Readiness] li"},
        {"student-game", "/people/orla-fenwick?tab=game", "[aria-label=Strongest] dd"},
        {"student-then", "/people/orla-fenwick?tab=then", "[aria-label='Then and now'] td"},
        {"student-trail", "/people/orla-fenwick?tab=trail", "[aria-label='The year on the mat'] svg"},
        {"guest", "/people/jory-sedge", "[aria-label='What is next'] p"},
        {"off", "/mat/juniors-2026-12-08/off", "[aria-label='To phone'] li"},
        {"letters", "/house/letters", "section p"},
        {"house", "/house", "section h2"},
        {"library", "/house/library", "section p"},
        {"copies", "/house/copies", "section[aria-label='People who left'] input"},
        {"accounts", "/house/accounts", "li strong"},
        {"tracks", "/house/tracks", "section h2"},
    };

    /** Other lenses on the same screen: looked at once by day and once by night, and not pictured again. */
    private static final Set<String> LIKE_THE_MAP =
            Set.of("map-compared", "map-changes", "map-evidence", "map-student");

    /** Tables of many columns, which are pushed sideways where the screen is narrower than they are. */
    private static final Set<String> WIDE_TABLES = Set.of("term-met", "week", "squad-list");

    /** What is looked at in every light and size, and not pictured. */
    private static final Set<String> NOT_PICTURED = Set.of(
            "chain-begun",
            "ladder",
            "rank-opened",
            "term-met",
            "faults",
            "falls",
            "techniques",
            "cards",
            "promotions-table",
            "slips",
            "home-chart",
            "incidents",
            "incident",
            "run",
            "wall",
            "class-sheet",
            "squad-list",
            "week",
            "copies",
            "weigh",
            "their-data",
            "person",
            "person-changed",
            "student-game",
            "student-then",
            "student-trail",
            "guest",
            "off",
            "letters",
            "house",
            "library",
            "accounts",
            "tracks");

    /**
     * Two at a time: each has a browser of its own and writes nothing. The wide one opens each section again and goes on within
     * it as a coach does; it looks by night as well, which differs in its colours alone, and whether all fits a tablet.
     */
    @ParameterizedTest(name = "{0}x{1}")
    @CsvSource({"1280, 800", "390, 844"})
    void nothingIsWrongOnAnyScreen(int width, int height) {
        boolean wide = width == 1280;
        try (Coach coach = new Coach(With.KEYBOARD, width, height)) {
            coach.go("/");
            coach.see("h1", "Saltmarsh");
            coach.nothingIsWrongHere();
            coach.canBeReadByNight();
            coach.signIn("head");
            String section = "";
            for (String[] screen : SCREENS) {
                if (!wide && LIKE_THE_MAP.contains(screen[0])) {
                    continue;
                }
                if (wide && !screen[1].split("[/?]")[1].equals(section)) {
                    section = screen[1].split("[/?]")[1];
                    coach.go(screen[1]);
                } else {
                    coach.goWithin(screen[1]);
                }
                coach.see(screen[2]);
                coach.nothingIsWrongHere();
                if (wide) {
                    coach.canBeReadByNight();
                    if (!LIKE_THE_MAP.contains(screen[0]) && !NOT_PICTURED.contains(screen[0])) {
                        coach.picture(screen[0]);
                    }
                    if (!WIDE_TABLES.contains(screen[0])) {
                        coach.fits(1024, 768);
                    }
                }
                if (wide || !WIDE_TABLES.contains(screen[0])) {
                    coach.fits(width, height);
                }
            }
        }
    }

    /** Each address that somebody keeps or is sent is answered by the server itself, not by the page that came before. */
    @Test
    void everyScreenCanBeOpenedByItsAddress() {
        assertThat(Stream.of(SCREENS).map(screen -> PackagedServer.address() + screen[1]))
                .allSatisfy(address -> assertThat(PackagedServer.page(address)).contains("<div id=\"root\">"));
    }

    /** What white lacks without a jacket, which nobody mends meanwhile. */
    @Test
    void theGapsOfARankAreAListOfWork() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("head", "/map?eyes=rank:white&rules=no-jacket");
            coach.use("button", "findings");
            coach.use("button", "Show on the hill");
            coach.see("button", "Off the hill");
            coach.nothingIsWrongHere();
            coach.picture("map-gaps");
        }
    }

    @Test
    void aStudentsHillIsReadableByNight() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.go("/");
            coach.script("localStorage.setItem('mantine-color-scheme-value', 'dark')");
            coach.comeIn("head", "/map?eyes=student:orla-fenwick");
            coach.see("[aria-label=Lens] strong");
            coach.nothingIsWrongHere();
            coach.picture("map-student-dark");
        }
    }

    @Test
    void aViewerIsOfferedNothingToWrite() {
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800)) {
            coach.comeIn("viewer", "/mat/fundamentals-2026-11-24");
            coach.see("[data-student=orla-fenwick][disabled]");
            coach.seeNo("button", "Done as planned");
            coach.seeNo("button", "Injury");
            coach.go("/chains/hip-bump-answers");
            coach.see("span", "read only");
            coach.seeNo("button", "Save");
            coach.go("/ranks/adult/orange");
            coach.see("[aria-label=Findings] li");
            coach.seeNo("button", "Add");
            coach.nothingIsWrongHere();
        }
    }
}
