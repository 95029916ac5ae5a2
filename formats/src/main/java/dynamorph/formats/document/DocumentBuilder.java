package dynamorph.formats.document;

import dynamorph.formats.message.Messages;
import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.WrittenParagraph;
import dynamorph.model.document.WrittenSpan;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Length;
import dynamorph.model.value.ListKind;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Puts a document together while its file is read. */
final class DocumentBuilder {
  /** More paragraphs than the longest book has; what has more is no document. */
  private static final int MOST_PARAGRAPHS = 500_000;

  private static final int MOST_LETTERS = 50_000_000;

  /** How far each level of a list stands in, in em. */
  private static final double LEVEL_INDENT = 1.5;

  private static final int DEEPEST_LIST = 9;

  private final String name;
  private final Map<String, WrittenStyle> styles = new LinkedHashMap<>();
  private final List<WrittenParagraph> paragraphs = new ArrayList<>();
  private final Map<Omitted, Integer> omitted = new EnumMap<>(Omitted.class);
  private final List<String> remarks = new ArrayList<>();
  private @Nullable String style;
  private PropertySet local = PropertySet.EMPTY;
  private List<WrittenSpan> spans = new ArrayList<>();
  private int letters;

  DocumentBuilder(String name) {
    this.name = name;
  }

  // --- styles

  void add(WrittenStyle written) {
    styles.putIfAbsent(written.key(), written);
  }

  Optional<WrittenStyle> style(String key) {
    return Optional.ofNullable(styles.get(key));
  }

  /** A style that the format has without naming it; gives its key. */
  String standard(Role role) {
    String key = "role:" + role.name().toLowerCase(java.util.Locale.ROOT);
    add(new WrittenStyle(key, role.label(), role, Optional.empty(), look(role)));
    return key;
  }

  /**
   * A list as the format has it without naming a style.
   *
   * @param level from 0
   * @param look what is known of its marks or numbers
   */
  String list(boolean numbered, int level, PropertySet look) {
    Role role = numbered ? Role.NUMBERED_LIST : Role.BULLETED_LIST;
    int depth = Math.min(level, DEEPEST_LIST - 1);
    String base = standard(role);
    if (depth == 0) {
      return base;
    }
    String key = base + ":" + (depth + 1);
    PropertySet own =
        look(role)
            .overlaidBy(look)
            .with(Properties.INDENT_START, Length.em(LEVEL_INDENT * (depth + 1)));
    add(
        new WrittenStyle(
            key,
            Messages.of("document.list-level", role.label(), depth + 1),
            role,
            Optional.of(base),
            own));
    return key;
  }

  /** What browsers give to such text when nothing else is said (HTML, Rendering). */
  static PropertySet look(Role role) {
    LookBuilder look = new LookBuilder(PropertySet.EMPTY);
    switch (role) {
      case TITLE -> look.times(2.4).bold(true);
      case HEADING_1 -> look.times(2).bold(true);
      case HEADING_2 -> look.times(1.5).bold(true);
      case HEADING_3 -> look.times(1.17).bold(true);
      case HEADING_4, HEADING_5, HEADING_6 -> look.bold(true);
      case SUBTITLE -> look.times(1.3);
      case QUOTATION ->
          look.set(Properties.INDENT_START, Length.em(2)).set(Properties.INDENT_END, Length.em(2));
      case BULLETED_LIST ->
          look.set(Properties.LIST, ListKind.BULLETS)
              .set(Properties.INDENT_START, Length.em(LEVEL_INDENT));
      case NUMBERED_LIST ->
          look.set(Properties.LIST, ListKind.NUMBERS)
              .set(Properties.INDENT_START, Length.em(LEVEL_INDENT));
      case EMPHASIS -> look.italic(true);
      case STRONG -> look.bold(true);
      case LINK -> look.set(Properties.UNDERLINE, true);
      // which fonts of one pitch there are, the machine knows
      case PREFORMATTED, CODE, BODY, TABLE, CAPTION, DRAWN, OTHER, OTHER_WORDS -> {}
    }
    return look.look();
  }

  // --- words

  /** Begins a paragraph; one that is open ends. */
  void begin(String key, PropertySet direct) throws IOException {
    end();
    if (paragraphs.size() == MOST_PARAGRAPHS) {
      throw new IOException(Messages.of("document.too-many-paragraphs", name, MOST_PARAGRAPHS));
    }
    style = key;
    local = direct;
  }

  boolean isOpen() {
    return style != null;
  }

  void words(String text, List<String> characterStyles, PropertySet direct) throws IOException {
    words(text, characterStyles, direct, "");
  }

  void words(String text, List<String> characterStyles, PropertySet direct, String ruby)
      throws IOException {
    String plain = clean(text);
    if (plain.isEmpty()) {
      return;
    }
    letters += plain.length();
    if (letters > MOST_LETTERS) {
      throw new IOException(Messages.of("document.too-many-letters", name, MOST_LETTERS));
    }
    WrittenSpan span = new WrittenSpan(plain, characterStyles, direct, clean(ruby));
    if (!spans.isEmpty() && ruby.isEmpty() && isAlike(spans.getLast(), span)) {
      spans.add(span.withText(spans.removeLast().text() + plain));
    } else {
      spans.add(span);
    }
  }

  private static boolean isAlike(WrittenSpan one, WrittenSpan other) {
    return one.styles().equals(other.styles())
        && one.local().equals(other.local())
        && one.ruby().equals(other.ruby());
  }

  /** Line ends break lines; no other control character is kept. */
  private static String clean(String text) {
    StringBuilder plain = new StringBuilder(text.length());
    for (int index = 0; index < text.length(); index++) {
      char unit = text.charAt(index);
      if (unit == '\n' || unit == '\u2029') {
        plain.append('\u2028');
      } else if (unit == '\t' || !Character.isISOControl(unit)) {
        plain.append(unit);
      }
    }
    return plain.toString();
  }

  /** Whether the open paragraph has words so far. */
  boolean hasWords() {
    return !spans.isEmpty();
  }

  /** Whether a space would stand at a line's start, or beside another. */
  boolean endsWithSpace() {
    if (spans.isEmpty()) {
      return true;
    }
    String last = spans.getLast().text();
    char unit = last.charAt(last.length() - 1);
    return unit == ' ' || unit == '\u2028' || unit == '\t';
  }

  /** Takes spaces off the end of the open paragraph. */
  void trimEnd() {
    while (!spans.isEmpty()) {
      WrittenSpan last = spans.removeLast();
      String trimmed = last.text().replaceAll("[ \u2028]+$", "");
      if (!trimmed.isEmpty()) {
        spans.add(last.withText(trimmed));
        return;
      }
    }
  }

  /** Ends the open paragraph, if there is one. */
  void end() {
    if (style != null) {
      paragraphs.add(new WrittenParagraph(style, local, spans));
    }
    style = null;
    local = PropertySet.EMPTY;
    spans = new ArrayList<>();
  }

  /** Takes the tab behind the last cell of a row off the end of the open paragraph. */
  void trimTab() {
    if (!spans.isEmpty() && spans.getLast().text().endsWith("\t")) {
      WrittenSpan last = spans.removeLast();
      String trimmed = last.text().substring(0, last.text().length() - 1);
      if (!trimmed.isEmpty()) {
        spans.add(last.withText(trimmed));
      }
    }
  }

  /** Ends the open paragraph; one without words was no paragraph. */
  void endWritten() {
    trimEnd();
    if (spans.isEmpty()) {
      style = null;
    }
    end();
  }

  // --- what does not come along

  void omit(Omitted what) {
    omitted.merge(what, 1, Integer::sum);
  }

  void remark(String line) {
    remarks.add(line);
  }

  WrittenDocument build() throws IOException {
    end();
    List<String> told = new ArrayList<>();
    omitted.forEach((what, count) -> told.add(what.told(count)));
    told.addAll(remarks);
    if (paragraphs.stream().allMatch(WrittenParagraph::isEmpty)) {
      throw new IOException(Messages.of("document.no-words", name));
    }
    return new WrittenDocument(name, List.copyOf(styles.values()), paragraphs, told);
  }
}
