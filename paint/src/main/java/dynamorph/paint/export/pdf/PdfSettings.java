package dynamorph.paint.export.pdf;

import dynamorph.paint.message.Messages;
import java.time.ZonedDateTime;

/**
 * How a document is made.
 *
 * @param title of the document
 * @param language of what has no other, as a BCP 47 tag
 * @param bleed how far pages go on beyond the trim, in points, from 0 to 144
 * @param cropMarks whether the corners of the trim are marked outside of the bleed
 * @param made when, as its metadata says
 */
public record PdfSettings(
    String title, String language, double bleed, boolean cropMarks, ZonedDateTime made) {
  /** The widest bleed, in points. */
  public static final double MOST_BLEED = 144;

  public PdfSettings {
    if (!(bleed >= 0 && bleed <= MOST_BLEED)) {
      throw new IllegalArgumentException(
          Messages.of("pdf-settings.bleed-expected-points-from-0", bleed, MOST_BLEED));
    }
  }

  /** A document of pages that are not trimmed. */
  public static PdfSettings untrimmed(String title, String language, ZonedDateTime made) {
    return new PdfSettings(title, language, 0, false, made);
  }
}
