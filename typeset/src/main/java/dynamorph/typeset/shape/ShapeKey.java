package dynamorph.typeset.shape;

import dynamorph.model.cascade.FontRequest;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.value.EastAsianBreaks;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.Kerning;
import dynamorph.model.value.PunctuationSpacing;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.TateChuYoko;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.TextDirection;
import dynamorph.model.value.TextOrientation;
import java.util.ArrayList;
import java.util.List;

/**
 * What a shaped paragraph depends on. Size, leading, the amount of tracking and everything else
 * that only moves finished glyphs are not part of it.
 */
public record ShapeKey(String text, List<SpanType> spans, Flow flow) {
  /**
   * How a paragraph runs.
   *
   * @param scriptSpacing whether East Asian letters keep a little distance from others
   * @param punctuation how much white full-width signs keep
   * @param fallback whether letters that a face lacks are taken from another
   * @param vertical whether its lines are
   */
  public record Flow(
      TextDirection direction,
      EastAsianBreaks breaks,
      boolean scriptSpacing,
      PunctuationSpacing punctuation,
      boolean fallback,
      boolean vertical) {
    public static final Flow NATURAL =
        new Flow(
            TextDirection.AUTOMATIC,
            EastAsianBreaks.STRICT,
            false,
            PunctuationSpacing.TRIM_ADJACENT,
            true,
            false);

    public static Flow of(ParagraphLook look, boolean fallback, boolean vertical) {
      return new Flow(
          look.breaking().direction(),
          look.breaking().eastAsian(),
          look.breaking().scriptSpacing(),
          look.breaking().punctuation(),
          fallback,
          vertical);
    }
  }

  /**
   * The type of one span.
   *
   * @param length UTF-16 units of the text
   * @param tracked whether letters are spaced out, which forbids ligatures
   * @param orientation how letters stand in vertical lines
   * @param combined what is set across a vertical line
   * @param joined whether the letters are shaped together with those of the span before, from which
   *     they differ in nothing that chooses or moves glyphs
   */
  public record SpanType(
      int length,
      FontRequest font,
      boolean tracked,
      Kerning kerning,
      TextCase textCase,
      ScriptPosition position,
      FeatureSettings features,
      TextOrientation orientation,
      TateChuYoko combined,
      String language,
      boolean joined) {
    public static SpanType of(int length, TypeLook look) {
      return new SpanType(
          length,
          look.font(),
          look.spacing().letterExtra() != 0,
          look.spacing().kerning(),
          look.forms().textCase(),
          look.forms().position(),
          look.forms().features(),
          look.forms().orientation(),
          look.forms().combined(),
          look.language(),
          false);
    }

    /** The types of spans one after another; where only paint changes, the letters stay joined. */
    public static List<SpanType> of(List<Integer> lengths, List<TypeLook> looks) {
      List<SpanType> types = new ArrayList<>(looks.size());
      for (int index = 0; index < looks.size(); index++) {
        SpanType type = of(lengths.get(index), looks.get(index));
        boolean joined =
            index > 0
                && looks.get(index).size() == looks.get(index - 1).size()
                && looks.get(index).spacing().baselineShift()
                    == looks.get(index - 1).spacing().baselineShift()
                && type.combined() == TateChuYoko.NONE
                && types.getLast().isLike(type);
        types.add(joined ? type.joined(true) : type);
      }
      return List.copyOf(types);
    }

    private boolean isLike(SpanType other) {
      return joined(false).withLength(0).equals(other.joined(false).withLength(0));
    }

    private SpanType joined(boolean wanted) {
      return with(length, wanted);
    }

    /** The same type for another number of units. */
    public SpanType withLength(int units) {
      return with(units, joined);
    }

    private SpanType with(int units, boolean together) {
      return new SpanType(
          units,
          font,
          tracked,
          kerning,
          textCase,
          position,
          features,
          orientation,
          combined,
          language,
          together);
    }
  }

  public ShapeKey {
    spans = List.copyOf(spans);
  }

  /** Told apart by the words alone, since the rest rarely differs by itself. */
  @Override
  public int hashCode() {
    return text.hashCode() * 31 + spans.size();
  }

  public ShapeKey(String text, List<SpanType> spans) {
    this(text, spans, Flow.NATURAL);
  }

  /** A stretch of this paragraph on its own, with something put behind it in the last type. */
  public ShapeKey part(int start, int end, String behind) {
    List<SpanType> parts = new ArrayList<>();
    int from = 0;
    for (SpanType span : spans) {
      int to = from + span.length();
      int units = Math.min(to, end) - Math.max(from, start);
      parts.add(span.withLength(Math.max(0, units)));
      from = to;
    }
    int last = parts.size() - 1;
    while (last > 0 && parts.get(last).length() == 0) {
      last--;
    }
    parts.set(last, parts.get(last).withLength(parts.get(last).length() + behind.length()));
    return new ShapeKey(text.substring(start, end) + behind, parts, flow);
  }
}
