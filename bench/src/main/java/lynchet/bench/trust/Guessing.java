package lynchet.bench.trust;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import lynchet.bench.club.Server;

/** Somebody on the club's network guesses passwords; everybody here comes from one address, as behind a proxy. */
final class Guessing {

    private static final int SECONDS = 60;
    private static final int AT_ONCE = 200;

    private Guessing() {}

    static void run(TrustBench.Ground ground) throws Exception {
        try (Server server = ground.demo("guessing")) {
            Caller known = Caller.in(server.address, "head", "saltmarsh");
            AtomicBoolean goesOn = new AtomicBoolean(true);
            Thread guesser = new Thread(() -> {
                Caller caller = new Caller(server.address);
                caller.get("/api/session/welcome");
                for (int n = 0; goesOn.get(); n++) {
                    caller.post("/api/session", Map.of("name", "head", "password", "guess " + n));
                }
            });
            guesser.start();
            Thread.sleep(SECONDS * 1000L);
            Caller other = new Caller(server.address);
            other.get("/api/session/welcome");
            TrustBench.say(
                    "another account, from the address of the guesser: in after %.1f s", untilIn(other, "coach"));
            TrustBench.say("the same account on a device on which it was in: in after %.1f s", untilIn(known, "head"));
            goesOn.set(false);
            guesser.join();
            TrustBench.say("of %d guesses at once %d were looked at", AT_ONCE, atOnce(server.address, "viewer"));
        }
    }

    private static double untilIn(Caller caller, String name) throws InterruptedException {
        long from = System.nanoTime();
        while (caller.post("/api/session", Map.of("name", name, "password", "saltmarsh"))
                        .status()
                != 200) {
            Thread.sleep(200);
        }
        return (System.nanoTime() - from) / 1e9;
    }

    private static long atOnce(String address, String name) throws Exception {
        ExecutorService all = Executors.newFixedThreadPool(AT_ONCE);
        try {
            List<Callable<Integer>> guesses = new ArrayList<>();
            for (int n = 0; n < AT_ONCE; n++) {
                Caller caller = new Caller(address);
                caller.get("/api/session/welcome");
                String guess = "wrong number " + n;
                guesses.add(() -> caller.post("/api/session", Map.of("name", name, "password", guess))
                        .status());
            }
            long looked = 0;
            for (Future<Integer> answer : all.invokeAll(guesses)) {
                looked += answer.get() == 401 ? 1 : 0;
            }
            return looked;
        } finally {
            all.shutdownNow();
        }
    }
}
