package dynamorph.app.window;

import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.value.ObservableValue;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import org.jspecify.annotations.Nullable;

/**
 * The place of a pane that is made when it is first wanted: what nobody has opened yet costs the
 * start of the window nothing.
 */
public final class LatePane<P extends Region> extends StackPane {
  private final Supplier<P> make;
  private final boolean decides;
  private @Nullable P made;

  private LatePane(boolean decides, Supplier<P> make) {
    this.decides = decides;
    this.make = make;
    // empty or not, what lies behind is reached beside the pane
    setPickOnBounds(false);
    setVisible(false);
    managedProperty().bind(visibleProperty());
  }

  /** Of a pane that is seen for as long as it is wanted. */
  public static <P extends Region> LatePane<P> during(
      ObservableValue<Boolean> wanted, Supplier<P> make) {
    LatePane<P> place = new LatePane<>(true, make);
    place
        .visibleProperty()
        .addListener((_, _, shown) -> {
          if (shown) {
            place.get();
          }
        });
    place.visibleProperty().bind(wanted);
    return place;
  }

  /** Of a pane that shows and hides itself. */
  public static <P extends Region> LatePane<P> showingItself(Supplier<P> make) {
    return new LatePane<>(false, make);
  }

  /** Does something with the pane, if anybody wanted it. */
  public void ifMade(Consumer<P> work) {
    P pane = made;
    if (pane != null) {
      work.accept(pane);
    }
  }

  /** The pane, made now if nobody wanted it before. */
  public P get() {
    P pane = made;
    if (pane == null) {
      pane = make.get();
      made = pane;
      getChildren().add(pane);
      if (decides) {
        // it becomes visible after it was made, and hears of that
        pane.setVisible(false);
        pane.visibleProperty().bind(visibleProperty());
      } else {
        visibleProperty().bind(pane.visibleProperty());
      }
    }
    return pane;
  }
}
