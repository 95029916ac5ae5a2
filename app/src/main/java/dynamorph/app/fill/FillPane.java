package dynamorph.app.fill;

import dynamorph.app.artboards.stage.ShownWhole;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.files.Dialogs;
import dynamorph.app.message.Messages;
import dynamorph.app.render.LatestWork;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Review;
import dynamorph.app.session.TableFill;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.FillArtboards;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.fill.DataTable;
import dynamorph.model.fill.Field;
import dynamorph.model.fill.FilledArtboard;
import dynamorph.model.fill.RowRanges;
import dynamorph.model.text.TextRange;
import dynamorph.paint.fill.RowProblem;
import dynamorph.paint.scene.Scene;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;
import org.pcollections.TreePVector;

/**
 * Makes an artboard of each row of a table after the one that is the pattern: the stage shows all
 * of them, the pane goes through them row by row and tells what is wrong with which.
 */
public final class FillPane extends VBox {
  /** More problems than this are counted. */
  private static final int MOST_SHOWN = 40;

  private final Workspace workspace;
  private final StageView stage;
  private final ShownWhole whole;
  private final Supplier<Studio> studio;
  private final FillExport export;
  private final LatestWork<Request> work;
  private final Label title = new Label();
  private final Label counts = new Label();
  private final VBox content = new VBox(12);
  private final VBox problems = new VBox(4);
  private final TextField name = new TextField();
  private final TextField rows = new TextField();
  private final Label shown = new Label();
  private final Label wrong = new Label();
  private final Button commit = new Button();

  private List<FilledArtboard> filled = List.of();
  private int at;

  private String prefix = "";

  /** What is being set; what was asked for before counts no more. */
  private @Nullable Request asked;

  /** What the fields said when it was filled last. */
  private String typed = "";

  public FillPane(Workspace workspace, StageView stage, Supplier<Studio> studio, Dialogs dialogs) {
    this.workspace = workspace;
    this.stage = stage;
    this.whole = new ShownWhole(stage, () -> workspace.attempts().present().fill().isPresent());
    this.studio = studio;
    this.export = new FillExport(workspace, studio, dialogs);
    this.work =
        new LatestWork<>(
            "fill",
            request -> {
              Result result = Result.of(request, studio.get());
              Platform.runLater(() -> show(result));
            },
            _ -> workspace.tell(Notice.problem(Messages.of("fill.broke-off"))));
    getStyleClass().add("settle-pane");
    setId("fill-pane");
    title.getStyleClass().add("section-title");
    title.setWrapText(true);
    title.setMinHeight(Region.USE_PREF_SIZE);
    counts.getStyleClass().add("quiet");
    wrong.getStyleClass().add("problem-text");
    wrong.setWrapText(true);
    name.setId("fill-name");
    rows.setId("fill-rows");
    rows.setPromptText(Messages.of("fill.all-rows"));
    shown.setId("fill-shown");
    Controls.onTyped(name, this::changed);
    Controls.onTyped(rows, this::changed);
    commit.getStyleClass().add("commit");
    commit.setId("fill-make");
    Tips.on(commit, Messages.of("fill.make-help"));
    commit.setOnAction(_ -> make());
    Button cancel = new Button(Messages.of("common.cancel"));
    cancel.setId("fill-cancel");
    cancel.setOnAction(_ -> {
      export.cancel();
      workspace.attempts().discardPending();
    });
    ScrollPane scroll = Controls.scrolled(content);
    getChildren()
        .addAll(
            new VBox(2, Controls.titled(title, "documents#tables"), counts),
            scroll,
            export,
            new HBox(8, commit, cancel));
    workspace.attempts().follow(Attempt::fill, table -> table.ifPresent(this::open));
    workspace
        .historyProperty()
        .addListener((_, _, _) ->
            workspace
                .attempts()
                .present()
                .fill()
                .filter(_ -> workspace.attempts().present().review().isEmpty())
                .ifPresent(this::list));
  }

  private Optional<Artboard> pattern(TableFill table) {
    return workspace.project().artboard(table.pattern());
  }

  private void open(TableFill table) {
    at = 0;
    prefix = workspace.ids().next("filled");
    name.setText("{" + named(table.table()) + "}");
    rows.setText("");
    list(table);
  }

  /** The first column that holds more than numbers. */
  private static String named(DataTable table) {
    for (int column = 0; column < table.columns().size(); column++) {
      int at = column;
      if (table.rows().stream().anyMatch(row -> row.cells().get(at).matches(".*\\p{L}.*"))) {
        return table.columns().get(column);
      }
    }
    return table.columns().getFirst();
  }

  private void list(TableFill table) {
    Optional<Artboard> pattern = pattern(table);
    if (pattern.isEmpty()) {
      return;
    }
    DataTable data = table.table();
    title.setText(Messages.of("fill.title", pattern.get().name(), table.name()));
    counts.setText(Messages.of("fill.counts", data.rows().size(), data.columns().size()));
    SequencedSet<String> columns = FilledArtboard.columns(pattern.get());
    content.getChildren().setAll(fields(table, pattern.get(), columns.isEmpty()));
    boolean usable = !columns.isEmpty();
    commit.setDisable(true);
    Controls.showOnly(export, usable);
    if (usable) {
      content
          .getChildren()
          .addAll(
              new VBox(4, Controls.quiet(Messages.of("fill.rows")), rows),
              new VBox(4, Controls.quiet(Messages.of("fill.name-of-each")), name),
              wrong,
              browser(),
              problems);
      fill(table);
    } else {
      commit.setText(Messages.of("fill.make-none"));
    }
  }

  /** The columns; one that is chosen becomes a field in the words of the pattern. */
  private Node fields(TableFill table, Artboard pattern, boolean none) {
    FlowPane chips = new FlowPane(6, 6);
    SequencedSet<String> used = FilledArtboard.columns(pattern);
    for (String column : table.table().columns()) {
      Button chip = new Button("{" + column + "}");
      chip.getStyleClass().add("pill");
      boolean there = used.stream().anyMatch(column::equalsIgnoreCase);
      chip.setDisable(there);
      Tips.on(
          chip,
          there
              ? Messages.of("fill.field-is-there", column)
              : Messages.of("fill.field-help", column));
      chip.setOnAction(_ -> insert(pattern, column));
      chips.getChildren().add(chip);
    }
    VBox box =
        new VBox(6, Controls.quiet(Messages.of(none ? "fill.no-fields" : "fill.columns")), chips);
    SequencedSet<String> missing = FilledArtboard.missing(pattern, table.table());
    if (!missing.isEmpty()) {
      Label problem =
          new Label(Messages.of("fill.missing", missing.size(), String.join(", ", missing)));
      problem.getStyleClass().add("problem-text");
      problem.setWrapText(true);
      box.getChildren().add(problem);
    }
    return box;
  }

  /**
   * Puts a field into the selected text, else into the first of the pattern: in place of its words,
   * or behind them where they have a field already.
   */
  private void insert(Artboard pattern, String column) {
    Optional<Layer> text =
        pattern.layers().stream()
            .filter(layer -> layer.isText() && isSelected(layer))
            .findFirst()
            .or(() -> pattern.layers().stream().filter(Layer::isText).findFirst());
    text.ifPresent(layer -> {
      workspace.attempts().withdrawReview();
      boolean first = Field.in(layer.story().text()).isEmpty();
      int end = layer.story().length();
      workspace.apply(
          new EditText(
              layer.id(),
              new TextRange(first ? 0 : end, end),
              new EditText.Replacement.Plain((first ? "" : " ") + "{" + column + "}")));
    });
  }

  /** Whether a text of the pattern is selected, or what a row made of it. */
  private boolean isSelected(Layer layer) {
    String ending = "-" + layer.id().value();
    return workspace.selection().layers().stream()
        .map(LayerId::value)
        .anyMatch(
            id -> id.equals(layer.id().value()) || id.startsWith(prefix) && id.endsWith(ending));
  }

  private Node browser() {
    Button back = new Button("\u2039");
    back.setId("fill-back");
    back.setAccessibleText(Messages.of("fill.row-before"));
    Tips.on(back, Messages.of("fill.row-before"));
    back.setOnAction(_ -> go(at - 1));
    Button on = new Button("\u203A");
    on.setId("fill-on");
    on.setAccessibleText(Messages.of("fill.row-after"));
    Tips.on(on, Messages.of("fill.row-after"));
    on.setOnAction(_ -> go(at + 1));
    HBox browser = new HBox(6, back, shown, on);
    HBox.setHgrow(shown, Priority.ALWAYS);
    shown.setMaxWidth(Double.MAX_VALUE);
    browser.setAlignment(Pos.CENTER_LEFT);
    return browser;
  }

  /** Shows the artboard of another row. */
  private void go(int wanted) {
    if (!filled.isEmpty()) {
      at = Math.floorMod(wanted, filled.size());
      Artboard board = filled.get(at).artboard();
      shown.setText(Messages.of("fill.row-of", at + 1, filled.size(), board.name()));
      whole.show(List.of(board));
    }
  }

  /** Leaving a field without having typed changes nothing. */
  private void changed() {
    if (typed.equals(rows.getText() + "\n" + name.getText())) {
      return;
    }
    workspace.attempts().present().fill().ifPresent(this::fill);
  }

  private void fill(TableFill table) {
    typed = rows.getText() + "\n" + name.getText();
    List<Integer> wanted;
    try {
      wanted = RowRanges.parse(rows.getText(), table.table().rows().size());
      Controls.showOnly(wrong, false);
    } catch (IllegalArgumentException none) {
      wrong.setText(Messages.reason(none));
      Controls.showOnly(wrong, true);
      commit.setDisable(true);
      return;
    }
    commit.setDisable(true);
    asked =
        new Request(
            new FillArtboards(table.pattern(), table.table(), wanted, name.getText(), prefix),
            workspace.project());
    work.ask(asked);
  }

  /** Rows that are to be set. */
  private record Request(FillArtboards fill, Project project) {}

  /** What a fill makes, and what is wrong with it. */
  private record Result(Request request, List<FilledArtboard> filled, List<RowProblem> problems) {
    static Result of(Request request, Studio studio) {
      List<FilledArtboard> filled = request.fill().filled(request.project());
      Scene scene =
          studio
              .maker()
              .make(
                  request
                      .project()
                      .withArtboards(
                          TreePVector.from(
                              filled.stream().map(FilledArtboard::artboard).toList())));
      return new Result(request, filled, RowProblem.of(request.fill(), filled, scene));
    }

    FillArtboards fill() {
      return request.fill();
    }
  }

  private void show(Result result) {
    if (workspace.attempts().present().fill().isEmpty() || result.request() != asked) {
      return;
    }
    filled = result.filled();
    List<Node> lines = new ArrayList<>();
    lines.add(
        Controls.quiet(
            result.problems().isEmpty()
                ? Messages.of("fill.no-problems")
                : Messages.of(
                    "fill.problems",
                    result.problems().stream().map(RowProblem::row).distinct().count())));
    result.problems().stream()
        .limit(MOST_SHOWN)
        .forEach(problem -> lines.add(line(result, problem)));
    if (result.problems().size() > MOST_SHOWN) {
      lines.add(
          Controls.quiet(Messages.of("survey.and-more", result.problems().size() - MOST_SHOWN)));
    }
    problems.getChildren().setAll(lines);
    commit.setText(Messages.of("fill.make", filled.size()));
    export.offer(filled);
    boolean possible =
        !filled.isEmpty()
            && workspace
                .attempts()
                .review(
                    new Review(
                        result.fill().label(workspace.project()),
                        new FillArtboards.Made(
                            result.fill(), filled.stream().map(FilledArtboard::artboard).toList()),
                        Messages.of("fill.make", filled.size())));
    commit.setDisable(!possible);
    if (possible) {
      stage.afterNextFrame(() -> go(Math.min(at, filled.size() - 1)));
    }
  }

  private Node line(Result result, RowProblem problem) {
    Hyperlink line =
        new Hyperlink(Messages.of("fill.problem-of-row", problem.row() + 1, problem.what()));
    line.setWrapText(true);
    line.setOnAction(_ -> go(result.fill().rows().indexOf(problem.row())));
    return line;
  }

  private void make() {
    List<Artboard> made = filled.stream().map(FilledArtboard::artboard).toList();
    workspace.attempts().commitPending();
    if (!workspace.attempts().present().isPending()) {
      whole.show(made);
      stage.requestFocus();
    }
  }

  /** Ends what is under way. */
  public void close() {
    export.cancel();
    work.close();
  }
}
