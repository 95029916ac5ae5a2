package dynamorph.model.reach;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.NamedReferences;
import dynamorph.model.style.Style;
import dynamorph.model.value.Colour;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What is painted with a swatch.
 *
 * @param styles how many styles name it
 * @param layers how many layers name it by hand
 * @param artboards how many artboards it is the ground of
 */
public record SwatchUse(int styles, int layers, int artboards, int tracks) {
  public static SwatchUse of(Project project, String swatch) {
    int styles =
        (int) project.styles().stream().filter(style -> names(style.properties(), swatch)).count();
    int layers = (int) project.layers().filter(layer -> names(layer, swatch)).count();
    int artboards =
        (int)
            project.artboards().stream()
                .filter(board -> board.background().equals(Colour.swatch(swatch)))
                .count();
    int tracks =
        (int)
            project
                .films()
                .flatMap(film -> film.timeline().orElseThrow().captions())
                .filter(track -> names(track.local(), swatch))
                .count();
    return new SwatchUse(styles, layers, artboards, tracks);
  }

  /** The texts that are painted with a swatch: by a style that they follow, or by hand. */
  public static Set<LayerId> texts(Project project, Followers followers, String swatch) {
    Set<LayerId> texts = new HashSet<>();
    for (Style style : project.styles().list()) {
      if (names(style.properties(), swatch)) {
        followers.of(style.id()).forEach(follower -> texts.add(follower.layer().id()));
      }
    }
    project.layers().filter(layer -> names(layer, swatch)).forEach(layer -> texts.add(layer.id()));
    return texts;
  }

  private static boolean names(Layer layer, String swatch) {
    return layer.locals().anyMatch(local -> names(local, swatch));
  }

  private static boolean names(PropertySet values, String swatch) {
    return NamedReferences.in(List.of(values)).swatches().contains(swatch);
  }

  public boolean isUnused() {
    return styles == 0 && layers == 0 && artboards == 0 && tracks == 0;
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
