package dynamorph.model.document.mapping;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.ImportedDocument;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.document.DirectFormatting;
import dynamorph.model.document.Mapped;
import dynamorph.model.document.Role;
import dynamorph.model.document.StyleMapping;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.ListKind;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * Proposes what the styles of a document become: as they were mapped before, else the style of the
 * same name, of the same look, or of the same purpose.
 */
public final class MappingProposal {
  /** Sizes as near as this share of the larger one look the same. */
  private static final double NEAR_SIZE = 0.04;

  private static final double NEAR_WEIGHT = 50;

  private final Project project;
  private final WrittenDocument document;
  private final Optional<WrittenStyle> body;
  private final Map<Style, PropertySet> looks = new HashMap<>();
  private final Map<StyleId, Integer> nearby = new HashMap<>();
  private final Map<StyleId, Integer> anywhere = new HashMap<>();

  private MappingProposal(Project project, WrittenDocument document, Optional<ArtboardId> near) {
    this.project = project;
    this.document = document;
    this.body = document.body();
    near.flatMap(project::artboard).ifPresent(board -> count(board, nearby));
    project.artboards().forEach(board -> count(board, anywhere));
    Cascade cascade = Cascade.of(project);
    project.styles().stream().forEach(style -> looks.put(style, cascade.values(style)));
  }

  /** What each style in use would best become, whatever artboard it comes to. */
  public static StyleMapping of(Project project, WrittenDocument document) {
    return of(project, document, Optional.empty());
  }

  /**
   * What each style in use would best become.
   *
   * @param near the artboard whose styles are meant rather than others of the same purpose
   */
  public static StyleMapping of(
      Project project, WrittenDocument document, Optional<ArtboardId> near) {
    MappingProposal proposal = new MappingProposal(project, document, near);
    Map<String, Mapped> styles = new HashMap<>();
    document.used().forEach(used -> styles.put(used.style().key(), proposal.of(used.style())));
    DirectFormatting direct =
        project
            .document(document.name())
            .map(before -> before.mapping().direct())
            .orElse(DirectFormatting.EMPHASIS);
    return new StyleMapping(styles, direct);
  }

  /** How many letters of an artboard follow each paragraph style. */
  private static void count(Artboard board, Map<StyleId, Integer> letters) {
    for (Layer layer : board.layers()) {
      for (Paragraph paragraph : layer.story().paragraphs()) {
        paragraph.follows().ifPresent(id -> letters.merge(id, paragraph.length(), Integer::sum));
      }
    }
  }

  private Mapped of(WrittenStyle style) {
    return remembered(style)
        .or(() -> named(style).map(this::follow))
        .or(() -> body.filter(one -> !one.equals(style) && isAnotherBody(style)).map(this::of))
        .or(() -> alike(style).or(() -> ofPurpose(style)).map(this::follow))
        .orElseGet(() -> otherwise(style));
  }

  private Mapped follow(Style style) {
    return new Mapped.Follow(style.id());
  }

  /** As it was mapped in the same document, else in the latest that has a style of that key. */
  private Optional<Mapped> remembered(WrittenStyle style) {
    List<ImportedDocument> latestFirst = project.documents().reversed();
    return project
        .document(document.name())
        .map(same -> same.mapping().styles().get(style.key()))
        .filter(this::isPossible)
        .or(() ->
            latestFirst.stream()
                .map(other -> other.mapping().styles().get(style.key()))
                .filter(Objects::nonNull)
                .filter(this::isPossible)
                .findFirst());
  }

  /** What followed a new style follows that style from then on; a deleted one is no proposal. */
  private boolean isPossible(Mapped mapped) {
    return switch (mapped) {
      case Mapped.Follow(var id) -> project.styles().find(id).isPresent();
      case Mapped.NewStyle _ -> false;
      case Mapped.Local _, Mapped.WordsOnly _ -> true;
    };
  }

  /** Text styles as well as paragraph styles are for paragraphs, those for them rather. */
  private List<Style> candidates(WrittenStyle style) {
    return project.styles().stream()
        .filter(
            one -> (one.level() == StyleLevel.CHARACTER) == (style.level() == StyleLevel.CHARACTER))
        .sorted(Comparator.comparing((Style one) -> one.level() != style.level()))
        .toList();
  }

  private Optional<Style> named(WrittenStyle style) {
    String wanted = plain(style.name());
    return wanted.isEmpty()
        ? Optional.empty()
        : candidates(style).stream()
            .filter(one -> plain(one.name()).equals(wanted))
            // a drawing looks as it was drawn, unless somebody wants it otherwise
            .filter(one -> style.role() != Role.DRAWN || isAlike(style.look(), one))
            // those of films are called so too
            .filter(one -> one.level() == style.level() || style.role() != Role.CAPTION)
            .findFirst();
  }

  private static String plain(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{Nd}]", "");
  }

  /** One that has the same letters: the family, about the size, weight and slant. */
  private Optional<Style> alike(WrittenStyle style) {
    PropertySet look = style.look();
    if (style.role() == Role.DRAWN) {
      return candidates(style).stream().filter(one -> saysAll(one, look)).findFirst();
    }
    boolean says =
        look.has(Properties.FONT_FAMILY.key())
            && look.get(Properties.SIZE.key())
                .filter(FontSize.Absolute.class::isInstance)
                .isPresent();
    return says && style.level() == StyleLevel.PARAGRAPH
        ? candidates(style).stream().filter(one -> isAlike(look, one)).findFirst()
        : Optional.empty();
  }

  /** Whether a text that follows it looks as a drawing shows it. */
  private boolean saysAll(Style style, PropertySet look) {
    PropertySet values = looks.getOrDefault(style, PropertySet.EMPTY);
    return look.keys().stream().noneMatch(key -> Coats.differ(key, look, values));
  }

  private boolean isAlike(PropertySet look, Style style) {
    PropertySet other = looks.getOrDefault(style, PropertySet.EMPTY);
    double size = Coats.value(look, Properties.SIZE.key()).over(0);
    double theirs = Coats.value(other, Properties.SIZE.key()).over(0);
    double weight = Coats.value(look, Properties.FONT_WEIGHT.key());
    return Coats.value(look, Properties.FONT_FAMILY.key())
            .equalsIgnoreCase(Coats.value(other, Properties.FONT_FAMILY.key()))
        && Math.abs(size - theirs) <= NEAR_SIZE * Math.max(size, theirs)
        && Math.abs(weight - Coats.value(other, Properties.FONT_WEIGHT.key())) <= NEAR_WEIGHT
        && Coats.value(look, Properties.SLANT.key())
            .equals(Coats.value(other, Properties.SLANT.key()));
  }

  /**
   * One whose name says that it is for the same, where no more than one says so as plainly: of the
   * headings the largest is for the first level.
   */
  private Optional<Style> ofPurpose(WrittenStyle style) {
    boolean isBody = body.filter(style::equals).isPresent();
    List<String> words = words(isBody ? Role.BODY : style.role());
    if (style.role().isList()) {
      return ofList(style);
    }
    if (words.isEmpty()) {
      return Optional.empty();
    }
    List<Style> speaking =
        candidates(style).stream()
            .filter(one -> one.level() == style.level())
            .filter(one -> parts(one.name()).stream().anyMatch(words::contains))
            .sorted(Comparator.comparingDouble(this::size).reversed())
            .toList();
    List<Style> beside = speaking.stream().filter(one -> nearby.containsKey(one.id())).toList();
    if (style.role().isHeading()) {
      int depth = depth(style);
      List<Style> ranked = beside.isEmpty() ? speaking : beside;
      return depth < ranked.size() ? Optional.of(ranked.get(depth)) : Optional.empty();
    }
    return speaking.size() == 1
        ? Optional.of(speaking.getFirst())
        : mostUsed(speaking, nearby).or(() -> mostUsed(speaking, anywhere));
  }

  /** A style that sets such a list, whatever it is called. */
  private Optional<Style> ofList(WrittenStyle style) {
    ListKind kind = style.role() == Role.BULLETED_LIST ? ListKind.BULLETS : ListKind.NUMBERS;
    List<Style> lists =
        candidates(style).stream()
            .filter(one -> one.level() == style.level())
            .filter(one ->
                Coats.value(looks.getOrDefault(one, PropertySet.EMPTY), Properties.LIST.key())
                    == kind)
            .toList();
    return lists.size() == 1
        ? Optional.of(lists.getFirst())
        : mostUsed(lists, nearby).or(() -> mostUsed(lists, anywhere));
  }

  private static Optional<Style> mostUsed(List<Style> styles, Map<StyleId, Integer> letters) {
    return styles.stream()
        .filter(style -> letters.containsKey(style.id()))
        .max(Comparator.comparingInt(style -> letters.getOrDefault(style.id(), 0)));
  }

  /** How many levels of headings above it are in use. */
  private int depth(WrittenStyle style) {
    return (int)
        document.used().stream()
            .map(used -> used.style().role())
            .filter(role -> role.isHeading() && role.compareTo(style.role()) < 0)
            .distinct()
            .count();
  }

  private double size(Style style) {
    return Coats.value(looks.getOrDefault(style, PropertySet.EMPTY), Properties.SIZE.key()).over(1);
  }

  private static List<String> parts(String name) {
    return Arrays.asList(name.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{Nd}]+"));
  }

  /** Words that names of such styles have in them. */
  private static List<String> words(Role role) {
    String key =
        switch (role) {
          case TITLE -> "title";
          case SUBTITLE -> "subtitle";
          case HEADING_1, HEADING_2, HEADING_3, HEADING_4, HEADING_5, HEADING_6 -> "heading";
          case BODY -> "body";
          case QUOTATION -> "quotation";
          case CAPTION -> "caption";
          case EMPHASIS -> "emphasis";
          case STRONG -> "strong";
          case CODE, PREFORMATTED -> "code";
          case LINK -> "link";
          case BULLETED_LIST, NUMBERED_LIST, TABLE, DRAWN, OTHER, OTHER_WORDS -> "";
        };
    return key.isEmpty()
        ? List.of()
        : Arrays.asList(Messages.of("mapping-words." + key).split(" "));
  }

  /**
   * Programs give paragraphs behind headings and the like styles that look as all others do; lines
   * of a table are body text with tabs.
   */
  private boolean isAnotherBody(WrittenStyle style) {
    return switch (style.role()) {
      case TABLE -> true;
      case OTHER, BODY, CAPTION, PREFORMATTED -> looksLikeBody(style);
      default -> false;
    };
  }

  /** Whether its letters are those of the body text; the space around does not make a style. */
  private boolean looksLikeBody(WrittenStyle style) {
    PropertySet plain = body.map(WrittenStyle::look).orElse(PropertySet.EMPTY);
    return letters(style.look()).equals(letters(plain));
  }

  private static PropertySet letters(PropertySet look) {
    return look.where(key -> key.property().countsOn(Level.SPAN));
  }

  private boolean isUsedAgain(WrittenStyle style) {
    return document.used().stream()
        .anyMatch(used -> used.style().equals(style) && used.count() > 1);
  }

  private Mapped otherwise(WrittenStyle style) {
    return switch (style.role()) {
      case BODY, TABLE, LINK -> new Mapped.WordsOnly();
      case EMPHASIS, STRONG, BULLETED_LIST, NUMBERED_LIST -> new Mapped.Local();
      case DRAWN ->
          style.isNamed() || isUsedAgain(style)
              ? new Mapped.NewStyle(style.name())
              : new Mapped.Local();
      case OTHER, OTHER_WORDS, PREFORMATTED, CODE, CAPTION ->
          style.look().isEmpty() || style.level() == StyleLevel.PARAGRAPH && looksLikeBody(style)
              ? new Mapped.WordsOnly()
              : new Mapped.NewStyle(style.name());
      case TITLE,
          SUBTITLE,
          HEADING_1,
          HEADING_2,
          HEADING_3,
          HEADING_4,
          HEADING_5,
          HEADING_6,
          QUOTATION ->
          new Mapped.NewStyle(style.name());
    };
  }
}
