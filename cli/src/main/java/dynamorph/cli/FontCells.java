package dynamorph.cli;

import dynamorph.formats.captions.CellHeights;
import dynamorph.model.Asset;
import dynamorph.model.cascade.FontRequest;
import dynamorph.typeset.font.FontLibrary;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The cells of the fonts at hand, which are opened when the first is asked for. */
final class FontCells implements CellHeights, AutoCloseable {
  private final List<Asset> assets;
  private @Nullable FontLibrary fonts;
  private CellHeights cells = CellHeights.USUAL;

  FontCells(List<Asset> assets) {
    this.assets = assets;
  }

  @Override
  public double of(FontRequest wish) {
    if (fonts == null) {
      fonts = FontLibrary.forProject(assets);
      cells = CellHeights.of(fonts);
    }
    return cells.of(wish);
  }

  @Override
  public void close() {
    if (fonts != null) {
      fonts.close();
    }
  }
}
