package dynamorph.model.style;

import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertySet;
import java.util.Objects;
import java.util.Optional;

/**
 * A look that is kept: a sparse set of values under a name.
 *
 * @param group path of the group it stands in, parts separated by {@code /}; empty for none
 * @param basedOn the style that fills in what this one leaves open
 * @param sample words that its specimen shows when no text of the project does
 * @param label a colour that people sort it by, if any
 * @param note what people wrote down about it
 * @param origin what it is on a shelf, if it came from one or was put there
 */
public record Style(
    StyleId id,
    String name,
    String group,
    StyleLevel level,
    Optional<StyleId> basedOn,
    PropertySet properties,
    String sample,
    Optional<ColourLabel> label,
    String note,
    Optional<Origin> origin) {
  public Style {
    Objects.requireNonNull(id, "id");
    name = name.strip();
    if (name.isEmpty()) {
      throw new IllegalArgumentException(Messages.of("style.a-style-needs-a-name"));
    }
    Objects.requireNonNull(group, "group");
    Objects.requireNonNull(level, "level");
    Objects.requireNonNull(basedOn, "basedOn");
    Objects.requireNonNull(properties, "properties");
    Objects.requireNonNull(sample, "sample");
    Objects.requireNonNull(label, "label");
    Objects.requireNonNull(note, "note");
    Objects.requireNonNull(origin, "origin");
  }

  /** A style without label, note and origin. */
  public Style(
      StyleId id,
      String name,
      String group,
      StyleLevel level,
      Optional<StyleId> basedOn,
      PropertySet properties,
      String sample) {
    this(
        id,
        name,
        group,
        level,
        basedOn,
        properties,
        sample,
        Optional.empty(),
        "",
        Optional.empty());
  }

  public static Style text(String id, String name, String group) {
    return new Style(
        new StyleId(id), name, group, StyleLevel.TEXT, Optional.empty(), PropertySet.EMPTY, "");
  }

  public Style withName(String changed) {
    return new Style(id, changed, group, level, basedOn, properties, sample, label, note, origin);
  }

  public Style withGroup(String changed) {
    return new Style(id, name, changed, level, basedOn, properties, sample, label, note, origin);
  }

  public Style withLevel(StyleLevel changed) {
    return new Style(id, name, group, changed, basedOn, properties, sample, label, note, origin);
  }

  public Style withBasedOn(Optional<StyleId> changed) {
    return new Style(id, name, group, level, changed, properties, sample, label, note, origin);
  }

  public Style withProperties(PropertySet changed) {
    return new Style(id, name, group, level, basedOn, changed, sample, label, note, origin);
  }

  public Style withSample(String changed) {
    return new Style(id, name, group, level, basedOn, properties, changed, label, note, origin);
  }

  public Style withLabel(Optional<ColourLabel> changed) {
    return new Style(id, name, group, level, basedOn, properties, sample, changed, note, origin);
  }

  public Style withNote(String changed) {
    return new Style(id, name, group, level, basedOn, properties, sample, label, changed, origin);
  }

  public Style withId(StyleId changed) {
    return new Style(changed, name, group, level, basedOn, properties, sample, label, note, origin);
  }

  public Style withOrigin(Optional<Origin> changed) {
    return new Style(id, name, group, level, basedOn, properties, sample, label, note, changed);
  }
}
