package dynamorph.model.style;

import dynamorph.model.message.Messages;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.Objects;

/** A named colour of the palette; changing it changes everything painted with it. */
public record Swatch(String id, String name, Rgba colour) {
  public Swatch {
    id = ((Colour.SwatchReference) Colour.swatch(id)).swatch();
    if (name.isBlank()) {
      throw new IllegalArgumentException(Messages.of("swatch.a-swatch-needs-a-name"));
    }
    Objects.requireNonNull(colour, "colour");
  }
}
