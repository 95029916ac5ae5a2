package dynamorph.formats.tokens;

import dynamorph.formats.message.Messages;
import dynamorph.formats.message.Unsaid;
import dynamorph.formats.project.StyleJson;
import dynamorph.model.Asset;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.FontSize;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes styles and swatches as tokens. Every style is a group: a token for each thing that it sets
 * itself, a typography token that names them and those of its bases, and one for each coat and
 * shadow. What no token says stands in {@code $extensions}.
 */
final class TokenWriter {
  /** What the extension of this program is called. */
  static final String EXTENSION = "org.dynamorph";

  static final String STYLE = "style";
  static final String SWATCH = "swatch";
  static final String PLAIN = "baseStyle";
  static final String ASSETS = "assets";
  static final String ASSET_NAME = "name";
  static final String ASSET_BYTES = "base64";

  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private final StyleBundle bundle;
  private final StyleBook styles;
  private final TokenNames names;
  private final StyleTokens tokens;
  private final Optional<StyleId> plain;
  private final ObjectNode document = NODES.objectNode();
  private final List<String> remarks = new ArrayList<>();

  /**
   * @param remarks what the tokens cannot say
   */
  record Written(ObjectNode document, List<String> remarks) {}

  private TokenWriter(StyleBundle bundle, Optional<StyleId> plain) {
    this.plain = plain;
    this.bundle = bundle;
    this.styles = StyleBook.of(bundle.styles());
    this.names = new TokenNames(styles, bundle.swatches());
    this.tokens = new StyleTokens(styles, new Palette(bundle.swatches()), plain, names);
  }

  static Written write(String name, StyleBundle bundle, Optional<StyleId> plain) {
    return new TokenWriter(bundle, plain.filter(id -> isIn(bundle, id))).written(name);
  }

  private static boolean isIn(StyleBundle bundle, StyleId id) {
    return bundle.styles().stream().anyMatch(style -> style.id().equals(id));
  }

  private Written written(String name) {
    document.put(TokenTree.DESCRIPTION, name);
    putOfProgram();
    bundle.swatches().forEach(this::put);
    styles.stream().forEach(this::put);
    tellUnsaid();
    return new Written(document, List.copyOf(remarks));
  }

  private void put(Swatch swatch) {
    ObjectNode token = group(names.ofSwatch(swatch.id()));
    put(token, TokenValue.OfColour.of(swatch.colour()));
    token.set(TokenTree.EXTENSIONS, extension(SWATCH, StyleJson.write(swatch)));
  }

  private void put(Style style) {
    List<String> path = names.of(style.id());
    ObjectNode group = group(path);
    if (!style.note().isBlank()) {
      group.put(TokenTree.DESCRIPTION, style.note());
    }
    group.set(TokenTree.EXTENSIONS, extension(STYLE, StyleJson.write(style)));
    Map<List<String>, StyleTokens.Part> parts = tokens.of(style.id());
    for (StyleTokens.Part part : parts.values()) {
      boolean own = part.holder().equals(style.id());
      if (own || part.path().size() > 1) {
        ObjectNode token = group(joined(path, part.path()));
        if (own) {
          put(token, part.value());
        } else {
          token.put(TokenTree.TYPE, TokenJson.type(part.value()).written());
          token.set(TokenTree.VALUE, alias(part));
        }
      }
    }
    putTypography(path, parts);
  }

  /** A style that says nothing of family or size adds to text that has them. */
  private void putTypography(List<String> path, Map<List<String>, StyleTokens.Part> parts) {
    if (!parts.containsKey(List.of(StyleTokens.FAMILY))
        || !parts.containsKey(List.of(StyleTokens.SIZE))) {
      return;
    }
    ObjectNode token = group(joined(path, List.of(StyleTokens.TYPOGRAPHY)));
    token.put(TokenTree.TYPE, TokenType.TYPOGRAPHY.written());
    ObjectNode value = token.putObject(TokenTree.VALUE);
    value.set("fontFamily", named(parts, StyleTokens.FAMILY, TokenStyles.NO_SPACING));
    value.set("fontSize", named(parts, StyleTokens.SIZE, TokenStyles.NO_SPACING));
    value.set("fontWeight", named(parts, StyleTokens.WEIGHT, TokenStyles.REGULAR));
    value.set("letterSpacing", named(parts, StyleTokens.LETTER_SPACING, TokenStyles.NO_SPACING));
    value.set("lineHeight", named(parts, StyleTokens.LINE_HEIGHT, TokenStyles.USUAL_LEADING));
  }

  private JsonNode named(
      Map<List<String>, StyleTokens.Part> parts, String name, TokenValue otherwise) {
    StyleTokens.Part part = parts.get(List.of(name));
    return part == null ? TokenJson.write(otherwise) : alias(part);
  }

  private JsonNode alias(StyleTokens.Part part) {
    return TokenJson.alias(String.join(".", joined(names.of(part.holder()), part.path())));
  }

  private static void put(ObjectNode token, TokenValue value) {
    token.put(TokenTree.TYPE, TokenJson.type(value).written());
    token.set(TokenTree.VALUE, TokenJson.write(value));
  }

  private static ObjectNode extension(String name, JsonNode content) {
    ObjectNode extensions = NODES.objectNode();
    extensions.putObject(EXTENSION).set(name, content);
    return extensions;
  }

  private ObjectNode group(List<String> path) {
    ObjectNode group = document;
    for (String name : path) {
      group = group.get(name) instanceof ObjectNode there ? there : group.putObject(name);
    }
    return group;
  }

  private static List<String> joined(List<String> path, List<String> more) {
    List<String> joined = new ArrayList<>(path);
    joined.addAll(more);
    return joined;
  }

  // --- what tokens do not say

  /** Images of patterns are small; fonts are neither that nor always the writer's to hand on. */
  private void putOfProgram() {
    List<Asset> images = bundle.assets().stream().filter(Asset::isImage).toList();
    if (!images.isEmpty() || plain.isPresent()) {
      ObjectNode extensions = NODES.objectNode();
      ObjectNode own = extensions.putObject(EXTENSION);
      plain.ifPresent(id -> own.put(PLAIN, id.value()));
      ArrayNode list = own.putArray(ASSETS);
      for (Asset image : images) {
        list.addObject()
            .put(ASSET_NAME, image.name())
            .put(ASSET_BYTES, Base64.getEncoder().encodeToString(image.bytes()));
      }
      document.set(TokenTree.EXTENSIONS, extensions);
    }
    String fonts =
        bundle.assets().stream()
            .filter(Asset::isFont)
            .map(Asset::shortName)
            .collect(Collectors.joining(", "));
    if (!fonts.isEmpty()) {
      remarks.add(Messages.of("token-writer.fonts-stay-behind", fonts));
    }
  }

  private void tellUnsaid() {
    Unsaid unsaid = new Unsaid();
    List<String> relative = new ArrayList<>();
    for (Style style : bundle.styles()) {
      for (PropertyKey<?> key : style.properties().keys()) {
        if (!StyleTokens.isSaid(key, style.properties())) {
          unsaid.add(key.property(), style.id());
        }
      }
      boolean loose =
          styles.chainOn(style.id(), plain).stream()
              .map(each -> each.properties().get(dynamorph.model.property.Properties.SIZE.key()))
              .flatMap(Optional::stream)
              .noneMatch(FontSize.Absolute.class::isInstance);
      if (loose && tokens.of(style.id()).containsKey(List.of(StyleTokens.SIZE))) {
        relative.add(style.name());
      }
    }
    if (!relative.isEmpty()) {
      remarks.add(
          Messages.of("token-writer.relative", relative.size(), String.join(", ", relative)));
    }
    if (!unsaid.isEmpty()) {
      remarks.add(Messages.of("token-writer.no-token-says", unsaid.words()));
    }
  }
}
