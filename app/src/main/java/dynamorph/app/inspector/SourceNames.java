package dynamorph.app.inspector;

import dynamorph.model.Project;
import dynamorph.model.cascade.Source;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;

/** How the window calls the places where values are set. */
final class SourceNames {
  private SourceNames() {}

  static String of(Project project, Source source) {
    return switch (source) {
      case Source.LocalChange(var level) ->
          switch (level) {
            case LAYER -> "Local change";
            case PARAGRAPH -> "Local change of the paragraph";
            case SPAN -> "Local change of the words";
          };
      case Source.Followed(var _, var followed, var style) ->
          followed.equals(style)
              ? name(project, style)
              : name(project, style) + ", through " + name(project, followed);
      case Source.OwnFrame() -> "The text's own place";
      case Source.Base(var style) -> name(project, style) + ", the base style";
      case Source.Default() -> "Default";
    };
  }

  private static String name(Project project, StyleId id) {
    return project.styles().find(id).map(Style::name).orElse("a deleted style");
  }
}
