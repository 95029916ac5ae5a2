package dynamorph.formats.file;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Tells bytes from others by their hash (FIPS 180-4). */
public final class Sha256 {
  private Sha256() {}

  /** The hash in 64 hexadecimal digits. */
  public static String hex(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException("every JDK has SHA-256", impossible);
    }
  }

  /** The hash of a text in UTF-8. */
  public static String hex(String text) {
    return hex(text.getBytes(StandardCharsets.UTF_8));
  }
}
