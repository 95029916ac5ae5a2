package dynamorph.app.export;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Playback;
import dynamorph.formats.export.FilmExport;
import dynamorph.model.Artboard;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Which frames of a film are written: from one timecode to another, both included. */
final class FilmRange extends VBox {
  private static final int WIDTH = 94;

  private final TextField from = field("export-from");
  private final TextField to = field("export-to");
  private final Label wrong = new Label();
  private Optional<Artboard> film = Optional.empty();
  private Runnable changed = () -> {};

  FilmRange() {
    super(4);
    managedProperty().bind(visibleProperty());
    from.setAccessibleText(Messages.of("film-range.first-frame"));
    to.setAccessibleText(Messages.of("film-range.last-frame"));
    Tips.on(from, Messages.of("film-range.first-frame"));
    Tips.on(to, Messages.of("film-range.last-frame"));
    Button all = new Button(Messages.of("film-range.all"));
    all.setId("export-whole");
    all.setOnAction(_ -> film.ifPresent(own -> show(FilmExport.Part.whole(own))));
    wrong.setId("export-range-wrong");
    wrong.getStyleClass().add("attention");
    wrong.setWrapText(true);
    wrong.setMinHeight(USE_PREF_SIZE);
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    getChildren()
        .addAll(
            ExportSettings.row(Messages.of("film-range.range"), from, new Label("\u2013"), to, all),
            wrong);
    for (TextField field : new TextField[] {from, to}) {
      field.textProperty().addListener((_, _, _) -> changed.run());
      Controls.onTyped(field, () -> part().ifPresent(this::show));
    }
  }

  private static TextField field(String id) {
    TextField field = new TextField();
    field.setId(id);
    field.setPrefWidth(WIDTH);
    field.setMinWidth(WIDTH);
    return field;
  }

  /** Is told when another range is typed. */
  void changed(Runnable listener) {
    changed = listener;
  }

  /**
   * Shows the range of another film: all of it, or its loop.
   *
   * @param loop part of the film that is played over and over
   */
  void show(Artboard another, Optional<Playback.Loop> loop) {
    if (film.filter(another::equals).isPresent()) {
      return;
    }
    boolean isAnother = film.filter(before -> before.id().equals(another.id())).isEmpty();
    Optional<FilmExport.Part> before = isAnother ? Optional.empty() : part();
    film = Optional.of(another);
    Timeline line = another.timeline().orElseThrow();
    show(
        loop.map(part ->
                new FilmExport.Part(
                    another,
                    line.rate().frameAt(part.from()),
                    Math.min(line.rate().frameAt(part.to()), line.frames()) - 1))
            .or(() ->
                before
                    .filter(part -> part.last() < line.frames())
                    .map(part -> new FilmExport.Part(another, part.first(), part.last())))
            .orElseGet(() -> FilmExport.Part.whole(another)));
  }

  /** Forgets the film, so that the next one begins anew. */
  void forget() {
    film = Optional.empty();
  }

  private void show(FilmExport.Part part) {
    Timeline line = part.film().timeline().orElseThrow();
    from.setText(code(line, part.first()));
    to.setText(code(line, part.last()));
  }

  private static String code(Timeline line, long frame) {
    return line.codeAt(line.rate().at(frame));
  }

  /** What is typed; empty while it makes no sense, which is told below. */
  Optional<FilmExport.Part> part() {
    if (film.isEmpty()) {
      return Optional.empty();
    }
    Timeline line = film.get().timeline().orElseThrow();
    try {
      long first = line.frameOf(from.getText());
      long last = line.frameOf(to.getText());
      if (first < 0 || last < first || last >= line.frames()) {
        wrong.setText(
            Messages.of(
                "film-range.expected", line.codeAt(Time.ZERO), code(line, line.frames() - 1)));
        return Optional.empty();
      }
      wrong.setText("");
      return Optional.of(new FilmExport.Part(film.get(), first, last));
    } catch (IllegalArgumentException nonsense) {
      wrong.setText(Messages.reason(nonsense));
      return Optional.empty();
    }
  }
}
