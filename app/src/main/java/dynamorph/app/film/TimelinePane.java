package dynamorph.app.film;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.film.action.FilmActions;
import dynamorph.app.film.cues.CueWatch;
import dynamorph.app.film.lanes.TrackDropTarget;
import dynamorph.app.film.lanes.TrackHeads;
import dynamorph.app.film.lanes.TrackLanes;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.column.StyleDropTarget;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Under the viewer: what plays the film, and its tracks. */
public final class TimelinePane extends VBox {
  /** Of the tracks: six of them and the ruler; the transport is as high as the width asks for. */
  private static final double TRACKS = 210;

  private final Player player;
  private final StyleDropTarget landing;

  public TimelinePane(Workspace workspace, StageView stage, CueWatch watch, FilmActions actions) {
    getStyleClass().add("timeline-pane");
    setId("timeline");
    TrackLanes lanes = new TrackLanes(workspace, stage, watch, actions);
    this.player = new Player(workspace.playback(), stage);
    actions.tracks().setPickedClip(lanes::pickedClip);
    TrackHeads heads = new TrackHeads(workspace, lanes, actions);
    this.landing = new TrackDropTarget(workspace, heads, lanes);
    HBox tracks = new HBox(heads, lanes);
    HBox.setHgrow(lanes, Priority.ALWAYS);
    VBox.setVgrow(tracks, Priority.ALWAYS);
    tracks.setMinHeight(0);
    tracks.setPrefHeight(TRACKS);
    getChildren().addAll(new TransportBar(workspace, watch, lanes, actions), tracks);
    setMinHeight(120);
    visibleProperty()
        .bind(
            javafx.beans.binding.Bindings.createBooleanBinding(
                () -> workspace.playback().filmProperty().get().isPresent(),
                workspace.playback().filmProperty()));
    managedProperty().bind(visibleProperty());
  }

  /** Lets styles be dropped on titles, cues and tracks. */
  public StyleDropTarget landing() {
    return landing;
  }

  /** How many frames should have been seen since the film was started. */
  public long framesAsked() {
    return player.asked();
  }

  /** How many of those were. */
  public long framesShown() {
    return player.shown();
  }
}
