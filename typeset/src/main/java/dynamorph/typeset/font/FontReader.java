package dynamorph.typeset.font;

import dynamorph.typeset.message.Messages;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.FontMgr;
import io.github.humbleui.skija.Typeface;
import org.jspecify.annotations.Nullable;

/** Reads font files of unknown origin. */
final class FontReader {
  private static final int MOST_OF_NAME = 80;

  private FontReader() {}

  /**
   * The font of a file. The caller closes it.
   *
   * @param file to be named in the error
   * @throws DamagedFontException if it is empty or no font
   */
  static Typeface read(String file, byte[] bytes) {
    if (bytes.length == 0) {
      throw new DamagedFontException(file, Messages.of("font-library.the-font-is-empty-0-bytes"));
    }
    try (Data data = Data.makeFromBytes(bytes)) {
      Typeface typeface = FontMgr.getDefault().makeFromData(data);
      if (typeface == null) {
        throw new DamagedFontException(file, Messages.of("font-library.this-is-not-a-font-that"));
      }
      return typeface;
    }
  }

  /** What a font calls its family; one without a name goes by that of its file. */
  static String family(Typeface typeface, String file) {
    @Nullable String name = typeface.getFamilyName();
    if (name != null && !name.isBlank()) {
      return name.length() > MOST_OF_NAME ? name.substring(0, MOST_OF_NAME) : name;
    }
    String own = file.substring(file.lastIndexOf('/') + 1);
    int dot = own.lastIndexOf('.');
    return dot > 0 ? own.substring(0, dot) : own;
  }
}
