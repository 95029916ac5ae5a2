package dynamorph.paint.layer;

import static dynamorph.paint.Painting.text;
import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Slant;
import dynamorph.paint.Painting;
import dynamorph.paint.artwork.Mark;
import dynamorph.paint.artwork.TextRun;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The words that go with letters out of the program. */
class LayerTextTest {
  private static List<TextRun> runs(Story story, String... settings) {
    PropertySet local = PropertySet.EMPTY.with(Properties.FONT_FAMILY, "EB Garamond");
    for (String setting : settings) {
      String[] parts = setting.split("=");
      local = local.withText(Properties.key(parts[0]), parts[1]);
    }
    Layer layer = text("t", "", local).withStory(story);
    PlacedLayer placed =
        Painting.maker().make(Painting.project(layer)).find(layer.id()).orElseThrow().text();
    List<TextRun> runs = new ArrayList<>();
    for (Mark mark : LayerArtwork.marksAndWords(placed.layout(), placed.look(), story, 1)) {
      if (mark instanceof Mark.Text(List<TextRun> own)) {
        runs.addAll(own);
      }
    }
    return runs;
  }

  private static String words(List<TextRun> runs) {
    return runs.stream()
        .flatMap(run -> run.clusters().stream())
        .map(TextRun.Cluster::text)
        .collect(Collectors.joining());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "one two three four five",
        "عجلة الميزان، ١٧٤٣ كل تأرجح",
        "Halm ‏الساعة‏ and then three towns more",
        "脱進車、1743年 振り子が一往復するたびに",
        "naïve café ﬁeld — “so” it is",
        "one\ttwo\u2028three",
        "zero\u200Bwidth\u00ADsoft",
        "e\u0301 with marks a\u0308o\u0323"
      })
  void areThoseThatWereTypedInTheirOrder(String typed) {
    List<TextRun> runs = runs(Story.of(typed), "box=grow", "box-width=90", "size=14 pt");
    assertThat(words(runs)).isEqualTo(typed);
    assertThat(runs.stream().flatMap(run -> run.clusters().stream()))
        .as("what is read has a glyph that carries it")
        .allMatch(cluster -> !cluster.glyphs().isEmpty());
  }

  @Test
  void aDividedWordSaysSoAndAListItsNumbers() {
    List<TextRun> divided =
        runs(
            Story.of("unquestionably so"),
            "hyphenate=true",
            "box=grow",
            "box-width=70",
            "size=20 pt");
    assertThat(words(divided)).contains("\u00AD");
    assertThat(words(divided).replace("\u00AD", "")).isEqualTo("unquestionably so");
    List<TextRun> list = runs(Story.of("wind\nstop"), "list=numbers");
    assertThat(words(list)).isEqualTo("1.wind2.stop");
  }

  @Test
  void lettersUnderTheCoatsOfOthersAreNotShownAboveThem() {
    List<TextRun> runs =
        runs(
            Story.of(
                Paragraph.of(
                    Span.of("plain"),
                    Span.of("rich")
                        .withLocal(
                            PropertySet.EMPTY
                                .withText(Properties.key("finish/rim/kind"), "stroke")
                                .withText(Properties.key("finish/rim/width"), "9 pt")))));
    assertThat(runs).hasSize(2).allMatch(run -> run.colour().isEmpty());
  }

  @Test
  void rubyIsReadBehindItsLetters() {
    Story story =
        Story.of(
            Paragraph.of(
                Span.of("時計").withRuby("とけい"), Span.of("の音"), Span.of("鐘").withRuby("かね")));
    assertThat(words(runs(story))).isEqualTo("時計とけいの音鐘かね");
  }

  @Test
  void coloursOfAFontAreRasterised() throws IOException {
    byte[] font = HostileFontsTest.shipped("anton/Anton_400Regular.ttf");
    short letter;
    try (FontLibrary shipped = FontLibrary.shipped()) {
      letter = (short) shipped.match("Anton", 400, Slant.UPRIGHT).face().glyph('l');
    }
    Asset coloured = new Asset("fonts/Anton.ttf", HostileFontsTest.withColours(font, letter));
    Layer layer = text("t", "lll", PropertySet.EMPTY.with(Properties.FONT_FAMILY, "Anton"));
    try (FontLibrary fonts = FontLibrary.forProject(List.of(coloured))) {
      var maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
      var placed = maker.make(Painting.project(layer)).find(layer.id()).orElseThrow().text();
      List<Mark> marks =
          LayerArtwork.marksAndWords(placed.layout(), placed.look(), layer.story(), 1);
      assertThat(marks).hasSize(2).first().isInstanceOf(Mark.Picture.class);
      // the palette of the font has one colour: blue 0x20, green 0x40, red 0xC0
      Mark.Picture picture = (Mark.Picture) marks.getFirst();
      var image = ImageIO.read(new ByteArrayInputStream(picture.png()));
      int middle = image.getRGB(image.getWidth() / 2, image.getHeight() / 2);
      assertThat(middle & 0xFFFFFF).isEqualTo(0xC04020);
    }
  }

  @Test
  void aDropCapitalIsReadFirst() {
    List<TextRun> runs =
        runs(
            Story.of("The great wheel turns once in eight days"),
            "drop-lines=2",
            "box=grow",
            "box-width=90",
            "size=12 pt");
    assertThat(words(runs)).isEqualTo("The great wheel turns once in eight days");
    assertThat(runs.getFirst().size()).isGreaterThan(20);
  }

  @Test
  void lettersOfOneColourAreShownAndOthersOnlyTold() {
    assertThat(runs(Story.of("a"))).allMatch(run -> run.colour().isPresent());
    for (String rich :
        List.of(
            "finish/fill/paint=linear",
            "finish/fill/opacity=0.5",
            "finish/whole/opacity=0.5",
            "finish/whole/mask=linear",
            "finish/fill/colour=#00000080",
            "finish/fill/blend=multiply",
            "finish/fill/offset=1 pt",
            "finish/fill/step-x=3 pt;finish/fill/copies=2",
            "finish/rim/kind=stroke",
            "finish/fill/soft/kind=blur")) {
      assertThat(runs(Story.of("a"), rich.split(";")))
          .as(rich)
          .isNotEmpty()
          .allMatch(run -> run.colour().isEmpty());
    }
    assertThat(runs(Story.of("a"), "finish/fill/cast/kind=drop-shadow"))
        .as("a shadow lies below")
        .allMatch(run -> run.colour().isPresent());
  }
}
