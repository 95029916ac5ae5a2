package dynamorph.app.styles.keep;

import static java.util.Objects.requireNonNull;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.Follow;
import dynamorph.model.edit.style.KeepStyle;
import dynamorph.model.edit.style.Proposal;
import dynamorph.model.property.Aspect;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.survey.StyleSimilarity;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import org.jspecify.annotations.Nullable;

/**
 * The save step: lists every value that could be included, ticked where it differs from what the
 * text has without it.
 */
public final class KeepPane extends VBox {
  private final Workspace workspace;
  private final Label heading = new Label(Messages.of("keep-pane.keep-this-look-as-a-style"));
  private final Label from = new Label();
  private final TextField name = new TextField();
  private final TextField group = new TextField();
  private final ComboBox<Optional<Style>> base = Controls.baseStyles();
  private final ComboBox<StyleLevel> level = new ComboBox<>();
  private final VBox alike = new VBox(4);
  private boolean reading;
  private final KeepList list = new KeepList(this::updateCount);
  private final VBox same = new VBox(4);
  private final Label count = new Label();
  private final Button keep = new Button(Messages.of("keep-pane.keep-style"));
  private final CheckBox shelfToo = new CheckBox(Messages.of("keep-pane.on-the-shelf-too"));
  private final Consumer<StyleId> putOnShelf;
  private @Nullable Proposal offered;

  /**
   * @param putOnShelf puts a style of the project on the shelf too
   */
  public KeepPane(Workspace workspace, Consumer<StyleId> putOnShelf) {
    this.workspace = workspace;
    this.putOnShelf = putOnShelf;
    getStyleClass().add("keep-pane");
    setId("keep-pane");
    ScrollPane scroll = Controls.scrolled(list);
    getChildren().addAll(head(), presets(), scroll, buttons());
    workspace
        .attempts()
        .follow(
            Attempt::isKeeping,
            opening -> {
              if (opening && !open()) {
                workspace.attempts().closeKeeping();
              }
            });
  }

  private Proposal proposal() {
    return requireNonNull(offered);
  }

  private VBox head() {
    heading.getStyleClass().add("section-title");
    from.getStyleClass().add("quiet");
    name.setId("keep-name");
    GridPane grid = new GridPane(6, 4);
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(new ColumnConstraints(72), wide);
    grid.addRow(0, Controls.rowLabel(Messages.of("common.name")), name);
    grid.addRow(1, Controls.rowLabel(Messages.of("keep-pane.group")), group);
    grid.addRow(2, Controls.rowLabel(Messages.of("keep-pane.based-on")), base);
    grid.addRow(3, Controls.rowLabel(Messages.of("keep-pane.level")), level);
    level.getItems().setAll(StyleLevel.values());
    level.setId("keep-level");
    level.setMaxWidth(Double.MAX_VALUE);
    level.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(StyleLevel shown) {
            return shown == null ? "" : shown.label();
          }

          @Override
          public StyleLevel fromString(String text) {
            return StyleLevel.TEXT;
          }
        });
    level
        .valueProperty()
        .addListener((_, _, wanted) -> {
          if (!reading && wanted != null && offered != null && wanted != offered.level()) {
            read(Optional.of(wanted));
          }
        });
    base.valueProperty()
        .addListener((_, _, _) -> {
          if (!reading) {
            warn();
          }
        });
    alike.setId("keep-alike");
    same.setId("keep-same");
    same.managedProperty().bind(same.visibleProperty());
    VBox head =
        new VBox(
            6, Controls.titled(heading, "guide#keep-the-look-as-a-style"), from, grid, same, alike);
    head.getStyleClass().add("inspector-head");
    return head;
  }

  private Node presets() {
    FlowPane row =
        new FlowPane(
            6,
            4,
            preset(
                Messages.of("keep-pane.only-what-differs"),
                key -> proposal().different().contains(key)),
            preset(Messages.of("keep-pane.all"), key -> key.property().facet() != Facet.PLACEMENT),
            preset(
                Messages.of("keep-pane.without-font"),
                key -> proposal().different().contains(key) && !Aspect.FONT.covers(key)),
            preset(
                Messages.of("keep-pane.without-colours"),
                key -> proposal().different().contains(key) && !Aspect.COLOURS.covers(key)),
            preset(
                Messages.of("keep-pane.placement-too"),
                key ->
                    proposal().different().contains(key)
                        || key.property().facet() == Facet.PLACEMENT));
    row.getStyleClass().add("presets");
    return row;
  }

  private Button preset(String label, Predicate<PropertyKey<?>> included) {
    Button button = new Button(label);
    button.getStyleClass().add("pill");
    button.setOnAction(_ -> {
      list.tickOnly(included);
    });
    return button;
  }

  private Node buttons() {
    keep.getStyleClass().add("commit");
    keep.setId("keep-style");
    keep.setOnAction(_ -> keep());
    Button cancel = new Button(Messages.of("common.cancel"));
    cancel.setOnAction(_ -> workspace.attempts().closeKeeping());
    name.setOnAction(_ -> keep());
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    count.getStyleClass().add("quiet");
    HBox row = new HBox(8, keep, cancel, gap, count);
    row.setAlignment(Pos.CENTER_LEFT);
    shelfToo.setId("keep-on-shelf");
    Tips.on(shelfToo, Messages.of("keep-pane.on-the-shelf-help"));
    VBox rows = new VBox(6, shelfToo, row);
    rows.getStyleClass().add("keep-buttons");
    return rows;
  }

  /** Reads the look of the selection anew. Returns whether there is one to keep. */
  private boolean open() {
    return read(Optional.empty());
  }

  private boolean read(Optional<StyleLevel> wanted) {
    Target target = workspace.target();
    try {
      offered =
          wanted
              .map(one -> Proposal.of(workspace.project(), target, one))
              .orElseGet(() -> Proposal.of(workspace.project(), target));
    } catch (EditRefused nothing) {
      workspace.tell(Notice.problem(Messages.reason(nothing)));
      return false;
    }
    reading = true;
    from.setText(
        Messages.of(
            "keep-pane.a-style-from",
            proposal().level().label(),
            (proposal().sample().isBlank()
                ? Messages.of("keep-pane.the-selection")
                : "\u201c" + proposal().sample() + "\u201d")));
    level.setValue(proposal().level());
    name.setText(proposal().name());
    group.setText(proposal().group());
    base.getItems().clear();
    base.getItems().add(Optional.empty());
    workspace.project().styles().stream()
        .filter(style -> style.level() == proposal().level())
        .forEach(style -> base.getItems().add(Optional.of(style)));
    base.setValue(proposal().basedOn().flatMap(workspace.project().styles()::find));
    reading = false;
    buildList();
    name.requestFocus();
    name.selectAll();
    return true;
  }

  /** Says which styles look the same or nearly so, and offers to follow one of them instead. */
  private void warn() {
    alike.getChildren().clear();
    StyleSimilarity.of(
            workspace.project(),
            style(new StyleId("candidate"), Messages.of("keep-pane.candidate")))
        .stream()
        .limit(2)
        .forEach(found -> alike.getChildren().add(warning(found)));
  }

  private Node warning(StyleSimilarity.Alike found) {
    String differing =
        found.differences().stream()
            .map(key -> key.property().label().toLowerCase(java.util.Locale.ROOT))
            .distinct()
            .collect(Collectors.joining(", "));
    Label words =
        new Label(
            "\u201c"
                + found.style().name()
                + (found.isEqual()
                    ? Messages.of("keep-pane.looks-the-same")
                    : Messages.of("keep-pane.is-nearly-the-same-other", differing)));
    words.setWrapText(true);
    words.getStyleClass().add("problem-text");
    words.setMaxWidth(Double.MAX_VALUE);
    words.setMinHeight(Region.USE_PREF_SIZE);
    HBox.setHgrow(words, Priority.ALWAYS);
    Hyperlink follow = new Hyperlink(Messages.of("keep-pane.follow-it"));
    follow.setMinWidth(Region.USE_PREF_SIZE);
    follow.setOnAction(_ -> {
      workspace.attempts().closeKeeping();
      workspace.apply(Follow.replacing(proposal().source(), found.style().id()).droppingLocal());
    });
    HBox row = new HBox(6, words, follow);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private Style style(StyleId id, String called) {
    Optional<StyleId> basedOn =
        base.getValue() == null ? Optional.empty() : base.getValue().map(Style::id);
    return proposal()
        .style(id, called, list.included(), basedOn)
        .withGroup(group.getText().strip());
  }

  private void buildList() {
    String than =
        proposal()
            .basedOn()
            .flatMap(workspace.project().styles()::find)
            .map(Style::name)
            .orElse(Messages.of("keep-pane.plain-text"));
    list.show(workspace.project(), proposal(), than);
    tellIfNothingDiffers(than);
    updateCount();
  }

  /**
   * A text that looks as what it follows needs no style of its own; says so and what else to do.
   */
  private void tellIfNothingDiffers(String than) {
    boolean nothing = proposal().different().isEmpty();
    same.setVisible(nothing);
    Label words = new Label(Messages.of("keep-pane.nothing-differs", than));
    words.setWrapText(true);
    words.setMinHeight(Region.USE_PREF_SIZE);
    Hyperlink all = new Hyperlink(Messages.of("keep-pane.include-all"));
    all.setId("keep-include-all");
    all.setOnAction(_ -> list.tickOnly(key -> key.property().facet() != Facet.PLACEMENT));
    Hyperlink derive = new Hyperlink(Messages.of("keep-pane.keep-derived"));
    derive.setOnAction(_ -> keep());
    same.getChildren().setAll(words, new FlowPane(8, 2, all, derive));
  }

  private void updateCount() {
    count.setText(Messages.of("keep-pane.of-values", list.included().size(), list.size()));
    warn();
  }

  private void keep() {
    if (name.getText().isBlank()) {
      workspace.tell(Notice.problem(Messages.of("keep-pane.give-the-style-a-name")));
      return;
    }
    if (workspace.project().styles().named(name.getText()).isPresent()) {
      workspace.tell(
          Notice.problem(
              Messages.of("keep-pane.there-is-a-style-called-already", name.getText().strip())));
      return;
    }
    StyleId id = new StyleId(workspace.ids().next("style"));
    Style style = style(id, name.getText());
    if (workspace.apply(new KeepStyle(proposal().source(), style))) {
      workspace.attempts().closeKeeping();
      workspace.pickedStyleProperty().set(Optional.of(id));
      if (shelfToo.isSelected()) {
        // which tells about it
        putOnShelf.accept(id);
        return;
      }
      workspace.tell(
          Notice.info(Messages.of("keep-pane.kept-select-other-texts-and-click", style.name())));
    }
  }
}
