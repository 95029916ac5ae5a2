package dynamorph.shelf.follow;

import dynamorph.model.Project;
import dynamorph.model.edit.Recoloured;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleReferences;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * The names that styles and swatches have in a project and on a shelf. Two styles can be compared
 * once their bases and swatches are called the same.
 */
final class Terms {
  private final Project project;
  private final Map<StyleId, String> entryOfStyle = new HashMap<>();
  private final Map<String, String> entryOfSwatch = new HashMap<>();
  private final Map<String, StyleId> styleOfEntry = new HashMap<>();
  private final Map<String, String> swatchOfEntry = new HashMap<>();

  Terms(Project project, String shelf) {
    this.project = project;
    for (Style style : project.styles().list()) {
      style
          .origin()
          .filter(origin -> origin.shelf().equals(shelf))
          .ifPresent(origin -> link(style.id(), origin));
    }
    for (Swatch swatch : project.palette().swatches()) {
      swatch
          .origin()
          .filter(origin -> origin.shelf().equals(shelf))
          .ifPresent(origin -> linkSwatch(swatch.id(), origin.entry()));
    }
  }

  private void link(StyleId style, Origin origin) {
    entryOfStyle.put(style, origin.entry());
    styleOfEntry.putIfAbsent(origin.entry(), style);
  }

  void link(StyleId style, String entry) {
    entryOfStyle.put(style, entry);
    styleOfEntry.putIfAbsent(entry, style);
  }

  void linkSwatch(String swatch, String entry) {
    entryOfSwatch.put(swatch, entry);
    swatchOfEntry.putIfAbsent(entry, swatch);
  }

  Optional<String> entry(StyleId style) {
    return Optional.ofNullable(entryOfStyle.get(style));
  }

  Optional<StyleId> style(String entry) {
    return Optional.ofNullable(styleOfEntry.get(entry));
  }

  Optional<String> swatch(String entry) {
    return Optional.ofNullable(swatchOfEntry.get(entry));
  }

  /**
   * A style of the project as the shelf would have it. A swatch that the shelf does not know is the
   * colour it stands for.
   */
  Style onShelf(Style style, String entry) {
    return style
        .withId(new StyleId(entry))
        .withBasedOn(style.basedOn().flatMap(this::entry).map(StyleId::new))
        .withProperties(
            StyleReferences.mapped(
                Recoloured.values(style.properties(), this::onShelf),
                nested -> entry(nested).map(StyleId::new)))
        .withOrigin(Optional.empty());
  }

  private Colour onShelf(Colour colour) {
    return switch (colour) {
      case Colour.SwatchReference(String swatch) ->
          Optional.ofNullable(entryOfSwatch.get(swatch))
              .map(Colour::swatch)
              .orElseGet(() -> Colour.of(project.palette().colour(colour)));
      case Colour.Literal literal -> literal;
    };
  }

  /** A style of the shelf as the project would have it, where its swatches have come already. */
  Style inProject(Style style, StyleId id) {
    return style
        .withId(id)
        .withBasedOn(style.basedOn().flatMap(base -> style(base.value())))
        .withProperties(
            StyleReferences.mapped(
                Recoloured.values(style.properties(), this::inProject),
                nested -> style(nested.value())));
  }

  Colour inProject(Colour colour) {
    return colour instanceof Colour.SwatchReference(String swatch)
        ? swatch(swatch).map(Colour::swatch).orElse(colour)
        : colour;
  }
}
