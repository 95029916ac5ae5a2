package dynamorph.cli;

import dynamorph.model.Project;
import dynamorph.model.style.StyleId;
import picocli.CommandLine.Option;

/** The one style that a command is about. */
final class StyleOption {
  @Option(
      names = "--style",
      required = true,
      paramLabel = "NAME",
      description = "${bundle:style-option.name-or-id-of-the-style}")
  private String styleName;

  StyleId in(Project project) {
    return ProjectLookup.style(project, styleName).id();
  }
}
