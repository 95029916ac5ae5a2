package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.project.PropertyJson;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.TextDirection;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * What is to be set.
 *
 * @param width the measure in points; empty for no wrapping
 * @param font a font file or a family
 * @param values all that is not in its own field
 * @param show what else is told: {@code breaks}, {@code graphemes}, {@code words}, {@code levels},
 *     {@code hyphens}
 */
record TypesetRequest(
    String text,
    OptionalDouble width,
    Optional<String> font,
    PropertySet values,
    TextDirection direction,
    String language,
    boolean fallback,
    List<String> show) {
  private static final Set<String> FIELDS =
      Set.of(
          "text",
          "width",
          "font",
          "size",
          "features",
          "language",
          "direction",
          "breaker",
          "align",
          "hyphenate",
          "fallback",
          "show",
          "style");
  private static final List<String> SHOWN =
      List.of("breaks", "graphemes", "words", "levels", "hyphens");

  private static final String DEFAULT_LANGUAGE = "en";

  /**
   * Reads a request.
   *
   * @throws IllegalArgumentException naming the field that is wrong and what was expected
   */
  static TypesetRequest of(JsonNode request) {
    if (!request.isObject()) {
      throw new IllegalArgumentException(
          Messages.of("typeset-request.expected-a-json-object-found", request.getNodeType()));
    }
    for (String field : request.propertyNames()) {
      if (!FIELDS.contains(field)) {
        throw new IllegalArgumentException(
            Messages.of(
                "typeset-request.unknown-field-known-are",
                field,
                String.join(", ", FIELDS.stream().sorted().toList())));
      }
    }
    if (!request.path("text").isString()) {
      throw new IllegalArgumentException(Messages.of("typeset-request.text-expected-a-string"));
    }
    TextDirection direction = direction(string(request, "direction").orElse("auto"));
    String language = string(request, "language").orElse(DEFAULT_LANGUAGE);
    return new TypesetRequest(
        request.path("text").stringValue(),
        width(request.path("width")),
        string(request, "font"),
        values(request, direction, language),
        direction,
        language,
        flag(request, "fallback").orElse(true),
        show(request.path("show")));
  }

  private static OptionalDouble width(JsonNode node) {
    if (node.isMissingNode() || node.isNull()) {
      return OptionalDouble.empty();
    }
    double width = node.isNumber() ? node.doubleValue() : Double.NaN;
    if (!(width >= 0)) {
      throw new IllegalArgumentException(
          Messages.of("typeset-request.width-expected-a-number-of-points", node));
    }
    return Double.isInfinite(width) ? OptionalDouble.empty() : OptionalDouble.of(width);
  }

  private static PropertySet values(JsonNode request, TextDirection direction, String language) {
    PropertySet values = style(request.path("style"));
    values = values.with(Properties.DIRECTION, direction);
    values = values.with(Properties.LANGUAGE, language);
    JsonNode size = request.path("size");
    if (!size.isMissingNode()) {
      values =
          size.isNumber()
              ? values.with(Properties.SIZE, FontSize.points(size.doubleValue()))
              : values.withText(Properties.SIZE.key(), size.stringValue(""));
    }
    Optional<String> features = string(request, "features");
    if (features.isPresent()) {
      values = values.withText(Properties.FONT_FEATURES.key(), features.get());
    }
    Optional<String> breaker = string(request, "breaker");
    if (breaker.isPresent()) {
      values = values.with(Properties.LINE_BREAKING, breaker(breaker.get()));
    }
    Optional<String> align = string(request, "align");
    if (align.isPresent()) {
      String wanted = align.get().equals("justify") ? "justified" : align.get();
      values = values.withText(Properties.ALIGNMENT.key(), wanted.replace("center", "centre"));
    }
    Optional<Boolean> hyphenate = flag(request, "hyphenate");
    return hyphenate.isPresent() ? values.with(Properties.HYPHENATE, hyphenate.get()) : values;
  }

  private static PropertySet style(JsonNode node) {
    if (node.isMissingNode()) {
      return PropertySet.EMPTY;
    }
    if (!node.isObject()) {
      throw new IllegalArgumentException(
          Messages.of("typeset-request.style-expected-an-object-of-property"));
    }
    return PropertyJson.read(node);
  }

  private static TextDirection direction(String text) {
    return switch (text) {
      case "auto" -> TextDirection.AUTOMATIC;
      case "ltr" -> TextDirection.LEFT_TO_RIGHT;
      case "rtl" -> TextDirection.RIGHT_TO_LEFT;
      default ->
          throw new IllegalArgumentException(
              Messages.of("typeset-request.direction-expected-auto-ltr-or-rtl", text));
    };
  }

  private static LineBreaking breaker(String text) {
    return switch (text) {
      case "line" -> LineBreaking.LINE_BY_LINE;
      case "paragraph" -> LineBreaking.WHOLE_PARAGRAPH;
      default ->
          throw new IllegalArgumentException(Messages.of("typeset-request.breaker-expected", text));
    };
  }

  private static List<String> show(JsonNode node) {
    List<String> show = new ArrayList<>();
    for (JsonNode name : node) {
      String wanted = name.stringValue("");
      if (!SHOWN.contains(wanted)) {
        throw new IllegalArgumentException(
            Messages.of("typeset-request.show-expected-found", String.join(", ", SHOWN), name));
      }
      show.add(wanted);
    }
    return show;
  }

  private static Optional<String> string(JsonNode request, String field) {
    JsonNode node = request.path(field);
    if (node.isMissingNode() || node.isNull()) {
      return Optional.empty();
    }
    if (!node.isString()) {
      throw new IllegalArgumentException(
          Messages.of("typeset-request.expected-a-string-found", field, node));
    }
    return Optional.of(node.stringValue());
  }

  private static Optional<Boolean> flag(JsonNode request, String field) {
    JsonNode node = request.path(field);
    if (node.isMissingNode() || node.isNull()) {
      return Optional.empty();
    }
    if (!node.isBoolean()) {
      throw new IllegalArgumentException(
          Messages.of("typeset-request.expected-true-or-false-found", field, node));
    }
    return Optional.of(node.booleanValue());
  }
}
