package dynamorph.model.edit;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
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
                new EditRefused("The style \"" + style.name() + "\" is no longer in the project."));
    if (earlier.equals(style)) {
      return before;
    }
    Project changed = before.withStyles(checked(before));
    Set<LayerId> followers =
        Followers.of(changed).of(style.id()).stream()
            .filter(follower -> follower.localChanges() > 0)
            .map(follower -> follower.layer().id())
            .collect(Collectors.toSet());
    return Tidy.layers(changed, followers);
  }

  private dynamorph.model.style.StyleBook checked(Project before) {
    try {
      return before.styles().with(style);
    } catch (IllegalArgumentException circle) {
      throw new EditRefused(
          "\"" + style.name() + "\" cannot be based on that style: " + circle.getMessage() + ".");
    }
  }

  @Override
  public String label(Project before) {
    return before
        .styles()
        .find(style.id())
        .filter(earlier -> !earlier.name().equals(style.name()))
        .map(earlier -> "Rename \"" + earlier.name() + "\" to \"" + style.name() + "\"")
        .orElse("Edit style \"" + style.name() + "\"");
  }
}
