package dynamorph.app.sheet;

import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.ValueType;
import dynamorph.model.reach.FontUse;
import dynamorph.model.reach.LayerQuery;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.style.Style;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.geometry.Side;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;

/**
 * Offers what a query can go on with: what can be asked, and what styles and artboards there are.
 */
final class QueryCompletion {
  private static final int MOST = 10;

  /** A term that is being written, up to the caret. */
  private static final Pattern TERM =
      Pattern.compile("(?:^|&&|\\|\\||[(!])\\s*([a-z0-9/-]*)\\s*(?:(=|!=|~|!~)\\s*([^&|()\"]*))?$");

  private final TextField field;
  private final SheetWatch watch;
  private final ContextMenu menu = new ContextMenu();

  QueryCompletion(TextField field, SheetWatch watch) {
    this.field = field;
    this.watch = watch;
  }

  void install() {
    field
        .textProperty()
        .addListener((_, _, _) -> javafx.application.Platform.runLater(this::offer));
    field
        .focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused) {
            menu.hide();
          }
        });
  }

  private void offer() {
    String before =
        field.getText().substring(0, Math.min(field.getCaretPosition(), field.getLength()));
    Matcher matcher = TERM.matcher(before);
    if (!field.isFocused() || before.isBlank() || !matcher.find()) {
      menu.hide();
      return;
    }
    boolean values = matcher.group(2) != null;
    String typed = (values ? matcher.group(3) : matcher.group(1)).strip();
    int from = values ? matcher.start(3) : matcher.start(1);
    List<String> offered =
        (values ? values(matcher.group(1)) : fields())
            .filter(one -> starts(one, typed) && !one.equals(typed))
            .limit(MOST)
            .toList();
    if (offered.isEmpty() || !values && typed.isEmpty()) {
      menu.hide();
      return;
    }
    menu.getItems().setAll(offered.stream().map(one -> item(one, before, from)).toList());
    if (!menu.isShowing()) {
      menu.show(field, Side.BOTTOM, 0, 2);
    }
  }

  private static boolean starts(String one, String typed) {
    return one.toLowerCase(Locale.ROOT).startsWith(typed.toLowerCase(Locale.ROOT));
  }

  private MenuItem item(String completion, String before, int from) {
    MenuItem item = new MenuItem(completion);
    item.setMnemonicParsing(false);
    item.setOnAction(_ -> {
      String behind = field.getText().substring(before.length());
      String start = before.substring(0, from) + completion;
      field.setText(start + behind);
      field.positionCaret(start.length());
    });
    return item;
  }

  /** The fields, then the properties of letters and paragraphs. */
  private static Stream<String> fields() {
    return Stream.concat(
            Arrays.stream(LayerQuery.Field.values())
                .map(field -> field.name().toLowerCase(Locale.ROOT)),
            Properties.of(Property.Part.TEXT).map(property -> property.key().path()))
        .distinct();
  }

  private Stream<String> values(String field) {
    return watch.sheetProperty().get().map(Sheet::project).stream()
        .flatMap(project -> values(project, field))
        .distinct();
  }

  private static Stream<String> values(Project project, String field) {
    return switch (field) {
      case "style", "follows" -> project.styles().stream().map(Style::name);
      case "artboard" -> project.artboards().stream().map(Artboard::name);
      case "font", "font-family" -> FontUse.of(project).families().stream();
      case "kind" -> Stream.of("text", "shape");
      default ->
          Properties.of(Property.Part.TEXT)
              .filter(property -> property.key().path().equals(field))
              .flatMap(property -> choices(property.type()));
    };
  }

  private static Stream<String> choices(ValueType<?> type) {
    return switch (type) {
      case ValueType.Choice<?> choice -> written(choice);
      case ValueType.Flag _ -> Stream.of("true", "false");
      default -> Stream.empty();
    };
  }

  private static <E extends Enum<E>> Stream<String> written(ValueType.Choice<E> choice) {
    return choice.options().stream().map(choice::format);
  }
}
