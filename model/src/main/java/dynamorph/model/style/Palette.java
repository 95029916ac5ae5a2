package dynamorph.model.style;

import dynamorph.model.message.Messages;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The swatches of a project, in order. */
public record Palette(List<Swatch> swatches) {
  public static final Palette EMPTY = new Palette(List.of());

  public Palette {
    swatches = List.copyOf(swatches);
    long different = swatches.stream().map(Swatch::id).distinct().count();
    if (different != swatches.size()) {
      throw new IllegalArgumentException(Messages.of("palette.two-swatches-have-the-same-id"));
    }
  }

  public Optional<Swatch> find(String id) {
    return swatches.stream().filter(swatch -> swatch.id().equals(id)).findFirst();
  }

  /** The colour to paint with; a swatch that is gone paints black, and validation tells. */
  public Rgba colour(Colour colour) {
    return switch (colour) {
      case Colour.Literal literal -> literal.value();
      case Colour.SwatchReference reference ->
          find(reference.swatch()).map(Swatch::colour).orElse(Rgba.BLACK);
    };
  }

  /** With a swatch put in, or replaced where it stands. */
  public Palette with(Swatch swatch) {
    List<Swatch> changed = new ArrayList<>(swatches);
    int at = swatches.stream().map(Swatch::id).toList().indexOf(swatch.id());
    if (at < 0) {
      changed.add(swatch);
    } else {
      changed.set(at, swatch);
    }
    return new Palette(changed);
  }

  public Palette without(String id) {
    return new Palette(swatches.stream().filter(swatch -> !swatch.id().equals(id)).toList());
  }
}
