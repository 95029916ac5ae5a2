package dynamorph.model;

import dynamorph.model.export.ExportPreset;
import dynamorph.model.message.Messages;
import dynamorph.model.sheet.view.SheetView;
import dynamorph.model.style.Palette;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.survey.rule.SurveySettings;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.pcollections.PVector;
import org.pcollections.TreePVector;

/**
 * A whole document.
 *
 * @param name what people call it
 * @param baseStyle the style that plain text takes, if any; a text style
 * @param language default language of its texts, a BCP 47 tag
 * @param words words that are spelt right here though no dictionary has them
 * @param assets files that travel with it
 * @param exports presets for writing its artboards as files; no two have one name
 * @param survey what its survey looks for, and what it leaves alone
 * @param documents those whose words were imported, the latest last; no two of one name
 * @param sheetViews ways to see its texts side by side; each has a name, and no two have one
 */
public record Project(
    String name,
    PVector<Artboard> artboards,
    StyleBook styles,
    Palette palette,
    Optional<StyleId> baseStyle,
    String language,
    SortedSet<String> words,
    List<Asset> assets,
    List<ExportPreset> exports,
    SurveySettings survey,
    List<ImportedDocument> documents,
    List<SheetView> sheetViews) {
  public Project {
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(artboards, "artboards");
    Objects.requireNonNull(styles, "styles");
    Objects.requireNonNull(palette, "palette");
    Objects.requireNonNull(language, "language");
    words = Collections.unmodifiableSortedSet(new TreeSet<>(words));
    assets = List.copyOf(assets);
    exports = List.copyOf(exports);
    Objects.requireNonNull(survey, "survey");
    documents = List.copyOf(documents);
    if (documents.stream().map(ImportedDocument::name).distinct().count() < documents.size()) {
      throw new IllegalArgumentException(Messages.of("project.two-documents-have-one-name"));
    }
    sheetViews = List.copyOf(sheetViews);
    if (sheetViews.stream().anyMatch(view -> view.name().isBlank())) {
      throw new IllegalArgumentException(Messages.of("project.a-view-of-the-sheet-has-no-name"));
    }
    if (sheetViews.stream().map(SheetView::name).distinct().count() < sheetViews.size()) {
      throw new IllegalArgumentException(Messages.of("project.two-views-have-one-name"));
    }
    if (exports.stream().map(ExportPreset::name).distinct().count() < exports.size()) {
      throw new IllegalArgumentException(Messages.of("project.two-export-presets-have-one-name"));
    }
    if (baseStyle.isPresent() && styles.find(baseStyle.get()).isEmpty()) {
      throw new IllegalArgumentException(
          Messages.of("project.the-base-style-is-not-there", baseStyle.get()));
    }
    for (Artboard artboard : artboards) {
      if (artboard.baseStyle().filter(id -> styles.find(id).isEmpty()).isPresent()) {
        throw new IllegalArgumentException(
            Messages.of(
                "project.the-base-style-of-the-artboard",
                artboard.baseStyle().get(),
                artboard.name()));
      }
    }
    checkTracks(artboards, styles);
  }

  private static void checkTracks(List<Artboard> artboards, StyleBook styles) {
    Set<TrackId> ids = new HashSet<>();
    for (Artboard board : artboards) {
      for (Track track : board.timeline().map(Timeline::tracks).orElse(List.of())) {
        if (!ids.add(track.id())) {
          throw new IllegalArgumentException(
              Messages.of("project.two-tracks-have-the-id", track.id()));
        }
        if (track instanceof Track.Captions captions) {
          Stream.concat(captions.follows().stream(), captions.speakers().values().stream())
              .filter(id -> styles.find(id).isEmpty())
              .findFirst()
              .ifPresent(id -> {
                throw new IllegalArgumentException(
                    Messages.of("project.the-style-of-the-track-is", id, track.name()));
              });
        }
      }
    }
  }

  /** The artboards that are no films. */
  public Stream<Artboard> still() {
    return artboards.stream().filter(board -> !board.isFilm());
  }

  /** The artboards with a timeline. */
  public Stream<Artboard> films() {
    return artboards.stream().filter(Artboard::isFilm);
  }

  /** The film that a track belongs to. */
  public Optional<Artboard> filmOf(TrackId track) {
    return films()
        .filter(board -> board.timeline().flatMap(line -> line.track(track)).isPresent())
        .findFirst();
  }

  /** The caption track that a cue lies on. */
  public Optional<Track.Captions> captionsOf(Layer cue) {
    return cue.track()
        .flatMap(id ->
            films()
                .flatMap(board -> board.timeline().orElseThrow().captions())
                .filter(track -> track.id().equals(id))
                .findFirst());
  }

  /**
   * The styles that a layer takes as a whole, the nearest last: those of its track, then its own.
   */
  public List<StyleId> taken(Layer layer) {
    Optional<Track.Captions> track = captionsOf(layer);
    if (track.isEmpty()) {
      return layer.follows();
    }
    List<StyleId> taken =
        new ArrayList<>(track.get().taken(layer.timing().orElseThrow().speaker()));
    taken.removeAll(layer.follows());
    taken.addAll(layer.follows());
    return taken;
  }

  /** With every caption track changed. */
  public Project mapCaptions(UnaryOperator<Track.Captions> change) {
    return mapArtboards(board -> board.mapTimeline(line -> line.mapCaptions(change)));
  }

  /** With every media of every clip changed. */
  public Project mapMedia(UnaryOperator<Media> change) {
    return mapArtboards(board -> board.mapTimeline(line -> line.mapMedia(change)));
  }

  /** The media of all clips of all films. */
  public Stream<Media> media() {
    return films()
        .flatMap(film -> film.timeline().orElseThrow().footage())
        .flatMap(track -> track.clips().stream())
        .map(Clip::media);
  }

  /** A project with nothing in it. */
  public static Project empty(String name) {
    return new Project(
        name,
        TreePVector.empty(),
        StyleBook.EMPTY,
        Palette.EMPTY,
        Optional.empty(),
        "en",
        new TreeSet<>(),
        List.of(),
        List.of(),
        SurveySettings.USUAL,
        List.of(),
        List.of());
  }

  public Project withName(String changed) {
    return new Project(
        changed,
        artboards,
        styles,
        palette,
        baseStyle,
        language,
        words,
        assets,
        exports,
        survey,
        documents,
        sheetViews);
  }

  public Project withArtboards(PVector<Artboard> changed) {
    return new Project(
        name,
        changed,
        styles,
        palette,
        baseStyle,
        language,
        words,
        assets,
        exports,
        survey,
        documents,
        sheetViews);
  }

  public Project withStyles(StyleBook changed) {
    return new Project(
        name,
        artboards,
        changed,
        palette,
        baseStyle,
        language,
        words,
        assets,
        exports,
        survey,
        documents,
        sheetViews);
  }

  public Project withPalette(Palette changed) {
    return new Project(
        name,
        artboards,
        styles,
        changed,
        baseStyle,
        language,
        words,
        assets,
        exports,
        survey,
        documents,
        sheetViews);
  }

  public Project withBaseStyle(Optional<StyleId> changed) {
    return new Project(
        name,
        artboards,
        styles,
        palette,
        changed,
        language,
        words,
        assets,
        exports,
        survey,
        documents,
        sheetViews);
  }

  public Project withWords(SortedSet<String> changed) {
    return new Project(
        name,
        artboards,
        styles,
        palette,
        baseStyle,
        language,
        changed,
        assets,
        exports,
        survey,
        documents,
        sheetViews);
  }

  public Project withAssets(List<Asset> changed) {
    return new Project(
        name,
        artboards,
        styles,
        palette,
        baseStyle,
        language,
        words,
        changed,
        exports,
        survey,
        documents,
        sheetViews);
  }

  public Project withExports(List<ExportPreset> changed) {
    return new Project(
        name,
        artboards,
        styles,
        palette,
        baseStyle,
        language,
        words,
        assets,
        changed,
        survey,
        documents,
        sheetViews);
  }

  public Project withSurvey(SurveySettings changed) {
    return new Project(
        name,
        artboards,
        styles,
        palette,
        baseStyle,
        language,
        words,
        assets,
        exports,
        changed,
        documents,
        sheetViews);
  }

  public Project withDocuments(List<ImportedDocument> changed) {
    return new Project(
        name,
        artboards,
        styles,
        palette,
        baseStyle,
        language,
        words,
        assets,
        exports,
        survey,
        changed,
        sheetViews);
  }

  public Project withSheetViews(List<SheetView> changed) {
    return new Project(
        name, artboards, styles, palette, baseStyle, language, words, assets, exports, survey,
        documents, changed);
  }

  /** With what is remembered of an imported document, in the place of one of the same name. */
  public Project withDocument(ImportedDocument document) {
    List<ImportedDocument> changed = new ArrayList<>(documents);
    changed.removeIf(other -> other.name().equals(document.name()));
    changed.add(document);
    return withDocuments(changed);
  }

  /** What is remembered of an imported document. */
  public Optional<ImportedDocument> document(String wanted) {
    return documents.stream().filter(one -> one.name().equals(wanted)).findFirst();
  }

  public Project plus(Artboard artboard) {
    return withArtboards(artboards.plus(artboard));
  }

  /** All layers, by artboard in paint order. */
  public Stream<Layer> layers() {
    return artboards.stream().flatMap(artboard -> artboard.layers().stream());
  }

  public Optional<Layer> layer(LayerId id) {
    return LayerIndex.find(artboards, id).map(LayerIndex.Standing::layer);
  }

  public Optional<Artboard> artboard(ArtboardId id) {
    return artboards.stream().filter(artboard -> artboard.id().equals(id)).findFirst();
  }

  /** Those of some layers that are there, by id. */
  public Map<LayerId, Layer> layersOf(Set<LayerId> ids) {
    return layers()
        .filter(layer -> ids.contains(layer.id()))
        .collect(Collectors.toMap(Layer::id, Function.identity()));
  }

  /** The artboard that a layer stands on. */
  public Optional<Artboard> artboardOf(LayerId id) {
    return LayerIndex.find(artboards, id).map(LayerIndex.Standing::board);
  }

  /** The style that plain text on an artboard takes: its own base, or that of the project. */
  public Optional<StyleId> baseOf(Artboard artboard) {
    return artboard.baseStyle().or(() -> baseStyle);
  }

  /** With every artboard changed; itself if none changes. */
  public Project mapArtboards(UnaryOperator<Artboard> change) {
    PVector<Artboard> changed = artboards;
    for (int index = 0; index < artboards.size(); index++) {
      Artboard before = artboards.get(index);
      Artboard after = change.apply(before);
      if (after != before) {
        changed = changed.with(index, after);
      }
    }
    return changed == artboards ? this : withArtboards(changed);
  }

  /** With every layer changed; itself if none changes. */
  public Project mapLayers(UnaryOperator<Layer> change) {
    return mapArtboards(artboard -> artboard.mapLayers(change));
  }

  /** With some layers changed. */
  public Project mapLayers(Set<LayerId> ids, UnaryOperator<Layer> change) {
    return ids.isEmpty()
        ? this
        : mapLayers(layer -> ids.contains(layer.id()) ? change.apply(layer) : layer);
  }
}
