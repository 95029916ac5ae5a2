package dynamorph.shelf.folder;

import dynamorph.formats.file.SafeFile;
import dynamorph.shelf.message.Messages;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * What a shelf is as a whole.
 *
 * @param id tells it from others, wherever its folder lies
 */
record ShelfHeader(String id, String name) {
  static final String FILE = "shelf.json";
  private static final String FORMAT = "dynamorph-shelf";
  private static final String FORMAT_NAME = "format";
  private static final String FORMAT_NUMBER = "formatVersion";
  private static final int VERSION = 1;
  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  static Optional<ShelfHeader> read(Path folder) throws IOException {
    Path file = folder.resolve(FILE);
    try {
      JsonNode node = JSON.readTree(Files.readAllBytes(file));
      String id = node.path("id").asString("");
      if (!FORMAT.equals(node.path(FORMAT_NAME).asString("")) || id.isEmpty()) {
        throw new IOException(Messages.of("shelf-header.not-a-shelf", file));
      }
      if (node.path(FORMAT_NUMBER).asInt(0) > VERSION) {
        throw new IOException(Messages.of("shelf-header.newer-format", file));
      }
      return Optional.of(new ShelfHeader(id, node.path("name").asString("")));
    } catch (NoSuchFileException none) {
      return Optional.empty();
    } catch (JacksonException damaged) {
      throw new IOException(Messages.of("shelf-header.not-a-shelf", file), damaged);
    }
  }

  void write(Path folder) throws IOException {
    String text =
        JSON.writeValueAsString(
            JsonNodeFactory.instance
                .objectNode()
                .put(FORMAT_NAME, FORMAT)
                .put(FORMAT_NUMBER, VERSION)
                .put("id", id)
                .put("name", name));
    SafeFile.write(
        folder.resolve(FILE), out -> out.write((text + "\n").getBytes(StandardCharsets.UTF_8)));
  }
}
