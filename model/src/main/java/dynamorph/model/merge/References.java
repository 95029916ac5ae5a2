package dynamorph.model.merge;

import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.ImageUse;
import dynamorph.model.style.NamedReferences;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleReferences;
import dynamorph.model.style.Swatch;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Colour;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Keeps what one side took away while the other put it to use. */
final class References {
  private final Project mine;
  private final Project theirs;

  References(Project mine, Project theirs) {
    this.mine = mine;
    this.theirs = theirs;
  }

  /** The tracks of a film, with those that its cues and titles lie on. */
  Artboard withTracks(Artboard board) {
    if (board.timeline().isEmpty()) {
      return board;
    }
    Timeline line = board.timeline().get();
    List<TrackId> wanted =
        board.layers().stream().map(Layer::track).flatMap(Optional::stream).distinct().toList();
    List<Track> tracks =
        completed(
            line.tracks(),
            wanted,
            Track::id,
            project ->
                project.artboards().stream()
                    .flatMap(one -> one.timeline().stream())
                    .flatMap(one -> one.tracks().stream()));
    return tracks.equals(line.tracks())
        ? board
        : board.withTimeline(Optional.of(line.withTracks(tracks)));
  }

  /** The styles, with those that are followed or based upon. */
  List<Style> styles(List<Style> styles, List<Artboard> boards, Optional<StyleId> base) {
    Set<StyleId> wanted = new LinkedHashSet<>(base.stream().toList());
    for (Artboard board : boards) {
      board.baseStyle().ifPresent(wanted::add);
      for (Layer layer : board.layers()) {
        wanted.addAll(Followers.followed(layer));
        layer.locals().forEach(local -> wanted.addAll(StyleReferences.in(local)));
      }
      captions(board)
          .forEach(track -> {
            wanted.addAll(track.follows());
            wanted.addAll(track.speakers().values());
          });
    }
    List<Style> all = styles;
    while (true) {
      all.forEach(style -> {
        style.basedOn().ifPresent(wanted::add);
        wanted.addAll(StyleReferences.in(style.properties()));
      });
      List<Style> more = completed(all, wanted, Style::id, project -> project.styles().stream());
      if (more.size() == all.size()) {
        return all;
      }
      all = more;
    }
  }

  /** The swatches, with those that something is painted with. */
  List<Swatch> swatches(List<Swatch> swatches, List<Style> styles, List<Artboard> boards) {
    Set<String> wanted = new LinkedHashSet<>(NamedReferences.in(values(styles, boards)).swatches());
    for (Artboard board : boards) {
      if (board.background() instanceof Colour.SwatchReference(String swatch)) {
        wanted.add(swatch);
      }
    }
    return completed(
        swatches, wanted, Swatch::id, project -> project.palette().swatches().stream());
  }

  /** The assets, with the images that are shown. */
  List<Asset> assets(List<Asset> assets, List<Style> styles, List<Artboard> boards) {
    Set<String> images = ImageUse.in(styles, boards);
    Predicate<Asset> shown = asset -> asset.isImage() && images.contains(asset.shortName());
    List<String> wanted =
        Stream.concat(mine.assets().stream(), theirs.assets().stream())
            .filter(shown)
            .map(Asset::name)
            .distinct()
            .toList();
    return completed(assets, wanted, Asset::name, project -> project.assets().stream());
  }

  private static Stream<Track.Captions> captions(Artboard board) {
    return board.timeline().stream().flatMap(Timeline::captions);
  }

  private static List<PropertySet> values(List<Style> styles, List<Artboard> boards) {
    List<PropertySet> values = new ArrayList<>();
    styles.forEach(style -> values.add(style.properties()));
    for (Artboard board : boards) {
      captions(board).forEach(track -> values.add(track.local()));
      for (Layer layer : board.layers()) {
        layer.locals().forEach(values::add);
      }
    }
    return values;
  }

  /** A list with what is wanted and was taken away, out of the side that still has it. */
  private <K, T> List<T> completed(
      List<T> list, Iterable<K> wanted, Function<T, K> id, Function<Project, Stream<T>> all) {
    Set<K> there = new HashSet<>();
    list.forEach(item -> there.add(id.apply(item)));
    List<T> completed = new ArrayList<>(list);
    for (K key : wanted) {
      if (there.add(key)) {
        Stream.of(mine, theirs)
            .flatMap(all)
            .filter(item -> id.apply(item).equals(key))
            .findFirst()
            .ifPresent(completed::add);
      }
    }
    return completed;
  }
}
