package dynamorph.typeset.font;

import dynamorph.model.value.Slant;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * A font file with what it serves.
 *
 * @param lightest the lightest weight, 1 to 1000
 * @param heaviest the heaviest; the same unless the font is variable
 * @param bytes of a TrueType or OpenType font; not to be changed
 */
public record FontCut(String family, double lightest, double heaviest, Slant slant, byte[] bytes) {
  /**
   * Whether the outlines are those of PostScript (OpenType, "Organization of an OpenType font").
   */
  public boolean isPostScript() {
    return bytes.length > 4 && new String(bytes, 0, 4, StandardCharsets.US_ASCII).equals("OTTO");
  }

  /** A name for the file that tells fonts apart, in lower case without spaces. */
  public String fileName() {
    String stem = family.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-");
    return stem
        + (lightest == heaviest ? "-" + Math.round(lightest) : "")
        + (slant == Slant.ITALIC ? "-italic" : "")
        + (isPostScript() ? ".otf" : ".ttf");
  }
}
