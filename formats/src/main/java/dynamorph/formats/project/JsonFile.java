package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** JSON that people and other programs write, with what is wrong told by line and column. */
public final class JsonFile {
  private static final JsonMapper JSON =
      JsonMapper.builder().enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION).build();

  private JsonFile() {}

  /**
   * What a file holds.
   *
   * @param largest in bytes; a larger file is something else
   * @throws ProjectReadException if it is missing, too large or no JSON, or names a field twice
   */
  public static JsonNode read(Path file, long largest) throws ProjectReadException {
    try {
      if (Files.size(file) > largest) {
        throw new ProjectReadException(
            file, "", Messages.of("rule-set-file.is-too-large", largest / 1_000_000));
      }
      return JSON.readTree(Files.readAllBytes(file));
    } catch (JacksonException notJson) {
      var at = notJson.getLocation();
      throw new ProjectReadException(
          file,
          at == null
              ? ""
              : Messages.of("rule-set-file.line-column", at.getLineNr(), at.getColumnNr()),
          Messages.of("project-file.this-is-not-json", notJson.getOriginalMessage()));
    } catch (NoSuchFileException missing) {
      throw new ProjectReadException(file, "", Messages.of("project-file.there-is-no-such-file"));
    } catch (ProjectReadException told) {
      throw told;
    } catch (IOException unreadable) {
      throw new ProjectReadException(
          file,
          "",
          Messages.of("rule-set-file.cannot-be-read", String.valueOf(unreadable.getMessage())));
    }
  }
}
