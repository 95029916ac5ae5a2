package dynamorph.app.inspector;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.edit.text.SetRuby;
import dynamorph.model.text.RubyBase;
import dynamorph.model.text.TextRange;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** How the selected letters are read; what is typed stands over them at once. */
final class RubySection extends VBox {
  private static final double LABEL_WIDTH = 92;
  private static final int LONGEST = 12;

  private final Workspace workspace;
  private final Runnable back;
  private final TextField field = new TextField();
  private final Label over = new Label();
  private Optional<Base> shown = Optional.empty();
  private Optional<Base> asked = Optional.empty();
  private Object gesture = new Object();
  private String before = "";
  private boolean updating;

  /** Letters that are read together. */
  private record Base(Layer layer, TextRange range) {
    String letters() {
      return layer.story().text(range);
    }

    String ruby() {
      return layer.story().ruby(range);
    }

    boolean isSamePlace(Base other) {
      return layer.id().equals(other.layer.id()) && range.equals(other.range);
    }
  }

  /**
   * @param back gives the keyboard back to the text
   */
  RubySection(Workspace workspace, Runnable back) {
    this.workspace = workspace;
    this.back = back;
    getStyleClass().add("facet");
    setId("ruby-section");
    setSpacing(2);
    field.setId("ruby");
    field.setAccessibleText(Messages.of("ruby-section.ruby-over-the-selected-letters"));
    Tips.on(field, Messages.of("ruby-section.how-the-letters-are-read-set"));
    field.setPromptText(Messages.of("ruby-section.how-it-is-read"));
    Label words = Controls.rowLabel(Messages.of("ruby-section.ruby"));
    words.setMinWidth(LABEL_WIDTH);
    HBox row = new HBox(6, words, field);
    row.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(field, Priority.ALWAYS);
    over.getStyleClass().add("quiet");
    HBox below = new HBox(6, spacer(), over);
    getChildren().addAll(row, below);
    field.textProperty().addListener((_, _, typed) -> typed(typed));
    field.focusedProperty().addListener((_, _, focused) -> begin(focused));
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
  }

  private static Label spacer() {
    Label spacer = new Label();
    spacer.setMinWidth(LABEL_WIDTH);
    return spacer;
  }

  /** Shows what stands over the letters at the caret; nothing where nobody would want it. */
  void update() {
    shown = workspace.selection().cursor().flatMap(this::base);
    boolean askedHere =
        shown.isPresent() && asked.filter(place -> place.isSamePlace(shown.get())).isPresent();
    boolean wanted =
        shown
            .filter(base -> askedHere || !base.ruby().isEmpty() || isEastAsian(base.letters()))
            .isPresent();
    setVisible(wanted);
    setManaged(wanted);
    if (!askedHere) {
      asked = Optional.empty();
    }
    if (!wanted) {
      return;
    }
    String letters = shown.orElseThrow().letters().strip();
    over.setText(
        Messages.of(
            "ruby-section.over",
            (letters.length() > LONGEST ? letters.substring(0, LONGEST) + "\u2026" : letters)));
    String ruby = shown.get().ruby();
    if (!ruby.equals(RubyBase.cleaned(field.getText()))) {
      updating = true;
      field.setText(ruby);
      updating = false;
    }
  }

  private Optional<Base> base(Selection.Cursor cursor) {
    return workspace
        .project()
        .layer(cursor.layer())
        .map(layer -> new Base(layer, layer.story().wholeBases(cursor.range())))
        .filter(base -> !base.letters().isBlank() && base.letters().indexOf('\n') < 0);
  }

  private static boolean isEastAsian(String letters) {
    return letters
        .codePoints()
        .anyMatch(letter ->
            Character.isIdeographic(letter)
                || Character.UnicodeScript.of(letter) == Character.UnicodeScript.HANGUL);
  }

  /** Goes to the field, for any letters; returns whether there are some. */
  boolean ask() {
    asked = workspace.selection().cursor().flatMap(this::base);
    update();
    if (asked.isPresent()) {
      field.requestFocus();
      field.selectAll();
    }
    return asked.isPresent();
  }

  private void begin(boolean focused) {
    if (focused) {
      gesture = new Object();
      before = shown.map(Base::ruby).orElse("");
    }
  }

  private void typed(String typed) {
    if (updating) {
      return;
    }
    shown
        .filter(base -> !base.ruby().equals(RubyBase.cleaned(typed)))
        .ifPresent(base ->
            workspace.apply(
                new SetRuby(base.layer().id(), base.range(), typed), Optional.of(gesture)));
  }

  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.ESCAPE && shown.isPresent()) {
      field.setText(before);
    }
    if (List.of(KeyCode.ESCAPE, KeyCode.ENTER).contains(event.getCode())) {
      back.run();
      event.consume();
    }
  }
}
