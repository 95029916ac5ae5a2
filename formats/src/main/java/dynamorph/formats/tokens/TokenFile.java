package dynamorph.formats.tokens;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.style.StyleId;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads and writes files of design tokens, which are named {@code .tokens} or {@code .tokens.json},
 * and reads resolver documents, which put several together.
 */
public final class TokenFile {
  /** What the names of such files end with (Format Module, 4.2). */
  public static final List<String> ENDINGS = List.of(".tokens.json", ".tokens", ".resolver.json");

  /** Larger ones hold something else. */
  static final long LARGEST = 32_000_000;

  private static final JsonMapper JSON =
      JsonMapper.builder()
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(SerializationFeature.INDENT_OUTPUT)
          .build();

  private TokenFile() {}

  /**
   * Styles and swatches of tokens.
   *
   * @param remarks what was refused, left out or changed
   */
  public record Read(StyleBundle bundle, List<String> remarks) {
    public Read {
      remarks = List.copyOf(remarks);
    }
  }

  /**
   * Reads styles and swatches out of tokens. Tokens that are not as the format says are left out
   * and told.
   *
   * @param contexts of a resolver document, the context wanted for each modifier; its own default
   *     where none is given
   * @throws TokenReadException if the file is missing, no JSON or as a whole not a document of
   *     tokens; the message says where
   */
  public static Read read(Path file, Map<String, String> contexts) throws TokenReadException {
    ObjectNode document = json(file);
    boolean resolves = document.has(Resolver.RESOLUTION_ORDER);
    if (!resolves && !contexts.isEmpty()) {
      throw new TokenReadException(file, "", Messages.of("token-file.no-contexts"));
    }
    try {
      Resolver.Resolved resolved =
          resolves
              ? new Resolver(file, document).resolved(contexts)
              : new Resolver.Resolved(document, List.of());
      TokenStyles.Taken taken = TokenStyles.of(TokenReader.read(resolved.tokens()));
      List<String> remarks = new java.util.ArrayList<>(resolved.remarks());
      remarks.addAll(taken.remarks());
      return new Read(taken.bundle(), remarks);
    } catch (Refused refused) {
      throw new TokenReadException(file, refused.place(), String.valueOf(refused.getMessage()));
    }
  }

  /**
   * Writes styles and swatches as tokens, beside its place first and then moved there.
   *
   * @param plain the style that fills in what the others leave open, if it is among them
   * @return what the tokens cannot say; all but fonts stands in an extension, so that it comes back
   *     when this program reads the file again
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static List<String> write(
      String name, StyleBundle bundle, Optional<StyleId> plain, Path file) throws IOException {
    TokenWriter.Written written = TokenWriter.write(name, bundle, plain);
    String json = JSON.writeValueAsString(written.document()) + "\n";
    SafeFile.write(file, out -> out.write(json.getBytes(StandardCharsets.UTF_8)));
    return written.remarks();
  }

  /** The object that a file holds. */
  static ObjectNode json(Path file) throws TokenReadException {
    try {
      if (Files.size(file) > LARGEST) {
        throw new TokenReadException(
            file, "", Messages.of("rule-set-file.is-too-large", LARGEST / 1_000_000));
      }
      JsonNode node = JSON.readTree(Files.readAllBytes(file));
      if (node instanceof ObjectNode object) {
        return object;
      }
      throw new TokenReadException(file, "", Messages.of("token-file.no-object"));
    } catch (JacksonException notJson) {
      var at = notJson.getLocation();
      throw new TokenReadException(
          file,
          at == null
              ? ""
              : Messages.of("rule-set-file.line-column", at.getLineNr(), at.getColumnNr()),
          Messages.of("project-file.this-is-not-json", notJson.getOriginalMessage()));
    } catch (NoSuchFileException missing) {
      throw new TokenReadException(file, "", Messages.of("project-file.there-is-no-such-file"));
    } catch (TokenReadException told) {
      throw told;
    } catch (IOException unreadable) {
      throw new TokenReadException(
          file,
          "",
          Messages.of("rule-set-file.cannot-be-read", String.valueOf(unreadable.getMessage())));
    }
  }
}
