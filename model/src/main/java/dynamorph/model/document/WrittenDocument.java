package dynamorph.model.document;

import dynamorph.model.message.Messages;
import dynamorph.model.style.StyleLevel;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A document as it was written elsewhere.
 *
 * @param name of its file
 * @param styles the styles that it has, whether they are used or not; no two of one key
 * @param remarks what of the file is not in it, a line each
 */
public record WrittenDocument(
    String name,
    List<WrittenStyle> styles,
    List<WrittenParagraph> paragraphs,
    List<String> remarks) {
  public WrittenDocument {
    styles = List.copyOf(styles);
    paragraphs = List.copyOf(paragraphs);
    remarks = List.copyOf(remarks);
    Set<String> keys = new HashSet<>();
    for (WrittenStyle style : styles) {
      if (!keys.add(style.key())) {
        throw new IllegalArgumentException(Messages.of("written-document.two-styles", style.key()));
      }
    }
    paragraphs.stream()
        .flatMap(WrittenDocument::keysOf)
        .filter(key -> !keys.contains(key))
        .findFirst()
        .ifPresent(key -> {
          throw new IllegalArgumentException(Messages.of("written-document.no-style", key));
        });
  }

  private static Stream<String> keysOf(WrittenParagraph paragraph) {
    return Stream.concat(
        Stream.of(paragraph.style()),
        paragraph.spans().stream().flatMap(span -> span.styles().stream()));
  }

  public Optional<WrittenStyle> style(String key) {
    return styles.stream().filter(style -> style.key().equals(key)).findFirst();
  }

  /** A style in use and how often: paragraphs or stretches of words. */
  public record Used(WrittenStyle style, int count, String sample) {}

  /** The styles in use, those of paragraphs first, each in the order in which they are met. */
  public List<Used> used() {
    Map<String, WrittenStyle> byKey = new HashMap<>();
    styles.forEach(style -> byKey.put(style.key(), style));
    Map<String, Integer> counts = new LinkedHashMap<>();
    Map<String, String> samples = new HashMap<>();
    for (WrittenParagraph paragraph : paragraphs) {
      if (paragraph.isEmpty()) {
        continue;
      }
      counts.merge(paragraph.style(), 1, Integer::sum);
      samples.putIfAbsent(paragraph.style(), paragraph.text().strip());
      for (WrittenSpan span : paragraph.spans()) {
        for (String key : span.styles()) {
          if (!span.text().isBlank()) {
            counts.merge(key, 1, Integer::sum);
            samples.putIfAbsent(key, span.text().strip());
          }
        }
      }
    }
    List<Used> used = new ArrayList<>();
    for (StyleLevel level : List.of(StyleLevel.TEXT, StyleLevel.PARAGRAPH, StyleLevel.CHARACTER)) {
      counts.forEach((key, count) -> {
        WrittenStyle style = byKey.get(key);
        if (style != null && style.level() == level) {
          used.add(new Used(style, count, samples.getOrDefault(key, "")));
        }
      });
    }
    return used;
  }

  /** The paragraph style in which most of it is written, headings and lists aside. */
  public Optional<WrittenStyle> body() {
    Map<String, Integer> letters = new LinkedHashMap<>();
    paragraphs.forEach(
        paragraph -> letters.merge(paragraph.style(), paragraph.text().length(), Integer::sum));
    return letters.entrySet().stream()
        .filter(entry ->
            style(entry.getKey())
                .filter(one -> one.role() == Role.BODY || one.role() == Role.OTHER)
                .isPresent())
        .max(Map.Entry.comparingByValue())
        .flatMap(entry -> style(entry.getKey()));
  }

  /** Paragraph styles at which sections may begin, the likeliest first. */
  public SequencedSet<String> sectionStyles() {
    Map<String, Integer> counts = new HashMap<>();
    used().forEach(one -> counts.put(one.style().key(), one.count()));
    LinkedHashSet<String> found = new LinkedHashSet<>();
    Stream<WrittenStyle> headings =
        used().stream()
            .map(Used::style)
            .filter(style -> style.role().isHeading() || style.role() == Role.TITLE)
            .sorted((one, other) -> one.role().compareTo(other.role()));
    List<WrittenStyle> all = headings.toList();
    all.stream()
        .filter(style -> counts.getOrDefault(style.key(), 0) > 1)
        .forEach(style -> found.add(style.key()));
    all.forEach(style -> found.add(style.key()));
    return found;
  }

  /** How many paragraphs have words. */
  public int written() {
    return (int) paragraphs.stream().filter(paragraph -> !paragraph.isEmpty()).count();
  }
}
