package dynamorph.app.timeline;

import dynamorph.app.background.FrameService;
import dynamorph.app.background.Studio;
import dynamorph.app.files.Dialogs;
import dynamorph.app.stage.StageView;
import dynamorph.app.workspace.Notice;
import dynamorph.app.workspace.Screening;
import dynamorph.app.workspace.Selection;
import dynamorph.app.workspace.Workspace;
import dynamorph.formats.captions.BringCaptions;
import dynamorph.formats.captions.CaptionFiles;
import dynamorph.formats.captions.FrameBox;
import dynamorph.formats.captions.Remark;
import dynamorph.formats.file.SafeFile;
import dynamorph.formats.table.BringTitles;
import dynamorph.formats.table.TitleTable;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.ArrangeLayers;
import dynamorph.model.edit.ChangeTimeline;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditText;
import dynamorph.model.edit.Retime;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Numbers;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.FrameSequence;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.film.ProjectStills;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.caption.CaptionBreaks;
import dynamorph.typeset.caption.CueChecks;
import dynamorph.typeset.caption.CueList;
import dynamorph.typeset.caption.CueProblem;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.stage.Window;

/** What can be done with a film, its tracks, titles and cues. */
public final class FilmActions implements AutoCloseable {
  private static final Time NEW_CUE = Time.ofMillis(2500);
  private static final Time FADE = Time.ofMillis(400);

  private final Workspace workspace;
  private final Screening screening;
  private final StageView stage;
  private final Dialogs dialogs;
  private final Supplier<Window> window;
  private final Supplier<Studio> studio;
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(FrameService.daemon("captions"));
  private Supplier<Optional<Map.Entry<TrackId, String>>> pickedClip = Optional::empty;

  public FilmActions(
      Workspace workspace,
      StageView stage,
      Dialogs dialogs,
      Supplier<Studio> studio,
      Supplier<Window> window) {
    this.workspace = workspace;
    this.screening = workspace.screening();
    this.stage = stage;
    this.dialogs = dialogs;
    this.studio = studio;
    this.window = window;
  }

  void setPickedClip(Supplier<Optional<Map.Entry<TrackId, String>>> picked) {
    pickedClip = picked;
  }

  /** The film that is looked at; says what to do if there is none. */
  private Optional<Artboard> board() {
    Optional<Artboard> board = screening.board();
    if (board.isEmpty()) {
      workspace.tell(Notice.info("Open a film first: Timeline at the top of the window."));
    }
    return board;
  }

  private static Timeline line(Artboard board) {
    return board.timeline().orElseThrow();
  }

  // --- playing
  // ---------------------------------------------------------------------------------------------------

  public void playOrPause() {
    if (screening.isOpen()) {
      screening.playingProperty().set(!screening.playingProperty().get());
    }
  }

  /** Plays what is selected over and over, the whole film if nothing is. */
  void loop(boolean wanted) {
    if (!wanted) {
      screening.loopProperty().set(Optional.empty());
      return;
    }
    screening
        .board()
        .ifPresent(board -> {
          List<Timing> selected = selectedTimings(board);
          Time from = selected.stream().map(Timing::in).min(Time::compareTo).orElse(Time.ZERO);
          Time to =
              selected.stream()
                  .map(Timing::out)
                  .max(Time::compareTo)
                  .orElse(line(board).duration());
          screening.loopProperty().set(Optional.of(new Screening.Loop(from, to)));
          screening.seek(from);
        });
  }

  private List<Timing> selectedTimings(Artboard board) {
    return selected(board).stream().flatMap(layer -> layer.timing().stream()).toList();
  }

  private List<Layer> selected(Artboard board) {
    return board.layers().stream()
        .filter(layer -> workspace.selection().contains(layer.id()))
        .toList();
  }

  // --- films
  // -----------------------------------------------------------------------------------------------------

  public void newFilm() {
    String id = workspace.ids().next("film");
    long number = workspace.project().films().count() + 1;
    FilmSettings start =
        new FilmSettings(
            "Film " + number,
            1920,
            1080,
            new dynamorph.model.timeline.Timecode(FrameRate.PAL, false),
            0,
            Time.ofMillis(60_000));
    FilmDialogs.settings(window.get(), "New film", start)
        .ifPresent(made -> {
          Timeline timeline =
              made.on(Timeline.of(made.timecode().rate(), made.duration()))
                  .plus(
                      new Track.Titles(
                          new TrackId(workspace.ids().next("track")), "Titles", Track.State.OPEN))
                  .plus(
                      new Track.Footage(
                          new TrackId(workspace.ids().next("track")),
                          "Footage",
                          Track.State.OPEN,
                          List.of()));
          Artboard board =
              Artboard.empty(
                      id,
                      made.name(),
                      made.width(),
                      made.height(),
                      dynamorph.model.LengthUnit.PIXEL)
                  .withBackground(dynamorph.model.value.Colour.hex("#10161b"))
                  .withTimeline(Optional.of(timeline));
          if (workspace.apply(new dynamorph.model.edit.ArrangeArtboards.Add(board))) {
            screening.open(board.id());
          }
        });
  }

  public void filmSettings() {
    board()
        .ifPresent(board -> {
          Timeline line = line(board);
          FilmSettings start =
              new FilmSettings(
                  board.name(),
                  board.width(),
                  board.height(),
                  line.timecode(),
                  line.firstFrame(),
                  line.duration());
          FilmDialogs.settings(window.get(), "Film settings", start)
              .ifPresent(made ->
                  workspace.apply(
                      new dynamorph.model.edit.ArrangeArtboards.Change(
                          board
                              .withName(made.name())
                              .withSize(made.width(), made.height())
                              .withTimeline(Optional.of(made.on(line))))));
        });
  }

  // --- tracks
  // ----------------------------------------------------------------------------------------------------

  void addTitleTrack() {
    addTrack(count ->
        new Track.Titles(
            new TrackId(workspace.ids().next("track")), "Titles " + count, Track.State.OPEN));
  }

  void addFootageTrack() {
    addTrack(count ->
        new Track.Footage(
            new TrackId(workspace.ids().next("track")),
            "Footage " + count,
            Track.State.OPEN,
            List.of()));
  }

  private void addTrack(java.util.function.IntFunction<Track> made) {
    board()
        .ifPresent(board ->
            workspace.apply(
                new ChangeTimeline.PutTrack(
                    board.id(), made.apply(line(board).tracks().size() + 1))));
  }

  void addCaptionTrack() {
    board()
        .ifPresent(board ->
            FilmDialogs.text(window.get(), "Track of captions", "Language, such as en or ar", "en")
                .ifPresent(language -> {
                  Track.Captions track =
                      Track.Captions.of(workspace.ids().next("track"), nameOf(language), language)
                          .withFollows(
                              line(board)
                                  .captions()
                                  .findFirst()
                                  .map(Track.Captions::follows)
                                  .orElse(List.of()));
                  if (workspace.apply(new ChangeTimeline.PutTrack(board.id(), track))) {
                    screening.cueTrackProperty().set(Optional.of(track.id()));
                  }
                }));
  }

  private static String nameOf(String language) {
    java.util.Locale locale = java.util.Locale.forLanguageTag(language);
    String name = locale.getDisplayLanguage(locale);
    return name.isBlank() ? language : name.substring(0, 1).toUpperCase(locale) + name.substring(1);
  }

  void editRules(Track.Captions track) {
    board()
        .ifPresent(board ->
            FilmDialogs.rules(window.get(), track.rules())
                .ifPresent(rules ->
                    workspace.apply(
                        new ChangeTimeline.PutTrack(board.id(), track.withRules(rules)))));
  }

  // --- footage
  // ---------------------------------------------------------------------------------------------------

  void addFootage() {
    board()
        .ifPresent(board -> {
          List<String> choices = new ArrayList<>();
          for (Media.Scenery scenery : Media.Scenery.values()) {
            choices.add("Drawn: " + scenery.label());
          }
          workspace.project().assets().stream()
              .filter(dynamorph.model.Asset::isImage)
              .forEach(asset -> choices.add("Image: " + asset.shortName()));
          FilmDialogs.choice(window.get(), "Footage", choices)
              .ifPresent(choice -> addFootage(board, choice));
        });
  }

  private void addFootage(Artboard board, String choice) {
    String name = choice.substring(choice.indexOf(": ") + 2);
    Media media =
        choice.startsWith("Image")
            ? new Media.Still(name)
            : new Media.Drawn(Media.Scenery.valueOf(name.toUpperCase(java.util.Locale.ROOT)));
    Optional<Track.Footage> track = line(board).footage().findFirst();
    Time in = screening.playheadProperty().get();
    Time out = Time.min(in.plus(Time.ofMillis(10_000)), line(board).duration());
    Clip clip = new Clip(workspace.ids().next("clip"), name, media, in, out, Time.ZERO);
    Track.Footage to =
        track.orElseGet(() ->
            new Track.Footage(
                new TrackId(workspace.ids().next("track")),
                "Footage",
                Track.State.OPEN,
                List.of()));
    List<Clip> clips = new ArrayList<>(to.clips());
    clips.add(clip);
    workspace.apply(new ChangeTimeline.PutTrack(board.id(), to.withClips(clips)));
  }

  // --- titles
  // ----------------------------------------------------------------------------------------------------

  public void addTitle() {
    board()
        .ifPresent(board -> {
          if (line(board).titles().findAny().isEmpty()) {
            workspace.tell(Notice.info("Add a track of titles first."));
            return;
          }
          Layer like = selected(board).stream().findFirst().orElse(null);
          Layer title =
              Layer.of(workspace.ids().next("title"), "Title", "Title")
                  .withFollows(
                      like != null && workspace.project().captionsOf(like).isEmpty()
                          ? like.follows()
                          : List.of())
                  .withFrame(
                      dynamorph.model.property.PropertySet.EMPTY.with(
                          dynamorph.model.property.Properties.ANCHOR,
                          dynamorph.model.value.Anchor.CENTRE));
          if (workspace.apply(
              new ArrangeLayers.Add(board.id(), List.of(screening.timed(board, title)), "Add"))) {
            stage.afterNextFrame(() -> {
              workspace
                  .selectionProperty()
                  .set(Selection.editing(title.id(), 0, title.story().length()));
              stage.requestFocus();
            });
          }
        });
  }

  /** Cuts the selected texts in two at the playhead, or all that are seen. */
  public void split() {
    board()
        .ifPresent(board -> {
          Time at = screening.playheadProperty().get();
          boolean some = !workspace.selection().isEmpty();
          Map<LayerId, LayerId> halves = new LinkedHashMap<>();
          for (Layer layer : some ? selected(board) : board.layers()) {
            boolean open =
                layer
                    .track()
                    .flatMap(line(board)::track)
                    .filter(track -> !track.state().locked() && !track.state().hidden())
                    .isPresent();
            if (open
                && layer
                    .timing()
                    .filter(own -> own.in().isBefore(at) && at.isBefore(own.out()))
                    .isPresent()) {
              halves.put(layer.id(), new LayerId(workspace.ids().next("title")));
            }
          }
          if (halves.isEmpty()) {
            workspace.tell(Notice.info("Nothing is seen at the playhead that could be split."));
          } else {
            workspace.apply(new ChangeTimeline.Split(board.id(), halves, at));
          }
        });
  }

  public void deleteClosingGap() {
    board()
        .ifPresent(board -> {
          if (!workspace.selection().isEmpty()) {
            workspace.apply(
                new ChangeTimeline.DeleteClosingGap(board.id(), workspace.selection().layers()));
          }
        });
  }

  /** Takes away the clip that was pressed last. Returns whether there was one. */
  public boolean deleteClip() {
    Optional<Artboard> board = screening.board();
    Optional<Map.Entry<TrackId, String>> clip = pickedClip.get();
    return board.isPresent()
        && clip.isPresent()
        && workspace.apply(
            new ChangeTimeline.DeleteClip(
                board.get().id(), clip.get().getKey(), clip.get().getValue()));
  }

  /** Lets the selected texts appear and vanish softly, or at once if they all do that. */
  public void fade() {
    retime(
        "Fade",
        timings -> {
          boolean all =
              timings.stream()
                  .allMatch(
                      own -> own.fadeIn().isAfter(Time.ZERO) && own.fadeOut().isAfter(Time.ZERO));
          Time wanted = all ? Time.ZERO : FADE;
          return own -> own.withFades(wanted, wanted);
        });
  }

  /** Lets the selected texts begin, or end, at the playhead. */
  public void trimToPlayhead(boolean in) {
    Time at = screening.playheadProperty().get();
    retime(
        "Trim",
        _ ->
            own ->
                in
                    ? at.isBefore(own.out()) ? own.between(at, own.out()) : own
                    : own.in().isBefore(at) ? own.between(own.in(), at) : own);
  }

  private void retime(
      String verb,
      java.util.function.Function<List<Timing>, java.util.function.UnaryOperator<Timing>> change) {
    board()
        .ifPresent(board -> {
          var changed = change.apply(selectedTimings(board));
          Map<LayerId, Timing> now = new LinkedHashMap<>();
          for (Layer layer : selected(board)) {
            layer.timing().ifPresent(own -> now.put(layer.id(), changed.apply(own)));
          }
          if (now.isEmpty()) {
            workspace.tell(Notice.info("Select titles or cues of the film."));
          } else {
            workspace.apply(new Retime(now, verb));
          }
        });
  }

  /** Selects everything that lies on the tracks of what is selected. */
  public void selectTrack() {
    board()
        .ifPresent(board -> {
          var tracks =
              selected(board).stream()
                  .flatMap(layer -> layer.track().stream())
                  .collect(java.util.stream.Collectors.toSet());
          workspace.select(
              board.layers().stream()
                  .filter(layer -> layer.track().filter(tracks::contains).isPresent())
                  .map(Layer::id)
                  .toList());
        });
  }

  void titlesFromTable() {
    Optional<Artboard> board = board();
    Optional<Layer> pattern =
        board.flatMap(film ->
            selected(film).stream()
                .filter(layer -> layer.isText() && layer.timing().isPresent())
                .findFirst());
    if (board.isPresent() && pattern.isEmpty()) {
      workspace.tell(
          Notice.info("Select the title that the others shall look like, then choose the table."));
      return;
    }
    if (board.isEmpty()) {
      return;
    }
    dialogs
        .openTable()
        .ifPresent(file -> {
          try {
            takeTable(board.get(), pattern.get(), TitleTable.read(file));
          } catch (IOException wrong) {
            workspace.tell(Notice.problem("Not taken in: " + wrong.getMessage() + "."));
          }
        });
  }

  private void takeTable(Artboard board, Layer pattern, TitleTable table) {
    BringTitles titles =
        new BringTitles(
            board.id(),
            pattern.id(),
            table,
            BringTitles.roles(table),
            pattern.timing().orElseThrow().out(),
            Time.ZERO,
            workspace.ids().next("title"));
    TableDialog.ask(window.get(), workspace.project(), line(board), titles)
        .ifPresent(wanted -> {
          List<BringTitles.Made> made = wanted.made(workspace.project());
          if (workspace.apply(wanted)) {
            List<Layer> there = made.stream().flatMap(one -> one.title().stream()).toList();
            workspace.select(there.stream().map(Layer::id).toList());
            List<String> refused =
                made.stream()
                    .filter(one -> one.title().isEmpty())
                    .map(one -> "line " + one.row().line() + " " + one.why())
                    .toList();
            String report =
                Numbers.counted(there.size(), "title")
                    + " made."
                    + (refused.isEmpty()
                        ? ""
                        : " "
                            + Numbers.counted(refused.size(), "row")
                            + " refused: "
                            + String.join("; ", refused.stream().limit(3).toList())
                            + ".");
            workspace.tell(Notice.offering(report, "Undo", workspace::undo));
          }
        });
  }

  // --- cues
  // ------------------------------------------------------------------------------------------------------

  private Optional<CueList> cues() {
    return screening
        .board()
        .flatMap(board -> screening.captions().map(track -> CueList.of(board, track)));
  }

  /** Puts a cue at the playhead, as long as there is room for it. */
  public void addCue() {
    Optional<CueList> list = cues();
    if (list.isEmpty()) {
      workspace.tell(Notice.info("Add a track of captions first."));
      return;
    }
    Time in = screening.playheadProperty().get();
    Time next =
        list.get().cues().stream()
            .map(cue -> CueList.time(cue).in())
            .filter(other -> other.isAfter(in))
            .findFirst()
            .orElse(Time.LONGEST);
    Time out = Time.min(in.plus(NEW_CUE), Time.max(next, in.plus(Time.ofMillis(200))));
    Layer cue =
        Layer.of(workspace.ids().next("cue"), "Cue", "New cue")
            .withTiming(Timing.of(list.get().track().id(), in, out));
    Artboard board = screening.board().orElseThrow();
    if (workspace.apply(new ArrangeLayers.Add(board.id(), List.of(cue), "Add"))) {
      workspace.select(List.of(cue.id()));
      editCue.accept(cue.id());
    }
  }

  private java.util.function.Consumer<LayerId> editCue = _ -> {};

  /** Told when a cue shall be edited in the list. */
  void onEditCue(java.util.function.Consumer<LayerId> told) {
    editCue = told;
  }

  /** Cuts a cue in two at a place in its words; the time is shared by their lengths. */
  void splitCue(LayerId id, int offset) {
    screening
        .board()
        .flatMap(board -> board.layer(id))
        .ifPresent(cue -> {
          Timing own = CueList.time(cue);
          int length = Math.max(1, cue.story().length());
          if (offset <= 0 || offset >= length) {
            workspace.tell(Notice.info("Put the caret between the words that shall part."));
            return;
          }
          Time part = own.length().times(offset, length);
          Time at = own.in().plus(part);
          LayerId half = new LayerId(workspace.ids().next("cue"));
          Artboard board = screening.board().orElseThrow();
          workspace.apply(
              Edit.together(
                  "Split the cue",
                  new ChangeTimeline.Split(board.id(), Map.of(id, half), at),
                  EditText.plain(half, new TextRange(0, skipped(cue, offset)), ""),
                  EditText.plain(id, new TextRange(kept(cue, offset), length), "")));
        });
  }

  /** Spaces around the place where a cue is cut go. */
  private static int skipped(Layer cue, int offset) {
    String text = cue.story().text();
    int at = offset;
    while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
      at++;
    }
    return at;
  }

  private static int kept(Layer cue, int offset) {
    String text = cue.story().text();
    int at = offset;
    while (at > 0 && Character.isWhitespace(text.charAt(at - 1))) {
      at--;
    }
    return at;
  }

  void mergeCues() {
    cues()
        .ifPresent(list -> {
          List<LayerId> selected =
              list.cues().stream()
                  .map(Layer::id)
                  .filter(id -> workspace.selection().contains(id))
                  .toList();
          if (workspace.apply(
              new ChangeTimeline.Merge(screening.board().orElseThrow().id(), selected))) {
            workspace.select(List.of(selected.getFirst()));
          }
        });
  }

  void shiftCues() {
    cues()
        .ifPresent(list ->
            FilmDialogs.text(
                    window.get(),
                    "Shift from the playhead on",
                    "Seconds, negative for earlier",
                    "0.5")
                .ifPresent(text -> {
                  try {
                    Time by = Time.ofSeconds(Double.parseDouble(text.replace(',', '.')));
                    apply(list.shifted(screening.playheadProperty().get(), by), "Shift");
                  } catch (NumberFormatException wrong) {
                    workspace.tell(Notice.problem("\"" + text + "\" is no number of seconds."));
                  }
                }));
  }

  void stretchCues() {
    cues()
        .ifPresent(list ->
            FilmDialogs.rates(window.get(), line(screening.board().orElseThrow()).rate())
                .ifPresent(rates -> {
                  FrameRate from = rates.getKey();
                  FrameRate to = rates.getValue();
                  apply(
                      list.stretched(
                          (long) from.numerator() * to.denominator(),
                          (long) from.denominator() * to.numerator()),
                      "Stretch");
                }));
  }

  void closeGaps() {
    cues().ifPresent(list -> apply(list.gapsClosed(Time.ofMillis(500)), "Close gaps of"));
  }

  void spread() {
    cues().ifPresent(list -> apply(list.spread(), "Spread"));
  }

  private void apply(Map<LayerId, Timing> timings, String verb) {
    if (timings.isEmpty()) {
      workspace.tell(Notice.info("No cue needs it."));
    } else if (workspace.apply(new Retime(timings, verb))) {
      workspace.tell(
          Notice.offering(
              Numbers.counted(timings.size(), "cue") + " changed.", "Undo", workspace::undo));
    }
  }

  /** Breaks the selected cues into lines anew, all of the track if none is selected. */
  void breakLines() {
    cues()
        .ifPresent(list -> {
          List<Layer> some =
              list.cues().stream().filter(cue -> workspace.selection().contains(cue.id())).toList();
          breakLines(list, some.isEmpty() ? list.cues() : some);
        });
  }

  private void breakLines(CueList list, List<Layer> cues) {
    List<Edit> edits = new ArrayList<>();
    for (Layer cue : cues) {
      Story broken = broken(cue, CaptionBreaks.lines(cue, list.track()));
      if (!broken.equals(cue.story())) {
        edits.add(
            new EditText(cue.id(), cue.story().all(), new EditText.Replacement.Styled(broken)));
      }
    }
    if (edits.isEmpty()) {
      workspace.tell(Notice.info("All lines are as the rules of the track want them."));
    } else if (workspace.apply(
        Edit.together(
            "Break lines of " + Numbers.counted(edits.size(), "cue"),
            edits.toArray(Edit[]::new)))) {
      workspace.tell(
          Notice.offering(
              Numbers.counted(edits.size(), "cue") + " broken into lines.",
              "Undo",
              workspace::undo));
    }
  }

  /** The words with breaks where lines end; what the words look like stays. */
  static Story broken(Layer cue, List<String> lines) {
    Story whole = cue.story();
    String text = whole.text();
    Story changed = whole;
    // spaces and breaks between words become one space, from the end so that offsets stay
    List<Integer> starts = new ArrayList<>();
    int at = 0;
    for (String line : lines) {
      at = skippedSpace(text, at);
      starts.add(at);
      int left = line.replaceAll("\\s", "").length();
      while (left > 0 && at < text.length()) {
        left -= Character.isWhitespace(text.charAt(at)) || text.charAt(at) == '\u2028' ? 0 : 1;
        at++;
      }
    }
    for (int index = starts.size() - 1; index > 0; index--) {
      int start = starts.get(index);
      int end = start;
      while (end > 0 && isSpace(text.charAt(end - 1))) {
        end--;
      }
      changed = changed.replace(new TextRange(end, start), "\u2028");
    }
    return withoutOldBreaks(changed, lines);
  }

  private static boolean isSpace(char unit) {
    return Character.isWhitespace(unit) || unit == '\u2028' || unit == '\u2029';
  }

  private static int skippedSpace(String text, int from) {
    int at = from;
    while (at < text.length() && isSpace(text.charAt(at))) {
      at++;
    }
    return at;
  }

  /** Breaks inside of what is one line now become spaces. */
  private static Story withoutOldBreaks(Story story, List<String> lines) {
    Story changed = story;
    int at = 0;
    for (String line : lines) {
      String text = changed.text();
      int left = line.replaceAll("\\s", "").length();
      while (left > 0 && at < text.length()) {
        char unit = text.charAt(at);
        if (unit == '\u2028' || unit == '\n') {
          changed = changed.replace(new TextRange(at, at + 1), " ");
          text = changed.text();
        } else if (!isSpace(unit)) {
          left--;
        }
        at++;
      }
      at++;
    }
    return changed;
  }

  // --- problems
  // --------------------------------------------------------------------------------------------------

  /** Goes to the next of some cues behind the playhead, and from the last to the first. */
  void toProblem(Collection<LayerId> cues) {
    screening
        .board()
        .ifPresent(board -> {
          List<Layer> sorted =
              board.layers().stream()
                  .filter(layer -> cues.contains(layer.id()))
                  .sorted(java.util.Comparator.comparing(layer -> CueList.time(layer).in()))
                  .toList();
          Optional<LayerId> now = workspace.selection().layers().stream().findFirst();
          int at = now.map(id -> sorted.stream().map(Layer::id).toList().indexOf(id)).orElse(-1);
          Layer next =
              at >= 0
                  ? sorted.get((at + 1) % sorted.size())
                  : sorted.stream()
                      .filter(
                          cue -> CueList.time(cue).in().isAfter(screening.playheadProperty().get()))
                      .findFirst()
                      .orElse(sorted.getFirst());
          show(next);
        });
  }

  /** Selects a cue, lists its track and goes to where it is seen. */
  void show(Layer cue) {
    cue.track().ifPresent(track -> screening.cueTrackProperty().set(Optional.of(track)));
    workspace.select(List.of(cue.id()));
    stage.reveal(cue.id());
  }

  /** Does what can be done about a kind of problem, and says what is left. */
  void fix(CueProblem.Kind kind, List<LayerId> cues) {
    Optional<Artboard> board = screening.board();
    if (board.isEmpty()) {
      return;
    }
    switch (kind) {
      case LINES, LINE_LENGTH -> fixLines(board.get(), cues);
      case EMPTY -> {
        if (workspace.apply(new ArrangeLayers.Delete(java.util.Set.copyOf(cues)))) {
          workspace.tell(
              Notice.offering(
                  Numbers.counted(cues.size(), "empty cue") + " deleted.",
                  "Undo",
                  workspace::undo));
        }
      }
      case OUTSIDE, CONTRAST, GLYPHS -> openStyle(board.get(), cues);
      case TOO_FAST, TOO_SHORT, TOO_LONG, GAP, OVERLAP -> fixTimes(board.get(), kind, cues);
    }
  }

  private void fixLines(Artboard board, List<LayerId> cues) {
    line(board)
        .captions()
        .forEach(track -> {
          CueList list = CueList.of(screening.board().orElseThrow(), track);
          List<Layer> wrong = list.cues().stream().filter(cue -> cues.contains(cue.id())).toList();
          if (!wrong.isEmpty()) {
            breakLines(list, wrong);
          }
        });
  }

  /** What cues look like and where they stand is changed where all of them have it from. */
  private void openStyle(Artboard board, List<LayerId> cues) {
    Optional<Layer> first = board.layer(cues.getFirst());
    first.ifPresent(this::show);
    first
        .flatMap(workspace.project()::captionsOf)
        .filter(track -> !track.follows().isEmpty())
        .ifPresentOrElse(
            track -> workspace.openDesk(track.follows().getLast()),
            () ->
                workspace.tell(Notice.info("The track follows no style: change the cue itself.")));
  }

  private void fixTimes(Artboard board, CueProblem.Kind kind, List<LayerId> cues) {
    Map<LayerId, Timing> changed = new HashMap<>();
    line(board)
        .captions()
        .filter(track -> !track.state().locked() && !track.state().hidden())
        .forEach(track -> changed.putAll(fixed(CueList.of(board, track), kind)));
    if (changed.isEmpty()) {
      workspace.tell(
          Notice.info(
              "There is no room for these cues to last longer: shorten their words, or move what"
                  + " comes next."));
      return;
    }
    if (workspace.apply(new Retime(changed, "Fix the times of"))) {
      long left =
          line(screening.board().orElseThrow())
              .captions()
              .filter(track -> !track.state().hidden())
              .flatMap(track ->
                  CueChecks.of(CueList.of(screening.board().orElseThrow(), track)).stream())
              .filter(problem -> problem.kind() == kind)
              .count();
      String rest =
          left == 0
              ? "; no cue is left that " + kind.label() + "."
              : "; " + left + " of " + cues.size() + " have no room and stay as they are.";
      workspace.tell(
          Notice.offering(
              Numbers.counted(changed.size(), "cue") + " changed" + rest, "Undo", workspace::undo));
    }
  }

  private static Map<LayerId, Timing> fixed(CueList list, CueProblem.Kind kind) {
    return switch (kind) {
      case GAP -> list.gapsClosed(list.track().rules().gap());
      case OVERLAP -> list.overlapsCut();
      case TOO_LONG -> list.shortened();
      default -> list.spread();
    };
  }

  // --- files
  // -----------------------------------------------------------------------------------------------------

  public void importCaptions() {
    board()
        .ifPresent(board -> dialogs.openCaptions().ifPresent(file -> importCaptions(board, file)));
  }

  private void importCaptions(Artboard board, Path file) {
    FrameBox frame = new FrameBox(board.width(), board.height());
    workspace.tell(Notice.info("Reading " + file.getFileName() + "\u2026"));
    worker.execute(() -> {
      try {
        CaptionFiles.Read read = CaptionFiles.read(file, frame);
        Platform.runLater(() -> take(board, file, read));
      } catch (IOException wrong) {
        Platform.runLater(
            () -> workspace.tell(Notice.problem("Not taken in: " + wrong.getMessage() + ".")));
      }
    });
  }

  private void take(Artboard board, Path file, CaptionFiles.Read read) {
    String name = file.getFileName().toString();
    String language =
        read.sheet().language().isBlank()
            ? CaptionFiles.language(name).orElse(workspace.project().language())
            : read.sheet().language();
    Track.Captions track =
        Track.Captions.of(workspace.ids().next("track"), nameOf(language), language)
            .withFollows(
                read.sheet().follows().isEmpty()
                    ? line(board)
                        .captions()
                        .findFirst()
                        .map(Track.Captions::follows)
                        .orElse(List.of())
                    : List.of());
    if (workspace.apply(
        new BringCaptions(board.id(), track, read.sheet(), workspace.ids().next("c")))) {
      screening.cueTrackProperty().set(Optional.of(track.id()));
      workspace.tell(
          Notice.offering(
              Numbers.counted(read.sheet().cues().size(), "cue")
                  + " taken in from "
                  + name
                  + told(read.remarks())
                  + ".",
              "Undo",
              workspace::undo));
    }
  }

  private static String told(List<Remark> remarks) {
    return remarks.isEmpty()
        ? ""
        : "; "
            + Numbers.counted(remarks.size(), "remark")
            + ": "
            + String.join("; ", remarks.stream().limit(2).map(Remark::toString).toList());
  }

  public void exportCaptions(Track.Captions track) {
    board()
        .ifPresent(board ->
            dialogs
                .saveCaptions(board.name() + "." + track.language() + ".vtt")
                .ifPresent(file -> export(board, track, file)));
  }

  /** Asks for the file of the track whose cues are listed. */
  public void exportListed() {
    screening.captions().ifPresentOrElse(this::exportCaptions, this::board);
  }

  private void export(Artboard board, Track.Captions track, Path file) {
    var project = workspace.project();
    worker.execute(() -> {
      try {
        List<Remark> remarks = CaptionFiles.write(project, board, track, file);
        Platform.runLater(() ->
            workspace.tell(Notice.info("Exported " + file.getFileName() + told(remarks) + ".")));
      } catch (IOException | IllegalArgumentException problem) {
        Platform.runLater(
            () -> workspace.tell(Notice.problem("Not exported: " + problem.getMessage() + ".")));
      }
    });
  }

  /** All caption tracks into one folder, each in the format that is chosen. */
  public void exportAllCaptions() {
    board()
        .ifPresent(board ->
            dialogs
                .saveCaptions(board.name() + ".vtt")
                .ifPresent(file -> {
                  String name = file.getFileName().toString();
                  int dot = name.lastIndexOf('.');
                  line(board)
                      .captions()
                      .forEach(track ->
                          export(
                              board,
                              track,
                              file.resolveSibling(
                                  name.substring(0, dot < 0 ? name.length() : dot)
                                      + "."
                                      + track.language()
                                      + (dot < 0 ? ".vtt" : name.substring(dot)))));
                }));
  }

  /**
   * Exports the looped part of the film, or all of it, as numbered pictures.
   *
   * @param under whether the footage lies under the titles
   */
  public void exportFrames(FilmPicture.Under under) {
    board()
        .ifPresent(board ->
            dialogs.saveFrames(board.name()).ifPresent(folder -> export(board, folder, under)));
  }

  private void export(Artboard board, Path folder, FilmPicture.Under under) {
    FrameRate rate = line(board).rate();
    Optional<Screening.Loop> loop = screening.loopProperty().get();
    long first = loop.map(part -> rate.frameAt(part.from())).orElse(0L);
    long last = loop.map(part -> rate.frameAt(part.to()) - 1).orElse(line(board).frames() - 1);
    var project = workspace.project();
    SceneMaker maker = studio.get().maker();
    AtomicBoolean cancelled = new AtomicBoolean();
    long all = last - first + 1;
    tellProgress(0, all, cancelled);
    worker.execute(() -> {
      try {
        Scene scene = maker.make(project);
        FilmPicture picture =
            new FilmPicture(
                maker.painter(),
                new FootagePainter(new ProjectStills(project.assets(), MediaSource.NONE)));
        Scene.Board film =
            scene.boards().stream()
                .filter(one -> one.artboard().id().equals(board.id()))
                .findFirst()
                .orElseThrow();
        int workers = Math.max(1, Runtime.getRuntime().availableProcessors() - 1);
        FrameSequence.Outcome outcome =
            new FrameSequence(picture, workers)
                .write(
                    new FrameSequence.Order(film, first, last, 1, under),
                    folder,
                    done -> {
                      if (done % 10 == 0) {
                        Platform.runLater(() -> tellProgress(done, all, cancelled));
                      }
                    },
                    cancelled::get);
        Platform.runLater(() ->
            workspace.tell(
                Notice.info(
                    (outcome.complete() ? "Exported " : "Stopped after ")
                        + Numbers.counted((int) outcome.written(), "frame")
                        + (outcome.kept() > 0 ? "; " + outcome.kept() + " were there" : "")
                        + ".")));
      } catch (IOException | RuntimeException failed) {
        Platform.runLater(
            () -> workspace.tell(Notice.problem("Not exported: " + failed.getMessage() + ".")));
      }
    });
  }

  private void tellProgress(long done, long all, AtomicBoolean cancelled) {
    if (!cancelled.get()) {
      workspace.tell(
          Notice.offering(
              "Exporting frames: " + done + " of " + all + ".",
              "Cancel",
              () -> cancelled.set(true)));
    }
  }

  /** The frame at the playhead as a picture. */
  public void exportFrame() {
    board()
        .ifPresent(board ->
            dialogs
                .savePicture(
                    board.name()
                        + " "
                        + line(board)
                            .codeAt(screening.playheadProperty().get())
                            .replaceAll("[:;]", "-")
                        + ".png")
                .ifPresent(file -> exportFrame(board, file)));
  }

  private void exportFrame(Artboard board, Path file) {
    var project = workspace.project();
    SceneMaker maker = studio.get().maker();
    Time at = screening.playheadProperty().get();
    worker.execute(() -> {
      try {
        Scene.Board film =
            maker.make(project).boards().stream()
                .filter(one -> one.artboard().id().equals(board.id()))
                .findFirst()
                .orElseThrow();
        byte[] png =
            new FilmPicture(
                    maker.painter(),
                    new FootagePainter(new ProjectStills(project.assets(), MediaSource.NONE)))
                .png(film, at, 1, FilmPicture.Under.FOOTAGE);
        SafeFile.write(file, stream -> stream.write(png));
        Platform.runLater(
            () -> workspace.tell(Notice.info("Exported " + file.getFileName() + ".")));
      } catch (IOException failed) {
        Platform.runLater(
            () -> workspace.tell(Notice.problem("Not exported: " + failed.getMessage() + ".")));
      }
    });
  }

  /** New words for a cue, as typed in the list: line ends break lines. */
  void setWords(LayerId id, String words) {
    screening
        .board()
        .flatMap(board -> board.layer(id))
        .ifPresent(cue -> {
          String text = words.strip().replace('\n', '\u2028');
          if (!text.equals(cue.story().text())) {
            Paragraph first = cue.story().paragraphs().getFirst();
            Story story =
                first.spans().size() == 1 && cue.story().paragraphs().size() == 1
                    ? Story.of(first.withSpans(List.of(first.spans().getFirst().withText(text))))
                    : merged(cue.story(), text);
            workspace.apply(
                new EditText(id, cue.story().all(), new EditText.Replacement.Styled(story)));
          }
        });
  }

  /** The part that differs is replaced; what is around it keeps its look. */
  private static Story merged(Story story, String text) {
    String was = story.text();
    int start = 0;
    while (start < Math.min(was.length(), text.length())
        && was.charAt(start) == text.charAt(start)) {
      start++;
    }
    int end = 0;
    while (end < Math.min(was.length(), text.length()) - start
        && was.charAt(was.length() - 1 - end) == text.charAt(text.length() - 1 - end)) {
      end++;
    }
    return story.replace(
        new TextRange(start, was.length() - end), text.substring(start, text.length() - end));
  }

  @Override
  public void close() {
    worker.shutdownNow();
  }
}
