package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.footage.FootageFiles;
import dynamorph.formats.export.ArtboardExport;
import dynamorph.formats.export.ExportOutcome;
import dynamorph.formats.export.FilmExport;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.export.FileNamePattern;
import dynamorph.model.value.Expression;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "export",
    description = "${bundle:export-command.writes-artboards-as-files}",
    mixinStandardHelpOptions = true)
final class ExportCommand implements Callable<Integer> {
  /** Progress is told each time so many frames are done. */
  private static final int FRAMES_TOLD = 250;

  @Mixin private ProjectArgument file;

  @Option(
      names = "--preset",
      paramLabel = "NAME",
      description = "${bundle:export-command.an-export-preset-of-the-project}")
  private @Nullable String preset;

  @Option(
      names = "--as",
      paramLabel = "FORMAT",
      description = "${bundle:export-command.png-jpeg-webp-pdf-or-svg}")
  private @Nullable String format;

  @Option(
      names = "--artboard",
      paramLabel = "NAME",
      description = "${bundle:export-command.name-or-id-of-an-artboard}")
  private List<String> artboards = new ArrayList<>();

  @Option(
      names = "--resolution",
      paramLabel = "PPI",
      description = "${bundle:export-command.pixels-per-inch}")
  private @Nullable Double resolution;

  @Option(
      names = "--quality",
      paramLabel = "N",
      description = "${bundle:export-command.of-jpeg-and-webp}")
  private @Nullable Integer quality;

  @Option(
      names = "--transparent",
      description = "${bundle:export-command.leaves-the-background-out}")
  private boolean transparent;

  @Option(
      names = "--one-per-artboard",
      description = "${bundle:export-command.a-pdf-for-each-artboard}")
  private boolean onePerArtboard;

  @Option(
      names = "--bleed",
      paramLabel = "LENGTH",
      description = "${bundle:export-command.how-far-pages-of-a-pdf}")
  private @Nullable String bleed;

  @Option(names = "--crop-marks", description = "${bundle:export-command.marks-the-trim-of-a-pdf}")
  private boolean cropMarks;

  @Option(
      names = "--name",
      paramLabel = "PATTERN",
      description = "${bundle:export-command.how-files-are-named}")
  private @Nullable String pattern;

  @Mixin private FilmOptions ofFilms;

  @Option(
      names = "--overwrite",
      description = "${bundle:export-command.writes-also-files-that-are}")
  private boolean overwrite;

  @Option(names = "--keep-going", description = "${bundle:export-command.writes-even-if}")
  private boolean keepGoing;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "DIR",
      description = "${bundle:export-command.the-folder-for-the-files}")
  private Path output;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    ExportPreset wanted = wanted(project);
    List<String> problems = new ArrayList<>(MediaProblems.images(project));
    List<Artboard> exported = List.of();
    List<FilmExport.Part> parts = List.of();
    if (wanted.format().isFilm()) {
      parts = ofFilms.parts(project, artboards, spec.commandLine());
      if (wanted.background()) {
        parts.forEach(part -> problems.addAll(MediaProblems.footage(part.film())));
      }
    } else {
      exported = exported(project);
    }
    try (FontLibrary fonts = FontLibrary.forProject(project.assets());
        FootageFiles footage = new FootageFiles()) {
      problems.addAll(MediaProblems.fonts(fonts));
      if (!MediaProblems.allow(problems, keepGoing, spec.commandLine().getErr())) {
        return CommandLine.ExitCode.SOFTWARE;
      }
      LayerPainter painter = new LayerPainter();
      Scene scene = new SceneMaker(new Typesetter(fonts), painter).make(project);
      if (wanted.format().isFilm()) {
        FilmPicture picture = new FilmPicture(painter, FootagePainter.of(project, footage));
        long all = parts.stream().mapToLong(FilmExport.Part::frames).sum();
        tell(
            new FilmExport(scene, picture, wanted, overwrite)
                .write(parts, output, done -> tellProgress(done, all), () -> false));
      } else {
        tell(
            new ArtboardExport(scene, painter, wanted, overwrite)
                .write(exported, output, _ -> {}, () -> false));
      }
    }
    return 0;
  }

  private void tellProgress(long done, long all) {
    if (done % FRAMES_TOLD == 0 || done == all) {
      spec.commandLine().getErr().println(Messages.of("render-command.of", done, all));
    }
  }

  private void tell(ExportOutcome outcome) {
    PrintWriter out = spec.commandLine().getOut();
    PrintWriter err = spec.commandLine().getErr();
    outcome.remarks().forEach(remark -> err.println(Messages.of("dynamorph.dynamorph", remark)));
    outcome.written().forEach(out::println);
    out.println(
        Messages.of(
            "export-command.files-written", outcome.written().size(), outcome.unchanged().size()));
  }

  private List<Artboard> exported(Project project) {
    List<Artboard> exported =
        artboards.isEmpty()
            ? project.still().toList()
            : artboards.stream().map(name -> ProjectLookup.artboard(project, name)).toList();
    if (exported.isEmpty()) {
      throw new IllegalArgumentException(Messages.of("export-command.there-is-no-artboard"));
    }
    return exported;
  }

  /** The preset, with what the options say otherwise. */
  private ExportPreset wanted(Project project) {
    ExportPreset kept =
        preset == null
            ? ExportPreset.of(ExportFormat.of(Optional.ofNullable(format).orElse("png")))
            : kept(project, preset);
    ExportFormat as = format == null ? kept.format() : ExportFormat.of(format);
    // a preset of pictures says nothing of how large films are
    ExportPreset usual = as.isFilm() == kept.format().isFilm() ? kept : ExportPreset.of(as);
    return new ExportPreset(
        kept.name(),
        as,
        resolution == null ? usual.resolution() : resolution,
        quality == null ? usual.quality() : quality,
        !transparent && kept.background(),
        pattern == null ? kept.fileName() : new FileNamePattern(pattern),
        new ExportPreset.Document(
            onePerArtboard || kept.document().onePerArtboard(),
            bleed == null ? kept.document().bleed() : Expression.evaluate(bleed),
            cropMarks || kept.document().cropMarks()),
        ofFilms.over(kept.film()));
  }

  /** A preset of a project by its name. */
  static ExportPreset kept(Project project, String name) {
    return project.exports().stream()
        .filter(one -> one.name().equalsIgnoreCase(name))
        .findFirst()
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "export-command.the-project-has-no-preset",
                    name,
                    project.exports().isEmpty()
                        ? Messages.of("export-command.none")
                        : String.join(
                            ", ", project.exports().stream().map(ExportPreset::name).toList()))));
  }
}
