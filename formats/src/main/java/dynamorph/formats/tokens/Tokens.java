package dynamorph.formats.tokens;

import dynamorph.formats.message.Messages;
import dynamorph.formats.message.ShortText;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * The tokens of a document, in the order of the file.
 *
 * @param groupNotes {@code $description} of groups by path
 * @param groupExtensions {@code $extensions} of groups by path; of the document under the empty one
 * @param problems tokens that were refused, and what was done to others
 */
public record Tokens(
    List<Token> tokens,
    Map<String, String> groupNotes,
    Map<String, JsonNode> groupExtensions,
    List<Problem> problems) {
  public Tokens {
    tokens = List.copyOf(tokens);
    groupNotes = Collections.unmodifiableMap(new LinkedHashMap<>(groupNotes));
    groupExtensions = Collections.unmodifiableMap(new LinkedHashMap<>(groupExtensions));
    problems = List.copyOf(problems);
  }

  /**
   * A token.
   *
   * @param path names of its groups, and its own; one that stands for its group is {@code $root}
   */
  public record Token(
      List<String> path,
      TokenType type,
      TokenValue value,
      String description,
      Optional<JsonNode> extensions) {
    public Token {
      path = List.copyOf(path);
    }

    /** The path as an alias writes it. */
    public String name() {
      return String.join(".", path);
    }

    List<String> group() {
      return path.subList(0, path.size() - 1);
    }
  }

  /**
   * What a person is told about a place in the file.
   *
   * @param place path of a token or group, and of the value in it
   */
  public record Problem(String place, String words) {
    @Override
    public String toString() {
      return Messages.of("tokens.problem", ShortText.of(place), words);
    }
  }
}
