package lynchet.server.promote;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lynchet.core.club.Parts;
import lynchet.core.promote.Belt;
import lynchet.core.promote.BeltOrder;
import lynchet.server.club.RecordDesk;
import lynchet.server.club.ReferenceCheck;
import lynchet.server.keep.ETags;
import lynchet.server.keep.OpenTo;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Who;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Belts in the cupboard, and those to order before a window. */
@RestController
@RequestMapping("/api/belts")
class BeltController {

    private final RecordDesk desk;
    private final BeltStore belts;
    private final Board board;
    private final ReferenceCheck known;

    BeltController(RecordDesk desk, BeltStore belts, Board board, ReferenceCheck known) {
        this.desk = desk;
        this.belts = belts;
        this.board = board;
        this.known = known;
    }

    /** Belts of one kind with their tag. */
    record BeltView(Belt belt, String tag) {}

    /** @param unsized names of those whose belt size nobody knows */
    record Cupboard(List<BeltView> belts, List<BeltOrder.BeltLine> lines, List<String> unsized) {}

    /** What is there, and what those who are put forward or promoted on a ladder want. */
    @OpenTo(Who.COACHES)
    @GetMapping
    Cupboard cupboard(@RequestParam String ladder) {
        List<Belt> all = belts.cupboard().stream()
                .sorted(Comparator.comparing((Belt belt) -> String.join("-", belt.colours()))
                        .thenComparing(Belt::size))
                .toList();
        BeltOrder order = BeltOrder.of(board.wanted(ladder), all);
        return new Cupboard(
                all.stream().map(belt -> new BeltView(belt, ETags.of(belt))).toList(), order.lines(), order.unsized());
    }

    /** Says how many there are of one kind. */
    @OpenTo(Who.HEADS)
    @PutMapping("/{id}")
    ResponseEntity<Belt> put(
            @PathVariable String id,
            @RequestHeader(name = "If-Match", required = false) String tag,
            @RequestBody Belt belt) {
        Refusal.unlessSame(id, belt.id());
        return ETags.tagged(desk.write(() -> {
            Optional<Belt> before = belts.find(id);
            before.ifPresent(kept -> ETags.match(tag, kept, id));
            known.check(Parts.BELTS, belt);
            if (before.isEmpty()) {
                belts.add(List.of(belt));
            } else {
                belts.change(List.of(belt));
            }
            return belt;
        }));
    }
}
