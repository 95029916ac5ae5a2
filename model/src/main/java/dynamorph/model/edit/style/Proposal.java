package dynamorph.model.edit.style;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Address;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a new style made from a selection could hold: every value of the look, those that differ
 * from what the text would have without it, what it could be based on, and a name that says what it
 * is.
 *
 * @param source what it was taken from, as far as a style of the level goes
 * @param values all values at the level of the selection, those set by hand as they were set
 * @param different the keys that differ from what the style followed now, or else the base style,
 *     gives
 * @param basedOn the style followed now at that level, if any
 */
public record Proposal(
    Target source,
    StyleLevel level,
    PropertySet values,
    Set<PropertyKey<?>> different,
    Optional<StyleId> basedOn,
    String name,
    String group,
    String sample) {

  /** Reads the look of the first text of the target, at the level that the target has. */
  public static Proposal of(Project project, Target target) {
    return of(
        project,
        target,
        switch (target) {
          case Target.Layers _ -> StyleLevel.TEXT;
          case Target.Words _, Target.Passages _ ->
              target.isOfParagraphs() ? StyleLevel.PARAGRAPH : StyleLevel.CHARACTER;
        });
  }

  /** Reads the look of the first text, paragraph or letter of the target. */
  public static Proposal of(Project project, Target target, StyleLevel level) {
    Layer layer =
        target.layers().stream()
            .flatMap(id -> project.layer(id).stream())
            .findFirst()
            .orElseThrow(
                () -> new EditRefused(Messages.of("proposal.select-a-text-whose-look-shall")));
    int offset =
        switch (target) {
          case Target.Layers _ -> 0;
          case Target.Words words -> words.range().start();
          case Target.Passages several -> several.of(layer.id()).getFirst().range().start();
        };
    Target source =
        level == StyleLevel.TEXT && target.isWithinText()
            ? new Target.Layers(target.layers())
            : target;
    return switch (level) {
      case TEXT -> ofLayer(project, source, layer);
      case PARAGRAPH -> ofParagraph(project, source, layer, layer.story().paragraphAt(offset));
      case CHARACTER -> ofSpan(project, source, layer, offset + 1);
    };
  }

  private static Proposal ofLayer(Project project, Target source, Layer layer) {
    Cascade cascade = Cascade.of(project);
    PropertySet values = cascade.values(layer);
    List<StyleId> followed = last(layer.counting(layer.follows()));
    PropertySet without = cascade.values(layer.withLocal(PropertySet.EMPTY).withFollows(followed));
    return propose(
        project, source, StyleLevel.TEXT, values, layer.local(), without, followed, layer);
  }

  private static Proposal ofParagraph(Project project, Target source, Layer layer, int index) {
    Cascade cascade = Cascade.of(project);
    Paragraph paragraph = layer.story().paragraphs().get(index);
    PropertySet values = cascade.values(layer, paragraph);
    // what was set by hand on the whole text is part of how its paragraphs look
    PropertySet without =
        cascade.values(layer.withLocal(PropertySet.EMPTY), paragraph.withLocal(PropertySet.EMPTY));
    return propose(
        project,
        source,
        StyleLevel.PARAGRAPH,
        values,
        paragraph.local(),
        without,
        paragraph.follows().stream().toList(),
        layer);
  }

  private static Proposal ofSpan(Project project, Target source, Layer layer, int offset) {
    Cascade cascade = Cascade.of(project);
    Paragraph paragraph = layer.story().paragraphs().get(layer.story().paragraphAt(offset));
    Span span = layer.story().spanAt(offset);
    PropertySet values = cascade.values(layer, paragraph, span);
    PropertySet without = cascade.values(layer, paragraph, span.withLocal(PropertySet.EMPTY));
    return propose(
        project,
        source,
        StyleLevel.CHARACTER,
        values,
        span.local(),
        without,
        last(span.follows()),
        layer);
  }

  private static Proposal propose(
      Project project,
      Target source,
      StyleLevel level,
      PropertySet values,
      PropertySet local,
      PropertySet without,
      List<StyleId> followed,
      Layer layer) {
    PropertySet carried =
        values
            .overlaidBy(local)
            .where(key -> key.countsOn(level.level()) && level.carries(key.property()));
    Optional<StyleId> base =
        followed.stream().findFirst().filter(id -> project.styles().find(id).isPresent());
    PropertySet plain = base.isPresent() ? without : plain(project, level, layer);
    Set<PropertyKey<?>> different = new LinkedHashSet<>();
    for (PropertyKey<?> key : carried.keys()) {
      boolean placement = key.property().facet() == Facet.PLACEMENT;
      if (!placement && Coats.differ(key, values, plain)) {
        different.add(key);
      }
    }
    String group = base.map(id -> project.styles().get(id).group()).orElse("");
    String sample = layer.story().firstWords();
    return new Proposal(
        source, level, carried, different, base, name(project, values, layer, base), group, sample);
  }

  /** What the text would have if it followed nothing at this level. */
  private static PropertySet plain(Project project, StyleLevel level, Layer layer) {
    Cascade cascade = Cascade.of(project);
    Layer bare =
        switch (level) {
          case TEXT -> layer.withLocal(PropertySet.EMPTY).withFollows(List.of());
          case PARAGRAPH -> layer.withLocal(PropertySet.EMPTY);
          case CHARACTER -> layer;
        };
    return level == StyleLevel.TEXT ? cascade.values(bare) : cascade.values(bare, Paragraph.of(""));
  }

  private static List<StyleId> last(List<StyleId> follows) {
    return follows.isEmpty() ? List.of() : List.of(follows.getLast());
  }

  /**
   * A name out of role or base, face and colour: {@code Label title, copper}, {@code Anton title,
   * 48 pt}.
   */
  private static String name(
      Project project, PropertySet values, Layer layer, Optional<StyleId> base) {
    String colour = colourName(project, values);
    double size = Coats.value(values, Properties.SIZE.key()).over(0);
    String family = Coats.value(values, Properties.FONT_FAMILY.key());
    String start =
        base.map(id -> project.styles().get(id).name()).orElse(family + " " + role(size, layer));
    return Stream.of(
            start + ", " + colour,
            Messages.of("proposal.pt", start, Numbers.format(size, 1)),
            Messages.of("proposal.pt-2", start, colour, Numbers.format(size, 1)),
            Messages.of("proposal.pt-3", start, family, colour, Numbers.format(size, 2)))
        .filter(name -> project.styles().named(name).isEmpty())
        .findFirst()
        .orElseGet(() -> layer.story().firstWords() + ", " + colour);
  }

  private static String role(double size, Layer layer) {
    int length = layer.story().length();
    return length > 160 ? "body" : size >= 36 ? "title" : size >= 16 ? "heading" : "text";
  }

  /** The swatch nearest to the colour of the topmost coat, or a plain word for it. */
  private static String colourName(Project project, PropertySet values) {
    List<Address> coats = Coats.of(values, Address.FINISH);
    if (coats.isEmpty()) {
      return "unpainted";
    }
    Colour colour = Coats.value(values, Properties.COAT_COLOUR.at(coats.getLast()));
    Rgba rgba = project.palette().colour(colour);
    Optional<Swatch> nearest =
        project.palette().swatches().stream()
            .min(Comparator.comparingInt(swatch -> distance(swatch.colour(), rgba)))
            .filter(swatch -> distance(swatch.colour(), rgba) < 600);
    return nearest
        .map(swatch -> swatch.name().toLowerCase(Locale.ROOT))
        .orElseGet(() -> plainWord(rgba));
  }

  private static int distance(Rgba one, Rgba other) {
    int red = one.red() - other.red();
    int green = one.green() - other.green();
    int blue = one.blue() - other.blue();
    return red * red + green * green + blue * blue;
  }

  private static String plainWord(Rgba colour) {
    double most = Math.max(colour.red(), Math.max(colour.green(), colour.blue()));
    double least = Math.min(colour.red(), Math.min(colour.green(), colour.blue()));
    if (most - least < 24) {
      return most < 60 ? "black" : most > 220 ? "white" : "grey";
    }
    String lightness = most < 110 ? "dark " : least > 140 ? "light " : "";
    return lightness + HUES[(int) Math.round(hue(colour, most, most - least) / 30) % HUES.length];
  }

  private static final String[] HUES = {
    "red", "orange", "yellow", "lime", "green", "jade", "cyan", "azure", "blue", "violet",
    "magenta", "rose"
  };

  /** Hue in degrees. */
  private static double hue(Rgba colour, double most, double range) {
    double turn =
        most == colour.red()
            ? (colour.green() - colour.blue()) / range
            : most == colour.green()
                ? 2 + (colour.blue() - colour.red()) / range
                : 4 + (colour.red() - colour.green()) / range;
    return (turn * 60 + 360) % 360;
  }

  /** The style with these of its values. */
  public Style style(
      StyleId id, String chosenName, Set<PropertyKey<?>> included, Optional<StyleId> base) {
    return new Style(id, chosenName, group, level, base, values.where(included::contains), sample);
  }
}
