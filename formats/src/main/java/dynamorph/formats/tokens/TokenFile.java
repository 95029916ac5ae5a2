package dynamorph.formats.tokens;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.message.Messages;
import dynamorph.formats.message.ShortText;
import dynamorph.formats.project.JsonFile;
import dynamorph.formats.project.ProjectReadException;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.style.StyleId;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

  /** That of a file that is written. */
  public static final String ENDING = ENDINGS.getFirst();

  /** Larger ones hold something else. */
  static final long LARGEST = 32_000_000;

  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

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
   * @throws ProjectReadException if the file is missing, no JSON or as a whole not a document of
   *     tokens; the message says where
   */
  public static Read read(Path file, Map<String, String> contexts) throws ProjectReadException {
    ObjectNode document = json(file);
    boolean resolves = document.has(Resolver.RESOLUTION_ORDER);
    if (!resolves && !contexts.isEmpty()) {
      throw new ProjectReadException(file, "", Messages.of("token-file.no-contexts"));
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
      throw new ProjectReadException(
          file, ShortText.of(refused.place()), ShortText.of(String.valueOf(refused.getMessage())));
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
  static ObjectNode json(Path file) throws ProjectReadException {
    if (JsonFile.read(file, LARGEST) instanceof ObjectNode object) {
      return object;
    }
    throw new ProjectReadException(file, "", Messages.of("token-file.no-object"));
  }
}
