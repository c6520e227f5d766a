package lynchet.browser;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** A made-up map of 400 positions as a file in the open format. */
final class LargeMap {

    private static final String[] STAGES = {
        "GRIPPED", "HALF_DOWN", "LEGS_BETWEEN", "LEGS_BETWEEN", "LEGS_CLEARED", "LEGS_CLEARED", "FINISH"
    };
    private static final int PAIRS = 200;
    private static final int TECHNIQUES = 120;
    private static final int LINKS = 1600;

    private final Random random = new Random(400);

    static String json() {
        return new LargeMap().map();
    }

    private String map() {
        List<String> pairs = new ArrayList<>();
        for (int i = 0; i < PAIRS; i++) {
            String stage = i < 2 ? "APART" : STAGES[random.nextInt(STAGES.length)];
            double control = (stage.equals("LEGS_CLEARED") || stage.equals("FINISH") ? 12 : 0) + random.nextInt(16);
            pairs.add("{\"id\":\"pair-%d\",\"stage\":\"%s\",\"first\":%s,\"second\":%s}"
                    .formatted(i, stage, position("p" + i, control / 10), position("q" + i, -control / 10)));
        }
        List<String> techniques = new ArrayList<>();
        for (int i = 0; i < TECHNIQUES; i++) {
            techniques.add("{\"id\":\"t%d\",\"name\":\"Way %d\",\"family\":\"TRANSITION\",\"learn\":2,\"master\":%d}"
                    .formatted(i, i, 1 + random.nextInt(5)));
        }
        List<String> links = new ArrayList<>();
        for (int i = 0; i < LINKS; i++) {
            links.add("{\"id\":\"l%d\",\"from\":\"%s\",\"technique\":\"t%d\",\"to\":\"%s\"}"
                    .formatted(i, somewhere(), random.nextInt(TECHNIQUES), somewhere()));
        }
        return "{\"format\":1,\"name\":\"Large\",\"map\":{\"pairs\":%s,\"techniques\":%s,\"links\":%s}}"
                .formatted(pairs, techniques, links);
    }

    private String somewhere() {
        return (random.nextBoolean() ? "p" : "q") + random.nextInt(PAIRS);
    }

    private String position(String id, double control) {
        String name = "Plot " + "abcdefghijklmnop".substring(0, 1 + random.nextInt(14)) + " " + id;
        return "{\"id\":\"%s\",\"name\":\"%s\",\"control\":%s}".formatted(id, name, control);
    }
}
