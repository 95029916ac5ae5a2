package dynamorph.formats.xliff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.IdSource;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.importing.LanguageVersion;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import net.sf.okapi.lib.xliff2.core.Part;
import net.sf.okapi.lib.xliff2.core.Part.GetTarget;
import net.sf.okapi.lib.xliff2.core.Unit;
import net.sf.okapi.lib.xliff2.document.XLIFFDocument;
import net.sf.okapi.lib.xliff2.reader.XLIFFReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Words that go to translators and come back. */
class XliffTest {
  private static final PropertySet RED = PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0);

  @TempDir private Path folder;

  private static Layer text(String id, Paragraph... paragraphs) {
    return Layer.of(id, id, "").withStory(Story.of(paragraphs));
  }

  private static Project project(Layer... layers) {
    return Project.empty("P")
        .plus(
            Artboard.empty("wall", "Wall", 400, 300, LengthUnit.POINT).withLayers(List.of(layers)));
  }

  private static final Paragraph BELL =
      Paragraph.of(
          Span.of("The "),
          new Span("great bell", List.of(), RED),
          Span.of(" strikes\u2028at eight."));

  private Path written(Project project) throws IOException {
    Path file = folder.resolve("words.xlf");
    XliffWriter.write(project, file);
    return file;
  }

  /** A file in which a translator has put a target behind a source. */
  private Translation back(Project project, String target) throws IOException {
    String out = Files.readString(written(project));
    return read(
        project,
        out.replace("srcLang=", "trgLang=\"nl\" srcLang=")
            .replaceFirst("</source>", "</source><target>" + target + "</target>"));
  }

  private Translation read(Project project, String xliff) throws IOException {
    return XliffReader.read(Files.writeString(folder.resolve("back.xlf"), xliff), project);
  }

  private static List<String> spans(Translation translation) {
    return translation.stories().get(new LayerId("a")).paragraphs().getFirst().spans().stream()
        .map(span -> span.text() + (span.local().isEmpty() ? "" : "*"))
        .toList();
  }

  @Test
  void aParagraphIsAUnitWithItsLooksAsCodes() throws IOException {
    String out =
        Files.readString(written(project(text("a", BELL), text("n", Paragraph.of("1743")))));
    assertThat(out)
        .contains(
            "<xliff xmlns=\"urn:oasis:names:tc:xliff:document:2.0\" version=\"2.1\" srcLang=\"en\"")
        .contains("<group id=\"g1\" name=\"Wall\">")
        .contains("<unit id=\"u1\" name=\"a#0\">")
        .contains(
            "<source>The <pc id=\"2\" type=\"fmt\">great bell</pc> strikes"
                + "<ph id=\"b1\" type=\"fmt\" subType=\"xlf:lb\"/>at eight.</source>");
    assertThat(out).as("there is nothing to translate in a number").doesNotContain("1743");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        // words in another order keep their looks
        "Om acht uur slaat <pc id='2'>de grote klok</pc>.|Om acht uur slaat ;de grote klok*;.",
        // a pair of codes that a tool made of one
        "<sc id='2'/>De grote klok<ec startRef='2'/> slaat|De grote klok*; slaat",
        // marks of tools are no looks
        "De <mrk id='m1' type='term'><pc id='2'>klok</pc></mrk> slaat|De ;klok*; slaat",
        "Een<ph id='b1' type='fmt' subType='xlf:lb'/>twee <cp hex='0007'/>drie|Een\u2028twee drie",
        // one that was never given out
        "<pc id='9'>De klok</pc>|De klok"
      })
  void wordsComeBackInTheirLooks(String target, String expected) throws IOException {
    Translation translation = back(project(text("a", BELL)), target);
    assertThat(String.join(";", spans(translation))).isEqualTo(expected);
    assertThat(translation.language()).isEqualTo("nl");
  }

  @Test
  void segmentsThatAToolSplitAreOneParagraphAgain() throws IOException {
    Translation translation =
        read(
            project(text("a", Paragraph.of("One. Two."))),
            "<xliff xmlns='urn:oasis:names:tc:xliff:document:2.0' version='2.0' srcLang='en' trgLang='de'>"
                + "<file id='f'><unit id='u1' name='a#0'><segment><source>One.</source><target>Eins.</target>"
                + "</segment><ignorable><source> </source></ignorable><segment><source>Two.</source>"
                + "<target>Zwei.</target></segment></unit></file></xliff>");
    assertThat(spans(translation)).containsExactly("Eins. Zwei.");
    assertThat(translation.remarks()).isEmpty();
  }

  @Test
  void whatDoesNotFitIsTold() throws IOException {
    Project then = project(text("a", Paragraph.of("bell")), text("b", Paragraph.of("clock")));
    String out =
        Files.readString(written(then))
            .replace("srcLang=", "trgLang=\"nl\" srcLang=")
            .replace("<source>bell</source>", "<source>bell</source><target>klok</target>");
    Project now = project(text("a", Paragraph.of("great bell")));
    Translation translation = read(now, out);
    assertThat(spans(translation)).containsExactly("klok");
    assertThat(translation.remarks())
        .containsExactly(
            "1 paragraph is of a text that is no longer there.",
            "1 paragraph has other words here than were translated; look at it.");
    assertThat(read(then, out).remarks()).containsExactly("1 paragraph is not translated.");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "<xliff xmlns='urn:oasis:names:tc:xliff:document:1.2' version='1.2'/>|is XLIFF 1.2",
        "<xliff xmlns='urn:oasis:names:tc:xliff:document:2.0' version='2.1' srcLang='en'/>|trgLang",
        "<html/>|is no XLIFF",
        "id,words|no well-formed XML",
        "<!DOCTYPE x [<!ENTITY e SYSTEM 'file:///etc/hostname'>]><xliff>&e;</xliff>|XML"
      })
  void whatIsNoTranslationIsRefused(String content, String said) {
    assertThatThrownBy(() -> read(project(text("a", BELL)), content))
        .isInstanceOf(IOException.class)
        .hasMessageContaining(said);
  }

  /** Each letter with its look, however the words are cut into spans. */
  private static List<String> letters(Story story) {
    return story.paragraphs().stream()
        .flatMap(paragraph ->
            Stream.concat(
                Stream.of(paragraph.follows() + " " + paragraph.local()),
                paragraph.spans().stream()
                    .flatMap(span ->
                        span.text()
                            .codePoints()
                            .mapToObj(letter ->
                                Character.toString(letter)
                                    + span.follows()
                                    + span.local()
                                    + span.ruby()))))
        .toList();
  }

  /** Sources as targets change nothing, whatever the words and their looks. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void whatComesBackAsItWentIsTheSame(long seed) throws IOException {
    Project project = new RandomProjects(seed).project();
    String out =
        Files.readString(written(project))
            .replace("srcLang=", "trgLang=\"nl\" srcLang=")
            .replaceAll("(?s)<source>(.*?)</source>", "<source>$1</source><target>$1</target>");
    Translation translation = read(project, out);
    translation
        .stories()
        .forEach((id, story) ->
            assertThat(letters(story))
                .as(id.value())
                .isEqualTo(letters(project.layer(id).orElseThrow().story())));
    assertThat(translation.remarks()).isEmpty();
  }

  /** Another program reads what is written, copies its sources and writes it anew. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void anotherProgramTakesItAndGivesItBack(long seed) throws IOException {
    Project project = new RandomProjects(seed).project();
    Path file = written(project);
    XLIFFReader.validate(file.toFile());
    XLIFFDocument document = new XLIFFDocument();
    document.load(file.toFile(), XLIFFReader.VALIDATION_MAXIMAL);
    document.getStartXliffData().setTargetLanguage("nl");
    for (Unit unit : document.getUnits()) {
      for (Part part : unit) {
        part.getTarget(GetTarget.CLONE_SOURCE);
      }
    }
    Path back = folder.resolve("theirs.xlf");
    document.saveAs(back.toFile());
    Translation translation = XliffReader.read(back, project);
    assertThat(translation.translated()).isEqualTo(Units.of(project).size());
    translation
        .stories()
        .forEach((id, story) ->
            assertThat(letters(story))
                .as(id.value())
                .isEqualTo(letters(project.layer(id).orElseThrow().story())));
  }

  // --- versions

  private static IdSource counting() {
    return counting("");
  }

  private static IdSource counting(String mark) {
    AtomicInteger count = new AtomicInteger();
    return prefix -> prefix + "-" + mark + count.incrementAndGet();
  }

  @Test
  void aVersionStandsBesideWithTheSameStyles() {
    Project project =
        project(
            text(
                "a",
                Paragraph.of(
                    new Span(
                        "bell", List.of(), PropertySet.EMPTY.with(Properties.LANGUAGE, "en-GB")))),
            text("n", Paragraph.of("1743")));
    LanguageVersion.Plan plan =
        LanguageVersion.of(project, "nl", Map.of(new LayerId("a"), Story.of("klok")), counting());
    Project after = plan.edit().applyTo(project);
    assertThat(after.artboards()).hasSize(2);
    assertThat(after.artboards().getFirst()).isEqualTo(project.artboards().getFirst());
    Artboard version = after.artboards().getLast();
    assertThat(version.name()).isEqualTo("Wall nl");
    assertThat(version.y()).isGreaterThanOrEqualTo(300);
    assertThat(version.layers())
        .extracting(layer -> layer.story().text())
        .containsExactly("klok", "1743");
    Layer klok = version.layers().getFirst();
    assertThat(klok.local().isEmpty() && !klok.story().deviatesInside())
        .as("no local change: the style below says the language")
        .isTrue();
    Paragraph first = klok.story().paragraphs().getFirst();
    assertThat(
            Cascade.of(after)
                .values(klok, first, first.spans().getFirst())
                .get(Properties.LANGUAGE.key()))
        .contains("nl");
    Project twice =
        LanguageVersion.of(after, "nl", Map.of(new LayerId("a"), Story.of("bel")), counting("b"))
            .edit()
            .applyTo(after);
    assertThat(twice.styles().size()).as("there is one already").isEqualTo(after.styles().size());
    assertThatThrownBy(() -> LanguageVersion.of(project, "nl", Map.of(), counting()))
        .isInstanceOf(EditRefused.class);
  }

  @Test
  void cuesComeOnATrackOfTheirOwnThatIsNotSeenYet() {
    Track.Captions english = Track.Captions.of("en", "English", "en");
    Artboard film =
        Artboard.empty("film", "Film", 400, 300, LengthUnit.PIXEL)
            .withTimeline(
                Optional.of(
                    Timeline.of(FrameRate.PAL, Time.ofMillis(9000))
                        .plus(english)
                        .plus(new Track.Titles(new TrackId("t"), "Titles", ItemState.OPEN))))
            .withLayers(
                List.of(
                    text("cue", Paragraph.of("bell"))
                        .withTiming(Timing.of(new TrackId("en"), Time.ZERO, Time.ofMillis(900))),
                    text("title", Paragraph.of("Bell"))
                        .withTiming(Timing.of(new TrackId("t"), Time.ZERO, Time.ofMillis(900)))));
    Project project = Project.empty("P").plus(film);
    LanguageVersion.Plan plan =
        LanguageVersion.of(
            project,
            "nl",
            Map.of(new LayerId("cue"), Story.of("klok"), new LayerId("title"), Story.of("Klok")),
            counting());
    assertThat(plan.cues()).isEqualTo(1);
    assertThat(plan.titles()).isEqualTo(1);
    Artboard after = plan.edit().applyTo(project).artboard(new ArtboardId("film")).orElseThrow();
    Track.Captions dutch =
        after
            .timeline()
            .orElseThrow()
            .captions()
            .filter(track -> track.language().equals("nl"))
            .findFirst()
            .orElseThrow();
    assertThat(dutch.name()).isEqualTo("Nederlands");
    assertThat(dutch.state().hidden()).isTrue();
    assertThat(after.layers()).hasSize(3);
    assertThat(after.layers().getLast().timing().orElseThrow().track()).isEqualTo(dutch.id());
  }
}
