package dynamorph.formats.tokens;

import dynamorph.formats.message.Messages;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Follows aliases and references, and reads what the tokens of a document say. */
final class TokenReader {
  /** More aliases in a row are a mistake or an attack. */
  private static final int LONGEST = 100;

  private final TokenTree tree;
  private final Map<String, TokenType> types = new HashMap<>();

  private TokenReader(TokenTree tree) {
    this.tree = tree;
  }

  /**
   * Reads a document. A token that is not as the format says is left out and told.
   *
   * @throws Refused if the document as a whole cannot be read
   */
  static Tokens read(ObjectNode document) {
    TokenTree tree = new TokenTree(document);
    TokenReader reader = new TokenReader(tree);
    List<Tokens.Problem> problems = new ArrayList<>(tree.problems());
    List<Tokens.Token> tokens = new ArrayList<>();
    for (TokenTree.Written written : tree.tokens().values()) {
      try {
        TokenType type = reader.type(written, new LinkedHashSet<>());
        TokenValues values = new TokenValues(reader, problems);
        TokenValue value = values.read(type, new Found(written.value(), written.name()));
        tokens.add(
            new Tokens.Token(
                written.path(),
                type,
                value,
                written.description(),
                Optional.ofNullable(written.node().get(TokenTree.EXTENSIONS))));
      } catch (Refused refused) {
        problems.add(new Tokens.Problem(refused.place(), String.valueOf(refused.getMessage())));
      }
    }
    return new Tokens(tokens, tree.notes(), tree.extensions(), problems);
  }

  // --- types

  /** Its own, else that of the token it names, else that of the nearest group (Format, 5.2.2). */
  private TokenType type(TokenTree.Written token, Set<String> open) {
    TokenType known = types.get(token.name());
    if (known != null) {
      return known;
    }
    if (!open.add(token.name())) {
      throw new Refused(token.name(), circle(open));
    }
    if (open.size() > LONGEST) {
      throw new Refused(token.name(), Messages.of("token-reader.too-long", LONGEST));
    }
    Optional<TokenType> own = token.type().map(name -> named(name, token.name()));
    Optional<TokenType> aliased =
        target(token.value(), token.name()).map(target -> type(target, open));
    if (own.isPresent() && aliased.isPresent() && own.get() != aliased.get()) {
      throw new Refused(
          token.name(),
          Messages.of("token-reader.other-type", own.get().written(), aliased.get().written()));
    }
    TokenType type =
        own.or(() -> aliased)
            .or(() -> token.inherited().map(name -> named(name, token.name())))
            .orElseThrow(() -> new Refused(token.name(), Messages.of("token-reader.no-type")));
    types.put(token.name(), type);
    return type;
  }

  private static TokenType named(String name, String place) {
    return TokenType.named(name)
        .orElseThrow(() -> new Refused(place, Messages.of("token-reader.unknown-type", name)));
  }

  /** The token that a value names as a whole. */
  private Optional<TokenTree.Written> target(JsonNode value, String place) {
    Optional<String> alias = TokenTree.alias(value);
    if (alias.isPresent()) {
      return Optional.of(token(alias.get(), place));
    }
    if (value.path(TokenTree.REF).isString()) {
      List<String> segments =
          new ArrayList<>(TokenTree.pointer(value.get(TokenTree.REF).stringValue(), place));
      if (segments.getLast().equals(TokenTree.VALUE)) {
        segments.removeLast();
      }
      return Optional.ofNullable(tree.tokens().get(String.join(".", segments)));
    }
    return Optional.empty();
  }

  private TokenTree.Written token(String name, String place) {
    TokenTree.Written token = tree.tokens().get(name);
    if (token == null) {
      throw new Refused(place, Messages.of("token-reader.no-such-token", name));
    }
    return token;
  }

  private static String circle(Set<String> open) {
    return Messages.of("token-reader.circle", String.join(" \u2192 ", open));
  }

  // --- values

  /**
   * A value where it is written.
   *
   * @param place path of the token, and of the value in it
   * @param passed the aliases and references on the way there
   * @param token the token that the last alias named as a whole, if any
   */
  record Found(JsonNode node, String place, Set<String> passed, Optional<String> token) {
    Found(JsonNode node, String place) {
      this(node, place, Set.of(), Optional.empty());
    }

    /** A part of this value. */
    Found part(String name) {
      return new Found(node.path(name), place + "/" + name, passed, Optional.empty());
    }

    Found item(int index) {
      return new Found(node.get(index), place + "/" + index, passed, Optional.empty());
    }

    private Found through(String reference, JsonNode target) {
      Set<String> longer = new LinkedHashSet<>(passed);
      if (!longer.add(reference)) {
        throw new Refused(place, circle(longer));
      }
      if (longer.size() > LONGEST) {
        throw new Refused(place, Messages.of("token-reader.too-long", LONGEST));
      }
      return new Found(target, place, longer, Optional.empty());
    }
  }

  /** The value itself, where an alias or a reference stands for it. */
  Found followed(Found start) {
    Found found = start;
    while (true) {
      Optional<String> alias = TokenTree.alias(found.node());
      JsonNode reference = found.node().path(TokenTree.REF);
      if (alias.isEmpty() && !reference.isString()) {
        return found;
      }
      Optional<TokenTree.Written> named = target(found.node(), found.place());
      // of a chain of aliases the first is the one that was meant
      Optional<String> meant = found == start ? named.map(TokenTree.Written::name) : found.token();
      Found next =
          alias.isPresent()
              ? found.through(alias.get(), named.orElseThrow().value())
              : pointed(found, reference.stringValue());
      found = new Found(next.node(), next.place(), next.passed(), meant);
    }
  }

  /** Goes along a pointer, through aliases that lie on its way. */
  private Found pointed(Found from, String reference) {
    Found at = from.through(reference, tree.document());
    for (String segment : TokenTree.pointer(reference, from.place())) {
      boolean standsForItsValue =
          segment.equals(TokenTree.VALUE) && at.node().path(TokenTree.REF).isString();
      at = followed(at);
      if (standsForItsValue) {
        continue;
      }
      JsonNode next =
          at.node().isArray() && segment.matches("\\d{1,6}")
              ? at.node().path(Integer.parseInt(segment))
              : at.node().path(segment);
      if (next.isMissingNode()) {
        throw new Refused(from.place(), Messages.of("token-reader.nothing-there", reference));
      }
      at = new Found(next, at.place(), at.passed(), Optional.empty());
    }
    return at.node().has(TokenTree.VALUE)
        ? new Found(at.node().get(TokenTree.VALUE), at.place(), at.passed(), Optional.empty())
        : at;
  }
}
