package dynamorph.formats.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.shape.FillRule;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.BoxLengths;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;

/** Shapes in project files. */
class ShapeJsonTest {
  @TempDir private Path folder;

  static Stream<Shape> figures() {
    return Stream.of(
        Shape.Rectangle.SHARP,
        new Shape.Rectangle(BoxLengths.parse("1 pt, 0.2 em, 3 pt, 4 pt")),
        new Shape.Ellipse(),
        new Shape.Line(false),
        new Shape.Line(true),
        new Shape.Polygon(3, 0),
        new Shape.Polygon(100, 0.999),
        new Shape.Drawn("M0 0C1 2 3 4 5 6Z", 5, 6),
        new Shape.Drawn("M0 0L10 0", 10, 0),
        new Shape.Drawn("M0 0h9v9zM1 1h2v2z", 9, 9, FillRule.EVENODD),
        new Shape.Picture("half tone (2).png"));
  }

  private Path written(Shape shape) throws IOException {
    Path file = folder.resolve("shape.dmorph");
    Project project =
        Project.empty("P")
            .plus(
                Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                    .plus(Layer.of("shape", "Shape", shape)));
    ProjectFile.write(project, file);
    return file;
  }

  @ParameterizedTest
  @MethodSource("figures")
  void whatIsWrittenIsRead(Shape shape) throws IOException {
    Project read = ProjectFile.read(written(shape));
    assertThat(read.layers().findFirst().orElseThrow().shape()).contains(shape);
  }

  /** The file with the shape of its layer replaced. */
  private Path with(String shape) throws IOException {
    Path file = written(new Shape.Ellipse());
    try (FileSystem zip = FileSystems.newFileSystem(file)) {
      Path document = zip.getPath("artboards/a.json");
      String json = Files.readString(document);
      var root =
          (tools.jackson.databind.node.ObjectNode) JsonMapper.builder().build().readTree(json);
      var layer = (tools.jackson.databind.node.ObjectNode) root.get("layers").get(0);
      layer.set("shape", JsonMapper.builder().build().readTree(shape));
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      bytes.write(root.toString().getBytes(StandardCharsets.UTF_8));
      Files.write(document, bytes.toByteArray());
    }
    return file;
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "{\"kind\": \"circle\"} | expected rectangle, ellipse, line, polygon, path or image",
        "{\"kind\": \"polygon\", \"corners\": 2} | 3 to 100 corners",
        "{\"kind\": \"polygon\", \"corners\": 5, \"depth\": 1} | below 1",
        "{\"kind\": \"polygon\"} | corners",
        "{\"kind\": \"rectangle\", \"corners\": \"wide\"} | number",
        "{\"kind\": \"rectangle\", \"radius\": 3} | radius",
        "{\"kind\": \"line\", \"rising\": \"up\"} | true or false",
        "{\"kind\": \"path\", \"data\": \"alert(1)\", \"width\": 1, \"height\": 1} | path data",
        "{\"kind\": \"path\", \"data\": \"M0 0\", \"width\": -1, \"height\": 1} | 0 or more",
        "{\"kind\": \"image\"} | image"
      })
  void aShapeThatIsWrongIsToldWithItsPlace(String shape, String told) throws IOException {
    Path file = with(shape);
    assertThatThrownBy(() -> ProjectFile.read(file))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContaining("artboards/a.json")
        .hasMessageContaining("/layers/0")
        .hasMessageContaining(told);
  }

  @Test
  void aShapeWithWordsIsRefused() throws IOException {
    Path file = with("{\"kind\": \"ellipse\"}");
    try (FileSystem zip = FileSystems.newFileSystem(file)) {
      Path document = zip.getPath("artboards/a.json");
      String json = Files.readString(document);
      Files.writeString(document, json.replaceAll("\"text\"\\s*:\\s*\"\"", "\"text\": \"words\""));
    }
    assertThatThrownBy(() -> ProjectFile.read(file)).hasMessageContaining("not both");
  }
}
