package dynamorph.model.edit.text;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;

/** Asks for another family wherever one is asked for: in styles and in local changes. */
public record ReplaceFont(String family, String replacement) implements Edit {
  @Override
  public Project applyTo(Project before) {
    StyleBook styles = before.styles();
    for (Style style : before.styles().list()) {
      PropertySet changed = changed(style.properties());
      if (changed != style.properties()) {
        styles = styles.with(style.withProperties(changed));
      }
    }
    Project project = styles == before.styles() ? before : before.withStyles(styles);
    return project
        .mapCaptions(track -> track.withLocal(changed(track.local())))
        .mapLayers(this::changed);
  }

  private Layer changed(Layer layer) {
    PropertySet local = changed(layer.local());
    var story =
        layer
            .story()
            .mapParagraphs(paragraph -> {
              PropertySet own = changed(paragraph.local());
              var spans =
                  paragraph.spans().stream()
                      .map(span -> {
                        PropertySet set = changed(span.local());
                        return set == span.local() ? span : span.withLocal(set);
                      })
                      .toList();
              boolean same = own == paragraph.local() && spans.equals(paragraph.spans());
              return same ? paragraph : paragraph.withLocal(own).withSpans(spans);
            });
    boolean same = local == layer.local() && story.equals(layer.story());
    return same ? layer : layer.withLocal(local).withStory(story);
  }

  private PropertySet changed(PropertySet set) {
    boolean asks =
        set.get(Properties.FONT_FAMILY.key()).filter(family::equalsIgnoreCase).isPresent();
    return asks ? set.with(Properties.FONT_FAMILY, replacement) : set;
  }

  @Override
  public String label(Project before) {
    return Messages.of("replace-font.replace-by", family, replacement);
  }
}
