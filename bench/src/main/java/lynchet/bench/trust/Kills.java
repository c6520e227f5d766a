package lynchet.bench.trust;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import lynchet.bench.club.Server;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.MissingNode;

/**
 * The server killed in the middle of its work: records by six writers all the time, and beside them one of: taking an archive
 * in, a copy, erasing, plans, its own stop, a restore from the console. What was said to be kept is there afterwards.
 */
final class Kills {

    private static final String[] BESIDES = {"records", "import", "copy", "erase", "plan", "stop", "restore"};
    private static final int WRITERS = 6;

    private final TrustBench.Ground ground;
    private final Path data;
    private final Random random = new Random(20_261_201);
    private final Set<String> acknowledged = Collections.synchronizedSet(new TreeSet<>());
    private final Set<String> erased = Collections.synchronizedSet(new TreeSet<>());
    private final List<Double> starts = new ArrayList<>();
    private final Map<String, Integer> kinds = new HashMap<>();
    private int all;
    private int lost;

    private Kills(TrustBench.Ground ground) throws IOException {
        this.ground = ground;
        this.data = Files.createDirectories(ground.folder().resolve("kills"));
    }

    static void run(TrustBench.Ground ground, int kills) throws Exception {
        Kills all = new Kills(ground);
        for (int n = 0; n < kills; n++) {
            all.one(n);
        }
        all.end();
    }

    private void one(int n) throws Exception {
        long from = System.nanoTime();
        Server server = ground.startIn(data, "--lynchet.demo=true");
        Caller head = Caller.in(server.address, "head", "saltmarsh");
        starts.add((System.nanoTime() - from) / 1e9);
        look(head, n);
        String beside = BESIDES[n % BESIDES.length];
        kinds.merge(beside, 1, Integer::sum);
        if (beside.equals("restore")) {
            head.post("/api/copies", "{}");
        }
        List<Thread> writers = new ArrayList<>();
        for (int w = 0; w < WRITERS; w++) {
            int writer = w;
            writers.add(begin(() -> write(head, n, writer)));
        }
        writers.add(begin(() -> beside(head, beside)));
        Thread.sleep(200 + random.nextInt(1500));
        if (beside.equals("stop")) {
            server.beginToStop();
            Thread.sleep(random.nextInt(600));
        }
        server.kill();
        for (Thread writer : writers) {
            writer.join();
        }
        if (beside.equals("restore")) {
            restoreKilled();
        }
    }

    private static Thread begin(Runnable work) {
        Thread thread = new Thread(work);
        thread.start();
        return thread;
    }

    /** Adds people one after the other; each that was answered 200 counts. */
    private void write(Caller head, int n, int writer) {
        for (int i = 0; ; i++) {
            String name = "Killed " + n + " " + writer + " " + i;
            Caller.Answer answer = head.post("/api/people", Map.of("id", "x", "name", name, "joined", "2026-01-10"));
            if (answer.status() == 0) {
                return;
            }
            if (answer.status() == 200) {
                acknowledged.add(name);
                all++;
            }
        }
    }

    private void beside(Caller head, String what) {
        switch (what) {
            case "import" ->
                head.post("/api/archive?mode=merge", head.get("/api/archive").text());
            case "copy" -> {
                while (head.post("/api/copies", "{}").status() == 200) {
                    // the next one
                }
            }
            case "erase" -> erase(head);
            case "plan" -> {
                Caller.Answer plans = head.get("/api/plans");
                JsonNode plan = plans.status() == 200 ? plans.json().path(0) : MissingNode.getInstance();
                while (!plan.isMissingNode()
                        && head.post("/api/plans/jobs", plan.toString()).status() != 0) {
                    // the next one takes its place
                }
            }
            default -> {}
        }
    }

    /** Somebody who was added a round before. */
    private void erase(Caller head) {
        Caller.Answer found = head.get("/api/people?size=20&find=Killed");
        if (found.status() != 200) {
            return;
        }
        JsonNode rows = found.json().path("rows");
        for (JsonNode row : rows) {
            String id = row.at("/student/id").asString();
            String name = row.at("/student/name").asString();
            erased.add(name); // from now on it may be either
            if (head.post("/api/people/" + id + "/erase", Map.of("name", name)).status() == 0) {
                return;
            }
        }
    }

    /** A restore of the last copy, killed; the club is the old one or the copy, and opens. What the copy lacks is not lost. */
    private void restoreKilled() throws Exception {
        Path copies = data.resolve("copies");
        if (!Files.isDirectory(copies)) {
            return;
        }
        Path last;
        try (var files = Files.list(copies)) {
            last = files.filter(file ->
                            file.toString().endsWith(".zip") && !file.toString().contains("unread"))
                    .max(Path::compareTo)
                    .orElse(null);
        }
        if (last == null) {
            return;
        }
        Set<String> before = Set.copyOf(acknowledged);
        Process restoring = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        ground.app().toString(),
                        "lynchet.server.copies.AtTheConsole",
                        "restore",
                        data.toString(),
                        last.toString())
                .redirectErrorStream(true)
                .redirectOutput(ground.folder().resolve("restore.log").toFile())
                .start();
        Thread.sleep(300 + random.nextInt(900));
        restoring.destroyForcibly().waitFor();
        // Which of the two it is the next start tells: all that was acknowledged, or what the copy held.
        try (Server server = ground.startIn(data, "--lynchet.demo=true")) {
            Set<String> there = names(Caller.in(server.address, "head", "saltmarsh"));
            if (!there.containsAll(minus(before, erased))) {
                acknowledged.retainAll(there);
            }
        }
    }

    private void look(Caller head, int n) {
        Set<String> there = names(head);
        Set<String> missing = minus(acknowledged, there);
        missing.removeAll(erased);
        lost += missing.size();
        if (!missing.isEmpty()) {
            TrustBench.say(
                    "before kill %d: %d LOST, such as %s",
                    n, missing.size(), missing.iterator().next());
            acknowledged.removeAll(missing);
        }
        if (n % 10 == 0) {
            System.err.printf("  %d kills, %d acknowledged, %d lost%n", n, all, lost);
        }
        if (n % 10 == 0 && head.get("/api/archive").status() != 200) {
            throw new IllegalStateException("the club cannot be given out after kill " + n);
        }
    }

    private static Set<String> names(Caller head) {
        JsonNode all = head.get("/api/people/names").json();
        return StreamSupport.stream(all.spliterator(), false)
                .map(one -> one.path("name").asString())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static Set<String> minus(Set<String> some, Set<String> others) {
        Set<String> left = new TreeSet<>(some);
        left.removeAll(others);
        return left;
    }

    private void end() throws Exception {
        try (Server server = ground.startIn(data, "--lynchet.demo=true")) {
            look(Caller.in(server.address, "head", "saltmarsh"), -1);
        }
        Collections.sort(starts);
        TrustBench.say(
                "%d kills (%s), %d writes acknowledged, %d lost; start after a kill %.1f s in the middle, %.1f s at most",
                starts.size(), kinds, all, lost, starts.get(starts.size() / 2), starts.get(starts.size() - 1));
    }
}
