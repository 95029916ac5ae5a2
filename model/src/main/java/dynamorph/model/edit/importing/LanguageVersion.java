package dynamorph.model.edit.importing;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.IdSource;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.pcollections.TreePVector;

/**
 * Adds artboards and caption tracks in another language, beside those that they were translated
 * from. They follow the same styles.
 *
 * @param language a BCP 47 tag
 * @param artboards new ones, in place
 * @param films those that get a track more
 */
public record LanguageVersion(
    String language, List<Artboard> artboards, Map<ArtboardId, Artboard> films) implements Edit {
  public LanguageVersion {
    artboards = List.copyOf(artboards);
    films = Map.copyOf(films);
  }

  /**
   * What translated texts make.
   *
   * @param edit adds it
   * @param cues how many cues the new tracks have
   * @param titles how many titles of films stay behind, since a film has one set of them
   */
  public record Plan(LanguageVersion edit, int cues, int titles) {}

  /**
   * Plans a version of all artboards and tracks that have translated texts.
   *
   * @param stories the translated texts
   * @param ids of new artboards, texts and tracks
   * @throws EditRefused if nothing would come of it
   */
  public static Plan of(
      Project project, String language, Map<LayerId, Story> stories, IdSource ids) {
    List<Artboard> chosen =
        project.artboards().stream()
            .filter(board ->
                !board.isFilm()
                    && board.layers().stream().anyMatch(layer -> stories.containsKey(layer.id())))
            .toList();
    double top = project.artboards().stream().mapToDouble(LanguageVersion::bottom).max().orElse(0);
    double from = chosen.stream().mapToDouble(Artboard::y).min().orElse(0);
    double gap = chosen.stream().mapToDouble(Artboard::width).max().orElse(0);
    double down = top - from + 2 * gap * ArrangeArtboards.GAP;
    Set<String> names = new HashSet<>();
    project.artboards().forEach(board -> names.add(board.name()));
    List<Artboard> made = new ArrayList<>();
    for (Artboard board : chosen) {
      made.add(
          new Artboard(
              new ArtboardId(ids.next("artboard")),
              free(board.name() + " " + language, names),
              board.width(),
              board.height(),
              board.unit(),
              board.background(),
              board.x(),
              board.y() + down,
              TreePVector.from(
                  board.layers().stream()
                      .map(layer -> copied(layer, language, stories, ids))
                      .toList()),
              board.baseStyle(),
              Optional.empty()));
    }
    Map<ArtboardId, Artboard> films = new LinkedHashMap<>();
    int cues = 0;
    int titles = 0;
    for (Artboard film : project.artboards()) {
      if (film.isFilm()) {
        Filmed filmed = film(film, language, stories, ids);
        titles += filmed.titles;
        if (filmed.cues > 0) {
          cues += filmed.cues;
          films.put(film.id(), filmed.film);
        }
      }
    }
    if (made.isEmpty() && films.isEmpty()) {
      throw new EditRefused(Messages.of("language-version.nothing"));
    }
    return new Plan(new LanguageVersion(language, made, films), cues, titles);
  }

  private static double bottom(Artboard board) {
    return board.y() + board.height();
  }

  private static String free(String wanted, Set<String> taken) {
    String free = wanted;
    for (int number = 2; !taken.add(free); number++) {
      free = wanted + " " + number;
    }
    return free;
  }

  private static Layer copied(
      Layer layer, String language, Map<LayerId, Story> stories, IdSource ids) {
    Layer copy = layer.withId(new LayerId(ids.next(layer.isText() ? "text" : "shape")));
    Story story = stories.get(layer.id());
    return story == null ? copy : spoken(copy.withStory(story), language);
  }

  /** In a language, whatever its words said before. */
  private static Layer spoken(Layer layer, String language) {
    return layer
        .withLocal(layer.local().with(Properties.LANGUAGE, language))
        .withStory(
            layer
                .story()
                .mapParagraphs(paragraph ->
                    paragraph
                        .withLocal(paragraph.local().without(Properties.LANGUAGE.key()))
                        .mapSpans(span ->
                            span.withLocal(span.local().without(Properties.LANGUAGE.key())))));
  }

  private record Filmed(Artboard film, int cues, int titles) {}

  private static Filmed film(
      Artboard film, String language, Map<LayerId, Story> stories, IdSource ids) {
    Timeline line = film.timeline().orElseThrow();
    Map<TrackId, Track.Captions> copies = new LinkedHashMap<>();
    List<Layer> layers = new ArrayList<>(film.layers());
    int titles = 0;
    int cues = 0;
    for (Layer layer : film.layers()) {
      Story story = stories.get(layer.id());
      Optional<Timing> timing = layer.timing();
      if (story == null || timing.isEmpty()) {
        continue;
      }
      if (!(line.track(timing.get().track()).orElse(null) instanceof Track.Captions from)) {
        titles++;
        continue;
      }
      if (!copies.containsKey(from.id())) {
        Track.Captions copy =
            new Track.Captions(
                new TrackId(ids.next("track")),
                line.freeName(language),
                // one language of captions is seen at a time
                new Track.State(true, false),
                language,
                from.follows(),
                from.local().without(Properties.LANGUAGE.key()),
                from.speakers(),
                from.rules());
        copies.put(from.id(), copy);
        line = line.plus(copy);
      }
      TrackId onto = Objects.requireNonNull(copies.get(from.id())).id();
      Layer cue =
          layer
              .withId(new LayerId(ids.next("cue")))
              .withStory(story)
              .withTiming(timing.get().withTrack(onto));
      layers.add(cue);
      cues++;
    }
    return new Filmed(film.withTimeline(Optional.of(line)).withLayers(layers), cues, titles);
  }

  @Override
  public Project applyTo(Project before) {
    Project project = before.withArtboards(before.artboards().plusAll(artboards));
    return project.mapArtboards(board -> films.getOrDefault(board.id(), board));
  }

  @Override
  public String label(Project before) {
    return Messages.of("language-version.add", language);
  }
}
