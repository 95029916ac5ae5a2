package dynamorph.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.reach.Reach;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Typesetter;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Each command on the demo, as a person at a terminal would use it. */
class CommandsTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  @TempDir private Path folder;
  private String demo;

  private record Answer(int code, String out, String err) {
    JsonNode json() {
      return JSON.readTree(out);
    }
  }

  private static Answer run(String... arguments) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int code = Dynamorph.run(new PrintWriter(out, true), new PrintWriter(err, true), arguments);
    return new Answer(code, out.toString(), err.toString());
  }

  private String path(String name) {
    return folder.resolve(name).toString();
  }

  @BeforeEach
  void writeDemo() {
    demo = path("demo.dmorph");
    assertThat(run("demo", "--write", demo).code()).isZero();
  }

  @Test
  void infoListsWhoFollowsWhat() {
    JsonNode info = run("info", demo, "--json").json();
    assertThat(info.get("artboards")).hasSize(15);
    assertThat(info.get("styles").size()).isGreaterThanOrEqualTo(8);
    JsonNode loanTitle = layer(info, "label-5-title");
    assertThat(loanTitle.get("follows").get(0).stringValue()).isEqualTo("Label title, loan");
    assertThat(loanTitle.get("localChanges")).hasSize(2);
    JsonNode outside = layer(info, "label-6-title");
    assertThat(outside.get("follows")).isEmpty();
    assertThat(outside.get("followedInside")).isEmpty();
    assertThat(run("info", demo).out()).contains("Label 6").contains("follows nothing");
  }

  private static JsonNode layer(JsonNode info, String id) {
    for (JsonNode board : info.get("artboards")) {
      for (JsonNode layer : board.get("layers")) {
        if (layer.get("id").stringValue().equals(id)) {
          return layer;
        }
      }
    }
    throw new AssertionError("no layer " + id);
  }

  @Test
  void resolveTellsTheValueAndWhereItComesFrom() {
    JsonNode heading =
        run("resolve", demo, "--layer", "panel-2-text", "--at", "3", "--trace", "--json").json();
    JsonNode size = heading.get("values").get("size");
    assertThat(size.get("value").stringValue()).isEqualTo("97.2 pt");
    assertThat(size.get("trace").get(0).get("declared").stringValue()).isEqualTo("\u00d71.8");
    assertThat(size.get("trace").get(0).get("source").stringValue())
        .isEqualTo("style Panel heading");
    assertThat(size.get("trace").get(1).get("source").stringValue())
        .isEqualTo("style Panel body, through Panel heading");
    String plain = run("resolve", demo, "--layer", "Entrance panel/Title").out();
    assertThat(plain).contains("font-family  Anton").contains("finish/rim/position  outside");
  }

  @Test
  void setChangesExactlyTheLayersThatFollow() throws IOException {
    String changed = path("changed.dmorph");
    Answer answer =
        run(
            "set",
            demo,
            "--style",
            "Label title",
            "font-weight=800",
            "finish/fill/colour=#c2560b",
            "-o",
            changed);
    assertThat(answer.err()).isEmpty();
    assertThat(answer.code()).isZero();
    Project before = ProjectFile.read(Path.of(demo));
    Project after = ProjectFile.read(Path.of(changed));
    assertThat(Reach.between(before, after))
        .extracting(LayerId::value)
        .containsExactlyInAnyOrder(
            "label-3-title",
            "label-5-title",
            "label-7-title",
            "label-8-title",
            "label-9-title",
            "label-10-title");
    assertThat(boardsThatLookDifferent(before, demo, changed))
        .containsExactlyInAnyOrder(
            "Label 3", "Label 5", "Label 7", "Label 8", "Label 9", "Label 10");
  }

  @Test
  void pixelsChangeOnlyWhereFollowersStand() throws IOException {
    String changed = path("changed.dmorph");
    run(
        "set",
        demo,
        "--style",
        "Label text",
        "finish/fill/colour=#c2560b",
        "size=34",
        "-o",
        changed);
    Project before = ProjectFile.read(Path.of(demo));
    Project after = ProjectFile.read(Path.of(changed));
    Set<LayerId> followers = Reach.between(before, after);
    assertThat(followers).hasSize(15);
    try (FontLibrary fonts = FontLibrary.shipped()) {
      SceneMaker maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
      for (Artboard board : before.artboards()) {
        List<Box> allowed = new ArrayList<>();
        for (Scene scene : List.of(maker.make(before), maker.make(after))) {
          for (LayerId id : followers) {
            scene
                .find(id)
                .filter(found -> found.board().artboard().id().equals(board.id()))
                .ifPresent(
                    found -> allowed.add(found.text().onArtboard(found.text().ink()).grown(4, 4)));
          }
        }
        int different = differencesWithin(board.name(), changed, allowed);
        assertThat(different > 0).as(board.name()).isEqualTo(!allowed.isEmpty());
      }
    }
  }

  /** How many pixels differ; each must lie within one of the boxes, in points. */
  private int differencesWithin(String board, String changed, List<Box> allowed)
      throws IOException {
    double scale = 0.25;
    BufferedImage one = picture(demo, board, scale);
    BufferedImage other = picture(changed, board, scale);
    int different = 0;
    for (int y = 0; y < one.getHeight(); y++) {
      for (int x = 0; x < one.getWidth(); x++) {
        if (one.getRGB(x, y) != other.getRGB(x, y)) {
          different++;
          double px = (x + 0.5) / scale;
          double py = (y + 0.5) / scale;
          assertThat(allowed)
              .as("%s at %s, %s", board, px, py)
              .anyMatch(box -> box.contains(px, py));
        }
      }
    }
    return different;
  }

  private BufferedImage picture(String file, String board, double scale) throws IOException {
    Answer answer =
        run(
            "render",
            file,
            "--artboard",
            board,
            "--scale",
            String.valueOf(scale),
            "-o",
            path("p.png"));
    assertThat(answer.code()).as(answer.err()).isZero();
    return ImageIO.read(Path.of(path("p.png")).toFile());
  }

  @Test
  void setThroughADerivedStyleReachesItsFollowersOnly() throws IOException {
    String changed = path("changed.dmorph");
    run("set", demo, "--style", "enamel-title", "finish/rim/colour=#000000", "-o", changed);
    Project before = ProjectFile.read(Path.of(demo));
    assertThat(boardsThatLookDifferent(before, demo, changed))
        .containsExactlyInAnyOrder("Entrance panel", "Web square", "Ticket", "Eight Days to Wind");
  }

  private Set<String> boardsThatLookDifferent(Project project, String one, String other)
      throws IOException {
    Set<String> different = new HashSet<>();
    for (Artboard board : project.artboards()) {
      byte[] first = render(one, board.name(), "a.png");
      byte[] second = render(other, board.name(), "b.png");
      if (!Arrays.equals(first, second)) {
        different.add(board.name());
      }
    }
    return different;
  }

  private byte[] render(String file, String board, String picture) throws IOException {
    Answer answer =
        run("render", file, "--artboard", board, "--scale", "0.25", "-o", path(picture));
    assertThat(answer.code()).as(answer.err()).isZero();
    return Files.readAllBytes(Path.of(path(picture)));
  }

  /** As the desktop asks for it: 900 by 600 mm, so that 128 pixels are 85 1/3 high. */
  @Test
  void fileManagersGetThePictureOfAProjectAtTheirSize() throws IOException {
    String entry = Files.readString(Path.of("../packaging/linux/dynamorph.thumbnailer"));
    String wanted =
        entry.lines().filter(line -> line.startsWith("Exec=")).findFirst().orElseThrow();
    List<String> words = new ArrayList<>(List.of(wanted.replace("Exec=dynamorph ", "").split(" ")));
    words.replaceAll(word ->
        switch (word) {
          case "%i" -> demo;
          case "%s" -> "128";
          case "%o" -> path("small.png");
          default -> word;
        });
    Answer answer = run(words.toArray(String[]::new));
    assertThat(answer.code()).as(answer.err()).isZero();
    BufferedImage small = ImageIO.read(Path.of(path("small.png")).toFile());
    assertThat(small.getWidth()).isEqualTo(128);
    assertThat(small.getHeight()).isBetween(85, 86);
    Set<Integer> colours = new HashSet<>();
    for (int x = 0; x < small.getWidth(); x++) {
      colours.add(small.getRGB(x, 35));
    }
    assertThat(colours).as("the title is seen").hasSizeGreaterThan(20);
  }

  @Test
  void aFilmIsShownToFileManagersTooAndNoPictureIsTooLarge() throws IOException {
    String film = path("reel.dmorph");
    assertThat(
            run("new", film, "--size", "Square", "--rate", "25", "--duration", "00:00:05:00")
                .code())
        .isZero();
    assertThat(run("thumbnail", film, "--size", "64", "-o", path("t.png")).code()).isZero();
    BufferedImage small = ImageIO.read(Path.of(path("t.png")).toFile());
    assertThat(List.of(small.getWidth(), small.getHeight())).containsExactly(64, 64);
    Answer large = run("thumbnail", film, "--size", "90000", "-o", path("large.png"));
    assertThat(large.code()).isNotZero();
    assertThat(large.err()).contains("--size 90000: expected 1 to 4096 pixels");
    assertThat(Path.of(path("large.png"))).doesNotExist();
  }

  @Test
  void applyLetsLayersFollow() throws IOException {
    String changed = path("changed.dmorph");
    Answer answer =
        run("apply", demo, "--style", "Tag", "--to", "Label 3/Title,label-6-title", "-o", changed);
    assertThat(answer.code()).as(answer.err()).isZero();
    Project after = ProjectFile.read(Path.of(changed));
    List<LayerId> followers =
        after
            .layers()
            .filter(layer -> layer.follows().stream().anyMatch(id -> id.value().equals("tag")))
            .map(layer -> layer.id())
            .collect(Collectors.toList());
    assertThat(followers)
        .containsExactlyInAnyOrder(
            new LayerId("label-3-title"), new LayerId("label-6-title"), new LayerId("web-open"));
  }

  @Test
  void validateFindsTheDemoSound() {
    assertThat(run("validate", demo).out()).startsWith("sound: 15 artboards");
  }

  @Test
  void aMissingFontIsToldAndItsNameKept() throws IOException {
    String changed = path("changed.dmorph");
    run("set", demo, "--style", "Label title", "font-family=Quarterbell Sans", "-o", changed);
    assertThat(run("validate", changed).out())
        .contains(
            "Label 3/Title (label-3-title): the font \"Quarterbell Sans\" is not on this machine");
    Answer render = run("render", changed, "--artboard", "Label 3", "-o", path("x.png"));
    assertThat(render.code()).isZero();
    assertThat(render.err()).contains("drawn in Source Sans 3: Quarterbell Sans");
    assertThat(
            ProjectFile.read(Path.of(changed))
                .styles()
                .named("Label title")
                .orElseThrow()
                .properties()
                .toString())
        .contains("Quarterbell Sans");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "info DIR/gone.dmorph | gone.dmorph: there is no such file",
        "resolve DEMO --layer Nobody | no layer is called \"Nobody\"",
        "resolve DEMO --layer Title | layers are called \"Title\"; say which by id: entrance-title",
        "resolve DEMO --layer web-open --at 99 | --at 99 lies outside the text",
        "render DEMO --artboard Nowhere -o DIR/x.png | no artboard is called \"Nowhere\"; there are: Entrance panel",
        "render DEMO --artboard web --scale 0 -o DIR/x.png | the artboard has no pixels",
        "render DEMO --artboard web -o DIR/no/x.png | does not exist",
        "set DEMO --style Nothing size=3 -o DIR/x.dmorph | no style is called \"Nothing\"",
        "set DEMO --style Tag sise=3 -o DIR/x.dmorph | unknown property \"sise\"; did you mean \"size\"?",
        "set DEMO --style Tag size=huge -o DIR/x.dmorph | size: \"huge\" is not a number",
        "set DEMO --style Tag size -o DIR/x.dmorph | write property=value",
        "set DEMO --style Material alignment=right -o DIR/x.dmorph | a character style cannot carry it",
        "set DEMO --style Tag finish/fill/colour=swatch:gold -o DIR/x.dmorph | there is no swatch of that id",
        "apply DEMO --style Tag --to Ghost -o DIR/x.dmorph | no layer is called \"Ghost\"",
        "follow DEMO --style Tag --where artboard~Nowhere -o DIR/x.dmorph | no layer matches",
        "follow DEMO --style Tag --where colour=red -o DIR/x.dmorph | \"colour\" cannot be asked for",
        "drop DEMO --where local>0 | say where to with -o FILE",
        "reach DEMO --style Tag --swatch Gold=#fff size=3 | no swatch is called \"Gold\"",
        "reach DEMO | say what changes",
        "merge DEMO --into Tag --style Material --dry-run | cannot stand in for a character style",
        "delete DEMO --dry-run | say which styles",
        "derive DEMO --from Tag --name Tag -o DIR/x.dmorph | there is a style called \"Tag\" already",
        "frobnicate | frobnicate",
        "render DEMO --artboard web | Missing required option"
      })
  void mistakesGetOneClearLine(String line) {
    String[] parts = line.split(" \\| ");
    String[] arguments =
        Arrays.stream(parts[0].split(" "))
            .map(word -> word.equals("DEMO") ? demo : word.replace("DIR", folder.toString()))
            .toArray(String[]::new);
    Answer answer = run(arguments);
    assertThat(answer.code()).isNotZero();
    assertThat(answer.err().strip()).startsWith("dynamorph: ").contains(parts[1]).hasLineCount(1);
    assertThat(answer.out()).isEmpty();
  }

  static Stream<String> commands() {
    return Dynamorph.COMMANDS.keySet().stream().filter(name -> !name.equals("help"));
  }

  @ParameterizedTest
  @MethodSource("commands")
  void everyCommandExplainsItself(String command) {
    Answer answer = run(command, "--help");
    assertThat(answer.code()).isZero();
    assertThat(answer.out()).contains("Usage: dynamorph " + command);
    assertThat(run("--help").out()).as("all are listed").contains("\n  " + command + " ");
  }

  @Test
  void anEmptyFontInAProjectIsNamed() throws IOException {
    try (java.nio.file.FileSystem zip = java.nio.file.FileSystems.newFileSystem(Path.of(demo))) {
      Files.createDirectories(zip.getPath("assets", "fonts"));
      Files.write(zip.getPath("assets", "fonts", "Bell.ttf"), new byte[0]);
    }
    Answer answer = run("validate", demo);
    assertThat(answer.code()).isNotZero();
    assertThat(answer.err())
        .contains("demo.dmorph: assets/fonts/Bell.ttf: the font is empty (0 bytes)");
  }

  private String finish(String json) throws IOException {
    Path file = folder.resolve("finish.json");
    Files.writeString(file, json);
    return file.toString();
  }

  @ParameterizedTest
  @ValueSource(strings = {"png", "pdf", "svg"})
  void aSpecimenOfAFinishIsDrawnInEachForm(String form) throws IOException {
    String finish =
        finish(
            """
            {"font-family": "Anton", "finish/fill/colour": "#2255aa",
             "finish/fill/cast/kind": "drop-shadow"}
            """);
    Answer answer =
        run(
            "specimen",
            "--finish",
            finish,
            "--text",
            "Hour",
            "--size",
            "40",
            "--scale",
            "2",
            "-o",
            path("specimen." + form));
    assertThat(answer.code()).isZero();
    byte[] bytes = Files.readAllBytes(folder.resolve("specimen." + form));
    String start = new String(bytes, 0, 5, java.nio.charset.StandardCharsets.ISO_8859_1);
    assertThat(start)
        .isEqualTo(Map.of("png", "\u0089PNG\r", "pdf", "%PDF-", "svg", "<?xml").get(form));
    assertThat(answer.err().contains("drop shadow of a fill of the letters"))
        .as("what is kept as pixels is listed")
        .isEqualTo(!form.equals("png"));
  }

  @Test
  void theOutlineOfASpecimenHasNoPixels() throws IOException {
    String finish = finish("{\"finish/fill/cast/kind\": \"drop-shadow\"}");
    Answer answer =
        run("specimen", "--finish", finish, "--text", "Hour", "--outline", "-o", path("o.svg"));
    assertThat(answer.code()).isZero();
    assertThat(answer.err()).isEmpty();
    assertThat(Files.readString(folder.resolve("o.svg")))
        .contains("stroke-width")
        .doesNotContain("<image");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "{\"finish/rim/width\": \"wide\"} | finish/rim/width",
        "{\"finish/rim/widht\": \"3 pt\"} | did you mean",
        "{\"finish/fill/colour\": \"swatch:copper\"} | swatches belong to a project",
        "{\"finish/rim/width\": | line 1",
        "{\"finish/rim/opacity\": NaN} | line 1",
        "{\"finish/rim/width\": \"1e9 pt\"} | a length from 0 to 10000",
        "[] | expected an object"
      })
  void aFinishThatIsWrongIsRefusedWithTheReasonAndNothingIsWritten(String given)
      throws IOException {
    String[] parts = given.split(" \\| ");
    Answer answer =
        run("specimen", "--finish", finish(parts[0]), "--text", "Hour", "-o", path("no.png"));
    assertThat(answer.code()).isNotZero();
    assertThat(answer.err()).contains(parts[1]);
    assertThat(folder.resolve("no.png")).doesNotExist();
  }
}
