package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.cascade.Placement;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.edit.importing.ImportCaptions;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import dynamorph.model.value.StrokeJoin;
import dynamorph.model.value.StrokePosition;
import dynamorph.typeset.font.FontLibrary;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Scripts of SubStation Alpha: what their styles, codes, places and times become, and back. */
class SubstationTest {
  private static final String HEAD =
      """
      [Script Info]
      ScriptType: v4.00+
      PlayResX: 960
      PlayResY: 540
      WrapStyle: 0

      [V4+ Styles]
      Format: Name, Fontname, Fontsize, PrimaryColour, SecondaryColour, OutlineColour, BackColour, \
      Bold, Italic, Underline, StrikeOut, ScaleX, ScaleY, Spacing, Angle, BorderStyle, Outline, \
      Shadow, Alignment, MarginL, MarginR, MarginV, Encoding
      Style: Default,Anton,46,&H00FFFFFF,&H000000FF,&H00102030,&H80000000,-1,0,0,0,100,100,0,0,1,2,3,2,10,30,20,1
      Style: Sign,Lora,23,&H4000E0FF,&H000000FF,&H00402000,&H00000000,0,-1,0,0,120,100,0,0,3,4,0,9,10,40,20,1

      [Events]
      Format: Layer, Start, End, Style, Name, MarginL, MarginR, MarginV, Effect, Text
      """;

  private static CaptionFiles.Read read(String text) throws CaptionException {
    return CaptionFiles.read(text.getBytes(StandardCharsets.UTF_8), "film.txt", FrameBox.HD);
  }

  private static String event(String style, String text) {
    return "Dialogue: 0,0:00:01.00,0:00:02.50," + style + ",,0,0,0,," + text + "\n";
  }

  private record Seen(Project project, List<Layer> cues) {
    Cascade cascade() {
      return Cascade.of(project);
    }

    ResolvedLayer look(int cue) {
      return cascade().resolve(cues.get(cue)).on(1920, 1080);
    }

    List<Coat> coats(int cue, int span) {
      return look(cue).paragraphs().getFirst().spans().get(span).finish().coats();
    }
  }

  /** A script as the cues of a film. */
  private static Seen seen(CaptionFiles.Read read) {
    Artboard film =
        Artboard.empty("film", "Film", 1920, 1080, LengthUnit.PIXEL)
            .withTimeline(Optional.of(Timeline.of(FrameRate.PAL, Time.ofMillis(1000))));
    Project project =
        new ImportCaptions(
                film.id(), Track.Captions.of("en", "English", "en"), read.captions(), "n")
            .applyTo(Project.empty("P").plus(film));
    return new Seen(project, project.layers().toList());
  }

  private static Seen seen(String... events) throws CaptionException {
    return seen(read(HEAD + String.join("", events)));
  }

  @Test
  void stylesBecomeFinishes() throws CaptionException {
    Seen seen = seen(event("Default", "bell"), event("Sign", "closed"), event("Default", "x"));
    List<Coat> plain = seen.coats(0, 0);
    // a script of half the frame: borders, shadows and sizes are twice as large in it
    assertThat(plain).hasSize(3);
    assertThat(plain.get(0).shape()).isInstanceOf(Coat.Fill.class);
    assertThat(plain.get(0).paint().colour()).isEqualTo(new Rgba(0x7F000000));
    assertThat(plain.get(0).transform().translateX()).isEqualTo(6);
    assertThat(plain.get(0).transform().translateY()).isEqualTo(6);
    assertThat(((Coat.Fill) plain.get(0).shape()).offset()).isEqualTo(4);
    Coat.Stroke border = (Coat.Stroke) plain.get(1).shape();
    assertThat(border.width()).isEqualTo(4);
    assertThat(border.inner()).isZero();
    assertThat(border.corner().join()).isEqualTo(StrokeJoin.ROUND);
    assertThat(plain.get(1).paint().colour()).isEqualTo(new Rgba(0xFF302010));
    assertThat(plain.get(2).paint().colour()).isEqualTo(Rgba.WHITE);
    assertThat(seen.look(0).plate().coats()).isEmpty();
    var sign = seen.look(1).paragraphs().getFirst().spans().getFirst();
    assertThat(sign.finish().coats()).as("a box has no border").hasSize(1);
    assertThat(sign.finish().coats().getFirst().paint().colour()).isEqualTo(new Rgba(0xBFFFE000));
    assertThat(sign.type().forms().scaleAcross()).isEqualTo(1.2);
    assertThat(sign.type().font().slant()).isEqualTo(Slant.ITALIC);
    assertThat(sign.type().weight()).isEqualTo(400);
    assertThat(seen.look(1).plate().padding().left()).isEqualTo(8);
    assertThat(seen.look(1).plate().coats().getFirst().paint().colour())
        .isEqualTo(new Rgba(0xFF002040));
  }

  /** Sizes count the cell of letters: usWinAscent 2876 and usWinDescent 674 of 2048 for Anton. */
  @Test
  void sizesAreThoseOfCells() throws CaptionException {
    try (FontLibrary fonts = FontLibrary.shipped()) {
      CellHeights cells = CellHeights.of(fonts);
      double anton = cells.of(FontRequest.of("Anton", 400, Slant.UPRIGHT));
      assertThat(anton).isCloseTo((2876 + 674) / 2048.0, within(0.001));
      assertThat(cells.of(FontRequest.of("No such family", 400, Slant.UPRIGHT)))
          .isEqualTo(CellHeights.COMMON);
    }
    // 46 units of a script of 540 are 92 points, in cells of 1.15 em
    assertThat(
            seen(event("Default", "x"))
                .look(0)
                .paragraphs()
                .getFirst()
                .spans()
                .getFirst()
                .type()
                .size())
        .isCloseTo(80, within(0.01));
  }

  @Test
  void codesAreLocalChangesOfTheirWords() throws CaptionException {
    Seen seen =
        seen(
            event(
                "Default",
                "a {\\b0\\i1\\c&H0000FF&}b{\\i0} {\\bord0\\shad0}c {\\r}d {\\rSign}e {\\fs46}f"));
    List<Span> spans = seen.cues().getFirst().story().paragraphs().getFirst().spans();
    assertThat(spans.stream().map(Span::text))
        .containsExactly("a ", "b", " ", "c ", "d ", "e ", "f");
    assertThat(spans.get(0).local().isEmpty()).isTrue();
    assertThat(spans.get(1).local())
        .isEqualTo(
            PropertySet.EMPTY
                .with(Properties.FONT_WEIGHT, 400.0)
                .with(Properties.SLANT, Slant.ITALIC)
                .with(Properties.COAT_COLOUR.at(CueCss.FILL), Colour.hex("#ff0000")));
    assertThat(seen.coats(0, 3)).as("no border and no shadow").hasSize(1);
    assertThat(spans.get(4).local().isEmpty()).isTrue();
    Style words = seen.project().styles().get(spans.get(5).follows().getFirst());
    assertThat(words.name()).isEqualTo("Sign");
    assertThat(words.level()).isEqualTo(StyleLevel.CHARACTER);
    assertThat(seen.coats(0, 5)).hasSize(1);
    var type = seen.look(0).paragraphs().getFirst().spans().get(6).type();
    assertThat(type.family()).isEqualTo("Lora");
    assertThat(type.size()).isCloseTo(80, within(0.01));
  }

  @Test
  void sizesMayGrowAndSpaceGrowsWithWidth() throws CaptionException {
    Seen seen = seen(event("Default", "{\\fs+5}x"), event("Sign", "{\\fsp2}y"));
    // half as large again
    assertThat(seen.look(0).paragraphs().getFirst().spans().getFirst().type().size())
        .isCloseTo(120, within(0.01));
    // 2 units are 4 points, of letters 1.2 times as wide; of 40 points
    assertThat(seen.look(1).paragraphs().getFirst().spans().getFirst().type().spacing().tracking())
        .isEqualTo(120);
  }

  /** The places of a script of 960 by 540, twice as far in the frame. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "Default; x; BOTTOM; 940; 1040",
        "Default; {\\an5}x; CENTRE; 940; 540",
        "Default; {\\an7}x; TOP_LEFT; 20; 40",
        "Sign; x; TOP_RIGHT; 1840; 40",
        "Sign; {\\pos(100,50)}x; TOP_RIGHT; 200; 100",
        "Default; {\\a5\\pos(100,50)\\pos(9,9)}x; TOP_LEFT; 200; 100",
        "Default; {\\a10}x; CENTRE; 940; 540",
        "Default; {\\move(10,20,30,40)}x; BOTTOM; 20; 40",
      })
  void placesAreThoseOfTheFrame(String style, String text, Anchor anchor, double x, double y)
      throws CaptionException {
    Placement place = seen(event(style, text)).look(0).placement();
    assertThat(place.anchor()).isEqualTo(anchor);
    assertThat(place.anchorX(1920)).isEqualTo(x);
    assertThat(place.anchorY(1080)).isEqualTo(y);
    assertThat(place.fit()).isEqualTo(BoxFit.GROW);
    assertThat(place.width()).isEqualTo(style.equals("Sign") ? 1820 : 1840);
  }

  @Test
  void marginsRotationAndFadesAreThoseOfTheCue() throws CaptionException {
    Seen seen =
        seen(
            "Dialogue: 0,0:00:01.00,0:00:02.50,Default,Ilse,0,0,50,,{\\frz30\\fad(200,300)}a, b\n"
                + event("Default", "{\\fade(255,0,255,0,100,1000,1400)\\q2}c\\nd"));
    Layer first = seen.cues().getFirst();
    assertThat(first.story().text()).isEqualTo("a, b");
    assertThat(first.timing().orElseThrow().speaker()).isEqualTo("Ilse");
    assertThat(first.timing().orElseThrow().fadeIn()).isEqualTo(Time.ofMillis(200));
    assertThat(first.timing().orElseThrow().fadeOut()).isEqualTo(Time.ofMillis(300));
    assertThat(seen.look(0).placement().anchorY(1080)).isEqualTo(980);
    // anticlockwise there, clockwise here
    assertThat(seen.look(0).placement().rotation()).isEqualTo(-30);
    Layer second = seen.cues().getLast();
    assertThat(second.timing().orElseThrow().fadeIn()).isEqualTo(Time.ofMillis(100));
    assertThat(second.timing().orElseThrow().fadeOut()).isEqualTo(Time.ofMillis(400));
    assertThat(second.story().text()).isEqualTo("c\u2028d");
    assertThat(seen.look(1).placement().fit()).isEqualTo(BoxFit.POINT);
  }

  @Test
  void versionFourIsRead() throws CaptionException {
    Seen seen =
        seen(
            read(
                """
                [Script Info]
                ScriptType: v4.00
                PlayResY: 1080

                [V4 Styles]
                Format: Name, Fontname, Fontsize, PrimaryColour, SecondaryColour, TertiaryColour, \
                BackColour, Bold, Italic, BorderStyle, Outline, Shadow, Alignment, MarginL, \
                MarginR, MarginV, AlphaLevel, Encoding
                Style: Default,Anton,46,65535,255,255,255,0,0,1,2,0,6,10,10,20,0,1

                [Events]
                Format: Marked, Start, End, Style, Name, MarginL, MarginR, MarginV, Effect, Text
                Dialogue: Marked=0,0:00:01.00,0:00:02.50,*Default,,0000,0000,0000,,bell
                """));
    assertThat(seen.look(0).placement().anchor()).isEqualTo(Anchor.TOP);
    // 65535 is 00 FF FF: no blue
    assertThat(seen.coats(0, 0).getLast().paint().colour()).isEqualTo(new Rgba(0xFFFFFF00));
    assertThat(seen.coats(0, 0).getFirst().paint().colour()).isEqualTo(new Rgba(0xFFFF0000));
  }

  @Test
  void whatIsLeftOutIsToldWithItsLine() throws CaptionException {
    CaptionFiles.Read read =
        read(
            HEAD
                + "Comment: 0,0:00:01.00,0:00:02.50,Default,,0,0,0,,nothing\n"
                + event("Gone", "{\\t(0,100,\\fs40)\\clip(0,0,9,9)}bell{\\k20}s")
                + event("Default", "{\\p1}m 0 0 l 10 10{\\p0}")
                + "Dialogue: 0,0:00:03.00,0:00:02.50,Default,,0,0,0,,backwards\n"
                + "Dialogue: 0,0:xx:03.00,0:00:02.50,Default,,0,0,0,,no time\n");
    assertThat(read.captions().cues()).hasSize(1);
    assertThat(read.captions().cues().getFirst().text()).isEqualTo("bells");
    assertThat(read.remarks().stream().map(Object::toString))
        .containsExactly(
            "line 15: there is no style \"Gone\"; Default is taken",
            "line 15: the code {\\t(0,100,\\fs40)} is left out",
            "line 15: the code {\\clip(0,0,9,9)} is left out",
            "line 16: the code {\\p1} is left out",
            "line 16: left out: it has no words",
            "line 17: left out: it would be seen from 00:00:03.000 to 00:00:02.500",
            "line 18: left out with its words: the times \"0:xx:03.00, 0:00:02.50\" cannot be read",
            "1 comment is left out");
  }

  @ParameterizedTest
  @ValueSource(strings = {"C:\\new \\{x\\} \\h", "{braces}", "a\\Nb", "tail\\", "\\\u2060N"})
  void wordsComeBackAsTheyWere(String words) throws CaptionException {
    String text = write(project(cue(Span.of(words)))).text();
    assertThat(read(text).captions().cues().getFirst().text())
        .isEqualTo(words.replace("\\\u2060N", "\\N"));
  }

  private static final StyleId CAPTION = new StyleId("caption");
  private static final StyleId SOUND = new StyleId("sound");
  private static final StyleId SIGN = new StyleId("sign");
  private static final Track.Captions TRACK =
      Track.Captions.of("en", "English", "en").withFollows(List.of(CAPTION));

  private static Layer cue(Span... spans) {
    return Layer.of("c", "Cue", "")
        .withStory(Story.of(Paragraph.of(spans)))
        .withTiming(Timing.of(TRACK.id(), Time.ofMillis(1000), Time.ofMillis(2000)));
  }

  private static Project project(Layer... cues) {
    Style caption =
        Style.text("caption", "Caption", "")
            .withProperties(
                PropertySet.EMPTY
                    .with(Properties.FONT_FAMILY, "Lora")
                    .with(Properties.SIZE, FontSize.points(54))
                    .with(Properties.COAT_COLOUR.at(CueCss.FILL), Colour.hex("#ffeedd"))
                    .with(Properties.COAT_KIND.at(SubstationLook.BORDER), CoatKind.STROKE)
                    .with(Properties.COAT_ORDER.at(SubstationLook.BORDER), -1.0)
                    .with(Properties.STROKE_WIDTH.at(SubstationLook.BORDER), Length.points(3))
                    .with(
                        Properties.STROKE_POSITION.at(SubstationLook.BORDER),
                        StrokePosition.OUTSIDE)
                    .with(Properties.ANCHOR, Anchor.BOTTOM)
                    .with(Properties.POSITION_Y, -90.0));
    Style sound =
        Style.text("sound", "Sound", "")
            .withLevel(StyleLevel.CHARACTER)
            .withProperties(
                PropertySet.EMPTY
                    .with(Properties.SIZE, new FontSize.Times(0.5))
                    .with(Properties.SLANT, Slant.ITALIC));
    Style sign =
        Style.text("sign", "Sign, large", "")
            .withProperties(
                PropertySet.EMPTY
                    .with(Properties.COAT_KIND.at(CueCss.GROUND), CoatKind.FILL)
                    .with(Properties.COAT_COLOUR.at(CueCss.GROUND), Colour.hex("#204060"))
                    .with(Properties.ANCHOR, Anchor.TOP_LEFT)
                    .with(Properties.POSITION_X, 40.0)
                    .with(Properties.POSITION_Y, 60.0));
    Artboard film =
        Artboard.empty("film", "Film", 1920, 1080, LengthUnit.PIXEL)
            .withTimeline(
                Optional.of(Timeline.of(FrameRate.PAL, Time.ofMillis(600_000)).plus(TRACK)))
            .withLayers(List.of(cues));
    return Project.empty("P").withStyles(StyleBook.of(List.of(caption, sound, sign))).plus(film);
  }

  private static CaptionFiles.Written write(Project project) {
    return CaptionFiles.write(
        project, project.artboards().getFirst(), TRACK, CaptionFiles.Format.SUBSTATION);
  }

  @Test
  void stylesOfCuesAndWordsHaveNamesInTheScript() {
    String text =
        write(
                project(
                    cue(Span.of("a "), Span.of("ding").withFollows(List.of(SOUND)), Span.of(" b")),
                    cue(Span.of("closed")).withId(new LayerId("d")).withFollows(List.of(SIGN))))
            .text();
    // 54 points in cells of 1.15 em are 62.1 units
    assertThat(text)
        .contains(
            "Style: Caption,Lora,62.1,&H00DDEEFF,&H000000FF,&H00000000,&H00000000,0,0,0,0,100,100,"
                + "0,0,1,3,0,2,0,0,90,1\n",
            "Style: Sound,Lora,31.05,&H00DDEEFF,&H000000FF,&H00000000,&H00000000,0,-1,0,0,",
            "Style: Sign large,Lora,62.1,&H00DDEEFF,&H000000FF,&H00604020,&H00000000,0,0,0,0,100,"
                + "100,0,0,3,",
            ",7,40,0,60,1\n",
            "Dialogue: 0,0:00:01.00,0:00:02.00,Caption,,0,0,0,,a {\\rSound}ding{\\r} b\n",
            "Dialogue: 0,0:00:01.00,0:00:02.00,Sign large,,0,0,0,,closed\n");
  }

  /** Whatever words look like, they look so again; what is not carried is told. */
  @Test
  void looksComeBack() throws CaptionException {
    for (int seed = 0; seed < 60; seed++) {
      SplittableRandom random = new SplittableRandom(seed);
      Span[] spans = new Span[4];
      for (int index = 0; index < spans.length; index++) {
        Span span = Span.of("word" + index + " ").withLocal(local(random));
        spans[index] = random.nextInt(3) == 0 ? span.withFollows(List.of(SOUND)) : span;
      }
      Layer cue = cue(spans);
      if (random.nextBoolean()) {
        cue =
            cue.withLocal(
                PropertySet.EMPTY
                    .with(Properties.POSITION_X, random.nextInt(200) - 100.0)
                    .with(Properties.POSITION_Y, -random.nextInt(900) / 2.0)
                    .with(Properties.ROTATION, (double) random.nextInt(90) - 45));
      }
      if (random.nextBoolean()) {
        cue = cue.withFollows(List.of(SIGN));
      }
      Project before = project(cue);
      CaptionFiles.Written written = write(before);
      Seen after = seen(read(written.text()));
      String why = "seed " + seed + "\n" + written.text();
      ResolvedLayer was = Cascade.of(before).resolve(cue).on(1920, 1080);
      ResolvedLayer is = after.look(0);
      assertThat(is.placement().anchor()).as(why).isEqualTo(was.placement().anchor());
      assertThat(is.placement().x()).as(why).isCloseTo(was.placement().x(), within(0.06));
      assertThat(is.placement().y()).as(why).isCloseTo(was.placement().y(), within(0.06));
      assertThat(is.placement().rotation()).as(why).isEqualTo(was.placement().rotation());
      assertThat(is.plate().coats().size()).as(why).isEqualTo(was.plate().coats().size());
      boolean box = !was.plate().coats().isEmpty();
      for (int index = 0; index < spans.length; index++) {
        var one = was.paragraphs().getFirst().spans().get(index);
        var other = spanAt(after, index);
        assertThat(other.type().family()).as(why).isEqualTo(one.type().family());
        assertThat(other.type().weight()).as(why).isEqualTo(one.type().weight());
        assertThat(other.type().size()).as(why).isCloseTo(one.type().size(), within(0.02));
        assertThat(other.type().font().slant()).as(why).isEqualTo(one.type().font().slant());
        assertThat(other.type().spacing().tracking())
            .as(why)
            .isCloseTo(one.type().spacing().tracking(), within(1.0));
        assertThat(other.lines()).as(why).isEqualTo(one.lines());
        assertThat(coats(other.finish().coats(), box))
            .as(why)
            .isEqualTo(coats(one.finish().coats(), box));
      }
    }
  }

  /** The look of a word, whatever spans the words lie in. */
  private static CharacterLook spanAt(Seen seen, int word) {
    List<Span> spans = seen.cues().getFirst().story().paragraphs().getFirst().spans();
    for (int index = 0; index < spans.size(); index++) {
      if (spans.get(index).text().contains("word" + word)) {
        return seen.look(0).paragraphs().getFirst().spans().get(index);
      }
    }
    throw new AssertionError("word " + word + " is gone");
  }

  /** Coats as words; behind a box a script has none but the fill. */
  private static List<String> coats(List<Coat> coats, boolean box) {
    return coats.stream()
        .filter(coat -> !box || coat == coats.getLast())
        .map(coat ->
            switch (coat.shape()) {
              case Coat.Stroke stroke ->
                  String.format(
                      Locale.ROOT, "stroke %.1f %s", stroke.outer(), coat.paint().colour());
              case Coat.Fill _ ->
                  "fill " + coat.paint().colour() + " " + coat.transform().translateX();
            })
        .toList();
  }

  private static PropertySet local(SplittableRandom random) {
    PropertySet local = PropertySet.EMPTY;
    if (random.nextInt(3) == 0) {
      local = local.with(Properties.FONT_WEIGHT, random.nextBoolean() ? 700.0 : 300.0);
    }
    if (random.nextInt(3) == 0) {
      local = local.with(Properties.SIZE, FontSize.points(20 + random.nextInt(60)));
    }
    if (random.nextInt(3) == 0) {
      local = local.with(Properties.TRACKING, (double) random.nextInt(100));
    }
    if (random.nextInt(3) == 0) {
      local = local.with(Properties.UNDERLINE, true);
    }
    if (random.nextInt(3) == 0) {
      Rgba colour = new Rgba(random.nextInt());
      local = local.with(Properties.COAT_COLOUR.at(CueCss.FILL), Colour.of(colour));
    }
    if (random.nextInt(3) == 0) {
      local =
          local.with(
              Properties.STROKE_WIDTH.at(SubstationLook.BORDER),
              Length.points(1 + random.nextInt(8)));
    }
    if (random.nextInt(4) == 0) {
      local = local.with(Properties.COAT_REMOVED.at(SubstationLook.BORDER), true);
    }
    return local;
  }

  @Test
  void lossesAreTold() {
    Project project =
        project(cue(Span.of("x")))
            .withStyles(
                StyleBook.of(
                    List.of(
                        Style.text("caption", "Caption", "")
                            .withProperties(
                                PropertySet.EMPTY
                                    .with(Properties.SIZE, FontSize.points(54))
                                    .with(Properties.WORD_SPACING, 20.0)
                                    .with(
                                        Properties.COAT_COLOUR.at(CueCss.FILL),
                                        Colour.hex("#ffffff"))))));
    assertThat(write(project).remarks().stream().map(Object::toString))
        .containsExactly("of \"Caption\" stays behind: Word spacing");
  }

  @Test
  void aScriptWithoutStylesOrHeadIsRead() throws CaptionException {
    CaptionList captions =
        read("Dialogue: 0,0:00:01.00,0:00:02.50,Default,,0,0,0,,bell, book\\Nand candle\n")
            .captions();
    assertThat(captions.cues().getFirst().text()).isEqualTo("bell, book\nand candle");
  }
}
