package dynamorph.bench;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;

/**
 * Times the start of the program beside that of an empty window, in turn, as somebody waits for it:
 * from starting the process to the first picture of the artboards, and to the first click that is
 * answered. Arguments: the arguments of the virtual machine for the window and the folder of the
 * benchmarks' classes as a jar.
 */
public final class StartTimes {
  static final String PAINTED = "painted";
  private static final String ANSWERED = "answered";
  private static final long LONGEST_WAIT = 10_000_000_000L;
  private static final int ROUNDS = 7;

  private StartTimes() {}

  static void main(String[] arguments) throws IOException, InterruptedException {
    List<String> bare = List.of(arguments).subList(1, arguments.length);
    List<String> window = new ArrayList<>(List.of("@" + arguments[0]));
    double[][] empty = new double[2][ROUNDS];
    double[][] program = new double[2][ROUNDS];
    for (int round = -1; round < ROUNDS; round++) {
      double[] first = start(bare, "EmptyWindow");
      double[] second = start(window, "StartedWindow");
      if (round >= 0) {
        for (int what = 0; what < 2; what++) {
          empty[what][round] = first[what];
          program[what][round] = second[what];
        }
      }
    }
    System.out.printf("medians of %d starts, in turn%n", ROUNDS);
    tell("to the first picture", empty[0], program[0]);
    tell("to the first answered click", empty[1], program[1]);
  }

  private static void tell(String what, double[] empty, double[] program) {
    Arrays.sort(empty);
    Arrays.sort(program);
    double least = empty[ROUNDS / 2];
    double ours = program[ROUNDS / 2];
    System.out.printf(
        "%s: empty window %.0f ms, Dynamorph %.0f ms (%.0f to %.0f), %.2f times%n",
        what, least, ours, program[0], program[ROUNDS - 1], ours / least);
  }

  private static double[] start(List<String> options, String main)
      throws IOException, InterruptedException {
    List<String> command = new ArrayList<>();
    command.add(System.getProperty("java.home") + File.separator + "bin" + File.separator + "java");
    command.addAll(options);
    command.add("dynamorph.bench." + main);
    long begun = System.nanoTime();
    Process process =
        new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.INHERIT).start();
    double painted = 0;
    double answered = 0;
    try (BufferedReader lines = process.inputReader()) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        double now = (System.nanoTime() - begun) / 1e6;
        if (line.equals(PAINTED)) {
          painted = now;
        } else if (line.equals(ANSWERED)) {
          answered = now;
        }
      }
    }
    process.waitFor();
    if (answered == 0) {
      throw new IOException(main + " did not answer a click.");
    }
    return new double[] {painted, answered};
  }

  /** Clicks in the window until that is answered, says so and ends the program. */
  static void click(double x, double y, BooleanSupplier unanswered) {
    new Clicks(new Robot(), x, y, unanswered).begin();
  }

  /** A click may come before the screen knows of the window; then it is clicked once more. */
  private static final class Clicks {
    private static final long BETWEEN = 1_500_000_000L;

    private final Robot robot;
    private final double x;
    private final double y;
    private final BooleanSupplier unanswered;
    private final long until = System.nanoTime() + LONGEST_WAIT;
    private long again;

    Clicks(Robot robot, double x, double y, BooleanSupplier unanswered) {
      this.robot = robot;
      this.x = x;
      this.y = y;
      this.unanswered = unanswered;
    }

    void begin() {
      robot.mouseMove(x, y);
      robot.mouseClick(MouseButton.PRIMARY);
      again = System.nanoTime() + BETWEEN;
      await();
    }

    private void await() {
      if (!unanswered.getAsBoolean()) {
        System.out.println(ANSWERED);
        Platform.exit();
      } else if (System.nanoTime() >= until) {
        Platform.exit();
      } else if (System.nanoTime() >= again) {
        begin();
      } else {
        Platform.runLater(this::await);
      }
    }
  }
}
