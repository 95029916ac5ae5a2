package dynamorph.shelf.folder;

import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.follow.PutOnShelf;
import java.io.IOException;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.List;
import java.util.SplittableRandom;

/** A process that puts styles on a shelf, two at a time, until it is done or killed. */
final class ShelfWorker {
  private ShelfWorker() {}

  public static void main(String[] arguments) throws IOException {
    String name = arguments[1];
    SplittableRandom random = new SplittableRandom(name.hashCode());
    ShelfFolder folder =
        new ShelfFolder(Path.of(arguments[0]), name, InstantSource.system(), random);
    int count = Integer.parseInt(arguments[2]);
    for (int index = 0; index < count / 2; index++) {
      Style one = Style.text("a", name + "-" + index + "-a", "");
      Style two = Style.text("b", name + "-" + index + "-b", "");
      Project project = Project.empty(name).withStyles(StyleBook.of(List.of(one, two)));
      Shelf seen = folder.read();
      folder.apply(
          PutOnShelf.of(project, seen, List.of(one.id(), two.id()), random).change(), seen);
    }
  }
}
