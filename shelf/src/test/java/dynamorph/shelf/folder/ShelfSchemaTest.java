package dynamorph.shelf.folder;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import dynamorph.model.Project;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.style.Style;
import dynamorph.shelf.Change;
import dynamorph.shelf.Looks;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.follow.PutOnShelf;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

class ShelfSchemaTest {
  private static final Path PUBLISHED = Path.of("..", "docs", "formats");
  private static final JsonMapper JSON = JsonMapper.builder().build();

  @TempDir Path folder;

  /** {@code -Ddynamorph.write-schemas=true} writes them anew. */
  @Test
  void thePublishedSchemasAreThoseOfTheCode() throws IOException {
    for (Map.Entry<String, String> schema : ShelfSchema.files().entrySet()) {
      Path file = PUBLISHED.resolve(schema.getKey());
      if (Boolean.getBoolean("dynamorph.write-schemas")) {
        Files.writeString(file, schema.getValue());
      }
      assertThat(Files.readString(file).equals(schema.getValue())).as(schema.getKey()).isTrue();
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void whatIsWrittenKeepsToTheSchemas(long seed) throws IOException {
    Project project = new RandomProjects(seed).project();
    ShelfFolder files = Looks.folder(folder, "Dessa");
    Shelf before = files.read();
    List<dynamorph.model.style.StyleId> all = project.styles().stream().map(Style::id).toList();
    Shelf put =
        files
            .apply(
                PutOnShelf.of(project, before, all, new SplittableRandom(seed))
                    .change()
                    .withNote("all"),
                before)
            .shelf();
    Shelf tagged =
        files
            .apply(
                Change.tag(
                    put,
                    put.entries().keySet(),
                    tags -> {
                      tags.add("random");
                      return tags;
                    }),
                put)
            .shelf();
    files.apply(Change.undo(tagged, tagged.actions().getFirst()), tagged);
    assertValid("shelf-entry.schema.json", "styles");
    assertValid("shelf-entry.schema.json", "swatches");
    assertValid("shelf-action.schema.json", "actions");
  }

  private void assertValid(String name, String within) throws IOException {
    try (Stream<Path> files = Files.list(folder.resolve(within))) {
      for (Path file : files.toList()) {
        assertThat(schema(name).validate(JSON.readTree(Files.readAllBytes(file))))
            .as("%s", file.getFileName())
            .isEmpty();
      }
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{}",
        "{\"format\":\"dynamorph-shelf-entry\",\"formatVersion\":1,\"id\":\"a\",\"now\":{},\"versions\":[]}",
        "{\"format\":\"dynamorph-shelf-entry\",\"formatVersion\":1,\"id\":\"../a\",\"now\":{\"deleted\":true},"
            + "\"versions\":[{\"version\":\"0123456789abcdef\",\"parents\":[],\"time\":\"\",\"deleted\":true}]}"
      })
  void whatIsWrongBreaksTheSchema(String json) {
    assertThat(schema("shelf-entry.schema.json").validate(JSON.readTree(json))).isNotEmpty();
  }

  private static Schema schema(String name) {
    return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
        .getSchema(ShelfSchema.files().get(name));
  }
}
