package dynamorph.model.reach;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.NamedReferences;
import dynamorph.model.style.Style;
import dynamorph.model.value.Colour;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What is painted with a swatch.
 *
 * @param styles how many styles name it
 * @param layers how many layers name it by hand
 * @param artboards how many artboards it is the ground of
 */
public record SwatchUse(int styles, int layers, int artboards, int tracks) {
  public static final SwatchUse NONE = new SwatchUse(0, 0, 0, 0);

  public static SwatchUse of(Project project, String swatch) {
    return of(project, project.artboards().stream().map(SwatchUse::byHand).toList())
        .getOrDefault(swatch, NONE);
  }

  /**
   * What is painted with each swatch that anything names.
   *
   * @param byHand how many layers of each artboard name it
   */
  public static Map<String, SwatchUse> of(Project project, List<Map<String, Integer>> byHand) {
    Map<String, SwatchUse> uses = new HashMap<>();
    project.styles().stream()
        .map(style -> named(Stream.of(style.properties())))
        .forEach(named -> named.forEach(swatch -> add(uses, swatch, new SwatchUse(1, 0, 0, 0))));
    byHand.forEach(
        own -> own.forEach((swatch, layers) -> add(uses, swatch, new SwatchUse(0, layers, 0, 0))));
    for (Artboard board : project.artboards()) {
      if (board.background() instanceof Colour.SwatchReference(String swatch)) {
        add(uses, swatch, new SwatchUse(0, 0, 1, 0));
      }
    }
    project
        .films()
        .flatMap(film -> film.timeline().orElseThrow().captions())
        .map(track -> named(Stream.of(track.local())))
        .forEach(named -> named.forEach(swatch -> add(uses, swatch, new SwatchUse(0, 0, 0, 1))));
    return uses;
  }

  private static void add(Map<String, SwatchUse> uses, String swatch, SwatchUse more) {
    uses.merge(
        swatch,
        more,
        (one, other) ->
            new SwatchUse(
                one.styles + other.styles,
                one.layers + other.layers,
                one.artboards + other.artboards,
                one.tracks + other.tracks));
  }

  /** How many layers of an artboard name a swatch by hand, for each that any names. */
  public static Map<String, Integer> byHand(Artboard board) {
    Map<String, Integer> layers = new HashMap<>();
    for (Layer layer : board.layers()) {
      named(layer.locals()).forEach(swatch -> layers.merge(swatch, 1, Integer::sum));
    }
    return layers;
  }

  private static Set<String> named(Stream<PropertySet> values) {
    List<PropertySet> set = values.filter(local -> !local.isEmpty()).toList();
    return set.isEmpty() ? Set.of() : NamedReferences.in(set).swatches();
  }

  /** The texts that are painted with a swatch: by a style that they follow, or by hand. */
  public static Set<LayerId> texts(Project project, Followers followers, String swatch) {
    Set<LayerId> texts = new HashSet<>();
    for (Style style : project.styles().list()) {
      if (named(Stream.of(style.properties())).contains(swatch)) {
        followers.of(style.id()).forEach(follower -> texts.add(follower.layer().id()));
      }
    }
    project
        .layers()
        .filter(layer -> named(layer.locals()).contains(swatch))
        .forEach(layer -> texts.add(layer.id()));
    return texts;
  }

  /** Everything together. */
  public int all() {
    return styles + layers + artboards + tracks;
  }

  public boolean isUnused() {
    return all() == 0;
  }

  /** In words: {@code in 3 styles, by hand on 1 text}. */
  public String text() {
    if (isUnused()) {
      return Messages.of("swatch-use.nothing-is-painted-with-it");
    }
    List<String> parts = new java.util.ArrayList<>();
    if (styles > 0) {
      parts.add(Messages.of("swatch-use.in-style", styles));
    }
    if (layers > 0) {
      parts.add(Messages.of("swatch-use.by-hand-on-text", layers));
    }
    if (artboards > 0) {
      parts.add(Messages.of("swatch-use.behind-artboard", artboards));
    }
    if (tracks > 0) {
      parts.add(Messages.of("swatch-use.on-track", tracks));
    }
    String text = String.join(", ", parts);
    return Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }
}
