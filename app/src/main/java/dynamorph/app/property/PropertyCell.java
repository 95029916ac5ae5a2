package dynamorph.app.property;

import dynamorph.app.field.Editors;
import dynamorph.app.field.NumberText;
import dynamorph.app.field.Tips;
import dynamorph.app.field.ValueEditor;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/**
 * A value with its source mark: none for a default, kelp from a style, ember for a local change.
 * The mark opens the trace.
 */
public final class PropertyCell<T> extends HBox {
  private static final PseudoClass STYLE = PseudoClass.getPseudoClass("from-style");
  private static final PseudoClass LOCAL = PseudoClass.getPseudoClass("local");

  private final PropertyKey<T> key;
  private final ValueEditor<T> editor;
  private final Button mark = new Button();

  public PropertyCell(
      PropertyKey<T> key, Editors editors, Supplier<Subject> subject, Workspace workspace) {
    this.key = key;
    this.editor =
        editors.editor(
            key.property(),
            new ValueEditor.Sink<>() {
              @Override
              public void set(T value, Optional<Object> gesture) {
                if (!subject.get().isEmpty()) {
                  subject.get().set(PropertySet.EMPTY.with(key, value), gesture);
                }
              }

              @Override
              public void refuse(String why) {
                workspace.tell(Notice.problem(key.property().label() + ": " + why + "."));
              }
            });
    getStyleClass().add("property-cell");
    mark.getStyleClass().add("source-mark");
    mark.setFocusTraversable(false);
    mark.setOnAction(_ -> TracePopup.show(mark, workspace, subject.get(), key));
    Node node = editor.node();
    node.setId(key.path().replace('/', '-'));
    if (node instanceof Control control) {
      Tips.on(control, key.property().help());
    }
    mark.setId("mark-" + key.path().replace('/', '-'));
    node.setAccessibleText(key.property().label());
    HBox.setHgrow(node, Priority.ALWAYS);
    if (node instanceof Region region) {
      region.setMinWidth(40);
      region.setMaxWidth(Double.MAX_VALUE);
    }
    getChildren().addAll(mark, node);
  }

  public void update(Subject subject) {
    Subject.Mark where = subject.mark(key);
    mark.pseudoClassStateChanged(STYLE, where == Subject.Mark.STYLE);
    mark.pseudoClassStateChanged(LOCAL, where == Subject.Mark.LOCAL);
    Tips.on(mark, Messages.of("property-cell.click-to-trace-it", subject.origin(key)));
    mark.setAccessibleText(key.property().label() + ": " + subject.origin(key));
    editor.show(subject.shown(key));
  }

  /** Takes back what is set here, if anything is. */
  public void reset(Subject subject) {
    if (subject.isOwn(key)) {
      subject.drop(Set.of(key));
    }
  }

  /** Lets a label be dragged to nudge a number. */
  public void nudgeBy(Node handle) {
    if (editor.node() instanceof NumberText<?> number) {
      number.nudgeBy(handle);
    }
  }
}
