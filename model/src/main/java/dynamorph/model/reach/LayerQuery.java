package dynamorph.model.reach;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Numbers;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoublePredicate;
import java.util.function.IntSupplier;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Chooses layers in words: {@code style=Label title && artboard~Panel}, {@code local>0 ||
 * !style~o}, {@code (size>=40 && tracking<0)}. Beside the fields every property can be asked for by
 * its path; a layer has what any of its letters has. {@code =} and {@code !=} compare whole values,
 * {@code ~} and {@code !~} parts of them, both without regard to case; numbers take {@code <},
 * {@code <=}, {@code >} and {@code >=} too. A value goes up to the next {@code &&}, {@code ||} or
 * {@code )}, or stands in quotation marks.
 */
public final class LayerQuery {
  /** So many characters on both sides of what cannot be read are told. */
  private static final int NEAR = 40;

  /** So long that no real query is, and brackets within brackets cannot exhaust the stack. */
  private static final int LONGEST = 2_000;

  /** What can be asked about a layer. */
  public enum Field {
    STYLE(Messages.of("layer-query.a-style-that-anything-in-it")),
    FOLLOWS(Messages.of("layer-query.the-same-or-a-style-that")),
    ARTBOARD(Messages.of("layer-query.name-or-id-of-its-artboard")),
    NAME(Messages.of("layer-query.its-name")),
    ID(Messages.of("layer-query.its-id")),
    TEXT(Messages.of("layer-query.its-words")),
    KIND(Messages.of("layer-query.text-or-shape")),
    FONT(Messages.of("layer-query.font-family-of-its-letters")),
    SIZE(Messages.of("layer-query.size-of-its-letters")),
    LOCAL(Messages.of("layer-query.how-many-local-changes-it-has"));

    private final String help;

    Field(String help) {
      this.help = help;
    }

    /** What it stands for, for people. */
    public String help() {
      return help;
    }

    String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  private static final Pattern TERM =
      Pattern.compile("\\s*([a-z][a-z0-9/-]*)\\s*(!=|!~|<=|>=|=|~|<|>)\\s*");

  /** Fields that are properties under a short name. */
  private static final Map<Field, PropertyKey<?>> OF_LETTERS =
      Map.of(Field.FONT, Properties.FONT_FAMILY.key(), Field.SIZE, Properties.SIZE.key());

  /** A layer with what is asked about it. */
  private record Candidate(
      Project project, Cascade cascade, Artboard board, Layer layer, IntSupplier local) {}

  private final String text;
  private final Predicate<Candidate> wanted;
  private int at;

  private LayerQuery(String text) {
    this.text = text;
    this.wanted = any();
    if (at < text.length()) {
      throw wrong(Messages.of("layer-query.nothing-more-was-expected"));
    }
  }

  /**
   * Reads a query.
   *
   * @throws IllegalArgumentException if it cannot be read; the message says where
   */
  public static LayerQuery parse(String text) {
    if (text.length() > LONGEST) {
      throw new IllegalArgumentException(Messages.of("layer-query.is-too-long", LONGEST));
    }
    return new LayerQuery(text);
  }

  /** The layers of the project that it chooses, in order. */
  public List<LayerId> in(Project project) {
    Cascade cascade = Cascade.of(project);
    return project.artboards().stream()
        .flatMap(board -> in(project, cascade, board).stream())
        .toList();
  }

  /**
   * The layers of an artboard that it chooses, in order.
   *
   * @param cascade of the project
   */
  public List<LayerId> in(Project project, Cascade cascade, Artboard board) {
    return board.layers().stream()
        .filter(layer -> fits(project, cascade, board, layer, () -> LocalChanges.count(layer)))
        .map(Layer::id)
        .toList();
  }

  /**
   * Whether it chooses a layer, or a part of one with only some of its words.
   *
   * @param local tells how many local changes it has by itself
   */
  public boolean fits(
      Project project, Cascade cascade, Artboard board, Layer part, IntSupplier local) {
    return wanted.test(new Candidate(project, cascade, board, part, local));
  }

  // --- reading
  // ----------------------------------------------------------------------------------------------------

  private Predicate<Candidate> any() {
    Predicate<Candidate> any = all();
    while (take("||")) {
      any = any.or(all());
    }
    return any;
  }

  private Predicate<Candidate> all() {
    Predicate<Candidate> all = one();
    while (take("&&")) {
      all = all.and(one());
    }
    return all;
  }

  private Predicate<Candidate> one() {
    if (take("!")) {
      return one().negate();
    }
    if (take("(")) {
      Predicate<Candidate> inner = any();
      if (!take(")")) {
        throw wrong(Messages.of("layer-query.a-is-missing"));
      }
      return inner;
    }
    return term();
  }

  private boolean take(String sign) {
    skipBlanks();
    boolean there = text.startsWith(sign, at);
    if (there) {
      at += sign.length();
    }
    return there;
  }

  private void skipBlanks() {
    while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
      at++;
    }
  }

  private Predicate<Candidate> term() {
    Matcher matcher = TERM.matcher(text).region(at, text.length());
    if (!matcher.lookingAt()) {
      throw wrong(Messages.of("layer-query.expected-something-like-style-label"));
    }
    String word = matcher.group(1);
    String comparison = matcher.group(2);
    Optional<Field> field =
        Arrays.stream(Field.values())
            .filter(one -> one.word().equals(word) && !OF_LETTERS.containsKey(one))
            .findFirst();
    if (field.isPresent()) {
      at = matcher.end();
      return term(field.get(), comparison, value());
    }
    return term(new AskedValue<>(property(word)), comparison, matcher.end());
  }

  private Predicate<Candidate> term(AskedValue<?> asked, String comparison, int start) {
    at = start;
    String value = value();
    try {
      AskedValue.Values wanted = wanted(asked, comparison, value);
      Predicate<Candidate> is = candidate -> wanted.in(candidate.cascade(), candidate.layer());
      return comparison.startsWith("!") ? is.negate() : is;
    } catch (IllegalArgumentException none) {
      at = start;
      throw wrong(String.valueOf(none.getMessage()));
    }
  }

  private static AskedValue.Values wanted(AskedValue<?> asked, String comparison, String value) {
    return switch (comparison) {
      case "=", "!=" -> asked.equalTo(value);
      case "~", "!~" -> asked.containing(value);
      default -> asked.compared(value, comparing(comparison, 0));
    };
  }

  private PropertyKey<?> property(String word) {
    for (Map.Entry<Field, PropertyKey<?>> known : OF_LETTERS.entrySet()) {
      if (known.getKey().word().equals(word)) {
        return known.getValue();
      }
    }
    try {
      return Properties.key(word);
    } catch (IllegalArgumentException unknown) {
      String fields =
          Arrays.stream(Field.values()).map(Field::word).collect(Collectors.joining(", "));
      throw wrong(
          Messages.of(
              "layer-query.cannot-be-asked-for-there-are",
              word,
              fields,
              String.valueOf(unknown.getMessage())));
    }
  }

  private String value() {
    if (at < text.length() && text.charAt(at) == '"') {
      int end = text.indexOf('"', at + 1);
      if (end < 0) {
        throw wrong(Messages.of("layer-query.a-quotation-mark-is-missing"));
      }
      String value = text.substring(at + 1, end);
      at = end + 1;
      return value;
    }
    int end = text.length();
    for (String stop : List.of("&&", "||", ")")) {
      int found = text.indexOf(stop, at);
      end = found >= 0 ? Math.min(end, found) : end;
    }
    String value = text.substring(at, end).strip();
    at = end;
    return value;
  }

  private Predicate<Candidate> term(Field field, String comparison, String value) {
    if (comparison.startsWith("<") || comparison.startsWith(">")) {
      DoublePredicate holds = comparing(comparison, number(value));
      return candidate -> holds.test(number(field, candidate));
    }
    boolean part = comparison.endsWith("~");
    String lower = value.toLowerCase(Locale.ROOT);
    Predicate<Candidate> is =
        candidate ->
            values(field, candidate).stream()
                .map(one -> one.toLowerCase(Locale.ROOT))
                .anyMatch(one -> part ? one.contains(lower) : one.equals(lower));
    return comparison.startsWith("!") ? is.negate() : is;
  }

  private double number(String value) {
    try {
      return Numbers.parse(value);
    } catch (IllegalArgumentException none) {
      throw wrong(Messages.of("layer-query.is-not-a-number", value));
    }
  }

  private static DoublePredicate comparing(String comparison, double value) {
    return switch (comparison) {
      case "<" -> number -> number < value;
      case "<=" -> number -> number <= value;
      case ">" -> number -> number > value;
      default -> number -> number >= value;
    };
  }

  private double number(Field field, Candidate candidate) {
    return switch (field) {
      case LOCAL -> candidate.local().getAsInt();
      default -> Double.NaN;
    };
  }

  private static List<String> values(Field field, Candidate candidate) {
    Layer layer = candidate.layer();
    return switch (field) {
      case STYLE -> names(candidate.project(), taken(candidate), false);
      case FOLLOWS -> names(candidate.project(), taken(candidate), true);
      case ARTBOARD -> List.of(candidate.board().name(), candidate.board().id().value());
      case NAME -> List.of(layer.name());
      case ID -> List.of(layer.id().value());
      case TEXT -> List.of(layer.story().text());
      case KIND -> List.of(layer.isText() ? "text" : "shape");
      case LOCAL -> List.of(String.valueOf(candidate.local().getAsInt()));
      case FONT, SIZE -> List.of();
    };
  }

  private static Set<StyleId> taken(Candidate candidate) {
    Set<StyleId> taken = Followers.followed(candidate.layer());
    taken.addAll(candidate.project().taken(candidate.layer()));
    return taken;
  }

  private static List<String> names(Project project, Set<StyleId> followed, boolean bases) {
    List<String> names = new ArrayList<>();
    for (StyleId id : followed) {
      List<Style> chain = project.styles().chain(id);
      for (Style style : bases ? chain : chain.subList(0, Math.min(1, chain.size()))) {
        names.add(style.name());
        names.add(style.id().value());
      }
    }
    return names;
  }

  private IllegalArgumentException wrong(String what) {
    return new IllegalArgumentException(
        Messages.of("layer-query.cannot-read-at-character", near(), (at + 1), what));
  }

  /** A long query around the place that cannot be read. */
  private String near() {
    if (text.length() <= 2 * NEAR) {
      return text;
    }
    int from = Math.max(0, at - NEAR);
    int to = Math.min(text.length(), at + NEAR);
    return (from > 0 ? "…" : "") + text.substring(from, to) + (to < text.length() ? "…" : "");
  }
}
