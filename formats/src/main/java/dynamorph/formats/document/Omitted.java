package dynamorph.formats.document;

import dynamorph.formats.message.Messages;
import java.util.Locale;

/** What of a document does not come along, or comes as something else. */
enum Omitted {
  PICTURE,
  NOTE,
  COMMENT,
  DELETED_TEXT,
  LINK_ADDRESS,
  TABLE,
  TEXT_BOX,
  CONTENTS,
  FORMULA,
  HIDDEN_TEXT,
  HIGHLIGHT,
  SYMBOL,
  JOINED_LINES;

  /** What people are told of it. */
  String told(int count) {
    return Messages.of("omitted." + name().toLowerCase(Locale.ROOT).replace('_', '-'), count);
  }
}
