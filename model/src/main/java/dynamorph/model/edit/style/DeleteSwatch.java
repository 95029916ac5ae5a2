package dynamorph.model.edit.style;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Recoloured;
import dynamorph.model.message.Messages;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Takes a swatch out of the palette.
 *
 * @param replacement the swatch that everything painted with it takes instead; without one it keeps
 *     its colour
 */
public record DeleteSwatch(String swatch, Optional<String> replacement) implements Edit {
  @Override
  public Project applyTo(Project before) {
    Swatch gone =
        before
            .palette()
            .find(swatch)
            .orElseThrow(
                () -> new EditRefused(Messages.of("delete-swatch.the-swatch-is-no-longer-in")));
    if (replacement.filter(swatch::equals).isPresent()) {
      throw new EditRefused(Messages.of("delete-swatch.a-swatch-cannot-be-replaced-by"));
    }
    Colour instead = replacement.<Colour>map(Colour::swatch).orElse(Colour.of(gone.colour()));
    UnaryOperator<Colour> change =
        colour -> colour.equals(Colour.swatch(swatch)) ? instead : colour;
    var styles = before.styles();
    for (var style : before.styles().list()) {
      styles = styles.with(style.withProperties(Recoloured.values(style.properties(), change)));
    }
    return before
        .withPalette(before.palette().without(swatch))
        .withStyles(styles)
        .mapArtboards(board -> board.withBackground(change.apply(board.background())))
        .mapCaptions(track -> track.withLocal(Recoloured.values(track.local(), change)))
        .mapLayers(layer -> Recoloured.layer(layer, change));
  }

  @Override
  public String label(Project before) {
    return Messages.of(
        "delete-swatch.delete-swatch", before.palette().find(swatch).map(Swatch::name).orElse(""));
  }
}
