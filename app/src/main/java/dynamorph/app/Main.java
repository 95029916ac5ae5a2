package dynamorph.app;

import java.util.List;
import javafx.application.Application;

/**
 * Starts the window: {@code demo [--screenshot FILE --view NAME]}, {@code open [FILE]} or, at the
 * end of a build, {@code training}. It is no application of the toolkit itself: of one the virtual
 * machine would start the toolkit before anything else.
 */
public final class Main {
  private Main() {}

  static void main(String[] arguments) {
    HeadStart.begin(List.of(arguments));
    Application.launch(Program.class, arguments);
  }
}
