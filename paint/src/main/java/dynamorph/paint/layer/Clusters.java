package dynamorph.paint.layer;

import dynamorph.paint.geometry.Edges;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.List;

/**
 * Unites shapes where they meet. Uniting many at once takes long, so those apart are left alone.
 */
final class Clusters {
  /** A shape that others were united with, and its box. */
  private static final class Cluster {
    private Path path;
    private Rect box;

    Cluster(Path path) {
      this.path = path;
      this.box = path.getBounds();
    }

    void take(Cluster other) {
      try (Path mine = path;
          Path theirs = other.path) {
        path = Edges.union(mine, theirs);
      }
      box = path.getBounds();
    }
  }

  private Clusters() {}

  /** Half and half, so that the large ones are united only a few times. */
  private static List<Cluster> clusters(List<Path> shapes) {
    if (shapes.size() <= 1) {
      return new ArrayList<>(shapes.stream().map(Cluster::new).toList());
    }
    int middle = shapes.size() / 2;
    List<Cluster> clusters = clusters(shapes.subList(0, middle));
    for (Cluster cluster : clusters(shapes.subList(middle, shapes.size()))) {
      Cluster one = cluster;
      for (int index = clusters.size() - 1; index >= 0; index--) {
        if (clusters.get(index).box.intersect(one.box) != null) {
          Cluster met = clusters.remove(index);
          met.take(one);
          one = met;
        }
      }
      clusters.add(one);
    }
    return clusters;
  }

  /** All shapes as one; takes them over and closes them. The caller closes the result. */
  static Path united(List<Path> shapes) {
    List<Cluster> clusters = clusters(shapes);
    if (clusters.size() == 1) {
      return clusters.getFirst().path;
    }
    try (PathBuilder all =
        new PathBuilder(
            clusters.isEmpty()
                ? io.github.humbleui.skija.PathFillMode.WINDING
                : clusters.getFirst().path.getFillMode())) {
      for (Cluster cluster : clusters) {
        try (Path path = cluster.path) {
          all.addPath(path);
        }
      }
      return all.detach();
    }
  }
}
