package lynchet.server.promote;

import java.time.LocalDate;
import java.util.List;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import lynchet.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The board before a window: who stands where on a ladder, and who goes on at another one. For coaches. */
@RestController
@OpenTo(Who.COACHES)
@RequestMapping("/api/board")
class BoardController {

    private static final int MOST_DAYS = 400;

    private final Board board;
    private final People people;

    BoardController(Board board, People people) {
        this.board = board;
        this.people = people;
    }

    /** @param window the first of a month with a window to come; the present one when none is given */
    @GetMapping
    Board.BoardView board(@RequestParam String ladder, @RequestParam(required = false) @Nullable LocalDate window) {
        return board.of(ladder, window);
    }

    /** Who grows out of a ladder until a day; half a year from today when none is given. */
    @GetMapping("/hand-over")
    List<Board.Leaving> leaving(@RequestParam(required = false) @Nullable LocalDate until) {
        LocalDate today = people.today();
        LocalDate last = until == null ? today.plusMonths(6) : until;
        if (last.isAfter(today.plusDays(MOST_DAYS))) {
            throw Refusal.bad("DAYS_MANY", "until", "Ask for at most a year ahead.");
        }
        return board.leaving(last);
    }
}
