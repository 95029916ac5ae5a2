package dynamorph.app.inspector;

import dynamorph.app.workspace.Workspace;
import dynamorph.model.cascade.Source;
import dynamorph.model.cascade.Trace;
import dynamorph.model.edit.SaveIntoStyle;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.ValueType;
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
            "Where " + key.property().label().toLowerCase(java.util.Locale.ROOT) + " comes from");
    title.getStyleClass().add("section-title");
    content.getChildren().add(title);
    Trace<T> trace = subject.trace(key);
    for (Trace.Step<T> step : trace.steps()) {
      boolean counts = step == trace.winner();
      content.getChildren().add(row(popup, workspace, subject, key, step, counts));
    }
    popup.getContent().add(content);
    var corner = mark.localToScreen(8, mark.getHeight() + 2);
    popup.show(mark, Math.max(0, corner.getX() - 80), corner.getY());
  }

  private static <T> Node row(
      Popup popup,
      Workspace workspace,
      Subject subject,
      PropertyKey<T> key,
      Trace.Step<T> step,
      boolean counts) {
    ValueType<T> type = key.property().type();
    String declared = type.format(step.declared());
    String computed = type.format(step.computed());
    Label value = new Label(declared.equals(computed) ? computed : declared + " = " + computed);
    value.getStyleClass().add(counts ? "trace-winner" : "trace-overridden");
    Label source = new Label(SourceNames.of(workspace.project(), step.source()));
    source.getStyleClass().add("quiet");
    VBox words = new VBox(value, source);
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox row = new HBox(10, words, gap);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("trace-row");
    row.getChildren().addAll(actions(popup, workspace, subject, key, step.source()));
    return row;
  }

  private static java.util.List<Node> actions(
      Popup popup, Workspace workspace, Subject subject, PropertyKey<?> key, Source source) {
    return switch (source) {
      case Source.LocalChange _ ->
          java.util.List.of(
              link("Drop", popup, () -> subject.drop(Set.of(key))),
              link(
                  "Save into style",
                  popup,
                  () ->
                      workspace.apply(
                          new SaveIntoStyle(
                              workspace.selection().target(), Optional.of(Set.of(key))))));
      case Source.Followed(var _, var _, var style)
          when workspace
                  .deskProperty()
                  .get()
                  .map(desk -> desk.draft().id().equals(style))
                  .orElse(false)
              && subject.isOwn(key) ->
          java.util.List.of(link("Leave open", popup, () -> subject.drop(Set.of(key))));
      case Source.Followed(var _, var _, var style) ->
          java.util.List.of(link("Edit style", popup, () -> workspace.openDesk(style)));
      case Source.Base(var style) ->
          java.util.List.of(link("Edit style", popup, () -> workspace.openDesk(style)));
      case Source.OwnFrame _, Source.Default _ -> java.util.List.of();
    };
  }

  private static Hyperlink link(String label, Popup popup, Runnable work) {
    Hyperlink link = new Hyperlink(label);
    link.setMinWidth(Region.USE_PREF_SIZE);
    link.setOnAction(_ -> {
      popup.hide();
      work.run();
    });
    return link;
  }
}
