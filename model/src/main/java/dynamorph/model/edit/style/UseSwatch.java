package dynamorph.model.edit.style;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Recoloured;
import dynamorph.model.message.Messages;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.function.UnaryOperator;

/**
 * Paints with a swatch wherever a colour is written out.
 *
 * @param colour as it is written out
 * @param swatch id of the swatch
 */
public record UseSwatch(Rgba colour, String swatch) implements Edit {
  @Override
  public Project applyTo(Project before) {
    if (before.palette().find(swatch).isEmpty()) {
      throw new EditRefused(Messages.of("delete-swatch.the-swatch-is-no-longer-in"));
    }
    Colour from = Colour.of(colour);
    UnaryOperator<Colour> change = one -> one.equals(from) ? Colour.swatch(swatch) : one;
    StyleBook styles = before.styles();
    for (Style style : before.styles().list()) {
      var values = Recoloured.values(style.properties(), change);
      styles = values == style.properties() ? styles : styles.with(style.withProperties(values));
    }
    return before
        .withStyles(styles)
        .mapArtboards(board -> board.withBackground(change.apply(board.background())))
        .mapCaptions(track -> track.withLocal(Recoloured.values(track.local(), change)))
        .mapLayers(layer -> Recoloured.layer(layer, change));
  }

  @Override
  public String label(Project before) {
    return Messages.of(
        "use-swatch.use", before.palette().find(swatch).map(Swatch::name).orElse(swatch));
  }
}
