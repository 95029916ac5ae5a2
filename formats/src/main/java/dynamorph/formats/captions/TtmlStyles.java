package dynamorph.formats.captions;

import static java.util.Objects.requireNonNull;

import dynamorph.formats.message.Messages;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The styles that a TTML document declares, and those that its cues and words follow. */
final class TtmlStyles {
  /**
   * A style as the document has it.
   *
   * @param ruby what part of a ruby its words are; empty for none
   * @param shown whether it is displayed, by the values of {@code display} and {@code visibility};
   *     empty if it does not say
   */
  record Declared(String id, List<String> based, PropertySet values, String ruby, String shown) {
    boolean saysOnlyRuby() {
      return !ruby.isEmpty() && values.isEmpty();
    }
  }

  private final Map<String, Declared> declared = new LinkedHashMap<>();
  private final Set<String> textStyles = new LinkedHashSet<>();
  private final Set<String> characterStyles = new LinkedHashSet<>();

  void declare(Declared style) {
    declared.put(style.id, style);
  }

  /** What part of a ruby the last of these styles that says so makes of its words. */
  Optional<String> ruby(List<String> ids) {
    return ids.stream()
        .map(declared::get)
        .filter(style -> style != null && !style.ruby.isEmpty())
        .reduce((_, last) -> last)
        .map(Declared::ruby);
  }

  /** Whether the last of these styles that says so hides what follows it. */
  Optional<String> shown(List<String> ids) {
    return ids.stream()
        .map(declared::get)
        .filter(style -> style != null && !style.shown.isEmpty())
        .reduce((_, last) -> last)
        .map(Declared::shown);
  }

  /** The text styles that a cue follows, of those that it names. */
  List<StyleId> followedByCue(List<String> ids) {
    textStyles.addAll(ids);
    return ids.stream().filter(declared::containsKey).map(TtmlStyles::textId).distinct().toList();
  }

  /** The character styles that words follow, of those that they name. */
  List<StyleId> followedByWords(List<String> ids) {
    List<String> own =
        ids.stream()
            .filter(id -> declared.get(id) == null || !declared.get(id).saysOnlyRuby())
            .toList();
    characterStyles.addAll(own);
    return own.stream()
        .filter(declared::containsKey)
        .map(TtmlStyles::characterId)
        .distinct()
        .toList();
  }

  /** The values of a style with those of all that it refers to. */
  PropertySet chain(String id) {
    PropertySet merged = PropertySet.EMPTY;
    Deque<String> left = new ArrayDeque<>(List.of(id));
    Set<String> seen = new LinkedHashSet<>();
    while (!left.isEmpty()) {
      String next = left.pop();
      Declared style = declared.get(next);
      if (style != null && seen.add(next)) {
        merged = style.values.overlaidBy(merged);
        style.based.reversed().forEach(left::push);
      }
    }
    return merged;
  }

  static StyleId textId(String id) {
    return new StyleId("tt-" + id.replaceAll("[^A-Za-z0-9_.-]", "-"));
  }

  static StyleId characterId(String id) {
    return new StyleId("tt-" + id.replaceAll("[^A-Za-z0-9_.-]", "-") + "-words");
  }

  /** A style that cues use is a text style, one that words use a character style. */
  List<Style> made() {
    Map<StyleId, Style> made = new LinkedHashMap<>();
    textStyles.forEach(id -> make(id, StyleLevel.TEXT, made));
    characterStyles.forEach(id -> make(id, StyleLevel.CHARACTER, made));
    return List.copyOf(made.values());
  }

  /** Makes a style after all that it is based on, however far that goes. */
  private void make(String id, StyleLevel level, Map<StyleId, Style> made) {
    List<String> chain = new ArrayList<>();
    Set<String> seen = new LinkedHashSet<>();
    for (Optional<String> next = Optional.of(id).filter(declared::containsKey);
        next.isPresent() && seen.add(next.get());
        next = base(next.get(), seen)) {
      chain.add(next.get());
    }
    Optional<String> base = Optional.empty();
    for (String one : chain.reversed()) {
      if (!made.containsKey(id(one, level))) {
        make(requireNonNull(declared.get(one)), base, level, made);
      }
      base = Optional.of(one);
    }
  }

  private static StyleId id(String id, StyleLevel level) {
    return level == StyleLevel.TEXT ? textId(id) : characterId(id);
  }

  /** What a style is based on: the last that it refers to, but for those it is a base of. */
  private Optional<String> base(String id, Set<String> above) {
    return requireNonNull(declared.get(id)).based.stream()
        .filter(declared::containsKey)
        .filter(other -> !above.contains(other))
        .reduce((_, last) -> last);
  }

  private void make(
      Declared style, Optional<String> base, StyleLevel level, Map<StyleId, Style> made) {
    String id = style.id;
    StyleId own = id(id, level);
    PropertySet values = style.values;
    for (String other : style.based) {
      if (base.filter(other::equals).isEmpty()) {
        values = chain(other).overlaidBy(values);
      }
    }
    String name = id.replace('-', ' ').replace('_', ' ').strip();
    String shown =
        name.isEmpty()
            ? Messages.of("ttml-reader.style")
            : Character.toUpperCase(name.charAt(0)) + name.substring(1);
    made.put(
        own,
        new Style(
            own,
            shown,
            Messages.of("ttml-reader.captions"),
            level,
            base.map(other -> level == StyleLevel.TEXT ? textId(other) : characterId(other))
                .filter(made::containsKey),
            values,
            ""));
  }
}
