package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.captions.CaptionFiles;
import dynamorph.formats.captions.FrameBox;
import dynamorph.formats.captions.Remark;
import dynamorph.formats.file.SafeFile;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.edit.importing.ImportCaptions;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "captions",
    description = "${bundle:captions-command.turns-a-file-of-captions-into}",
    mixinStandardHelpOptions = true)
final class CaptionsCommand implements Callable<Integer> {
  @Parameters(
      index = "0",
      paramLabel = "IN",
      description = "${bundle:captions-command.a-file-of-captions-srt-vtt}")
  private Path in;

  @Parameters(
      index = "1",
      arity = "0..1",
      paramLabel = "OUT",
      description = "${bundle:captions-command.the-file-to-write-its-ending}")
  private Path out;

  @Option(
      names = {"-o", "--output"},
      paramLabel = "OUT",
      description = "${bundle:captions-command.the-same}")
  private Path output;

  @Option(
      names = "--track",
      paramLabel = "NAME",
      description = "${bundle:captions-command.of-a-project-the-name-id}")
  private String track;

  @Option(
      names = "--import",
      paramLabel = "FILE",
      description = "${bundle:captions-command.a-file-of-captions-to-import}")
  private Path imported;

  @Option(
      names = "--film",
      paramLabel = "NAME",
      description = "${bundle:captions-command.name-or-id-of-the-film}")
  private String film;

  @Option(
      names = "--frame-rate",
      paramLabel = "R",
      description = "${bundle:captions-command.sets-all-times-to-the-nearest}")
  private String rate;

  @Option(
      names = "--encoding",
      paramLabel = "NAME",
      description = "${bundle:captions-command.of-the-letters-of-in}")
  private String encoding;

  @Option(
      names = "--report",
      paramLabel = "FILE",
      description = "${bundle:captions-command.writes-what-was-repaired-and-what}")
  private Path report;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Path to =
        Optional.ofNullable(output)
            .or(() -> Optional.ofNullable(out))
            .orElseThrow(() ->
                new ParameterException(
                    spec.commandLine(),
                    Messages.of("captions-command.say-which-file-to-write-captions")));
    boolean isProject = in.toString().endsWith(ProjectFile.ENDING);
    if (imported != null && !isProject) {
      throw new ParameterException(
          spec.commandLine(), Messages.of("captions-command.import-into-a-project", in));
    }
    if (imported == null) {
      CaptionFiles.Format.of(to.getFileName().toString());
    }
    List<Remark> remarks =
        imported != null ? intoProject(to) : isProject ? ofProject(to) : converted(to);
    if (report != null) {
      String text = String.join("\n", remarks.stream().map(Remark::toString).toList());
      SafeFile.write(
          report, stream -> stream.write((text + "\n").getBytes(StandardCharsets.UTF_8)));
    } else {
      remarks.forEach(remark ->
          spec.commandLine().getErr().println(Messages.of("captions-command.dynamorph", remark)));
    }
    return 0;
  }

  private List<Remark> ofProject(Path to) throws IOException {
    if (track == null) {
      throw new ParameterException(
          spec.commandLine(), Messages.of("captions-command.say-which-track-of-the-project"));
    }
    Project project = ProjectFile.read(in);
    Track.Captions captions = ProjectLookup.captions(project, track);
    Artboard own = project.filmOf(captions.id()).orElseThrow();
    try (FontCells cells = new FontCells(project.assets())) {
      return CaptionFiles.write(project, own, captions, to, cells);
    }
  }

  /** Brings a file into a track of its own, as the window does. */
  private List<Remark> intoProject(Path to) throws IOException {
    Project project = ProjectFile.read(in);
    Artboard board = film == null ? onlyFilm(project) : ProjectLookup.film(project, film);
    Timeline line = board.timeline().orElseThrow();
    CaptionFiles.Read read =
        read(imported, new FrameBox(board.width(), board.height()), project.assets())
            .inTimeOf(line);
    Set<String> ids =
        project
            .films()
            .flatMap(one -> one.timeline().orElseThrow().tracks().stream())
            .map(one -> one.id().value())
            .collect(Collectors.toSet());
    String id = "captions-" + Integer.toUnsignedString(read.captions().hashCode(), 36);
    while (ids.contains(id)) {
      id += "-";
    }
    Track.Captions own =
        read.track(id, line, imported.getFileName().toString(), project.language());
    Track.Captions made = track == null ? own : own.withName(track);
    Project after = new ImportCaptions(board.id(), made, read.captions(), id).applyTo(project);
    ProjectFile.write(after, to, Optional.of(in));
    spec.commandLine()
        .getOut()
        .println(
            Messages.of(
                "captions-command.cues-imported", read.captions().cues().size(), made.name()));
    return read.remarks();
  }

  private Artboard onlyFilm(Project project) {
    List<Artboard> films = project.films().toList();
    if (films.size() != 1) {
      throw new IllegalArgumentException(
          films.isEmpty()
              ? Messages.of("film-options.there-is-no-film")
              : Messages.of(
                  "captions-command.which-film",
                  String.join(", ", films.stream().map(Artboard::name).toList())));
    }
    return films.getFirst();
  }

  private List<Remark> converted(Path to) throws IOException {
    CaptionFiles.Read read = read(in, FrameBox.HD, List.of());
    CaptionList sheet = rate == null ? read.captions() : snapped(read.captions());
    String language =
        sheet.language().isBlank()
            ? CaptionFiles.language(in.getFileName().toString()).orElse("en")
            : sheet.language();
    Track.Captions captions =
        Track.Captions.of("captions", Messages.of("captions-command.captions"), language);
    Artboard film =
        Artboard.empty("film", Messages.of("captions-command.film"), 1920, 1080, LengthUnit.PIXEL)
            .withTimeline(Optional.of(Timeline.of(FrameRate.PAL, Time.ofMillis(1000))));
    Project project =
        new ImportCaptions(film.id(), captions, sheet, "c")
            .applyTo(Project.empty(Messages.of("captions-command.captions")).plus(film));
    List<Remark> remarks = new ArrayList<>(read.remarks());
    Artboard filled = project.artboard(film.id()).orElseThrow();
    Track.Captions written = filled.timeline().orElseThrow().captions().findFirst().orElseThrow();
    try (FontCells cells = new FontCells(List.of())) {
      remarks.addAll(CaptionFiles.write(project, filled, written, to, cells));
    }
    return remarks;
  }

  private CaptionFiles.Read read(Path file, FrameBox frame, List<Asset> assets) throws IOException {
    try (FontCells cells = new FontCells(assets)) {
      return CaptionFiles.read(
          file, frame, Optional.ofNullable(encoding).map(this::charset), cells);
    }
  }

  private Charset charset(String name) {
    try {
      return Charset.forName(name.strip());
    } catch (IllegalArgumentException unknown) {
      throw new ParameterException(
          spec.commandLine(), Messages.of("captions-command.no-encoding-is-called", name));
    }
  }

  private CaptionList snapped(CaptionList sheet) {
    FrameRate frames = FrameRate.parse(rate);
    return new CaptionList(
        sheet.language(),
        Optional.of(frames),
        sheet.styles(),
        sheet.follows(),
        sheet.local(),
        sheet.cues().stream()
            .map(cue -> {
              Time from = frames.snap(cue.in());
              Time to = Time.max(frames.snap(cue.out()), from.plus(frames.frame()));
              return new CaptionList.Cue(
                  cue.name(), from, to, cue.speaker(), cue.story(), cue.follows(), cue.local());
            })
            .toList());
  }
}
