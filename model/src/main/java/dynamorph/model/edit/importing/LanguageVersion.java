package dynamorph.model.edit.importing;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.IdSource;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.util.ArrayList;
import java.util.HashMap;
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
 * from. They follow the same styles; what says their language is the style that lies below them
 * all.
 *
 * @param language a BCP 47 tag
 * @param styles new ones that lie below the texts of the new artboards
 * @param artboards new ones, in place
 * @param films those that get a track more
 */
public record LanguageVersion(
    String language, List<Style> styles, List<Artboard> artboards, Map<ArtboardId, Artboard> films)
    implements Edit {
  public LanguageVersion {
    styles = List.copyOf(styles);
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
    LinkedBoxes links = LinkedBoxes.of(project);
    List<Artboard> chosen =
        project.artboards().stream()
            .filter(board ->
                !board.isFilm()
                    && board.layers().stream()
                        .anyMatch(layer -> stories.containsKey(links.first(layer.id()))))
            .toList();
    double top = project.artboards().stream().mapToDouble(LanguageVersion::bottom).max().orElse(0);
    double from = chosen.stream().mapToDouble(Artboard::y).min().orElse(0);
    double gap = chosen.stream().mapToDouble(Artboard::width).max().orElse(0);
    double down = top - from + 2 * gap * ArrangeArtboards.GAP;
    Set<String> names = new HashSet<>();
    project.artboards().forEach(board -> names.add(board.name()));
    List<Artboard> made = new ArrayList<>();
    Map<LayerId, LayerId> copies = new HashMap<>();
    Map<Optional<StyleId>, Style> bases = new LinkedHashMap<>();
    Project styled = project;
    for (Artboard board : chosen) {
      Optional<StyleId> base = board.baseStyle().or(project::baseStyle);
      if (!bases.containsKey(base)) {
        Style spoken = base(styled, base, language);
        bases.put(base, spoken);
        styled = styled.withStyles(styled.styles().with(spoken));
      }
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
                      .map(layer -> copied(layer, stories, ids, copies))
                      .toList()),
              Optional.of(Objects.requireNonNull(bases.get(base)).id()),
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
    List<Style> more =
        bases.values().stream()
            .filter(style -> project.styles().find(style.id()).isEmpty())
            .toList();
    Project with = styled;
    List<Artboard> spoken =
        made.stream()
            .map(board -> board.mapLayers(layer -> links.relinked(layer, copies)))
            .map(board -> spoken(with, board, language))
            .toList();
    return new Plan(new LanguageVersion(language, more, spoken, films), cues, titles);
  }

  /** What lies below the texts of a version: what did before, in another language. */
  private static Style base(Project project, Optional<StyleId> below, String language) {
    PropertySet says = PropertySet.EMPTY.with(Properties.LANGUAGE, language);
    Optional<Style> there =
        project.styles().stream()
            .filter(style -> style.basedOn().equals(below) && style.properties().equals(says))
            .findFirst();
    if (there.isPresent()) {
      return there.get();
    }
    String name =
        below.flatMap(project.styles()::find).map(style -> style.name() + " ").orElse("")
            + language;
    Set<String> names = new HashSet<>();
    Set<String> taken = new HashSet<>();
    project.styles().stream()
        .forEach(style -> {
          names.add(style.name());
          taken.add(style.id().value());
        });
    String stem = StyleId.stem(name, "base");
    String id = stem;
    for (int number = 2; taken.contains(id); number++) {
      id = stem + "-" + number;
    }
    String group = below.flatMap(project.styles()::find).map(Style::group).orElse("");
    return Style.text(id, free(name, names), group).withBasedOn(below).withProperties(says);
  }

  /** Where a style of their own says another language, the texts say it themselves. */
  private static Artboard spoken(Project styled, Artboard board, String language) {
    Cascade cascade = Cascade.of(styled.withArtboards(styled.artboards().plus(board)));
    return board.withLayers(
        board.layers().stream()
            .map(layer ->
                layer.isText()
                        && layer.local().get(Properties.LANGUAGE.key()).equals(Optional.of(MARK))
                    ? settled(layer, cascade, language)
                    : layer)
            .toList());
  }

  /** Stands for the language of what was translated, until it is known what says it. */
  private static final String MARK = "und";

  private static Layer settled(Layer marked, Cascade cascade, String language) {
    Layer plain = marked.withLocal(marked.local().without(Properties.LANGUAGE.key()));
    Paragraph first = plain.story().paragraphs().getFirst();
    boolean said =
        cascade
            .values(plain, first, first.spans().getFirst())
            .get(Properties.LANGUAGE.key())
            .filter(language::equals)
            .isPresent();
    return said ? plain : marked.withLocal(marked.local().with(Properties.LANGUAGE, language));
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
      Layer layer, Map<LayerId, Story> stories, IdSource ids, Map<LayerId, LayerId> copies) {
    Layer copy = layer.withId(new LayerId(ids.next(layer.isText() ? "text" : "shape")));
    copies.put(layer.id(), copy.id());
    Story story = stories.get(layer.id());
    return story == null ? copy : spoken(copy.withStory(story));
  }

  /** Without the language that its words said before. */
  private static Layer spoken(Layer layer) {
    return layer
        .withLocal(layer.local().with(Properties.LANGUAGE, MARK))
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
                new ItemState(true, false),
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
    StyleBook book = before.styles();
    for (Style style : styles) {
      book = book.with(style);
    }
    Project project = before.withStyles(book).withArtboards(before.artboards().plusAll(artboards));
    return project.mapArtboards(board -> films.getOrDefault(board.id(), board));
  }

  @Override
  public String label(Project before) {
    return Messages.of("language-version.add", language);
  }
}
