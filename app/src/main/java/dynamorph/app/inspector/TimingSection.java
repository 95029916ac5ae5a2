package dynamorph.app.inspector;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.film.Retime;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.value.Expression;
import dynamorph.model.value.Numbers;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** When the selected titles and cues of a film are seen, and who says them. */
final class TimingSection extends VBox {
  private static final double LABEL_WIDTH = 92;

  private final Workspace workspace;
  private final TextField in =
      field("timing-in", Messages.of("timing-section.in-point-as-a-timecode"));
  private final TextField out =
      field("timing-out", Messages.of("timing-section.out-point-as-a-timecode"));
  private final TextField lasts =
      field("timing-lasts", Messages.of("timing-section.duration-in-seconds"));
  private final TextField fadeIn =
      field("timing-fade-in", Messages.of("timing-section.fade-in-in-seconds"));
  private final TextField fadeOut =
      field("timing-fade-out", Messages.of("timing-section.fade-out-in-seconds"));
  private final TextField speaker =
      field("timing-speaker", Messages.of("timing-section.who-says-it"));
  private final Node speakerRow;
  private List<Layer> layers = List.of();
  private Optional<Timeline> line = Optional.empty();

  TimingSection(Workspace workspace) {
    this.workspace = workspace;
    getStyleClass().add("facet");
    setId("timing-section");
    setSpacing(4);
    Label title = new Label(Messages.of("timing-section.timing"));
    title.getStyleClass().add("section-title");
    speakerRow = row(Messages.of("timing-section.speaker"), speaker);
    getChildren()
        .addAll(
            title,
            row(Messages.of("timing-section.in-out"), in, out),
            row(Messages.of("timing-section.duration"), lasts),
            row(Messages.of("timing-section.fade-in-out"), fadeIn, fadeOut),
            speakerRow);
    taken(in, Messages.of("common.trim"), text -> own -> own.between(code(text), own.out()));
    taken(out, Messages.of("common.trim"), text -> own -> own.between(own.in(), code(text)));
    taken(
        lasts,
        Messages.of("common.trim"),
        text -> own -> own.between(own.in(), own.in().plus(seconds(text))));
    taken(
        fadeIn,
        Messages.of("timing-section.fade"),
        text -> own -> own.withFades(seconds(text), own.fadeOut()));
    taken(
        fadeOut,
        Messages.of("timing-section.fade"),
        text -> own -> own.withFades(own.fadeIn(), seconds(text)));
    taken(
        speaker,
        Messages.of("timing-section.name-the-speaker-of"),
        text -> own -> own.withSpeaker(text.strip()));
  }

  /** Shows the times of layers; nothing if none of them has any. */
  void update(List<Layer> selected) {
    layers = selected.stream().filter(layer -> layer.timing().isPresent()).toList();
    setVisible(!layers.isEmpty());
    setManaged(!layers.isEmpty());
    if (layers.isEmpty()) {
      return;
    }
    line = workspace.project().artboardOf(layers.getFirst().id()).flatMap(Artboard::timeline);
    boolean cues =
        layers.stream().allMatch(layer -> workspace.project().captionsOf(layer).isPresent());
    speakerRow.setVisible(cues);
    speakerRow.setManaged(cues);
    show(in, own -> line.orElseThrow().codeAt(own.in()));
    show(out, own -> line.orElseThrow().codeAt(own.out()));
    show(lasts, own -> words(own.length()));
    show(fadeIn, own -> words(own.fadeIn()));
    show(fadeOut, own -> words(own.fadeOut()));
    show(speaker, Timing::speaker);
  }

  private static String words(Time time) {
    return Numbers.format(time.seconds(), 3) + " s";
  }

  private void show(TextField field, Function<Timing, String> value) {
    List<String> values =
        layers.stream().map(layer -> value.apply(layer.timing().orElseThrow())).distinct().toList();
    String shown = values.size() == 1 ? values.getFirst() : "";
    field.setPromptText(Messages.of("timing-section.text", values.size()));
    field.setUserData(shown);
    field.setText(shown);
  }

  private Time code(String text) {
    return line.orElseThrow().timeOf(text);
  }

  private static Time seconds(String text) {
    return Time.ofSeconds(Expression.evaluate(text.replaceAll("s\\s*$", "")));
  }

  private void taken(TextField field, String verb, Function<String, UnaryOperator<Timing>> change) {
    Runnable take =
        () -> {
          if (!field.getText().equals(field.getUserData()) && !layers.isEmpty()) {
            try {
              apply(verb, change.apply(field.getText()));
            } catch (IllegalArgumentException wrong) {
              field.setText(String.valueOf(field.getUserData()));
              workspace.tell(Notice.problem(Messages.reason(wrong) + "."));
            }
          }
        };
    Controls.onTyped(field, take);
  }

  private void apply(String verb, UnaryOperator<Timing> change) {
    Map<LayerId, Timing> now = new LinkedHashMap<>();
    layers.forEach(layer -> now.put(layer.id(), change.apply(layer.timing().orElseThrow())));
    workspace.apply(new Retime(now, verb));
  }

  private static TextField field(String id, String help) {
    TextField field = new TextField();
    field.setId(id);
    Tips.on(field, help);
    field.setAccessibleText(help);
    field.setPrefColumnCount(8);
    return field;
  }

  private static Node row(String label, TextField... fields) {
    Label words = Controls.rowLabel(label);
    words.setMinWidth(LABEL_WIDTH);
    HBox row = new HBox(6, words);
    row.getChildren().addAll(fields);
    row.setAlignment(Pos.CENTER_LEFT);
    for (TextField field : fields) {
      HBox.setHgrow(field, Priority.ALWAYS);
    }
    return row;
  }
}
