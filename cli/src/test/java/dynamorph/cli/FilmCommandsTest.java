package dynamorph.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.timeline.Media;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The commands for films on the film of the demo. */
class FilmCommandsTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  @TempDir private Path folder;
  private String demo;

  private record Answer(int code, String out, String err) {}

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

  private Answer render(String project, String... more) {
    List<String> arguments =
        new ArrayList<>(List.of("render", path(project), "--timeline", "film", "--scale", "0.1"));
    arguments.addAll(List.of("-o", path("film.png")));
    arguments.addAll(List.of(more));
    return run(arguments.toArray(String[]::new));
  }

  private void withFootage(Media media) throws IOException {
    Project project = ProjectFile.read(folder.resolve("demo.dmorph"));
    ProjectFile.write(project.mapMedia(_ -> media), folder.resolve("other.dmorph"));
  }

  /** What is missing is told, and drawn only if that is wanted. */
  @Test
  void missingFootageIsTold() throws IOException {
    withFootage(new Media.File(path("gone.mp4")));
    Answer refused = render("other.dmorph");
    assertThat(refused.code()).isNotZero();
    assertThat(refused.err())
        .contains("the footage \"gears\" is missing: " + path("gone.mp4"), "--keep-going");
    assertThat(folder.resolve("film.png")).doesNotExist();
    assertThat(render("other.dmorph", "--titles-only").code()).as("it is not needed").isZero();
    Answer drawn = render("other.dmorph", "--keep-going");
    assertThat(drawn.code()).isZero();
    assertThat(drawn.err()).contains("is missing");
    assertThat(folder.resolve("film.png")).exists();
    assertThat(run("validate", path("other.dmorph")).out())
        .contains("Eight Days to Wind: the footage \"gears\" is missing");
  }

  @Test
  void footageAndImagesThatCannotBeReadAreTold() throws IOException {
    Path words = Files.writeString(folder.resolve("words.mp4"), "no video at all");
    withFootage(new Media.File(words.toString()));
    assertThat(render("other.dmorph").code()).isNotZero();
    assertThat(run("validate", path("other.dmorph")).out())
        .contains("the footage \"gears\" cannot be read: words.mp4: it cannot be read");
    Project project = ProjectFile.read(folder.resolve("demo.dmorph"));
    Asset image = new Asset("images/words.png", new byte[] {1, 2, 3});
    ProjectFile.write(project.withAssets(List.of(image)), folder.resolve("other.dmorph"));
    assertThat(render("other.dmorph").err()).contains("the image words.png cannot be read");
    assertThat(run("validate", path("other.dmorph")).out())
        .contains("the image words.png cannot be read");
  }

  @Test
  void aFrameOutsideOfTheFilmIsTold() {
    Answer beyond = render("demo.dmorph", "--time", "00:09:00:00");
    assertThat(beyond.code()).isEqualTo(2);
    assertThat(beyond.err())
        .contains("the film has no frame at 00:09:00:00; it goes from 00:00:00:00 to 00:01:11:24");
    assertThat(render("demo.dmorph", "--time", "00:01:11:24").code()).isZero();
  }

  @Test
  void aFrameIsDrawnAndARangeOfFrames() throws IOException {
    assertThat(
            run(
                    "render",
                    demo,
                    "--timeline",
                    "Eight Days to Wind",
                    "--time",
                    "00:00:04:00",
                    "--scale",
                    "0.1",
                    "-o",
                    path("f.png"))
                .code())
        .isZero();
    BufferedImage image = ImageIO.read(folder.resolve("f.png").toFile());
    assertThat(image.getWidth()).isEqualTo(192);
    Answer frames =
        run(
            "render",
            demo,
            "--timeline",
            "film",
            "--range",
            "00:00:04:00-00:00:04:05",
            "--frames",
            path("frames"),
            "--scale",
            "0.1",
            "--titles-only");
    assertThat(frames.out()).startsWith("6 frames written");
    BufferedImage alone = ImageIO.read(folder.resolve("frames").resolve("000100.png").toFile());
    assertThat(alone.getRGB(2, 2) >>> 24).as("nothing lies under titles").isZero();
    assertThat(
            run(
                    "render",
                    demo,
                    "--timeline",
                    "film",
                    "--range",
                    "00:00:04:00-00:00:04:05",
                    "--frames",
                    path("frames"),
                    "--scale",
                    "0.1",
                    "--titles-only")
                .out())
        .startsWith("0 frames written, 6 were there");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "render %s --timeline film --time 00:99:00:00 -o x.png",
        "render %s --timeline nosuch -o x.png",
        "render %s --timeline film --range 00:00:04:00 --frames x",
        "render %s --artboard Entrance panel --range a-b",
        "captions %s -o x.vtt",
        "captions %s --track nosuch -o x.vtt",
        "captions %s --track English -o x.doc",
        "titles %s --table nosuch.csv --pattern Ilse -o x.dmorph"
      })
  void mistakesAreToldInOneLine(String command) {
    String[] arguments = command.split(" ");
    arguments[1] = demo;
    Answer answer = run(arguments);
    assertThat(answer.code()).isNotZero();
    assertThat(answer.err().lines().filter(line -> line.startsWith("dynamorph:"))).hasSize(1);
  }

  @Test
  void captionsComeIntoAProject() throws IOException {
    Path file = folder.resolve("film.tr.srt");
    // a third of a second is no whole number of milliseconds; a frame of 25 is 40
    String srt = "1\n00:00:01,001 --> 00:00:02,OOO\n\u0130yi ak\u015famlar\n";
    Files.write(file, srt.getBytes("windows-1254"));
    String out = path("with.dmorph");
    Answer answer =
        run("captions", demo, "--import", file.toString(), "--encoding", "windows-1254", "-o", out);
    assertThat(answer.code()).isZero();
    assertThat(answer.out()).isEqualTo("1 cue imported as the track T\u00fcrk\u00e7e\n");
    assertThat(answer.err()).contains("line 2: the times");
    Answer again = run("captions", out, "--track", "T\u00fcrk\u00e7e", "-o", path("back.srt"));
    assertThat(again.code()).isZero();
    assertThat(Files.readString(folder.resolve("back.srt")))
        .contains("00:00:01,001 --> 00:00:02,000\n\u0130yi ak\u015famlar");
    assertThat(run("captions", file.toString(), "--import", file.toString(), "-o", out).err())
        .contains("--import goes with a project");
    assertThat(
            run("captions", demo, "--import", file.toString(), "--encoding", "x-no", "-o", out)
                .err())
        .contains("windows-1254");
  }

  @ParameterizedTest
  @CsvSource({"English, srt", "ar, vtt", "captions-ja, ttml"})
  void aTrackIsWrittenAndTurnedIntoOtherFormats(String track, String ending) throws IOException {
    String file = path("captions." + ending);
    assertThat(run("captions", demo, "--track", track, "-o", file).code()).isZero();
    for (String other : List.of("srt", "vtt", "ttml")) {
      String turned = path("turned." + other);
      Answer answer =
          run("captions", file, turned, "--frame-rate", "25", "--report", path("report.txt"));
      assertThat(answer.code()).as(answer.err()).isZero();
      assertThat(Files.size(Path.of(turned))).isGreaterThan(300);
    }
    assertThat(folder.resolve("report.txt")).exists();
  }

  @Test
  void titlesComeFromATable() throws IOException {
    Files.writeString(
        folder.resolve("names.csv"),
        "Name;Role;In\nMaro Velt;painter;00:00:10:00\n;;\nAda Quist;smith;00:00:20:00\n");
    Answer answer =
        run(
            "titles",
            demo,
            "--table",
            path("names.csv"),
            "--pattern",
            "name-ilse",
            "-o",
            path("out.dmorph"));
    assertThat(answer.out()).isEqualTo("2 titles made\n");
    assertThat(answer.err()).contains("line 3 is refused: it has no words");
    Project project = ProjectFile.read(folder.resolve("out.dmorph"));
    Layer made = project.layers().toList().getLast();
    assertThat(made.story().text()).isEqualTo("Ada Quist\nsmith");
    assertThat(made.follows())
        .isEqualTo(project.layer(new dynamorph.model.LayerId("name-ilse")).orElseThrow().follows());
  }

  @Test
  void whatIsWrongWithCaptionsIsListed() {
    JsonNode problems = JSON.readTree(run("check", demo, "--json").out());
    List<String> kinds =
        problems.valueStream().map(node -> node.get("problem").asString()).distinct().toList();
    assertThat(kinds).contains("too-fast", "lines", "contrast");
    assertThat(problems.get(0).get("time").asString()).matches("\\d\\d:\\d\\d:\\d\\d:\\d\\d");
    assertThat(run("check", demo).out()).contains("reads too fast");
  }
}
