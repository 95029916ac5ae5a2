package dynamorph.model.cascade;

import static dynamorph.model.cascade.Coats.points;
import static dynamorph.model.cascade.Coats.value;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.nested.NestedWords;
import dynamorph.model.property.Address;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * The rules by which styles, local changes and defaults give one value.
 *
 * <p>The walk goes from narrow to wide and the first value set counts: the span's local changes,
 * its character styles (last added first); the paragraph's local changes, its paragraph style; the
 * layer's local changes, its text styles (last added first), its own frame; for a cue its track's
 * local changes and text styles; the base style; the default. Each style brings what it is based
 * on, nearest first; one that is muted in the layer counts for nothing. A relative size is worked
 * out against what the walk beyond it yields. A value set on a level narrower than its property
 * allows does not count.
 *
 * <p>A cascade belongs to one set of styles, one palette and the files of one project. It is safe
 * on any thread and remembers each distinct combination of sources, so a thousand layers that
 * follow the same styles hold one look.
 */
public final class Cascade {
  private final StyleBook styles;
  private final ProjectAssets materials;
  private final Optional<StyleId> base;
  private final Inheritance inheritance;
  private final String language;
  private final boolean nesting;
  private final Walk walk;
  private final Placements placements;
  private final Memory memory;

  /** What has been worked out so far; it holds wherever layers stand. */
  private record Memory(
      Map<Place, PropertySet> values,
      Map<PropertySet, CharacterLook> looks,
      Map<PropertySet, ParagraphLook> paragraphLooks,
      Map<StyleId, PropertySet> placements,
      Map<StyleOnBase, PropertySet> styleOnBase,
      Map<InheritedStyles, PropertySet> inheritance,
      Map<Place, SharedLook> shared) {
    /**
     * @param many how many combinations are to be expected
     */
    Memory(int many) {
      this(
          new ConcurrentHashMap<>(many),
          new ConcurrentHashMap<>(many),
          new ConcurrentHashMap<>(many),
          new ConcurrentHashMap<>(),
          new ConcurrentHashMap<>(),
          new ConcurrentHashMap<>(),
          new ConcurrentHashMap<>(many));
    }
  }

  /**
   * A style over plain text.
   *
   * @param style the style with what it is based on; empty for plain text alone
   */
  private record StyleOnBase(Optional<StyleId> style, Optional<StyleId> base) {}

  private Cascade(Project project, Inheritance inheritance, Memory memory) {
    this.styles = project.styles();
    this.nesting = styles.stream().anyMatch(style -> style.properties().has(NESTED));
    this.walk = new Walk(styles);
    this.placements = new Placements(styles, memory.placements);
    this.materials = new ProjectAssets(project.palette(), project.assets());
    this.base = project.baseStyle();
    this.inheritance = inheritance;
    this.language = project.language();
    this.memory = memory;
  }

  public static Cascade of(Project project) {
    return new Cascade(project, Inheritance.of(project), new Memory(16));
  }

  /**
   * This cascade if the project still has the same styles, palette and files, otherwise a new one.
   */
  public Cascade follow(Project project) {
    boolean same =
        project.styles() == styles
            && project.palette() == materials.palette()
            && project.assets() == materials.assets()
            && project.baseStyle().equals(base)
            && project.language().equals(language);
    if (!same) {
      int many = Math.max(16, memory.values.size());
      return new Cascade(project, Inheritance.of(project), new Memory(many));
    }
    Inheritance now = inheritance.follow(project);
    return now == inheritance ? this : new Cascade(project, now, memory);
  }

  /** The language of text that says none itself, a BCP 47 tag. */
  public String language() {
    return language;
  }

  /** The style that plain text of the layer takes. */
  public Optional<StyleId> baseOf(Layer layer) {
    return inheritance.of(layer).base();
  }

  /**
   * The layer as it is set: its words follow the nested styles of their paragraphs too, below the
   * character styles that they follow themselves. The same layer where there are none.
   */
  public Layer dressed(Layer layer) {
    boolean plain =
        !nesting
            && !layer.local().has(NESTED)
            && layer.story().paragraphs().stream()
                .noneMatch(paragraph -> paragraph.local().has(NESTED))
            && !inheritance.of(layer).local().has(NESTED);
    return plain || layer.shape().isPresent()
        ? layer
        : layer.withStory(layer.story().mapParagraphs(paragraph -> dressed(layer, paragraph)));
  }

  /** A paragraph of the layer as it is set. */
  public Paragraph dressed(Layer layer, Paragraph paragraph) {
    NestedStyles nested = value(values(layer, paragraph), NESTED);
    return nested.isEmpty()
        ? paragraph
        : NestedWords.dressed(
            paragraph,
            nested.mapStyles(id ->
                Optional.of(id).filter(known -> styles.find(new StyleId(known)).isPresent())));
  }

  /** Whether layers follow the same nested styles on the same words under both. */
  public boolean dressesLike(Cascade other) {
    if (!nesting && !other.nesting || styles == other.styles) {
      return true;
    }
    return nestings().equals(other.nestings()) && base.equals(other.base);
  }

  private Map<StyleId, List<Object>> nestings() {
    return styles.stream()
        .collect(
            Collectors.toMap(
                Style::id, style -> List.of(style.basedOn(), style.properties().get(NESTED))));
  }

  /** Everything that decides how the layer looks, as it is {@link #dressed}. */
  public ResolvedLayer resolve(Layer layer) {
    SharedLook shared = shared(layer);
    Optional<ResolvedShape> form = layer.shape().map(shape -> form(shape, size(shared.own())));
    Plate plate = form.isPresent() ? Plate.NONE : shared.plate();
    return new ResolvedLayer(placement(layer), plate, shared.paragraphs(), form);
  }

  /**
   * Everything that decides how a box looks that goes on with the text of another layer: its own
   * place and plate, and the letters of the text.
   */
  public ResolvedLayer resolve(Layer box, Layer text) {
    return new ResolvedLayer(
        placement(box), shared(box).plate(), shared(text).paragraphs(), Optional.empty());
  }

  /** Most layers hold one span, and thousands of them have the same sources. */
  SharedLook shared(Layer plain) {
    Layer layer = dressed(plain);
    List<Paragraph> paragraphs = layer.story().paragraphs();
    if (paragraphs.size() > 1 || paragraphs.getFirst().spans().size() > 1) {
      return resolveShared(layer);
    }
    Paragraph only = paragraphs.getFirst();
    Place place = place(layer, false).in(only).in(only.spans().getFirst());
    SharedLook known = memory.shared.get(place);
    if (known == null) {
      known = resolveShared(layer);
      memory.shared.put(place, known);
    }
    return known;
  }

  /**
   * All that decides the look of a layer but the styles themselves: layers for which this is equal
   * look alike, apart from their words and where they stand.
   */
  Object sources(Layer plain) {
    Layer layer = dressed(plain);
    List<Paragraph> paragraphs = layer.story().paragraphs();
    Place own = place(layer, false);
    if (paragraphs.size() == 1 && paragraphs.getFirst().spans().size() == 1) {
      Paragraph only = paragraphs.getFirst();
      return own.in(only).in(only.spans().getFirst());
    }
    List<List<Place>> places = new ArrayList<>();
    for (Paragraph paragraph : paragraphs) {
      Place outer = own.in(paragraph);
      places.add(paragraph.spans().stream().map(outer::in).toList());
    }
    return places;
  }

  /** Whether any style or base sets where text stands; mostly none does. */
  public boolean stylesPlace() {
    return styles.stream()
        .anyMatch(style -> style.properties().keys().stream().anyMatch(PropertyKey::places));
  }

  private SharedLook resolveShared(Layer layer) {
    List<ResolvedLayer.ResolvedParagraph> paragraphs = new ArrayList<>();
    Paragraph before = null;
    for (Paragraph paragraph : layer.story().paragraphs()) {
      // in long stories most paragraphs are set like the one before
      paragraphs.add(
          before != null && paragraph.looksLike(before)
              ? paragraphs.getLast()
              : resolve(layer, paragraph));
      before = paragraph;
    }
    PropertySet own = values(place(layer, false));
    return new SharedLook(own, plate(own), paragraphs);
  }

  private ResolvedShape form(Shape shape, double em) {
    return new ResolvedShape(
        shape,
        em,
        shape instanceof Shape.Picture(String image) ? materials.image(image) : Optional.empty());
  }

  /** Without coats there is no plate, whatever its padding would be. */
  private Plate plate(PropertySet own) {
    double size = size(own);
    Finish finish = Coats.finish(own, Address.PLATE, materials, size);
    return finish.coats().isEmpty()
        ? Plate.NONE
        : new Plate(
            value(own, Properties.PLATE_EXTENT.key()),
            Looks.padding(value(own, Properties.PLATE_PADDING.key()), size),
            Looks.corners(value(own, Properties.PLATE_RADIUS.key()), size),
            points(own, Properties.PLATE_MINIMUM_WIDTH.key(), size),
            finish);
  }

  private ResolvedLayer.ResolvedParagraph resolve(Layer layer, Paragraph paragraph) {
    PropertySet own = values(layer, paragraph);
    List<CharacterLook> spans =
        paragraph.spans().stream().map(span -> look(values(layer, paragraph, span))).toList();
    return new ResolvedLayer.ResolvedParagraph(
        memory.paragraphLooks.computeIfAbsent(own, Cascade::paragraphLook), spans);
  }

  /**
   * The complete values of a layer, apart from what its paragraphs and spans change. Sizes are
   * absolute.
   */
  public PropertySet values(Layer layer) {
    return values(place(layer, true));
  }

  /** The complete values of a paragraph of the layer. */
  public PropertySet values(Layer layer, Paragraph paragraph) {
    return values(place(layer, false).in(paragraph));
  }

  /** The complete values of a span in a paragraph of the layer. */
  public PropertySet values(Layer layer, Paragraph paragraph, Span span) {
    return values(place(layer, false).in(paragraph).in(span));
  }

  /** The complete values of a span, with where its layer stands. */
  public PropertySet valuesWithPlacement(Layer layer, Paragraph paragraph, Span span) {
    PropertySet placement = values(layer).where(PropertyKey::places);
    return values(layer, paragraph, span).overlaidBy(placement);
  }

  /** The complete values of plain text that follows the one style. */
  public PropertySet values(Style style) {
    List<Contribution> all = new ArrayList<>(walk.from(style));
    all.addAll(walk.from(Place.plain(base)));
    return merge(all);
  }

  /** The colour to paint with. */
  public Rgba colour(Colour colour) {
    return materials.colour(colour);
  }

  /** The look that complete values give. */
  public CharacterLook look(PropertySet complete) {
    return memory.looks.computeIfAbsent(complete, this::characterLook);
  }

  /** The paragraph settings that complete values give. */
  public static ParagraphLook paragraphLook(PropertySet complete) {
    double size = size(complete);
    return new ParagraphLook(
        value(complete, Properties.ALIGNMENT.key()),
        value(complete, Properties.LAST_LINE.key()),
        new ParagraphLook.Indents(
            points(complete, Properties.INDENT_FIRST.key(), size),
            points(complete, Properties.INDENT_START.key(), size),
            points(complete, Properties.INDENT_END.key(), size)),
        points(complete, Properties.SPACE_BEFORE.key(), size),
        points(complete, Properties.SPACE_AFTER.key(), size),
        Looks.breaking(complete),
        Looks.justification(complete),
        Looks.hyphenation(complete, size),
        new ParagraphLook.Hanging(
            value(complete, Properties.HANG_START.key()) / 100,
            value(complete, Properties.HANG_END.key()) / 100),
        new ParagraphLook.Tabs(
            value(complete, Properties.TAB_STOPS.key()),
            points(complete, Properties.DEFAULT_TAB_STOPS.key(), size)),
        Looks.listMark(complete, size),
        Looks.dropCapital(complete, size));
  }

  /** Where the value of a key comes from, for the layer itself. */
  public <T> Trace<T> trace(Layer layer, PropertyKey<T> key) {
    return Walk.trace(walk.from(place(layer, true)), key);
  }

  /** Where the value of a key comes from, for a paragraph. */
  public <T> Trace<T> trace(Layer layer, Paragraph paragraph, PropertyKey<T> key) {
    return Walk.trace(walk.from(place(layer, true).in(paragraph)), key);
  }

  /** Where the value of a key comes from, for a span. */
  public <T> Trace<T> trace(Layer layer, Paragraph paragraph, Span span, PropertyKey<T> key) {
    return Walk.trace(walk.from(place(layer, true).in(paragraph).in(span)), key);
  }

  /** Where the value of a key comes from, for a style and what it is based on. */
  public <T> Trace<T> trace(Style style, PropertyKey<T> key) {
    return Walk.trace(walk.from(style, base), key);
  }

  private PropertySet values(Place place) {
    PropertySet known = memory.values.get(place);
    return known != null ? known : memory.values.computeIfAbsent(place, this::mergeWalk);
  }

  /** The same as laying all levels of the walk over each other, from wide to narrow. */
  private PropertySet mergeWalk(Place place) {
    boolean plain =
        place.frame().isEmpty() && !place.layerFollows().isEmpty() && place.inherited().isPlain();
    PropertySet merged =
        plain
            ? styleOnBase(Optional.of(place.layerFollows().getFirst()), place.inherited().base())
            : over(onInherited(place.inherited()), place.frame(), Level.LAYER);
    for (StyleId id : place.layerFollows().subList(plain ? 1 : 0, place.layerFollows().size())) {
      merged = overChain(merged, id, Level.LAYER);
    }
    merged = over(merged, place.layerLocal(), Level.LAYER);
    if (place.paragraphFollows().isPresent()) {
      merged = overChain(merged, place.paragraphFollows().get(), Level.PARAGRAPH);
    }
    merged = over(merged, place.paragraphLocal(), Level.PARAGRAPH);
    for (StyleId id : place.spanFollows()) {
      merged = overChain(merged, id, Level.SPAN);
    }
    return over(merged, place.spanLocal(), Level.SPAN);
  }

  /** Text that sets nothing itself. */
  private PropertySet onInherited(InheritedStyles inherited) {
    return inherited.isPlain()
        ? styleOnBase(Optional.empty(), inherited.base())
        : memory.inheritance.computeIfAbsent(
            inherited,
            wanted -> {
              PropertySet merged = styleOnBase(Optional.empty(), wanted.base());
              for (StyleId id : wanted.follows()) {
                merged = overChain(merged, id, Level.LAYER);
              }
              return over(merged, wanted.local(), Level.LAYER);
            });
  }

  private PropertySet overChain(PropertySet below, StyleId id, Level level) {
    PropertySet merged = below;
    for (Style style : styles.chain(id).reversed()) {
      merged = over(merged, style.properties(), level);
    }
    return merged;
  }

  /** Plain text in a text style; what that is based on is laid over plain text once for all. */
  private PropertySet styleOnBase(Optional<StyleId> style, Optional<StyleId> base) {
    StyleOnBase key = new StyleOnBase(style, base);
    PropertySet known = memory.styleOnBase.get(key);
    if (known == null) {
      known =
          style.isEmpty()
              ? base.map(id -> overChain(Properties.DEFAULTS, id, Level.LAYER))
                  .orElse(Properties.DEFAULTS)
              : style
                  .flatMap(styles::find)
                  .map(found ->
                      over(styleOnBase(found.basedOn(), base), found.properties(), Level.LAYER))
                  .orElseGet(() -> styleOnBase(Optional.empty(), base));
      memory.styleOnBase.put(key, known);
    }
    return known;
  }

  private static PropertySet over(PropertySet below, PropertySet above, Level level) {
    if (above.isEmpty()) {
      return below;
    }
    PropertySet counting = level == Level.LAYER ? above : above.where(key -> key.countsOn(level));
    Optional<FontSize> size = counting.get(SIZE);
    boolean relative = size.isPresent() && !(size.get() instanceof FontSize.Absolute);
    return below.overlaidBy(
        relative ? counting.with(SIZE, FontSize.points(size.get().over(size(below)))) : counting);
  }

  private static final PropertyKey<FontSize> SIZE = Properties.SIZE.key();

  private static final PropertyKey<NestedStyles> NESTED = Properties.NESTED_STYLES.key();

  private static PropertySet merge(List<Contribution> walk) {
    PropertySet merged = PropertySet.EMPTY;
    for (Contribution contribution : walk.reversed()) {
      merged = over(merged, contribution.values(), contribution.source().level());
    }
    return merged;
  }

  private CharacterLook characterLook(PropertySet complete) {
    double size = size(complete);
    return new CharacterLook(
        Looks.type(complete, size, language),
        Coats.finish(complete, Address.FINISH, materials, size),
        Looks.lines(complete, size, materials.palette()));
  }

  /** Where a layer stands. */
  public Placement placement(Layer layer) {
    return placements.of(layer, inheritedBy(layer));
  }

  /** What lies below the layer; styles that are muted in it count for nothing there either. */
  private InheritedStyles inheritedBy(Layer layer) {
    InheritedStyles inherited = inheritance.of(layer);
    return layer.muted().isEmpty() || inherited.follows().isEmpty()
        ? inherited
        : new InheritedStyles(
            inherited.base(), layer.counting(inherited.follows()), inherited.local());
  }

  static double size(PropertySet complete) {
    return complete.get(SIZE).map(size -> size.over(0)).orElse(0.0);
  }

  /**
   * Where the layer stands says nothing about its letters; left out, layers in different places
   * share a look.
   */
  private Place place(Layer layer, boolean withPlacement) {
    PropertySet local = withPlacement ? layer.local() : withoutPlacement(layer.local());
    PropertySet frame = withPlacement ? layer.frame() : PropertySet.EMPTY;
    return new Place(
        layer.muted(),
        layer.counting(layer.follows()),
        local,
        frame,
        Optional.empty(),
        PropertySet.EMPTY,
        List.of(),
        PropertySet.EMPTY,
        inheritedBy(layer),
        inheritance.trackOf(layer));
  }

  private static PropertySet withoutPlacement(PropertySet local) {
    return local.isEmpty() ? local : local.where(key -> key.property().facet() != Facet.PLACEMENT);
  }
}
