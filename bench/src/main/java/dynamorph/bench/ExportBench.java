package dynamorph.bench;

import dynamorph.demo.LongHour;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.paint.export.ArtboardArtwork;
import dynamorph.paint.export.pdf.PdfPage;
import dynamorph.paint.export.pdf.PdfSettings;
import dynamorph.paint.export.pdf.PdfWriter;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** The thirteen artboards of the demo as one PDF, in memory. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 3)
@Measurement(iterations = 4, time = 3)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public class ExportBench {
  /** Pixels per inch of shadows, glows and bevels. */
  @Param({"72", "150"})
  public double resolution;

  private FontLibrary fonts;
  private Scene scene;

  @Setup
  public void make() {
    Project project = LongHour.project();
    fonts = FontLibrary.forProject(project.assets());
    scene = new SceneMaker(new Typesetter(fonts), new LayerPainter()).make(project);
  }

  @TearDown
  public void close() {
    fonts.close();
  }

  @Benchmark
  public int pdf() {
    List<PdfPage> pages =
        scene.boards().stream()
            .filter(board -> !board.artboard().isFilm())
            .map(board ->
                new PdfPage(
                    board.artboard().name(),
                    ArtboardArtwork.of(
                        board, Optional.of(board.background()), true, resolution / 72)))
            .toList();
    PdfSettings settings =
        new PdfSettings("Demo", "en", ExportPreset.Document.PLAIN, ZonedDateTime.now());
    return PdfWriter.write(pages, settings).length;
  }
}
