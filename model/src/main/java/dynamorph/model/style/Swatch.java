package dynamorph.model.style;

import dynamorph.model.message.Messages;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.Objects;
import java.util.Optional;

/**
 * A named colour of the palette; changing it changes everything painted with it.
 *
 * @param origin what it is on a shelf, if it came from one or was put there
 */
public record Swatch(String id, String name, Rgba colour, Optional<Origin> origin) {
  public Swatch {
    id = ((Colour.SwatchReference) Colour.swatch(id)).swatch();
    if (name.isBlank()) {
      throw new IllegalArgumentException(Messages.of("swatch.a-swatch-needs-a-name"));
    }
    Objects.requireNonNull(colour, "colour");
    Objects.requireNonNull(origin, "origin");
  }

  /** A swatch of the project alone. */
  public Swatch(String id, String name, Rgba colour) {
    this(id, name, colour, Optional.empty());
  }

  public Swatch withName(String changed) {
    return new Swatch(id, changed, colour, origin);
  }

  public Swatch withColour(Rgba changed) {
    return new Swatch(id, name, changed, origin);
  }

  public Swatch withOrigin(Optional<Origin> changed) {
    return new Swatch(id, name, colour, changed);
  }
}
