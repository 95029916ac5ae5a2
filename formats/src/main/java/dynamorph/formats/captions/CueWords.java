package dynamorph.formats.captions;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Story;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The words of a WebVTT cue: the tokenizer of the standard, and what its elements mean for spans.
 */
final class CueWords {
  private static final Set<String> ELEMENTS = Set.of("c", "i", "b", "u", "ruby", "rt", "v", "lang");
  private static final Map<String, String> ENTITIES =
      Map.of(
          "amp", "&",
          "lt", "<",
          "gt", ">",
          "lrm", "\u200e",
          "rlm", "\u200f",
          "nbsp", "\u00a0",
          "quot", "\"",
          "apos", "'");

  /**
   * What a cue says.
   *
   * @param speaker the first voice; empty if there is none
   */
  record Read(Story story, String speaker) {}

  /** An element that is open. */
  private record Open(String name, List<StyleId> follows, PropertySet local) {}

  private final String text;
  private final WebVtt.CueStyles styles;
  private final StyledRuns runs = new StyledRuns();
  private final Deque<Open> open = new ArrayDeque<>();
  private final StringBuilder ruby = new StringBuilder();
  private String speaker = "";
  private int at;

  private CueWords(String text, WebVtt.CueStyles styles) {
    this.text = text;
    this.styles = styles;
    open.push(new Open("", List.of(), PropertySet.EMPTY));
  }

  static Read read(String text, WebVtt.CueStyles styles) {
    CueWords words = new CueWords(text, styles);
    words.parse();
    return new Read(words.runs.story(), words.speaker);
  }

  private void parse() {
    while (at < text.length()) {
      char next = text.charAt(at);
      if (next == '<') {
        tag();
      } else {
        int end = text.indexOf('<', at);
        end = end < 0 ? text.length() : end;
        put(unescaped(text.substring(at, end)));
        at = end;
      }
    }
    if (isInRuby()) {
      endBase();
    }
  }

  private void put(String words) {
    if (isInRuby()) {
      ruby.append(words);
      return;
    }
    runs.add(words, open.peek().follows(), open.peek().local());
  }

  private boolean isInRuby() {
    return open.stream().anyMatch(one -> one.name().equals("rt"));
  }

  static String unescaped(String words) {
    if (words.indexOf('&') < 0) {
      return words;
    }
    StringBuilder plain = new StringBuilder();
    for (int index = 0; index < words.length(); index++) {
      char unit = words.charAt(index);
      int end = unit == '&' ? words.indexOf(';', index) : -1;
      String name = end > 0 && end - index <= 10 ? words.substring(index + 1, end) : "";
      String meant = name.startsWith("#") ? numbered(name) : ENTITIES.get(name);
      if (meant != null) {
        plain.append(meant);
        index = end;
      } else {
        plain.append(unit);
      }
    }
    return plain.toString();
  }

  private static String numbered(String name) {
    try {
      int code =
          name.startsWith("#x") || name.startsWith("#X")
              ? Integer.parseInt(name.substring(2), 16)
              : Integer.parseInt(name.substring(1));
      boolean letter =
          Character.isValidCodePoint(code) && code > 0 && (code < 0xD800 || code > 0xDFFF);
      return letter ? Character.toString(code) : "\ufffd";
    } catch (NumberFormatException wrong) {
      return null;
    }
  }

  private void tag() {
    int end = text.indexOf('>', at);
    // a tag that is never closed goes to the end
    String inside = text.substring(at + 1, end < 0 ? text.length() : end);
    at = end < 0 ? text.length() : end + 1;
    if (inside.startsWith("/")) {
      close(inside.substring(1).strip());
      return;
    }
    if (!inside.isEmpty() && Character.isDigit(inside.charAt(0))) {
      return; // a time inside the cue; the words are seen from the beginning
    }
    int space = -1;
    for (int index = 0; index < inside.length() && space < 0; index++) {
      space = " \t\n\f".indexOf(inside.charAt(index)) >= 0 ? index : -1;
    }
    String head = space < 0 ? inside : inside.substring(0, space);
    String note =
        space < 0 ? "" : unescaped(inside.substring(space)).strip().replaceAll("\\s+", " ");
    String[] parts = head.split("\\.", -1);
    if (ELEMENTS.contains(parts[0])) {
      open(parts, note);
    }
  }

  private void open(String[] parts, String note) {
    String name = parts[0];
    if (name.equals("rt") && open.stream().noneMatch(one -> one.name().equals("ruby"))) {
      return;
    }
    Open outer = open.peek();
    List<StyleId> follows = new ArrayList<>(outer.follows());
    PropertySet local = outer.local().overlaidBy(WebVtt.element(name));
    styles.style(name).ifPresent(follows::add);
    for (int index = 1; index < parts.length; index++) {
      if (!parts[index].isEmpty()) {
        follows.add(styles.ofClass(parts[index]));
      }
    }
    if (name.equals("v")) {
      if (speaker.isEmpty()) {
        speaker = note;
      }
      styles.ofVoice(note).ifPresent(follows::add);
    }
    if (name.equals("lang") && !note.isEmpty()) {
      local = local.with(Properties.LANGUAGE, note);
    }
    if (name.equals("ruby")) {
      runs.beginBase();
    }
    List<StyleId> once = follows.stream().distinct().toList();
    open.push(new Open(name, once, local));
  }

  private void close(String name) {
    Open now = open.peek();
    if (now.name().equals(name) && !name.isEmpty()) {
      open.pop();
      if (name.equals("rt")) {
        endBase();
      }
    } else if (name.equals("ruby") && now.name().equals("rt")) {
      open.pop();
      endBase();
      open.pop();
    }
  }

  private void endBase() {
    runs.endBase(ruby.toString());
    ruby.setLength(0);
  }
}
