package dynamorph.model.edit.importing;

import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Recoloured;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleReferences;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Brings styles of another project along. One of the same entry of a shelf is the one that is here,
 * and so is one with the same name and the same values; where only the name is the same, the person
 * has chosen.
 *
 * @param choices by the id that a style has in the bundle; {@link Choice#MINE} where nothing is
 *     said
 * @param swatchChoices by the id that a swatch has in the bundle; {@link Choice#BOTH} where nothing
 *     is said
 */
public record ImportStyles(
    StyleBundle bundle, Map<StyleId, Choice> choices, Map<String, Choice> swatchChoices)
    implements Edit {
  /** What becomes of a style or swatch whose name is taken. */
  public enum Choice {
    THEIRS(Messages.of("import-styles.take-theirs")),
    MINE(Messages.of("import-styles.keep-mine")),
    BOTH(Messages.of("import-styles.keep-both"));

    private final String label;

    Choice(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  /** Two styles of one name. */
  public record Collision(Style mine, Style theirs) {}

  /** Two swatches of one name. */
  public record SwatchCollision(Swatch mine, Swatch theirs) {
    /** Whether it is one of the project's own that was changed elsewhere. */
    public boolean isOwn() {
      return mine.id().equals(theirs.id());
    }
  }

  public ImportStyles {
    choices = Map.copyOf(choices);
    swatchChoices = Map.copyOf(swatchChoices);
  }

  /** With swatches of taken names beside those that are here. */
  public ImportStyles(StyleBundle bundle, Map<StyleId, Choice> choices) {
    this(bundle, choices, Map.of());
  }

  /** Swatches of the bundle whose names stand for another colour in the project. */
  public static List<SwatchCollision> swatchCollisions(Project project, StyleBundle bundle) {
    return bundle.swatches().stream()
        .flatMap(theirs ->
            Arrival.same(project, theirs).isPresent()
                ? Stream.empty()
                : Arrival.namesake(project, theirs)
                    .map(mine -> new SwatchCollision(mine, theirs))
                    .stream())
        .toList();
  }

  /** Styles of the bundle whose names stand for something else in the project. */
  public static List<Collision> collisions(Project project, StyleBundle bundle) {
    return collisions(project, bundle, Map.of());
  }

  /** The same once it is settled what becomes of swatches. */
  public static List<Collision> collisions(
      Project project, StyleBundle bundle, Map<String, Choice> swatchChoices) {
    Arrival arrival = new Arrival(project, new ImportStyles(bundle, Map.of(), swatchChoices));
    return bundle.styles().stream()
        .filter(theirs -> arrival.ofOneOrigin(theirs).isEmpty())
        .flatMap(theirs ->
            arrival
                .namesake(theirs)
                .filter(mine -> !arrival.isSame(mine, theirs))
                .map(mine -> new Collision(mine, theirs))
                .stream())
        .toList();
  }

  /** A project that styles have come to, with the ids that they have there. */
  public record Arrived(
      Project project, Map<StyleId, StyleId> styles, Map<String, String> swatches) {
    /** A sample of the other project, with the styles as they are called here. */
    public Sample settled(Sample sample) {
      return new Sample(
          sample.from(),
          sample.layerFollows().stream().map(id -> styles.getOrDefault(id, id)).toList(),
          sample.paragraphFollows().map(id -> styles.getOrDefault(id, id)),
          sample.spanFollows().stream().map(id -> styles.getOrDefault(id, id)).toList(),
          StyleReferences.mapped(
              Recoloured.values(sample.values(), colour -> recoloured(swatches, colour)),
              id -> Optional.of(styles.getOrDefault(id, id))));
    }

    /** A layer of the other project, following the styles as they are called here. */
    public Layer settled(Layer layer) {
      return Recoloured.layer(layer, colour -> recoloured(swatches, colour))
          .mapFollows(id -> Optional.of(styles.getOrDefault(id, id)))
          .mapFollows(
              id -> Optional.of(id).filter(there -> project.styles().find(there).isPresent()));
    }
  }

  private static Colour recoloured(Map<String, String> swatches, Colour colour) {
    return colour instanceof Colour.SwatchReference(String swatch)
        ? Colour.swatch(swatches.getOrDefault(swatch, swatch))
        : colour;
  }

  /** The project with the styles, and where each of them is now. */
  public Arrived arrive(Project before) {
    return new Arrival(before, this).run();
  }

  @Override
  public Project applyTo(Project before) {
    return arrive(before).project();
  }

  @Override
  public String label(Project before) {
    return Messages.of(
        "import-styles.import-style-import-styles",
        bundle.styles().size(),
        bundle.styles().isEmpty() ? "" : bundle.styles().getFirst().name());
  }

  /** The state of one run. */
  private static final class Arrival {
    private final Project project;
    private final StyleBundle bundle;
    private final Map<StyleId, Choice> choices;
    private final Map<String, String> swatches = new HashMap<>();
    private final Map<StyleId, StyleId> ids = new HashMap<>();
    private Palette palette;
    private StyleBook styles;

    Arrival(Project project, ImportStyles edit) {
      this.project = project;
      this.bundle = edit.bundle;
      this.choices = edit.choices;
      this.palette = project.palette();
      this.styles = project.styles();
      bundle
          .swatches()
          .forEach(
              theirs -> settle(theirs, edit.swatchChoices.getOrDefault(theirs.id(), Choice.BOTH)));
    }

    /** A swatch of the same name and colour is the one that is here. */
    static Optional<Swatch> same(Project project, Swatch theirs) {
      return project.palette().swatches().stream()
          .filter(mine -> isOfOneOrigin(mine.origin(), theirs.origin()))
          .findFirst()
          .or(() ->
              namesake(project, theirs).filter(mine -> mine.colour().equals(theirs.colour())));
    }

    /** Of several of one name the one that has the colour too, else the one with the same id. */
    static Optional<Swatch> namesake(Project project, Swatch theirs) {
      return project.palette().swatches().stream()
          .filter(mine -> mine.name().equalsIgnoreCase(theirs.name()))
          .min(
              Comparator.comparing((Swatch mine) -> !mine.colour().equals(theirs.colour()))
                  .thenComparing(mine -> !mine.id().equals(theirs.id())));
    }

    private void settle(Swatch theirs, Choice choice) {
      Optional<Swatch> same = same(project, theirs);
      Optional<Swatch> mine =
          same.or(() -> choice == Choice.BOTH ? Optional.empty() : namesake(project, theirs));
      if (mine.isPresent()) {
        swatches.put(theirs.id(), mine.get().id());
        Swatch now = mine.get();
        if (same.isEmpty() && choice == Choice.THEIRS) {
          now = now.withColour(theirs.colour());
        }
        if (same.isPresent() && now.origin().isEmpty()) {
          now = now.withOrigin(theirs.origin());
        }
        palette = now.equals(mine.get()) ? palette : palette.with(now);
        return;
      }
      String id = free(theirs.id(), "-", taken -> palette.find(taken).isPresent());
      swatches.put(theirs.id(), id);
      palette = palette.with(new Swatch(id, theirs.name(), theirs.colour(), theirs.origin()));
    }

    private static boolean isOfOneOrigin(Optional<Origin> mine, Optional<Origin> theirs) {
      return mine.isPresent() && theirs.isPresent() && mine.get().isOf(theirs.get());
    }

    /** What is the same thing of one shelf here already, of whatever version. */
    private Optional<Style> ofOneOrigin(Style theirs) {
      return project.styles().stream()
          .filter(mine -> isOfOneOrigin(mine.origin(), theirs.origin()))
          .findFirst();
    }

    Optional<Style> namesake(Style theirs) {
      return project.styles().stream()
          .filter(
              mine -> mine.name().equalsIgnoreCase(theirs.name()) && mine.level() == theirs.level())
          .findFirst();
    }

    /** Whether two styles of one name hold the same, their bases included. */
    boolean isSame(Style mine, Style theirs) {
      boolean values = here(theirs.properties()).equals(mine.properties());
      Optional<Style> myBase = mine.basedOn().flatMap(project.styles()::find);
      Optional<Style> theirBase = theirs.basedOn().flatMap(this::inBundle);
      boolean bases =
          myBase.isPresent() && theirBase.isPresent()
              ? myBase.get().name().equalsIgnoreCase(theirBase.get().name())
                  && isSame(myBase.get(), theirBase.get())
              : myBase.isEmpty() && theirBase.isEmpty();
      return values && bases;
    }

    private Optional<Style> inBundle(StyleId id) {
      return bundle.styles().stream().filter(style -> style.id().equals(id)).findFirst();
    }

    Arrived run() {
      for (Style theirs : bundle.styles()) {
        settle(theirs);
      }
      List<Asset> assets = new ArrayList<>(project.assets());
      for (Asset asset : bundle.assets()) {
        if (assets.stream().noneMatch(mine -> mine.name().equals(asset.name()))) {
          assets.add(asset);
        }
      }
      Project arrived =
          project
              .withPalette(palette)
              .withStyles(styles)
              .withAssets(assets.size() == project.assets().size() ? project.assets() : assets);
      return new Arrived(arrived, Map.copyOf(ids), Map.copyOf(swatches));
    }

    private void settle(Style theirs) {
      Optional<Style> known = ofOneOrigin(theirs);
      if (known.isPresent() && !choices.containsKey(theirs.id())) {
        ids.put(theirs.id(), known.get().id());
        return;
      }
      Optional<Style> mine = namesake(theirs);
      if (mine.isEmpty()) {
        put(theirs, free(theirs.id()), theirs.name());
        return;
      }
      if (isSame(mine.get(), theirs)) {
        ids.put(theirs.id(), mine.get().id());
        if (mine.get().origin().isEmpty() && theirs.origin().isPresent()) {
          styles = styles.with(mine.get().withOrigin(theirs.origin()));
        }
        return;
      }
      switch (choices.getOrDefault(theirs.id(), Choice.MINE)) {
        case MINE -> ids.put(theirs.id(), mine.get().id());
        case THEIRS ->
            // what it is on a shelf is not lost with values of elsewhere
            put(
                theirs.withOrigin(theirs.origin().or(mine.get()::origin)),
                mine.get().id(),
                mine.get().name());
        case BOTH ->
            put(
                theirs,
                free(theirs.id()),
                free(
                    Messages.of("import-styles.theirs", theirs.name()),
                    " ",
                    taken -> styles.named(taken).isPresent()));
      }
    }

    private void put(Style theirs, StyleId id, String name) {
      ids.put(theirs.id(), id);
      Optional<StyleId> base =
          theirs.basedOn().map(ids::get).filter(other -> !styles.family(id).contains(other));
      styles =
          styles.with(
              theirs
                  .withId(id)
                  .withName(name)
                  .withBasedOn(base)
                  .withProperties(here(theirs.properties())));
    }

    /** Values with the swatches and nested styles as they are called here. */
    private PropertySet here(PropertySet values) {
      return StyleReferences.mapped(
          Recoloured.values(values, colour -> recoloured(swatches, colour)),
          id -> Optional.of(ids.getOrDefault(id, id)));
    }

    private StyleId free(StyleId wanted) {
      return new StyleId(
          free(wanted.value(), "-", taken -> styles.find(new StyleId(taken)).isPresent()));
    }

    private static String free(String wanted, String gap, Predicate<String> taken) {
      String id = wanted;
      for (int number = 2; taken.test(id); number++) {
        id = wanted + gap + number;
      }
      return id;
    }
  }
}
