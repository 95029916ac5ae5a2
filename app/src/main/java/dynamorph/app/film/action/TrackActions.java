package dynamorph.app.film.action;

import dynamorph.app.field.NameQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/** What can be done with the tracks of a film and the footage on them. */
public final class TrackActions {
  private final OpenFilm film;
  private final Workspace workspace;
  private final Playback playback;
  private Supplier<Optional<Map.Entry<TrackId, String>>> pickedClip = Optional::empty;

  TrackActions(OpenFilm film) {
    this.film = film;
    this.workspace = film.workspace();
    this.playback = workspace.playback();
  }

  public void setPickedClip(Supplier<Optional<Map.Entry<TrackId, String>>> picked) {
    pickedClip = picked;
  }

  public void addTitleTrack() {
    addTrack(count ->
        new Track.Titles(
            new TrackId(workspace.ids().next("track")),
            Messages.of("track-actions.titles", count),
            ItemState.OPEN));
  }

  public void addFootageTrack() {
    addTrack(count ->
        new Track.Footage(
            new TrackId(workspace.ids().next("track")),
            Messages.of("track-actions.footage", count),
            ItemState.OPEN,
            List.of()));
  }

  private void addTrack(java.util.function.IntFunction<Track> made) {
    film.wanted()
        .ifPresent(board ->
            workspace.apply(
                new ChangeTimeline.PutTrack(
                    board.id(), made.apply(OpenFilm.line(board).tracks().size() + 1))));
  }

  public void addCaptionTrack() {
    film.wanted()
        .ifPresent(board ->
            NameQuestion.ask(
                    film.window().get(),
                    Messages.of("track-actions.caption-track"),
                    Messages.of("track-actions.language-such-as-en-or-ar"),
                    "en")
                .ifPresent(language -> {
                  Track.Captions track =
                      Track.Captions.of(
                              workspace.ids().next("track"),
                              OpenFilm.line(board).freeName(language),
                              language)
                          .withFollows(
                              OpenFilm.line(board)
                                  .captions()
                                  .findFirst()
                                  .map(Track.Captions::follows)
                                  .orElse(List.of()));
                  Edit put = new ChangeTimeline.PutTrack(board.id(), track);
                  Edit alone = new ChangeTimeline.ShowCaptions(board.id(), track.id());
                  if (workspace.apply(Edit.together(put.label(workspace.project()), put, alone))) {
                    playback.cueTrackProperty().set(Optional.of(track.id()));
                  }
                }));
  }

  public void editRules(Track.Captions track) {
    film.wanted()
        .ifPresent(board ->
            FilmDialogs.rules(film.window().get(), track.rules())
                .ifPresent(rules ->
                    workspace.apply(
                        new ChangeTimeline.PutTrack(board.id(), track.withRules(rules)))));
  }

  /** Takes away the clip that was clicked last. Returns whether there was one. */
  public boolean deleteClip() {
    Optional<Artboard> board = film.board();
    Optional<Map.Entry<TrackId, String>> clip = pickedClip.get();
    return board.isPresent()
        && clip.isPresent()
        && workspace.apply(
            new ChangeTimeline.DeleteClip(
                board.get().id(), clip.get().getKey(), clip.get().getValue()));
  }
}
