package lynchet.server.club;

import lynchet.core.club.Club;

/** Told in the same transaction when an edit has changed records or what they are counted by, so that what is folded follows. */
public interface AfterRecords {

    /**
     * @param before what was taught, and the records that the edit touched
     * @param after the same afterwards
     */
    void changed(Club before, Club after);

    /** Everything is new: whatever was folded is folded again. */
    void allNew(lynchet.server.keep.Progress progress);
}
