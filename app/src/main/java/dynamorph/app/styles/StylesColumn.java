package dynamorph.app.styles;

import dynamorph.app.background.PictureService;
import dynamorph.app.background.Studio;
import dynamorph.app.theme.Theme;
import dynamorph.app.workspace.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** All styles of the project as specimens, by group, derived ones tucked under their base. */
public final class StylesColumn extends VBox {
  /** Which styles are listed. */
  private enum Show {
    ALL("all styles"),
    FOLLOWED("followed by the selection"),
    DEVIATING("with local changes"),
    UNUSED("unused");

    private final String label;

    Show(String label) {
      this.label = label;
    }

    @Override
    public String toString() {
      return label;
    }
  }

  private final Workspace workspace;
  private final Supplier<Studio> studio;
  private final PictureService pictures;
  private final ObservableValue<Theme> theme;
  private final Button keep = new Button("Keep this look\u2026");
  private final TextField filter = new TextField();
  private final ComboBox<Show> show = new ComboBox<>();
  private final VBox list = new VBox();
  private final ScrollPane scroll = new ScrollPane();
  private final Map<StyleId, StyleCard> cards = new HashMap<>();
  private final CardGestures gestures;
  private List<StyleId> order = List.of();
  private Cascade cascade;

  public StylesColumn(
      Workspace workspace,
      Supplier<Studio> studio,
      PictureService pictures,
      ObservableValue<Theme> theme,
      CardGestures gestures) {
    this.workspace = workspace;
    this.studio = studio;
    this.pictures = pictures;
    this.theme = theme;
    this.gestures = gestures;
    this.cascade = Cascade.of(workspace.project());
    getStyleClass().add("styles-column");
    setId("styles");
    scroll.setContent(list);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    list.getStyleClass().add("style-list");
    getChildren().addAll(head(), filters(), scroll);
    gestures.attach(this);
    workspace.shownProperty().addListener((_, _, _) -> update());
    workspace.historyProperty().addListener((_, _, _) -> update());
    workspace.selectionProperty().addListener((_, _, _) -> markCards());
    workspace
        .pickedStyleProperty()
        .addListener((_, _, picked) -> {
          markCards();
          picked.flatMap(this::card).ifPresent(this::reveal);
        });
    workspace.deskProperty().addListener((_, _, _) -> markCards());
    theme.addListener((_, _, _) -> update());
    update();
  }

  private Node head() {
    Label title = new Label("Styles");
    title.getStyleClass().add("column-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    keep.setId("keep-look");
    keep.setTooltip(new Tooltip("Keep the look of the selection as a style  Ctrl+K"));
    keep.setOnAction(_ -> workspace.keepingProperty().set(true));
    HBox head = new HBox(8, title, gap, keep);
    head.setAlignment(Pos.CENTER_LEFT);
    return head;
  }

  private Node filters() {
    filter.setPromptText("Filter");
    filter.setAccessibleText("Filter styles");
    filter.textProperty().addListener((_, _, _) -> update());
    show.getItems().addAll(Show.values());
    show.setValue(Show.ALL);
    show.setMinWidth(70);
    show.setPrefWidth(96);
    show.setAccessibleText("Which styles are listed");
    show.valueProperty().addListener((_, _, _) -> update());
    HBox.setHgrow(filter, Priority.ALWAYS);
    return new HBox(6, filter, show);
  }

  /** Puts the keyboard into the column. */
  public void focusFirst() {
    order.stream().findFirst().map(cards::get).ifPresent(Node::requestFocus);
  }

  /** Scrolls until a card shows whole. */
  void reveal(StyleCard card) {
    scroll.applyCss();
    scroll.layout();
    double visible = scroll.getViewportBounds().getHeight();
    double room = list.getHeight() - visible;
    double top = card.getBoundsInParent().getMinY();
    double bottom = card.getBoundsInParent().getMaxY();
    double shown = scroll.getVvalue() * room;
    if (room <= 0 || top >= shown && bottom <= shown + visible) {
      return;
    }
    double wanted = top < shown ? top - REVEAL_MARGIN : bottom - visible + REVEAL_MARGIN;
    scroll.setVvalue(Math.clamp(wanted / room, 0, 1));
  }

  /** Space left between a revealed card and the edge of the list. */
  private static final double REVEAL_MARGIN = 8;

  Optional<StyleCard> card(StyleId id) {
    return Optional.ofNullable(cards.get(id));
  }

  /** The card so many places further down. */
  Optional<StyleCard> neighbour(StyleId id, int by) {
    int index = order.indexOf(id) + by;
    return index >= 0 && index < order.size() ? card(order.get(index)) : Optional.empty();
  }

  private void update() {
    Project project = workspace.shownProperty().get();
    cascade = cascade.follow(project);
    Followers followers = Followers.of(workspace.project());
    Map<String, List<StyleOrder.Entry>> groups =
        StyleOrder.of(project.styles(), style -> wanted(style, followers));
    List<Node> rows = new ArrayList<>();
    List<StyleId> shownOrder = new ArrayList<>();
    groups.forEach((group, entries) -> {
      rows.add(groupHead(group, entries.size()));
      for (StyleOrder.Entry entry : entries) {
        rows.add(cardFor(project, followers, entry));
        shownOrder.add(entry.style().id());
      }
    });
    if (rows.isEmpty()) {
      rows.add(emptyState(project));
    }
    order = List.copyOf(shownOrder);
    if (!list.getChildren().equals(rows)) {
      list.getChildren().setAll(rows);
    }
    cards.keySet().retainAll(project.styles().stream().map(Style::id).toList());
    markCards();
  }

  private boolean wanted(Style style, Followers followers) {
    boolean kind =
        switch (show.getValue()) {
          case ALL -> true;
          case FOLLOWED -> followedBySelection().contains(style.id());
          case DEVIATING -> deviating(followers, style) > 0;
          case UNUSED -> followers.of(style.id()).isEmpty();
        };
    String text = filter.getText().strip().toLowerCase(java.util.Locale.ROOT);
    String words =
        style.name()
            + " "
            + style.group()
            + " "
            + style.level().label()
            + " "
            + cascade.values(style).get(Properties.FONT_FAMILY.key()).orElse("");
    return kind && words.toLowerCase(java.util.Locale.ROOT).contains(text);
  }

  private static long deviating(Followers followers, Style style) {
    return followers.direct(style.id()).stream()
        .filter(follower -> follower.localChanges() > 0)
        .count();
  }

  private final Map<String, Node> groupHeads = new HashMap<>();

  private Node groupHead(String group, int size) {
    return groupHeads.computeIfAbsent(
        group + " " + size,
        _ -> {
          Label name = new Label(group.isEmpty() ? "Base" : group);
          name.getStyleClass().add("group-title");
          Region gap = new Region();
          HBox.setHgrow(gap, Priority.ALWAYS);
          Label count = new Label(String.valueOf(size));
          count.getStyleClass().add("quiet");
          HBox head = new HBox(name, gap, count);
          head.getStyleClass().add("group-head");
          return head;
        });
  }

  private Node emptyState(Project project) {
    Label words =
        new Label(
            project.styles().size() == 0
                ? "No styles yet.\n\nMake one text look right, select it and press \u201cKeep this look\u2026\u201d."
                : "No style matches.");
    words.setWrapText(true);
    words.getStyleClass().addAll("quiet", "empty-state");
    return words;
  }

  private StyleCard cardFor(Project project, Followers followers, StyleOrder.Entry entry) {
    Style style = entry.style();
    StyleCard card = cards.computeIfAbsent(style.id(), id -> gestures.install(new StyleCard(), id));
    boolean base = project.baseStyle().filter(style.id()::equals).isPresent();
    int count = followers.of(style.id()).size();
    card.show(style, entry.depth(), count, deviating(followers, style), base);
    drawSpecimen(project, followers, card, entry);
    return card;
  }

  /** What a specimen depends on; the values may refer to swatches, so the palette is part of it. */
  private record SpecimenKey(
      Studio studio,
      PropertySet values,
      Palette palette,
      StyleLevel level,
      String words,
      Rgba background,
      int width,
      double scale) {}

  private void drawSpecimen(
      Project project, Followers followers, StyleCard card, StyleOrder.Entry entry) {
    Style style = entry.style();
    int width = (int) (StyleCard.WIDTH - entry.depth() * StyleCard.INDENT) - 2;
    double scale =
        getScene() == null || getScene().getWindow() == null
            ? 1
            : getScene().getWindow().getOutputScaleX();
    Rgba background = background(project, followers, style);
    Studio with = studio.get();
    Cascade now = cascade;
    String words = style.sample().isBlank() ? style.name() : style.sample();
    pictures.show(
        card.specimen,
        new SpecimenKey(
            with,
            now.values(style),
            project.palette(),
            style.level(),
            words,
            background,
            width,
            scale),
        () ->
            with.specimens()
                .specimen(
                    now, style, words, background, width, (int) StyleCard.SPECIMEN_HEIGHT, scale));
  }

  /** The artboard colour that the style is seen on most, so that pale letters show. */
  private Rgba background(Project project, Followers followers, Style style) {
    Map<Rgba, Integer> seen = new LinkedHashMap<>();
    Set<dynamorph.model.LayerId> ids = new HashSet<>();
    List<Followers.Follower> all = followers.direct(style.id());
    all.stream().limit(50).map(Followers.Follower::layer).map(Layer::id).forEach(ids::add);
    for (Artboard board : project.artboards()) {
      long count =
          ids.isEmpty()
              ? 0
              : board.layers().stream().filter(layer -> ids.contains(layer.id())).count();
      if (count > 0) {
        seen.merge(project.palette().colour(board.background()), (int) count, Integer::sum);
      }
    }
    int most = seen.values().stream().mapToInt(Integer::intValue).max().orElse(0);
    return seen.entrySet().stream()
        .filter(entry -> entry.getValue() == most)
        .findFirst()
        .map(Map.Entry::getKey)
        .orElse(new Rgba(0xFFFBF8F1));
  }

  private Set<StyleId> followedBySelection() {
    Set<StyleId> followed = new HashSet<>();
    workspace
        .selection()
        .layers()
        .forEach(id ->
            workspace.project().layer(id).map(Followers::followed).ifPresent(followed::addAll));
    return followed;
  }

  private void markCards() {
    Optional<StyleId> picked =
        workspace
            .deskProperty()
            .get()
            .map(desk -> desk.original().id())
            .or(() -> workspace.pickedStyleProperty().get());
    Set<StyleId> followed = followedBySelection();
    cards.forEach(
        (id, card) -> card.mark(picked.filter(id::equals).isPresent(), followed.contains(id)));
    keep.setDisable(workspace.selection().isEmpty() || workspace.deskProperty().get().isPresent());
  }
}
