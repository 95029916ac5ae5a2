package dynamorph.bench;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Story;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.WritingMode;
import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.Typesetter;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Setting one justified paragraph that was never seen, glyphs and all, in a column of 300 pt at 12
 * pt: four times the letters take four times as long if it is linear.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public class LongParagraphBench {
  /** What is set. */
  public enum Writing {
    LATIN("EB Garamond", 'a', 'z', 6),
    ARABIC("Amiri", '\u0628', '\u063A', 5),
    HAN("Noto Sans JP", '\u4E00', '\u4EFF', 0),
    VERTICAL_HAN("Noto Sans JP", '\u4E00', '\u4EFF', 0);

    private final String family;
    private final char first;
    private final char last;
    private final int word;

    Writing(String family, char first, char last, int word) {
      this.family = family;
      this.first = first;
      this.last = last;
      this.word = word;
    }

    private String text(int letters, Random random) {
      StringBuilder text = new StringBuilder();
      while (text.length() < letters) {
        text.append((char) (first + random.nextInt(last - first + 1)));
        if (word > 0 && random.nextInt(word) == 0) {
          text.append(' ');
        }
      }
      return text.toString();
    }
  }

  @Param Writing writing;

  @Param({"20000", "80000"})
  int letters;

  private final Cascade cascade = Cascade.of(Project.empty("t"));
  private final Random random = new Random(11);
  private FontLibrary fonts;
  private Typesetter typesetter;
  private Layer layer;

  @Setup(Level.Trial)
  public void open() {
    fonts = FontLibrary.shipped();
    typesetter = new Typesetter(fonts);
  }

  @TearDown(Level.Trial)
  public void close() {
    fonts.close();
  }

  @Setup(Level.Invocation)
  public void write() {
    PropertySet look =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, writing.family)
            .with(Properties.SIZE, FontSize.points(12))
            .with(Properties.ALIGNMENT, Alignment.JUSTIFIED)
            .with(Properties.LINE_BREAKING, LineBreaking.LINE_BY_LINE)
            .with(Properties.BOX, BoxFit.GROW)
            .with(Properties.BOX_WIDTH, 300.0);
    layer =
        Layer.of("t", "t", "")
            .withStory(Story.of(writing.text(letters, random)))
            .withLocal(
                writing == Writing.VERTICAL_HAN
                    ? look.with(Properties.WRITING_MODE, WritingMode.VERTICAL_RIGHT_TO_LEFT)
                    : look);
  }

  @Benchmark
  public double glyphs() {
    double sum = 0;
    for (Line line : typesetter.layout(layer.story(), cascade.resolve(layer)).lines()) {
      for (GlyphRun run : line.runs()) {
        sum += run.x()[run.x().length - 1];
      }
    }
    return sum;
  }
}
