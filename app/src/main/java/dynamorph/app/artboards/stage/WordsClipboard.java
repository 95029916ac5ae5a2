package dynamorph.app.artboards.stage;

import dynamorph.app.session.Workspace;
import dynamorph.formats.html.HtmlText;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.edit.importing.ImportText;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.NestedStyles;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DataFormat;

/** Words to and from the clipboard, with their look where the other side knows it. */
final class WordsClipboard {
  /** Marks that the plain text on the clipboard is that of the story kept beside it. */
  private static final DataFormat STYLED = styledFormat();

  private final Workspace workspace;
  private Optional<Story> copied = Optional.empty();
  private Project copiedFrom;
  private int copiedIn;

  WordsClipboard(Workspace workspace) {
    this.workspace = workspace;
    this.copiedFrom = workspace.project();
  }

  /**
   * An edit that pastes.
   *
   * @param length of what is pasted
   */
  record Pasted(EditText edit, int length) {}

  private static DataFormat styledFormat() {
    String type = "application/x-dynamorph-story";
    DataFormat known = DataFormat.lookupMimeType(type);
    return known != null ? known : new DataFormat(type);
  }

  /** Copies words with their look. */
  void copy(Layer layer, TextRange range) {
    if (range.isEmpty()) {
      return;
    }
    copied = Optional.of(layer.story().slice(range));
    copiedFrom = workspace.project();
    copiedIn = workspace.openedProperty().get();
    ClipboardContent content = new ClipboardContent();
    content.putString(layer.story().text(range));
    content.put(STYLED, "story");
    content.putHtml(resolved(layer, range));
    Clipboard.getSystemClipboard().setContent(content);
  }

  /** The marked words with their look, for other programs. */
  private String resolved(Layer layer, TextRange range) {
    Cascade cascade = Cascade.of(workspace.project());
    // a part has its nested styles from where it stands in the whole
    Story slice =
        cascade
            .dressed(layer)
            .story()
            .slice(range)
            .mapParagraphs(paragraph ->
                paragraph.withLocal(
                    paragraph.local().with(Properties.NESTED_STYLES, NestedStyles.NONE)));
    ResolvedLayer look = cascade.resolve(layer.withStory(slice));
    return HtmlText.write(slice, look.paragraphs());
  }

  /**
   * Pastes words with the look they were copied with, or plain, in the look of the place. Words
   * from another program keep their emphasis; their fonts, sizes and colours are those of the
   * place. Empty if there is nothing to paste, or styles have to be settled first.
   */
  Optional<Pasted> paste(Layer layer, TextRange range, boolean plain) {
    Clipboard clipboard = Clipboard.getSystemClipboard();
    String text = clipboard.getString();
    if (text == null || text.isEmpty()) {
      return Optional.empty();
    }
    boolean ours =
        !plain
            && clipboard.hasContent(STYLED)
            && copied.filter(story -> story.text().equals(text)).isPresent();
    if (ours && copiedIn != workspace.openedProperty().get()) {
      bring(layer, range, copied.orElseThrow());
      return Optional.empty();
    }
    Optional<Story> styled =
        ours
            ? copied
            : plain || !clipboard.hasHtml()
                ? Optional.empty()
                : HtmlText.read(clipboard.getHtml()).map(WordsClipboard::emphasis);
    String clean = text.replace("\r\n", "\n").replace('\r', '\n');
    EditText edit =
        styled.isPresent()
            ? new EditText(layer.id(), range, new EditText.Replacement.Styled(styled.get()))
            : EditText.plain(layer.id(), range, clean);
    int length = styled.map(Story::length).orElse(clean.length());
    return Optional.of(new Pasted(edit, length));
  }

  /** Words of another project bring their styles. */
  private void bring(Layer layer, TextRange range, Story words) {
    Layer part = Layer.of("words", "words", "").withStory(words);
    workspace
        .attempts()
        .importStyles(
            StyleBundle.of(copiedFrom, List.of(part)),
            styles -> new ImportText(styles, layer.id(), range, words));
  }

  /** Only what words stand out by. */
  private static Story emphasis(Story story) {
    return story.mapParagraphs(paragraph ->
        paragraph.mapSpans(span -> span.withLocal(span.local().where(WordsClipboard::isEmphasis))));
  }

  private static boolean isEmphasis(PropertyKey<?> key) {
    return List.of(
            Properties.FONT_WEIGHT,
            Properties.SLANT,
            Properties.UNDERLINE,
            Properties.STRIKE,
            Properties.SCRIPT_POSITION)
        .contains(key.property());
  }
}
