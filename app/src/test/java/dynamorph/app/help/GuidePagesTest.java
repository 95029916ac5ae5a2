package dynamorph.app.help;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.guide.Guide;
import dynamorph.formats.guide.GuideBlock;
import dynamorph.formats.guide.GuideLink;
import dynamorph.formats.guide.GuideRun;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What question marks and links lead to is there. */
class GuidePagesTest {
  private static final Guide GUIDE = GuidePages.read();

  /** A place as code writes it, behind what opens the guide or with an anchor. */
  private static final Pattern PLACE =
      Pattern.compile(
          "(?:help|HelpRequest)\\(\"([^\"]+)\"|\"((?:guide|typesetting|finishes|captions|documents"
              + "|shelf|survey|trust|glossary|command-line)#[a-z0-9-]+)\"");

  @Test
  void everyQuestionMarkHasItsPlace() throws IOException {
    List<String> places;
    try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
      places =
          files
              .filter(file -> file.toString().endsWith(".java"))
              .flatMap(file -> places(file).stream())
              .toList();
    }
    assertThat(places).hasSizeGreaterThan(20);
    assertThat(places)
        .allSatisfy(place -> assertThat(GUIDE.has(GuideLink.of(place, place))).isTrue());
  }

  private static List<String> places(Path file) {
    try {
      return PLACE.matcher(Files.readString(file)).results().map(GuidePagesTest::place).toList();
    } catch (IOException unreadable) {
      throw new java.io.UncheckedIOException(unreadable);
    }
  }

  private static String place(MatchResult found) {
    return found.group(1) == null ? found.group(2) : found.group(1);
  }

  @Test
  void everyLinkLeadsSomewhere() {
    List<GuideLink> links =
        GUIDE.pages().stream()
            .flatMap(page -> page.sections().stream())
            .flatMap(section -> section.blocks().stream())
            .flatMap(GuidePagesTest::runs)
            .flatMap(run -> run.link().stream())
            .toList();
    assertThat(links).hasSizeGreaterThan(5).allMatch(GUIDE::has);
  }

  private static Stream<GuideRun> runs(GuideBlock block) {
    return switch (block) {
      case GuideBlock.Paragraph paragraph -> paragraph.runs().stream();
      case GuideBlock.Entry entry -> entry.runs().stream();
      case GuideBlock.Table table ->
          table.rows().stream().flatMap(List::stream).flatMap(List::stream);
      case GuideBlock.Code _ -> Stream.empty();
    };
  }
}
