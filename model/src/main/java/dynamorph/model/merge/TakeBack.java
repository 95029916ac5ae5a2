package dynamorph.model.merge;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.pcollections.TreePVector;

/**
 * Brings single styles, artboards and swatches back to how they were in an earlier state, or back
 * at all, with what they need and is gone. All else stays as it is.
 */
public record TakeBack(
    Project earlier, Set<StyleId> styles, Set<ArtboardId> artboards, Set<String> swatches)
    implements Edit {
  public TakeBack {
    styles = Set.copyOf(styles);
    artboards = Set.copyOf(artboards);
    swatches = Set.copyOf(swatches);
  }

  public static TakeBack style(Project earlier, StyleId style) {
    return new TakeBack(earlier, Set.of(style), Set.of(), Set.of());
  }

  public static TakeBack artboard(Project earlier, ArtboardId artboard) {
    return new TakeBack(earlier, Set.of(), Set.of(artboard), Set.of());
  }

  public static TakeBack swatch(Project earlier, String swatch) {
    return new TakeBack(earlier, Set.of(), Set.of(), Set.of(swatch));
  }

  @Override
  public Project applyTo(Project before) {
    References references = new References(before, earlier);
    List<Artboard> boards =
        replaced(
                before.artboards(),
                earlier.artboards().stream()
                    .filter(board -> artboards.contains(board.id()))
                    .map(board -> withOwnIds(board, before)),
                Artboard::id)
            .stream()
            .map(references::withTracks)
            .toList();
    List<Style> styleList =
        references.styles(
            replaced(
                before.styles().list(),
                earlier.styles().stream().filter(style -> styles.contains(style.id())),
                Style::id),
            boards,
            before.baseStyle());
    List<Swatch> swatchList =
        references.swatches(
            replaced(
                before.palette().swatches(),
                earlier.palette().swatches().stream()
                    .filter(swatch -> swatches.contains(swatch.id())),
                Swatch::id),
            styleList,
            boards);
    List<Asset> assets = references.assets(before.assets(), styleList, boards);
    try {
      return new Project(
          before.name(),
          TreePVector.from(boards),
          StyleBook.of(styleList),
          new Palette(swatchList),
          before.baseStyle(),
          before.language(),
          before.words(),
          assets,
          before.exports(),
          before.survey(),
          before.documents(),
          before.sheetViews());
    } catch (IllegalArgumentException apart) {
      throw new EditRefused(
          Messages.of("take-back.does-not-go-together", String.valueOf(apart.getMessage())));
    }
  }

  /** A list with some of its things as they were, each in its place; what is gone comes last. */
  private static <K, T> List<T> replaced(List<T> present, Stream<T> earlier, Function<T, K> id) {
    List<T> list = new ArrayList<>(present);
    earlier.forEach(thing -> {
      Predicate<T> same = other -> id.apply(other).equals(id.apply(thing));
      int at = present.stream().map(same::test).toList().indexOf(true);
      if (at < 0) {
        list.add(thing);
      } else {
        list.set(at, thing);
      }
    });
    return list;
  }

  /** A layer that lies on another artboard by now stays there, and comes back as one of its own. */
  private static Artboard withOwnIds(Artboard board, Project present) {
    Set<LayerId> elsewhere = new HashSet<>();
    present.artboards().stream()
        .filter(other -> !other.id().equals(board.id()))
        .forEach(other -> other.layers().stream().map(Layer::id).forEach(elsewhere::add));
    Set<LayerId> taken = new HashSet<>(elsewhere);
    board.layers().stream().map(Layer::id).forEach(taken::add);
    return board.mapLayers(
        layer -> elsewhere.contains(layer.id()) ? layer.withId(free(layer.id(), taken)) : layer);
  }

  private static LayerId free(LayerId id, Set<LayerId> taken) {
    int number = 2;
    while (!taken.add(new LayerId(id + "-" + number))) {
      number++;
    }
    return new LayerId(id + "-" + number);
  }

  @Override
  public String label(Project before) {
    List<String> names =
        Stream.of(
                earlier.styles().stream().filter(one -> styles.contains(one.id())).map(Style::name),
                earlier.artboards().stream()
                    .filter(one -> artboards.contains(one.id()))
                    .map(Artboard::name),
                earlier.palette().swatches().stream()
                    .filter(one -> swatches.contains(one.id()))
                    .map(Swatch::name))
            .flatMap(one -> one)
            .toList();
    return Messages.of("take-back.take-back", String.join(", ", names));
  }
}
