package dynamorph.model.survey;

import dynamorph.model.LayerId;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.TextRange;
import java.util.Optional;

/** What a finding is about. */
public sealed interface Spot {
  /** What it is told from others by, the same as long as it is the same thing. */
  String id();

  /** A text of the project, or words of it. */
  record InText(LayerId layer, Optional<TextRange> words) implements Spot {
    public InText(LayerId layer) {
      this(layer, Optional.empty());
    }

    @Override
    public String id() {
      return layer.value();
    }
  }

  /** A style. */
  record OfStyle(StyleId style) implements Spot {
    @Override
    public String id() {
      return style.value();
    }
  }

  /** A swatch, by its id. */
  record OfSwatch(String swatch) implements Spot {
    @Override
    public String id() {
      return swatch;
    }
  }

  /** A file that travels with the project, by its name. */
  record OfAsset(String name) implements Spot {
    @Override
    public String id() {
      return name;
    }
  }
}
