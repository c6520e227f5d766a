package lynchet.server.club;

import java.io.OutputStream;
import java.util.function.Consumer;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.format.ClubArchive;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Writes a whole club as it stands, a handful at a time. */
@Service
public class Exports {

    private final Stores stores;
    private final ClubSettings settings;

    Exports(Stores stores, ClubSettings settings) {
        this.stores = stores;
        this.settings = settings;
    }

    /** Everything, as it stood in one moment, whatever others write meanwhile. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void all(OutputStream out) {
        write(out, false);
    }

    /** The map alone. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void map(OutputStream out) {
        write(out, true);
    }

    private void write(OutputStream out, boolean onlyMap) {
        ClubArchive.write(out, settings.name(), new ClubArchive.Source() {
            @Override
            public <T> void each(Part<T> part, Consumer<T> to) {
                if (!onlyMap || Parts.MAP.contains(part)) {
                    stores.of(part).each(to);
                }
            }
        });
    }
}
