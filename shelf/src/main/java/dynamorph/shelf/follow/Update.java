package dynamorph.shelf.follow;

import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Version;
import java.util.List;
import java.util.Optional;

/**
 * A style or swatch that a project has from a shelf, and in what the two differ by now.
 *
 * @param mine as it is in the project
 * @param taken the version that the project took last; empty if the shelf does not have it any more
 * @param newest how the shelf has it now; what it holds is empty if it was deleted there
 */
public record Update(
    Thing mine,
    Entry entry,
    Optional<Version> taken,
    Version newest,
    List<Difference> differences) {
  /** What it is about. */
  public sealed interface Thing {
    String name();

    record OfStyle(Style style) implements Thing {
      @Override
      public String name() {
        return style.name();
      }
    }

    record OfSwatch(Swatch swatch) implements Thing {
      @Override
      public String name() {
        return swatch.name();
      }
    }
  }

  /**
   * A part in which the project, the shelf now and the version that was taken are not all the same.
   * Values are in the terms of the shelf.
   *
   * @param before what the version that was taken says; what the project says where that version is
   *     gone and both sides have to be looked at
   * @param shelf what the shelf says now
   */
  public record Difference(Part part, Object before, Object mine, Object shelf, boolean known) {
    /** Whether the shelf has something else than what was taken. */
    public boolean isNewer() {
      return !shelf.equals(mine) && (!known || !shelf.equals(before));
    }

    /** Whether the project has something else than what was taken. */
    public boolean isMine() {
      return !shelf.equals(mine) && (!known || !mine.equals(before));
    }

    /** Whether both sides changed it otherwise. */
    public boolean isConflict() {
      return isNewer() && isMine();
    }
  }

  public Update {
    differences = List.copyOf(differences);
  }

  public boolean isDeleted() {
    return newest.kept().isEmpty();
  }

  /** Whether the shelf has a version that the project has neither taken nor left. */
  public boolean isNewer() {
    return !isDeleted()
        && taken.map(version -> !version.id().equals(newest.id())).orElse(true)
        && differences.stream().anyMatch(Difference::isNewer);
  }

  /** What the shelf has that the project could take. */
  public List<Difference> toTake() {
    return differences.stream().filter(Difference::isNewer).toList();
  }

  /** What the project has that could be put on the shelf. */
  public List<Difference> toPut() {
    return differences.stream().filter(Difference::isMine).toList();
  }
}
