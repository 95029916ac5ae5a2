package dynamorph.model.merge;

import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.ImportedDocument;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.merge.ThreeWay.Place;
import dynamorph.model.sheet.view.SheetView;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.rule.Ignored;
import dynamorph.model.survey.rule.SurveySettings;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Function;
import org.pcollections.TreePVector;

/**
 * Puts together what two people made of one project, by style, artboard, layer and value.
 *
 * @param project with the changes of both; where they collide, with mine
 * @param conflicts where they collide
 */
public record ProjectMerge(Project project, List<Conflict> conflicts) {
  private static final Place PROJECT = new Place(Conflict.Kind.PROJECT, "");

  /**
   * Merges two changes of a project.
   *
   * @param base what both began with
   * @throws IllegalArgumentException if the two do not go together, as when one takes away what the
   *     other builds upon
   */
  public static ProjectMerge of(Project base, Project mine, Project theirs) {
    ThreeWay merge = new ThreeWay();
    References references = new References(mine, theirs);
    List<Artboard> boards =
        eachOnce(
                merge.list(
                    base.artboards(),
                    mine.artboards(),
                    theirs.artboards(),
                    Artboard::id,
                    new Artboards(merge)),
                mine)
            .stream()
            .map(references::withTracks)
            .toList();
    Optional<StyleId> baseStyle =
        merge.value(
            base.baseStyle(), mine.baseStyle(), theirs.baseStyle(), PROJECT.field("base-style"));
    List<Style> styles =
        references.styles(
            merge.list(
                base.styles().list(),
                mine.styles().list(),
                theirs.styles().list(),
                Style::id,
                new StyleMerge.Items(merge)),
            boards,
            baseStyle);
    List<Swatch> swatches =
        references.swatches(
            merge.list(
                base.palette().swatches(),
                mine.palette().swatches(),
                theirs.palette().swatches(),
                Swatch::id,
                items(merge, swatch -> new Place(Conflict.Kind.SWATCH, swatch.name()))),
            styles,
            boards);
    List<Asset> assets =
        references.assets(
            merge.list(
                base.assets(),
                mine.assets(),
                theirs.assets(),
                Asset::name,
                items(merge, asset -> new Place(Conflict.Kind.FILE, asset.name()))),
            styles,
            boards);
    List<ImportedDocument> documents =
        merge.list(
            base.documents(),
            mine.documents(),
            theirs.documents(),
            ImportedDocument::name,
            items(merge, document -> PROJECT.field("documents/" + document.name())));
    List<ExportPreset> exports =
        merge.list(
            base.exports(),
            mine.exports(),
            theirs.exports(),
            ExportPreset::name,
            items(merge, preset -> PROJECT.field("exports/" + preset.name())));
    List<SheetView> sheetViews =
        merge.list(
            base.sheetViews(),
            mine.sheetViews(),
            theirs.sheetViews(),
            SheetView::name,
            items(merge, view -> PROJECT.field("sheet-views/" + view.name())));
    Project project =
        new Project(
            merge.value(base.name(), mine.name(), theirs.name(), PROJECT.field("name")),
            TreePVector.from(boards),
            StyleBook.of(styles),
            new Palette(swatches),
            baseStyle,
            merge.value(
                base.language(), mine.language(), theirs.language(), PROJECT.field("language")),
            words(base.words(), mine.words(), theirs.words()),
            assets,
            exports,
            survey(merge, base.survey(), mine.survey(), theirs.survey()),
            documents,
            sheetViews);
    return new ProjectMerge(project, merge.conflicts());
  }

  private static SurveySettings survey(
      ThreeWay merge, SurveySettings base, SurveySettings mine, SurveySettings theirs) {
    return new SurveySettings(
        merge.value(base.rules(), mine.rules(), theirs.rules(), PROJECT.field("survey-rules")),
        merge.list(
            base.ignored(),
            mine.ignored(),
            theirs.ignored(),
            Ignored::mark,
            items(merge, one -> PROJECT.field("ignored/" + one.mark()))));
  }

  /** Things that are merged as a whole. */
  private static <T> ThreeWay.Items<T> items(ThreeWay merge, Function<T, Place> place) {
    return new ThreeWay.Items<>() {
      @Override
      public T merge(T base, T mine, T theirs) {
        return merge.value(base, mine, theirs, place.apply(mine));
      }

      @Override
      public Place place(T item) {
        return place.apply(item);
      }
    };
  }

  private static SortedSet<String> words(
      SortedSet<String> base, SortedSet<String> mine, SortedSet<String> theirs) {
    SortedSet<String> words = new TreeSet<>(mine);
    words.addAll(theirs);
    for (String word : base) {
      if (!mine.contains(word) || !theirs.contains(word)) {
        words.remove(word);
      }
    }
    return words;
  }

  private record Artboards(ThreeWay merge) implements ThreeWay.Items<Artboard> {
    @Override
    public Place place(Artboard board) {
      return new Place(Conflict.Kind.ARTBOARD, board.name());
    }

    @Override
    public Artboard merge(Artboard base, Artboard mine, Artboard theirs) {
      if (mine == theirs || base.equals(theirs)) {
        return mine;
      }
      Place at = place(mine);
      Size size = merge.value(Size.of(base), Size.of(mine), Size.of(theirs), at.field("size"));
      Origin origin =
          merge.value(Origin.of(base), Origin.of(mine), Origin.of(theirs), at.field("place"));
      return new Artboard(
          mine.id(),
          merge.value(base.name(), mine.name(), theirs.name(), at.field("name")),
          size.width(),
          size.height(),
          merge.value(base.unit(), mine.unit(), theirs.unit(), at.field("unit")),
          merge.value(
              base.background(), mine.background(), theirs.background(), at.field("background")),
          origin.x(),
          origin.y(),
          TreePVector.from(
              merge.list(
                  base.layers(), mine.layers(), theirs.layers(), Layer::id, new Layers(merge))),
          merge.value(
              base.baseStyle(), mine.baseStyle(), theirs.baseStyle(), at.field("base-style")),
          timeline(base.timeline(), mine.timeline(), theirs.timeline(), at));
    }

    private Optional<Timeline> timeline(
        Optional<Timeline> base, Optional<Timeline> mine, Optional<Timeline> theirs, Place at) {
      if (base.isEmpty() || mine.isEmpty() || theirs.isEmpty()) {
        return merge.value(base, mine, theirs, at.field("timeline"));
      }
      Timeline from = base.get();
      Timeline own = mine.get();
      Timeline other = theirs.get();
      return Optional.of(
          new Timeline(
              merge.value(from.timecode(), own.timecode(), other.timecode(), at.field("timecode")),
              merge.value(
                  from.firstFrame(), own.firstFrame(), other.firstFrame(), at.field("timecode")),
              merge.value(from.duration(), own.duration(), other.duration(), at.field("duration")),
              merge.list(
                  from.tracks(),
                  own.tracks(),
                  other.tracks(),
                  Track::id,
                  items(merge, track -> new Place(Conflict.Kind.TRACK, track.name())))));
    }
  }

  /** In points. */
  private record Size(double width, double height) {
    static Size of(Artboard board) {
      return new Size(board.width(), board.height());
    }
  }

  /** In points. */
  private record Origin(double x, double y) {
    static Origin of(Artboard board) {
      return new Origin(board.x(), board.y());
    }
  }

  private record Layers(ThreeWay merge) implements ThreeWay.Items<Layer> {
    @Override
    public Place place(Layer layer) {
      return new Place(Conflict.Kind.TEXT, layer.name());
    }

    @Override
    public Layer merge(Layer base, Layer mine, Layer theirs) {
      if (mine == theirs || base.equals(theirs)) {
        return mine;
      }
      Place at = place(mine);
      return new Layer(
          mine.id(),
          merge.value(base.name(), mine.name(), theirs.name(), at.field("name")),
          merge.value(base.story(), mine.story(), theirs.story(), at.field("words")),
          merge.value(base.shape(), mine.shape(), theirs.shape(), at.field("shape")),
          merge.properties(base.frame(), mine.frame(), theirs.frame(), at),
          merge.value(base.follows(), mine.follows(), theirs.follows(), at.field("styles")),
          merge.properties(base.local(), mine.local(), theirs.local(), at),
          merge.value(base.muted(), mine.muted(), theirs.muted(), at.field("styles")),
          merge.value(base.timing(), mine.timing(), theirs.timing(), at.field("timing")),
          merge.value(base.state(), mine.state(), theirs.state(), at.field("state")),
          merge.value(base.continues(), mine.continues(), theirs.continues(), at.field("link")));
    }
  }

  /** A layer that both moved to other artboards stands where I put it. */
  private static List<Artboard> eachOnce(List<Artboard> boards, Project mine) {
    Set<LayerId> seen = new HashSet<>();
    Set<LayerId> doubled = new HashSet<>();
    boards.forEach(board ->
        board.layers().stream().map(Layer::id).filter(id -> !seen.add(id)).forEach(doubled::add));
    if (doubled.isEmpty()) {
      return boards;
    }
    List<Artboard> once = new ArrayList<>();
    for (Artboard board : boards) {
      once.add(
          board.withLayers(
              board.layers().stream()
                  .filter(layer ->
                      !doubled.contains(layer.id())
                          || mine.artboardOf(layer.id())
                              .filter(own -> own.id().equals(board.id()))
                              .isPresent())
                  .toList()));
    }
    return once;
  }
}
