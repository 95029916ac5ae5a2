package dynamorph.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Properties;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.reach.Reach;
import dynamorph.model.style.StyleId;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The commands that follow, settle and change styles, on the demo. */
class StyleCommandsTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  @TempDir private Path folder;
  private Path demo;
  private Path out;

  @BeforeEach
  void writeDemo() {
    demo = folder.resolve("demo.dmorph");
    out = folder.resolve("out.dmorph");
    run("demo", "--write", demo.toString());
  }

  private static String run(String... arguments) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int code = Dynamorph.run(new PrintWriter(out, true), new PrintWriter(err, true), arguments);
    assertThat(code).as(err.toString()).isZero();
    return out.toString();
  }

  /** Runs a command on the demo and reads what it wrote. */
  private Project after(String command, String... arguments) throws IOException {
    List<String> all = new ArrayList<>(List.of(command, demo.toString()));
    all.addAll(List.of(arguments));
    all.addAll(List.of("-o", out.toString()));
    run(all.toArray(String[]::new));
    return ProjectFile.read(out);
  }

  private static Layer layer(Project project, String id) {
    return project.layer(new LayerId(id)).orElseThrow();
  }

  @Test
  void reachNamesWhoWhatAndWhichProblems() {
    String lines =
        run("reach", demo.toString(), "--style", "Label title", "size=96", "font-weight=800");
    assertThat(lines)
        .startsWith("6 texts change.")
        .contains("Label 3/Title  font-weight 600 \u2192 800; size 76 pt \u2192 96 pt")
        .contains("[new: overset, 1 line does not fit]")
        .contains("Label 5/Title  ");
    JsonNode json =
        JSON.readTree(run("reach", demo.toString(), "--style", "Label title", "size=96", "--json"));
    assertThat(json.get("changed").intValue()).isEqualTo(6);
    JsonNode first = json.get("texts").get(0);
    assertThat(first.get("problems").get(0).get("kind").stringValue()).isEqualTo("overset");
    assertThat(first.get("problems").get(0).get("new").booleanValue()).isTrue();
  }

  @Test
  void reachOfASwatchTellsWhatCannotBeReadAnyMore() {
    assertThat(run("reach", demo.toString(), "--swatch", "Copper=#e8b04a"))
        .contains("low contrast")
        .contains("Label 9/Title  finish/fill/colour #a9522b \u2192 #e8b04a");
    assertThat(run("reach", demo.toString(), "--swatch", "Copper=#a9522b"))
        .startsWith("No text looks different.");
  }

  @Test
  void followGoesToWhatTheQueryChoosesAndLeavesPartsAlone() throws IOException {
    Project before = ProjectFile.read(demo);
    Project after =
        after(
            "follow",
            "--style",
            "Tag",
            "--where",
            "style=Label title && artboard~Label",
            "--leave",
            "font,size");
    List<Layer> followers =
        Followers.of(after).direct(new StyleId("tag")).stream()
            .map(Followers.Follower::layer)
            .toList();
    assertThat(followers)
        .extracting(layer -> layer.id().value())
        .containsExactly(
            "label-3-title", "web-open", "label-7-title", "label-8-title", "label-10-title");
    Layer crank = layer(after, "label-7-title");
    assertThat(Cascade.of(after).values(crank).get(Properties.SIZE.key()))
        .isEqualTo(
            Cascade.of(before).values(layer(before, "label-7-title")).get(Properties.SIZE.key()));
  }

  @Test
  void stampCopiesAndFollowsNothingMore() throws IOException {
    Project after = after("stamp", "--style", "Tag", "--where", "id=label-6-title");
    assertThat(layer(after, "label-6-title").follows()).isEmpty();
    assertThat(Cascade.of(after).resolve(layer(after, "label-6-title")).plate().coats())
        .isNotEmpty();
  }

  @Test
  void dropTakesSomeOrAllLocalChanges() throws IOException {
    Project some = after("drop", "--where", "local>0 && follows=Label title", "--property", "size");
    assertThat(LocalChanges.count(layer(some, "label-5-title"))).isEqualTo(1);
    Project all = after("drop", "--where", "local>0", "--facet", "typeface,finish,spacing");
    assertThat(LocalChanges.count(layer(all, "label-5-title"))).isZero();
    assertThat(LocalChanges.count(layer(all, "label-10-title"))).isZero();
    assertThat(LocalChanges.count(layer(all, "entrance-welcome"))).as("alignment").isEqualTo(1);
  }

  @Test
  void saveIntoChangesTheStyleAndNotTheSource() throws IOException {
    Project before = ProjectFile.read(demo);
    Project after = after("save-into", "--where", "id=label-10-title");
    assertThat(LocalChanges.count(layer(after, "label-10-title"))).isZero();
    assertThat(Reach.between(before, after))
        .contains(new LayerId("label-3-title"))
        .doesNotContain(new LayerId("label-10-title"));
  }

  @Test
  void detachKeepsTheLookUnlessAskedOtherwise() throws IOException {
    Project before = ProjectFile.read(demo);
    Project kept = after("detach", "--style", "Label title", "--where", "artboard=Label 7");
    assertThat(layer(kept, "label-7-title").follows()).isEmpty();
    assertThat(Reach.between(before, kept)).isEmpty();
    Project lost =
        after("detach", "--style", "Label title", "--where", "artboard=Label 7", "--fall-back");
    assertThat(Reach.between(before, lost)).containsExactly(new LayerId("label-7-title"));
  }

  @Test
  void stylesAreDerivedMergedAndDeleted() throws IOException {
    Project derived =
        after("derive", "--from", "Tag", "--name", "Tag, large", "size=×1.5", "tracking=40");
    assertThat(derived.styles().get(new StyleId("tag-large")).basedOn())
        .contains(new StyleId("tag"));
    Project merged = after("merge", "--into", "Label title", "--style", "Label title, loan");
    assertThat(merged.styles().find(new StyleId("label-title-loan"))).isEmpty();
    assertThat(layer(merged, "label-9-title").follows())
        .containsExactly(new StyleId("label-title"));
    Project before = ProjectFile.read(demo);
    Project deleted = after("delete", "--style", "Notice");
    assertThat(Reach.between(before, deleted)).isEmpty();
    assertThat(
            layer(after("delete", "--style", "Tag", "--replace-by", "Notice"), "web-open")
                .follows())
        .containsExactly(new StyleId("notice"));
    assertThat(after("delete", "--unused").styles()).isEqualTo(before.styles());
  }

  @Test
  void aDryRunTellsTheReachAndWritesNothing() {
    assertThat(
            run(
                "delete",
                demo.toString(),
                "--style",
                "Label title, loan",
                "--replace-by",
                "Label title",
                "--dry-run"))
        .startsWith("1 text changes.")
        .contains("finish/fill/colour swatch:copper \u2192 swatch:ink");
    assertThat(Files.exists(out)).isFalse();
    assertThat(run("delete", demo.toString(), "--style", "Label title, loan", "--dry-run"))
        .startsWith("No text looks different.");
  }

  @Test
  void stylesGoOutAsTokensAndComeBackChanged() throws IOException {
    Path tokens = folder.resolve("museum.tokens.json");
    assertThat(run("styles", demo.toString(), "--export", tokens.toString())).contains("styles");
    Project before = ProjectFile.read(Path.of(demo.toString()));
    StyleId first = before.styles().list().getFirst().id();
    String json = Files.readString(tokens);
    Files.writeString(
        tokens,
        json.replaceFirst(
            "\"fontWeight\",\\s*\"\\$value\" : \\d+", "\"fontWeight\", \"\\$value\" : 333"));
    run(
        "styles",
        demo.toString(),
        "--import",
        tokens.toString(),
        "--same-name",
        "THEIRS",
        "-o",
        out.toString());
    Project after = ProjectFile.read(out);
    assertThat(after.styles().list()).hasSameSizeAs(before.styles().list());
    assertThat(after.styles().get(first).name()).isEqualTo(before.styles().get(first).name());
    assertThat(after.styles().list().toString()).contains("font-weight=333.0");
    assertThat(after.palette()).isEqualTo(before.palette());
    Path css = folder.resolve("museum.css");
    run("styles", demo.toString(), "--export", css.toString(), "--style", "Tag");
    assertThat(Files.readString(css)).contains(":root {", "tag {");
  }

  @Test
  void projectsBeginBySizeAsFilmsAndAsCopies() throws IOException {
    assertThat(run("new", "--list")).contains("A3", "297 \u00d7 420 mm", "poster");
    Path wall = folder.resolve("wall.dmorph");
    run(
        "new",
        wall.toString(),
        "--size",
        "a3",
        "--orientation",
        "landscape",
        "--kit",
        "poster",
        "--name",
        "Wall");
    Project made = ProjectFile.read(wall);
    assertThat(made.name()).isEqualTo("Wall");
    assertThat(made.artboards().getFirst().sizeText()).contains("420").contains("297");
    assertThat(made.styles().size()).isGreaterThan(5);
    Path reel = folder.resolve("reel.dmorph");
    run("new", reel.toString(), "--size", "Square", "--rate", "29.97", "--duration", "00:00:10:00");
    // ten times 30 frames, as the timecode counts them
    assertThat(
            ProjectFile.read(reel)
                .films()
                .findFirst()
                .orElseThrow()
                .timeline()
                .orElseThrow()
                .frames())
        .isEqualTo(300);
    Path copy = folder.resolve("copy.dmorph");
    run("new", copy.toString(), "--template", wall.toString(), "--name", "Second wall");
    assertThat(ProjectFile.read(copy)).isEqualTo(made.withName("Second wall"));
    byte[] bytes = Files.readAllBytes(copy);
    StringWriter err = new StringWriter();
    assertThat(
            Dynamorph.run(new PrintWriter(err), new PrintWriter(err, true), "new", copy.toString()))
        .isNotZero();
    assertThat(err.toString()).contains("is there already");
    assertThat(copy).hasBinaryContent(bytes);
  }
}
