package dynamorph.model.edit.style;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.value.FontSize;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Sets other sizes wherever some sizes are set, in styles and by hand.
 *
 * @param sizes in points, the new by the old
 */
public record ReplaceSizes(Map<Double, Double> sizes) implements Edit {
  private static final PropertyKey<FontSize> SIZE = Properties.SIZE.key();

  public ReplaceSizes {
    sizes = java.util.Collections.unmodifiableMap(new TreeMap<>(sizes));
  }

  @Override
  public Project applyTo(Project before) {
    StyleBook styles = before.styles();
    for (Style style : before.styles().list()) {
      PropertySet values = replaced(style.properties());
      styles = values == style.properties() ? styles : styles.with(style.withProperties(values));
    }
    return before
        .withStyles(styles)
        .mapCaptions(track -> track.withLocal(replaced(track.local())))
        .mapLayers(layer -> layer.mapLocals(this::replaced));
  }

  private PropertySet replaced(PropertySet values) {
    Optional<Double> size =
        values
            .get(SIZE)
            .filter(FontSize.Absolute.class::isInstance)
            .map(points -> sizes.get(points.over(0)));
    return size.map(points -> values.with(SIZE, FontSize.points(points))).orElse(values);
  }

  @Override
  public String label(Project before) {
    return Messages.of("replace-sizes.replace", sizes.size());
  }
}
