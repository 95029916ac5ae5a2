package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.style.Style;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.NestedStyles.Count;
import dynamorph.model.value.NestedStyles.Every;
import dynamorph.model.value.NestedStyles.Extent;
import dynamorph.model.value.NestedStyles.Kind;
import dynamorph.model.value.NestedStyles.Matching;
import dynamorph.model.value.NestedStyles.Rule;
import dynamorph.model.value.NestedStyles.Unit;
import dynamorph.model.value.NestedStyles.Until;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;

/** Rules one below the other: a character style, and which words are in it. */
final class NestedStylesEditor implements ValueEditor<NestedStyles> {
  private static final double SIGNS_WIDTH = 84;
  private static final int USUAL_COUNT = 3;

  /** What a rule is chosen by. */
  private enum Words {
    WORDS,
    LETTERS,
    SENTENCES,
    UP_TO,
    BEFORE,
    NUMBER,
    CAPITALS,
    QUOTATION,
    BRACKET,
    LATIN,
    PATTERN;

    static Words of(Extent extent) {
      return switch (extent) {
        case Count count -> valueOf(count.unit().name());
        case Until until -> until.included() ? UP_TO : BEFORE;
        case Every every -> valueOf(every.kind().name());
        case Matching _ -> PATTERN;
      };
    }

    boolean isCounted() {
      return ordinal() <= SENTENCES.ordinal();
    }

    boolean hasSigns() {
      return isCounted() || this == UP_TO || this == BEFORE || this == PATTERN;
    }

    /** What is written beside it before anything was. */
    String usual() {
      return switch (this) {
        case UP_TO, BEFORE -> ":";
        case PATTERN -> "[0-9]+";
        default -> isCounted() ? Integer.toString(USUAL_COUNT) : "";
      };
    }

    /**
     * The words that are meant.
     *
     * @throws IllegalArgumentException saying what is wrong with the signs
     */
    Extent extent(String signs) {
      return switch (this) {
        case WORDS, LETTERS, SENTENCES -> Count.parse(signs, Unit.valueOf(name()));
        case UP_TO, BEFORE -> {
          if (signs.isEmpty()) {
            throw new IllegalArgumentException(
                Messages.of("nested-styles-editor.signs-are-missing"));
          }
          yield new Until(signs, this == UP_TO);
        }
        case NUMBER, CAPITALS, QUOTATION, BRACKET, LATIN -> new Every(Kind.valueOf(name()));
        case PATTERN -> new Matching(NestedStyles.checked(signs));
      };
    }

    String label() {
      return switch (this) {
        case WORDS -> Messages.of("nested-styles-editor.words");
        case LETTERS -> Messages.of("nested-styles-editor.letters");
        case SENTENCES -> Messages.of("nested-styles-editor.sentences");
        case UP_TO -> Messages.of("nested-styles-editor.up-to");
        case BEFORE -> Messages.of("nested-styles-editor.before");
        case NUMBER -> Messages.of("nested-styles-editor.every-number");
        case CAPITALS -> Messages.of("nested-styles-editor.all-in-capitals");
        case QUOTATION -> Messages.of("nested-styles-editor.every-quotation");
        case BRACKET -> Messages.of("nested-styles-editor.all-in-brackets");
        case LATIN -> Messages.of("nested-styles-editor.all-in-latin");
        case PATTERN -> Messages.of("nested-styles-editor.pattern");
      };
    }
  }

  private final Supplier<List<Style>> styles;
  private final Sink<NestedStyles> sink;
  private final VBox rows = new VBox(8);
  private final Button add = new Button(Messages.of("nested-styles-editor.add"));
  private final VBox box = new VBox(8, rows, add);
  private List<Rule> rules = List.of();
  private List<Style> known = List.of();
  private boolean built;

  /**
   * @param styles the character styles that can be nested
   */
  NestedStylesEditor(Supplier<List<Style>> styles, Sink<NestedStyles> sink) {
    this.styles = styles;
    this.sink = sink;
    add.setId("nested-add");
    add.setOnAction(_ -> add());
  }

  @Override
  public Node node() {
    return box;
  }

  @Override
  public void show(Shown<NestedStyles> shown) {
    List<Rule> now = shown.value().orElse(NestedStyles.NONE).rules();
    List<Style> there = styles.get();
    if (built && now.equals(rules) && there.equals(known)) {
      return;
    }
    built = true;
    rules = now;
    known = there;
    rows.getChildren().clear();
    add.setDisable(rules.size() >= NestedStyles.MOST_RULES);
    if (shown.value().isEmpty()) {
      rows.getChildren().add(quiet(Messages.of("common.mixed")));
    } else if (known.isEmpty() && rules.isEmpty()) {
      rows.getChildren().add(quiet(Messages.of("nested-styles-editor.no-character-style")));
    }
    for (int index = 0; index < rules.size(); index++) {
      rows.getChildren().add(row(index));
    }
  }

  private static Label quiet(String words) {
    Label label = new Label(words);
    label.setWrapText(true);
    label.getStyleClass().add("quiet");
    return label;
  }

  private void add() {
    List<Rule> more = new ArrayList<>(rules);
    String style = known.isEmpty() ? "" : known.getFirst().id().value();
    more.add(new Rule(style, new Count(USUAL_COUNT, Unit.WORDS)));
    set(more);
  }

  private void set(List<Rule> changed) {
    sink.set(new NestedStyles(changed), Optional.empty());
  }

  private void replace(int index, Rule rule) {
    if (!rules.get(index).equals(rule)) {
      List<Rule> changed = new ArrayList<>(rules);
      changed.set(index, rule);
      set(changed);
    }
  }

  private Node row(int index) {
    Rule rule = rules.get(index);
    ComboBox<String> style = style(index, rule);
    ComboBox<Words> words = words(index, rule);
    HBox first = new HBox(4, style);
    first.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(style, Priority.ALWAYS);
    if (index > 0) {
      Button up =
          Controls.icon(
              Feather.ARROW_UP, Messages.of("nested-styles-editor.move-up"), () -> moveUp(index));
      up.setId("nested-up-" + index);
      first.getChildren().add(up);
    }
    Button remove =
        Controls.icon(Feather.X, Messages.of("nested-styles-editor.remove"), () -> remove(index));
    remove.setId("nested-remove-" + index);
    first.getChildren().add(remove);
    HBox second = new HBox(4, words);
    HBox.setHgrow(words, Priority.ALWAYS);
    if (words.getValue().hasSigns()) {
      // as it is said: 3 words, all up to a colon
      int at = words.getValue().isCounted() ? 0 : 1;
      second.getChildren().add(at, signs(index, rule, words.getValue()));
    }
    return new VBox(4, first, second);
  }

  private ComboBox<String> style(int index, Rule rule) {
    List<String> ids = new ArrayList<>(known.stream().map(one -> one.id().value()).toList());
    ids.add("");
    ComboBox<String> box = Controls.choice(this::name);
    box.getItems().setAll(ids);
    box.setId("nested-style-" + index);
    box.setAccessibleText(Messages.of("nested-styles-editor.style"));
    box.setValue(rule.style());
    box.valueProperty().addListener((_, _, id) -> replace(index, new Rule(id, rule.extent())));
    return box;
  }

  private String name(String id) {
    return id.isEmpty()
        ? Messages.of("nested-styles-editor.pass-over")
        : known.stream()
            .filter(one -> one.id().value().equals(id))
            .map(Style::name)
            .findFirst()
            .orElse(Messages.of("nested-styles-editor.missing", id));
  }

  private ComboBox<Words> words(int index, Rule rule) {
    ComboBox<Words> box = Controls.choice(Words::label);
    box.getItems().setAll(Words.values());
    box.setId("nested-words-" + index);
    box.setAccessibleText(Messages.of("nested-styles-editor.which-words"));
    Words own = Words.of(rule.extent());
    box.setValue(own);
    box.valueProperty()
        .addListener((_, _, now) -> {
          boolean alike = now.isCounted() == own.isCounted() && now.hasSigns() && own.hasSigns();
          boolean pattern = now == Words.PATTERN || own == Words.PATTERN;
          String signs = alike && !pattern ? written(rule.extent()) : now.usual();
          replace(index, new Rule(rule.style(), now.extent(signs)));
        });
    return box;
  }

  private static String written(Extent extent) {
    return switch (extent) {
      case Count count -> Integer.toString(count.count());
      case Until until -> until.signs();
      case Matching matching -> matching.pattern();
      case Every _ -> "";
    };
  }

  private TextField signs(int index, Rule rule, Words words) {
    TextField field = new TextField(written(rule.extent()));
    field.setId("nested-signs-" + index);
    field.setAccessibleText(words.label());
    field.setMinWidth(SIGNS_WIDTH);
    field.setMaxWidth(SIGNS_WIDTH);
    field.setOnAction(_ -> commit(index, rule, words, field));
    field
        .focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused) {
            commit(index, rule, words, field);
          }
        });
    return field;
  }

  private void commit(int index, Rule rule, Words words, TextField field) {
    boolean stale = index >= rules.size() || !rules.get(index).equals(rule);
    if (stale || field.getText().equals(written(rule.extent()))) {
      return;
    }
    try {
      replace(index, new Rule(rule.style(), words.extent(field.getText())));
    } catch (IllegalArgumentException wrong) {
      field.setText(written(rule.extent()));
      sink.refuse(String.valueOf(wrong.getMessage()));
    }
  }

  private void moveUp(int index) {
    List<Rule> changed = new ArrayList<>(rules);
    changed.add(index - 1, changed.remove(index));
    set(changed);
  }

  private void remove(int index) {
    List<Rule> changed = new ArrayList<>(rules);
    changed.remove(index);
    set(changed);
  }
}
