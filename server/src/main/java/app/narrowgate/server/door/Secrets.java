package app.narrowgate.server.door;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/** What opens something to whoever has it: random, told once, and stored only as a hash. */
public final class Secrets {

    private static final SecureRandom RANDOM = new SecureRandom();

    private Secrets() {
    }

    /** A secret of so many random bits, a multiple of eight, in letters that stand in an address as they are. */
    public static String fresh(int bits) {
        byte[] bytes = new byte[bits / Byte.SIZE];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /**
     * The SHA-256 of a secret, in hexadecimal digits. A secret is random and long, so that nothing slower is needed to keep it
     * from being guessed.
     */
    public static String hash(String secret) {
        try {
            return HexFormat.of().formatHex(
                    MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
