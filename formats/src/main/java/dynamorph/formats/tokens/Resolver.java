package dynamorph.formats.tokens;

import dynamorph.formats.message.Messages;
import dynamorph.formats.project.ProjectReadException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A document that puts sets of tokens together, one over the other, and lets modifiers such as a
 * theme choose between some of them (Resolver Module 2025.10).
 */
final class Resolver {
  static final String RESOLUTION_ORDER = "resolutionOrder";
  private static final String SETS = "sets";
  private static final String MODIFIERS = "modifiers";
  private static final String SOURCES = "sources";
  private static final String CONTEXTS = "contexts";
  private static final String DEFAULT = "default";

  /** More files are a mistake or an attack. */
  private static final int MOST_FILES = 1000;

  private final Path file;
  private final ObjectNode document;
  private final List<String> remarks = new ArrayList<>();
  private int files;
  private long bytes;

  /**
   * @param remarks which contexts were taken
   */
  record Resolved(ObjectNode tokens, List<String> remarks) {}

  Resolver(Path file, ObjectNode document) {
    this.file = file;
    this.document = document;
  }

  /**
   * The tokens for these contexts.
   *
   * @throws Refused if the document is not as the module says, or a context does not exist
   * @throws ProjectReadException if a file of tokens cannot be read
   */
  Resolved resolved(Map<String, String> contexts) throws ProjectReadException {
    JsonNode order = document.get(RESOLUTION_ORDER);
    if (!order.isArray()) {
      throw new Refused(RESOLUTION_ORDER, Messages.of("resolver.expected-list"));
    }
    ObjectNode tokens = JsonNodeFactory.instance.objectNode();
    Set<String> used = new LinkedHashSet<>();
    for (int index = 0; index < order.size(); index++) {
      String place = RESOLUTION_ORDER + "/" + index;
      JsonNode item = order.get(index);
      String name = item.path("name").asString("");
      JsonNode content = item;
      if (item.path(TokenTree.REF).isString()) {
        List<String> pointer = TokenTree.pointer(item.get(TokenTree.REF).stringValue(), place);
        name = pointer.getLast();
        content = document;
        for (String segment : pointer) {
          content = content.path(segment);
        }
      }
      if (content.has(CONTEXTS)) {
        used.add(name);
        modifier(tokens, name, content, contexts);
      } else if (content.has(SOURCES)) {
        sources(tokens, content.get(SOURCES), SETS + "/" + name, Set.of(name));
      } else {
        throw new Refused(place, Messages.of("resolver.no-set-and-no-modifier"));
      }
    }
    for (String wanted : contexts.keySet()) {
      if (!used.contains(wanted)) {
        throw new Refused(
            MODIFIERS, Messages.of("resolver.no-such-modifier", wanted, String.join(", ", used)));
      }
    }
    return new Resolved(tokens, remarks);
  }

  private void modifier(
      ObjectNode tokens, String name, JsonNode modifier, Map<String, String> contexts)
      throws ProjectReadException {
    String place = MODIFIERS + "/" + name;
    JsonNode choices = modifier.get(CONTEXTS);
    String all = String.join(", ", choices.propertyNames());
    String wanted = contexts.getOrDefault(name, modifier.path(DEFAULT).asString(""));
    if (wanted.isEmpty()) {
      throw new Refused(place, Messages.of("resolver.choose", name, all));
    }
    if (!choices.has(wanted)) {
      throw new Refused(place, Messages.of("resolver.no-such-context", wanted, all));
    }
    remarks.add(Messages.of("resolver.taken", name, wanted, all));
    sources(tokens, choices.get(wanted), place + "/" + CONTEXTS + "/" + wanted, Set.of());
  }

  private void sources(ObjectNode tokens, JsonNode sources, String place, Set<String> open)
      throws ProjectReadException {
    if (!sources.isArray()) {
      throw new Refused(place, Messages.of("resolver.expected-list"));
    }
    for (int index = 0; index < sources.size(); index++) {
      String at = place + "/" + index;
      JsonNode source = sources.get(index);
      if (!source.path(TokenTree.REF).isString()) {
        lay(tokens, object(source, at));
        continue;
      }
      String reference = source.get(TokenTree.REF).stringValue();
      if (reference.startsWith("#/")) {
        set(tokens, reference, at, open);
      } else {
        lay(tokens, fromFile(reference, at));
      }
    }
  }

  /** A set may name other sets, but no modifier (Resolver Module, 4.1.2). */
  private void set(ObjectNode tokens, String reference, String place, Set<String> open)
      throws ProjectReadException {
    List<String> pointer = TokenTree.pointer(reference, place);
    JsonNode set = document.path(SETS).path(pointer.getLast());
    if (pointer.size() != 2 || !pointer.getFirst().equals(SETS) || !set.has(SOURCES)) {
      throw new Refused(place, Messages.of("resolver.no-such-set", reference));
    }
    Set<String> deeper = new LinkedHashSet<>(open);
    if (!deeper.add(pointer.getLast())) {
      throw new Refused(place, Messages.of("resolver.circle", String.join(" \u2192 ", deeper)));
    }
    sources(tokens, set.get(SOURCES), SETS + "/" + pointer.getLast(), deeper);
  }

  private ObjectNode fromFile(String reference, String place) throws ProjectReadException {
    if (++files > MOST_FILES) {
      throw new Refused(place, Messages.of("resolver.too-many-files", MOST_FILES));
    }
    int hash = reference.indexOf('#');
    String name = hash < 0 ? reference : reference.substring(0, hash);
    Path other;
    try {
      Path relative = Path.of(name);
      if (relative.isAbsolute() || name.contains("://")) {
        throw new Refused(place, Messages.of("resolver.only-beside", name));
      }
      other = file.toAbsolutePath().resolveSibling(relative).normalize();
    } catch (InvalidPathException wrong) {
      throw new Refused(place, Messages.of("resolver.only-beside", name));
    }
    JsonNode found = TokenFile.json(other);
    bytes += size(other);
    if (bytes > TokenFile.LARGEST) {
      throw new Refused(
          place, Messages.of("rule-set-file.is-too-large", TokenFile.LARGEST / 1_000_000));
    }
    if (hash >= 0) {
      for (String segment : TokenTree.pointer(reference.substring(hash), place)) {
        found = found.path(segment);
      }
    }
    return object(found, place);
  }

  private static long size(Path file) {
    try {
      return Files.size(file);
    } catch (IOException gone) {
      return 0; // it was read a moment ago
    }
  }

  private static ObjectNode object(JsonNode node, String place) {
    if (node instanceof ObjectNode object) {
      return object;
    }
    throw new Refused(place, Messages.of("resolver.expected-tokens"));
  }

  /** Puts tokens over others: a token of the same path replaces the one that is there. */
  private static void lay(ObjectNode tokens, ObjectNode over) {
    for (Map.Entry<String, JsonNode> each : over.properties()) {
      if (tokens.get(each.getKey()) instanceof ObjectNode there
          && each.getValue() instanceof ObjectNode here
          && !each.getKey().startsWith("$")
          && !TokenTree.isToken(there)
          && !TokenTree.isToken(here)) {
        lay(there, here);
      } else {
        tokens.set(each.getKey(), each.getValue().deepCopy());
      }
    }
  }
}
