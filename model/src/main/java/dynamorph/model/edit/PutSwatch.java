package dynamorph.model.edit;

import dynamorph.model.Project;
import dynamorph.model.style.Swatch;

/** Puts a swatch into the palette, or changes it; everything painted with it changes too. */
public record PutSwatch(Swatch swatch) implements Edit {
  @Override
  public Project applyTo(Project before) {
    return before.withPalette(before.palette().with(swatch));
  }

  @Override
  public String label(Project before) {
    boolean known = before.palette().find(swatch.id()).isPresent();
    return (known ? "Change" : "Add") + " swatch \"" + swatch.name() + "\"";
  }
}
