package lynchet.server.club;

import java.io.OutputStream;
import java.util.List;
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
        write(out, Parts.ALL);
    }

    /** The map alone. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void map(OutputStream out) {
        write(out, Parts.MAP);
    }

    private void write(OutputStream out, List<Part<?>> parts) {
        ClubArchive.write(out, settings.name(), parts, new ClubArchive.Source() {
            @Override
            public <T> void each(Part<T> part, Consumer<T> to) {
                stores.of(part).each(to);
            }
        });
    }
}
