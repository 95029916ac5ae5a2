package dynamorph.model.edit.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Source;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.DeleteStyle;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.edit.style.DeleteSwatch;
import dynamorph.model.edit.style.DeriveFromLocal;
import dynamorph.model.edit.style.HoldBack;
import dynamorph.model.edit.style.SaveIntoStyle;
import dynamorph.model.edit.text.ReplaceFont;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.FontUse;
import dynamorph.model.reach.LayerQuery;
import dynamorph.model.reach.Reach;
import dynamorph.model.reach.SwatchUse;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.ItemState;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ChangeTimelineTest {
  private static final ArtboardId FILM = new ArtboardId("film");
  private static final StyleId CAPTION = new StyleId("caption");
  private static final Track.Captions CUES =
      Track.Captions.of("cues", "English", "en").withFollows(List.of(CAPTION));
  private static final TrackId TITLES = new TrackId("titles");
  private static final TrackId FOOTAGE = new TrackId("footage");

  private static Layer text(String id, TrackId track, long in, long out) {
    return Layer.of(id, id, id + " words")
        .withTiming(
            Timing.of(track, Time.ofMillis(in), Time.ofMillis(out))
                .withFades(Time.ofMillis(100), Time.ofMillis(100)));
  }

  private static Project project() {
    Style caption =
        Style.text("caption", "Caption", "")
            .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(40)));
    Clip clip =
        new Clip(
            "c",
            "c",
            new Media.Drawn(Media.Scenery.DIAL),
            Time.ZERO,
            Time.ofMillis(5000),
            Time.ZERO);
    Artboard film =
        Artboard.empty("film", "Film", 1920, 1080, LengthUnit.PIXEL)
            .withTimeline(
                Optional.of(
                    Timeline.of(FrameRate.PAL, Time.ofMillis(20_000))
                        .plus(new Track.Titles(TITLES, "Titles", ItemState.OPEN))
                        .plus(CUES)
                        .plus(
                            new Track.Footage(FOOTAGE, "Footage", ItemState.OPEN, List.of(clip)))))
            .withLayers(
                List.of(
                    text("a", CUES.id(), 1000, 2000),
                    text("b", CUES.id(), 2000, 4000),
                    text("c", CUES.id(), 6000, 7000),
                    text("t", TITLES, 1000, 6000)));
    return Project.empty("P").withStyles(StyleBook.of(List.of(caption))).plus(film);
  }

  private static Timing time(Project project, String id) {
    return project.layer(new LayerId(id)).orElseThrow().timing().orElseThrow();
  }

  private static double size(Project project, String id) {
    Layer layer = project.layer(new LayerId(id)).orElseThrow();
    return Cascade.of(project).values(layer).get(Properties.SIZE.key()).orElseThrow().over(0);
  }

  @Test
  void cuesTakeWhatTheirTrackFollows() {
    Project project = project();
    assertThat(size(project, "a")).isEqualTo(40);
    assertThat(size(project, "t")).isEqualTo(12);
    assertThat(Followers.of(project).count(CAPTION).direct()).isEqualTo(3);
    Layer cue = project.layer(new LayerId("a")).orElseThrow();
    assertThat(Cascade.of(project).trace(cue, Properties.SIZE.key()).winner().source())
        .isEqualTo(new Source.TrackStyle(CUES.id(), CAPTION, CAPTION));
    Project other =
        new ChangeTimeline.PutTrack(
                FILM,
                CUES.withLocal(PropertySet.EMPTY.with(Properties.SIZE, new FontSize.Times(0.5))))
            .applyTo(project);
    assertThat(size(other, "a")).isEqualTo(20);
    assertThat(Reach.between(project, other))
        .containsExactlyInAnyOrder(new LayerId("a"), new LayerId("b"), new LayerId("c"));
    Layer own = cue.withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(9)));
    assertThat(size(other.mapLayers(layer -> layer.id().equals(own.id()) ? own : layer), "a"))
        .isEqualTo(9);
  }

  @Test
  void aDeletedStyleLeavesItsTracksAndKeepsTheLookOfTheirCues() {
    Project after = new DeleteStyle(CAPTION, Optional.empty()).applyTo(project());
    assertThat(
            after
                .artboards()
                .getFirst()
                .timeline()
                .orElseThrow()
                .captions()
                .findFirst()
                .orElseThrow()
                .follows())
        .isEmpty();
    assertThat(size(after, "a")).isEqualTo(40);
  }

  @Test
  void halvesOfASplitTextLookAlikeAndCoverItsTime() {
    Project after =
        new ChangeTimeline.Split(
                FILM, Map.of(new LayerId("t"), new LayerId("t2")), Time.ofMillis(3000))
            .applyTo(project());
    assertThat(time(after, "t").out()).isEqualTo(Time.ofMillis(3000));
    assertThat(time(after, "t2").in()).isEqualTo(Time.ofMillis(3000));
    assertThat(time(after, "t2").out()).isEqualTo(Time.ofMillis(6000));
    assertThat(time(after, "t").fadeOut()).isEqualTo(Time.ZERO);
    assertThat(time(after, "t2").fadeOut()).isEqualTo(Time.ofMillis(100));
    Project outside =
        new ChangeTimeline.Split(
                FILM, Map.of(new LayerId("t"), new LayerId("t2")), Time.ofMillis(8000))
            .applyTo(project());
    assertThat(outside.layers()).hasSize(4);
  }

  @Test
  void aClosedGapMovesWhatComesLaterOnTheSameTrackOnly() {
    Project after =
        new ChangeTimeline.DeleteClosingGap(FILM, Set.of(new LayerId("a"))).applyTo(project());
    assertThat(time(after, "b").in()).isEqualTo(Time.ofMillis(1000));
    assertThat(time(after, "c").in()).isEqualTo(Time.ofMillis(5000));
    assertThat(time(after, "t").in()).isEqualTo(Time.ofMillis(1000));
  }

  @Test
  void mergedCuesHaveAllWordsAndAllTime() {
    Project after =
        new ChangeTimeline.Merge(FILM, List.of(new LayerId("a"), new LayerId("b")))
            .applyTo(project());
    assertThat(after.layer(new LayerId("a")).orElseThrow().story().text())
        .isEqualTo("a words b words");
    assertThat(time(after, "a").out()).isEqualTo(Time.ofMillis(4000));
    assertThat(after.layer(new LayerId("b"))).isEmpty();
    assertThatThrownBy(() ->
            new ChangeTimeline.Merge(FILM, List.of(new LayerId("a"), new LayerId("t")))
                .applyTo(project()))
        .isInstanceOf(EditRefused.class);
    assertThatThrownBy(
            () -> new ChangeTimeline.Merge(FILM, List.of(new LayerId("a"))).applyTo(project()))
        .hasMessageContaining("two cues");
  }

  @Test
  void tracksAreAddedMovedAndDeletedWithWhatLiesOnThem() {
    Project project = project();
    Project added =
        new ChangeTimeline.PutTrack(
                FILM, new Track.Titles(new TrackId("more"), "More", ItemState.OPEN))
            .applyTo(project);
    assertThat(line(added).tracks()).hasSize(4);
    Project moved = new ChangeTimeline.MoveTrack(FILM, CUES.id(), -5).applyTo(project);
    assertThat(line(moved).tracks().getFirst().id()).isEqualTo(CUES.id());
    Project deleted = new ChangeTimeline.DeleteTrack(FILM, CUES.id()).applyTo(project);
    assertThat(deleted.layers().map(Layer::id)).containsExactly(new LayerId("t"));
    assertThatThrownBy(
            () -> new ChangeTimeline.MoveTrack(new ArtboardId("x"), CUES.id(), 1).applyTo(project))
        .isInstanceOf(EditRefused.class);
  }

  @Test
  void clipsAreReplacedAndTakenAway() {
    Project project = project();
    Track.Footage track = (Track.Footage) line(project).track(FOOTAGE).orElseThrow();
    Clip later = track.clips().getFirst().moved(Time.ofMillis(1000));
    Project moved = new ChangeTimeline.PutClip(FILM, FOOTAGE, later).applyTo(project);
    assertThat(((Track.Footage) line(moved).track(FOOTAGE).orElseThrow()).clips())
        .containsExactly(later);
    Project gone = new ChangeTimeline.DeleteClip(FILM, FOOTAGE, "c").applyTo(project);
    assertThat(((Track.Footage) line(gone).track(FOOTAGE).orElseThrow()).clips()).isEmpty();
  }

  @Test
  void textsFromElsewhereGetATimeInAFilmAndLoseItOnAStillArtboard() {
    Project project = project().plus(Artboard.empty("still", "Still", 100, 100, LengthUnit.POINT));
    Project into =
        new ArrangeLayers.Add(FILM, List.of(Layer.of("n", "n", "n")), "Add").applyTo(project);
    assertThat(time(into, "n").track()).isEqualTo(TITLES);
    Layer cue = project.layer(new LayerId("a")).orElseThrow();
    Project out =
        new ArrangeLayers.Add(
                new ArtboardId("still"),
                List.of(DetachFromTrack.of(project, cue).withId(new LayerId("n"))),
                "Add")
            .applyTo(project);
    assertThat(out.layer(new LayerId("n")).orElseThrow().timing()).isEmpty();
    assertThat(size(out, "n")).as("it follows what its track follows").isEqualTo(40);
  }

  private static Project onTrack(PropertySet local) {
    return new ChangeTimeline.PutTrack(FILM, CUES.withLocal(local)).applyTo(project());
  }

  private static PropertySet trackLocal(Project project) {
    return line(project).captions().findFirst().orElseThrow().local();
  }

  @Test
  void whatIsSetForATrackIsChangedWhereverColoursAndFontsAre() {
    PropertyKey<Colour> fill = Properties.COAT_COLOUR.at(Address.coat("fill"));
    Project project =
        onTrack(
                PropertySet.EMPTY
                    .with(fill, Colour.swatch("brand"))
                    .with(Properties.FONT_FAMILY, "Anton"))
            .withPalette(new Palette(List.of(new Swatch("brand", "Brand", Rgba.of(1, 2, 3)))));
    assertThat(SwatchUse.of(project, "brand").text()).isEqualTo("On 1 track");
    Project without = new DeleteSwatch("brand", Optional.empty()).applyTo(project);
    assertThat(trackLocal(without).get(fill)).contains(Colour.of(Rgba.of(1, 2, 3)));
    assertThat(FontUse.of(project).of("Anton").layers()).hasSize(3);
    Project other = new ReplaceFont("Anton", "Caveat").applyTo(project);
    assertThat(trackLocal(other).get(Properties.FONT_FAMILY.key())).contains("Caveat");
  }

  @Test
  void aStyleThatATrackFollowsIsInUseBeforeThereIsAnyCue() {
    Project empty = project().mapArtboards(board -> board.withLayers(List.of()));
    assertThat(Followers.of(empty).unused()).isEmpty();
    assertThat(DeleteStyles.unused(empty).styles()).isEmpty();
  }

  @Test
  void cuesAreFoundByWhatTheirTrackFollows() {
    assertThat(LayerQuery.parse("style=Caption").in(project()))
        .containsExactly(new LayerId("a"), new LayerId("b"), new LayerId("c"));
    assertThat(WordSearch.following(project(), CAPTION)).hasSize(3);
  }

  private static Project deviating(Project project, double points) {
    return project.mapLayers(
        Set.of(new LayerId("a")),
        layer -> layer.withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(points))));
  }

  @Test
  void aLocalChangeOfACueIsSavedIntoTheStyleOfItsTrack() {
    Target cue = new Target.Layers(List.of(new LayerId("a")));
    Project after = SaveIntoStyle.all(cue).applyTo(deviating(project(), 33));
    assertThat(size(after, "a")).isEqualTo(33);
    assertThat(size(after, "b")).isEqualTo(33);
    assertThat(after.layer(new LayerId("a")).orElseThrow().local()).isEqualTo(PropertySet.EMPTY);
    Project between =
        deviating(onTrack(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(50))), 33);
    assertThatThrownBy(() -> SaveIntoStyle.all(cue).applyTo(between))
        .as("the style would not reach the cue through what the track sets")
        .isInstanceOf(EditRefused.class);
  }

  @Test
  void aDeviationOfACueBecomesAStyleOverThatOfItsTrack() {
    Project project = deviating(project(), 33);
    Layer cue = project.layer(new LayerId("a")).orElseThrow();
    PropertySet deviation = DeriveFromLocal.deviation(project, cue);
    Style derived =
        Style.text("loud", "Loud", "").withBasedOn(Optional.of(CAPTION)).withProperties(deviation);
    assertThat(DeriveFromLocal.deviatingAlike(project, CAPTION, deviation)).containsExactly(cue);
    Project after = new DeriveFromLocal(derived, Set.of(cue.id())).applyTo(project);
    assertThat(after.layer(cue.id()).orElseThrow().follows()).containsExactly(derived.id());
    assertThat(size(after, "a")).isEqualTo(33);
  }

  @Test
  void aCueThatIsHeldBackKeepsItsLookByADerivedStyle() {
    Style caption = project().styles().get(CAPTION);
    ChangeStyle larger =
        new ChangeStyle(
            caption.withProperties(
                caption.properties().with(Properties.SIZE, FontSize.points(80))));
    HoldBack.Branch branch =
        new HoldBack.Branch(CAPTION, new StyleId("as-it-was"), "Caption, as it was");
    Project after =
        new HoldBack(larger, Set.of(new LayerId("b")), Optional.of(branch)).applyTo(project());
    assertThat(size(after, "a")).isEqualTo(80);
    assertThat(size(after, "b")).isEqualTo(40);
    assertThat(after.layer(new LayerId("b")).orElseThrow().local()).isEqualTo(PropertySet.EMPTY);
  }

  private static Timeline line(Project project) {
    return project.artboard(FILM).orElseThrow().timeline().orElseThrow();
  }
}
