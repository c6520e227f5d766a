package lynchet.server.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import lynchet.core.club.Club;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.round.Logged;
import lynchet.core.round.Round;
import lynchet.core.round.RoundEvidence;
import lynchet.core.round.RoundFilter;
import lynchet.core.walk.Chance;
import lynchet.format.ClubArchive;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** How well something works, from all rounds or from some of them: what the database counts is what core counts. */
@ExtendWith(RunningClub.class)
class TriesTest {

    private final HttpUser coach = RunningClub.as("coach");

    private static Club club() {
        String archive = RunningClub.as("head").get("/api/archive").expect(200).text();
        return ClubArchive.read(new ByteArrayInputStream(archive.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void whatIsCountedIsWhatTheRoundsSay() {
        Club club = club();
        GrapplingMap map = GrapplingMap.of(club.map());
        List<Round> rounds = club.rounds();
        Round bout = rounds.stream()
                .filter(r -> r.kind() == Round.Kind.COMPETITION && !r.events().isEmpty())
                .findFirst()
                .orElseThrow();
        LocalDate day = bout.at().atZone(ZoneOffset.UTC).toLocalDate();
        same(map, rounds, RoundFilter.ALL, "");
        same(map, rounds, new RoundFilter(bout.second(), null, null, null, null), "by=" + bout.second());
        same(map, rounds, new RoundFilter(null, null, null, null, Round.Kind.COMPETITION), "kind=COMPETITION");
        same(map, rounds, new RoundFilter(null, null, null, bout.ruleset(), null), "fought=" + bout.ruleset());
        RoundFilter until = new RoundFilter(
                null, null, day.plusDays(1).atStartOfDay(ZoneOffset.UTC).toInstant(), null, Round.Kind.LIVE);
        same(map, rounds, until, "kind=LIVE&until=" + day);
        RoundFilter since =
                new RoundFilter(bout.first(), day.atStartOfDay(ZoneOffset.UTC).toInstant(), null, null, null);
        same(map, rounds, since, "by=" + bout.first() + "&since=" + day);
    }

    private void same(GrapplingMap map, List<Round> rounds, RoundFilter filter, String query) {
        RoundEvidence evidence = RoundEvidence.of(map, Logged.count(rounds, filter), filter.student() == null);
        int tries = 0;
        for (String technique : List.of("front-choke", "double-leg", "knee-slide-pass", "hip-bump-sweep")) {
            JsonNode uses = coach.get("/api/map/techniques/" + technique + "?" + query)
                    .expect(200)
                    .json()
                    .path("uses");
            for (JsonNode use : uses) {
                Link link = map.link(use.path("link").asString()).orElseThrow();
                Chance chance = evidence.works(link);
                JsonNode served = use.path("chance");
                assertThat(served.path("tries").asInt())
                        .as("%s of %s", link.id(), query)
                        .isEqualTo(chance.tries());
                assertThat(served.path("estimate").asDouble()).isCloseTo(chance.estimate(), within(1e-12));
                tries += chance.tries();
            }
        }
        assertThat(tries).as("something to compare: %s", query).isPositive();
    }

    @Test
    void whatIsNotThereIsNamedAndAViewerIsToldOfNobody() {
        String card = "/api/map/techniques/front-choke?";
        assertThat(coach.get(card + "by=nobody").expect(404).text()).contains("nobody");
        assertThat(coach.get(card + "fought=no-such-rules").expect(404).text()).contains("no-such-rules");
        assertThat(coach.get(card + "kind=SLEEPING").status()).isEqualTo(400);
        assertThat(coach.get(card + "since=yesterday").status()).isEqualTo(400);
        HttpUser viewer = RunningClub.as("viewer");
        viewer.get(card + "kind=LIVE").expect(200);
        assertThat(viewer.get(card + "by=orla-fenwick").expect(403).code()).isEqualTo("NOT_ALLOWED");
    }
}
