package dynamorph.formats.tokens;

import dynamorph.formats.message.Messages;
import dynamorph.formats.project.StyleJson;
import dynamorph.model.Asset;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * Makes styles and swatches of tokens. Colours become swatches; typography, gradients, borders and
 * shadows become styles of these values. A group that this program wrote becomes the style that it
 * was, changed where somebody changed its tokens since.
 */
final class TokenStyles {
  static final TokenValue.FontWeight REGULAR = new TokenValue.FontWeight(400);
  static final TokenValue.Dimension NO_SPACING = new TokenValue.Dimension(0);
  static final TokenValue.Number USUAL_LEADING = new TokenValue.Number(1.2);

  private static final Set<TokenType> LOOKS =
      Set.of(TokenType.TYPOGRAPHY, TokenType.GRADIENT, TokenType.BORDER, TokenType.SHADOW);

  private final Tokens tokens;
  private final List<String> remarks = new ArrayList<>();

  /** Styles that this program wrote, by the path of their groups. */
  private final Map<String, Style> written = new LinkedHashMap<>();

  /** What stands below those groups, by group and then by path in it. */
  private final Map<String, Map<List<String>, TokenValue>> said = new HashMap<>();

  private final Map<String, String> swatchOf = new HashMap<>();
  private final List<Swatch> swatches = new ArrayList<>();

  /** The same with the colours that they had when this program wrote them. */
  private final List<Swatch> asWritten = new ArrayList<>();

  private final Set<String> swatchIds = new HashSet<>();
  private final Set<StyleId> styleIds = new HashSet<>();

  /**
   * @param remarks what was left out or changed
   */
  record Taken(StyleBundle bundle, List<String> remarks) {}

  private TokenStyles(Tokens tokens) {
    this.tokens = tokens;
  }

  static Taken of(Tokens tokens) {
    return new TokenStyles(tokens).taken();
  }

  private Taken taken() {
    tokens.problems().forEach(problem -> remarks.add(problem.toString()));
    findWritten();
    List<Tokens.Token> foreign = new ArrayList<>();
    for (Tokens.Token token : tokens.tokens()) {
      Optional<String> group = groupWritten(token);
      if (group.isPresent()) {
        int depth = group.get().split("\\.", -1).length;
        said.computeIfAbsent(group.get(), _ -> new LinkedHashMap<>())
            .put(token.path().subList(depth, token.path().size()), token.value());
      } else {
        foreign.add(token);
      }
    }
    addSwatches(foreign.stream().filter(token -> token.type() == TokenType.COLOR).toList());
    StyleBook book = restored();
    List<Style> styles = new ArrayList<>(book.list());
    long values = 0;
    for (Tokens.Token token : foreign) {
      if (LOOKS.contains(token.type())) {
        style(token).ifPresent(styles::add);
      } else if (token.type() != TokenType.COLOR) {
        values++;
      }
    }
    if (values > 0) {
      remarks.add(Messages.of("token-styles.values-alone", values));
    }
    return new Taken(new StyleBundle(inOrder(styles), swatches, images()), List.copyOf(remarks));
  }

  // --- styles of this program

  private void findWritten() {
    tokens
        .groupExtensions()
        .forEach((path, extensions) -> {
          JsonNode node = extensions.path(TokenWriter.EXTENSION).path(TokenWriter.STYLE);
          if (node.isObject()) {
            try {
              Style style = StyleJson.readAlone(node);
              if (styleIds.add(style.id())) {
                written.put(path, style);
              }
            } catch (IOException wrong) {
              told(path, String.valueOf(wrong.getMessage()));
            }
          }
        });
  }

  private Optional<String> groupWritten(Tokens.Token token) {
    for (int depth = token.path().size() - 1; depth > 0; depth--) {
      String group = String.join(".", token.path().subList(0, depth));
      if (written.containsKey(group)) {
        return Optional.of(group);
      }
    }
    return Optional.empty();
  }

  /** The styles as their tokens say them now. */
  private StyleBook restored() {
    List<Style> complete = new ArrayList<>();
    written.forEach((path, style) -> {
      boolean lost = style.basedOn().filter(base -> !styleIds.contains(base)).isPresent();
      if (lost) {
        told(path, Messages.of("token-styles.base-is-missing"));
      }
      complete.add(lost ? style.withBasedOn(Optional.empty()) : style);
    });
    StyleBook book;
    try {
      book = StyleBook.of(complete);
    } catch (IllegalArgumentException circle) {
      remarks.add(String.valueOf(circle.getMessage()));
      book =
          StyleBook.of(
              complete.stream().map(style -> style.withBasedOn(Optional.empty())).toList());
    }
    return changed(book);
  }

  /** Styles with what their tokens say otherwise than they did when they were written. */
  private StyleBook changed(StyleBook before) {
    Palette palette = new Palette(asWritten);
    StyleTokens expected =
        new StyleTokens(before, palette, plain(), new TokenNames(before, palette.swatches()));
    Map<StyleId, String> places = new HashMap<>();
    written.forEach((path, style) -> places.put(style.id(), path));
    StyleBook book = before;
    for (Style style : before.list()) {
      Map<List<String>, TokenValue> now = saidBy(places, style.id());
      Map<List<String>, StyleTokens.Part> parts = expected.of(style.id());
      Map<String, TokenValue> letters = new HashMap<>();
      parts.forEach((path, part) -> {
        TokenValue value = saidBy(places, part.holder()).get(path);
        if (path.size() == 1 && value != null) {
          letters.put(path.getFirst(), value);
        }
      });
      double size =
          letters.get(StyleTokens.SIZE) instanceof TokenValue.Dimension(double pixels)
              ? pixels
              : Properties.SIZE.defaultValue().over(0);
      StyleValues into = new StyleValues(swatchOf, size);
      PropertySet values = style.properties();
      for (Map.Entry<List<String>, TokenValue> each : now.entrySet()) {
        StyleTokens.Part part = parts.get(each.getKey());
        if (part == null || !isInherited(part, style, each, places)) {
          values =
              into.changed(
                  values,
                  each.getKey(),
                  into.asWritten(each.getValue(), palette),
                  Optional.ofNullable(part).map(StyleTokens.Part::value),
                  letters);
        }
      }
      if (values != style.properties()) {
        // changed here, it is not what a shelf has
        Style changed = style.withProperties(values).withOrigin(Optional.empty());
        Optional<Style> checked = checked(style.id().value(), changed);
        book = checked.isPresent() ? book.with(checked.get()) : book;
      }
    }
    return book;
  }

  /** Whether a token still says what the style that it comes from says now. */
  private boolean isInherited(
      StyleTokens.Part part,
      Style style,
      Map.Entry<List<String>, TokenValue> now,
      Map<StyleId, String> places) {
    TokenValue there = saidBy(places, part.holder()).get(now.getKey());
    return !part.holder().equals(style.id())
        && there != null
        && TokenJson.same(there, now.getValue());
  }

  /** The style that text without one took in the project that was written. */
  private Optional<StyleId> plain() {
    String id = ofProgram().path(TokenWriter.PLAIN).asString("");
    return written.values().stream().map(Style::id).filter(one -> one.value().equals(id)).findAny();
  }

  private JsonNode ofProgram() {
    JsonNode extensions = tokens.groupExtensions().get("");
    return extensions == null
        ? tools.jackson.databind.node.MissingNode.getInstance()
        : extensions.path(TokenWriter.EXTENSION);
  }

  private Map<List<String>, TokenValue> saidBy(Map<StyleId, String> places, StyleId id) {
    return said.getOrDefault(places.getOrDefault(id, ""), Map.of());
  }

  // --- tokens of others

  private void addSwatches(List<Tokens.Token> colours) {
    int common = common(colours.stream().filter(token -> swatch(token).isEmpty()).toList());
    for (Tokens.Token token : colours) {
      TokenValue.OfColour colour = (TokenValue.OfColour) token.value();
      Swatch swatch =
          swatch(token)
              .map(known ->
                  known.colour().equals(colour.rgba())
                      ? known
                      : known.withColour(colour.rgba()).withOrigin(Optional.empty()))
              .orElseGet(() -> {
                String name = name(token.path().subList(common, token.path().size()), " ");
                return new Swatch(StyleId.stem(name, "swatch"), name, colour.rgba());
              });
      String id = swatch.id();
      for (int number = 2; !swatchIds.add(id); number++) {
        id = swatch.id() + "-" + number;
      }
      Swatch placed = new Swatch(id, swatch.name(), swatch.colour(), swatch.origin());
      swatches.add(placed);
      asWritten.add(placed.withColour(swatch(token).orElse(placed).colour()));
      swatchOf.put(token.name(), id);
    }
  }

  private static Optional<Swatch> swatch(Tokens.Token token) {
    JsonNode node =
        token
            .extensions()
            .map(extensions -> extensions.path(TokenWriter.EXTENSION).path(TokenWriter.SWATCH))
            .orElse(null);
    if (node == null || !node.isObject()) {
      return Optional.empty();
    }
    try {
      return Optional.of(StyleJson.readSwatch(node));
    } catch (IOException wrong) {
      return Optional.empty(); // what the token says by itself is enough
    }
  }

  /** How many groups at the beginning all paths share, which names need not repeat. */
  private static int common(List<Tokens.Token> colours) {
    if (colours.isEmpty()) {
      return 0;
    }
    List<String> first = colours.getFirst().group();
    int common = first.size();
    for (Tokens.Token token : colours) {
      int same = 0;
      while (same < Math.min(common, token.group().size())
          && token.group().get(same).equals(first.get(same))) {
        same++;
      }
      common = same;
    }
    return common;
  }

  /** A token that stands for its group has the name of the group. */
  private static String name(List<String> path, String between) {
    List<String> named = path.stream().filter(part -> !part.equals(TokenTree.ROOT)).toList();
    String name = String.join(between, named).strip();
    return name.isEmpty() ? Messages.of("token-styles.no-name") : name;
  }

  private Optional<Style> style(Tokens.Token token) {
    List<String> path = token.path().stream().filter(part -> !part.equals(TokenTree.ROOT)).toList();
    String name = path.isEmpty() || path.getLast().isBlank() ? token.name() : path.getLast();
    List<String> groups = path.isEmpty() ? path : path.subList(0, path.size() - 1);
    StyleId id = freeId(StyleId.stem(name, "style"));
    if (token.value() instanceof TokenValue.Typography typography
        && typography.family().names().size() > 1) {
      told(
          token.name(),
          Messages.of("token-styles.first-family", typography.family().names().getFirst()));
    }
    PropertySet values = new StyleValues(swatchOf, 0).values(token.value(), Address.FINISH);
    Style style =
        new Style(id, name, name(groups, "/", ""), StyleLevel.TEXT, Optional.empty(), values, "")
            .withNote(token.description());
    return checked(token.name(), style);
  }

  private static String name(List<String> path, String between, String otherwise) {
    return path.isEmpty() ? otherwise : name(path, between);
  }

  private StyleId freeId(String stem) {
    StyleId id = new StyleId(stem);
    for (int number = 2; !styleIds.add(id); number++) {
      id = new StyleId(stem + "-" + number);
    }
    return id;
  }

  /** A style as a file would have it, whose values lie where values may lie. */
  private Optional<Style> checked(String place, Style style) {
    try {
      return Optional.of(StyleJson.readAlone(StyleJson.write(style)));
    } catch (IOException wrong) {
      told(place, String.valueOf(wrong.getMessage()));
      return Optional.empty();
    }
  }

  private static List<Style> inOrder(List<Style> styles) {
    Map<StyleId, Style> byId = new LinkedHashMap<>();
    styles.forEach(style -> byId.put(style.id(), style));
    Set<Style> ordered = new LinkedHashSet<>();
    for (Style style : styles) {
      List<Style> chain = new ArrayList<>();
      for (Style each = style; each != null && !ordered.contains(each) && !chain.contains(each); ) {
        chain.add(each);
        each = each.basedOn().map(byId::get).orElse(null);
      }
      ordered.addAll(chain.reversed());
    }
    return List.copyOf(ordered);
  }

  private List<Asset> images() {
    List<Asset> images = new ArrayList<>();
    for (JsonNode node : ofProgram().path(TokenWriter.ASSETS)) {
      try {
        images.add(
            new Asset(
                node.path(TokenWriter.ASSET_NAME).asString(""),
                Base64.getDecoder().decode(node.path(TokenWriter.ASSET_BYTES).asString(""))));
      } catch (IllegalArgumentException damaged) {
        remarks.add(String.valueOf(damaged.getMessage()));
      }
    }
    return images;
  }

  private void told(String place, String words) {
    remarks.add(new Tokens.Problem(place, words).toString());
  }
}
