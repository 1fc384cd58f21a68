package app.narrowgate.server.backup;

import java.io.IOException;
import java.io.OutputStream;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Counts what goes through it, and tells its SHA-256 at the end. What closes it leaves the stream below open. */
final class Digested extends OutputStream {

    private final DigestOutputStream below;
    private long bytes;

    Digested(OutputStream below) {
        this.below = new DigestOutputStream(below, sha256());
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }

    @Override
    public void write(int one) throws IOException {
        below.write(one);
        bytes++;
    }

    @Override
    public void write(byte[] many, int from, int length) throws IOException {
        below.write(many, from, length);
        bytes += length;
    }

    @Override
    public void flush() throws IOException {
        below.flush();
    }

    long bytes() {
        return bytes;
    }

    /** In hexadecimal digits; to be asked once. */
    String digest() {
        return HexFormat.of().formatHex(below.getMessageDigest().digest());
    }
}
