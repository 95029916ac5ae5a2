package dynamorph.model.edit.style;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.KeptLook;
import dynamorph.model.edit.Tidy;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.FontSize;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Keeps styles that are stacked on layers as one: every chosen layer with just that stack follows
 * the one instead, and looks as before.
 *
 * @param stack text styles, last added last
 */
public record CombineStyles(Set<LayerId> layers, List<StyleId> stack, Style combined)
    implements Edit {
  public CombineStyles {
    layers = Set.copyOf(layers);
    stack = List.copyOf(stack);
    if (stack.size() < 2) {
      throw new EditRefused(Messages.of("combine-styles.only-styles-that-are-stacked-on"));
    }
  }

  /** What stacked styles set together, with everything that they are based on. */
  public static PropertySet values(StyleBook styles, List<StyleId> stack) {
    PropertySet together = PropertySet.EMPTY;
    for (StyleId id : stack) {
      for (Style link : styles.chain(id).reversed()) {
        together = over(together, link.properties());
      }
    }
    return together;
  }

  /** Values over others; a relative size is worked out on the one below as far as that goes. */
  static PropertySet over(PropertySet below, PropertySet above) {
    Optional<FontSize> inner = below.get(Properties.SIZE.key());
    Optional<FontSize> outer = above.get(Properties.SIZE.key());
    PropertySet merged = below.overlaidBy(above);
    return inner.isPresent() && outer.isPresent()
        ? merged.with(Properties.SIZE, over(inner.get(), outer.get()))
        : merged;
  }

  private static FontSize over(FontSize inner, FontSize outer) {
    return switch (outer) {
      case FontSize.Absolute absolute -> absolute;
      case FontSize.Times(double by) ->
          switch (inner) {
            case FontSize.Absolute(double points) -> FontSize.points(outer.over(points));
            case FontSize.Times(double times) -> new FontSize.Times(times * by);
            case FontSize.Plus _ -> outer;
          };
      case FontSize.Plus(double more) ->
          switch (inner) {
            case FontSize.Absolute(double points) -> FontSize.points(outer.over(points));
            case FontSize.Plus(double points) -> new FontSize.Plus(points + more);
            case FontSize.Times _ -> outer;
          };
    };
  }

  @Override
  public Project applyTo(Project before) {
    Project added = new AddStyle(combined, Messages.of("combine-styles.keep")).applyTo(before);
    Map<LayerId, Layer> were = before.layersOf(layers);
    KeptLook look = new KeptLook(Cascade.of(before), Cascade.of(added));
    Project changed =
        added.mapLayers(
            layers,
            layer ->
                layer.follows().equals(stack) && layer.muted().stream().noneMatch(stack::contains)
                    ? look.of(
                        requireNonNull(were.get(layer.id())),
                        layer.withFollows(List.of(combined.id())))
                    : layer);
    return Tidy.layers(changed, layers);
  }

  @Override
  public String label(Project before) {
    return Messages.of("combine-styles.keep-styles-as", stack.size(), combined.name());
  }
}
