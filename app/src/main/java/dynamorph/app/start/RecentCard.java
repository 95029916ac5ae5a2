package dynamorph.app.start;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureFrame;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.paint.Pixels;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A project that can be opened: the picture of its first artboard, its name, and a line on it. */
final class RecentCard extends Button {
  private static final Logger LOG = LoggerFactory.getLogger(RecentCard.class);
  private static final int WIDTH = 212;
  private static final int HEIGHT = 128;

  private final PictureFrame frame = new PictureFrame(WIDTH, HEIGHT);

  private RecentCard(String name, String words) {
    getStyleClass().setAll("size-card", "recent-card");
    setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
    Label title = new Label(name);
    title.getStyleClass().add("section-title");
    Label line = new Label(words);
    line.getStyleClass().add("quiet");
    for (Label label : List.of(title, line)) {
      label.setMinWidth(0);
      label.setMaxWidth(WIDTH);
    }
    setGraphic(new VBox(3, frame, title, line));
    setAccessibleText(name + ", " + words);
  }

  /** A file that was opened or saved of late. */
  static RecentCard ofFile(Path file, StatePictures states, PictureService pictures) {
    String name = file.getFileName().toString();
    Optional<FileTime> modified = modified(file);
    RecentCard card =
        new RecentCard(
            name.endsWith(ProjectFile.ENDING)
                ? name.substring(0, name.length() - ProjectFile.ENDING.length())
                : name,
            modified.map(time -> Messages.time(time.toInstant())).orElse(""));
    Tips.on(card, file.toString());
    pictures.show(
        card.frame.view(),
        List.of("recent", file, modified),
        () -> {
          try {
            return drawn(ProjectFile.read(file), states);
          } catch (IOException unreadable) {
            // that is told when it is opened
            LOG.info("no picture of {}: {}", file.getFileName(), unreadable.getMessage());
            return Pixels.blank(1, 1);
          }
        });
    return card;
  }

  /** A project that comes with the program. */
  static RecentCard ofSample(
      String id,
      String words,
      Supplier<Project> project,
      StatePictures states,
      PictureService pictures) {
    RecentCard card = new RecentCard(project.get().name(), words);
    card.setId("start-" + id);
    pictures.show(card.frame.view(), List.of("sample", id), () -> drawn(project.get(), states));
    return card;
  }

  private static Pixels drawn(Project project, StatePictures states) {
    Optional<Artboard> board = project.artboards().stream().findFirst();
    return board
        .map(one -> states.draw(project, one, Optional.empty(), WIDTH, HEIGHT))
        .orElseGet(() -> Pixels.blank(1, 1));
  }

  private static Optional<FileTime> modified(Path file) {
    try {
      return Optional.of(Files.getLastModifiedTime(file));
    } catch (IOException gone) {
      return Optional.empty();
    }
  }

  /** Lets it be taken off the list; the file stays. */
  void onForget(Runnable forget) {
    MenuItem item = new MenuItem(Messages.of("start.remove-from-the-list"));
    item.setOnAction(_ -> forget.run());
    setContextMenu(new ContextMenu(item));
    addEventHandler(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.DELETE) {
            forget.run();
            event.consume();
          }
        });
  }
}
