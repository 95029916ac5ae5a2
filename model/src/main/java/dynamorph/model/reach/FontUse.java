package dynamorph.model.reach;

import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** Where a project asks for which font family: in styles, and by hand in texts. */
public final class FontUse {
  /**
   * Who asks for a family.
   *
   * @param styles that set it
   * @param layers that have it set by hand, on the whole or in a part
   */
  public record Use(List<StyleId> styles, List<LayerId> layers) {}

  private final Map<String, Use> uses = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);

  private FontUse(Project project) {
    for (Style style : project.styles().list()) {
      family(style.properties(), name -> use(name).styles.add(style.id()));
    }
    project
        .layers()
        .forEach(layer -> {
          Set<String> asked = new java.util.TreeSet<>();
          layer.locals().forEach(local -> family(local, asked::add));
          project.captionsOf(layer).ifPresent(track -> family(track.local(), asked::add));
          asked.forEach(name -> use(name).layers.add(layer.id()));
        });
  }

  public static FontUse of(Project project) {
    return new FontUse(project);
  }

  /** The families that styles set, in lower case. */
  public static Set<String> families(List<Style> styles) {
    Set<String> asked = new HashSet<>();
    styles.forEach(style -> family(style.properties(), name -> asked.add(lower(name))));
    return asked;
  }

  /** The families that the layers and tracks of an artboard have set by hand, in lower case. */
  public static Set<String> families(Artboard board) {
    Set<String> asked = new HashSet<>();
    board
        .layers()
        .forEach(layer ->
            layer.locals().forEach(local -> family(local, name -> asked.add(lower(name)))));
    board
        .timeline()
        .ifPresent(line ->
            line.captions()
                .forEach(track -> family(track.local(), name -> asked.add(lower(name)))));
    return asked;
  }

  private static String lower(String family) {
    return family.toLowerCase(Locale.ROOT);
  }

  private Use use(String family) {
    return uses.computeIfAbsent(family, _ -> new Use(new ArrayList<>(), new ArrayList<>()));
  }

  private static void family(PropertySet set, java.util.function.Consumer<String> found) {
    set.get(Properties.FONT_FAMILY.key()).ifPresent(found);
  }

  /** The families that are asked for, by name. */
  public Set<String> families() {
    return java.util.Collections.unmodifiableSet(uses.keySet());
  }

  /** Who asks for a family. */
  public Use of(String family) {
    return uses.getOrDefault(family, new Use(List.of(), List.of()));
  }
}
