package dynamorph.model.edit.style;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.style.Swatch;

/** Puts a swatch into the palette, or changes it; everything painted with it changes too. */
public record SetSwatch(Swatch swatch) implements Edit {
  @Override
  public Project applyTo(Project before) {
    return before.withPalette(before.palette().with(swatch));
  }

  @Override
  public String label(Project before) {
    boolean known = before.palette().find(swatch.id()).isPresent();
    return Messages.of(
        "set-swatch.swatch",
        (known ? Messages.of("set-swatch.change") : Messages.of("set-swatch.add")),
        swatch.name());
  }
}
