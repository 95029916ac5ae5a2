package dynamorph.formats.message;

/** Keeps a message a line that can be read, whatever names and values are in it. */
public final class ShortText {
  /** How long a name or value inside may be, in characters. */
  private static final int LONGEST_WORD = 80;

  /** How long the whole may be, in characters. */
  private static final int LONGEST = 300;

  private static final String CUT = "\u2026";

  private ShortText() {}

  /** The message with every word and every quotation cut at 80 characters, and all on one line. */
  public static String of(String message) {
    StringBuilder text = new StringBuilder();
    int word = 0;
    int quotation = 0;
    boolean quoted = false;
    boolean cut = false;
    for (int at = 0; at < message.length() && text.length() < LONGEST; ) {
      int sign = message.codePointAt(at);
      at += Character.charCount(sign);
      if (sign == '"') {
        quoted = !quoted;
        quotation = 0;
      } else if (quoted) {
        quotation++;
      }
      word = Character.isWhitespace(sign) ? 0 : word + 1;
      boolean tooLong = word >= LONGEST_WORD || quotation >= LONGEST_WORD;
      if (!tooLong || sign == '"') {
        text.appendCodePoint(Character.isISOControl(sign) ? ' ' : sign);
      } else if (!cut) {
        text.append(CUT);
      }
      cut = tooLong;
    }
    return text.length() < LONGEST ? text.toString() : text.append(CUT).toString();
  }
}
