package dynamorph.app.finish;

import dynamorph.app.message.Messages;
import dynamorph.app.property.Subject;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.StrokePosition;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What coats and effects are called: their own name, else what they are. */
final class CoatNames {
  private CoatNames() {}

  static String ofCoat(Subject now, Address coat) {
    Optional<CoatKind> kind = now.shown(Properties.COAT_KIND.at(coat)).value();
    if (kind.isEmpty()) {
      // of several layers only some have it
      return coat.coat().substring(0, 1).toUpperCase(Locale.ROOT) + coat.coat().substring(1);
    }
    String own = now.shown(Properties.COAT_NAME.at(coat)).value().orElse("");
    if (!own.isBlank()) {
      return own;
    }
    if (kind.get() == CoatKind.FILL) {
      return Messages.of("finish-editor.fill-2");
    }
    StrokePosition position =
        now.shown(Properties.STROKE_POSITION.at(coat)).value().orElse(StrokePosition.CENTRE);
    return switch (position) {
      case INSIDE -> Messages.of("finish-editor.stroke-inside");
      case CENTRE -> Messages.of("finish-editor.stroke-2");
      case OUTSIDE -> Messages.of("finish-editor.stroke-outside");
    };
  }

  static String ofEffect(Subject now, Address effect) {
    String own = now.shown(Properties.EFFECT_NAME.at(effect)).value().orElse("");
    return own.isBlank()
        ? now.shown(Properties.EFFECT_KIND.at(effect))
            .value()
            .map(FinishRows::name)
            .orElse(effect.effect())
        : own;
  }

  /** All coats together, with their opacity and whether they are masked. */
  static String ofAll(Subject now, Address whole) {
    List<String> words = new ArrayList<>();
    words.add(Messages.of("finish-editor.all-coats-together"));
    now.shown(Properties.COAT_OPACITY.at(whole))
        .value()
        .filter(opacity -> opacity < 1)
        .ifPresent(opacity -> words.add(Numbers.format(Math.rint(opacity * 100)) + " %"));
    if (FinishRows.paint(now, whole) != PaintKind.SOLID) {
      words.add(Messages.of("finish-editor.masked"));
    }
    return String.join(" · ", words);
  }
}
