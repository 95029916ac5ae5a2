package dynamorph.app.property;

import dynamorph.model.Project;
import dynamorph.model.cascade.Source;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;

/** How the window calls the places where values are set. */
public final class SourceNames {
  private SourceNames() {}

  public static String of(Project project, Source source) {
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
      case Source.TrackChange(var track) -> "Set for the track " + track(project, track);
      case Source.TrackStyle(var track, var followed, var style) ->
          name(project, style)
              + (followed.equals(style) ? "" : ", through " + name(project, followed))
              + ", of the track "
              + track(project, track);
      case Source.Base(var style) -> name(project, style) + ", the base style";
      case Source.Default() -> "Default";
    };
  }

  private static String track(Project project, TrackId id) {
    return project
        .filmOf(id)
        .flatMap(film -> film.timeline().flatMap(line -> line.track(id)))
        .map(Track::name)
        .orElse("of a film");
  }

  private static String name(Project project, StyleId id) {
    return project.styles().find(id).map(Style::name).orElse("a deleted style");
  }
}
