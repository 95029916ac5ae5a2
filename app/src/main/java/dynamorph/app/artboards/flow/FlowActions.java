package dynamorph.app.artboards.flow;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Conditions;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Placement;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.flow.FlowOn;
import dynamorph.model.edit.flow.LinkBoxes;
import dynamorph.model.edit.flow.UnlinkBox;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.BoxFit;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.geometry.Point2D;

/** What can be done with the boxes that a text flows through. */
public final class FlowActions {
  /** Between a box and a new one beside or below it, in points. */
  private static final double GAP = 12;

  /** How far off a new box lies where there is room neither beside nor below, in points. */
  private static final double OFFSET = 24;

  private static final Set<PropertyKey<?>> PLACES =
      Set.of(
          Properties.POSITION_X.key(),
          Properties.POSITION_Y.key(),
          Properties.SHARE_X.key(),
          Properties.SHARE_Y.key(),
          Properties.RELATIVE_TO.key(),
          Properties.BOX.key(),
          Properties.BOX_WIDTH.key(),
          Properties.BOX_HEIGHT.key(),
          Properties.BOX_SHARE.key());

  private final Workspace workspace;
  private final StageView stage;

  public FlowActions(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
  }

  public void register(Actions actions, Conditions when) {
    actions.add("flow.new-box", "", when.any(), this::flowOn);
    actions.add("flow.link", "", when.selected(), this::link);
    actions.add("flow.end", "", when.any(), this::end);
    actions.add("flow.select-boxes", "", when.any(), this::selectBoxes);
    actions.add("flow.grow", "", when.selected(), () -> fit(BoxFit.GROW));
    actions.add("flow.shrink", "", when.selected(), () -> fit(BoxFit.SHRINK));
  }

  private LinkedBoxes links() {
    return LinkedBoxes.of(workspace.project());
  }

  /** The box in hand: that with the caret, else the one that is selected. */
  private Optional<Scene.Found> box() {
    return workspace.selection().cursor().isPresent()
        ? workspace
            .selection()
            .cursor()
            .flatMap(at -> stage.scene().flatMap(scene -> scene.showing(at.layer(), at.place())))
        : workspace.selection().layers().stream().findFirst().flatMap(this::find);
  }

  private Optional<Scene.Found> find(LayerId id) {
    return stage.scene().flatMap(scene -> scene.find(id));
  }

  private void tell(String words) {
    workspace.tell(Notice.info(words));
  }

  // --- linking

  /** Lets the text that was selected first flow on into the others, in their order. */
  private void link() {
    List<LayerId> selected = List.copyOf(workspace.selection().layers());
    if (selected.size() < 2) {
      tell(Messages.of("flow.choose-two"));
      return;
    }
    List<LinkBoxes.Box> boxes = selected.stream().map(this::shown).toList();
    if (workspace.apply(new LinkBoxes(boxes))) {
      tell(Messages.of("flow.linked", links().chain(selected.getFirst()).size()));
    }
  }

  private LinkBoxes.Box shown(LayerId id) {
    return find(id)
        .map(found -> found.text().layout().box())
        .map(box -> new LinkBoxes.Box(id, box.width(), box.height()))
        .orElseGet(() -> {
          Placement given =
              workspace
                  .project()
                  .layer(id)
                  .map(Cascade.of(workspace.project())::placement)
                  .orElseThrow();
          return new LinkBoxes.Box(id, given.width(), given.height());
        });
  }

  /** Puts a box of the same size beside or below the one in hand; the text goes on in it. */
  private void flowOn() {
    Optional<Scene.Found> found =
        box().filter(box -> box.text().layer().isText() && !box.board().artboard().isFilm());
    if (found.isEmpty()) {
      tell(Messages.of("flow.choose-a-text"));
      return;
    }
    PlacedLayer from = found.get().text();
    Artboard board = found.get().board().artboard();
    Box size = from.layout().box();
    Project project = workspace.project();
    Layer text = project.layer(from.text()).orElseThrow();
    int boxes = links().chain(from.text()).size();
    Point2D shift = freePlace(found.get());
    PropertySet frame =
        inside(Cascade.of(project), from.layer())
            .with(Properties.POSITION_X, from.anchorX() + shift.getX())
            .with(Properties.POSITION_Y, from.anchorY() + shift.getY())
            .with(Properties.BOX, BoxFit.FIXED)
            .with(Properties.BOX_WIDTH, size.width())
            .with(Properties.BOX_HEIGHT, size.height());
    Layer box =
        Layer.of(
                workspace.ids().next("text"),
                Messages.of("flow.box-name", text.name(), boxes + 1),
                "")
            .withFrame(frame);
    LinkBoxes.Box before = new LinkBoxes.Box(from.layer().id(), size.width(), size.height());
    if (workspace.apply(new FlowOn(before, board.id(), box, size.width(), size.height()))) {
      workspace.select(List.of(box.id()));
      stage.reveal(box.id());
      stage.requestFocus();
    }
  }

  /** How a box is turned, divided and anchored, without where it is and how large. */
  private static PropertySet inside(Cascade cascade, Layer box) {
    PropertySet values = cascade.values(box);
    return values.where(key ->
        key.property().facet() == Facet.PLACEMENT
            && !PLACES.contains(key)
            && !Objects.equals(values.get(key), Optional.of(key.property().defaultValue())));
  }

  /** How far off a new box finds room on the artboard, without lying on other texts if it can. */
  private static Point2D freePlace(Scene.Found found) {
    Box own = found.text().bounds();
    Artboard board = found.board().artboard();
    Box all = new Box(0, 0, board.width(), board.height());
    List<Point2D> within =
        Stream.of(
                new Point2D(own.width() + GAP, 0),
                new Point2D(0, own.height() + GAP),
                new Point2D(-own.width() - GAP, 0))
            .filter(shift -> encloses(all, own.moved(shift.getX(), shift.getY())))
            .toList();
    return within.stream()
        .filter(shift ->
            found.board().texts().stream()
                .noneMatch(text ->
                    text.layer().isText()
                        && text.bounds().overlaps(own.moved(shift.getX(), shift.getY()))))
        .findFirst()
        .or(() -> within.stream().findFirst())
        .orElse(new Point2D(OFFSET, OFFSET));
  }

  private static boolean encloses(Box outer, Box inner) {
    return inner.x() >= outer.x()
        && inner.y() >= outer.y()
        && inner.right() <= outer.right()
        && inner.bottom() <= outer.bottom();
  }

  // --- ending

  /** Ends the flow before the box in hand; behind it if it is the first of its text. */
  private void end() {
    Optional<LayerId> cut =
        box()
            .map(found -> found.text().layer().id())
            .flatMap(id -> links().continues(id) ? Optional.of(id) : links().behind(id));
    if (cut.isEmpty()) {
      tell(Messages.of("flow.one-box"));
      return;
    }
    int from =
        links()
            .before(cut.get())
            .flatMap(this::find)
            .map(found -> found.text().layout().rest().orElse(Integer.MAX_VALUE))
            .orElse(Integer.MAX_VALUE);
    if (workspace.apply(new UnlinkBox(cut.get(), from))) {
      workspace.select(cut.stream().toList());
      tell(Messages.of("flow.ended"));
    }
  }

  private void selectBoxes() {
    workspace.select(
        workspace.texts().stream().flatMap(text -> links().chain(text).stream()).toList());
  }

  /** Lets boxes have the height of their text, or the text the size that fits. */
  private void fit(BoxFit fit) {
    workspace.apply(
        SetValues.of(new Target.Layers(workspace.selection().layers()), Properties.BOX.key(), fit));
  }
}
