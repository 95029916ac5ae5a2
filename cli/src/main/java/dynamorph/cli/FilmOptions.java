package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.export.FilmExport;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.timeline.Timeline;
import java.util.List;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;

/** What is written of films, and what beside their pictures. */
final class FilmOptions {
  @Option(
      names = "--range",
      paramLabel = "A-B",
      description = "${bundle:film-options.from-one-timecode-to-another}")
  private @Nullable String range;

  @Option(names = "--no-sound", description = "${bundle:film-options.leaves-the-sound-out}")
  private boolean silent;

  @Option(names = "--captions", description = "${bundle:film-options.caption-tracks-as-text}")
  private boolean captions;

  @Option(
      names = "--chapters",
      paramLabel = "TRACK",
      description = "${bundle:film-options.titles-that-begin-chapters}")
  private @Nullable String chapters;

  /** A preset, with what the options say otherwise. */
  ExportPreset.Film over(ExportPreset.Film kept) {
    return new ExportPreset.Film(
        kept.sound() && !silent,
        kept.captions() || captions,
        chapters == null ? kept.chapters() : chapters);
  }

  /**
   * What is written.
   *
   * @param names of films; all if none is named
   */
  List<FilmExport.Part> parts(Project project, List<String> names, CommandLine command) {
    List<Artboard> films =
        names.isEmpty()
            ? project.films().toList()
            : names.stream().map(name -> ProjectLookup.film(project, name)).toList();
    if (films.isEmpty()) {
      throw new IllegalArgumentException(Messages.of("film-options.there-is-no-film"));
    }
    if (range == null) {
      return films.stream().map(FilmExport.Part::whole).toList();
    }
    if (films.size() > 1) {
      throw new ParameterException(command, Messages.of("film-options.a-range-is-of-one-film"));
    }
    Timeline line = films.getFirst().timeline().orElseThrow();
    FrameRange frames = FrameRange.parse(line, range, command);
    return List.of(new FilmExport.Part(films.getFirst(), frames.first(), frames.last()));
  }
}
