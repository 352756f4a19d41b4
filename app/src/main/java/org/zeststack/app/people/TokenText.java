package org.zeststack.app.people;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;

/** The text of a bearer token: 256 random bits; only its SHA-256 is kept. */
public final class TokenText {

    private static final int BYTES = 32;

    private TokenText() {}

    public static String random() {
        byte[] bytes = new byte[BYTES];
        new SecureRandom().nextBytes(bytes);
        return "zest-" + Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    public static byte[] hash(String token) {
        return sha256().digest(token.getBytes(StandardCharsets.UTF_8));
    }

    public static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
