package dynamorph.typeset.shape;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import com.ibm.icu.lang.UScript;
import com.ibm.icu.text.Bidi;
import dynamorph.model.value.TextOrientation;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.font.FontMatch;
import dynamorph.typeset.harfbuzz.HarfBuzzShaper;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Cuts a paragraph into runs of one span, face, script and bidi level. Scripts after UAX #24:
 * common and inherited characters take the script before them, at the beginning the one that
 * follows. A combining mark stays in the face of its base, and a sequence of emoji in one face.
 */
final class Itemizer {
  /**
   * A run to shape: from the end of the one before up to {@code end}.
   *
   * @param span the first span of those whose letters are shaped together
   * @param across end of the group that is set across a vertical line; 0 for none
   */
  record Item(
      int end,
      int span,
      FontFace face,
      boolean slanted,
      boolean small,
      int script,
      int level,
      GlyphOrientation orientation,
      int across) {
    HarfBuzzShaper.Direction direction() {
      if (orientation == GlyphOrientation.UPRIGHT && across == 0) {
        return HarfBuzzShaper.Direction.TOP_TO_BOTTOM;
      }
      return (level & 1) == 1
          ? HarfBuzzShaper.Direction.RIGHT_TO_LEFT
          : HarfBuzzShaper.Direction.LEFT_TO_RIGHT;
    }
  }

  private final FontLibrary fonts;
  private final ShapeKey.Flow flow;
  private final Set<String> missingFamilies;
  private final Set<Integer> missingGlyphs;

  Itemizer(
      FontLibrary fonts,
      ShapeKey.Flow flow,
      Set<String> missingFamilies,
      Set<Integer> missingGlyphs) {
    this.fonts = fonts;
    this.flow = flow;
    this.missingFamilies = missingFamilies;
    this.missingGlyphs = missingGlyphs;
  }

  List<Item> items(
      CaseMapping shown,
      List<ShapeKey.SpanType> spans,
      List<ShapePlan> treatments,
      Optional<Bidi> bidi) {
    String text = shown.text();
    List<Item> items = new ArrayList<>();
    int span = 0;
    int shapedFrom = 0;
    int script = firstScript(text);
    @Nullable FontFace face = null;
    GlyphOrientation orientation = GlyphOrientation.HORIZONTAL;
    int[] across = flow.vertical() ? VerticalOrientation.groups(shown, spans) : new int[0];
    int emojiEnd = 0;
    for (int at = 0; at < text.length(); ) {
      while (at >= shown.spanEnds()[span]) {
        span++;
        if (!goesOn(spans, treatments, span)) {
          face = null;
          emojiEnd = at;
          shapedFrom = span;
        }
      }
      int codePoint = text.codePointAt(at);
      int next = at + Character.charCount(codePoint);
      boolean small = shown.small().get(at);
      ShapePlan treatment = treatments.get(span);
      FontMatch match = small ? treatment.smaller() : treatment.match();
      if (match.substituted()) {
        missingFamilies.add(spans.get(span).font().family());
      }
      script = script(codePoint, script);
      if (face == null || at >= emojiEnd) {
        Optional<EmojiSequence> emoji = EmojiSequence.at(text, at);
        emojiEnd = emoji.map(EmojiSequence::end).orElse(next);
        FontMatch asked = match;
        face =
            emoji
                .flatMap(sequence -> face(sequence, asked))
                .orElse(face(codePoint, match, face, script));
      }
      int level = bidi.isPresent() ? bidi.get().getLevelAt(at) : 0;
      boolean slanted = match.slanted() && face == match.face();
      int group = flow.vertical() ? across[at] : 0;
      if (flow.vertical() && !(at > 0 && joins(codePoint))) {
        TextOrientation wanted = spans.get(span).orientation();
        orientation =
            group > 0
                ? GlyphOrientation.UPRIGHT
                : VerticalOrientation.of(codePoint, wanted, face, script, level);
      }
      add(
          items,
          new Item(
              next,
              shapedFrom,
              face,
              slanted,
              small,
              script,
              group > 0 ? 0 : level,
              orientation,
              group));
      at = next;
    }
    return items;
  }

  /** Whether the letters of a span are shaped together with those before. */
  private static boolean goesOn(
      List<ShapeKey.SpanType> spans, List<ShapePlan> treatments, int span) {
    return spans.get(span).joined() && treatments.get(span).equals(treatments.get(span - 1));
  }

  private static void add(List<Item> items, Item item) {
    if (!items.isEmpty()) {
      Item last = items.getLast();
      boolean same =
          last.span == item.span
              && last.face == item.face
              && last.small == item.small
              && (last.script == item.script || item.across > 0)
              && last.level == item.level
              && last.orientation == item.orientation
              && last.across == item.across;
      if (same) {
        items.removeLast();
      }
    }
    items.add(item);
  }

  /** One face draws a sequence of emoji, or its parts would be seen apart. */
  private Optional<FontFace> face(EmojiSequence sequence, FontMatch match) {
    FontFace own = match.face();
    int[] signs = sequence.signs();
    boolean hasAll = IntStream.of(signs).allMatch(own::covers);
    if (hasAll && own.isColourful() == sequence.colourful()) {
      return Optional.of(own);
    }
    Optional<FontFace> found =
        flow.fallback()
            ? fonts.ofEmoji(signs, sequence.colourful(), match.wish())
            : Optional.empty();
    return found.or(() -> Optional.of(own).filter(_ -> hasAll));
  }

  private FontFace face(int codePoint, FontMatch match, @Nullable FontFace before, int script) {
    FontFace own = match.face();
    if (before == own && own.covers(codePoint)) {
      return own;
    }
    boolean unseen = Invisibles.isInvisible(codePoint);
    if (before != null && joins(codePoint) && (unseen || before.covers(codePoint))) {
      return before;
    }
    if (own.covers(codePoint) || unseen) {
      return own;
    }
    Optional<FontFace> found =
        flow.fallback()
            ? fonts.fallback(codePoint, match.wish(), UScript.getShortName(script))
            : Optional.empty();
    if (found.isEmpty()) {
      missingGlyphs.add(codePoint);
    }
    return found.orElse(own);
  }

  private static boolean joins(int codePoint) {
    return codePoint >= 0x300
        && (UCharacter.hasBinaryProperty(codePoint, UProperty.GRAPHEME_EXTEND)
            || codePoint == 0x200D
            || UCharacter.hasBinaryProperty(codePoint, UProperty.DEFAULT_IGNORABLE_CODE_POINT));
  }

  private static int script(int codePoint, int before) {
    if (codePoint < 0x80) {
      // the plain letters are Latin, everything else down here is common
      return codePoint >= 'A' && codePoint <= 'z' && Character.isLetter(codePoint)
          ? UScript.LATIN
          : before;
    }
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
