package lynchet.server.round;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Which rounds are listed, besides whose and when; what is left out is not asked.
 *
 * @param in class id
 * @param position id of the position of the one who won, where it ended
 * @param technique id of the technique it ended with
 * @param link id of the link it ended with
 * @param track id of the track of their class
 * @param links ids of the links of {@code technique}, as the house fills them in
 */
record RoundsAsked(
        @Nullable String in,
        @Nullable String position,
        @Nullable String technique,
        @Nullable String link,
        @Nullable String track,
        @Nullable List<String> links) {

    RoundsAsked with(List<String> ofTechnique) {
        return new RoundsAsked(in, position, technique, link, track, ofTechnique);
    }
}
