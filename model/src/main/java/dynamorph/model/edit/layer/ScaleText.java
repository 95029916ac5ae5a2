package dynamorph.model.edit.layer;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Sets a text larger or smaller about a point that stays: all sizes in it, and leadings in points.
 * Its letters are set anew, as sharp as before; what is measured in em grows with them.
 *
 * @param start the layer as it was before; a drag scales it again and again from there
 * @param factor of its sizes, positive
 * @param awayX how far right of the point that stays the anchor was, in points of the artboard
 * @param awayY how far below the point that stays the anchor was, in points of the artboard
 */
public record ScaleText(Layer start, double factor, double awayX, double awayY) implements Edit {
  /** Sizes that differ by less are the same, in points. */
  private static final double SAME = 0.005;

  public ScaleText {
    if (!(factor > 0) || !Double.isFinite(factor)) {
      throw new IllegalArgumentException("factor " + factor);
    }
  }

  /** What a piece of the story is set in; the leading only if it is in points. */
  private record Piece(TextRange range, double size, Optional<Leading.Absolute> leading) {
    Piece times(double factor) {
      return new Piece(range, scaled(size, factor), leading.map(known -> scaled(known, factor)));
    }

    boolean isAs(Piece other) {
      return Math.abs(size - other.size) < SAME && leading.equals(other.leading);
    }

    PropertySet values() {
      PropertySet values = PropertySet.EMPTY.with(Properties.SIZE, new FontSize.Absolute(size));
      return leading.isPresent() ? values.with(Properties.LEADING, leading.get()) : values;
    }
  }

  /** In hundredths of a point. */
  private static double scaled(double size, double factor) {
    return Math.clamp(Math.rint(size * factor * 100) / 100, FontSize.SMALLEST, FontSize.LARGEST);
  }

  private static Leading.Absolute scaled(Leading.Absolute leading, double factor) {
    return new Leading.Absolute(
        Math.clamp(Math.rint(leading.points() * factor * 100) / 100, 0, FontSize.LARGEST));
  }

  @Override
  public Project applyTo(Project before) {
    if (before.layer(start.id()).isEmpty()) {
      return before;
    }
    LockedLayers.free(before, Set.of(start.id()));
    Project project = before.mapLayers(Set.of(start.id()), _ -> start);
    Cascade cascade = Cascade.of(project);
    List<Piece> wanted = pieces(cascade, start).stream().map(piece -> piece.times(factor)).toList();
    PropertySet place = place(cascade.values(start));
    Target.Layers all = new Target.Layers(List.of(start.id()));
    project = SetValues.of(all, most(wanted).values().overlaidBy(place)).applyTo(project);
    List<Piece> got = pieces(cascade, project.layer(start.id()).orElseThrow());
    for (Piece piece : wanted) {
      if (!piece.range().isEmpty() && !piece.isAs(at(got, piece.range().start()))) {
        Target.Words words = new Target.Words(start.id(), piece.range());
        project = SetValues.of(words, piece.values()).applyTo(project);
      }
    }
    return project;
  }

  /** The piece of a letter; pieces that became alike are one. */
  private static Piece at(List<Piece> pieces, int offset) {
    return pieces.stream()
        .filter(piece -> piece.range().start() <= offset && offset < piece.range().end())
        .findFirst()
        .orElseThrow();
  }

  private PropertySet place(PropertySet values) {
    double x = values.get(Properties.POSITION_X.key()).orElse(0.0);
    double y = values.get(Properties.POSITION_Y.key()).orElse(0.0);
    return PropertySet.EMPTY
        .with(Properties.POSITION_X, x + awayX * (factor - 1))
        .with(Properties.POSITION_Y, y + awayY * (factor - 1));
  }

  private static List<Piece> pieces(Cascade cascade, Layer layer) {
    Layer dressed = cascade.dressed(layer);
    ResolvedLayer look = cascade.resolve(layer);
    List<Piece> pieces = new ArrayList<>();
    for (int index = 0; index < dressed.story().paragraphs().size(); index++) {
      Paragraph paragraph = dressed.story().paragraphs().get(index);
      int at = dressed.story().startOf(index);
      for (int span = 0; span < paragraph.spans().size(); span++) {
        Span words = paragraph.spans().get(span);
        pieces.add(
            new Piece(
                new TextRange(at, at + words.length()),
                look.paragraphs().get(index).spans().get(span).type().size(),
                leading(cascade.values(dressed, paragraph, words))));
        at += words.length();
      }
    }
    return pieces;
  }

  private static Optional<Leading.Absolute> leading(PropertySet values) {
    return values
        .get(Properties.LEADING.key())
        .filter(Leading.Absolute.class::isInstance)
        .map(Leading.Absolute.class::cast);
  }

  /** What most of the text is set in. */
  private static Piece most(List<Piece> pieces) {
    return pieces.stream()
        .max((one, two) -> Integer.compare(letters(pieces, one), letters(pieces, two)))
        .orElseThrow();
  }

  private static int letters(List<Piece> pieces, Piece like) {
    return pieces.stream()
        .filter(piece -> piece.isAs(like))
        .mapToInt(piece -> piece.range().length())
        .sum();
  }

  @Override
  public String label(Project before) {
    return Messages.of("scale-text.scale", new Target.Layers(List.of(start.id())).label());
  }
}
