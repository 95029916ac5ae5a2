package dynamorph.app.document;

import dynamorph.app.artboards.stage.ShownWhole;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.render.LatestWork;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.DocumentImport;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Review;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.formats.document.DocumentPlan;
import dynamorph.formats.document.DocumentUpdate;
import dynamorph.formats.svg.DrawingPlan;
import dynamorph.model.ImportedDocument;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.document.Arrangement;
import dynamorph.model.document.DirectFormatting;
import dynamorph.model.document.StyleMapping;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.document.mapping.MappedDocument;
import dynamorph.model.document.mapping.MappingProposal;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.importing.ImportDocument;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.jspecify.annotations.Nullable;

/**
 * Settles where the words of a document stand and what its styles become; the stage shows at each
 * choice what would come of it. A document that was imported before updates its words.
 */
public final class DocumentPane extends VBox {
  private final Workspace workspace;
  private final StageView stage;
  private final Supplier<Studio> studio;
  private final Specimens specimens;
  private final ShownWhole whole;
  private final LatestWork<Plan> work;
  private final Label title = new Label();
  private final Label counts = new Label();
  private final VBox content = new VBox(12);
  private final VBox told = new VBox(4);
  private final Button commit = new Button();

  private StyleMapping mapping = new StyleMapping(java.util.Map.of(), DirectFormatting.EMPHASIS);
  private Arrangement arrangement = Arrangement.ARTBOARD_PER_SECTION;
  private Optional<String> beginning = Optional.empty();
  private boolean updating;

  /** Whether a drawing comes to stand on the artboard that is there. */
  private boolean onArtboard;

  private final Set<Integer> theirs = new HashSet<>();

  /** What is being planned; what was asked for before counts no more. */
  private @Nullable Plan asked;

  private boolean shown;

  public DocumentPane(
      Workspace workspace, StageView stage, Supplier<Studio> studio, Specimens specimens) {
    this.workspace = workspace;
    this.stage = stage;
    this.studio = studio;
    this.specimens = specimens;
    this.whole = new ShownWhole(stage, () -> workspace.attempts().present().document().isPresent());
    this.work =
        new LatestWork<>(
            "document",
            this::plan,
            _ -> workspace.tell(Notice.problem(Messages.of("document.broke-off"))));
    getStyleClass().add("settle-pane");
    setId("document-pane");
    title.getStyleClass().add("section-title");
    title.setWrapText(true);
    title.setMinHeight(Region.USE_PREF_SIZE);
    counts.getStyleClass().add("quiet");
    commit.getStyleClass().add("commit");
    commit.setId("document-import");
    commit.setOnAction(_ -> commit());
    Button cancel = new Button(Messages.of("common.cancel"));
    cancel.setId("document-cancel");
    Tips.on(cancel, Messages.of("style-deletion-pane.leave-everything-as-it-was-esc"));
    cancel.setOnAction(_ -> workspace.attempts().discardPending());
    ScrollPane scroll = Controls.scrolled(content);
    getChildren()
        .addAll(
            new VBox(2, Controls.titled(title, "documents"), counts),
            scroll,
            new HBox(8, commit, cancel));
    workspace.attempts().follow(Attempt::document, coming -> coming.ifPresent(this::open));
  }

  private Optional<ImportedDocument> before(DocumentImport coming) {
    return workspace.project().document(coming.document().name());
  }

  private void open(DocumentImport coming) {
    Project project = workspace.project();
    WrittenDocument document = coming.document();
    mapping = MappingProposal.of(project, document, coming.artboard());
    if (coming.drawing().isPresent()) {
      mapping = mapping.withDirect(DirectFormatting.ALL);
    }
    onArtboard = coming.drawing().filter(DocumentImport.Drawn::onArtboard).isPresent();
    beginning = document.sectionStyles().stream().findFirst();
    boolean empty =
        coming
            .artboard()
            .flatMap(project::artboard)
            .filter(board -> board.layers().isEmpty())
            .isPresent();
    arrangement =
        beginning.isEmpty() && empty ? Arrangement.ONE_TEXT : Arrangement.ARTBOARD_PER_SECTION;
    updating =
        before(coming)
            .filter(_ -> coming.drawing().isEmpty())
            .filter(known -> DocumentUpdate.isLaterState(project, known, document))
            .isPresent();
    theirs.clear();
    shown = false;
    title.setText(Messages.of("document.import-title", document.name()));
    counts.setText(
        coming
            .drawing()
            .map(drawn ->
                Messages.of(
                    "document.counts-of-drawing",
                    drawn.drawing().texts(),
                    document.used().size(),
                    drawn.drawing().items().size() - drawn.drawing().texts()))
            .orElseGet(
                () -> Messages.of("document.counts", document.written(), document.used().size())));
    list(coming);
    plan(coming);
  }

  // --- the choices

  private void list(DocumentImport coming) {
    content.getChildren().clear();
    if (coming.drawing().isEmpty()) {
      before(coming).ifPresent(_ -> content.getChildren().add(again(coming)));
    }
    if (updating) {
      commit.setText(Messages.of("document.update"));
      Tips.on(commit, Messages.of("document.update-help"));
    } else {
      commit.setText(Messages.of("document.import"));
      Tips.on(commit, Messages.of("document.import-help"));
      content
          .getChildren()
          .add(
              coming.drawing().isPresent()
                  ? new DrawingPlace(
                      coming.artboard().flatMap(workspace.project()::artboard),
                      onArtboard,
                      here -> {
                        onArtboard = here;
                        shown = false;
                        plan(coming);
                      })
                  : places(coming));
    }
    told.getChildren().clear();
    content.getChildren().add(told);
    VBox styles = new VBox(10, heading(Messages.of("document.styles")));
    for (WrittenDocument.Used used : coming.document().used()) {
      String key = used.style().key();
      styles
          .getChildren()
          .add(
              new StyleRow(
                  workspace.project(),
                  used,
                  mapping.of(key),
                  specimens,
                  now -> {
                    mapping = mapping.with(key, now);
                    plan(coming);
                  }));
    }
    if (!coming.document().used().isEmpty()) {
      content.getChildren().add(styles);
    }
    if (coming.drawing().isEmpty()) {
      content
          .getChildren()
          .add(
              new DirectChoice(
                  mapping.direct(),
                  kept -> {
                    mapping = mapping.withDirect(kept);
                    plan(coming);
                  }));
    }
  }

  private static Label heading(String words) {
    Label heading = new Label(words);
    heading.getStyleClass().add("section-title");
    return heading;
  }

  private Node again(DocumentImport coming) {
    HBox pills = new HBox(6);
    ToggleGroup group = new ToggleGroup();
    for (boolean update : List.of(true, false)) {
      ToggleButton pill =
          new ToggleButton(Messages.of(update ? "document.update-words" : "document.import-again"));
      pill.getStyleClass().add("pill");
      pill.setId(update ? "document-update-words" : "document-again");
      pill.setToggleGroup(group);
      pill.setSelected(updating == update);
      pill.setOnAction(_ -> {
        updating = update;
        shown = false;
        list(coming);
        plan(coming);
      });
      pills.getChildren().add(pill);
    }
    return new VBox(
        6,
        Controls.quiet(Messages.of(updating ? "document.was-imported" : "document.has-the-name")),
        pills);
  }

  private Node places(DocumentImport coming) {
    ComboBox<Arrangement> how = new ComboBox<>();
    how.setId("document-arrangement");
    how.setMaxWidth(Double.MAX_VALUE);
    how.setAccessibleText(Messages.of("document.where"));
    for (Arrangement one : Arrangement.values()) {
      if (one != Arrangement.INTO_TEXTS || !coming.texts().isEmpty()) {
        how.getItems().add(one);
      }
    }
    how.setConverter(converter(Arrangement::label));
    how.setValue(arrangement);
    VBox places = new VBox(6, heading(Messages.of("document.where")), how);
    VBox sections = sections(coming);
    Controls.showOnly(sections, arrangement.inSections());
    places.getChildren().add(sections);
    how.valueProperty()
        .addListener((_, _, now) -> {
          arrangement = now;
          shown = false;
          Controls.showOnly(sections, arrangement.inSections());
          plan(coming);
        });
    return places;
  }

  private VBox sections(DocumentImport coming) {
    List<WrittenStyle> styles =
        coming.document().sectionStyles().stream()
            .flatMap(key -> coming.document().style(key).stream())
            .toList();
    if (styles.isEmpty()) {
      return new VBox(Controls.quiet(Messages.of("document.no-headings")));
    }
    ComboBox<String> begin = new ComboBox<>();
    begin.setId("document-sections");
    begin.setMaxWidth(Double.MAX_VALUE);
    styles.forEach(style -> begin.getItems().add(style.key()));
    begin.setConverter(
        converter(key -> coming.document().style(key).map(WrittenStyle::name).orElse(key)));
    beginning.ifPresent(begin::setValue);
    begin
        .valueProperty()
        .addListener((_, _, now) -> {
          beginning = Optional.of(now);
          shown = false;
          plan(coming);
        });
    Label label = Controls.quiet(Messages.of("document.sections-begin-at"));
    label.setLabelFor(begin);
    return new VBox(4, label, begin);
  }

  private static <T> StringConverter<T> converter(java.util.function.Function<T, String> label) {
    return new StringConverter<>() {
      @Override
      public String toString(T value) {
        return value == null ? "" : label.apply(value);
      }

      @Override
      public T fromString(String text) {
        throw new UnsupportedOperationException(text);
      }
    };
  }

  // --- what would come of it

  /** What has been chosen so far. */
  private record Plan(
      Project project,
      DocumentImport coming,
      StyleMapping mapping,
      Arrangement arrangement,
      Optional<String> beginning,
      boolean onArtboard,
      Optional<ImportedDocument> updates,
      Set<Integer> theirs) {}

  private void plan(DocumentImport coming) {
    // what is shown is not yet what is chosen
    commit.setDisable(true);
    asked =
        new Plan(
            workspace.project(),
            coming,
            mapping,
            arrangement,
            beginning,
            onArtboard,
            updating ? before(coming) : Optional.empty(),
            Set.copyOf(theirs));
    work.ask(asked);
  }

  /** Beside the interface thread. */
  private void plan(Plan chosen) {
    WrittenDocument document = chosen.coming().document();
    try {
      if (chosen.updates().isPresent()) {
        DocumentUpdate update =
            DocumentUpdate.of(
                chosen.project(),
                chosen.updates().get(),
                document,
                chosen.mapping(),
                chosen.theirs());
        later(chosen, () -> show(chosen.coming(), update));
      } else {
        DocumentPlan plan = planned(chosen);
        later(chosen, () -> show(plan));
      }
    } catch (EditRefused refused) {
      later(chosen, () -> workspace.tell(Notice.problem(Messages.reason(refused))));
    }
  }

  private DocumentPlan planned(Plan chosen) {
    DocumentImport coming = chosen.coming();
    MappedDocument mapped =
        new MappedDocument(chosen.project(), coming.document(), chosen.mapping());
    return coming
        .drawing()
        .map(drawn ->
            DrawingPlan.of(
                mapped,
                drawn.drawing(),
                coming.artboard().filter(_ -> chosen.onArtboard()),
                studio.get().maker(),
                workspace.ids()))
        .orElseGet(() ->
            DocumentPlan.of(
                mapped,
                chosen.arrangement(),
                chosen.beginning(),
                new DocumentPlan.Around(coming.artboard(), coming.texts()),
                studio.get().maker(),
                workspace.ids()));
  }

  private void later(Plan of, Runnable show) {
    Platform.runLater(() -> {
      if (of == asked && workspace.attempts().present().document().isPresent()) {
        show.run();
      }
    });
  }

  private void show(DocumentPlan plan) {
    List<Node> lines = new ArrayList<>();
    lines.add(
        Controls.quiet(
            Messages.of(
                "document.plan",
                plan.texts(),
                plan.edit().artboards().size(),
                plan.edit().styles().size())));
    plan.remarks().forEach(remark -> lines.add(Controls.quiet(remark)));
    told.getChildren().setAll(lines);
    review(plan.edit(), Messages.of("document.import"));
  }

  private void show(DocumentImport coming, DocumentUpdate update) {
    List<Node> lines = new ArrayList<>();
    if (update.isEmpty()) {
      lines.add(Controls.quiet(Messages.of("document.nothing-changed")));
    } else if (update.changed() + update.added() + update.removed() > 0) {
      lines.add(
          Controls.quiet(
              Messages.of("document.updates", update.changed(), update.added(), update.removed())));
    }
    update.remarks().forEach(remark -> lines.add(Controls.quiet(remark)));
    for (int index = 0; index < update.conflicts().size(); index++) {
      int at = index;
      lines.add(
          new ConflictBox(
              index,
              update.conflicts().get(index),
              theirs.contains(index),
              taken -> {
                if (taken) {
                  theirs.add(at);
                } else {
                  theirs.remove(at);
                }
                plan(coming);
              }));
    }
    told.getChildren().setAll(lines);
    review(update.edit(), Messages.of("document.update"));
  }

  private void review(ImportDocument edit, String verb) {
    boolean possible =
        workspace.attempts().review(new Review(edit.label(workspace.project()), edit, verb));
    commit.setDisable(!possible);
    if (possible && !shown) {
      shown = true;
      stage.afterNextFrame(() -> reveal(edit));
    }
  }

  /** Shows all that comes, once for each way of placing it. */
  private void reveal(ImportDocument edit) {
    if (!edit.artboards().isEmpty()) {
      whole.show(edit.artboards());
    } else {
      texts(edit).stream().findFirst().ifPresent(stage::reveal);
    }
  }

  private static List<LayerId> texts(ImportDocument edit) {
    List<LayerId> texts = new ArrayList<>();
    edit.artboards().forEach(board -> board.layers().forEach(layer -> texts.add(layer.id())));
    edit.layers().values().forEach(layers -> layers.forEach(layer -> texts.add(layer.id())));
    texts.addAll(edit.stories().keySet());
    return texts;
  }

  private void commit() {
    Optional<ImportDocument> edit =
        workspace
            .attempts()
            .present()
            .review()
            .map(Review::edit)
            .filter(ImportDocument.class::isInstance)
            .map(ImportDocument.class::cast);
    workspace.attempts().commitPending();
    edit.filter(_ -> !workspace.attempts().present().isPending())
        .ifPresent(done -> {
          workspace.select(texts(done));
          stage.requestFocus();
        });
  }

  /** Ends what is under way. */
  public void close() {
    work.close();
  }
}
