package dynamorph.model.random;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.pcollections.TreePVector;

/**
 * Projects as they come: every text has the look of one of some known styles, typed by hand, and
 * follows nothing. Noise of strength 1 moves sizes by up to 1.5 %, channels of colours by up to 2
 * of 255, and tracking by up to 3 thousandths, each with one text in three; values are set on the
 * layer, on its paragraphs or on its spans, as it happens; one paragraph in four has words of
 * another weight in it, and the first of three has space after it.
 */
public final class MessyProjects {
  private static final List<String> FAMILIES =
      List.of("EB Garamond", "Source Sans 3", "Barlow Condensed", "Caveat");
  private static final double[] SIZES = {9, 11, 14, 18, 24, 32, 44, 60, 84};
  private static final double[] WEIGHTS = {400, 700};
  private static final int[][] COLOURS = {
    {34, 48, 59}, {180, 70, 20}, {30, 90, 70}, {120, 120, 120}, {20, 20, 20}
  };
  private static final PropertyKey<Colour> FILL = Properties.COAT_COLOUR.at(Address.coat("fill"));

  private final SplittableRandom random;
  private final double noise;

  /**
   * @param noise its strength, from 0
   */
  public MessyProjects(long seed, double noise) {
    this.random = new SplittableRandom(seed);
    this.noise = noise;
  }

  /**
   * A project and what is known of it.
   *
   * @param styleOf by layer id, the number of the style that its look was made from
   */
  public record Messy(Project project, Map<String, Integer> styleOf) {}

  /** A project with some texts in some looks. */
  public Messy project(int texts, int looks) {
    List<PropertySet> styles = styles(looks);
    Map<String, Integer> styleOf = new HashMap<>();
    List<Layer> layers = new ArrayList<>();
    for (int index = 0; index < texts; index++) {
      int style = index < 5 * looks ? index % looks : random.nextInt(looks);
      String id = "t" + index;
      styleOf.put(id, style);
      layers.add(text(id, noisy(styles.get(style))));
    }
    Artboard board =
        Artboard.empty("a", "As it came", 2000, 2000, LengthUnit.POINT)
            .withLayers(TreePVector.from(layers));
    return new Messy(Project.empty("Messy").plus(board), styleOf);
  }

  /** Looks that differ by more than noise: in family, size, weight or colour. */
  private List<PropertySet> styles(int count) {
    List<PropertySet> all = new ArrayList<>();
    for (String family : FAMILIES) {
      for (double size : SIZES) {
        for (double weight : WEIGHTS) {
          for (int[] colour : COLOURS) {
            all.add(
                PropertySet.EMPTY
                    .with(Properties.FONT_FAMILY, family)
                    .with(Properties.SIZE, FontSize.points(size))
                    .with(Properties.FONT_WEIGHT, weight)
                    .with(Properties.TRACKING, (double) random.nextInt(3) * 20)
                    .with(FILL, Colour.of(Rgba.of(colour[0], colour[1], colour[2]))));
          }
        }
      }
    }
    List<PropertySet> chosen = new ArrayList<>();
    while (chosen.size() < count) {
      chosen.add(all.remove(random.nextInt(all.size())));
    }
    return chosen;
  }

  private PropertySet noisy(PropertySet look) {
    PropertySet changed = look;
    if (random.nextInt(3) == 0) {
      double size = look.get(Properties.SIZE.key()).orElseThrow().over(0);
      changed =
          changed.with(
              Properties.SIZE,
              FontSize.points(size * (1 + noise * random.nextDouble(-0.015, 0.015))));
    }
    if (random.nextInt(3) == 0) {
      Rgba rgba = ((Colour.Literal) look.get(FILL).orElseThrow()).value();
      changed =
          changed.with(
              FILL,
              Colour.of(Rgba.of(channel(rgba.red()), channel(rgba.green()), channel(rgba.blue()))));
    }
    if (random.nextInt(3) == 0) {
      double tracking = look.get(Properties.TRACKING.key()).orElseThrow();
      changed =
          changed.with(Properties.TRACKING, tracking + Math.rint(noise * random.nextDouble(-3, 3)));
    }
    return changed;
  }

  private int channel(int value) {
    return (int) Math.clamp(Math.rint(value + noise * random.nextDouble(-2, 2)), 0, 255);
  }

  private Layer text(String id, PropertySet look) {
    PropertySet[] parts = {PropertySet.EMPTY, PropertySet.EMPTY, PropertySet.EMPTY};
    for (PropertyKey<?> key : look.keys()) {
      int level = random.nextInt(3);
      parts[level] = parts[level].withFrom(look, key);
    }
    List<Paragraph> paragraphs = new ArrayList<>();
    int count = 1 + random.nextInt(3);
    for (int index = 0; index < count; index++) {
      List<Span> spans = new ArrayList<>();
      spans.add(new Span("Wind the clock on Monday ", List.of(), parts[2], ""));
      if (random.nextInt(4) == 0) {
        PropertySet marked =
            parts[2]
                .with(Properties.FONT_WEIGHT, random.nextBoolean() ? 550.0 : 900.0)
                .with(Properties.SLANT, Slant.ITALIC);
        spans.add(new Span("slowly", List.of(), marked, ""));
      }
      PropertySet own =
          index == 0 && count == 3
              ? parts[1].with(Properties.SPACE_AFTER, Length.em(0.5))
              : parts[1];
      paragraphs.add(new Paragraph(spans, Optional.empty(), own));
    }
    return Layer.of(id, id, "").withStory(new Story(paragraphs)).withLocal(parts[0]);
  }
}
