package lynchet.server.safety;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import lynchet.core.numbers.ClubNumbers;
import lynchet.server.keep.KeptAsJson;

@Entity
@Table(name = "club_numbers")
class NumbersRow extends KeptAsJson<ClubNumbers> {

    protected NumbersRow() {}

    NumbersRow(ClubNumbers value) {
        super(value.id(), value);
    }

    @Override
    protected Class<ClubNumbers> type() {
        return ClubNumbers.class;
    }
}
