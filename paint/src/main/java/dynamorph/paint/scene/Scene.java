package dynamorph.paint.scene;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.CaretPlace;
import dynamorph.typeset.layout.TextLayout;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;

/**
 * A project with everything resolved and placed, and set when it is asked for. Immutable; what did
 * not change is shared with the scene before.
 */
public final class Scene {
  /**
   * An artboard, the colour it is painted with, and its texts in paint order.
   *
   * @param at the moment that is seen, for a film of which only that is
   */
  public record Board(
      Artboard artboard, Rgba background, List<PlacedLayer> texts, Optional<Time> at) {
    /** An artboard with all its texts, whenever they are seen. */
    public Board(Artboard artboard, Rgba background, List<PlacedLayer> texts) {
      this(artboard, background, texts, Optional.empty());
    }

    /** A film with the texts that are seen at some moment of a stretch of time. */
    public Board liveBetween(Time from, Time to) {
      return new Board(
          artboard,
          background,
          texts.stream()
              .filter(
                  text -> text.layer().timing().filter(own -> own.overlaps(from, to)).isPresent())
              .toList(),
          Optional.of(from));
    }

    /** A film as it is at one moment: the texts that are seen, the lowest track first. */
    public Board liveAt(Time moment) {
      Timeline timeline = artboard.timeline().orElseThrow();
      Map<TrackId, Integer> order = new HashMap<>();
      for (Track track : timeline.tracks()) {
        if (!track.state().hidden()) {
          order.put(track.id(), -order.size());
        }
      }
      List<PlacedLayer> live = new ArrayList<>();
      for (PlacedLayer text : texts) {
        Optional<Timing> timing = text.layer().timing();
        if (timing.isPresent()
            && timing.get().isLive(moment)
            && order.containsKey(timing.get().track())) {
          live.add(text);
        }
      }
      live.sort(
          Comparator.comparing(text -> order.get(text.layer().timing().orElseThrow().track())));
      return new Board(artboard, background, List.copyOf(live), Optional.of(moment));
    }

    /** Where the artboard lies on the plane. */
    public Box onPlane() {
      return new Box(artboard.x(), artboard.y(), artboard.width(), artboard.height());
    }
  }

  /** A text and the artboard it stands on. */
  public record Found(Board board, PlacedLayer text) {}

  private final Project project;
  private final Cascade cascade;
  private final List<Board> boards;
  private final LinkedPlaces linked;
  private final Map<LayerId, Found> byId;

  private Scene(Project project, Cascade cascade, LinkedPlaces linked, List<Board> boards) {
    this.project = project;
    this.linked = linked;
    this.cascade = cascade;
    this.boards = List.copyOf(boards);
    this.byId = new HashMap<>();
    for (Board board : boards) {
      for (PlacedLayer text : board.texts()) {
        byId.put(text.layer().id(), new Found(board, text));
      }
    }
  }

  static Scene of(Project project, Optional<Scene> before, SceneMaker maker) {
    Cascade cascade =
        before.map(scene -> scene.cascade.follow(project)).orElseGet(() -> Cascade.of(project));
    boolean sameStyles = before.isPresent() && before.get().cascade == cascade;
    LinkedPlaces linked =
        LinkedPlaces.of(
            project, cascade, maker, before.map(scene -> scene.linked).orElse(LinkedPlaces.NONE));
    Map<ArtboardId, Board> known = new HashMap<>();
    if (sameStyles) {
      before.get().boards.forEach(board -> known.put(board.artboard().id(), board));
    }
    List<Board> boards = new ArrayList<>();
    for (Artboard artboard : project.artboards()) {
      Board earlier = known.get(artboard.id());
      boolean same =
          earlier != null
              && earlier.artboard() == artboard
              && linked.on(artboard).equals(before.orElseThrow().linked.on(artboard));
      boards.add(same ? earlier : board(artboard, before, sameStyles, cascade, linked, maker));
    }
    return new Scene(project, cascade, linked, boards);
  }

  private static Board board(
      Artboard artboard,
      Optional<Scene> before,
      boolean sameStyles,
      Cascade cascade,
      LinkedPlaces linked,
      SceneMaker maker) {
    List<PlacedLayer> texts = new ArrayList<>(artboard.layers().size());
    Map<LayerId, PlacedLayer> boxes = linked.on(artboard);
    for (Layer layer : artboard.layers()) {
      if (layer.state().hidden()) {
        continue; // nothing that comes of a scene shows it
      }
      PlacedLayer box = boxes.get(layer.id());
      if (box != null) {
        texts.add(box);
        continue;
      }
      Optional<Found> found =
          before
              .map(scene -> scene.byId.get(layer.id()))
              .filter(known -> !known.text.isLinked())
              .filter(known -> known.board.artboard().width() == artboard.width())
              .filter(known -> known.board.artboard().height() == artboard.height());
      boolean same = sameStyles && found.filter(known -> known.text.layer() == layer).isPresent();
      texts.add(
          same ? found.get().text : place(artboard, layer, cascade, maker, found.orElse(null)));
    }
    return new Board(artboard, cascade.colour(artboard.background()), List.copyOf(texts));
  }

  static PlacedLayer place(
      Artboard artboard, Layer layer, Cascade cascade, SceneMaker maker, @Nullable Found found) {
    ResolvedLayer look = cascade.resolve(layer).inBox().on(artboard.width(), artboard.height());
    Layer dressed = cascade.dressed(layer);
    if (found != null
        && found.text.look().equals(look)
        && found.text.story().equals(dressed.story())) {
      return found.text.as(layer);
    }
    return PlacedLayer.of(artboard, layer, dressed, look, maker);
  }

  /** What can be seen of a project: its still artboards, or one film at one moment. */
  public sealed interface Sight {
    /** The artboards that are no films. */
    record Still() implements Sight {}

    /** One film at one moment. */
    record Film(ArtboardId artboard, Time at) implements Sight {}
  }

  /** This scene with only what is in sight. */
  public Scene in(Sight sight) {
    List<Board> seen =
        switch (sight) {
          case Sight.Still _ ->
              boards.stream().filter(board -> !board.artboard().isFilm()).toList();
          case Sight.Film(ArtboardId film, Time at) ->
              board(film).stream()
                  .filter(board -> board.artboard().isFilm())
                  .map(board -> board.liveAt(at))
                  .toList();
        };
    boolean all = seen.size() == boards.size() && sight instanceof Sight.Still;
    return all ? this : new Scene(project, cascade, linked, seen);
  }

  /** This scene with only the texts of a film, those that are seen nearest to a moment first. */
  public Scene near(Sight.Film sight) {
    Comparator<PlacedLayer> byDistance =
        Comparator.comparingLong(text ->
            text.layer()
                .timing()
                .map(own -> Math.abs(own.in().ticks() - sight.at().ticks()))
                .orElse(Long.MAX_VALUE));
    return new Scene(
        project,
        cascade,
        linked,
        board(sight.artboard()).stream()
            .map(board ->
                new Board(
                    board.artboard(),
                    board.background(),
                    board.texts().stream().sorted(byDistance).limit(NEAR).toList()))
            .toList());
  }

  /** Texts that are near a moment, at most. */
  private static final int NEAR = 100;

  /** This scene with only what a film will show soon. */
  public Scene soon(Sight.Film sight, Time ahead) {
    return new Scene(
        project,
        cascade,
        linked,
        board(sight.artboard()).stream()
            .map(board -> board.liveBetween(sight.at(), sight.at().plus(ahead)))
            .toList());
  }

  public Project project() {
    return project;
  }

  public Cascade cascade() {
    return cascade;
  }

  public List<Board> boards() {
    return boards;
  }

  public Optional<Board> board(ArtboardId id) {
    return boards.stream().filter(board -> board.artboard().id().equals(id)).findFirst();
  }

  public Optional<Found> find(LayerId id) {
    return Optional.ofNullable(byId.get(id));
  }

  /**
   * Where a place in the words of a text shows: of the boxes that the text flows through the one
   * that a caret there stands in, or the last that is in sight.
   *
   * @param text any box of the text
   */
  public Optional<Found> showing(LayerId text, CaretPlace place) {
    Optional<Found> shown = Optional.empty();
    for (LayerId box : LinkedBoxes.of(project).chain(text)) {
      Optional<Found> found = find(box);
      if (found.isPresent()) {
        shown = found;
        TextLayout layout = found.get().text().layout();
        boolean behind = place.trailing() && layout.rest().orElse(-1) == place.offset();
        if (behind || layout.reaches(place.offset())) {
          return found;
        }
      }
    }
    return shown;
  }

  /** The boxes that are in sight of those that a text flows through, in order. */
  public List<Found> boxes(LayerId text) {
    return LinkedBoxes.of(project).chain(text).stream().flatMap(box -> find(box).stream()).toList();
  }

  /** The topmost text at a point of the plane that is not locked, give or take some points. */
  public Optional<Found> at(double planeX, double planeY, double tolerance) {
    for (Board board : boards.reversed()) {
      for (PlacedLayer text : board.texts().reversed()) {
        double x = planeX - board.artboard().x();
        double y = planeY - board.artboard().y();
        Box near = new Box(x, y, 0, 0).grown(tolerance, tolerance);
        if (!text.layer().state().locked() && text.mayTouch(near) && text.isHit(x, y, tolerance)) {
          return Optional.of(new Found(board, text));
        }
      }
    }
    return Optional.empty();
  }

  /** The texts that a box of the plane touches and that are not locked, in paint order. */
  public List<Found> touching(Box onPlane) {
    List<Found> touched = new ArrayList<>();
    for (Board board : boards) {
      Box own = onPlane.moved(-board.artboard().x(), -board.artboard().y());
      for (PlacedLayer text : board.texts()) {
        if (!text.layer().state().locked() && text.mayTouch(own) && text.bounds().overlaps(own)) {
          touched.add(new Found(board, text));
        }
      }
    }
    return touched;
  }

  /**
   * Sets the texts that have not been asked for yet.
   *
   * @param enough asked before each; when it says so the rest is left
   */
  public void setRest(BooleanSupplier enough) {
    for (Board board : boards) {
      for (PlacedLayer text : board.texts()) {
        if (enough.getAsBoolean()) {
          return;
        }
        text.ink();
      }
    }
  }

  /** The artboard at a point of the plane. */
  public Optional<Board> boardAt(double planeX, double planeY) {
    return boards.reversed().stream()
        .filter(board -> board.onPlane().contains(planeX, planeY))
        .findFirst();
  }

  /** The box around all artboards on the plane. */
  public Box bounds() {
    return boards.stream().map(Board::onPlane).reduce(Box::with).orElse(new Box(0, 0, 800, 600));
  }
}
