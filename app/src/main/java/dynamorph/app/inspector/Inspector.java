package dynamorph.app.inspector;

import dynamorph.app.field.Editors;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.property.Subject;
import dynamorph.app.render.Pieces;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.MuteStyle;
import dynamorph.model.edit.style.ReorderFollowed;
import dynamorph.model.edit.style.StopFollowing;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** What the selection is made of: the styles it follows, its local changes, and every value. */
public final class Inspector extends VBox {
  private final Workspace workspace;
  private final Supplier<Parts> make;
  private @Nullable Parts parts;
  private final List<Node> unplaced = new ArrayList<>();
  private final Label title = new Label();
  private final Label names = new Label();
  private final FlowPane chips = new FlowPane(6, 4);
  private final HBox localRow = new HBox(8);
  private final Label localCount = new Label();
  private final VBox empty;
  private final ScrollPane scroll;
  private final VBox head;
  private Cascade cascade;
  private Subject subject;

  /**
   * @param editors makes the editors of the values, given where to ask for the subject
   * @param arranging where what is selected is arranged
   */
  public Inspector(
      Workspace workspace, Function<Supplier<Subject>, Editors> editors, Region arranging) {
    this.workspace = workspace;
    this.cascade = Cascade.of(workspace.project());
    this.subject = new SelectionSubject(workspace, cascade);
    this.make =
        () ->
            new Parts(
                new TimingSection(workspace),
                new RubySection(workspace, this::backToTheStage),
                new ShapeSection(workspace),
                new FacetSections(workspace, editors.apply(() -> subject), () -> subject));
    getStyleClass().add("inspector");
    setId("inspector");
    title.getStyleClass().add("section-title");
    names.getStyleClass().add("quiet");
    head = head();
    scroll = new ScrollPane();
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    empty = empty();
    getChildren().addAll(head, arranging, scroll, empty);
    workspace.historyProperty().addListener((_, _, _) -> update());
    workspace.selectionProperty().addListener((_, _, _) -> update());
    update();
  }

  /** Goes to where it is said how the selected letters are read; whether letters are selected. */
  public boolean askForRuby() {
    Parts made = parts();
    place(unplaced.size());
    return made.ruby.ask();
  }

  /** Shows one value alone, with the keyboard in it. */
  public void reveal(PropertyKey<?> key) {
    Parts made = parts();
    place(unplaced.size());
    made.sections.reveal(key);
  }

  /** What is shown of a selection: hundreds of controls, made when something is selected first. */
  private record Parts(
      TimingSection timing, RubySection ruby, ShapeSection figures, FacetSections sections) {
    void update(List<Layer> layers) {
      timing.update(layers);
      ruby.update();
      figures.update(layers);
      sections.forWords(layers.stream().anyMatch(Layer::isText));
      sections.update();
    }
  }

  /**
   * What makes the controls ready before something is selected, a piece at a time; whoever selects
   * something earlier has the rest made at once.
   */
  public List<Runnable> pieces() {
    List<Runnable> pieces = new ArrayList<>();
    pieces.add(this::parts);
    for (int facet = 0; facet < Facet.values().length; facet++) {
      pieces.add(() -> place(1));
    }
    pieces.add(() -> place(unplaced.size()));
    return pieces;
  }

  private Parts parts() {
    Parts made = parts;
    if (made == null) {
      made = make.get();
      parts = made;
      unplaced.addAll(made.sections.getChildren());
      made.sections.getChildren().clear();
      scroll.setContent(new VBox(made.timing, made.ruby, made.figures, made.sections));
    }
    return made;
  }

  /** Puts so many more of the sections into the window, where they are dressed. */
  private void place(int count) {
    List<Node> next = unplaced.subList(0, Math.min(count, unplaced.size()));
    parts().sections.getChildren().addAll(List.copyOf(next));
    next.clear();
  }

  private VBox head() {
    HBox first = new HBox(8, title, names);
    first.setAlignment(Pos.BASELINE_LEFT);
    names.setMinWidth(0);
    title.setMinWidth(Region.USE_PREF_SIZE);
    localCount.getStyleClass().add("local-count");
    localCount.setId("local-count");
    localCount.setMinWidth(Region.USE_PREF_SIZE);
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Hyperlink drop = new Hyperlink(Messages.of("common.drop"));
    drop.setId("drop-local");
    drop.setOnAction(_ -> {
      workspace.deviations().drop();
      backToTheStage();
    });
    Hyperlink save = new Hyperlink(Messages.of("inspector.save-into-style"));
    save.setId("save-into-style");
    save.setOnAction(_ -> {
      workspace.deviations().saveIntoStyle();
      backToTheStage();
    });
    localRow.getChildren().addAll(localCount, gap, drop, save, more());
    localRow.setAlignment(Pos.CENTER_LEFT);
    VBox box = new VBox(6, first, chips, localRow);
    box.getStyleClass().add("inspector-head");
    return box;
  }

  /** What else can be done about local changes. */
  private MenuButton more() {
    MenuButton more = new MenuButton("", new FontIcon(Feather.MORE_HORIZONTAL));
    more.setId("local-more");
    more.getStyleClass().add("quiet-menu");
    more.setAccessibleText(Messages.of("inspector.more-about-local-changes"));
    Tips.on(more, Messages.of("inspector.more-about-local-changes"));
    for (Facet facet : Facet.values()) {
      more.getItems()
          .add(
              item(
                  Messages.of("inspector.drop", facet.label().toLowerCase(java.util.Locale.ROOT)),
                  () -> workspace.deviations().drop(facet)));
    }
    more.getItems()
        .addAll(
            new SeparatorMenuItem(),
            item(
                Messages.of("inspector.make-a-derived-style-of-them"),
                workspace.deviations()::deriveStyle),
            item(
                Messages.of("inspector.drop-them-on-all-followers"),
                workspace.deviations()::dropOnAllFollowers),
            item(
                Messages.of("inspector.clear-all-formatting"),
                workspace.deviations()::clearFormatting));
    return more;
  }

  private static MenuItem item(String label, Runnable work) {
    MenuItem item = new MenuItem(label);
    item.setOnAction(_ -> work.run());
    return item;
  }

  private static VBox empty() {
    Label first = new Label(Messages.of("inspector.nothing-is-selected"));
    first.getStyleClass().add("section-title");
    Label hint = new Label(Messages.of("inspector.click-a-text-on-the-stage"));
    hint.setWrapText(true);
    hint.getStyleClass().add("quiet");
    VBox box = new VBox(8, first, hint);
    box.getStyleClass().add("empty-state");
    return box;
  }

  private List<Layer> selected() {
    Set<LayerId> ids = workspace.texts();
    return workspace.project().layers().filter(layer -> ids.contains(layer.id())).toList();
  }

  private void update() {
    cascade = cascade.follow(workspace.project());
    subject = new SelectionSubject(workspace, cascade);
    List<Layer> layers = selected();
    boolean any = !layers.isEmpty();
    if (any && parts == null) {
      // the stage shows first what is selected
      Pieces.afterNextPulse(this::makeAndUpdate);
      return;
    }
    for (Region part : List.of(head, scroll)) {
      part.setVisible(any);
      part.setManaged(any);
    }
    empty.setVisible(!any);
    empty.setManaged(!any);
    if (!any) {
      return;
    }
    place(unplaced.size());
    updateHead(layers);
    parts().update(layers);
  }

  private void makeAndUpdate() {
    parts();
    update();
  }

  private void updateHead(List<Layer> layers) {
    boolean words = workspace.selection().cursor().filter(at -> !at.range().isEmpty()).isPresent();
    List<Target.Words> passages = workspace.selection().passages();
    title.setText(
        words
            ? Messages.of("inspector.words-in-1-text")
            : passages.isEmpty() ? counted(layers) : workspace.target().label());
    List<Layer> named = layers.stream().limit(6).toList();
    names.setText(named.stream().map(Layer::name).collect(Collectors.joining(", ")) + box());
    Tips.on(names, named.stream().map(this::place).collect(Collectors.joining("\n")));
    updateChips(passages.isEmpty() ? layers : parts(layers, passages));
    int local =
        passages.isEmpty()
            ? layers.stream().mapToInt(LocalChanges::count).sum()
            : parts(layers, passages).stream()
                .mapToInt(
                    part -> LocalChanges.countInside(part, workspace.target().isOfParagraphs()))
                .sum();
    localCount.setText(Messages.of("count.local-change", local));
    localRow.setVisible(local > 0);
    localRow.setManaged(local > 0);
  }

  /** The texts with only the words that are selected, one for each place. */
  private static List<Layer> parts(List<Layer> layers, List<Target.Words> passages) {
    return passages.stream()
        .flatMap(passage ->
            layers.stream().filter(layer -> layer.id().equals(passage.layer())).map(passage::part))
        .toList();
  }

  /** Which of the boxes that its text flows through is selected. */
  private String box() {
    LayerId first = workspace.selection().layers().getFirst();
    List<LayerId> boxes = LinkedBoxes.of(workspace.project()).chain(first);
    boolean one = workspace.selection().layers().size() == 1;
    boolean words = workspace.selection().cursor().isPresent();
    if (!one || boxes.size() < 2) {
      return "";
    }
    return " \u00b7 "
        + (words
            ? Messages.of("inspector.in-boxes", boxes.size())
            : Messages.of("inspector.box-of", boxes.indexOf(first) + 1, boxes.size()));
  }

  private static String counted(List<Layer> layers) {
    boolean texts = layers.stream().allMatch(Layer::isText);
    boolean shapes = layers.stream().noneMatch(Layer::isText);
    return Messages.of(
        texts ? "count.text" : shapes ? "inspector.shapes" : "inspector.layers", layers.size());
  }

  /** The artboard and the name of a layer, as they are written. */
  private String place(Layer layer) {
    return workspace
        .project()
        .artboardOf(layer.id())
        .map(artboard -> artboard.name() + " \u00b7 " + layer.name())
        .orElse(layer.name());
  }

  private void updateChips(List<Layer> layers) {
    Project project = workspace.project();
    Map<StyleId, Long> followed = new LinkedHashMap<>();
    for (Layer layer : layers) {
      followed(layer).forEach(id -> followed.merge(id, 1L, Long::sum));
    }
    chips.getChildren().clear();
    Set<StyleId> ofTracks =
        layers.stream()
            .flatMap(layer -> project.captionsOf(layer).stream())
            .flatMap(track -> track.follows().stream())
            .collect(Collectors.toCollection(LinkedHashSet::new));
    if (!ofTracks.isEmpty()) {
      addTrackChips(project, ofTracks);
    }
    Label lead =
        new Label(
            followed.isEmpty()
                ? ofTracks.isEmpty()
                    ? Messages.of("inspector.follows-nothing")
                    : Messages.of("inspector.and-nothing-itself")
                : Messages.of("inspector.follows", layers.size()));
    lead.getStyleClass().add("quiet");
    chips.setAlignment(Pos.CENTER_LEFT);
    chips.getChildren().add(lead);
    followed.forEach((id, count) ->
        project
            .styles()
            .find(id)
            .ifPresent(style -> chips.getChildren().add(chip(style, count, layers.size()))));
    chips.getChildren().add(addOnTop(project));
  }

  /** What cues take from their track. */
  private void addTrackChips(Project project, Set<StyleId> ofTracks) {
    Label words = new Label(Messages.of("inspector.track-follows"));
    words.getStyleClass().add("quiet");
    chips.getChildren().add(words);
    for (StyleId id : ofTracks) {
      project
          .styles()
          .find(id)
          .ifPresent(style -> {
            MenuButton chip = new MenuButton(style.name());
            chip.getStyleClass().add("style-chip");
            chip.getItems()
                .add(
                    item(
                        Messages.of("inspector.edit-style"),
                        () -> workspace.attempts().openDesk(id)));
            chips.getChildren().add(chip);
          });
    }
  }

  /**
   * The styles that the layer follows, or the selected words in it: text styles first, then those
   * inside.
   */
  private List<StyleId> followed(Layer layer) {
    List<StyleId> inOrder = new ArrayList<>(layer.follows());
    Stream<StyleId> inside =
        workspace
            .selection()
            .cursor()
            .map(at -> layer.story().slice(at.range()))
            .map(words -> Followers.followed(layer.withStory(words)))
            .orElseGet(() -> Followers.followed(layer))
            .stream()
            .sorted();
    inside.filter(id -> !inOrder.contains(id)).forEach(inOrder::add);
    return inOrder;
  }

  private MenuButton chip(Style style, long count, int of) {
    MenuButton chip = new MenuButton(style.name() + (count < of ? " (" + count + ")" : ""));
    chip.getStyleClass().add("style-chip");
    List<Layer> layers = selected();
    Set<LayerId> ids = layers.stream().map(Layer::id).collect(Collectors.toSet());
    boolean muted = layers.stream().anyMatch(layer -> layer.muted().contains(style.id()));
    boolean stacked =
        layers.stream()
            .anyMatch(layer -> layer.follows().size() > 1 && layer.follows().contains(style.id()));
    chip.pseudoClassStateChanged(PseudoClass.getPseudoClass("muted"), muted);
    if (muted) {
      chip.setText(Messages.of("inspector.muted", chip.getText()));
    }
    chip.getItems()
        .addAll(
            item(
                Messages.of("inspector.edit-style"),
                () -> workspace.attempts().openDesk(style.id())),
            item(
                muted
                    ? Messages.of("inspector.unmute")
                    : Messages.of("inspector.mute-it-counts-for-nothing-here"),
                () -> workspace.apply(new MuteStyle(ids, style.id(), !muted))));
    if (stacked) {
      chip.getItems()
          .addAll(
              item(Messages.of("inspector.higher-priority"), () -> stack(ids, style, 1)),
              item(Messages.of("inspector.lower-priority"), () -> stack(ids, style, -1)),
              item(
                  Messages.of("inspector.keep-the-stack-as-one-style"),
                  workspace.deviations()::combine));
      dragToReorder(chip, ids, style);
    }
    chip.getItems()
        .addAll(
            new SeparatorMenuItem(),
            item(
                Messages.of("inspector.stop-following-keep-the-look"),
                () -> workspace.apply(new StopFollowing(target(), style.id(), true))),
            item(
                Messages.of("inspector.stop-following-fall-back"),
                () -> workspace.apply(new StopFollowing(target(), style.id(), false))));
    return chip;
  }

  private void stack(Set<LayerId> ids, Style style, int by) {
    workspace.apply(new ReorderFollowed(ids, style.id(), by));
  }

  /** A chip that is dragged over others takes the place of the one it is dropped on. */
  private void dragToReorder(MenuButton chip, Set<LayerId> ids, Style style) {
    double[] pressed = {0};
    chip.addEventFilter(MouseEvent.MOUSE_PRESSED, event -> pressed[0] = event.getSceneX());
    chip.addEventFilter(
        MouseEvent.MOUSE_RELEASED,
        event -> {
          if (Math.abs(event.getSceneX() - pressed[0]) < DRAG_THRESHOLD) {
            return;
          }
          List<javafx.scene.Node> all =
              chips.getChildren().stream()
                  .filter(node -> node.getStyleClass().contains("style-chip"))
                  .toList();
          for (javafx.scene.Node other : all) {
            boolean over =
                other
                    .localToScene(other.getBoundsInLocal())
                    .contains(event.getSceneX(), event.getSceneY());
            if (over && other != chip) {
              stack(ids, style, all.indexOf(other) - all.indexOf(chip));
              event.consume();
            }
          }
        });
  }

  /** How far the pointer moves before a click on a chip is a drag. */
  private static final double DRAG_THRESHOLD = 8;

  private MenuButton addOnTop(Project project) {
    MenuButton add = new MenuButton(Messages.of("inspector.add-on-top"));
    add.getStyleClass().add("quiet-menu");
    Map<String, Menu> groups = new LinkedHashMap<>();
    for (Style style : project.styles().list()) {
      Menu group =
          groups.computeIfAbsent(
              style.group().isEmpty() ? Messages.of("common.without-a-group") : style.group(),
              name -> new Menu(name));
      MenuItem item = new MenuItem(style.name());
      item.setOnAction(_ -> workspace.following().put(style.id(), true, false));
      group.getItems().add(item);
    }
    add.getItems().addAll(groups.values().stream().filter(Objects::nonNull).toList());
    return add;
  }

  private Target target() {
    return workspace.target();
  }

  /** What was clicked goes away; the keyboard then belongs to the stage, not to the next field. */
  private void backToTheStage() {
    javafx.scene.Node stage = getScene() == null ? null : getScene().lookup("#stage");
    if (stage != null) {
      stage.requestFocus();
    }
  }
}
