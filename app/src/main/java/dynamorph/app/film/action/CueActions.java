package dynamorph.app.film.action;

import dynamorph.app.field.NameQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Playback;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.edit.film.Retime;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.text.ReplaceStories;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.typeset.caption.CaptionLineBreaker;
import dynamorph.typeset.caption.CueList;
import dynamorph.typeset.caption.CueText;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What can be done with the cues of the track that is listed. */
public final class CueActions {
  private static final Time NEW_CUE = Time.ofMillis(2500);

  /** Gaps up to this are closed. */
  private static final Time SMALL_GAP = Time.ofMillis(500);

  private final OpenFilm film;
  private final Workspace workspace;
  private final Playback playback;

  CueActions(OpenFilm film) {
    this.film = film;
    this.workspace = film.workspace();
    this.playback = workspace.playback();
  }

  private Optional<CueList> cues() {
    return playback
        .board()
        .flatMap(board -> playback.captions().map(track -> CueList.of(board, track)));
  }

  /** Puts a cue at the playhead, as long as there is room for it. */
  public void addCue() {
    Optional<CueList> list = cues();
    if (list.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("cue-actions.add-a-track-of-captions-first")));
      return;
    }
    Time in = playback.playheadProperty().get();
    Time next =
        list.get().cues().stream()
            .map(cue -> CueList.time(cue).in())
            .filter(other -> other.isAfter(in))
            .findFirst()
            .orElse(Time.LONGEST);
    Time out = Time.min(in.plus(NEW_CUE), Time.max(next, in.plus(Time.ofMillis(200))));
    Layer cue =
        Layer.of(
                workspace.ids().next("cue"),
                Messages.of("cue-actions.cue"),
                Messages.of("cue-actions.new-cue"))
            .withTiming(Timing.of(list.get().track().id(), in, out));
    Artboard board = film.board().orElseThrow();
    if (workspace.apply(
        new ArrangeLayers.Add(board.id(), List.of(cue), Messages.of("common.add")))) {
      workspace.select(List.of(cue.id()));
      editCue.accept(cue.id());
    }
  }

  private java.util.function.Consumer<LayerId> editCue = _ -> {};

  /** Told when a cue shall be edited in the list. */
  public void onEditCue(java.util.function.Consumer<LayerId> told) {
    editCue = told;
  }

  /** Cuts a cue in two at a place in its words; the time is shared by their lengths. */
  public void splitCue(LayerId id, int offset) {
    Optional<Artboard> board = film.board();
    Optional<Layer> found = board.flatMap(film -> film.layer(id));
    if (found.isEmpty()) {
      return;
    }
    Layer cue = found.get();
    int length = cue.story().length();
    if (offset <= 0 || offset >= length) {
      workspace.tell(Notice.info(Messages.of("cue-actions.put-the-caret-between-the-words")));
      return;
    }
    Timing own = CueList.time(cue);
    Time at = own.in().plus(own.length().times(offset, length));
    LayerId half = new LayerId(workspace.ids().next("cue"));
    CueText.Halves halves = CueText.halves(cue.story(), offset);
    workspace.apply(
        Edit.together(
            Messages.of("cue-actions.split-the-cue"),
            new ChangeTimeline.Split(board.get().id(), Map.of(id, half), at),
            new ReplaceStories(
                Map.of(id, halves.first(), half, halves.second()),
                Messages.of("cue-actions.split"))));
  }

  public void mergeCues() {
    cues()
        .ifPresent(list -> {
          List<LayerId> selected =
              list.cues().stream()
                  .map(Layer::id)
                  .filter(id -> workspace.selection().contains(id))
                  .toList();
          if (workspace.apply(
              new ChangeTimeline.Merge(film.board().orElseThrow().id(), selected))) {
            workspace.select(List.of(selected.getFirst()));
          }
        });
  }

  public void shiftCues() {
    cues()
        .ifPresent(list ->
            NameQuestion.ask(
                    film.window().get(),
                    Messages.of("cue-actions.shift-from-the-playhead-on"),
                    Messages.of("cue-actions.seconds-negative-for-earlier"),
                    "0.5")
                .ifPresent(text -> {
                  try {
                    Time by = Time.ofSeconds(Double.parseDouble(text.replace(',', '.')));
                    apply(
                        list.shifted(playback.playheadProperty().get(), by),
                        Messages.of("cue-actions.shift"));
                  } catch (NumberFormatException wrong) {
                    workspace.tell(
                        Notice.problem(Messages.of("cue-actions.is-no-number-of-seconds", text)));
                  }
                }));
  }

  public void stretchCues() {
    cues()
        .ifPresent(list ->
            FilmDialogs.rates(film.window().get(), film.lineNow().rate())
                .ifPresent(rates -> {
                  FrameRate from = rates.getKey();
                  FrameRate to = rates.getValue();
                  apply(
                      list.stretched(
                          (long) from.numerator() * to.denominator(),
                          (long) from.denominator() * to.numerator()),
                      Messages.of("cue-actions.stretch"));
                }));
  }

  public void closeGaps() {
    cues()
        .ifPresent(
            list -> apply(list.gapsClosed(SMALL_GAP), Messages.of("cue-actions.close-gaps-of")));
  }

  public void spread() {
    cues().ifPresent(list -> apply(list.spread(), Messages.of("cue-actions.even-out")));
  }

  private void apply(Map<LayerId, Timing> timings, String verb) {
    if (timings.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("cue-actions.no-cue-needs-it")));
    } else if (workspace.apply(new Retime(timings, verb))) {
      film.told(Messages.of("cue-actions.cue-changed", timings.size()));
    }
  }

  /** Breaks the selected cues into lines anew, all of the track if none is selected. */
  public void breakLines() {
    cues()
        .ifPresent(list -> {
          List<Layer> some =
              list.cues().stream().filter(cue -> workspace.selection().contains(cue.id())).toList();
          breakLines(some.isEmpty() ? list.cues() : some);
        });
  }

  /** Breaks cues of the listed tracks into lines by the rules of their tracks, as one step. */
  public void breakLines(List<Layer> cues) {
    Map<LayerId, Story> broken = new LinkedHashMap<>();
    for (Layer cue : cues) {
      workspace
          .project()
          .captionsOf(cue)
          .map(track -> CueText.broken(cue.story(), CaptionLineBreaker.lines(cue, track)))
          .filter(story -> !story.equals(cue.story()))
          .ifPresent(story -> broken.put(cue.id(), story));
    }
    if (broken.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("cue-actions.all-lines-are-as-the-rules")));
    } else if (workspace.apply(
        new ReplaceStories(broken, Messages.of("cue-actions.break-lines-of")))) {
      film.told(Messages.of("cue-actions.cue-broken-into-lines", broken.size()));
    }
  }

  /** New words for a cue, as typed in the list: line ends break lines. */
  public void setWords(LayerId id, String words) {
    film.board()
        .flatMap(board -> board.layer(id))
        .ifPresent(cue -> {
          Story told = CueText.retold(cue.story(), words.strip().replace('\n', CueText.BREAK));
          if (!told.equals(cue.story())) {
            workspace.apply(
                new ReplaceStories(Map.of(id, told), Messages.of("cue-actions.edit-the-words-of")));
          }
        });
  }
}
