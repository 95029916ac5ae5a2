package dynamorph.cli;

import dynamorph.formats.project.KitAbout;
import java.util.Optional;
import picocli.CommandLine.Option;

/** What a kit that is written says of itself. */
final class KitOptions {
  @Option(names = "--author", paramLabel = "NAME", description = "${bundle:kit-options.author}")
  private String author = "";

  @Option(names = "--licence", paramLabel = "WORDS", description = "${bundle:kit-options.licence}")
  private String licence = "";

  @Option(
      names = "--description",
      paramLabel = "WORDS",
      description = "${bundle:kit-options.description}")
  private String description = "";

  KitAbout about() {
    return new KitAbout(author, licence, description, Optional.empty());
  }
}
