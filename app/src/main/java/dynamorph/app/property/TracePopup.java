package dynamorph.app.property;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.cascade.Source;
import dynamorph.model.cascade.Trace;
import dynamorph.model.edit.style.SaveValue;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.property.ValueType;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;

/**
 * Shows where a value comes from: what counts on top, below it what it overrides, each with what
 * can be done there.
 */
final class TracePopup {
  private TracePopup() {}

  static <T> void show(Button mark, Workspace workspace, Subject subject, PropertyKey<T> key) {
    if (subject.isEmpty()) {
      return;
    }
    Popup popup = new Popup();
    popup.setAutoHide(true);
    VBox content = new VBox(2);
    content.getStyleClass().add("trace-popup");
    content.getStylesheets().setAll(mark.getScene().getStylesheets());
    Label title =
        new Label(
            Messages.of(
                "trace-popup.where-comes-from",
                key.property().label().toLowerCase(java.util.Locale.ROOT)));
    title.getStyleClass().add("section-title");
    content.getChildren().add(title);
    Trace<T> trace = subject.trace(key);
    Actions<T> actions = new Actions<>(popup, workspace, subject, key, trace);
    for (Trace.Step<T> step : trace.steps()) {
      content.getChildren().add(row(workspace, key, step, actions));
    }
    popup.getContent().add(content);
    var corner = mark.localToScreen(8, mark.getHeight() + 2);
    popup.show(mark, Math.max(0, corner.getX() - 80), corner.getY());
    var window = mark.getScene().getWindow();
    double right = window.getX() + mark.getScene().getX() + mark.getScene().getWidth();
    popup.setX(Math.max(window.getX(), Math.min(popup.getX(), right - popup.getWidth())));
  }

  private static <T> Node row(
      Workspace workspace, PropertyKey<T> key, Trace.Step<T> step, Actions<T> actions) {
    ValueType<T> type = key.property().type();
    String declared = type.label(step.declared());
    String computed = type.label(step.computed());
    Label value = new Label(declared.equals(computed) ? computed : declared + " = " + computed);
    value.getStyleClass().add(actions.counts(step) ? "trace-winner" : "trace-overridden");
    Label source = new Label(SourceNames.of(workspace.project(), step.source()));
    source.getStyleClass().add("quiet");
    source.setWrapText(true);
    VBox words = new VBox(value, source);
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox row = new HBox(10, words, gap);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("trace-row");
    row.getChildren().addAll(actions.of(step));
    return row;
  }

  /** What can be done at each level of a trace. */
  private record Actions<T>(
      Popup popup, Workspace workspace, Subject subject, PropertyKey<T> key, Trace<T> trace) {
    boolean counts(Trace.Step<T> step) {
      return step == trace.winner();
    }

    private Optional<StyleId> onDesk() {
      return workspace.attempts().present().desk().map(desk -> desk.draft().id());
    }

    List<Node> of(Trace.Step<T> step) {
      List<Node> links = new ArrayList<>();
      switch (step.source()) {
        case Source.LocalChange _ -> {
          links.add(link(Messages.of("common.drop"), () -> subject.drop(Set.of(key))));
          if (counts(step)) {
            links.add(
                link(
                    Messages.of("trace-popup.save-into-style"),
                    () -> workspace.deviations().saveIntoStyle(key)));
          }
        }
        case Source.Followed(var _, var _, var style) -> addForStyle(links, step, style);
        case Source.TrackStyle(var _, var _, var style) -> addForStyle(links, step, style);
        case Source.Base(var style) -> addForStyle(links, step, style);
        case Source.TrackChange _, Source.OwnFrame _, Source.Default _ -> addSetHere(links, step);
      }
      return links;
    }

    private void addForStyle(List<Node> links, Trace.Step<T> step, StyleId style) {
      if (onDesk().filter(style::equals).isPresent()) {
        if (subject.isOwn(key)) {
          links.add(link(Messages.of("trace-popup.leave-open"), () -> subject.drop(Set.of(key))));
        }
        return;
      }
      links.add(
          link(Messages.of("trace-popup.open"), () -> workspace.attempts().openDesk(style, key)));
      boolean hand = trace.winner().source() instanceof Source.LocalChange;
      if (hand && onDesk().isEmpty()) {
        links.add(link(Messages.of("trace-popup.save-into-it"), () -> saveInto(style)));
      }
      addSetHere(links, step);
    }

    /** An overridden value can be taken here in place of the one that counts. */
    private void addSetHere(List<Node> links, Trace.Step<T> step) {
      if (!counts(step)) {
        links.add(
            link(
                Messages.of("trace-popup.set-here"),
                () -> subject.set(PropertySet.EMPTY.with(key, step.computed()), Optional.empty())));
      }
    }

    private void saveInto(StyleId style) {
      SaveValue<T> save =
          new SaveValue<>(workspace.target(), style, key, trace.winner().computed());
      String name = workspace.project().styles().get(style).name();
      workspace
          .deviations()
          .doOrReview(
              save,
              Messages.of("trace-popup.save-into", name),
              Messages.of("common.save"),
              Messages.of("trace-popup.saved-into", name));
    }

    private Hyperlink link(String label, Runnable work) {
      Hyperlink link = new Hyperlink(label);
      link.setMinWidth(Region.USE_PREF_SIZE);
      link.setOnAction(_ -> {
        popup.hide();
        work.run();
      });
      return link;
    }
  }
}
