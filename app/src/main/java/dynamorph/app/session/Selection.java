package dynamorph.app.session;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.text.TextRange;
import dynamorph.typeset.layout.CaretPlace;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.SequencedSet;

/**
 * What is selected: layers, words of one layer that is being edited in place, or parts of texts
 * that are listed side by side.
 *
 * @param cursor the place of the caret, while a text is edited
 * @param passages the parts, if parts are selected; never beside a caret
 */
public record Selection(
    SequencedSet<LayerId> layers, Optional<Cursor> cursor, List<Target.Words> passages) {
  /**
   * A caret with the other end of the selected words.
   *
   * @param anchor offset where the selecting began
   * @param caret offset where the caret stands
   * @param trailing whether the caret stands behind the letter before it instead of before the one
   *     behind it; the two are apart where directions meet
   */
  public record Cursor(LayerId layer, int anchor, int caret, boolean trailing) {
    public Cursor(LayerId layer, int anchor, int caret) {
      this(layer, anchor, caret, false);
    }

    public CaretPlace place() {
      return new CaretPlace(caret, trailing);
    }

    public TextRange range() {
      return TextRange.between(anchor, caret);
    }
  }

  public static final Selection NONE =
      new Selection(new LinkedHashSet<>(), Optional.empty(), List.of());

  public Selection {
    layers = Collections.unmodifiableSequencedSet(new LinkedHashSet<>(layers));
    passages = List.copyOf(passages);
  }

  public static Selection of(Iterable<LayerId> ids) {
    SequencedSet<LayerId> layers = new LinkedHashSet<>();
    ids.forEach(layers::add);
    return new Selection(layers, Optional.empty(), List.of());
  }

  /** Parts of texts. */
  public static Selection ofPassages(List<Target.Words> passages) {
    SequencedSet<LayerId> layers = new LinkedHashSet<>();
    passages.forEach(passage -> layers.add(passage.layer()));
    return new Selection(layers, Optional.empty(), passages);
  }

  public static Selection editing(LayerId layer, int anchor, int caret) {
    return new Selection(
        new LinkedHashSet<>(List.of(layer)),
        Optional.of(new Cursor(layer, anchor, caret)),
        List.of());
  }

  public static Selection editing(Cursor cursor) {
    return new Selection(
        new LinkedHashSet<>(List.of(cursor.layer())), Optional.of(cursor), List.of());
  }

  public boolean isEmpty() {
    return layers.isEmpty();
  }

  public boolean contains(LayerId id) {
    return layers.contains(id);
  }

  public Selection toggled(LayerId id) {
    SequencedSet<LayerId> changed = new LinkedHashSet<>(layers);
    if (!changed.remove(id)) {
      changed.add(id);
    }
    return Selection.of(changed);
  }

  public Selection with(Iterable<LayerId> more) {
    SequencedSet<LayerId> changed = new LinkedHashSet<>(layers);
    more.forEach(changed::add);
    return Selection.of(changed);
  }

  /** What an edit of the selection is about. */
  public Target target() {
    return cursor
        .<Target>map(at -> new Target.Words(at.layer(), at.range()))
        .orElseGet(
            () -> passages.isEmpty() ? new Target.Layers(layers) : new Target.Passages(passages));
  }

  /** Without what is no longer in the project; a caret stays within its text. */
  public Selection within(Project project) {
    if (cursor.isPresent()) {
      Cursor at = cursor.get();
      return project
          .layer(at.layer())
          .map(layer ->
              editing(
                  new Cursor(
                      at.layer(),
                      Math.min(at.anchor(), layer.story().length()),
                      Math.min(at.caret(), layer.story().length()),
                      at.trailing() && at.caret() <= layer.story().length())))
          .filter(inside -> !inside.equals(this))
          .orElse(project.layer(at.layer()).isPresent() ? this : NONE);
    }
    if (!passages.isEmpty()) {
      List<Target.Words> left =
          passages.stream().filter(passage -> isIn(project, passage)).toList();
      return left.size() == passages.size() ? this : ofPassages(left);
    }
    SequencedSet<LayerId> left = new LinkedHashSet<>(layers);
    java.util.Set<LayerId> there = new java.util.HashSet<>();
    project.layers().forEach(layer -> there.add(layer.id()));
    left.retainAll(there);
    return left.size() == layers.size() ? this : Selection.of(left);
  }

  private static boolean isIn(Project project, Target.Words passage) {
    return project
        .layer(passage.layer())
        .filter(layer -> passage.range().end() <= layer.story().length())
        .isPresent();
  }
}
