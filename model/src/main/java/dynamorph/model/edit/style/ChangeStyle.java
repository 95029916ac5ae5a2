package dynamorph.model.edit.style;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Tidy;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Puts a changed style in the place of the one with the same id: name, group, level, base or
 * values.
 */
public record ChangeStyle(Style style) implements Edit {
  @Override
  public Project applyTo(Project before) {
    Style earlier =
        before
            .styles()
            .find(style.id())
            .orElseThrow(() ->
                new EditRefused(
                    Messages.of("change-style.the-style-is-no-longer-in", style.name())));
    if (earlier.equals(style)) {
      return before;
    }
    Project changed = before.withStyles(checked(before));
    return Tidy.layers(changed, redundant(before, changed));
  }

  /**
   * The layers whose local changes may say now what they would inherit anyway: only values that the
   * style gives otherwise than before can do that.
   */
  private Set<LayerId> redundant(Project before, Project changed) {
    Set<PropertyKey<?>> given = givenOtherwise(before, changed);
    if (given.isEmpty()) {
      return Set.of();
    }
    Set<LayerId> found =
        changed.artboards().stream()
            .filter(board -> !Collections.disjoint(board.setByHand(), given))
            .flatMap(board -> deviating(board, given).stream())
            .collect(Collectors.toSet());
    if (found.isEmpty()) {
      return found;
    }
    Set<LayerId> followers = new HashSet<>();
    Followers.of(changed).of(style.id()).forEach(one -> followers.add(one.layer().id()));
    found.retainAll(followers);
    return found;
  }

  private static List<LayerId> deviating(Artboard board, Set<PropertyKey<?>> given) {
    List<LayerId> found = new ArrayList<>();
    for (Layer layer : board.layers()) {
      boolean plain = layer.local().isEmpty() && !layer.story().deviatesInside();
      if (!plain && LocalChanges.any(layer, given::contains)) {
        found.add(layer.id());
      }
    }
    return found;
  }

  /** Coats that come or go take all their values along. */
  private Set<PropertyKey<?>> givenOtherwise(Project before, Project changed) {
    PropertySet was = Cascade.of(before).values(before.styles().get(style.id()));
    PropertySet is = Cascade.of(changed).values(style);
    Set<PropertyKey<?>> keys = new HashSet<>();
    for (PropertySet values : List.of(was, is)) {
      for (PropertyKey<?> key : values.keys()) {
        if (!was.get(key).equals(is.get(key))) {
          keys.add(key);
        }
      }
    }
    return keys;
  }

  private dynamorph.model.style.StyleBook checked(Project before) {
    try {
      return before.styles().with(style);
    } catch (IllegalArgumentException circle) {
      throw new EditRefused(
          Messages.of(
              "change-style.cannot-be-based-on-that-style",
              style.name(),
              String.valueOf(circle.getMessage())));
    }
  }

  @Override
  public String label(Project before) {
    return before
        .styles()
        .find(style.id())
        .filter(earlier -> !earlier.name().equals(style.name()))
        .map(earlier -> Messages.of("change-style.rename-to", earlier.name(), style.name()))
        .orElse(Messages.of("change-style.edit-style", style.name()));
  }
}
