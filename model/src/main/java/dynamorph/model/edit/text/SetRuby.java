package dynamorph.model.edit.text;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.text.RubyBase;
import dynamorph.model.text.TextRange;
import java.util.Set;

/**
 * Says how letters of a text are read; letters that are read together already stay together.
 *
 * @param ruby what stands over the letters; empty to take it away
 */
public record SetRuby(LayerId layer, TextRange range, String ruby) implements Edit {
  public SetRuby {
    ruby = RubyBase.cleaned(ruby);
  }

  @Override
  public Project applyTo(Project before) {
    return before.mapLayers(
        Set.of(layer),
        target -> {
          TextRange whole = target.story().wholeBases(range);
          if (whole.isEmpty()) {
            throw new EditRefused(Messages.of("set-ruby.select-the-letters-that-the-ruby"));
          }
          return target.withStory(target.story().mapSpans(whole, span -> span.withRuby(ruby)));
        });
  }

  @Override
  public String label(Project before) {
    return ruby.isEmpty() ? Messages.of("set-ruby.remove-ruby") : Messages.of("set-ruby.set-ruby");
  }
}
