package dynamorph.bench;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.LineBreaking;
import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import dynamorph.typeset.layout.Typesetter;
import io.github.humbleui.skija.Typeface;
import io.github.humbleui.skija.paragraph.FontCollection;
import io.github.humbleui.skija.paragraph.Paragraph;
import io.github.humbleui.skija.paragraph.ParagraphBuilder;
import io.github.humbleui.skija.paragraph.ParagraphStyle;
import io.github.humbleui.skija.paragraph.TextStyle;
import io.github.humbleui.skija.paragraph.TypefaceFontProvider;
import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.awt.font.LineBreakMeasurer;
import java.awt.font.TextAttribute;
import java.io.InputStream;
import java.text.AttributedCharacterIterator;
import java.text.AttributedString;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Setting 60 justified paragraphs of 90 words in a column of 300 pt at 12 pt, one thread: this
 * typesetter, Skia's paragraph module and the JDK's LineBreakMeasurer, on prose that neither has
 * seen, and on the same prose at another width. Stops at lines, as Skia does before painting;
 * {@code glyphs} also puts every glyph in its place.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public class LayoutBench {
  private static final String FAMILY = "EB Garamond";
  private static final int PARAGRAPHS = 60;
  private static final int WORDS = 90;
  private static final int STORY_PARAGRAPHS = 222;
  private static final double SIZE = 12;

  private FontLibrary fonts;
  private Typesetter typesetter;
  private final Cascade cascade = Cascade.of(Project.empty("t"));
  private FontCollection skia;
  private Font awt;
  private Prose prose;
  private List<String> seen;
  private Story seenStory;
  private Story longStory;
  private int round;
  private double size = SIZE;
  private int colour = 0xff000000;

  /** New prose for each round. */
  @State(Scope.Benchmark)
  public static class Unseen {
    private List<String> paragraphs;
    private Story story;

    @Setup(Level.Invocation)
    public void write(LayoutBench bench) {
      paragraphs = bench.prose.paragraphs(PARAGRAPHS, WORDS);
      story = Story.of(String.join("\n", paragraphs));
    }
  }

  @Setup(Level.Trial)
  public void open() throws Exception {
    fonts = FontLibrary.shipped();
    typesetter = new Typesetter(fonts);
    prose = new Prose(7);
    Typeface typeface =
        fonts.match(FAMILY, 400, dynamorph.model.value.Slant.UPRIGHT).face().typeface();
    TypefaceFontProvider provider = new TypefaceFontProvider();
    provider.registerTypeface(typeface, FAMILY);
    skia = new FontCollection().setAssetFontManager(provider);
    try (InputStream file =
        FontLibrary.class.getResourceAsStream(
            "/dynamorph/typeset/fonts/eb-garamond/EBGaramond_400Regular.ttf")) {
      awt = Font.createFont(Font.TRUETYPE_FONT, file).deriveFont((float) SIZE);
    }
    seen = prose.paragraphs(PARAGRAPHS, WORDS);
    seenStory = Story.of(String.join("\n", seen));
    longStory = Story.of(String.join("\n", prose.paragraphs(STORY_PARAGRAPHS, WORDS)));
    columns(longStory);
  }

  @TearDown(Level.Trial)
  public void close() {
    skia.close();
    fonts.close();
  }

  @Benchmark
  public double unseenByLine(Unseen unseen) {
    return lines(set(unseen.story, LineBreaking.LINE_BY_LINE, 300, SIZE));
  }

  @Benchmark
  public double unseenByLineGlyphs(Unseen unseen) {
    return glyphs(set(unseen.story, LineBreaking.LINE_BY_LINE, 300, SIZE));
  }

  @Benchmark
  public double unseenByParagraph(Unseen unseen) {
    return lines(set(unseen.story, LineBreaking.WHOLE_PARAGRAPH, 300, SIZE));
  }

  @Benchmark
  public double unseenSkia(Unseen unseen) {
    return skia(unseen.paragraphs, 300);
  }

  @Benchmark
  public double unseenLineBreakMeasurer(Unseen unseen) {
    return measurer(unseen.paragraphs, 300);
  }

  @Benchmark
  public double widthByLine() {
    return lines(set(seenStory, LineBreaking.LINE_BY_LINE, width(), SIZE));
  }

  @Benchmark
  public double widthByLinePlaces() {
    return places(set(seenStory, LineBreaking.LINE_BY_LINE, width(), SIZE));
  }

  @Benchmark
  public double widthByLineGlyphs() {
    return glyphs(set(seenStory, LineBreaking.LINE_BY_LINE, width(), SIZE));
  }

  @Benchmark
  public double widthByParagraph() {
    return lines(set(seenStory, LineBreaking.WHOLE_PARAGRAPH, width(), SIZE));
  }

  @Benchmark
  public double sizeByLine() {
    return lines(set(seenStory, LineBreaking.LINE_BY_LINE, 300, nextSize()));
  }

  @Benchmark
  public double sizeByParagraph() {
    return lines(set(seenStory, LineBreaking.WHOLE_PARAGRAPH, 300, nextSize()));
  }

  @Benchmark
  public double sizeSkia() {
    size = nextSize();
    return skia(seen, 300);
  }

  @Benchmark
  public double widthSkia() {
    return skia(seen, (float) width());
  }

  @Benchmark
  public double widthLineBreakMeasurer() {
    return measurer(seen, (float) width());
  }

  @Benchmark
  public double colourByLine() {
    return lines(coloured(LineBreaking.LINE_BY_LINE));
  }

  @Benchmark
  public double colourByParagraph() {
    return lines(coloured(LineBreaking.WHOLE_PARAGRAPH));
  }

  @Benchmark
  public double colourSkia() {
    colour = 0xff000000 | round++;
    return skia(seen, 300);
  }

  /** One letter typed into a story of 20,000 words in columns, each time at another place. */
  @Benchmark
  public double typeIntoLongStory() {
    int at = longStory.length() / 2 + round % 400;
    String letter = String.valueOf((char) ('a' + round++ / 400 % 26));
    Story typed = longStory.replace(TextRange.caret(at), letter);
    return lines(columns(typed));
  }

  /** A width that no cache has: another one for each round. */
  private double width() {
    return 290 + round++ % 100_000 * 2e-4;
  }

  /** A size that no cache has; Skia takes sizes for one that differ by less than 1/4096 pt. */
  private double nextSize() {
    return SIZE + round++ % 10_000 * 1e-3;
  }

  private TextLayout set(Story story, LineBreaking breaker, double width, double size) {
    return layout(story, values(breaker, size), frame(width));
  }

  private TextLayout coloured(LineBreaking breaker) {
    Colour red = Colour.hex("#%02x0000".formatted(round++ % 256));
    PropertySet values =
        values(breaker, SIZE).with(Properties.COAT_COLOUR.at(Address.coat("fill")), red);
    return layout(seenStory, values, frame(300));
  }

  private static PropertySet values(LineBreaking breaker, double size) {
    return PropertySet.EMPTY
        .with(Properties.FONT_FAMILY, FAMILY)
        .with(Properties.SIZE, FontSize.points(size))
        .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
        .with(Properties.LINE_BREAKING, breaker);
  }

  private static PropertySet frame(double width) {
    return PropertySet.EMPTY.with(Properties.BOX, BoxFit.GROW).with(Properties.BOX_WIDTH, width);
  }

  private TextLayout columns(Story story) {
    PropertySet values =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, FAMILY)
            .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
            .with(Properties.LINE_BREAKING, LineBreaking.WHOLE_PARAGRAPH)
            .with(Properties.HYPHENATE, true);
    PropertySet frame =
        PropertySet.EMPTY
            .with(Properties.BOX, BoxFit.FIXED)
            .with(Properties.BOX_WIDTH, 2400.0)
            .with(Properties.BOX_HEIGHT, 6000.0)
            .with(Properties.COLUMNS, 8.0);
    return layout(story, values, frame);
  }

  private TextLayout layout(Story story, PropertySet values, PropertySet frame) {
    Layer layer = Layer.of("t", "T", "").withStory(story).withLocal(values).withFrame(frame);
    return typesetter.layout(story, cascade.resolve(layer));
  }

  private static double lines(TextLayout layout) {
    return layout.lines().size();
  }

  /** Each line with its place and width, which are worked out when they are asked for. */
  private static double places(TextLayout layout) {
    double sum = 0;
    for (Line line : layout.lines()) {
      sum += line.left() + line.width();
    }
    return sum;
  }

  private static double glyphs(TextLayout layout) {
    double sum = 0;
    for (Line line : layout.lines()) {
      for (GlyphRun run : line.runs()) {
        sum += run.x()[run.x().length - 1];
      }
    }
    return sum;
  }

  private double skia(List<String> paragraphs, float width) {
    double sum = 0;
    for (String text : paragraphs) {
      try (TextStyle style =
              new TextStyle().setFontFamily(FAMILY).setFontSize((float) size).setColor(colour);
          ParagraphStyle settings =
              new ParagraphStyle()
                  .setAlignment(io.github.humbleui.skija.paragraph.Alignment.JUSTIFY);
          ParagraphBuilder builder = new ParagraphBuilder(settings, skia)) {
        builder.pushStyle(style).addText(text);
        try (Paragraph paragraph = builder.build()) {
          paragraph.layout(width);
          sum += paragraph.getHeight();
        }
      }
    }
    return sum;
  }

  private double measurer(List<String> paragraphs, float width) {
    double sum = 0;
    for (String text : paragraphs) {
      AttributedString attributed = new AttributedString(text);
      attributed.addAttribute(TextAttribute.FONT, awt);
      AttributedCharacterIterator letters = attributed.getIterator();
      LineBreakMeasurer lines =
          new LineBreakMeasurer(letters, new FontRenderContext(null, true, true));
      while (lines.getPosition() < letters.getEndIndex()) {
        java.awt.font.TextLayout line = lines.nextLayout(width);
        boolean last = lines.getPosition() >= letters.getEndIndex();
        sum += (last ? line : line.getJustifiedLayout(width)).getAdvance();
      }
    }
    return sum;
  }
}
