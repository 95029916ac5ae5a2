package dynamorph.app.shortcuts;

import dynamorph.app.action.Action;
import dynamorph.app.action.Actions;
import dynamorph.app.action.KeyRules;
import dynamorph.app.files.UserFolder;
import dynamorph.formats.file.SafeFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.input.KeyCombination;

/**
 * Keeps the keys that differ from the usual ones, in the folder of the person and in files to hand
 * on: a line for each action, its id, a tab, and its keys as JavaFX names them, or a hyphen for
 * none.
 */
public final class ShortcutKeeper {
  private static final String FILE = "shortcuts.txt";
  private static final String HEAD = "#dynamorph-shortcuts";
  private static final String NONE = "-";

  private final Actions actions;
  private final UserFolder user;

  /** Lines about actions that this version does not have. */
  private final Map<String, String> unknown = new LinkedHashMap<>();

  private boolean reading;

  public ShortcutKeeper(Actions actions, UserFolder user) {
    this.actions = actions;
    this.user = user;
  }

  /**
   * What came of reading keys.
   *
   * @param taken how many actions have other keys than the usual ones now
   * @param left lines that say nothing that can be taken
   */
  public record Taken(int taken, List<String> left) {}

  /** Takes what was kept, and keeps what is changed from now on. */
  public void begin() {
    apply(user.lines(FILE));
    for (Action action : actions.all()) {
      action.keys().addListener((_, _, _) -> keep());
    }
  }

  private void keep() {
    if (!reading) {
      user.keepLines(FILE, lines());
    }
  }

  /** The actions whose keys are not the usual ones. */
  public List<Action> changed() {
    return actions.all().stream().filter(ShortcutKeeper::isChanged).toList();
  }

  static boolean isChanged(Action action) {
    return !action.shortcutText().equals(action.usual().map(Action::text).orElse(""));
  }

  private List<String> lines() {
    return Stream.of(
            Stream.of(HEAD),
            changed().stream()
                .map(action ->
                    action.id()
                        + "\t"
                        + action.shortcut().map(KeyCombination::getName).orElse(NONE)),
            unknown.entrySet().stream().map(line -> line.getKey() + "\t" + line.getValue()))
        .flatMap(lines -> lines)
        .toList();
  }

  /** Gives all actions their usual keys. */
  public void reset() {
    reading = true;
    unknown.clear();
    // none has keys that another is to have before it has given up its own
    changed().forEach(action -> actions.setKeys(action.id(), Optional.empty()));
    actions.all().forEach(action -> actions.setKeys(action.id(), action.usual()));
    reading = false;
    keep();
  }

  /** What is needed to come back to the keys as they are now. */
  public Runnable state() {
    List<String> now = lines();
    return () -> {
      reset();
      apply(now);
      keep();
    };
  }

  /** Writes the keys that differ from the usual ones. */
  public void write(Path file) throws IOException {
    byte[] text = String.join("\n", lines()).getBytes(StandardCharsets.UTF_8);
    SafeFile.write(file, stream -> stream.write(text));
  }

  /**
   * Takes the keys of a file in place of those that were chosen here.
   *
   * @throws IOException if it cannot be read, or does not begin as such a file does; then nothing
   *     changed
   */
  public Taken read(Path file) throws IOException {
    List<String> lines = Files.readAllLines(file, StandardCharsets.UTF_8);
    if (lines.isEmpty() || !lines.getFirst().strip().startsWith(HEAD)) {
      throw new IOException(
          dynamorph.app.message.Messages.of("shortcuts.no-such-file", file.getFileName()));
    }
    reset();
    List<String> left = apply(lines);
    keep();
    return new Taken(changed().size(), left);
  }

  /** Those that lose their keys to another have none afterwards. */
  private List<String> apply(List<String> lines) {
    reading = true;
    List<String> left = new ArrayList<>();
    Map<String, Optional<KeyCombination>> chosen = new LinkedHashMap<>();
    for (String line : lines) {
      String[] parts = line.split("\t", -1);
      if (line.isBlank() || line.startsWith("#")) {
        continue;
      }
      Optional<Optional<KeyCombination>> keys =
          parts.length == 2 ? keys(parts[1].strip()) : Optional.empty();
      if (keys.isEmpty()) {
        left.add(line);
      } else if (actions.all().stream().noneMatch(action -> action.id().equals(parts[0]))) {
        unknown.put(parts[0], parts[1].strip());
        left.add(line);
      } else {
        chosen.put(parts[0], keys.get());
      }
    }
    chosen.keySet().forEach(id -> actions.setKeys(id, Optional.empty()));
    chosen.forEach(actions::setKeys);
    reading = false;
    return left;
  }

  /** Keys by their name; empty if it names none that can be a shortcut. */
  private static Optional<Optional<KeyCombination>> keys(String name) {
    if (name.equals(NONE)) {
      return Optional.of(Optional.empty());
    }
    try {
      KeyCombination keys = KeyCombination.valueOf(name);
      return KeyRules.problem(keys).isPresent() ? Optional.empty() : Optional.of(Optional.of(keys));
    } catch (IllegalArgumentException notKeys) {
      return Optional.empty();
    }
  }
}
