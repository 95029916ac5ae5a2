package dynamorph.app.session;

import dynamorph.model.shape.Shape;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;

/** The tool in hand, and what it holds. */
public final class ToolInHand {
  private final ObjectProperty<Tool> tool = new SimpleObjectProperty<>(Tool.SELECT);
  private final ObjectProperty<Shape> shape = new SimpleObjectProperty<>(Shape.Rectangle.SHARP);
  private final ObjectProperty<Optional<Sampling>> sampling =
      new SimpleObjectProperty<>(Optional.empty());
  private final CoatClipboard coats = new CoatClipboard();

  public ObjectProperty<Tool> toolProperty() {
    return tool;
  }

  public Tool tool() {
    return tool.get();
  }

  /** Takes a tool; the sampler that is in hand already takes another sample. */
  public void take(Tool wanted) {
    if (wanted == Tool.SAMPLER && tool.get() == wanted) {
      takeAnotherSample();
    }
    tool.set(wanted);
  }

  /** The shape that is drawn next. */
  public ObjectProperty<Shape> shapeProperty() {
    return shape;
  }

  /** What the sampler holds. */
  public ObjectProperty<Optional<Sampling>> samplingProperty() {
    return sampling;
  }

  /** Lets the next click of the sampler take another sample, or not after all. */
  public void takeAnotherSample() {
    sampling.set(sampling.get().map(held -> held.takingAnother(!held.takesAnother())));
  }

  /** A coat or effect that was copied. */
  public CoatClipboard coats() {
    return coats;
  }
}
