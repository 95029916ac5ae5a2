package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.impl.Library;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.RepeatedTest;

/** Threads that come to the native library at the same moment wait until it is loaded whole. */
class FirstUseTest {
  private static final int THREADS = 2;

  /** A PNG of one pixel. */
  private static final byte[] PIXEL =
      Base64.getDecoder()
          .decode(
              "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==");

  @RepeatedTest(2)
  void allThreadsMayComeFirst() throws IOException, InterruptedException {
    Process process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                FirstUseTest.class.getName())
            .redirectErrorStream(true)
            .start();
    String said = new String(process.getInputStream().readAllBytes());
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(process.exitValue()).as(said).isZero();
  }

  /**
   * Reads a picture on several threads, of which all but one come when it says that it is loaded.
   */
  static void main(String[] arguments) throws InterruptedException {
    List<Thread> threads = new ArrayList<>();
    for (int thread = 0; thread < THREADS; thread++) {
      threads.add(
          Thread.ofPlatform()
              .start(() -> {
                while (!Library._loaded) {
                  Thread.onSpinWait();
                }
                read();
              }));
    }
    // by another class of the library, whose own initialisation nobody waits for
    new Paint().close();
    for (Thread thread : threads) {
      thread.join();
    }
  }

  private static void read() {
    if (ImageSize.of(PIXEL).isEmpty()) {
      System.exit(1);
    }
  }
}
