package dynamorph.model.survey.hidden;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.DominantLook;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The texts of a project taken apart into pieces of one look: what most letters of a text have is
 * the look of the text, a paragraph in another look is a piece of its own, and so are words in a
 * look other than their paragraph's. Immutable; a text that did not change keeps its pieces.
 */
final class TextPieces {
  /** What words say, or where a pair of letters stands, is no look. */
  private static final Set<Property<?>> NO_LOOK =
      Set.of(Properties.LANGUAGE, Properties.MANUAL_KERNING);

  /**
   * One text taken apart.
   *
   * @param size of most of its letters, in points
   */
  private record Taken(List<TextPiece> pieces, double size) {}

  /**
   * The texts of one artboard, by identity.
   *
   * @param letters how many are of each size
   */
  private record Board(
      Artboard artboard,
      Map<Layer, Taken> texts,
      List<TextPiece> pieces,
      Map<Double, Integer> letters) {}

  private final Cascade cascade;
  private final List<Board> boards;
  private final Map<PropertySet, Map<StyleLevel, Carried>> carried;

  /** Each kind once, so that equal ones are found to be so at once. */
  private final Map<TextPiece.Kind, TextPiece.Kind> kinds;

  /** What of a look a style of some level can carry. */
  private record Carried(PropertySet look, LookSpace.Category category) {}

  private TextPieces(Project project, Cascade cascade, Optional<TextPieces> before) {
    this.cascade = cascade;
    Optional<TextPieces> same = before.filter(known -> known.cascade == cascade);
    this.carried = same.isPresent() ? same.get().carried : new ConcurrentHashMap<>();
    this.kinds = same.isPresent() ? same.get().kinds : new ConcurrentHashMap<>();
    Map<ArtboardId, Board> known = new HashMap<>();
    before.ifPresent(
        earlier -> earlier.boards.forEach(board -> known.put(board.artboard().id(), board)));
    this.boards =
        project.artboards().parallelStream()
            .map(artboard -> {
              Optional<Board> earlier = Optional.ofNullable(known.get(artboard.id()));
              return same.isPresent()
                      && earlier.filter(board -> board.artboard() == artboard).isPresent()
                  ? earlier.get()
                  : board(project, artboard, earlier, same.isPresent());
            })
            .toList();
  }

  static TextPieces of(Project project) {
    return new TextPieces(project, Cascade.of(project), Optional.empty());
  }

  /** The same for a project that came out of this one's. */
  TextPieces follow(Project project) {
    return new TextPieces(project, cascade.follow(project), Optional.of(this));
  }

  /** What the values were worked out with, which knows them all now. */
  Cascade cascade() {
    return cascade;
  }

  /** All pieces, in the order of the project. */
  List<TextPiece> all() {
    List<TextPiece> all = new ArrayList<>();
    boards.forEach(board -> all.addAll(board.pieces()));
    return all;
  }

  /** The size of most letters of the project, whatever styles they follow already; 0 for none. */
  double body() {
    Map<Double, Integer> letters = new TreeMap<>();
    boards.forEach(
        board -> board.letters().forEach((size, many) -> letters.merge(size, many, Integer::sum)));
    return letters.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .map(Map.Entry::getKey)
        .orElse(0.0);
  }

  private Board board(
      Project project, Artboard artboard, Optional<Board> before, boolean sameValues) {
    Optional<StyleId> base = project.baseOf(artboard);
    Map<Layer, Taken> texts = new IdentityHashMap<>();
    List<TextPiece> pieces = new ArrayList<>();
    Map<Double, Integer> letters = new TreeMap<>();
    for (Layer layer : artboard.layers()) {
      if (hasWords(layer)) {
        Optional<Taken> earlier = before.map(board -> board.texts().get(layer));
        Taken taken =
            sameValues && earlier.isPresent()
                ? earlier.get()
                : kept(earlier, taken(project, base, layer));
        texts.put(layer, taken);
        pieces.addAll(taken.pieces());
        letters.merge(taken.size(), layer.story().length(), Integer::sum);
      }
    }
    return new Board(artboard, texts, pieces, letters);
  }

  /** What came out the same is the same. */
  private static Taken kept(Optional<Taken> earlier, Taken now) {
    return earlier.filter(now::equals).orElse(now);
  }

  private static boolean hasWords(Layer layer) {
    return layer.isText() && !layer.story().text().isBlank();
  }

  private Taken taken(Project project, Optional<StyleId> base, Layer layer) {
    PropertySet whole = DominantLook.of(cascade, layer);
    return new Taken(
        pieces(project.taken(layer), base, layer, whole),
        Coats.value(whole, Properties.SIZE.key()).over(0));
  }

  private List<TextPiece> pieces(
      List<StyleId> taken, Optional<StyleId> base, Layer layer, PropertySet whole) {
    boolean plain = !layer.story().followsInside() && !layer.story().deviatesInside();
    if (plain && layer.local().isEmpty() && !taken.isEmpty()) {
      return List.of();
    }
    List<TextPiece> pieces = new ArrayList<>();
    boolean followsSomething = !taken.isEmpty() || layer.story().followsInside();
    Carried look = carried(whole, StyleLevel.TEXT);
    if (!followsSomething || !look.look().equals(followedLook(layer))) {
      TextPiece.Kind kind = kind(StyleLevel.TEXT, taken, look.category());
      pieces.add(new TextPiece(layer, base, layer.story().all(), kind, look.look()));
    }
    if (!plain) {
      addInner(layer, base, whole, pieces);
    }
    return pieces;
  }

  /** What most letters would have without anything set by hand. */
  private PropertySet followedLook(Layer layer) {
    Layer bare =
        layer
            .withLocal(PropertySet.EMPTY)
            .withStory(
                layer
                    .story()
                    .mapParagraphs(paragraph ->
                        paragraph
                            .withLocal(PropertySet.EMPTY)
                            .mapSpans(span -> span.withLocal(PropertySet.EMPTY))));
    return carried(DominantLook.of(cascade, bare), StyleLevel.TEXT).look();
  }

  private void addInner(
      Layer layer, Optional<StyleId> base, PropertySet whole, List<TextPiece> pieces) {
    int at = 0;
    for (Paragraph paragraph : layer.story().paragraphs()) {
      int end = at + paragraph.length();
      if (!paragraph.text().isBlank()) {
        PropertySet own = DominantLook.of(cascade, layer, paragraph);
        Carried look = carried(own, StyleLevel.PARAGRAPH);
        boolean differs = !look.look().equals(carried(whole, StyleLevel.PARAGRAPH).look());
        if (differs && paragraph.follows().isEmpty() && isSetByHand(paragraph)) {
          TextPiece.Kind kind = kind(StyleLevel.PARAGRAPH, List.of(), look.category());
          pieces.add(new TextPiece(layer, base, new TextRange(at, end), kind, look.look()));
        }
        addSpans(layer, base, paragraph, own, at, pieces);
      }
      at = end + 1;
    }
  }

  /** What a paragraph has from its text alone hides nothing. */
  private static boolean isSetByHand(Paragraph paragraph) {
    return !paragraph.local().isEmpty()
        || paragraph.spans().stream().anyMatch(span -> !span.local().isEmpty());
  }

  private void addSpans(
      Layer layer,
      Optional<StyleId> base,
      Paragraph paragraph,
      PropertySet own,
      int start,
      List<TextPiece> pieces) {
    int at = start;
    for (Span span : paragraph.spans()) {
      int end = at + span.length();
      boolean byHand = !span.local().isEmpty() && span.follows().isEmpty();
      if (byHand && !span.text().isBlank()) {
        PropertySet look =
            carried(cascade.values(layer, paragraph, span), StyleLevel.CHARACTER).look();
        PropertySet outer = carried(own, StyleLevel.CHARACTER).look();
        PropertySet differing = look.where(key -> !look.get(key).equals(outer.get(key)));
        if (!differing.isEmpty()) {
          TextPiece.Kind kind =
              kind(StyleLevel.CHARACTER, List.of(), LookSpace.category(differing));
          pieces.add(new TextPiece(layer, base, new TextRange(at, end), kind, differing));
        }
      }
      at = end;
    }
  }

  private TextPiece.Kind kind(
      StyleLevel level, List<StyleId> followed, LookSpace.Category category) {
    TextPiece.Kind kind = new TextPiece.Kind(level, followed, category);
    TextPiece.Kind known = kinds.putIfAbsent(kind, kind);
    return known == null ? kind : known;
  }

  /** The values of a look that a style of the level can carry. */
  private Carried carried(PropertySet values, StyleLevel level) {
    return carried
        .computeIfAbsent(values, _ -> new ConcurrentHashMap<>())
        .computeIfAbsent(
            level,
            wanted -> {
              PropertySet look = values.where(key -> isLook(key, wanted));
              return new Carried(look, LookSpace.category(look));
            });
  }

  private static boolean isLook(PropertyKey<?> key, StyleLevel level) {
    return key.countsOn(level.level())
        && key.property().facet() != Facet.PLACEMENT
        && !NO_LOOK.contains(key.property());
  }
}
