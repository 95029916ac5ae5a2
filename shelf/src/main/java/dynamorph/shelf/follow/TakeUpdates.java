package dynamorph.shelf.follow;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.NamedReferences;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleReferences;
import dynamorph.model.style.Swatch;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.message.Messages;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Takes what is newer on a shelf into a project, by value. What is not taken stays as it is in the
 * project, and is then the project's own change: the shelf does not offer it again.
 *
 * @param chosen by the id of a style or swatch in the project, what is taken of it; empty for one
 *     that is left as it is
 */
public record TakeUpdates(
    Shelf shelf, Map<StyleId, Set<Part>> chosen, Map<String, Set<Part>> swatches) implements Edit {
  public TakeUpdates {
    chosen = Map.copyOf(chosen);
    swatches = Map.copyOf(swatches);
  }

  /** Takes everything that is newer; where both sides changed a value, the project's stays. */
  public static TakeUpdates all(Project project, Shelf shelf) {
    return of(shelf, Updates.newer(project, shelf), false);
  }

  /**
   * Takes all of some updates.
   *
   * @param overMine whether the shelf's value is taken where both sides changed it
   */
  public static TakeUpdates of(Shelf shelf, List<Update> updates, boolean overMine) {
    Map<StyleId, Set<Part>> chosen = new HashMap<>();
    Map<String, Set<Part>> swatches = new HashMap<>();
    for (Update update : updates) {
      Set<Part> parts =
          Set.copyOf(
              update.toTake().stream()
                  .filter(difference -> overMine || !difference.isConflict())
                  .map(Update.Difference::part)
                  .toList());
      switch (update.mine()) {
        case Update.Thing.OfStyle(Style style) -> chosen.put(style.id(), parts);
        case Update.Thing.OfSwatch(Swatch swatch) -> swatches.put(swatch.id(), parts);
      }
    }
    return new TakeUpdates(shelf, chosen, swatches);
  }

  @Override
  public Project applyTo(Project before) {
    Project project = withSwatches(before);
    Map<Style, Style> newest = new LinkedHashMap<>();
    for (Style style : before.styles().list()) {
      if (chosen.containsKey(style.id())) {
        newest(style).ifPresent(now -> newest.put(style, now));
      }
    }
    project = withNeeded(project, newest);
    Terms terms = new Terms(project, shelf.id());
    for (Map.Entry<Style, Style> each : newest.entrySet()) {
      Style mine = project.styles().get(each.getKey().id());
      Style theirs = terms.inProject(each.getValue(), mine.id());
      for (Part part : chosen.getOrDefault(mine.id(), Set.of())) {
        boolean roundInACircle =
            part == Part.Field.BASED_ON
                && theirs
                    .basedOn()
                    .filter(project.styles().family(mine.id())::contains)
                    .isPresent();
        mine = roundInACircle ? mine : Part.taken(mine, theirs, part);
      }
      mine =
          mine.withOrigin(
              mine.origin()
                  .flatMap(origin ->
                      shelf
                          .find(origin.entry())
                          .map(entry -> origin.at(entry.head().version().id()))));
      project = project.withStyles(project.styles().with(mine));
    }
    return project;
  }

  private Optional<Style> newest(Style style) {
    return style
        .origin()
        .filter(origin -> origin.shelf().equals(shelf.id()))
        .flatMap(origin -> shelf.kept(origin.entry()))
        .filter(Kept.OfStyle.class::isInstance)
        .map(kept -> ((Kept.OfStyle) kept).style());
  }

  private Project withSwatches(Project before) {
    Palette palette = before.palette();
    for (Swatch mine : before.palette().swatches()) {
      Optional<Set<Part>> parts = Optional.ofNullable(swatches.get(mine.id()));
      if (parts.isPresent() && mine.origin().isPresent()) {
        String entry = mine.origin().get().entry();
        if (shelf.kept(entry).orElse(null) instanceof Kept.OfSwatch(Swatch theirs, var _)) {
          Swatch taken = mine;
          for (Part part : parts.get()) {
            taken = part instanceof Part.OfSwatch one ? one.taken(taken, theirs) : taken;
          }
          String newest = shelf.find(entry).orElseThrow().head().version().id();
          palette = palette.with(taken.withOrigin(Optional.of(mine.origin().get().at(newest))));
        }
      }
    }
    return palette.equals(before.palette()) ? before : before.withPalette(palette);
  }

  /** What the taken values need: bases, swatches and images that are not in the project yet. */
  private Project withNeeded(Project project, Map<Style, Style> newest) {
    Terms terms = new Terms(project, shelf.id());
    List<String> wanted = new ArrayList<>();
    newest.forEach((mine, theirs) -> {
      Set<Part> parts = chosen.getOrDefault(mine.id(), Set.of());
      if (parts.contains(Part.Field.BASED_ON)) {
        theirs
            .basedOn()
            .map(StyleId::value)
            .filter(base -> terms.style(base).isEmpty())
            .ifPresent(wanted::add);
      }
      PropertySet taken = theirs.properties().where(key -> parts.contains(new Part.Value(key)));
      NamedReferences.in(List.of(taken)).swatches().stream()
          .filter(swatch -> terms.swatch(swatch).isEmpty())
          .forEach(wanted::add);
      StyleReferences.nestedIn(taken).stream()
          .map(StyleId::value)
          .filter(nested -> terms.style(nested).isEmpty())
          .forEach(wanted::add);
    });
    List<String> entries = newest.values().stream().map(style -> style.id().value()).toList();
    StyleBundle assets = shelf.bundle(entries);
    StyleBundle needed = shelf.bundle(wanted);
    return new ImportStyles(
            new StyleBundle(needed.styles(), needed.swatches(), assets.assets()), Map.of())
        .applyTo(project);
  }

  @Override
  public String label(Project before) {
    return Messages.of("take-updates.label", chosen.size() + swatches.size());
  }
}
