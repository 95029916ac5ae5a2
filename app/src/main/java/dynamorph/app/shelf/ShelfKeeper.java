package dynamorph.app.shelf;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.project.KitAbout;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.style.StyleId;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.folder.KitShelf;
import dynamorph.shelf.folder.ShelfFolder;
import dynamorph.shelf.follow.PutOnShelf;
import dynamorph.shelf.follow.Update;
import dynamorph.shelf.follow.Updates;
import dynamorph.shelf.projects.ProjectIndex;
import dynamorph.shelf.projects.ProjectUse;
import dynamorph.shelf.starter.StarterKits;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.random.RandomGenerator;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Reads and changes the shelf beside the interface thread, and knows what the project that is open
 * has from it. What others do to the folder shows by itself.
 */
public final class ShelfKeeper implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(ShelfKeeper.class);
  private static final Duration BETWEEN_LOOKS = Duration.seconds(2);

  /** The shelves that are not shown are looked at every so many times. */
  private static final int LOOKS_ELSEWHERE = 15;

  /** More remarks would cover the stage. */
  private static final int MOST_REMARKS = 5;

  /** Before the shelf was read. */
  private static final Shelf NOTHING = Shelf.empty("", "");

  private final Workspace workspace;
  private final KnownShelves known;
  private final Function<Path, ShelfFolder> open;
  private final Map<Path, ShelfFolder> folders = new HashMap<>();
  private final ReadOnlyObjectWrapper<ShelfPlace> place = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Map<ShelfPlace, Integer>> newerElsewhere =
      new ReadOnlyObjectWrapper<>(Map.of());
  private final ProjectIndex index;
  private final InstantSource clock;
  private final RandomGenerator random;
  private final ReadOnlyObjectWrapper<Shelf> shelf = new ReadOnlyObjectWrapper<>(NOTHING);
  private final ReadOnlyObjectWrapper<List<Update>> followed =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<KitAbout> about =
      new ReadOnlyObjectWrapper<>(KitAbout.NOTHING);
  private final AtomicInteger pending = new AtomicInteger();
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "dynamorph-shelf");
        thread.setDaemon(true);
        return thread;
      });
  private final Timeline looks = new Timeline(new KeyFrame(BETWEEN_LOOKS, _ -> lookAgain()));
  private int looked;
  private List<Optional<FileTime>> state = List.of();
  private Optional<Project> compared = Optional.empty();
  private Optional<Project> remembered = Optional.empty();
  private boolean read;
  private Work first = () -> {};

  /**
   * @param open gives the shelf in a folder
   */
  public ShelfKeeper(
      Workspace workspace,
      KnownShelves known,
      Function<Path, ShelfFolder> open,
      ProjectIndex index,
      InstantSource clock,
      RandomGenerator random) {
    this.workspace = workspace;
    this.known = known;
    this.open = open;
    place.set(known.own());
    this.index = index;
    this.clock = clock;
    this.random = random;
    looks.setCycleCount(Timeline.INDEFINITE);
    workspace
        .historyProperty()
        .addListener((_, _, _) -> {
          compare();
          remember();
        });
    workspace
        .openedProperty()
        .addListener((_, _, _) -> {
          compare();
          lookElsewhere();
        });
  }

  /** The shelf or kit that is looked at. */
  public ReadOnlyObjectProperty<ShelfPlace> placeProperty() {
    return place.getReadOnlyProperty();
  }

  /** The shelves and kits that can be looked at. */
  public List<ShelfPlace> places() {
    return known.all();
  }

  /** The kits that come with the program, with what each is for. */
  public Map<ShelfPlace, String> starters() {
    Map<ShelfPlace, String> starters = new LinkedHashMap<>();
    StarterKits.all().forEach(kit -> starters.put(ShelfPlace.of(kit), kit.note()));
    return starters;
  }

  /** On which other shelves how many looks are newer than in the project. */
  public ReadOnlyObjectProperty<Map<ShelfPlace, Integer>> newerElsewhereProperty() {
    return newerElsewhere.getReadOnlyProperty();
  }

  /** Looks at another shelf or kit, which is listed from then on. */
  public void open(ShelfPlace wanted) {
    known.add(wanted);
    place.set(wanted);
    shelf.set(NOTHING);
    about.set(KitAbout.NOTHING);
    followed.set(List.of());
    look();
    lookElsewhere();
  }

  /** Opens a folder that is shared, or a kit. */
  public void open(Path path) {
    open(KnownShelves.at(path.toAbsolutePath()));
  }

  /** Leaves a shelf or kit out of the list. */
  public void forget(ShelfPlace gone) {
    known.remove(gone);
    if (place.get().equals(gone)) {
      open(known.own());
    }
  }

  /** The folder that is looked at; empty while that is a kit. */
  private Optional<ShelfFolder> folder() {
    return folder(place.get());
  }

  private Optional<ShelfFolder> folder(ShelfPlace at) {
    return at.isFolder() ? Optional.of(folders.computeIfAbsent(at.path(), open)) : Optional.empty();
  }

  /** Compares the project with the shelves that are not looked at. */
  private void lookElsewhere() {
    Project project = workspace.project();
    Map<ShelfPlace, ShelfFolder> others = new LinkedHashMap<>();
    for (ShelfPlace other : known.all()) {
      if (!other.equals(place.get())) {
        folder(other).ifPresent(there -> others.put(other, there));
      }
    }
    if (others.isEmpty()) {
      newerElsewhere.set(Map.of());
      return;
    }
    run(() -> {
      Map<ShelfPlace, Integer> newer = new LinkedHashMap<>();
      others.forEach((other, there) -> {
        try {
          int count = there.isThere() ? Updates.newer(project, there.read()).size() : 0;
          if (count > 0) {
            newer.put(other, count);
          }
        } catch (IOException away) {
          LOG.debug("{} cannot be read now", other.path(), away);
        }
      });
      Platform.runLater(() -> newerElsewhere.set(newer));
    });
  }

  /** Does something in the folder before it is read for the first time. */
  public void before(Work work) {
    first = work;
  }

  /** Reads the shelf for the first time, once the window has shown what is more urgent. */
  public void begin() {
    if (!read) {
      read = true;
      run(first);
      look();
      lookElsewhere();
      looks.play();
      remember();
    }
  }

  /** The shelf as it was read last. */
  public ReadOnlyObjectProperty<Shelf> shelfProperty() {
    return shelf.getReadOnlyProperty();
  }

  public Shelf shelf() {
    return shelf.get();
  }

  /** What the project has from the shelf, and in what both differ. */
  public ReadOnlyObjectProperty<List<Update>> followedProperty() {
    return followed.getReadOnlyProperty();
  }

  /** Those in which the shelf is newer. */
  public List<Update> newer() {
    return followed.get().stream().filter(Update::isNewer).toList();
  }

  /** How a style of the project stands to the shelf; empty if it has nothing from there. */
  public Optional<Update> of(StyleId style) {
    return followed.get().stream()
        .filter(update ->
            update.mine() instanceof Update.Thing.OfStyle(var own) && own.id().equals(style))
        .findFirst();
  }

  public boolean isWritable() {
    return place.get().isReachable() && folder().filter(ShelfFolder::isWritable).isPresent();
  }

  /** Which projects have what from the shelf. */
  ProjectIndex index() {
    return index;
  }

  /** In how many texts of the projects that are known the looks of a shelf are. Any thread. */
  public Map<String, Integer> textsByEntry(String shelf) {
    return index.textsByEntry(shelf);
  }

  /** Whether nothing is being read or written. */
  public boolean isIdle() {
    return pending.get() == 0;
  }

  /** Looks at the folder anew. */
  public void look() {
    ShelfPlace at = place.get();
    Optional<ShelfFolder> there = folder(at);
    run(() -> {
      if (there.isPresent()) {
        state = state(there.get());
      }
      Shelf now =
          there.isPresent()
              ? there.get().read()
              : at.kind() == ShelfPlace.Kind.KIT
                  ? opened(at)
                  : StarterKits.read(at.path().toString());
      Platform.runLater(() -> show(at, now));
    });
  }

  private Shelf opened(ShelfPlace at) throws IOException {
    KitShelf.Opened kit = KitShelf.read(at.path());
    Platform.runLater(() -> {
      about.set(kit.about());
      if (!kit.remarks().isEmpty()) {
        workspace.tell(
            Notice.info(String.join("\n", kit.remarks().stream().limit(MOST_REMARKS).toList())));
      }
    });
    return kit.shelf();
  }

  /** What a kit that is looked into says of itself; nothing for any other shelf. */
  public ReadOnlyObjectProperty<KitAbout> aboutProperty() {
    return about.getReadOnlyProperty();
  }

  private void lookAgain() {
    lookWhenChanged();
    if (++looked % LOOKS_ELSEWHERE == 0) {
      lookElsewhere();
    }
  }

  private void lookWhenChanged() {
    ShelfPlace at = place.get();
    folder(at)
        .ifPresent(there ->
            run(() -> {
              List<Optional<FileTime>> now = state(there);
              if (!now.equals(state)) {
                state = now;
                Shelf read = there.read();
                Platform.runLater(() -> show(at, read));
              }
            }));
  }

  /** When something came into the folder or left it; a file is replaced, never written into. */
  private static List<Optional<FileTime>> state(ShelfFolder there) {
    List<Optional<FileTime>> times = new ArrayList<>();
    for (String name : List.of("styles", "swatches", "actions")) {
      Optional<FileTime> time = Optional.empty();
      try {
        time = Optional.of(Files.getLastModifiedTime(there.folder().resolve(name)));
      } catch (IOException none) {
        LOG.trace("{} is not there yet", name);
      }
      times.add(time);
    }
    return times;
  }

  /** Shows how a place is now, unless another is looked at by then. */
  private void show(ShelfPlace at, Shelf now) {
    if (at.equals(place.get())) {
      show(now);
    }
  }

  private void show(Shelf now) {
    List<String> known = shelf.get().problems();
    shelf.set(now);
    compared = Optional.empty();
    compare();
    now.problems().stream()
        .filter(problem -> !known.contains(problem))
        .findFirst()
        .ifPresent(problem ->
            workspace.tell(
                Notice.problem(
                    Messages.of("shelf-keeper.damaged", problem, now.problems().size() - 1))));
  }

  private void compare() {
    Project project = workspace.project();
    if (compared.filter(one -> one == project).isEmpty() && !shelf.get().id().isEmpty()) {
      compared = Optional.of(project);
      followed.set(Updates.of(project, shelf.get()));
    }
  }

  /**
   * Remembers what a saved project has from the shelf, so that it can be told without opening it.
   */
  private void remember() {
    Project project = workspace.project();
    Optional<Path> file = workspace.fileProperty().get();
    boolean isSaved = workspace.historyProperty().get().isSaved();
    if (file.isEmpty() || !isSaved || remembered.filter(one -> one == project).isPresent()) {
      return;
    }
    remembered = Optional.of(project);
    run(() -> index.remember(ProjectUse.of(file.get().toAbsolutePath(), project, clock.instant())));
  }

  /**
   * Puts styles of the project on the shelf, or what the project changed of those that came from
   * there.
   *
   * @param parts which of the changed values go there
   */
  public void put(
      Collection<StyleId> styles,
      Collection<String> swatches,
      PutOnShelf.Wanted parts,
      String note) {
    if (workspace.attempts().isBusy()) {
      return;
    }
    Project project = workspace.project();
    on(
        placeToPut(),
        (at, folder) -> {
          Shelf seen = folder.read();
          PutOnShelf put = PutOnShelf.of(project, seen, styles, swatches, parts, random);
          ShelfFolder.Done done = folder.apply(put.change().withNote(note), seen);
          Platform.runLater(() -> tellPut(at, put, done, styles.size() + swatches.size()));
        });
  }

  private void tellPut(ShelfPlace at, PutOnShelf put, ShelfFolder.Done done, int count) {
    show(at, done.shelf());
    Edit link = put.linked(done.shelf());
    boolean linked =
        !link.applyTo(workspace.project()).equals(workspace.project()) && workspace.apply(link);
    done.action()
        .ifPresentOrElse(
            action ->
                workspace.tell(
                    Notice.offering(
                        put.withheld().isEmpty()
                            ? Messages.of("shelf-keeper.put", count, at.name())
                            : Messages.of(
                                "shelf-keeper.put-without",
                                count,
                                String.join(", ", put.withheld())),
                        Messages.of("common.undo"),
                        () -> {
                          if (linked) {
                            workspace.undo();
                          }
                          undo(at, action);
                        })),
            () -> workspace.tell(Notice.info(Messages.of("shelf-keeper.there-already"))));
  }

  /** The shelf that is looked at; while that is a kit, the own one. */
  private ShelfPlace placeToPut() {
    return place.get().isFolder() ? place.get() : known.own();
  }

  /** Whether something can be put on the shelf. */
  public boolean takesLooks() {
    ShelfPlace at = placeToPut();
    return at.isReachable() && folder(at).filter(ShelfFolder::isWritable).isPresent();
  }

  /** Puts everything that the project changed of one style on the shelf, or the style itself. */
  public void put(Collection<StyleId> styles) {
    put(styles, List.of(), PutOnShelf.Wanted.ALL, "");
  }

  /** Does something to the shelf, and tells it with a way back. */
  public void change(Function<Shelf, Change> wanted) {
    on(
        place.get(),
        (at, folder) -> {
          Shelf seen = folder.read();
          ShelfFolder.Done done = folder.apply(wanted.apply(seen), seen);
          Platform.runLater(() -> {
            show(at, done.shelf());
            done.action()
                .ifPresent(action ->
                    workspace.tell(
                        Notice.offering(
                            Messages.of("shelf-keeper.done", action.label(done.shelf())),
                            Messages.of("common.undo"),
                            () -> undo(at, action))));
          });
        });
  }

  /** Takes back something that was done to the shelf; what was done since stays. */
  public void undo(Action action) {
    undo(place.get(), action);
  }

  private void undo(ShelfPlace of, Action action) {
    on(
        of,
        (at, folder) -> {
          Shelf seen = folder.read();
          ShelfFolder.Done done = folder.apply(Change.undo(seen, action), seen);
          Platform.runLater(() -> {
            show(at, done.shelf());
            workspace.tell(
                Notice.info(Messages.of("shelf-keeper.undone", action.label(done.shelf()))));
          });
        });
  }

  /** Reads a project file beside the interface thread. */
  void remember(Path file) {
    run(() ->
        index.remember(
            ProjectUse.of(file.toAbsolutePath(), ProjectFile.read(file), clock.instant())));
  }

  /** Something done to a folder. */
  private interface FolderWork {
    void run(ShelfPlace at, ShelfFolder folder) throws IOException;
  }

  /** Does something to a shelf, though another may be looked at by then. */
  private void on(ShelfPlace at, FolderWork work) {
    if (!at.isFolder()) {
      workspace.tell(Notice.problem(Messages.of("shelf-keeper.a-kit")));
    } else if (!at.isReachable()) {
      workspace.tell(Notice.problem(Messages.of("shelf-keeper.away", at.path())));
    } else {
      folder(at).ifPresent(folder -> run(() -> work.run(at, folder)));
    }
  }

  /** Something done beside the interface thread. */
  public interface Work {
    void run() throws IOException;
  }

  /** Does something beside the interface thread, in the order of asking. */
  void run(Work work) {
    pending.incrementAndGet();
    try {
      worker.execute(() -> {
        try {
          work.run();
        } catch (IOException | EditRefused told) {
          Platform.runLater(() -> workspace.tell(Notice.problem(Messages.reason(told))));
        } catch (RuntimeException broken) {
          LOG.error("the shelf broke off", broken);
          Platform.runLater(
              () -> workspace.tell(Notice.problem(Messages.of("shelf-keeper.broke-off"))));
        } finally {
          // after what the work handed over
          Platform.runLater(pending::decrementAndGet);
        }
      });
    } catch (RejectedExecutionException closing) {
      pending.decrementAndGet();
    }
  }

  /** What was asked for is still done. */
  @Override
  public void close() {
    looks.stop();
    worker.shutdown();
  }
}
