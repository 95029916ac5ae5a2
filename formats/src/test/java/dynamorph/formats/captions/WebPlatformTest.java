package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.formats.file.PlainText;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.function.ThrowingConsumer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The cases of web-platform-tests for the parsing of WebVTT. The texts of cues have their trees
 * beside them; of each file there is a list of its cues, which satisfies the assertions that the
 * suite makes about it.
 */
class WebPlatformTest {
  private static final Path CASES = Path.of("src/test/resources/web-platform-tests");
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** A text of a cue, and the tree that it makes. */
  private record Case(String text, String tree) {}

  @TestFactory
  Stream<DynamicTest> textsOfCuesMakeTheTreesOfTheStandard() throws IOException {
    return files("cue-text", ".dat")
        .flatMap(file ->
            cases(file).stream()
                .map(one ->
                    DynamicTest.dynamicTest(
                        file.getFileName() + " " + one.text,
                        () ->
                            assertThat(drawn(CueTree.parse(inFile(one.text)), 0))
                                .isEqualTo(one.tree))));
  }

  @TestFactory
  Stream<DynamicTest> filesHoldTheCuesOfTheStandard() throws IOException {
    return eachFile(
        "files",
        file -> {
          Path expected =
              file.resolveSibling(file.getFileName().toString().replace(".vtt", ".json"));
          String text = PlainText.decode(Files.readAllBytes(file));
          String found = listed(VttFile.read(text, new ArrayList<>()).cues());
          if (Boolean.getBoolean("dynamorph.write-cues")) {
            Files.writeString(expected, found);
          }
          assertThat(found).isEqualTo(Files.readString(expected));
        });
  }

  @TestFactory
  Stream<DynamicTest> filesWithoutASignatureAreRefused() throws IOException {
    return eachFile(
        "no-signature",
        file -> {
          String text = PlainText.decode(Files.readAllBytes(file));
          assertThatThrownBy(() -> VttReader.read(text, FrameBox.HD, new ArrayList<>()))
              .isInstanceOf(CaptionException.class);
        });
  }

  private static Stream<DynamicTest> eachFile(String folder, ThrowingConsumer<Path> check)
      throws IOException {
    return DynamicTest.stream(files(folder, ".vtt"), file -> file.getFileName().toString(), check);
  }

  private static Stream<Path> files(String folder, String ending) throws IOException {
    try (Stream<Path> files = Files.list(CASES.resolve(folder))) {
      return files.filter(file -> file.toString().endsWith(ending)).sorted().toList().stream();
    }
  }

  // --- trees

  private static List<Case> cases(Path file) {
    try {
      List<Case> cases = new ArrayList<>();
      for (String block : Files.readString(file).split("(?m)^#data\n")) {
        if (!block.isEmpty()) {
          String[] parts = block.split("#errors\n#document-fragment\n?", -1);
          String tree = parts[1].replaceAll("\n+$", "\n");
          cases.add(
              new Case(
                  written(parts[0].substring(0, parts[0].length() - 1)),
                  written(tree.equals("\n") ? "" : tree)));
        }
      }
      return cases;
    } catch (IOException unreadable) {
      throw new java.io.UncheckedIOException(unreadable);
    }
  }

  /** The text of a cue as a file would give it. */
  private static String inFile(String text) {
    String file = "WEBVTT\n\n00:00.000 --> 00:01.000\n" + text;
    return VttFile.read(file, new ArrayList<>()).cues().getFirst().text();
  }

  /** The files write some letters as escapes. */
  private static String written(String text) {
    StringBuilder plain = new StringBuilder();
    for (int at = 0; at < text.length(); at++) {
      if (text.charAt(at) != '\\') {
        plain.append(text.charAt(at));
        continue;
      }
      char kind = text.charAt(++at);
      int digits = kind == 'x' ? 2 : kind == 'u' ? 4 : 0;
      if (digits > 0) {
        plain.append((char) Integer.parseInt(text.substring(at + 1, at + 1 + digits), 16));
        at += digits;
      } else {
        plain.append(kind == 'n' ? '\n' : kind == 't' ? '\t' : kind == 'f' ? '\f' : kind);
      }
    }
    return plain.toString();
  }

  /** The tree as the suite writes the elements of HTML that it is shown with. */
  private static String drawn(List<CueTree.Node> nodes, int depth) {
    StringBuilder drawn = new StringBuilder();
    String indent = "| " + "  ".repeat(depth);
    for (CueTree.Node node : nodes) {
      switch (node) {
        case CueTree.Words words ->
            drawn.append(indent).append('"').append(words.text()).append("\"\n");
        case CueTree.Moment moment ->
            drawn.append(indent).append("<?timestamp ").append(moment.time()).append(">\n");
        case CueTree.Element element -> {
          boolean plain = List.of("c", "v", "lang").contains(element.name());
          drawn.append(indent).append('<').append(plain ? "span" : element.name()).append(">\n");
          if (!element.classes().isEmpty()) {
            String names = String.join(" ", element.classes());
            drawn.append(indent).append("  class=\"").append(names).append("\"\n");
          }
          if (element.name().equals("lang")) {
            drawn.append(indent).append("  lang=\"").append(element.note()).append("\"\n");
          }
          if (element.name().equals("v")) {
            drawn.append(indent).append("  title=\"").append(element.note()).append("\"\n");
          }
          drawn.append(drawn(element.children(), depth + 1));
        }
      }
    }
    return drawn.toString();
  }

  // --- files

  private static String listed(List<VttFile.Cue> cues) {
    ArrayNode list = JSON.createArrayNode();
    for (VttFile.Cue cue : cues) {
      VttSettings settings = cue.settings();
      ObjectNode one =
          list.addObject()
              .put("id", cue.id())
              .put("startTime", cue.start().seconds())
              .put("endTime", cue.end().seconds())
              .put("text", cue.text())
              .put("vertical", settings.vertical())
              .put("lineAlign", settings.line().map(VttSettings.Line::align).orElse("start"))
              .put("snapToLines", settings.line().map(VttSettings.Line::counted).orElse(true))
              .put(
                  "positionAlign",
                  settings.position().map(VttSettings.Position::align).orElse("auto"))
              .put("size", settings.size())
              .put("align", settings.align());
      put(one, "line", settings.line().map(VttSettings.Line::at));
      put(one, "position", settings.position().map(VttSettings.Position::share));
      settings
          .region()
          .ifPresent(region ->
              one.putObject("region")
                  .put("id", region.id())
                  .put("width", region.width())
                  .put("lines", region.lines())
                  .put("regionAnchorX", region.anchor().x())
                  .put("regionAnchorY", region.anchor().y())
                  .put("viewportAnchorX", region.frame().x())
                  .put("viewportAnchorY", region.frame().y())
                  .put("scroll", region.scroll() ? "up" : ""));
    }
    StringBuilder lines = new StringBuilder("[\n");
    for (int index = 0; index < list.size(); index++) {
      lines.append(list.get(index)).append(index + 1 < list.size() ? ",\n" : "\n");
    }
    return lines.append("]\n").toString();
  }

  private static void put(ObjectNode into, String name, Optional<Double> value) {
    if (value.isPresent()) {
      into.put(name, value.get());
    } else {
      into.put(name, "auto");
    }
  }
}
