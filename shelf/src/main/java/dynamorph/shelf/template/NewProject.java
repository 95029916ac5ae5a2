package dynamorph.shelf.template;

import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.survey.BaseProposal;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.ItemState;
import dynamorph.model.value.Rgba;
import dynamorph.shelf.message.Messages;
import java.util.Map;
import java.util.Optional;

/**
 * What a new project shall be: one artboard or one film, with a base style whose size suits it.
 *
 * @param name of the project; without one it is untitled
 * @param film how it runs, if it is a film
 * @param looks styles and swatches that it begins with
 */
public record NewProject(
    String name, ArtboardSize size, Optional<Film> film, Optional<StyleBundle> looks) {
  /** The ground of a film: nearly black, on which most titles are read. */
  private static final String DARK = "#10161b";

  /**
   * How a film runs.
   *
   * @param duration longer than nothing
   */
  public record Film(FrameRate rate, Time duration) {}

  /** What there is if nobody says anything else. */
  public static NewProject standard() {
    return new NewProject(
        "",
        ArtboardSize.of(ArtboardSize.Purpose.SCREEN).findFirst().orElseThrow(),
        Optional.empty(),
        Optional.empty());
  }

  /**
   * The project.
   *
   * @throws IllegalArgumentException if the size is none that an artboard can have
   */
  public Project project() {
    LengthUnit unit = size.unit();
    Artboard plain =
        Artboard.empty(
            film.isPresent() ? "film-1" : "artboard-1",
            film.isPresent()
                ? Messages.of("new-project.film-1")
                : Messages.of("new-project.artboard-1"),
            size.width(),
            size.height(),
            unit);
    StyleId base = new StyleId("base");
    Style style =
        Style.text(base.value(), Messages.of("new-project.base"), "")
            .withProperties(
                ground()
                    .with(
                        Properties.SIZE,
                        FontSize.points(BaseProposal.size(plain.width(), plain.height()))));
    Project project =
        Project.empty(name.isBlank() ? Messages.of("new-project.untitled") : name.strip())
            .withStyles(StyleBook.of(java.util.List.of(style)))
            .withBaseStyle(Optional.of(base))
            .plus(film.map(run -> running(plain, run)).orElse(plain));
    return looks.map(bundle -> new ImportStyles(bundle, Map.of()).applyTo(project)).orElse(project);
  }

  /** What plain text is painted with, so that it is read on what the artboard is painted with. */
  private PropertySet ground() {
    return film.isPresent()
        ? PropertySet.EMPTY.with(
            Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.of(Rgba.WHITE))
        : PropertySet.EMPTY;
  }

  private static Artboard running(Artboard board, Film film) {
    Timeline line =
        Timeline.of(film.rate(), film.duration())
            .plus(
                new Track.Titles(
                    new TrackId("track-1"), Messages.of("new-project.titles"), ItemState.OPEN))
            .plus(
                new Track.Footage(
                    new TrackId("track-2"),
                    Messages.of("new-project.footage"),
                    ItemState.OPEN,
                    java.util.List.of()));
    return board.withBackground(Colour.hex(DARK)).withTimeline(Optional.of(line));
  }
}
