package lynchet.format.csv;

import java.util.List;
import java.util.Optional;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Student;

/** Somebody as a roster sheet has them: who they are and the ranks they hold, one for each ladder. */
public record Member(Student student, List<HeldRank> held) {

    public Member {
        held = List.copyOf(held);
    }

    public Optional<HeldRank> heldOn(String ladder) {
        return held.stream().filter(one -> one.ladder().equals(ladder)).findFirst();
    }
}
