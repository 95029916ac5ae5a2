package dynamorph.model.reach;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.NamedReferences;
import dynamorph.model.style.Style;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Timeline;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Which images of a project anything shows. */
public final class ImageUse {
  private ImageUse() {}

  /** The short names of the images that a pattern, a shape or a film shows. */
  public static Set<String> in(Project project) {
    return in(project.styles().list(), project.artboards());
  }

  /** The same, of some styles and artboards. */
  public static Set<String> in(List<Style> styles, List<Artboard> boards) {
    List<PropertySet> values = new ArrayList<>();
    styles.stream().map(Style::properties).forEach(values::add);
    Set<String> images = new HashSet<>();
    for (Artboard board : boards) {
      board.timeline().ifPresent(line -> add(images, values, line));
      for (Layer layer : board.layers()) {
        layer.locals().forEach(values::add);
        if (layer.shape().orElse(null) instanceof Shape.Picture(String image)) {
          images.add(image);
        }
      }
    }
    images.addAll(NamedReferences.in(values).images());
    return images;
  }

  private static void add(Set<String> images, List<PropertySet> values, Timeline line) {
    line.captions().forEach(track -> values.add(track.local()));
    line.footage()
        .flatMap(track -> track.clips().stream())
        .forEach(clip -> {
          if (clip.media() instanceof Media.Still(String asset)) {
            images.add(asset);
          }
        });
  }
}
