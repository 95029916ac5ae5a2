package dynamorph.model.edit.importing;

import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.NamedReferences;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleReferences;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.Paragraph;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Styles that go from one project to another, with what they need: those they are based on and
 * those they nest, the swatches they paint with, the images of their patterns, the fonts that the
 * project brought.
 *
 * @param styles bases before what is based on them, nested ones before those that nest them
 */
public record StyleBundle(List<Style> styles, List<Swatch> swatches, List<Asset> assets) {
  public StyleBundle {
    styles = List.copyOf(styles);
    swatches = List.copyOf(swatches);
    assets = List.copyOf(assets);
  }

  /** Everything that a project holds in styles and swatches. */
  public static StyleBundle all(Project project) {
    StyleBundle needed = of(project, project.styles().stream().map(Style::id).toList(), List.of());
    return new StyleBundle(needed.styles(), project.palette().swatches(), needed.assets());
  }

  /** What texts need to look the same elsewhere. */
  public static StyleBundle of(Project project, Collection<Layer> layers) {
    Set<StyleId> wanted = new LinkedHashSet<>();
    List<PropertySet> loose = new ArrayList<>();
    Set<String> pictures = new LinkedHashSet<>();
    for (Layer layer : layers) {
      wanted.addAll(Followers.followed(layer));
      loose.add(layer.local());
      for (Paragraph paragraph : layer.story().paragraphs()) {
        loose.add(paragraph.local());
        paragraph.spans().forEach(span -> loose.add(span.local()));
      }
      if (layer.shape().orElse(null) instanceof Shape.Picture(String image)) {
        pictures.add(image);
      }
    }
    StyleBundle bundle = of(project, wanted, loose);
    List<Asset> assets = new ArrayList<>(bundle.assets());
    project.assets().stream()
        .filter(asset -> asset.isImage() && pictures.contains(asset.shortName()))
        .filter(asset -> !assets.contains(asset))
        .forEach(assets::add);
    return new StyleBundle(bundle.styles(), bundle.swatches(), assets);
  }

  /**
   * What these styles need to look the same elsewhere.
   *
   * @param loose further values that come along, such as local changes of copied texts
   */
  public static StyleBundle of(
      Project project, Collection<StyleId> wanted, Collection<PropertySet> loose) {
    Set<Style> styles = new LinkedHashSet<>();
    wanted.forEach(id -> add(styles, project, id));
    loose.stream()
        .flatMap(values -> StyleReferences.nestedIn(values).stream())
        .forEach(id -> add(styles, project, id));
    NamedReferences named =
        NamedReferences.in(
            Stream.concat(styles.stream().map(Style::properties), loose.stream()).toList());
    return new StyleBundle(
        List.copyOf(styles),
        project.palette().swatches().stream()
            .filter(swatch -> named.swatches().contains(swatch.id()))
            .toList(),
        project.assets().stream()
            .filter(asset ->
                asset.isFont() || asset.isImage() && named.images().contains(asset.shortName()))
            .toList());
  }

  private static void add(Set<Style> styles, Project project, StyleId id) {
    for (Style style : project.styles().chain(id).reversed()) {
      // what a nested style nests itself counts for nothing
      StyleReferences.nestedIn(style.properties()).stream()
          .sorted()
          .forEach(nested -> styles.addAll(project.styles().chain(nested).reversed()));
      styles.add(style);
    }
  }
}
