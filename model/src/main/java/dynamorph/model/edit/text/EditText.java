package dynamorph.model.edit.text;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;

/** Replaces a stretch of a layer's text. */
public record EditText(LayerId layer, TextRange range, Replacement replacement) implements Edit {
  /** What is put in. */
  public sealed interface Replacement {
    /** Words that take the look of the place. */
    record Plain(String text) implements Replacement {}

    /** Words that bring their own look. */
    record Styled(Story story) implements Replacement {}
  }

  public static EditText plain(LayerId layer, TextRange range, String text) {
    return new EditText(layer, range, new Replacement.Plain(text));
  }

  @Override
  public Project applyTo(Project before) {
    return before.mapLayers(
        java.util.Set.of(layer),
        target -> {
          if (!target.isText()) {
            throw new EditRefused(Messages.of("edit-text.is-a-shape-and-has-no", target.name()));
          }
          return target.withStory(
              switch (replacement) {
                case Replacement.Plain(String text) -> target.story().replace(range, text);
                case Replacement.Styled(Story story) -> target.story().replace(range, story);
              });
        });
  }

  @Override
  public String label(Project before) {
    return switch (replacement) {
      case Replacement.Plain(String text) when text.isEmpty() ->
          Messages.of("edit-text.delete-text");
      case Replacement.Plain _ -> Messages.of("edit-text.type-text");
      case Replacement.Styled _ -> Messages.of("edit-text.paste-text");
    };
  }
}
