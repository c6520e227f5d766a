package lynchet.core.rule;

import java.math.BigDecimal;
import java.util.List;

/** How small pieces of sentences are put together. */
public final class Phrases {

    private Phrases() {}

    /** "a", "a and b", "a, b and c". */
    public static String and(List<String> words) {
        if (words.size() <= 1) {
            return String.join("", words);
        }
        return String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.get(words.size() - 1);
    }

    /** "1 class", "3 classes". */
    public static String count(int n, String one, String many) {
        return n + " " + (n == 1 ? one : many);
    }

    /** A number without needless zeros: "+0.6", "−2". */
    public static String signed(double value) {
        String plain = BigDecimal.valueOf(Math.abs(value)).stripTrailingZeros().toPlainString();
        return value < 0 ? "\u2212" + plain : value > 0 ? "+" + plain : "0";
    }
}
