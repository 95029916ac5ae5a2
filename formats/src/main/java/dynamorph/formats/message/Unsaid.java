package dynamorph.formats.message;

import dynamorph.model.property.Facet;
import dynamorph.model.property.Property;
import dynamorph.model.style.StyleId;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Values that a format cannot say, gathered by property so that one line tells them all. */
public final class Unsaid {
  private final Map<String, Set<StyleId>> properties = new LinkedHashMap<>();

  /** Where a text stands is one thing to people, however many values it has. */
  public void add(Property<?> property, StyleId style) {
    String name = property.facet() == Facet.PLACEMENT ? property.facet().label() : property.label();
    properties.computeIfAbsent(name, _ -> new LinkedHashSet<>()).add(style);
  }

  public boolean isEmpty() {
    return properties.isEmpty();
  }

  /** The properties with the number of styles that set them. */
  public String words() {
    return properties.entrySet().stream()
        .map(each -> Messages.of("unsaid.of-styles", each.getKey(), each.getValue().size()))
        .collect(Collectors.joining(", "));
  }
}
