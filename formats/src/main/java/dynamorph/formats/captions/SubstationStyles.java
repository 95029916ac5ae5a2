package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import dynamorph.model.property.Address;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The styles of a script, and which of them become styles of a project. */
final class SubstationStyles {
  private static final String DEFAULT = "default";

  /** What a style of a script says. */
  record Declared(String name, SubstationLook look, SubstationPlace place) {}

  private final Map<String, Declared> declared = new HashMap<>();
  private final SubstationScale scale;
  private final SubstationWrapping wrapping;

  /** How often events have a style, by its name. */
  private final Map<String, Integer> events = new LinkedHashMap<>();

  /** The styles of the events in which words turn to a style. */
  private final Map<String, Set<String>> words = new LinkedHashMap<>();

  private SubstationStyles(SubstationScale scale, SubstationWrapping wrapping) {
    this.scale = scale;
    this.wrapping = wrapping;
  }

  static SubstationStyles of(
      SubstationScript script,
      SubstationScale scale,
      SubstationWrapping wrapping,
      List<Remark> remarks) {
    SubstationStyles styles = new SubstationStyles(scale, wrapping);
    for (SubstationScript.Row row : script.styles()) {
      if (row.kind().equals("style")) {
        styles.declare(row, script.older(), remarks);
      }
    }
    return styles;
  }

  private void declare(SubstationScript.Row row, boolean older, List<Remark> remarks) {
    String name = plain(row.cell("name"));
    SubstationLook look = SubstationLook.USUAL;
    for (SubstationField field : SubstationField.values()) {
      String text = row.cell(older ? columnOfFour(field) : field.column());
      Optional<Object> value = field.inStyle(text);
      if (value.isPresent()) {
        look = look.with(field, value.get());
      } else if (!text.isEmpty()) {
        remarks.add(
            new Remark(
                row.number(),
                Messages.of("substation.value-left-out", name, field.column(), text)));
      }
    }
    double key = number(row, "alignment", SubstationPlace.FOOT);
    SubstationPlace place =
        new SubstationPlace(
            older
                ? SubstationPlace.keyOf((int) key)
                : key >= 1 && key <= 9 ? (int) key : SubstationPlace.FOOT,
            Math.max(0, number(row, "marginl", 0)),
            Math.max(0, number(row, "marginr", 0)),
            Math.max(0, number(row, "marginv", 0)),
            number(row, "angle", 0),
            Optional.empty());
    declared.put(key(name), new Declared(name, look, place));
  }

  /** In version 4 the colour of the shadow is that of the border too. */
  private static String columnOfFour(SubstationField field) {
    return field == SubstationField.BORDER_COLOUR
        ? SubstationField.SHADOW_COLOUR.column()
        : field.column();
  }

  private static double number(SubstationScript.Row row, String column, double otherwise) {
    return SubstationField.number(row.cell(column)).orElse(otherwise);
  }

  /** Names may begin with stars, which mean nothing. */
  private static String plain(String name) {
    return name.strip().replaceAll("^\\*+", "");
  }

  private static String key(String name) {
    return plain(name).toLowerCase(Locale.ROOT);
  }

  boolean has(String name) {
    return declared.containsKey(key(name));
  }

  /** A style by its name; the one that is called Default where there is none. */
  Declared get(String name) {
    Declared found = declared.get(key(name));
    return found != null
        ? found
        : declared.getOrDefault(
            DEFAULT, new Declared("Default", SubstationLook.USUAL, SubstationPlace.USUAL));
  }

  /** The style that an event follows. */
  StyleId ofEvent(Declared style) {
    events.merge(style.name, 1, Integer::sum);
    return textId(style.name);
  }

  /** The style that words of an event follow. */
  StyleId ofWords(Declared style, Declared event) {
    words.computeIfAbsent(style.name, _ -> new LinkedHashSet<>()).add(event.name);
    return wordId(style.name);
  }

  private static StyleId textId(String name) {
    return new StyleId("script-" + name.replaceAll("[^A-Za-z0-9_.-]", "-"));
  }

  private static StyleId wordId(String name) {
    return new StyleId(textId(name).value() + "-words");
  }

  /** The style that most events have. */
  Optional<StyleId> common() {
    return events.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .map(most -> textId(most.getKey()));
  }

  /**
   * Those that are followed: styles of cues as text styles, styles of words as character styles.
   */
  List<Style> made() {
    Map<String, PropertySet> texts = new LinkedHashMap<>();
    for (String name : events.keySet()) {
      Declared style = get(name);
      texts.put(name, style.look.values(scale).overlaidBy(style.place.values(scale, wrapping)));
    }
    Set<PropertyKey<?>> needed = new LinkedHashSet<>();
    texts.values().forEach(values -> needed.addAll(telling(values)));
    List<Style> made = new ArrayList<>();
    texts.forEach((name, values) ->
        made.add(style(textId(name), name, StyleLevel.TEXT, changed(needed, values, texts))));
    words.forEach((name, places) -> {
      PropertySet own = get(name).look.values(scale);
      Set<PropertyKey<?>> differing = new LinkedHashSet<>();
      for (String place : places) {
        differing.addAll(differing(own, get(place).look.values(scale)));
      }
      made.add(
          style(wordId(name), name, StyleLevel.CHARACTER, ofWords(changed(differing, own, texts))));
    });
    return made;
  }

  private static Style style(StyleId id, String name, StyleLevel level, PropertySet values) {
    return new Style(
        id, name, Messages.of("vtt-reader.captions"), level, Optional.empty(), values, "");
  }

  /** The keys of values that are not what they would be anyway. */
  private static List<PropertyKey<?>> telling(PropertySet values) {
    return values.keys().stream().filter(key -> !isUsual(values, key)).toList();
  }

  private static <T> boolean isUsual(PropertySet values, PropertyKey<T> key) {
    boolean needless =
        key.property().equals(Properties.UNDERLINE)
            || key.property().equals(Properties.STRIKE)
            || key.property().equals(Properties.HORIZONTAL_SCALE)
            || key.property().equals(Properties.VERTICAL_SCALE)
            || key.property().equals(Properties.TRACKING)
            || key.property().equals(Properties.ROTATION);
    return needless && values.get(key).orElseThrow().equals(key.property().defaultValue());
  }

  /** What turns one look into another: values, and coats that come or are not there any more. */
  static PropertySet between(PropertySet now, PropertySet before) {
    return changed(differing(now, before), now, Map.of("", before));
  }

  private static Set<PropertyKey<?>> differing(PropertySet now, PropertySet before) {
    Set<PropertyKey<?>> keys = new LinkedHashSet<>(now.keys());
    keys.addAll(before.keys());
    keys.removeIf(key -> now.get(key).equals(before.get(key)));
    return keys;
  }

  /**
   * Values of a look for some keys.
   *
   * @param others looks that it may lie over: where one of them has no such coat, it may be removed
   */
  private static PropertySet changed(
      Iterable<PropertyKey<?>> keys, PropertySet now, Map<String, PropertySet> others) {
    PropertySet changed = PropertySet.EMPTY;
    for (PropertyKey<?> key : keys) {
      if (now.get(key).isPresent()) {
        changed = with(changed, key, now);
        if (key.isKind() && others.values().stream().anyMatch(other -> !other.has(key))) {
          changed = changed.with(Properties.COAT_REMOVED.at(key.address()), false);
        }
      } else if (key.address().part() != Property.Part.TEXT) {
        changed = changed.with(Properties.COAT_REMOVED.at(key.address()), true);
      }
    }
    return changed;
  }

  private static <T> PropertySet with(PropertySet changed, PropertyKey<T> key, PropertySet now) {
    return changed.with(key, now.get(key).orElseThrow());
  }

  /** Words have no place and no plate of their own. */
  static PropertySet ofWords(PropertySet values) {
    return values.where(
        key -> key.property().countsOn(Level.SPAN) && !key.address().host().equals(Address.PLATE));
  }
}
