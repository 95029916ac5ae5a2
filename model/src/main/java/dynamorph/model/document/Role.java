package dynamorph.model.document;

import dynamorph.model.message.Messages;
import dynamorph.model.style.StyleLevel;
import java.util.Locale;

/** What a paragraph or some words are for in a document, whatever they look like. */
public enum Role {
  TITLE,
  SUBTITLE,
  HEADING_1,
  HEADING_2,
  HEADING_3,
  HEADING_4,
  HEADING_5,
  HEADING_6,
  BODY,
  BULLETED_LIST,
  NUMBERED_LIST,
  QUOTATION,
  PREFORMATTED,
  TABLE,
  CAPTION,
  /** A text of a drawing, whose look is all that is known of it. */
  DRAWN,
  OTHER,
  EMPHASIS,
  STRONG,
  CODE,
  LINK,
  OTHER_WORDS;

  /** What people call it. */
  public String label() {
    return Messages.of("role." + name().toLowerCase(Locale.ROOT).replace('_', '-'));
  }

  /** A heading by its level, 1 for the highest; deeper ones than the sixth are as the sixth. */
  public static Role heading(int level) {
    return values()[HEADING_1.ordinal() + Math.clamp(level, 1, 6) - 1];
  }

  public boolean isHeading() {
    return compareTo(HEADING_1) >= 0 && compareTo(HEADING_6) <= 0;
  }

  public boolean isList() {
    return this == BULLETED_LIST || this == NUMBERED_LIST;
  }

  /** Whether it is said of whole texts, of paragraphs or of words. */
  public StyleLevel level() {
    if (this == DRAWN) {
      return StyleLevel.TEXT;
    }
    return compareTo(EMPHASIS) < 0 ? StyleLevel.PARAGRAPH : StyleLevel.CHARACTER;
  }
}
