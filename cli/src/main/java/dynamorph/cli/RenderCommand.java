package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.footage.FootageFiles;
import dynamorph.formats.export.FilmState;
import dynamorph.formats.file.SafeFile;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.FrameSequence;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "render",
    description = "${bundle:render-command.draws-an-artboard-or-a-frame}",
    mixinStandardHelpOptions = true)
final class RenderCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @ArgGroup(multiplicity = "1")
  private What what;

  /** Which surface is drawn. */
  static final class What {
    @Option(
        names = "--artboard",
        paramLabel = "NAME",
        description = "${bundle:render-command.name-or-id-of-the-artboard}")
    private String artboard;

    @Option(
        names = "--timeline",
        paramLabel = "NAME",
        description = "${bundle:render-command.name-or-id-of-the-film}")
    private String timeline;
  }

  @Option(
      names = "--time",
      paramLabel = "TIMECODE",
      description = "${bundle:render-command.which-frame-of-the-film-such}")
  private String time;

  @Option(
      names = "--range",
      paramLabel = "A-B",
      description = "${bundle:render-command.frames-from-one-timecode-to-another}")
  private String range;

  @Option(
      names = "--frames",
      paramLabel = "DIR",
      description = "${bundle:render-command.the-folder-for-the-frames-of}")
  private Path frames;

  @Option(
      names = "--titles-only",
      description = "${bundle:render-command.titles-and-captions-without-footage-over}")
  private boolean titlesOnly;

  @Option(names = "--keep-going", description = "${bundle:render-command.draws-even-if-footage}")
  private boolean keepGoing;

  @Option(
      names = "--workers",
      paramLabel = "N",
      description = "${bundle:render-command.how-many-frames-are-drawn-at}")
  private int workers = Runtime.getRuntime().availableProcessors();

  @Option(
      names = "--scale",
      paramLabel = "S",
      defaultValue = "1",
      description = "${bundle:render-command.pixels-per-point-1-by-default}")
  private double scale;

  @Option(
      names = {"-o", "--output"},
      paramLabel = "PNG",
      description = "${bundle:render-command.the-picture-to-write}")
  private Path output;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    if (range == null && output == null) {
      throw new CommandLine.ParameterException(
          spec.commandLine(),
          Messages.of("render-command.missing-required-option-output-png-where"));
    }
    if (range != null && (what.timeline == null || frames == null)) {
      throw new CommandLine.ParameterException(
          spec.commandLine(), Messages.of("render-command.a-range-goes-with-timeline-name"));
    }
    Project project = file.read();
    List<String> problems = new ArrayList<>(MediaProblems.images(project));
    Artboard artboard =
        what.timeline == null
            ? ProjectLookup.artboard(project, what.artboard)
            : ProjectLookup.film(project, what.timeline);
    if (what.timeline != null && !titlesOnly) {
      problems.addAll(MediaProblems.footage(artboard));
    }
    try (FontLibrary fonts = FontLibrary.forProject(project.assets());
        FootageFiles footage = new FootageFiles()) {
      problems.addAll(MediaProblems.fonts(fonts));
      if (!MediaProblems.allow(problems, keepGoing, spec.commandLine().getErr())) {
        return CommandLine.ExitCode.SOFTWARE;
      }
      LayerPainter painter = new LayerPainter();
      Scene scene = new SceneMaker(new Typesetter(fonts), painter).make(project);
      Scene.Board board = scene.board(artboard.id()).orElseThrow();
      if (what.timeline == null) {
        write(new ArtboardPicture(painter).png(board, scale));
      } else {
        renderFilm(project, board, painter, footage);
      }
      warn(board);
    }
    return 0;
  }

  private void renderFilm(
      Project project, Scene.Board board, LayerPainter painter, FootageFiles footage)
      throws IOException {
    FilmPicture picture = new FilmPicture(painter, FootagePainter.of(project, footage));
    FilmPicture.Under under = titlesOnly ? FilmPicture.Under.NOTHING : FilmPicture.Under.FOOTAGE;
    Timeline timeline = board.artboard().timeline().orElseThrow();
    if (range == null) {
      Time at = time == null ? Time.ZERO : timeOf(timeline, time);
      write(picture.png(board, at, scale, under));
      return;
    }
    FrameRange wanted = FrameRange.parse(timeline, range, spec.commandLine());
    FrameSequence.Order order =
        new FrameSequence.Order(
            board,
            wanted.first(),
            wanted.last(),
            scale,
            under,
            FilmState.of(project, board.artboard()));
    FrameSequence.Outcome outcome =
        new FrameSequence(picture, Math.max(1, workers))
            .write(
                order,
                frames,
                done -> {
                  if (done % 25 == 0) {
                    spec.commandLine()
                        .getErr()
                        .println(Messages.of("render-command.of", done, order.count()));
                  }
                },
                () -> false);
    spec.commandLine()
        .getOut()
        .println(
            Messages.of(
                "render-command.frames-written",
                outcome.written(),
                (outcome.kept() > 0 ? Messages.of("render-command.were-there", outcome.kept()) : "")
                    + (outcome.strangers() > 0
                        ? Messages.of("render-command.show-another-state", outcome.strangers())
                        : "")));
  }

  private Time timeOf(Timeline timeline, String code) {
    return timeline.rate().at(FrameRange.frame(timeline, code, spec.commandLine()));
  }

  private void write(byte[] png) throws IOException {
    SafeFile.write(output, stream -> stream.write(png));
  }

  private void warn(Scene.Board board) {
    Set<String> missing = new TreeSet<>();
    board.texts().forEach(text -> missing.addAll(text.layout().missingFamilies()));
    if (!missing.isEmpty()) {
      spec.commandLine()
          .getErr()
          .println(
              Messages.of(
                  "render-command.dynamorph-not-on-this-machine-drawn",
                  FontLibrary.SUBSTITUTE,
                  String.join(", ", missing)));
    }
  }
}
