package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.message.Messages;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.SequencedSet;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** What an edit is about: whole layers, a stretch of one layer's text, or several stretches. */
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
              case Passages some -> {
                Layer changed = layer;
                for (Words passage : some.of(layer.id())) {
                  changed = words.apply(changed, passage);
                }
                yield changed;
              }
            });
  }

  /** The part of it that lies in one of its layers. */
  default Target in(LayerId layer) {
    return switch (this) {
      case Layers _ -> new Layers(List.of(layer));
      case Words some -> some;
      case Passages some -> new Passages(some.of(layer));
    };
  }

  /** Whether it is about words or paragraphs, not about whole layers. */
  default boolean isWithinText() {
    return !(this instanceof Layers);
  }

  /** Whether it names paragraphs as a whole. */
  default boolean isOfParagraphs() {
    return switch (this) {
      case Layers _ -> false;
      case Words some -> some.range().isEmpty();
      case Passages some -> some.passages().stream().allMatch(Words::isOfParagraphs);
    };
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

    /** The same with a paragraph named by its letters. */
    public Words inLetters(Project project) {
      return project
          .layer(layer)
          .filter(_ -> isOfParagraphs())
          .map(Layer::story)
          .map(story -> new Words(layer, story.rangeOf(story.paragraphAt(range.start()))))
          .orElse(this);
    }

    /** The text with only these words, or with only the paragraph that is named. */
    public Layer part(Layer whole) {
      Story story = whole.story();
      return whole.withStory(
          story.slice(isOfParagraphs() ? story.rangeOf(story.paragraphAt(range.start())) : range));
    }

    @Override
    public String label() {
      return range.isEmpty()
          ? Messages.of("target.this-paragraph")
          : Messages.of("target.the-selected-words");
    }
  }

  /**
   * Words or paragraphs in several places. An edit of them is that of each in turn: none of them
   * may add or take letters.
   */
  record Passages(List<Words> passages) implements Target {
    public Passages {
      passages = List.copyOf(passages);
    }

    @Override
    public Set<LayerId> layers() {
      SequencedSet<LayerId> layers = new LinkedHashSet<>();
      passages.forEach(passage -> layers.add(passage.layer()));
      return java.util.Collections.unmodifiableSequencedSet(layers);
    }

    /** Those in one layer. */
    public List<Words> of(LayerId layer) {
      return passages.stream().filter(passage -> passage.layer().equals(layer)).toList();
    }

    /** A project in which each was changed in turn. */
    public Project each(Project before, Function<Words, Edit> edit) {
      Project changed = before;
      for (Words passage : passages) {
        changed = edit.apply(passage).applyTo(changed);
      }
      return changed;
    }

    @Override
    public String label() {
      return Messages.of(isOfParagraphs() ? "count.paragraph" : "count.passage", passages.size());
    }
  }
}
