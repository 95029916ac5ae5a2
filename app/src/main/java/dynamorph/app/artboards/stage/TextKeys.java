package dynamorph.app.artboards.stage;

import com.ibm.icu.text.BreakIterator;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.text.BreakParagraph;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.PlanePoint;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.language.QuotationMarks;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Caret;
import dynamorph.typeset.layout.CaretPlace;
import dynamorph.typeset.layout.TextLayout;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.input.InputMethodEvent;
import javafx.scene.input.InputMethodRequests;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.jspecify.annotations.Nullable;

/**
 * Edits a text in place: typing, caret, selection, clipboard. Letters are never cut: the caret
 * stands between graphemes.
 */
final class TextKeys {
  private final Workspace workspace;
  private final StageView stage;
  private final WordsClipboard clipboard;
  private double wantedX = Double.NaN;
  private Object typingGesture = new Object();
  private int typedUpTo = -1;
  private @Nullable LayerId typedIn;

  TextKeys(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
    this.clipboard = new WordsClipboard(workspace);
  }

  private record Editing(Layer layer, Selection.Cursor cursor) {
    Story story() {
      return layer.story();
    }

    TextRange range() {
      return cursor.range();
    }
  }

  private Optional<Editing> editing() {
    return workspace
        .selection()
        .cursor()
        .flatMap(cursor ->
            workspace.project().layer(cursor.layer()).map(layer -> new Editing(layer, cursor)));
  }

  void typed(KeyEvent event) {
    String typed = event.getCharacter();
    boolean command = event.isShortcutDown() || event.isControlDown() && !event.isAltDown();
    if (editing().isEmpty()
        || command
        || typed.isEmpty()
        || typed.charAt(0) < ' '
        || typed.charAt(0) == 0x7F) {
      return;
    }
    insert(asTheLanguageHasIt(typed));
    event.consume();
  }

  /** Straight quotation marks become those of the language, unless that is turned off. */
  private String asTheLanguageHasIt(String typed) {
    boolean straight = typed.equals("\"") || typed.equals("'");
    if (!straight || !workspace.view().typographicQuotesProperty().get()) {
      return typed;
    }
    return editing()
        .map(at -> {
          int start = at.range().start();
          String before = at.story().text(new TextRange(0, start));
          int line = before.lastIndexOf('\n') + 1;
          return QuotationMarks.of(languageAt(at, start))
              .mark(typed.charAt(0), before.substring(line));
        })
        .orElse(typed);
  }

  private String languageAt(Editing at, int offset) {
    Cascade cascade = Cascade.of(workspace.project());
    int index = at.story().paragraphAt(offset);
    Paragraph paragraph = cascade.dressed(at.layer()).story().paragraphs().get(index);
    ResolvedLayer look = cascade.resolve(at.layer());
    int end = at.story().startOf(index);
    for (int span = 0; span < paragraph.spans().size(); span++) {
      end += paragraph.spans().get(span).length();
      if (offset <= end) {
        return look.paragraphs().get(index).spans().get(span).type().language();
      }
    }
    return workspace.project().language();
  }

  /** Handles a key; returns whether it meant something here. */
  boolean pressed(KeyEvent event) {
    Optional<Editing> editing = editing();
    if (editing.isEmpty()) {
      return false;
    }
    Editing at = editing.get();
    KeyCode key = CaretKeys.onLine(event.getCode(), layout(at));
    if (key != KeyCode.UP && key != KeyCode.DOWN) {
      wantedX = Double.NaN;
    }
    boolean word = event.isShortcutDown() || event.isAltDown();
    boolean extend = event.isShiftDown();
    switch (key) {
      case ESCAPE -> workspace.select(List.of(at.layer().id()));
      case LEFT -> sideways(at, true, word, extend);
      case RIGHT -> sideways(at, false, word, extend);
      case UP -> vertically(at, -1, extend);
      case DOWN -> vertically(at, 1, extend);
      case HOME -> place(at, event.isShortcutDown() ? 0 : lineEdge(at, true), extend);
      case END ->
          place(at, event.isShortcutDown() ? at.story().length() : lineEdge(at, false), extend);
      case BACK_SPACE -> delete(at, true, word);
      case DELETE -> delete(at, false, word);
      case TAB -> insert("\t");
      case ENTER -> {
        if (event.isShiftDown()) {
          insert("\u2028");
        } else {
          breakParagraph(at);
        }
      }
      case A -> {
        return command(event, () -> select(at.layer().id(), 0, at.story().length()));
      }
      case C -> {
        return command(event, () -> clipboard.copy(at.layer(), at.range()));
      }
      case X -> {
        return command(event, this::cutWords);
      }
      case V -> {
        return command(event, () -> pasteWords(event.isShiftDown()));
      }
      default -> {
        return false;
      }
    }
    return true;
  }

  private static boolean command(KeyEvent event, Runnable work) {
    if (event.isShortcutDown()) {
      work.run();
    }
    return event.isShortcutDown();
  }

  // --- changing
  // ----------------------------------------------------------------------------------------------------

  private void insert(String text) {
    editing()
        .ifPresent(at -> {
          EditText edit = EditText.plain(at.layer().id(), at.range(), text);
          replace(at, edit, text.length(), typing(at));
        });
  }

  /** A step ends with each paragraph. */
  private void breakParagraph(Editing at) {
    replace(at, new BreakParagraph(at.layer().id(), at.range()), 1, new Object());
  }

  /**
   * What is typed and deleted makes one step as long as the caret is not put elsewhere in between.
   */
  private Object typing(Editing at) {
    boolean goesOn =
        at.range().isEmpty() && at.cursor().caret() == typedUpTo && at.layer().id().equals(typedIn);
    if (!goesOn) {
      typingGesture = new Object();
    }
    return typingGesture;
  }

  private void replace(Editing at, Edit edit, int length, Object gesture) {
    if (workspace.apply(edit, Optional.of(gesture))) {
      int caret = at.range().start() + length;
      typedUpTo = caret;
      typedIn = at.layer().id();
      select(at.layer().id(), caret, caret);
    }
  }

  private void delete(Editing at, boolean backwards, boolean word) {
    TextRange range = at.range();
    if (range.isEmpty()) {
      int other = step(at.story().text(), at.cursor().caret(), backwards, word);
      range = TextRange.between(at.cursor().caret(), other);
    }
    if (!range.isEmpty()) {
      Editing marked =
          new Editing(
              at.layer(), new Selection.Cursor(at.layer().id(), range.start(), range.end()));
      replace(marked, EditText.plain(at.layer().id(), range, ""), 0, typing(at));
    }
  }

  // --- clipboard
  // ---------------------------------------------------------------------------------------------------

  /** Copies the marked words. */
  void copyWords() {
    editing().ifPresent(at -> clipboard.copy(at.layer(), at.range()));
  }

  /** Copies the marked words and takes them away. */
  void cutWords() {
    editing()
        .filter(at -> !at.range().isEmpty())
        .ifPresent(at -> {
          clipboard.copy(at.layer(), at.range());
          replace(at, EditText.plain(at.layer().id(), at.range(), ""), 0, new Object());
        });
  }

  /**
   * Puts what was copied in place of the marked words.
   *
   * @param plain whether in the look of the place
   */
  void pasteWords(boolean plain) {
    editing()
        .ifPresent(at ->
            clipboard
                .paste(at.layer(), at.range(), plain)
                .ifPresent(pasted -> replace(at, pasted.edit(), pasted.length(), new Object())));
  }

  // --- moving
  // ------------------------------------------------------------------------------------------------------

  private void select(LayerId layer, int anchor, int caret) {
    workspace.selectionProperty().set(Selection.editing(layer, anchor, caret));
  }

  private void place(Editing at, int caret, boolean extend) {
    select(at.layer().id(), extend ? at.cursor().anchor() : caret, caret);
  }

  /** Letters are stepped over as the eye sees them; words in the order they are read. */
  private void sideways(Editing at, boolean left, boolean word, boolean extend) {
    Optional<TextLayout> layout = layout(at);
    boolean rightToLeft =
        layout
            .map(shown -> shown.lines().get(shown.lineAt(at.cursor().caret())).rightToLeft())
            .orElse(false);
    boolean backwards = left != rightToLeft;
    if (!at.range().isEmpty() && !extend) {
      place(at, backwards ? at.range().start() : at.range().end(), false);
    } else if (word || layout.isEmpty()) {
      place(at, step(at.story().text(), at.cursor().caret(), backwards, word), extend);
    } else {
      BreakIterator letters = letters(at.story().text());
      CaretPlace from = new CaretPlace(at.cursor().caret(), at.cursor().trailing());
      CaretPlace beside = layout.get().beside(from, left, letters::isBoundary);
      // at an end of a box the text goes on in another
      CaretPlace to =
          beside.equals(from)
              ? new CaretPlace(step(at.story().text(), from.offset(), backwards, false), false)
              : beside;
      int anchor = extend ? at.cursor().anchor() : to.offset();
      workspace
          .selectionProperty()
          .set(
              Selection.editing(
                  new Selection.Cursor(at.layer().id(), anchor, to.offset(), to.trailing())));
    }
  }

  private static BreakIterator letters(String text) {
    BreakIterator letters = BreakIterator.getCharacterInstance();
    letters.setText(text);
    return letters;
  }

  /** The edge of a letter at or before an offset: a caret never stands inside of one. */
  static int atEdge(String text, int offset) {
    if (offset <= 0 || offset >= text.length()) {
      return offset;
    }
    BreakIterator letters = letters(text);
    return letters.isBoundary(offset) ? offset : letters.preceding(offset);
  }

  private void vertically(Editing at, int lines, boolean extend) {
    Optional<TextLayout> found = layout(at);
    if (found.isEmpty()) {
      return;
    }
    TextLayout layout = found.get();
    int target = layout.lineAt(at.cursor().caret()) + lines;
    if (Double.isNaN(wantedX)) {
      wantedX = layout.caretAt(at.cursor().caret()).along();
    }
    boolean before = target < 0;
    if (!before && target < layout.lines().size()) {
      place(at, atEdge(at.story().text(), layout.offsetOnLine(target, wantedX)), extend);
      return;
    }
    Optional<TextLayout> next = neighbour(at, before ? -1 : 1);
    if (next.isPresent()) {
      int line = before ? next.get().lines().size() - 1 : 0;
      place(at, atEdge(at.story().text(), next.get().offsetOnLine(line, wantedX)), extend);
    } else {
      place(at, before ? 0 : at.story().length(), extend);
    }
  }

  /** The box before or behind the one with the caret, if there are words in it. */
  private Optional<TextLayout> neighbour(Editing at, int by) {
    List<PlacedLayer> boxes =
        stage.scene().map(scene -> scene.boxes(at.layer().id())).orElse(List.of()).stream()
            .map(Scene.Found::text)
            .toList();
    int index = stage.edited().map(found -> boxes.indexOf(found.text()) + by).orElse(-1);
    boolean onward = by < 0 || index > 0 && boxes.get(index - 1).layout().rest().isPresent();
    return onward && index >= 0 && index < boxes.size()
        ? Optional.of(boxes.get(index).layout())
        : Optional.empty();
  }

  private int lineEdge(Editing at, boolean start) {
    Optional<TextLayout> layout = layout(at);
    if (layout.isEmpty()) {
      return at.cursor().caret();
    }
    var line = layout.get().lines().get(layout.get().lineAt(at.cursor().caret()));
    int end = line.endsParagraph() ? line.end() : step(at.story().text(), line.end(), true, false);
    return start ? line.start() : end;
  }

  private Optional<TextLayout> layout(Editing at) {
    return stage
        .edited()
        .filter(found -> found.text().story().length() == at.story().length())
        .map(found -> found.text().layout());
  }

  private static int step(String text, int from, boolean backwards, boolean word) {
    BreakIterator breaks =
        word ? BreakIterator.getWordInstance() : BreakIterator.getCharacterInstance();
    breaks.setText(text);
    int at = from;
    do {
      int next =
          backwards
              ? breaks.preceding(at)
              : at >= text.length() ? BreakIterator.DONE : breaks.following(at);
      if (next == BreakIterator.DONE) {
        return backwards ? 0 : text.length();
      }
      at = next;
    } while (word
        && at > 0
        && at < text.length()
        && Character.isWhitespace(text.charAt(backwards ? at : at - 1)));
    return at;
  }

  /**
   * Begins to edit a text, all of it selected; in a later box with the caret at what shows there.
   */
  void edit(LayerId box) {
    Optional<PlacedLayer> later =
        stage
            .scene()
            .flatMap(scene -> scene.find(box))
            .map(Scene.Found::text)
            .filter(found -> !found.text().equals(box));
    if (later.isPresent()) {
      int start = later.get().layout().lines().getFirst().start();
      select(later.get().text(), start, start);
    } else {
      int end = workspace.project().layer(box).map(layer -> layer.story().length()).orElse(0);
      select(box, 0, end);
    }
  }

  void selectWord(PlacedLayer box, int offset) {
    BreakIterator words = BreakIterator.getWordInstance();
    String text = box.story().text();
    words.setText(text);
    int end = offset >= text.length() ? text.length() : words.following(offset);
    int start = end == 0 ? 0 : words.preceding(end);
    select(box.text(), start, end);
  }

  /** The line as it is set just now; a third press. */
  void selectLine(PlacedLayer box, int offset) {
    TextRange range = box.layout().lineRange(offset);
    select(box.text(), range.start(), range.end());
  }

  void selectParagraph(PlacedLayer box, int offset) {
    TextRange range = box.story().rangeOf(box.story().paragraphAt(offset));
    select(box.text(), range.start(), range.end());
  }

  // --- input methods
  // -----------------------------------------------------------------------------------------------

  void installInputMethod() {
    stage.setInputMethodRequests(new Requests());
    stage.setOnInputMethodTextChanged(this::composed);
  }

  private void composed(InputMethodEvent event) {
    if (!event.getCommitted().isEmpty() && editing().isPresent()) {
      insert(event.getCommitted());
      event.consume();
    }
  }

  private final class Requests implements InputMethodRequests {
    @Override
    public Point2D getTextLocation(int offset) {
      Optional<Scene.Found> found = stage.edited();
      Optional<Editing> at = editing();
      if (found.isEmpty() || at.isEmpty()) {
        return Point2D.ZERO;
      }
      Caret caret = found.get().text().layout().caretAt(at.get().cursor().place());
      Box box = caret.box();
      PlanePoint onBoard = found.get().text().toArtboard(box.x(), box.bottom());
      double x = stage.view().toPixelX(found.get().board().artboard().x() + onBoard.x());
      double y = stage.view().toPixelY(found.get().board().artboard().y() + onBoard.y());
      return stage.localToScreen(x / stage.pixelRatio(), y / stage.pixelRatio());
    }

    @Override
    public int getLocationOffset(int x, int y) {
      return 0;
    }

    @Override
    public void cancelLatestCommittedText() {
      // committed text is an edit like any other; undo takes it back
    }

    @Override
    public String getSelectedText() {
      return editing().map(at -> at.story().text(at.range())).orElse("");
    }
  }
}
