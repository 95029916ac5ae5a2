package dynamorph.app.property;

import dynamorph.app.message.Messages;
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
            case LAYER -> Messages.of("source-names.local-change");
            case PARAGRAPH -> Messages.of("source-names.local-change-of-the-paragraph");
            case SPAN -> Messages.of("source-names.local-change-of-the-words");
          };
      case Source.Followed(var _, var followed, var style) ->
          followed.equals(style)
              ? name(project, style)
              : Messages.of("source-names.through", name(project, style), name(project, followed));
      case Source.OwnFrame() -> Messages.of("source-names.the-texts-own-place");
      case Source.TrackChange(var track) ->
          Messages.of("source-names.set-for-the-track", track(project, track));
      case Source.TrackStyle(var track, var followed, var style) ->
          Messages.of(
              "source-names.of-the-track",
              name(project, style)
                  + (followed.equals(style)
                      ? ""
                      : Messages.of("source-names.through-2", name(project, followed))),
              track(project, track));
      case Source.Base(var style) ->
          Messages.of("source-names.the-base-style", name(project, style));
      case Source.Default() -> Messages.of("source-names.default");
    };
  }

  private static String track(Project project, TrackId id) {
    return project
        .filmOf(id)
        .flatMap(film -> film.timeline().flatMap(line -> line.track(id)))
        .map(Track::name)
        .orElse(Messages.of("source-names.of-a-film"));
  }

  private static String name(Project project, StyleId id) {
    return project
        .styles()
        .find(id)
        .map(Style::name)
        .orElse(Messages.of("source-names.a-deleted-style"));
  }
}
