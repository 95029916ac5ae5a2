package dynamorph.app.tour;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Desk;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.Optional;
import java.util.Set;

/** What is learned one after another: from one text to a style that changes all that follow it. */
enum TourStep {
  SELECT("") {
    @Override
    boolean isDone(Moment begin, Moment now, Optional<StyleId> style) {
      return now.selected().stream()
          .flatMap(id -> now.project().layer(id).stream())
          .anyMatch(Layer::isText);
    }
  },
  CHANGE("") {
    @Override
    boolean isDone(Moment begin, Moment now, Optional<StyleId> style) {
      return now.selected().stream().anyMatch(id -> looksOtherwise(id, begin, now));
    }

    /** A text that was moved, or says something else, looks as it did. */
    private boolean looksOtherwise(LayerId id, Moment begin, Moment now) {
      return begin
          .project()
          .layer(id)
          .flatMap(was ->
              now.project()
                  .layer(id)
                  .map(is ->
                      !was.locals().toList().equals(is.locals().toList())
                          || !was.follows().equals(is.follows())))
          .orElse(false);
    }
  },
  KEEP("#keep-look") {
    @Override
    boolean isDone(Moment begin, Moment now, Optional<StyleId> style) {
      return now.newStyle(begin).isPresent();
    }
  },
  FOLLOW("") {
    @Override
    boolean isDone(Moment begin, Moment now, Optional<StyleId> style) {
      return style
          .filter(kept -> now.project().styles().find(kept).isPresent())
          .map(kept -> Followers.of(now.project()).count(kept).all() > 1)
          .orElse(false);
    }
  },
  EDIT("") {
    @Override
    boolean isDone(Moment begin, Moment now, Optional<StyleId> style) {
      return now.desk().isPresent();
    }
  },
  TRY("") {
    @Override
    boolean isDone(Moment begin, Moment now, Optional<StyleId> style) {
      return now.desk().filter(Desk::isChanged).isPresent();
    }
  },
  COMMIT("#commit") {
    @Override
    boolean isDone(Moment begin, Moment now, Optional<StyleId> style) {
      return now.desk().isEmpty() && !now.style(style).equals(begin.style(style));
    }
  };

  /**
   * What a step looks at.
   *
   * @param selected the layers that are selected
   * @param desk the style that is being edited
   */
  record Moment(Project project, Set<LayerId> selected, Optional<Desk> desk) {
    /** A style that was not there yet. */
    Optional<StyleId> newStyle(Moment before) {
      return project.styles().list().stream()
          .map(Style::id)
          .filter(id -> before.project.styles().find(id).isEmpty())
          .findFirst();
    }

    Optional<Style> style(Optional<StyleId> id) {
      return id.flatMap(project.styles()::find);
    }
  }

  private final String shows;

  /**
   * @param shows the control that is meant, as a style sheet selects it; empty if there is none
   */
  TourStep(String shows) {
    this.shows = shows;
  }

  /** Whether it was done since it began. */
  abstract boolean isDone(Moment begin, Moment now, Optional<StyleId> style);

  String shows() {
    return shows;
  }

  /** What is to be done. */
  String words() {
    return switch (this) {
      case SELECT -> Messages.of("tour.select");
      case CHANGE -> Messages.of("tour.change");
      case KEEP -> Messages.of("tour.keep");
      case FOLLOW -> Messages.of("tour.follow");
      case EDIT -> Messages.of("tour.edit");
      case TRY -> Messages.of("tour.try");
      case COMMIT -> Messages.of("tour.commit");
    };
  }
}
