package dynamorph.formats.xliff;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Properties;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What of a project is translated: the paragraphs in its language. */
final class Units {
  /**
   * A paragraph of a text.
   *
   * @param index of the paragraph in its text
   */
  record Unit(Artboard artboard, Layer layer, int index) {
    Paragraph paragraph() {
      return layer.story().paragraphs().get(index);
    }

    /** What it is found again by. */
    String name() {
      return name(layer.id(), index);
    }

    static String name(LayerId layer, int index) {
      return layer.value() + "#" + index;
    }
  }

  private Units() {}

  /** All paragraphs that have letters, in the order of the artboards. */
  static List<Unit> of(Project project) {
    Cascade cascade = Cascade.of(project);
    List<Unit> units = new ArrayList<>();
    for (Artboard board : project.artboards()) {
      for (Layer layer : board.layers()) {
        if (!layer.isText()) {
          continue;
        }
        for (int index = 0; index < layer.story().paragraphs().size(); index++) {
          Unit unit = new Unit(board, layer, index);
          if (unit.paragraph().text().codePoints().anyMatch(Character::isLetter)
              && isIn(project.language(), language(unit, project, cascade))) {
            units.add(unit);
          }
        }
      }
    }
    return units;
  }

  /** Whether two tags are of one language, wherever it is spoken. */
  static boolean isIn(String one, String other) {
    return Locale.forLanguageTag(one)
        .getLanguage()
        .equals(Locale.forLanguageTag(other).getLanguage());
  }

  private static String language(Unit unit, Project project, Cascade cascade) {
    Optional<String> track = track(unit).map(Track.Captions::language);
    if (track.isPresent()) {
      return track.get();
    }
    Span first = unit.paragraph().spans().getFirst();
    return cascade
        .values(unit.layer(), unit.paragraph(), first)
        .get(Properties.LANGUAGE.key())
        .filter(said -> !said.equals(Properties.LANGUAGE.defaultValue()))
        .orElse(project.language());
  }

  /** The caption track that a cue stands on. */
  static Optional<Track.Captions> track(Unit unit) {
    return unit.layer()
        .timing()
        .map(Timing::track)
        .flatMap(id -> unit.artboard().timeline().flatMap(line -> line.track(id)))
        .filter(Track.Captions.class::isInstance)
        .map(Track.Captions.class::cast);
  }

  /** Whether words have a look of their own, which a translator has to keep. */
  static boolean isMarked(Span span) {
    return !span.follows().isEmpty() || !span.local().isEmpty() || !span.ruby().isEmpty();
  }
}
