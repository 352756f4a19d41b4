package org.zeststack.app.people;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** What may be a password and a sign-in name. */
public final class Passwords {

    public static final int SHORTEST = 12;

    /** The hash takes no more bytes than this; what is longer is told, not cut. */
    public static final int MOST_BYTES = 72;

    /** Below this of 0 to 4 it is guessed among the first million tries. */
    private static final int LEAST_SCORE = 2;

    private static final int LONGEST_LOGIN = 60;
    private static final Pattern LOGIN = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{N}._@+-]{0,59}");
    /** Control characters, marks of direction, halves of characters. */
    private static final Pattern UNSEEN = Pattern.compile("\\p{C}");

    private static final Zxcvbn GUESSES = new Zxcvbn();

    private Passwords() {}

    /**
     * What is wrong with a password; empty where nothing is.
     *
     * @param own words that whoever guesses tries first: the person's names
     */
    public static Optional<String> fault(String password, List<String> own) {
        if (password.length() < SHORTEST) {
            return Optional.of("Use %d characters or more; these are %d.".formatted(SHORTEST, password.length()));
        }
        int bytes = password.getBytes(StandardCharsets.UTF_8).length;
        if (bytes > MOST_BYTES) {
            return Optional.of(
                    "Use at most %d letters and digits, other characters count double or more; these count %d."
                            .formatted(MOST_BYTES, bytes));
        }
        return GUESSES.measure(password, own).getScore() < LEAST_SCORE
                ? Optional.of(
                        "That one is guessed among the first. Put three or four words together that have nothing to do with each other.")
                : Optional.empty();
    }

    /**
     * A sign-in name as it is kept, compared and counted: one form of every letter, lower case, without the characters that nobody
     * sees and no database keeps.
     */
    public static String login(String typed) {
        String text = typed == null ? "" : UNSEEN.matcher(typed).replaceAll("").strip();
        String short60 = text.substring(0, Math.min(LONGEST_LOGIN, text.length()));
        return Normalizer.normalize(short60, Normalizer.Form.NFKC).toLowerCase(Locale.ROOT);
    }

    /** Whether a text has characters that nobody sees. */
    public static boolean hidesSomething(String typed) {
        return UNSEEN.matcher(typed).find();
    }

    /** Whether a sign-in name is letters, digits and . _ @ + - only. */
    public static boolean isLogin(String login) {
        return LOGIN.matcher(login).matches();
    }
}
