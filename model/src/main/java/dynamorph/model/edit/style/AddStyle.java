package dynamorph.model.edit.style;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.Optional;

/** Puts a new style into the project. */
public record AddStyle(Style style, String verb) implements Edit {
  /** A style that is based on another and sets nothing yet. */
  public static AddStyle derived(Style from, StyleId id, String name) {
    return new AddStyle(
        new Style(
            id,
            name,
            from.group(),
            from.level(),
            Optional.of(from.id()),
            PropertySet.EMPTY,
            from.sample()),
        Messages.of("common.derive"));
  }

  /** A style with the same values under another name. */
  public static AddStyle duplicate(Style of, StyleId id, String name) {
    return new AddStyle(
        new Style(id, name, of.group(), of.level(), of.basedOn(), of.properties(), of.sample()),
        Messages.of("add-style.duplicate"));
  }

  @Override
  public Project applyTo(Project before) {
    if (before.styles().find(style.id()).isPresent()) {
      throw new EditRefused(Messages.of("add-style.there-is-a-style-with-the", style.id()));
    }
    return before.withStyles(before.styles().with(style));
  }

  @Override
  public String label(Project before) {
    return Messages.of("add-style.style", verb, style.name());
  }
}
