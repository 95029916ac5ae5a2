package dynamorph.model.text;

import dynamorph.model.message.Messages;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The text of a layer: one or more paragraphs. */
public final class Story {
  private static final Pattern LINE_END = Pattern.compile("\\r\\n|[\\r\\n\\u2029]");

  /** Letters of the first words, at most. */
  private static final int FIRST_WORDS = 40;

  private final List<Paragraph> paragraphs;
  // most stories say neither, and whole projects are asked
  private final boolean follows;
  private final boolean deviates;

  public Story(List<Paragraph> paragraphs) {
    if (paragraphs.isEmpty()) {
      throw new IllegalArgumentException(Messages.of("story.a-story-has-at-least-one"));
    }
    this.paragraphs = List.copyOf(paragraphs);
    boolean anyFollows = false;
    boolean anyLocal = false;
    for (Paragraph paragraph : this.paragraphs) {
      anyFollows |= paragraph.follows().isPresent();
      anyLocal |= !paragraph.local().isEmpty();
      for (Span span : paragraph.spans()) {
        anyFollows |= !span.follows().isEmpty();
        anyLocal |= !span.local().isEmpty();
      }
    }
    this.follows = anyFollows;
    this.deviates = anyLocal;
  }

  public List<Paragraph> paragraphs() {
    return paragraphs;
  }

  /** Whether any paragraph or span follows a style of its own. */
  public boolean followsInside() {
    return follows;
  }

  /** Whether any paragraph or span has local changes. */
  public boolean deviatesInside() {
    return deviates;
  }

  @Override
  public boolean equals(Object other) {
    return this == other || other instanceof Story story && story.paragraphs.equals(paragraphs);
  }

  @Override
  public int hashCode() {
    return paragraphs.hashCode();
  }

  @Override
  public String toString() {
    return paragraphs.toString();
  }

  /** Plain text; each line end starts a new paragraph. */
  public static Story of(String text) {
    return new Story(LINE_END.splitAsStream(text + "\n ").map(Paragraph::of).toList())
        .withoutSentinel();
  }

  public static Story of(Paragraph... paragraphs) {
    return new Story(List.of(paragraphs));
  }

  /** The split drops empty trailing paragraphs; the sentinel keeps them and goes again. */
  private Story withoutSentinel() {
    return new Story(paragraphs.subList(0, paragraphs.size() - 1));
  }

  public String text() {
    return paragraphs.stream().map(Paragraph::text).collect(Collectors.joining("\n"));
  }

  /** Its first words, for a name or a specimen. */
  public String firstWords() {
    String line =
        text().lines().map(String::strip).filter(one -> !one.isEmpty()).findFirst().orElse("");
    if (line.length() <= FIRST_WORDS) {
      return line;
    }
    int blank = line.lastIndexOf(' ', FIRST_WORDS);
    return line.substring(0, blank > FIRST_WORDS / 4 ? blank : FIRST_WORDS);
  }

  /** The text of a range, with a line feed between paragraphs. */
  public String text(TextRange range) {
    TextRange inside = range.within(all());
    return text().substring(inside.start(), inside.end());
  }

  /** Length in UTF-16 units, one for each break between paragraphs. */
  public int length() {
    int length = paragraphs.size() - 1;
    for (Paragraph paragraph : paragraphs) {
      length += paragraph.length();
    }
    return length;
  }

  public TextRange all() {
    return new TextRange(0, length());
  }

  /** Index of the paragraph that an offset lies in. */
  public int paragraphAt(int offset) {
    int at = 0;
    for (int index = 0; index < paragraphs.size(); index++) {
      at += paragraphs.get(index).length();
      if (offset <= at) {
        return index;
      }
      at++;
    }
    return paragraphs.size() - 1;
  }

  /** Offset of the first unit of a paragraph. */
  public int startOf(int paragraph) {
    int at = 0;
    for (int index = 0; index < paragraph; index++) {
      at += paragraphs.get(index).length() + 1;
    }
    return at;
  }

  /** The range of one paragraph, without its break. */
  public TextRange rangeOf(int paragraph) {
    int start = startOf(paragraph);
    return new TextRange(start, start + paragraphs.get(paragraph).length());
  }

  /** The span whose look typing at the offset takes. */
  public Span spanAt(int offset) {
    int paragraph = paragraphAt(offset);
    return paragraphs.get(paragraph).spanAt(offset - startOf(paragraph));
  }

  /** A range, made longer at its ends to hold the bases of ruby that it touches as a whole. */
  public TextRange wholeBases(TextRange range) {
    int start = range.start();
    int end = range.end();
    for (int index = paragraphAt(start); index <= paragraphAt(range.end()); index++) {
      int at = startOf(index);
      for (RubyBase base : paragraphs.get(index).rubyBases()) {
        int from = at + base.start();
        int to = at + base.end();
        boolean touched =
            range.isEmpty()
                ? from <= range.start() && range.start() <= to
                : from < range.end() && range.start() < to;
        if (touched) {
          start = Math.min(start, from);
          end = Math.max(end, to);
        }
      }
    }
    return new TextRange(start, end);
  }

  /** The ruby over a range; empty where there is none. */
  public String ruby(TextRange range) {
    TextRange whole = wholeBases(range);
    return whole.isEmpty() ? "" : spanAt(whole.start() + 1).ruby();
  }

  /** With every paragraph changed alike. */
  public Story mapParagraphs(UnaryOperator<Paragraph> change) {
    return new Story(paragraphs.stream().map(change).toList());
  }

  /** With the paragraphs that a range touches changed; a caret touches the one it stands in. */
  public Story mapParagraphs(TextRange range, UnaryOperator<Paragraph> change) {
    int first = paragraphAt(range.start());
    int last = paragraphAt(range.end());
    List<Paragraph> changed = new ArrayList<>(paragraphs);
    for (int index = first; index <= last; index++) {
      changed.set(index, change.apply(changed.get(index)));
    }
    return new Story(changed);
  }

  /** With the spans of a range changed, split where the range begins and ends. */
  public Story mapSpans(TextRange range, UnaryOperator<Span> change) {
    List<Paragraph> changed = new ArrayList<>(paragraphs);
    int at = 0;
    for (int index = 0; index < changed.size(); index++) {
      Paragraph paragraph = changed.get(index);
      int end = at + paragraph.length();
      boolean touched =
          range.start() < end && range.end() > at || range.equals(new TextRange(at, end));
      if (touched) {
        TextRange own =
            new TextRange(Math.max(range.start() - at, 0), Math.min(range.end(), end) - at);
        changed.set(index, paragraph.mapSpans(own, change));
      }
      at = end + 1;
    }
    return new Story(changed);
  }

  /** The part of this story in a range, with its styles and local changes. */
  public Story slice(TextRange range) {
    TextRange inside = range.within(all());
    int first = paragraphAt(inside.start());
    int last = paragraphAt(inside.end());
    List<Paragraph> slice = new ArrayList<>();
    for (int index = first; index <= last; index++) {
      TextRange own = rangeOf(index);
      TextRange cut = inside.within(own);
      TextRange local = new TextRange(cut.start() - own.start(), cut.end() - own.start());
      slice.add(paragraphs.get(index).withSpans(paragraphs.get(index).slice(local)));
    }
    return new Story(slice);
  }

  /** Replaces a range by words in the look of the place where they land. */
  public Story replace(TextRange range, String text) {
    TextRange inside = range.within(all());
    int lookAt = inside.isEmpty() ? inside.start() : Math.min(inside.start() + 1, inside.end());
    Span near = spanAt(lookAt);
    Span look = isInsideBase(inside) ? near : near.withRuby("");
    return replace(
        inside, Story.of(text).mapParagraphs(p -> p.mapSpans(s -> look.withText(s.text()))), false);
  }

  /** Whether letters of the same base stand at both sides of a range. */
  private boolean isInsideBase(TextRange range) {
    int index = paragraphAt(range.start());
    int at = startOf(index);
    return paragraphs.get(index).rubyBases().stream()
        .anyMatch(base -> at + base.start() < range.start() && range.end() < at + base.end());
  }

  /**
   * Replaces a range by another story, which brings its spans; whole paragraphs in it bring their
   * styles.
   */
  public Story replace(TextRange range, Story fragment) {
    return replace(range.within(all()), fragment, true);
  }

  private Story replace(TextRange range, Story fragment, boolean bringParagraphs) {
    int first = paragraphAt(range.start());
    int last = paragraphAt(range.end());
    Paragraph head = paragraphs.get(first);
    Paragraph tail = paragraphs.get(last);
    List<Span> before = head.slice(new TextRange(0, range.start() - startOf(first)));
    int tailFrom = range.end() - startOf(last);
    List<Span> after = tail.slice(new TextRange(tailFrom, Math.max(tail.length(), tailFrom)));

    List<Paragraph> changed = new ArrayList<>(paragraphs.subList(0, first));
    List<Paragraph> middle = fragment.paragraphs();
    if (middle.size() == 1) {
      changed.add(head.withSpans(joined(before, middle.getFirst().spans(), after)));
    } else {
      changed.add(head.withSpans(joined(before, middle.getFirst().spans(), List.of())));
      for (Paragraph inner : middle.subList(1, middle.size() - 1)) {
        changed.add(bringParagraphs ? inner : head.withSpans(inner.spans()));
      }
      Paragraph end = first == last ? head : tail;
      changed.add(end.withSpans(joined(List.of(), middle.getLast().spans(), after)));
    }
    changed.addAll(paragraphs.subList(last + 1, paragraphs.size()));
    return new Story(changed);
  }

  /** Words go first, so that an empty neighbour's look does not win over theirs. */
  private static List<Span> joined(List<Span> before, List<Span> middle, List<Span> after) {
    List<Span> joined = new ArrayList<>(before);
    joined.addAll(middle);
    joined.addAll(after);
    if (joined.stream().allMatch(span -> span.length() == 0) && !middle.isEmpty()) {
      return middle;
    }
    return joined;
  }
}
