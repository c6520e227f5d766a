package lynchet.bench.trust;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lynchet.bench.club.GrownClub;
import lynchet.bench.club.Server;
import tools.jackson.databind.JsonNode;

/**
 * Sixteen hours of a club of 300 in some minutes: ten tablets that check in, drill and mark, three laptops that read whatever the
 * interface reads. How the memory goes, how long reads take, and what the log complains of.
 */
final class OneDay {

    private static final int TABLETS = 10;
    private static final int LAPTOPS = 3;
    private static final List<String> READS = List.of(
            "/api/people?size=50",
            "/api/people/names",
            "/api/people/minds",
            "/api/people/ranks",
            "/api/map",
            "/api/map/gaps",
            "/api/chains",
            "/api/ladders",
            "/api/classes?from=%s&to=%s",
            "/api/plans",
            "/api/cycles",
            "/api/closures");

    private OneDay() {}

    static void run(TrustBench.Ground ground, int minutes) throws Exception {
        Path archive = ground.folder().resolve("club.json");
        new GrownClub(300, LocalDate.now()).writeTo(archive);
        try (Server server = ground.start("day")) {
            Caller first = new Caller(server.address);
            while (first.get("/api/session/welcome").status() != 200) {
                Thread.sleep(50);
            }
            first.post(
                    "/api/session/first",
                    Map.of(
                            "code",
                            server.firstCode(),
                            "name",
                            "head",
                            "password",
                            "long enough",
                            "club",
                            "Bench",
                            "library",
                            "EMPTY"));
            if (first.post("/api/archive?mode=replace", Files.readString(archive))
                            .status()
                    != 200) {
                throw new IllegalStateException("the club is not taken in");
            }
            play(server, first, minutes);
        }
    }

    private static void play(Server server, Caller head, int minutes) throws Exception {
        List<String> students = new ArrayList<>();
        head.get("/api/people/names")
                .json()
                .forEach(one -> students.add(one.path("id").asString()));
        String today = LocalDate.now().toString();
        JsonNode classes = head.get("/api/classes?from=" + LocalDate.now().minusDays(3) + "&to=" + today)
                .json();
        String training = classes.path(classes.size() - 1).path("id").asString();
        AtomicBoolean goesOn = new AtomicBoolean(true);
        List<Long> reads = Collections.synchronizedList(new ArrayList<>());
        AtomicInteger writes = new AtomicInteger();
        AtomicInteger failed = new AtomicInteger();
        List<Thread> everybody = new ArrayList<>();
        for (int n = 0; n < TABLETS; n++) {
            Random random = new Random(n);
            Caller tablet = Caller.in(server.address, "head", "long enough");
            everybody.add(new Thread(() -> {
                while (goesOn.get()) {
                    String student = students.get(random.nextInt(students.size()));
                    Map<String, Object> checkIn = Map.of(
                            "id", "a-" + UUID.randomUUID(), "student", student, "classId", training, "how", "NAME");
                    int status = tablet.post("/api/attendance", checkIn).status();
                    writes.incrementAndGet();
                    failed.addAndGet(status == 0 || status >= 500 ? 1 : 0);
                    pause(200 + random.nextInt(400));
                }
            }));
        }
        for (int n = 0; n < LAPTOPS; n++) {
            Random random = new Random(100 + n);
            Caller laptop = Caller.in(server.address, "head", "long enough");
            everybody.add(new Thread(() -> {
                while (goesOn.get()) {
                    boolean isOne = random.nextInt(3) == 0;
                    String path = isOne
                            ? "/api/people/" + students.get(random.nextInt(students.size())) + "/progress"
                            : READS.get(random.nextInt(READS.size())).formatted(today, today);
                    long from = System.nanoTime();
                    int status = laptop.get(path).status();
                    reads.add(System.nanoTime() - from);
                    failed.addAndGet(status != 200 ? 1 : 0);
                    pause(100 + random.nextInt(300));
                }
            }));
        }
        everybody.forEach(Thread::start);
        List<Long> memory = new ArrayList<>();
        for (int minute = 0; minute < minutes; minute++) {
            Thread.sleep(60_000);
            memory.add(resident(server.pid()));
        }
        goesOn.set(false);
        for (Thread one : everybody) {
            one.join();
        }
        Long[] sorted = reads.toArray(Long[]::new);
        Arrays.sort(sorted);
        TrustBench.say("%d writes, %d reads, %d failed", writes.get(), sorted.length, failed.get());
        TrustBench.say(
                "reads: half within %.0f ms, 95 of 100 within %.0f ms",
                sorted[sorted.length / 2] / 1e6, sorted[sorted.length * 95 / 100] / 1e6);
        TrustBench.say("memory each minute, MB: %s", memory);
        TrustBench.say(
                "errors in the log: %d",
                Pattern.compile(" ERROR ").matcher(server.said()).results().count());
    }

    private static void pause(int millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    /** What the process holds, in MB. */
    private static long resident(long pid) throws IOException {
        Matcher found =
                Pattern.compile("VmRSS:\\s+(\\d+)").matcher(Files.readString(Path.of("/proc/" + pid + "/status")));
        return found.find() ? Long.parseLong(found.group(1)) / 1024 : 0;
    }
}
