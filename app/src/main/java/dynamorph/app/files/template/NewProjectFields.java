package dynamorph.app.files.template;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.model.LengthUnit;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.survey.BaseProposal;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.value.Expression;
import dynamorph.model.value.Numbers;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.starter.StarterKits;
import dynamorph.shelf.template.ArtboardSize;
import dynamorph.shelf.template.NewProject;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.util.StringConverter;
import org.kordamp.ikonli.feather.Feather;

/** Name, size and what else a new project is asked for. */
final class NewProjectFields extends GridPane {
  private static final int NUMBER_WIDTH = 84;

  private final TextField name = new TextField();
  private final TextField width = number("new-width", Messages.of("artboard-dialog.width"));
  private final TextField height = number("new-height", Messages.of("artboard-dialog.height"));
  private final ComboBox<LengthUnit> unit = new ComboBox<>();
  private final Label plainText = new Label();
  private final ComboBox<FrameRate> rate = new ComboBox<>();
  private final TextField duration = number("new-duration", Messages.of("new-project.duration"));
  private final ComboBox<Optional<StarterKits.Kit>> kit = new ComboBox<>();
  private final Label problem = new Label();
  private final List<Node> ofSize;
  private final List<Node> ofFilm;
  private final List<Node> ofLooks;
  private ArtboardSize size = NewProject.standard().size();

  NewProjectFields() {
    setHgap(10);
    setVgap(8);
    name.setId("new-name");
    name.setPromptText(Messages.of("file-actions.untitled"));
    name.setPrefColumnCount(8);
    unit.setId("new-unit");
    unit.getItems().setAll(LengthUnit.values());
    unit.setConverter(shown(LengthUnit::symbol));
    unit.setOnAction(_ -> changeUnit());
    rate.setId("new-rate");
    rate.getItems().setAll(FrameRate.USUAL);
    rate.setConverter(shown(FrameRate::words));
    rate.setValue(FrameRate.PAL);
    duration.setText("00:01:00:00");
    kit.setId("new-kit");
    kit.getItems().add(Optional.empty());
    StarterKits.all().forEach(one -> kit.getItems().add(Optional.of(one)));
    kit.setConverter(
        shown(one -> one.map(StarterKits.Kit::name).orElse(Messages.of("new-project.no-kit"))));
    kit.setValue(Optional.empty());
    Tips.on(kit, Messages.of("new-project.kit-help"));
    Button turn = Controls.icon(Feather.ROTATE_CW, Messages.of("new-project.turn"), this::turn);
    turn.setId("new-turn");
    HBox measures = new HBox(6, width, new Label("\u00d7"), height, unit, turn);
    measures.setAlignment(Pos.CENTER_LEFT);
    plainText.getStyleClass().add("quiet");
    plainText.setMinWidth(Region.USE_PREF_SIZE);
    // as wide as the measures below it, and no wider
    name.setMaxWidth(Double.MAX_VALUE);
    problem.getStyleClass().add("problem-text");
    Label sizeLabel = label(Messages.of("new-project.size"));
    Label rateLabel = label(Messages.of("new-project.frame-rate"));
    Label durationLabel = label(Messages.of("new-project.duration"));
    Label kitLabel = label(Messages.of("new-project.looks"));
    HBox running = new HBox(10, rate, durationLabel, duration);
    running.setAlignment(Pos.CENTER_LEFT);
    ofSize = List.of(sizeLabel, measures, plainText);
    ofFilm = List.of(rateLabel, running);
    ofLooks = List.of(kitLabel, kit);
    addRow(0, label(Messages.of("common.name")), name);
    addRow(1, sizeLabel, measures, plainText);
    addRow(2, rateLabel, running);
    addRow(3, kitLabel, kit);
    add(problem, 1, 4, 2, 1);
    for (TextField side : List.of(width, height, duration)) {
      side.textProperty().addListener((_, _, _) -> check());
    }
    // a frame that one rate has another may lack
    rate.valueProperty().addListener((_, _, _) -> check());
    show(size);
  }

  private static TextField number(String id, String says) {
    TextField field = new TextField();
    field.setId(id);
    field.setPrefWidth(NUMBER_WIDTH);
    field.setAccessibleText(says);
    return field;
  }

  private static Label label(String words) {
    Label label = new Label(words);
    label.setMinWidth(Region.USE_PREF_SIZE);
    return label;
  }

  private static <T> StringConverter<T> shown(java.util.function.Function<T, String> words) {
    return new StringConverter<>() {
      @Override
      public String toString(T value) {
        return value == null ? "" : words.apply(value);
      }

      @Override
      public T fromString(String text) {
        throw new UnsupportedOperationException();
      }
    };
  }

  TextField name() {
    return name;
  }

  /** Takes the measures of a size. */
  void show(ArtboardSize chosen) {
    size = chosen;
    unit.setValue(chosen.unit());
    width.setText(Numbers.format(chosen.width(), 2));
    height.setText(Numbers.format(chosen.height(), 2));
    check();
  }

  /** Shows what is asked for: a template has a size and looks already. */
  void ask(Optional<ArtboardSize.Purpose> purpose) {
    show(ofSize, purpose.isPresent());
    show(ofLooks, purpose.isPresent());
    show(ofFilm, purpose.filter(ArtboardSize.Purpose.FILM::equals).isPresent());
    check();
  }

  private static void show(List<Node> nodes, boolean shown) {
    nodes.forEach(node -> {
      node.setVisible(shown);
      node.setManaged(shown);
    });
  }

  private boolean isFilm() {
    return ofFilm.getFirst().isVisible();
  }

  private void turn() {
    String wide = width.getText();
    width.setText(height.getText());
    height.setText(wide);
  }

  /** The size stays what it is, in the other unit. */
  private void changeUnit() {
    LengthUnit now = unit.getValue();
    if (now == null || now == size.unit()) {
      return;
    }
    try {
      ArtboardSize before = typed();
      LengthUnit from = size.unit();
      double wide = now.fromPoints(from.toPoints(before.width()));
      double high = now.fromPoints(from.toPoints(before.height()));
      size = new ArtboardSize(size.purpose(), size.name(), wide, high, now);
      width.setText(now.format(now.toPoints(wide)));
      height.setText(now.format(now.toPoints(high)));
    } catch (IllegalArgumentException unfinished) {
      size = new ArtboardSize(size.purpose(), size.name(), size.width(), size.height(), now);
    }
  }

  private ArtboardSize typed() {
    return new ArtboardSize(
        size.purpose(), size.name(), amount(width), amount(height), size.unit());
  }

  private static double amount(TextField field) {
    String text = field.getText().strip();
    return text.matches("[\\d.,]+") ? Numbers.parse(text) : Expression.evaluate(text);
  }

  private void check() {
    try {
      ArtboardSize typed = typed();
      made(Optional.empty()).project();
      plainText.setText(
          Messages.of(
              "new-project.plain-text",
              Numbers.format(
                  BaseProposal.size(
                      typed.unit().toPoints(typed.width()),
                      typed.unit().toPoints(typed.height())))));
      problem.setText("");
    } catch (IllegalArgumentException wrong) {
      problem.setText(Messages.reason(wrong));
    }
  }

  boolean isComplete() {
    return problem.getText().isEmpty();
  }

  /**
   * What is asked for now.
   *
   * @throws IllegalArgumentException if a field says nothing that can be
   */
  NewProject wanted() {
    return made(
        kit.getValue().map(one -> StarterKits.read(one.id())).map(NewProjectFields::everything));
  }

  private NewProject made(Optional<StyleBundle> looks) {
    return new NewProject(name.getText(), typed(), film(), looks);
  }

  private static StyleBundle everything(Shelf kit) {
    return kit.bundle(
        Stream.concat(kit.styles().stream(), kit.swatches().stream()).map(Kept::id).toList());
  }

  private Optional<NewProject.Film> film() {
    if (!isFilm()) {
      return Optional.empty();
    }
    FrameRate wanted = rate.getValue();
    long frames = new Timecode(wanted, false).parse(duration.getText());
    Time time = wanted.at(frames);
    if (time.compareTo(Time.ZERO) <= 0) {
      throw new IllegalArgumentException(Messages.of("new-project.no-duration"));
    }
    return Optional.of(new NewProject.Film(wanted, time));
  }
}
