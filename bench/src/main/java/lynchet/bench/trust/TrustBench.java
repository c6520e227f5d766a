package lynchet.bench.trust;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import lynchet.bench.club.Server;

/** The packaged server attacked, filled up, killed and worked with for a day; prints what came of it. */
public final class TrustBench {

    private TrustBench() {}

    /** How servers are started here, and where they keep what. */
    record Ground(List<String> flags, Path app, Path folder) {

        Server demo(String name) throws java.io.IOException {
            return start(name, "--lynchet.demo=true");
        }

        Server start(String name, String... more) throws java.io.IOException {
            return startIn(Files.createDirectories(folder.resolve(name)), more);
        }

        Server startIn(Path data, String... more) throws java.io.IOException {
            List<String> all = new ArrayList<>(flags);
            for (String one : more) {
                all.add("-D" + one.substring(2));
            }
            return new Server(all, app, data);
        }
    }

    /** @param args the application's jar, then the flags of its JVM; {@code -Dchapters=} takes some of them only */
    public static void main(String[] args) throws Exception {
        Ground ground = new Ground(
                Arrays.asList(args).subList(1, args.length),
                Path.of(args[0]),
                Files.createTempDirectory("lynchet-trust"));
        for (String chapter : System.getProperty("chapters", "strangers,guessing,disk,kills,day")
                .split(",")) {
            System.out.println(chapter);
            switch (chapter) {
                case "strangers" -> SlowStrangers.run(ground);
                case "guessing" -> Guessing.run(ground);
                case "disk" -> SmallDisk.run(ground);
                case "kills" -> Kills.run(ground, Integer.getInteger("kills", 100));
                case "day" -> OneDay.run(ground, Integer.getInteger("minutes", 10));
                default -> throw new IllegalArgumentException("There is no chapter " + chapter + ".");
            }
        }
    }

    static void say(String what, Object... values) {
        System.out.printf("  " + what + "%n", values);
    }
}
