package dynamorph.formats.project;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import dynamorph.model.Project;
import dynamorph.model.random.RandomProjects;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ProjectSchemaTest {
  private static final Path PUBLISHED = Path.of("..", "docs", "formats");
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /**
   * {@code -Ddynamorph.write-schemas=true} writes them anew; the difference is then reviewed by
   * eye.
   */
  @Test
  void thePublishedSchemasAreThoseOfTheRegistry() throws IOException {
    for (Map.Entry<String, String> schema : ProjectSchema.files().entrySet()) {
      Path file = PUBLISHED.resolve(schema.getKey());
      if (Boolean.getBoolean("dynamorph.write-schemas")) {
        Files.createDirectories(PUBLISHED);
        Files.writeString(file, schema.getValue());
      }
      assertThat(file).content().isEqualTo(schema.getValue());
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void whatIsWrittenKeepsToTheSchemas(long seed) {
    Project project = new RandomProjects(seed).project();
    assertValid("header.schema.json", ProjectWriter.header(Names.FORMAT));
    assertValid("project.schema.json", ProjectWriter.project(project));
    assertValid("styles.schema.json", ProjectWriter.styles(project));
    project
        .artboards()
        .forEach(board -> assertValid("artboard.schema.json", ProjectWriter.artboard(board)));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"styles\":[{\"id\":\"a\",\"name\":\"A\",\"level\":\"page\"}]}",
        "{\"styles\":[{\"id\":\"a\",\"name\":\"A\",\"level\":\"text\",\"properties\":{\"sise\":\"3 pt\"}}]}",
        "{\"styles\":[{\"id\":\"a\",\"name\":\"A\",\"level\":\"text\",\"properties\":{\"size\":3}}]}",
        "{\"styles\":[{\"id\":\"a\",\"name\":\"A\",\"level\":\"text\",\"properties\":{\"finish/rim/width\":\"wide\"}}]}",
        "{\"styles\":3}"
      })
  void whatIsWrongBreaksTheSchema(String json) {
    assertThat(schema("styles.schema.json").validate(JSON.readTree(json))).isNotEmpty();
  }

  private static void assertValid(String name, JsonNode document) {
    assertThat(schema(name).validate(document)).as("%s in %s", name, document).isEmpty();
  }

  private static Schema schema(String name) {
    return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
        .getSchema(ProjectSchema.files().get(name));
  }
}
