package dynamorph.bench;

import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import java.util.ArrayList;
import java.util.List;

/** Bytes of heap for each plain text of a large project, its resolved values included. */
public final class StyleMemory {
  private static final int COLLECTIONS = 4;

  private StyleMemory() {}

  public static void main(String[] arguments) {
    long empty = used();
    Project project = StyleSystem.project();
    long model = used() - empty;
    Cascade cascade = Cascade.of(project);
    List<Object> resolved = new ArrayList<>(StyleSystem.LAYERS);
    project.layers().map(cascade::resolve).forEach(resolved::add);
    long all = used() - empty;
    System.out.printf(
        "%d texts: %d bytes each in the project, %d with everything resolved and kept%n",
        resolved.size(), model / StyleSystem.LAYERS, all / StyleSystem.LAYERS);
    if (project.artboards().isEmpty() || cascade == null) {
      throw new IllegalStateException("they are held until here");
    }
  }

  private static long used() {
    for (int round = 0; round < COLLECTIONS; round++) {
      System.gc();
    }
    Runtime runtime = Runtime.getRuntime();
    return runtime.totalMemory() - runtime.freeMemory();
  }
}
