package dynamorph.formats.captions;

import dynamorph.model.cascade.FontRequest;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.font.FontMatch;

/** How high the cells of faces are, which the sizes of some formats count instead of ems. */
@FunctionalInterface
public interface CellHeights {
  /** That of most text faces, for faces that are not at hand. */
  double COMMON = 1.15;

  CellHeights USUAL = _ -> COMMON;

  /** Height of a cell in em. */
  double of(FontRequest wish);

  /** Those of the fonts of a library. */
  static CellHeights of(FontLibrary fonts) {
    return wish -> {
      FontMatch match = fonts.match(wish);
      return match.substituted() ? COMMON : match.face().cellHeight();
    };
  }
}
