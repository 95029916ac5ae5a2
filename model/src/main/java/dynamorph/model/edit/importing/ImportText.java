package dynamorph.model.edit.importing;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.message.Messages;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;

/** Puts words of another project into a text; their styles and swatches come with them. */
public record ImportText(ImportStyles styles, LayerId layer, TextRange range, Story words)
    implements Edit {
  @Override
  public Project applyTo(Project before) {
    ImportStyles.Arrived arrived = styles.arrive(before);
    Story settled = arrived.settled(Layer.of("words", "words", "").withStory(words)).story();
    return new EditText(layer, range, new EditText.Replacement.Styled(settled))
        .applyTo(arrived.project());
  }

  @Override
  public String label(Project before) {
    return Messages.of("import-text.paste-text");
  }
}
