package lynchet.bench.trust;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import lynchet.bench.club.Server;

/** A file system of 64 MB that fills up beside the club, and is emptied again. Needs to be root. */
final class SmallDisk {

    private static final int MOST = 3000;

    private SmallDisk() {}

    static void run(TrustBench.Ground ground) throws Exception {
        Path disk = Files.createDirectories(ground.folder().resolve("small"));
        if (command("mount", "-t", "tmpfs", "-o", "size=64m", "tmpfs", disk.toString()) != 0) {
            TrustBench.say("left out: a small file system cannot be mounted here");
            return;
        }
        try (Server server = ground.startIn(Files.createDirectories(disk.resolve("data")), "--lynchet.demo=true")) {
            Caller head = Caller.in(server.address, "head", "saltmarsh");
            int before = people(head);
            for (long left : new long[] {21L << 20, 300_000}) {
                fill(disk, left);
                Map<Integer, Integer> statuses = new TreeMap<>();
                int kept = 0;
                for (int n = 0; n < MOST && statuses.getOrDefault(507, 0) < 50; n++) {
                    int status = add(head, n + " " + left);
                    statuses.merge(status, 1, Integer::sum);
                    kept += status == 200 ? 1 : 0;
                }
                before += kept;
                TrustBench.say(
                        "%,d bytes left: answers %s, health %d, read %d",
                        left,
                        statuses,
                        head.get("/actuator/health").status(),
                        head.get("/api/people").status());
                Files.delete(disk.resolve("fill"));
                long from = System.nanoTime();
                while (add(head, "after " + left) != 200) {
                    Thread.sleep(100);
                }
                before++;
                TrustBench.say(
                        "room again: written to after %.1f s, health %d",
                        (System.nanoTime() - from) / 1e9, healthy(head));
            }
            int now = people(head);
            TrustBench.say(
                    "%d people acknowledged, %d there: %s", before, now, before == now ? "nothing lost" : "LOST");
        } finally {
            command("umount", "-l", disk.toString());
        }
    }

    private static int healthy(Caller head) throws InterruptedException {
        Thread.sleep(1500);
        return head.get("/actuator/health").status();
    }

    private static int people(Caller head) {
        return head.get("/api/people?size=1").json().path("total").asInt();
    }

    private static int add(Caller head, String name) {
        return head.post(
                        "/api/people",
                        Map.of("id", "x", "name", "Filler " + name, "joined", "2026-01-10", "notes", "x".repeat(400)))
                .status();
    }

    private static void fill(Path disk, long left) throws IOException {
        long free = disk.toFile().getUsableSpace();
        byte[] some = new byte[1 << 16];
        try (OutputStream out = Files.newOutputStream(disk.resolve("fill"))) {
            for (long n = 0; n < free - left; n += some.length) {
                out.write(some);
            }
        }
    }

    private static int command(String... words) throws IOException, InterruptedException {
        return new ProcessBuilder(words).redirectErrorStream(true).start().waitFor();
    }
}
