package dynamorph.formats.tokens;

import dynamorph.formats.message.Messages;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The groups and tokens of a document as they are written, with extended groups put together
 * (Format Module, 6).
 */
final class TokenTree {
  static final String VALUE = "$value";
  static final String TYPE = "$type";
  static final String REF = "$ref";
  static final String EXTENDS = "$extends";
  static final String EXTENSIONS = "$extensions";
  static final String DESCRIPTION = "$description";
  static final String ROOT = "$root";

  private static final Set<String> KNOWN =
      Set.of(VALUE, TYPE, REF, EXTENDS, EXTENSIONS, DESCRIPTION, ROOT, "$deprecated", "$schema");

  /** Deeper nesting is a mistake or an attack. */
  private static final int DEEPEST = 64;

  /** So many values may come into groups from others. */
  private static final int MOST_COPIED = 100_000;

  private static final Pattern ALIAS = Pattern.compile("\\{([^{}]+)}");

  /**
   * A token as it is written.
   *
   * @param type its own, or empty
   * @param inherited the type that the nearest group gives
   */
  record Written(
      List<String> path, JsonNode node, Optional<String> type, Optional<String> inherited) {
    String name() {
      return String.join(".", path);
    }

    /** What stands for its value: a value, an alias or a reference. */
    JsonNode value() {
      return node.has(VALUE) ? node.get(VALUE) : node;
    }

    String description() {
      return node.path(DESCRIPTION).asString("");
    }
  }

  private final ObjectNode document;
  private final Map<String, Written> tokens = new LinkedHashMap<>();
  private final Map<String, String> notes = new LinkedHashMap<>();
  private final Map<String, JsonNode> extensions = new LinkedHashMap<>();
  private final List<Tokens.Problem> problems = new ArrayList<>();

  /**
   * Finds the tokens of a document.
   *
   * @throws Refused if names are not allowed or groups extend each other in a circle
   */
  TokenTree(ObjectNode document) {
    ObjectNode whole = document.deepCopy();
    new Extension(whole).of(whole, List.of(), 0);
    this.document = whole;
    walk(whole, List.of(), Optional.empty());
  }

  ObjectNode document() {
    return document;
  }

  Map<String, Written> tokens() {
    return tokens;
  }

  Map<String, String> notes() {
    return notes;
  }

  Map<String, JsonNode> extensions() {
    return extensions;
  }

  List<Tokens.Problem> problems() {
    return problems;
  }

  /** The path that an alias such as {@code {colour.ink}} names. */
  static Optional<String> alias(JsonNode node) {
    if (!node.isString()) {
      return Optional.empty();
    }
    var found = ALIAS.matcher(node.stringValue());
    return found.matches() ? Optional.of(found.group(1)) : Optional.empty();
  }

  /** The segments of a reference into the same document, such as {@code #/colour/ink}. */
  static List<String> pointer(String reference, String place) {
    if (!reference.startsWith("#/")) {
      throw new Refused(place, Messages.of("token-tree.only-in-the-same-file", reference));
    }
    List<String> segments = new ArrayList<>();
    for (String segment : reference.substring(2).split("/", -1)) {
      segments.add(
          java.net.URLDecoder.decode(
                  segment.replace("+", "%2B"), java.nio.charset.StandardCharsets.UTF_8)
              .replace("~1", "/")
              .replace("~0", "~"));
    }
    return segments;
  }

  static boolean isToken(JsonNode node) {
    return node.isObject() && (node.has(VALUE) || node.has(REF));
  }

  private static void checkDepth(int depth, List<String> path) {
    if (depth > DEEPEST) {
      throw new Refused(shown(path.subList(0, 4)), Messages.of("token-tree.too-deep", DEEPEST));
    }
  }

  // --- extending

  /** Puts extended groups together. */
  private static final class Extension {
    private final ObjectNode root;
    private final Set<String> open = new LinkedHashSet<>();
    private int copied;

    Extension(ObjectNode root) {
      this.root = root;
    }

    void of(ObjectNode group, List<String> path, int depth) {
      checkDepth(depth, path);
      extend(group, path, depth);
      for (Map.Entry<String, JsonNode> child : List.copyOf(group.properties())) {
        if (child.getValue() instanceof ObjectNode inner
            && !child.getKey().startsWith("$")
            && !isToken(inner)) {
          of(inner, and(path, child.getKey()), depth + 1);
        }
      }
    }

    private void extend(ObjectNode group, List<String> path, int depth) {
      checkDepth(depth, path);
      JsonNode named = group.get(EXTENDS);
      if (named == null) {
        return;
      }
      String place = shown(path);
      List<String> wanted =
          alias(named)
              .map(alias -> List.of(alias.split("\\.")))
              .orElseGet(() -> pointer(named.path(REF).asString(named.asString("")), place));
      String target = String.join(".", wanted);
      if (isInside(path, wanted) || !open.add(target)) {
        throw new Refused(place, Messages.of("token-tree.extends-itself", target));
      }
      JsonNode found = root;
      for (String segment : wanted) {
        found = found.path(segment);
      }
      if (!(found instanceof ObjectNode other) || isToken(other)) {
        throw new Refused(place, Messages.of("token-tree.no-such-group", target));
      }
      extend(other, wanted, depth + 1);
      group.remove(EXTENDS);
      count(other, place);
      ObjectNode inherited = other.deepCopy();
      inherited.remove(EXTENSIONS);
      fill(group, inherited);
      open.remove(target);
    }

    /** Groups that extend groups that extend groups can be larger than any file. */
    private void count(JsonNode node, String place) {
      if (++copied > MOST_COPIED) {
        throw new Refused(place, Messages.of("token-tree.too-much", MOST_COPIED));
      }
      for (JsonNode child : node) {
        count(child, place);
      }
    }
  }

  private static boolean isInside(List<String> path, List<String> group) {
    return path.size() >= group.size() && path.subList(0, group.size()).equals(group);
  }

  /** Puts in what the group lacks; a token that it has is its own as a whole. */
  private static void fill(ObjectNode group, ObjectNode inherited) {
    for (Map.Entry<String, JsonNode> each : inherited.properties()) {
      JsonNode own = group.get(each.getKey());
      if (own == null) {
        group.set(each.getKey(), each.getValue());
      } else if (own instanceof ObjectNode inner
          && each.getValue() instanceof ObjectNode other
          && !isToken(inner)
          && !isToken(other)
          && !each.getKey().startsWith("$")) {
        fill(inner, other);
      }
    }
  }

  // --- finding tokens

  private void walk(ObjectNode group, List<String> path, Optional<String> inherited) {
    Optional<String> type = text(group, TYPE, path).or(() -> inherited);
    String place = String.join(".", path);
    text(group, DESCRIPTION, path).ifPresent(note -> notes.put(place, note));
    Optional.ofNullable(group.get(EXTENSIONS)).ifPresent(node -> extensions.put(place, node));
    for (Map.Entry<String, JsonNode> child : group.properties()) {
      String name = child.getKey();
      List<String> inner = and(path, name);
      if (name.startsWith("$") && !name.equals(ROOT)) {
        if (!KNOWN.contains(name)) {
          problems.add(
              new Tokens.Problem(shown(path), Messages.of("token-tree.unknown-property", name)));
        }
        continue;
      }
      checkName(name, inner);
      if (!(child.getValue() instanceof ObjectNode node)) {
        throw new Refused(shown(inner), Messages.of("token-tree.no-token-and-no-group"));
      }
      if (isToken(node)) {
        checkToken(node, inner);
        tokens.put(
            String.join(".", inner), new Written(inner, node, text(node, TYPE, inner), type));
      } else if (name.equals(ROOT)) {
        throw new Refused(shown(inner), Messages.of("token-tree.no-value"));
      } else {
        walk(node, inner, type);
      }
    }
  }

  private static void checkName(String name, List<String> path) {
    if (name.contains(".") || name.contains("{") || name.contains("}")) {
      throw new Refused(shown(path), Messages.of("token-tree.name-has-signs", name));
    }
  }

  private static void checkToken(ObjectNode node, List<String> path) {
    for (String name : node.propertyNames()) {
      if (!name.startsWith("$")) {
        throw new Refused(shown(path), Messages.of("token-tree.token-with-tokens", name));
      }
    }
  }

  private static Optional<String> text(ObjectNode node, String field, List<String> path) {
    JsonNode found = node.get(field);
    if (found == null) {
      return Optional.empty();
    }
    if (!found.isString()) {
      throw new Refused(shown(path), Messages.of("token-tree.expected-text", field));
    }
    return Optional.of(found.stringValue());
  }

  private static List<String> and(List<String> path, String name) {
    List<String> longer = new ArrayList<>(path);
    longer.add(name);
    return longer;
  }

  private static String shown(List<String> path) {
    return path.isEmpty() ? Messages.of("token-tree.the-document") : String.join(".", path);
  }
}
