package dynamorph.typeset.font;

import io.github.humbleui.skija.impl.Library;

/**
 * The native library that reads fonts and paints, loaded whole before anybody uses it. By itself it
 * takes itself for loaded a moment too early, before its native part knows the classes it makes: a
 * second thread that came in that moment would end the process.
 */
public final class Skia {
  static {
    Library.load();
  }

  private Skia() {}

  /** Returns once it can be used; waits while another thread loads it. Any thread. */
  public static void ready() {
    // the class is initialised by then, which is all that is wanted
  }
}
