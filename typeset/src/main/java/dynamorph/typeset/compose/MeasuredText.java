package dynamorph.typeset.compose;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.text.RubyBase;
import dynamorph.typeset.shape.ShapedParagraph;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A shaped paragraph and what was found out about it since, for the settings that it had last. A
 * change of width, size or spacing finds everything here that does not depend on it.
 *
 * @param places where its lines may end
 * @param cores its widths at a size of 1
 * @param measured its widths at its size
 */
record MeasuredText(
    ShapedParagraph shaped,
    RecentCache<PlacesKey, Breakpoints> places,
    RecentCache<CoreKey, Core> cores,
    RecentCache<MeasuredKey, Measured> measured) {

  static MeasuredText of(ShapedParagraph shaped) {
    return new MeasuredText(
        shaped, new RecentCache<>(2), new RecentCache<>(2), new RecentCache<>(4));
  }

  /** What the places where lines may end depend on. */
  record PlacesKey(ParagraphLook.Hyphenation hyphenation, List<RubyBase> ruby) {}

  /** What widths at a size of 1 depend on. */
  record CoreKey(
      List<TypeLook> looks,
      ParagraphLook.Justification justification,
      ParagraphLook.Hanging hanging,
      ParagraphLook.Hyphenation hyphenation,
      boolean justified,
      int first,
      List<RubyBase> ruby) {
    PlacesKey places() {
      return new PlacesKey(hyphenation, ruby);
    }
  }

  /** Widths at a size of 1, which hold for every size. */
  record Core(WidthSums measures, LineWidths model) {}

  /** What everything about a paragraph depends on, but for its measure. */
  record MeasuredKey(ParagraphKey paragraph, String mark) {}

  /**
   * Everything about a paragraph that does not depend on its measure.
   *
   * @param tabs null if it has none
   */
  record Measured(
      WidthSums measures,
      ParagraphStart start,
      @Nullable Tabs tabs,
      LineWidths model,
      RecentCache<Columns, ComposedParagraph> composed) {

    Measured(WidthSums measures, ParagraphStart start, @Nullable Tabs tabs, LineWidths model) {
      this(measures, start, tabs, model, new RecentCache<>(4));
    }
  }

  /**
   * What a paragraph is set in.
   *
   * @param measure line width for breaking; endless for text that is not wrapped
   * @param width of the column that the lines are set in
   */
  record Columns(double measure, double width) {}
}
