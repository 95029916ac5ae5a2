package dynamorph.typeset.shape;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import com.ibm.icu.lang.UScript;
import com.ibm.icu.text.Bidi;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.font.FontMatch;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Cuts a paragraph into runs of one span, face, script and bidi level. Scripts after UAX #24:
 * common and inherited characters take the script before them, at the beginning the one that
 * follows. A combining mark stays in the face of its base.
 */
final class Itemizer {
  /** A run to shape: from the end of the one before up to {@code end}. */
  record Item(int end, int span, FontFace face, boolean slanted, int script, int level) {}

  private final FontLibrary fonts;
  private final Set<String> missingFamilies;
  private final Set<Integer> missingGlyphs;

  Itemizer(FontLibrary fonts, Set<String> missingFamilies, Set<Integer> missingGlyphs) {
    this.fonts = fonts;
    this.missingFamilies = missingFamilies;
    this.missingGlyphs = missingGlyphs;
  }

  List<Item> items(CaseMapping shown, List<ShapeKey.SpanType> spans, Optional<Bidi> bidi) {
    String text = shown.text();
    List<Item> items = new ArrayList<>();
    int span = 0;
    int script = firstScript(text);
    FontFace face = null;
    for (int at = 0; at < text.length(); ) {
      while (at >= shown.spanEnds()[span]) {
        span++;
        face = null;
      }
      int codePoint = text.codePointAt(at);
      int next = at + Character.charCount(codePoint);
      FontMatch match = match(spans.get(span));
      script = script(codePoint, script);
      face = face(codePoint, match, face);
      int level = bidi.isPresent() ? bidi.get().getLevelAt(at) : 0;
      boolean slanted = match.slanted() && face == match.face();
      add(items, new Item(next, span, face, slanted, script, level));
      at = next;
    }
    return items;
  }

  private static void add(List<Item> items, Item item) {
    if (!items.isEmpty()) {
      Item last = items.getLast();
      boolean same =
          last.span == item.span
              && last.face == item.face
              && last.script == item.script
              && last.level == item.level;
      if (same) {
        items.removeLast();
      }
    }
    items.add(item);
  }

  private FontMatch match(ShapeKey.SpanType span) {
    FontMatch match = fonts.match(span.family(), span.weight(), span.slant());
    if (match.substituted()) {
      missingFamilies.add(span.family());
    }
    return match;
  }

  private FontFace face(int codePoint, FontMatch match, FontFace before) {
    boolean joins =
        before != null
            && (UCharacter.hasBinaryProperty(codePoint, UProperty.GRAPHEME_EXTEND)
                || codePoint == 0x200D
                || UCharacter.hasBinaryProperty(codePoint, UProperty.DEFAULT_IGNORABLE_CODE_POINT));
    if (joins && before.covers(codePoint) || joins && isInvisible(codePoint)) {
      return before;
    }
    if (match.face().covers(codePoint) || isInvisible(codePoint)) {
      return match.face();
    }
    Optional<FontFace> fallback = fonts.fallback(codePoint, match.face());
    if (fallback.isEmpty()) {
      missingGlyphs.add(codePoint);
    }
    return fallback.orElse(match.face());
  }

  /** Characters that draw nothing need no glyph of their own. */
  private static boolean isInvisible(int codePoint) {
    return Character.isISOControl(codePoint)
        || codePoint == 0x2028
        || UCharacter.hasBinaryProperty(codePoint, UProperty.DEFAULT_IGNORABLE_CODE_POINT);
  }

  private static int script(int codePoint, int before) {
    int own = UScript.getScript(codePoint);
    return own == UScript.COMMON || own == UScript.INHERITED ? before : own;
  }

  private static int firstScript(String text) {
    return text.codePoints()
        .map(UScript::getScript)
        .filter(script -> script != UScript.COMMON && script != UScript.INHERITED)
        .findFirst()
        .orElse(UScript.LATIN);
  }
}
