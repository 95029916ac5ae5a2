package dynamorph.app.document;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.document.Mapped;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** A style of a document as it looks there, and what becomes of it. */
final class StyleRow extends VBox {
  private static final int WIDTH = 260;
  private static final int HEIGHT = 34;

  /** Letters of a sample, at most. */
  private static final int SAMPLE = 40;

  /**
   * Shows a style of a document.
   *
   * @param becomes what it becomes now
   * @param changed is told when the person chooses something else
   */
  StyleRow(
      Project project,
      WrittenDocument.Used used,
      Mapped becomes,
      Specimens specimens,
      Consumer<Mapped> changed) {
    getStyleClass().add("document-style");
    setSpacing(4);
    Label name = new Label(used.style().name());
    name.getStyleClass().add("section-title");
    name.setMinWidth(0);
    HBox.setHgrow(name, Priority.ALWAYS);
    name.setMaxWidth(Double.MAX_VALUE);
    Label count =
        new Label(
            switch (used.style().level()) {
              case TEXT -> Messages.of("document.texts", used.count());
              case PARAGRAPH -> Messages.of("document.paragraphs", used.count());
              case CHARACTER -> Messages.of("document.passages", used.count());
            });
    count.getStyleClass().add("quiet");
    count.setMinWidth(Region.USE_PREF_SIZE);
    HBox head = new HBox(8, name, count);
    head.setAlignment(Pos.BASELINE_LEFT);
    ImageView view = new ImageView();
    view.setFitWidth(WIDTH);
    view.setFitHeight(HEIGHT);
    Project written = asWritten(project, used);
    Style sample = written.styles().list().getFirst();
    specimens.showAlone(view, written, Cascade.of(written), sample, WIDTH, HEIGHT);
    VBox card = new VBox(view);
    card.getStyleClass().add("style-card");
    card.setMaxWidth(WIDTH + 6);
    getChildren().addAll(head, card, choice(project, used, becomes, changed));
  }

  /** A project in which the style is as the document has it. */
  private static Project asWritten(Project project, WrittenDocument.Used used) {
    String words = used.sample().replace('\t', ' ').replace('\u2028', ' ');
    Style style =
        new Style(
            new StyleId("written"),
            used.style().name(),
            "",
            StyleLevel.TEXT,
            Optional.empty(),
            used.style()
                .look()
                .where(key ->
                    // marks and indents would leave no room for the words
                    key.property().countsOn(Level.SPAN)
                        || key.property().equals(Properties.ALIGNMENT)),
            words.substring(0, Math.min(words.length(), SAMPLE)));
    return Project.empty("written")
        .withPalette(project.palette())
        .withAssets(project.assets())
        .withStyles(StyleBook.of(List.of(style)));
  }

  private static ComboBox<Mapped> choice(
      Project project, WrittenDocument.Used used, Mapped becomes, Consumer<Mapped> changed) {
    ComboBox<Mapped> choice = new ComboBox<>();
    choice.setId("becomes-" + used.style().key().replaceAll("[^A-Za-z0-9]+", "-"));
    choice.setMaxWidth(Double.MAX_VALUE);
    choice.setVisibleRowCount(14);
    choice.setAccessibleText(Messages.of("document.becomes", used.style().name()));
    Tips.on(choice, Messages.of("document.becomes-help"));
    choice.getItems().setAll(options(project, used, becomes));
    choice.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Mapped mapped) {
            return mapped == null ? "" : label(project, mapped);
          }

          @Override
          public Mapped fromString(String text) {
            return becomes;
          }
        });
    choice.setValue(becomes);
    choice.valueProperty().addListener((_, _, now) -> changed.accept(now));
    return choice;
  }

  private static List<Mapped> options(Project project, WrittenDocument.Used used, Mapped becomes) {
    List<Mapped> options = new ArrayList<>();
    options.add(
        becomes instanceof Mapped.NewStyle ? becomes : new Mapped.NewStyle(used.style().name()));
    options.add(new Mapped.Local());
    options.add(new Mapped.WordsOnly());
    boolean words = used.style().level() == StyleLevel.CHARACTER;
    for (StyleLevel level : List.of(StyleLevel.PARAGRAPH, StyleLevel.TEXT, StyleLevel.CHARACTER)) {
      project.styles().stream()
          .filter(style -> style.level() == level && words == (level == StyleLevel.CHARACTER))
          .forEach(style -> options.add(new Mapped.Follow(style.id())));
    }
    return options;
  }

  private static String label(Project project, Mapped mapped) {
    return switch (mapped) {
      case Mapped.Follow(StyleId id) ->
          project
              .styles()
              .find(id)
              .map(style ->
                  style.level() == StyleLevel.TEXT
                      ? Messages.of("document.text-style", style.name())
                      : style.name())
              .orElse("");
      case Mapped.NewStyle _ -> Messages.of("document.new-style");
      case Mapped.Local _ -> Messages.of("document.local-changes");
      case Mapped.WordsOnly _ -> Messages.of("document.words-only");
    };
  }
}
