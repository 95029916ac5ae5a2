package dynamorph.app.theme;

import java.lang.reflect.InvocationTargetException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Keeps threads apart that lay out letters of the interface.
 *
 * <p>The toolkit lays out what is written on a canvas while it renders, beside the interface thread
 * that lays out labels. Both borrow the same object if it is free, and it says that it is free
 * before it has let go of what it holds (JavaFX 26, {@code PangoGlyphLayout.dispose}): then both
 * free the same memory, and the process dies. Borrowed once and never given back, it is never free,
 * and everybody gets one of their own.
 */
public final class LetterLayouts {
  private static final Logger LOG = LoggerFactory.getLogger(LetterLayouts.class);
  private static final String MANAGER = "com.sun.javafx.text.GlyphLayoutManager";
  private static @Nullable Object borrowed;

  private LetterLayouts() {}

  /**
   * To be called on the interface thread, before anything is shown; again it does nothing. Where
   * the toolkit has no such object there is nothing to do either.
   */
  public static synchronized void keepApart() {
    if (borrowed != null) {
      return;
    }
    try {
      borrowed = Class.forName(MANAGER).getMethod("getInstance").invoke(null);
    } catch (ClassNotFoundException
        | NoSuchMethodException
        | IllegalAccessException
        | InvocationTargetException another) {
      LOG.info("The toolkit lays out letters in a way of its own: {}", another.toString());
    }
  }
}
