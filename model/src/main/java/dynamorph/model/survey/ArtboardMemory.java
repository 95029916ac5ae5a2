package dynamorph.model.survey;

import dynamorph.model.Artboard;
import dynamorph.model.Project;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * What was read from artboards, for as long as they stay as they are, so that after an edit only
 * the changed ones are read. One thread at a time.
 *
 * @param <T> what is read from one artboard; it has to come from nothing else that changes
 */
public final class ArtboardMemory<T> {
  private Map<Artboard, T> known = new IdentityHashMap<>();

  /**
   * What is read from each artboard of a project, in order.
   *
   * @param reader may be asked on several threads
   */
  public List<T> of(Project project, Function<Artboard, T> reader) {
    List<T> read =
        project.artboards().parallelStream()
            .map(board -> {
              T earlier = known.get(board);
              return earlier == null ? reader.apply(board) : earlier;
            })
            .toList();
    known = new IdentityHashMap<>(2 * read.size());
    for (int index = 0; index < read.size(); index++) {
      known.put(project.artboards().get(index), read.get(index));
    }
    return read;
  }
}
