package lynchet.core.map;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lynchet.core.card.Technique;

/** What has to be learned before what, and whether that ends. */
final class Prerequisites {

    /**
     * Techniques that each ask for the next, back to the first.
     *
     * @param from the technique from which it was found
     * @param ids the circle, the first of them again at its end
     */
    record Circle(String from, List<String> ids) {}

    private record Frame(String id, Iterator<String> rest) {}

    private final Map<String, Technique> techniques;
    /** False while the search stands in it, true once it is left. */
    private final Map<String, Boolean> done = new HashMap<>();

    private Prerequisites(Map<String, Technique> techniques) {
        this.techniques = techniques;
    }

    /** The first circle that is met, in the order of the techniques. */
    static Optional<Circle> circle(List<Technique> inOrder, Map<String, Technique> techniques) {
        Prerequisites search = new Prerequisites(techniques);
        return inOrder.stream()
                .map(Technique::id)
                .flatMap(id -> search.from(id).map(ids -> new Circle(id, ids)).stream())
                .findFirst();
    }

    /** Depth-first with three colours; a grey technique met again closes a circle. */
    private Optional<List<String>> from(String start) {
        if (done.containsKey(start)) {
            return Optional.empty();
        }
        List<String> path = new ArrayList<>();
        Deque<Frame> stack = new ArrayDeque<>();
        enter(start, path, stack);
        while (!stack.isEmpty()) {
            Frame frame = stack.peek();
            if (!frame.rest().hasNext()) {
                stack.pop();
                path.remove(path.size() - 1);
                done.put(frame.id(), true);
                continue;
            }
            String next = frame.rest().next();
            if (!techniques.containsKey(next) || Boolean.TRUE.equals(done.get(next))) {
                continue;
            }
            if (done.containsKey(next)) {
                path.add(next);
                return Optional.of(List.copyOf(path.subList(path.indexOf(next), path.size())));
            }
            enter(next, path, stack);
        }
        return Optional.empty();
    }

    private void enter(String id, List<String> path, Deque<Frame> stack) {
        done.put(id, false);
        path.add(id);
        stack.push(new Frame(id, techniques.get(id).prerequisites().iterator()));
    }
}
