package dynamorph.typeset.layout;

import static java.util.Objects.requireNonNull;

import com.github.benmanes.caffeine.cache.Interner;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.Placement;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.typeset.compose.ParagraphKey;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * What a layout depends on: the words and what moves glyphs. Neither colour nor place is part of
 * it.
 *
 * @param measure of the lines of a box: its width, or its height if they are vertical
 * @param depth what a fixed box has for its lines, across them
 * @param from first unit of the story that is set; what is before it stands in other boxes
 * @param onward whether what finds no room goes on in another box
 */
record LayoutKey(
    List<ParagraphKey> paragraphs,
    BoxFit fit,
    double measure,
    double depth,
    Placement.Inside inside,
    int from,
    boolean onward) {
  /** Equal looks are one object, so that keys are told equal at a glance. */
  private static final Interner<List<TypeLook>> TYPES = Interner.newWeakInterner();

  private static final Interner<ParagraphLook> SETTINGS = Interner.newWeakInterner();

  /**
   * @param sized chooses the optical size of a look
   */
  static LayoutKey of(
      Story story, ResolvedLayer resolved, boolean fallback, UnaryOperator<TypeLook> sized) {
    List<ParagraphKey> paragraphs = new ArrayList<>(story.paragraphs().size());
    ResolvedLayer.ResolvedParagraph before = null;
    List<TypeLook> types = List.of();
    boolean vertical = resolved.placement().inside().mode().isVertical();
    @Nullable ParagraphLook settings = null;
    for (int index = 0; index < story.paragraphs().size(); index++) {
      Paragraph paragraph = story.paragraphs().get(index);
      ResolvedLayer.ResolvedParagraph look = resolved.paragraphs().get(index);
      // paragraphs that look alike share what was resolved
      if (look != before) {
        types = types(look.spans(), sized);
        settings = SETTINGS.intern(look.look());
        before = look;
      }
      paragraphs.add(
          new ParagraphKey(
              paragraph.text(),
              lengths(paragraph.spans()),
              types,
              requireNonNull(settings),
              paragraph.rubyBases(),
              fallback,
              vertical,
              0));
    }
    Placement placement = resolved.placement();
    boolean point = placement.fit() == BoxFit.POINT;
    boolean high = placement.fit() == BoxFit.FIXED || placement.fit() == BoxFit.SHRINK;
    return new LayoutKey(
        paragraphs,
        placement.fit(),
        point ? 0 : vertical ? placement.height() : placement.width(),
        high ? vertical ? placement.width() : placement.height() : 0,
        placement.inside(),
        0,
        false);
  }

  /**
   * One of the boxes that a story flows through; from one that has all the room it needs nothing
   * goes on.
   */
  LayoutKey part(int first, boolean goesOn) {
    return new LayoutKey(paragraphs, fit, measure, depth, inside, first, goesOn && isHigh());
  }

  private static List<TypeLook> types(List<CharacterLook> spans, UnaryOperator<TypeLook> sized) {
    return TYPES.intern(spans.stream().map(CharacterLook::type).map(sized).toList());
  }

  private static List<Integer> lengths(List<Span> spans) {
    return spans.size() == 1
        ? List.of(spans.getFirst().length())
        : spans.stream().map(Span::length).toList();
  }

  /** Whether its height is given, so that some of the text may find no room. */
  boolean isHigh() {
    return fit == BoxFit.FIXED || fit == BoxFit.SHRINK;
  }

  boolean isPoint() {
    return fit == BoxFit.POINT;
  }

  /** The same at a share of its size. */
  LayoutKey scaled(double by) {
    return new LayoutKey(
        paragraphs.stream().map(paragraph -> paragraph.scaled(by)).toList(),
        fit,
        measure,
        depth,
        inside,
        from,
        onward);
  }
}
