package dynamorph.model.edit.text;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.TextRange;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Gives texts other words altogether, in the look that their first letters have.
 *
 * @param language of the words; set by hand where it is not what the text has
 */
public record FillWithPlaceholder(List<Filling> fillings, String language) implements Edit {
  /** The new words of one text. */
  public record Filling(LayerId layer, String words) {}

  public FillWithPlaceholder {
    fillings = List.copyOf(fillings);
  }

  @Override
  public Project applyTo(Project before) {
    Project project = before;
    for (Filling filling : fillings) {
      if (before.layer(filling.layer).filter(Layer::isText).isEmpty()) {
        continue;
      }
      project =
          project.mapLayers(
              Set.of(filling.layer),
              layer -> {
                TextRange all = layer.story().all();
                return layer.withStory(layer.story().replace(all, filling.words));
              });
      if (!isSpoken(project, filling.layer)) {
        Target target = new Target.Layers(List.of(filling.layer));
        PropertySet spoken = PropertySet.EMPTY.with(Properties.LANGUAGE, language);
        project = SetValues.of(target, spoken).applyTo(project);
      }
    }
    return project;
  }

  /** Whether a text is in the language already, of whatever region. */
  private boolean isSpoken(Project project, LayerId id) {
    String own =
        project
            .layer(id)
            .flatMap(layer -> Cascade.of(project).values(layer).get(Properties.LANGUAGE.key()))
            .filter(tag -> !tag.equals(Properties.LANGUAGE.defaultValue()))
            .orElse(project.language());
    return Locale.forLanguageTag(own)
        .getLanguage()
        .equals(Locale.forLanguageTag(language).getLanguage());
  }

  @Override
  public String label(Project before) {
    return Messages.of("fill-with-placeholder.fill-with-placeholder-text");
  }
}
