package lynchet.server.keep;

import java.util.List;
import java.util.function.Consumer;

/** Many rows at a time, in parts, telling progress after each. */
public final class Batch {

    private static final int SIZE = 500;

    private Batch() {}

    /** Hands {@code things} on in parts of at most 500. */
    public static <T> void each(String stage, List<T> things, Progress progress, Consumer<List<T>> keep) {
        for (int from = 0; from < things.size(); from += SIZE) {
            progress.at(stage, from, things.size());
            keep.accept(things.subList(from, Math.min(things.size(), from + SIZE)));
        }
        progress.at(stage, things.size(), things.size());
    }
}
