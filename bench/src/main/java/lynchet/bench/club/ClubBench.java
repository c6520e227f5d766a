package lynchet.bench.club;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import lynchet.format.Json;
import tools.jackson.databind.JsonNode;

/**
 * A club of five years with 50, 300 and 1,500 students, taken in, read and written to by the packaged server in 512 MB;
 * prints each figure with its target and how it grows.
 */
public final class ClubBench {

    private static final int READERS = 30;
    private static final int MARKERS = 2;
    private static final int WRITERS = 8;
    /** Seconds from the first minute, and the ten seconds it is measured in, to the end of the sixth. */
    private static final int UNTIL_COMPILED = 290;

    private final List<String> flags;
    private final Path app;
    private final Map<String, Map<Integer, Double>> figures = new LinkedHashMap<>();
    private final Map<String, String> targets = new LinkedHashMap<>();

    private ClubBench(List<String> flags, Path app) {
        this.flags = flags;
        this.app = app;
    }

    /** @param args the application's jar, then the flags of its JVM */
    public static void main(String[] args) throws Exception {
        List<String> flags = Arrays.asList(args).subList(1, args.length);
        ClubBench bench = new ClubBench(flags, Path.of(args[0]));
        List<Integer> sizes = Stream.of(
                        System.getProperty("students", "50,300,1500").split(","))
                .map(Integer::valueOf)
                .toList();
        for (int students : sizes) {
            bench.measure(students);
        }
        bench.print(sizes);
    }

    private void put(int students, String what, String target, double value) {
        figures.computeIfAbsent(what, w -> new LinkedHashMap<>()).put(students, value);
        targets.put(what, target);
        System.err.printf("%5d students: %s %.1f%n", students, what, value);
    }

    private static double seconds(long from) {
        return (System.nanoTime() - from) / 1e9;
    }

    private void measure(int students) throws Exception {
        Path folder = Files.createTempDirectory("lynchet-bench-club");
        Path data = Files.createDirectories(folder.resolve("data"));
        Path archive = folder.resolve("club.json");
        new GrownClub(students, LocalDate.now()).writeTo(archive);
        put(students, "archive, MB", "", Files.size(archive) / 1e6);
        try (Server server = new Server(flags, app, data)) {
            User head = server.user();
            head.post(
                    "/api/session/first",
                    Map.of("code", server.firstCode(), "name", "head", "password", "long enough", "library", "EMPTY"));
            long from = System.nanoTime();
            takeIn(head, archive);
            put(students, "taken in, s", "600", seconds(from));
        }
        long from = System.nanoTime();
        try (Server server = new Server(flags, app, data)) {
            User head = server.user();
            put(students, "start to first answer, s", "10", seconds(from));
            head.post("/api/session", Map.of("name", "head", "password", "long enough"));
            from = System.nanoTime();
            head.get("/api/people/ranks");
            put(students, "readiness of all, cold, ms", "1000", seconds(from) * 1e3);
            from = System.nanoTime();
            head.get("/api/people/ranks");
            put(students, "readiness of all, warm, ms", "100", seconds(from) * 1e3);
            Path out = folder.resolve("out.json");
            from = System.nanoTime();
            head.download("/api/archive", out);
            put(students, "given out, s", "", seconds(from));
            if (Files.mismatch(archive, out) != -1) {
                throw new IllegalStateException(
                        "what came out differs from what went in at byte " + Files.mismatch(archive, out));
            }
            new PlanningBench(head, (what, target, value) -> put(students, what, target, value)).run(students);
            new BroughtBench(head, (what, target, value) -> put(students, what, target, value)).run();
            reading(server, students);
            writing(server, students);
            put(
                    students,
                    "data file / archive, while it is written to",
                    "4",
                    (double) size(data) / Files.size(archive));
            from = System.nanoTime();
            takeIn(signedIn(server), archive);
            put(students, "taken in over what it has become, s", "600", seconds(from));
        }
        put(students, "data file / archive, once stopped", "4", (double) size(data) / Files.size(archive));
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(java.util.Comparator.reverseOrder())
                    .forEach(file -> file.toFile().delete());
        }
    }

    private static void takeIn(User head, Path archive) throws IOException {
        String job =
                head.upload("/api/imports?mode=replace", archive).path("id").asString();
        String told = "";
        while (true) {
            JsonNode now = head.json("/api/imports/" + job);
            String state = now.path("state").asString();
            if (!state.equals("WAITING") && !state.equals("RUNNING")) {
                if (!state.equals("DONE")) {
                    throw new IllegalStateException(now.toString());
                }
                return;
            }
            String stage = now.path("stage").asString();
            if (!stage.equals(told)) {
                System.err.println("   " + stage);
                told = stage;
            }
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(250));
        }
    }

    private static long size(Path data) throws IOException {
        return Files.size(data.resolve("club.mv.db"));
    }

    private static User signedIn(Server server) {
        User user = new User(server.address);
        user.post("/api/session", Map.of("name", "head", "password", "long enough"));
        return user;
    }

    /** Thirty read, each turning a page twice a second, while two mark twice a second. */
    private void reading(Server server, int students) throws Exception {
        for (String what : List.of("warming up", "roster page", "student's page")) {
            boolean roster = !what.startsWith("student");
            List<Double> took = together(READERS + MARKERS, what.equals("warming up") ? 4 : 8, n -> {
                User user = signedIn(server);
                Random random = new Random(n);
                return () -> {
                    pause(random.nextInt(1000));
                    if (n >= READERS) {
                        user.post("/api/marks", mark(random.nextInt(students), null));
                        return -1.0;
                    }
                    long from = System.nanoTime();
                    if (roster) {
                        user.get("/api/people?size=50&page=" + random.nextInt(Math.max(1, students / 50)));
                    } else {
                        user.get("/api/people/" + GrownClub.student(random.nextInt(students)) + "/progress");
                    }
                    return seconds(from) * 1e3;
                };
            });
            if (!what.equals("warming up")) {
                put(students, what + ", 30 reading, 2 marking, p95 ms", roster ? "50" : "100", p95(took));
            }
        }
    }

    private static void pause(int millis) {
        LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(millis));
    }

    private static Map<String, Object> mark(int student, String classId) {
        Map<String, Object> mark = new LinkedHashMap<>();
        mark.put("id", "m-" + UUID.randomUUID());
        mark.put("student", GrownClub.student(student));
        mark.put("subject", "arm-lock");
        mark.put("standard", "SHOWN");
        mark.put("passed", true);
        mark.put("classId", classId);
        return mark;
    }

    /**
     * Eight write as fast as they are answered: somebody is checked into the class of their track, then marked in it,
     * all four classes of an evening at once, evening after evening, so that each of them is a new record. Measured
     * right after the first minute and again after the sixth, when the optimising compiler is done even in a slow hour.
     */
    private void writing(Server server, int students) throws Exception {
        List<Wire> users = new ArrayList<>();
        for (int n = 0; n < WRITERS; n++) {
            users.add(signedIn(server).wire());
        }
        AtomicInteger next = new AtomicInteger();
        Written now = written(users, next, students, 60);
        now = written(users, next, students, 10);
        put(students, "check-ins and marks after a minute, a second", "", now.rate);
        put(students, "check-ins and marks after a minute, p95 ms", "", now.p95);
        written(users, next, students, UNTIL_COMPILED);
        now = written(users, next, students, 20);
        put(students, "check-ins and marks after six minutes, a second", "500 or more", now.rate);
        put(students, "check-ins and marks after six minutes, p95 ms", "25", now.p95);
        for (Wire user : users) {
            user.close();
        }
    }

    private record Written(double rate, double p95) {}

    private Written written(List<Wire> users, AtomicInteger next, int students, int seconds) throws Exception {
        long from = System.nanoTime();
        List<Double> took = together(WRITERS, seconds, n -> {
            Wire user = users.get(n);
            String[] trained = new String[1];
            int[] place = new int[1];
            return () -> {
                boolean checkIn = trained[0] == null;
                if (checkIn) {
                    place[0] = next.getAndIncrement();
                    trained[0] = classOf(place[0], students);
                }
                Map<String, Object> record = checkIn
                        ? Map.of(
                                "id",
                                "a-" + UUID.randomUUID(),
                                "student",
                                GrownClub.student(place[0] % students),
                                "classId",
                                trained[0])
                        : mark(place[0] % students, trained[0]);
                trained[0] = checkIn ? trained[0] : null;
                String body = Json.write(record);
                long sent = System.nanoTime();
                user.post(checkIn ? "/api/attendance" : "/api/marks", body);
                return seconds(sent) * 1e3;
            };
        });
        return new Written(took.size() / seconds(from), p95(took));
    }

    /** The class of a student's own track on the first evening from today that nobody has filled yet. */
    private static String classOf(int place, int students) {
        LocalDate today = LocalDate.now();
        LocalDate monday = today.with(DayOfWeek.MONDAY);
        int evening = Math.min(4, today.getDayOfWeek().getValue() - 1) + place / students;
        String track = GrownClub.TRACKS.get(place % students % GrownClub.TRACKS.size());
        return track + "-" + evening % 5 + "-" + monday.plusWeeks(evening / 5).plusDays(evening % 5);
    }

    private static Thread daemon(Runnable work) {
        Thread thread = new Thread(work);
        thread.setDaemon(true);
        return thread;
    }

    private interface Hands {
        Callable<Double> of(int n);
    }

    /** Runs many at once for some seconds; what they took, without negative answers. */
    private static List<Double> together(int users, int seconds, Hands hands) throws Exception {
        ExecutorService all = Executors.newFixedThreadPool(users, ClubBench::daemon);
        List<Future<List<Double>>> done = new ArrayList<>();
        for (int n = 0; n < users; n++) {
            Callable<Double> one = hands.of(n);
            done.add(all.submit(() -> {
                List<Double> took = new ArrayList<>();
                long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
                while (System.nanoTime() < until) {
                    double millis = one.call();
                    if (millis >= 0) {
                        took.add(millis);
                    }
                }
                return took;
            }));
        }
        List<Double> took = new ArrayList<>();
        for (Future<List<Double>> one : done) {
            took.addAll(one.get());
        }
        all.shutdown();
        return took;
    }

    private static double p95(List<Double> took) {
        List<Double> sorted = took.stream().sorted().toList();
        return sorted.get((int) (sorted.size() * 0.95));
    }

    private void print(List<Integer> sizes) {
        System.out.printf("%-52s %-12s", "", "target");
        sizes.forEach(size -> System.out.printf(" %10d", size));
        System.out.println("   growth");
        figures.forEach((what, bySize) -> {
            System.out.printf("%-52s %-12s", what, targets.get(what));
            sizes.forEach(size -> System.out.printf(" %10.1f", bySize.get(size)));
            double growth = bySize.get(sizes.get(sizes.size() - 1)) / bySize.get(sizes.get(0));
            System.out.printf("   %.1f times%n", growth);
        });
    }
}
