package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.message.Messages;
import dynamorph.model.text.TextRange;
import java.util.LinkedHashSet;
import java.util.SequencedSet;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;

/** What an edit is about: whole layers, or a stretch of one layer's text. */
public sealed interface Target {
  /** The layers it touches. */
  Set<LayerId> layers();

  /** How people call it: {@code 3 texts}, {@code the selected words}. */
  String label();

  /**
   * A project in which what it is about is changed.
   *
   * @param whole changes a layer altogether
   * @param words changes some words of a layer
   */
  default Project map(
      Project before, UnaryOperator<Layer> whole, BiFunction<Layer, Words, Layer> words) {
    return before.mapLayers(
        layers(),
        layer ->
            switch (this) {
              case Layers _ -> whole.apply(layer);
              case Words some -> words.apply(layer, some);
            });
  }

  /** Whole layers. */
  record Layers(SequencedSet<LayerId> layers) implements Target {
    public Layers {
      layers = java.util.Collections.unmodifiableSequencedSet(new LinkedHashSet<>(layers));
    }

    public Layers(java.util.Collection<LayerId> ids) {
      this((SequencedSet<LayerId>) new LinkedHashSet<>(ids));
    }

    public static Layers of(String... ids) {
      return new Layers(java.util.Arrays.stream(ids).map(LayerId::new).toList());
    }

    @Override
    public String label() {
      return Messages.of("count.text", layers.size());
    }
  }

  /** Words of one layer; an empty range is the paragraph that the caret stands in. */
  record Words(LayerId layer, TextRange range) implements Target {
    @Override
    public Set<LayerId> layers() {
      return Set.of(layer);
    }

    @Override
    public String label() {
      return range.isEmpty()
          ? Messages.of("target.this-paragraph")
          : Messages.of("target.the-selected-words");
    }
  }
}
