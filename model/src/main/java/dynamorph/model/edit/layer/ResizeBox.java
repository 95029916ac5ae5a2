package dynamorph.model.edit.layer;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Placement;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.WritingMode;
import java.util.List;
import java.util.Optional;

/**
 * Moves one or two sides of a box; the others stay where they are, whatever the box is anchored by.
 *
 * @param across which side moves: -1 the left, 1 the right, 0 neither
 * @param down which side moves: -1 the upper, 1 the lower, 0 neither
 * @param right how far a side moves to the right, in points along the box
 * @param below how far a side moves down, in points along the box
 * @param width of the box as it shows, which a growing box of vertical text takes from its text
 * @param height of the box as it shows, which a growing box takes from its text
 */
public record ResizeBox(
    LayerId layer, int across, int down, double right, double below, double width, double height)
    implements Edit {
  /** The least that a box can be made by its sides, in points. */
  private static final double LEAST = 1;

  @Override
  public Project applyTo(Project before) {
    Optional<Layer> found = before.layer(layer);
    if (found.isEmpty()) {
      return before;
    }
    LockedLayers.free(before, List.of(layer));
    PropertySet values = Cascade.of(before).values(found.get());
    BoxFit fit =
        found.get().isText() ? values.get(Properties.BOX.key()).orElse(BoxFit.POINT) : BoxFit.FIXED;
    if (fit == BoxFit.POINT) {
      throw new EditRefused(Messages.of("resize-box.a-point-has-no-box-choose"));
    }
    Anchor anchor = values.get(Properties.ANCHOR.key()).orElse(Anchor.TOP_LEFT);
    double part = number(values, Properties.BOX_SHARE) / 100;
    boolean grows = fit == BoxFit.GROW;
    boolean vertical =
        values.get(Properties.WRITING_MODE.key()).map(WritingMode::isVertical).orElse(false);
    double wide =
        grows && vertical
            ? width
            : part == 0 ? number(values, Properties.BOX_WIDTH) : shown(before, found.get());
    double wider = across == 0 ? 0 : Math.max(LEAST - wide, across * right);
    double higher = down == 0 ? 0 : Math.max(LEAST - height, down * below);
    double moveRight = (across < 0 ? -wider : 0) + anchor.across() * wider;
    double moveDown = (down < 0 ? -higher : 0) + anchor.down() * higher;
    double turn = Math.toRadians(number(values, Properties.ROTATION));
    PropertySet changed =
        PropertySet.EMPTY
            .with(
                Properties.POSITION_X,
                number(values, Properties.POSITION_X)
                    + moveRight * Math.cos(turn)
                    - moveDown * Math.sin(turn))
            .with(
                Properties.POSITION_Y,
                number(values, Properties.POSITION_Y)
                    + moveRight * Math.sin(turn)
                    + moveDown * Math.cos(turn))
            .with(Properties.BOX_WIDTH, wide + wider);
    if (part != 0) {
      changed = changed.with(Properties.BOX_SHARE, 0.0);
    }
    if (down != 0) {
      changed = changed.with(Properties.BOX_HEIGHT, height + higher);
    }
    // the side that its lines grow to is given from now on
    if (grows && (vertical ? across : down) != 0) {
      changed = changed.with(Properties.BOX, BoxFit.FIXED);
    }
    return SetValues.of(new Target.Layers(List.of(layer)), changed).applyTo(before);
  }

  /** The width of a box that is a share of its frame. */
  private static double shown(Project project, Layer layer) {
    Artboard artboard = project.artboardOf(layer.id()).orElseThrow();
    Placement placement = Cascade.of(project).placement(layer);
    return placement.on(artboard.width(), artboard.height()).width();
  }

  private static double number(PropertySet values, Property<Double> property) {
    return values.get(property.key()).orElse(property.defaultValue());
  }

  @Override
  public String label(Project before) {
    return Messages.of("resize-box.resize", new Target.Layers(List.of(layer)).label());
  }
}
