package dynamorph.model.export;

import dynamorph.model.message.Messages;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How files are named: words, and in braces what differs from file to file, such as {@code
 * {project} {artboard}}.
 *
 * @param text not blank
 */
public record FileNamePattern(String text) {
  public static final String PROJECT = "project";
  public static final String ARTBOARD_NAME = "artboard";
  public static final String NUMBER = "number";
  public static final String SIZE = "size";
  public static final String RESOLUTION = "resolution";

  /** What can stand in braces. */
  public static final List<String> FIELDS =
      List.of(PROJECT, ARTBOARD_NAME, NUMBER, SIZE, RESOLUTION);

  private static final Pattern FIELD = Pattern.compile("\\{([^{}]*)}");

  /** What some file system does not take in names. */
  private static final Pattern FORBIDDEN = Pattern.compile("[\\p{Cntrl}<>:\"/\\\\|?*]+");

  /** Names that stand for devices on one system, with any end. */
  private static final Pattern DEVICE =
      Pattern.compile("(?i)(con|prn|aux|nul|com\\d|lpt\\d)(\\..*)?");

  /** Bytes that a name may have on most file systems, less the end and a number. */
  private static final int MOST_BYTES = 200;

  /** The name of the artboard alone. */
  public static final FileNamePattern ARTBOARD = new FileNamePattern("{artboard}");

  public FileNamePattern {
    if (text.isBlank()) {
      throw new IllegalArgumentException(Messages.of("file-name-pattern.give-files-a-name"));
    }
    Matcher field = FIELD.matcher(text);
    while (field.find()) {
      if (!FIELDS.contains(field.group(1).strip().toLowerCase(Locale.ROOT))) {
        throw new IllegalArgumentException(
            Messages.of(
                "file-name-pattern.expected-one-of", field.group(1), String.join(", ", FIELDS)));
      }
    }
  }

  /**
   * The name of one file, without its end; any system takes it.
   *
   * @param values of the fields, by their names
   */
  public String name(Map<String, String> values) {
    String filled =
        FIELD
            .matcher(text)
            .replaceAll(field ->
                Matcher.quoteReplacement(
                    values.getOrDefault(field.group(1).strip().toLowerCase(Locale.ROOT), "")));
    return safe(filled);
  }

  /** A name that any file system takes. */
  public static String safe(String name) {
    String plain = FORBIDDEN.matcher(name).replaceAll("-").strip().replaceAll("^\\.+|[. ]+$", "");
    String taken = plain.isBlank() ? "-" : plain;
    String own = DEVICE.matcher(taken).matches() ? taken + "-" : taken;
    while (own.getBytes(java.nio.charset.StandardCharsets.UTF_8).length > MOST_BYTES) {
      own = own.substring(0, own.offsetByCodePoints(own.length(), -1));
    }
    return own.strip();
  }
}
