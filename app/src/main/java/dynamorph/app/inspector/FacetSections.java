package dynamorph.app.inspector;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Editors;
import dynamorph.app.field.Tips;
import dynamorph.app.finish.FinishEditor;
import dynamorph.app.message.Messages;
import dynamorph.app.property.PropertyCell;
import dynamorph.app.property.Subject;
import dynamorph.app.session.Workspace;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.TextCase;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.shape.JoiningScripts;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * The facets with a row for each property, the same for the selection and for a style on the desk.
 */
public final class FacetSections extends VBox {
  private static final double LABEL_WIDTH = 88;

  /**
   * Properties that stand beside each other in one row, by the row's label; all others have a row
   * of their own.
   */
  record Pair(String label, Property<?> first, @Nullable Property<?> second) {}

  private static final List<Pair> PAIRS =
      List.of(
          new Pair(Messages.of("facet-sections.size-slant"), Properties.SIZE, Properties.SLANT),
          new Pair(
              Messages.of("facet-sections.align-indent"),
              Properties.ALIGNMENT,
              Properties.INDENT_FIRST),
          new Pair(
              Messages.of("facet-sections.indents"),
              Properties.INDENT_START,
              Properties.INDENT_END),
          new Pair(
              Messages.of("facet-sections.space-before-after"),
              Properties.SPACE_BEFORE,
              Properties.SPACE_AFTER),
          new Pair("X, Y", Properties.POSITION_X, Properties.POSITION_Y),
          new Pair(Messages.of("facet-sections.x-y-share"), Properties.SHARE_X, Properties.SHARE_Y),
          new Pair(Messages.of("facet-sections.box-rotation"), Properties.BOX, Properties.ROTATION),
          new Pair(
              Messages.of("facet-sections.width-height"),
              Properties.BOX_WIDTH,
              Properties.BOX_HEIGHT),
          new Pair(
              Messages.of("facet-sections.scale"),
              Properties.HORIZONTAL_SCALE,
              Properties.VERTICAL_SCALE),
          new Pair(
              Messages.of("facet-sections.before-after"),
              Properties.HYPHENATE_BEFORE,
              Properties.HYPHENATE_AFTER),
          new Pair(
              Messages.of("facet-sections.consecutive-zone"),
              Properties.CONSECUTIVE_HYPHENS,
              Properties.HYPHENATE_ZONE),
          new Pair(
              Messages.of("facet-sections.hanging"), Properties.HANG_START, Properties.HANG_END),
          new Pair(
              Messages.of("facet-sections.lines-letters"),
              Properties.DROP_LINES,
              Properties.DROP_LETTERS),
          new Pair(
              Messages.of("facet-sections.offset-thickness"),
              Properties.DECORATION_OFFSET,
              Properties.DECORATION_THICKNESS),
          new Pair(
              Messages.of("facet-sections.columns-gutter"), Properties.COLUMNS, Properties.GUTTER));

  /** Properties whose editors need the whole width. */
  private static final Set<Property<?>> WIDE =
      Set.of(
          Properties.FONT_AXES,
          Properties.STYLISTIC_SETS,
          Properties.FONT_FEATURES,
          Properties.NESTED_STYLES);

  /**
   * What is changed most stands first: the face, its size and colour are seen without scrolling.
   */
  private static final List<Facet> IN_ORDER_OF_USE =
      List.of(
          Facet.TYPEFACE,
          Facet.SPACING,
          Facet.FINISH,
          Facet.PARAGRAPH,
          Facet.LETTERFORMS,
          Facet.PLACEMENT);

  /** Properties below which it is said what the font or the script makes of them. */
  private static final Set<Property<?>> HINTED =
      Set.of(Properties.CASE, Properties.SCRIPT_POSITION, Properties.TRACKING);

  private static final int PREVIEW_WIDTH = 60;
  private static final int PREVIEW_HEIGHT = 22;

  private final Editors editors;
  private final Supplier<Subject> subject;
  private final Workspace workspace;
  private final List<PropertyCell<?>> cells = new ArrayList<>();
  private final List<Runnable> summaries = new ArrayList<>();
  private final List<Row> rows = new ArrayList<>();
  private final List<Fold> folds = new ArrayList<>();
  private final List<VBox> sections = new ArrayList<>();
  private final Map<Property<?>, ImageView> previews = new HashMap<>();
  private final Map<Property<?>, Label> hints = new HashMap<>();
  private final FinishEditor finish;
  private Optional<FontFace> shownFont = Optional.empty();
  private final Map<Facet, Node> byFacet = new java.util.EnumMap<>(Facet.class);
  private final TextField search = new TextField();
  private boolean words = true;
  private final Label nothingFound = new Label(Messages.of("facet-sections.no-property"));
  private String wanted = "";

  public FacetSections(Workspace workspace, Editors editors, Supplier<Subject> subject) {
    this.workspace = workspace;
    this.editors = editors;
    this.subject = subject;
    this.finish = new FinishEditor(workspace, editors, subject);
    getStyleClass().add("facets");
    search.setId("find-property");
    search.setPromptText(Messages.of("facet-sections.find-a-property"));
    search.setAccessibleText(Messages.of("facet-sections.find-a-property"));
    search.getStyleClass().add("find-property");
    search.textProperty().addListener((_, _, words) -> find(words));
    HBox searchRow = new HBox(search);
    HBox.setHgrow(search, Priority.ALWAYS);
    searchRow.getStyleClass().add("find-property-row");
    nothingFound.getStyleClass().add("quiet");
    nothingFound.setId("no-property-found");
    nothingFound.setWrapText(true);
    nothingFound.managedProperty().bind(nothingFound.visibleProperty());
    nothingFound.setVisible(false);
    getChildren().addAll(searchRow, nothingFound);
    for (Facet facet : IN_ORDER_OF_USE) {
      Node section = facet == Facet.FINISH ? finish : section(facet);
      byFacet.put(facet, section);
      getChildren().add(section);
    }
  }

  /** Shows one value alone, as if it had been searched for; the finish is shown whole. */
  public void reveal(PropertyKey<?> key) {
    search.setText(key.property().facet() == Facet.FINISH ? "" : key.property().label());
    Node row = lookup("#" + key.path().replace('/', '-'));
    if (row != null) {
      row.requestFocus();
    }
  }

  /** Hides what only words have, or shows it again. */
  public void forWords(boolean wanted) {
    if (words != wanted) {
      words = wanted;
      showRows();
    }
  }

  private Node section(Facet facet) {
    Label title = new Label(facet.label());
    title.getStyleClass().add("section-title");
    Label summary = new Label();
    summary.getStyleClass().add("quiet");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head = new HBox(8, title, gap, summary);
    head.setAlignment(Pos.CENTER_LEFT);
    VBox section = new VBox(4, head);
    section.getStyleClass().add("facet");
    Map<String, List<Property<?>>> groups =
        Properties.of(facet)
            .collect(
                Collectors.groupingBy(Property::group, LinkedHashMap::new, Collectors.toList()));
    List<PropertyKey<?>> everyday = new ArrayList<>();
    FlowPane chips = new FlowPane(4, 4);
    chips.getStyleClass().add("fold-chips");
    List<Fold> own = new ArrayList<>();
    groups.forEach((group, properties) -> {
      if (group.isEmpty()) {
        properties.forEach(property -> everyday.add(property.key()));
        section.getChildren().add(grid(properties, rows));
      } else {
        Fold fold =
            new Fold(properties.getFirst().groupLabel(), properties, this::grid, this::updateAll);
        folds.add(fold);
        own.add(fold);
        chips.getChildren().add(fold.chip());
      }
    });
    if (!own.isEmpty()) {
      section.getChildren().add(chips);
      section.getChildren().addAll(own);
    }
    summaries.add(() -> summary.setText(summary(everyday)));
    sections.add(section);
    return section;
  }

  /** Says in the facet's head where its values come from, if that is one place. */
  private String summary(List<PropertyKey<?>> keys) {
    Subject now = subject.get();
    long local = keys.stream().filter(key -> now.mark(key) == Subject.Mark.LOCAL).count();
    if (local > 0) {
      return Messages.of("count.local", local);
    }
    boolean anyStyle = keys.stream().anyMatch(key -> now.mark(key) == Subject.Mark.STYLE);
    return anyStyle ? "" : Messages.of("facet-sections.not-in-a-style");
  }

  private GridPane grid(List<Property<?>> properties, List<Row> into) {
    GridPane grid = new GridPane(6, 4);
    ColumnConstraints labels = new ColumnConstraints(LABEL_WIDTH);
    ColumnConstraints half = new ColumnConstraints();
    half.setHgrow(Priority.ALWAYS);
    half.setPrefWidth(92);
    grid.getColumnConstraints().addAll(labels, half, half);
    int row = 0;
    for (Property<?> property : properties) {
      if (PAIRS.stream().anyMatch(pair -> property.equals(pair.second))) {
        continue;
      }
      Pair pair =
          PAIRS.stream()
              .filter(candidate -> candidate.first.equals(property))
              .findFirst()
              .orElse(new Pair(property.label(), property, null));
      into.add(addRow(grid, row++, pair));
    }
    return grid;
  }

  private Row addRow(GridPane grid, int row, Pair pair) {
    Label label = Controls.rowLabel(pair.label);
    Tips.on(label, pair.first.help());
    PropertyCell<?> first = cell(pair.first.key());
    first.nudgeBy(label);
    grid.add(label, 0, row);
    List<Node> nodes = new ArrayList<>(List.of(label, first));
    if (pair.second != null) {
      grid.add(first, 1, row);
      PropertyCell<?> second = cell(pair.second.key());
      grid.add(second, 2, row);
      nodes.add(second);
    } else if (WIDE.contains(pair.first)) {
      grid.getChildren().remove(label);
      nodes.remove(label);
      grid.add(first, 0, row, 3, 1);
    } else if (HINTED.contains(pair.first)) {
      Label hint = new Label();
      hint.getStyleClass().addAll("quiet", "hint");
      hint.setId("hint-" + pair.first.id());
      hint.managedProperty().bind(hint.visibleProperty());
      VBox withHint = new VBox(1, first, hint);
      grid.add(withHint, 1, row, 2, 1);
      nodes.add(withHint);
      hints.put(pair.first, hint);
    } else if (!FeatureRows.of(pair.first).isEmpty()) {
      grid.add(first, 1, row);
      ImageView preview = new ImageView();
      preview.setFitWidth(PREVIEW_WIDTH);
      preview.setFitHeight(PREVIEW_HEIGHT);
      grid.add(preview, 2, row);
      nodes.add(preview);
      previews.put(pair.first, preview);
    } else {
      grid.add(first, 1, row, 2, 1);
    }
    return new Row(pair, nodes);
  }

  private <T> PropertyCell<T> cell(PropertyKey<T> key) {
    PropertyCell<T> cell = new PropertyCell<>(key, editors, subject, workspace);
    cells.add(cell);
    return cell;
  }

  /** Shows the values as they are now. */
  public void update() {
    Subject now = subject.get();
    if (now.isEmpty()) {
      return;
    }
    cells.forEach(cell -> cell.update(now));
    summaries.forEach(Runnable::run);
    folds.forEach(fold -> fold.update(now));
    finish.update(now);
    hints.forEach((property, hint) -> {
      String words = editors.face().current().map(face -> hint(property, face)).orElse("");
      hint.setText(words);
      hint.setVisible(!words.isEmpty());
    });
    offerWhatTheFontHas();
  }

  /**
   * Whether small letters are the font's own or made by hand, and what tracking does where letters
   * join; empty where nothing of that is asked for.
   */
  private String hint(Property<?> property, FontFace face) {
    Subject now = subject.get();
    if (property.equals(Properties.TRACKING)) {
      double tracking = now.shown(Properties.TRACKING.key()).value().orElse(0.0);
      if (tracking == 0 || !lettersJoin()) {
        return "";
      }
      return tracking > 0 && face.covers(TATWEEL)
          ? Messages.of("facet-sections.a-join-in-each-word-is-lengthened")
          : Messages.of("facet-sections.joined-letters-are-not-tracked");
    }
    if (property.equals(Properties.CASE)) {
      TextCase chosen = now.shown(Properties.CASE.key()).value().orElse(TextCase.AS_TYPED);
      return switch (chosen) {
        case SMALL_CAPITALS ->
            face.has("smcp") ? OWN : Messages.of("facet-sections.made-from-capitals");
        case ALL_SMALL_CAPITALS ->
            face.has("smcp") && face.has("c2sc")
                ? OWN
                : Messages.of("facet-sections.made-from-capitals");
        default -> "";
      };
    }
    ScriptPosition chosen =
        now.shown(Properties.SCRIPT_POSITION.key()).value().orElse(ScriptPosition.NORMAL);
    return switch (chosen) {
      case NORMAL -> "";
      case SUPERSCRIPT ->
          face.has("sups")
              ? Messages.of("facet-sections.the-fonts-own-where-it-has")
              : MADE_SMALLER;
      case SUBSCRIPT ->
          face.has("subs")
              ? Messages.of("facet-sections.the-fonts-own-where-it-has")
              : MADE_SMALLER;
    };
  }

  private static final int TATWEEL = 0x640;

  private boolean lettersJoin() {
    return workspace.texts().stream()
        .flatMap(id -> workspace.project().layer(id).stream())
        .anyMatch(layer -> JoiningScripts.anyJoin(layer.story().text()));
  }

  private static final String OWN = Messages.of("facet-sections.the-fonts-own");
  private static final String MADE_SMALLER = Messages.of("facet-sections.made-smaller-and-heavier");

  /** Also what was just made. */
  private void updateAll() {
    shownFont = Optional.empty();
    update();
  }

  /** Rows of features show only what the font that shows has, unless a value is set there. */
  private void offerWhatTheFontHas() {
    Optional<FontFace> font = editors.face().current();
    if (font.equals(shownFont)) {
      return;
    }
    shownFont = font;
    previews.forEach((property, view) -> {
      Optional<String> tag = FeatureRows.of(property).stream().findFirst();
      Optional<String> letters = font.flatMap(face -> tag.flatMap(face::example));
      view.setVisible(letters.isPresent());
      letters.ifPresent(sample ->
          editors
              .face()
              .show(
                  view,
                  sample,
                  PropertySet.EMPTY.with(
                      Properties.FONT_FEATURES, FeatureSettings.NONE.with(tag.orElseThrow(), 1)),
                  PREVIEW_WIDTH,
                  PREVIEW_HEIGHT));
    });
    showRows();
  }

  /** Shows only rows whose names hold the words; all rows for none. */
  private void find(String words) {
    wanted = words.strip().toLowerCase(Locale.ROOT);
    showRows();
  }

  private void showRows() {
    boolean searching = !wanted.isEmpty();
    folds.forEach(fold -> fold.search(searching, searching && fold.holds(wanted)));
    List<Row> all = new ArrayList<>(rows);
    folds.forEach(fold -> all.addAll(fold.rows()));
    all.forEach(row -> row.show(isShown(row)));
    folds.forEach(fold -> fold.offer(!searching || fold.rows().stream().anyMatch(this::isShown)));
    finish.setVisible(!searching);
    finish.setManaged(!searching);
    for (VBox section : sections) {
      boolean any =
          !searching
              || section.getChildren().stream()
                  .skip(1)
                  .anyMatch(part ->
                      part instanceof Fold fold
                          ? fold.isVisible()
                          : rows.stream().anyMatch(row -> row.isIn(part) && isShown(row)));
      boolean meant = words || section == byFacet.get(Facet.PLACEMENT);
      section.setVisible(any && meant);
      section.setManaged(any && meant);
    }
    nothingFound.setVisible(searching && sections.stream().noneMatch(Node::isVisible));
  }

  private boolean isShown(Row row) {
    boolean has =
        shownFont.isEmpty()
            || FeatureRows.has(shownFont.get(), row.pair.first)
            || subject.get().mark(row.pair.first.key()) != Subject.Mark.DEFAULT;
    return has && (wanted.isEmpty() || row.matches(wanted));
  }

  /** One row of a grid. */
  record Row(Pair pair, List<Node> nodes) {
    boolean matches(String words) {
      return names(pair.first, words) || pair.second != null && names(pair.second, words);
    }

    static boolean names(Property<?> property, String words) {
      return property.label().toLowerCase(Locale.ROOT).contains(words)
          || property.id().contains(words)
          || property.groupLabel().toLowerCase(Locale.ROOT).contains(words)
          || property.help().toLowerCase(Locale.ROOT).contains(words);
    }

    boolean isIn(Node grid) {
      return nodes.getFirst().getParent() == grid;
    }

    void show(boolean shown) {
      nodes.forEach(node -> {
        node.setVisible(shown);
        node.setManaged(shown);
      });
    }
  }
}
