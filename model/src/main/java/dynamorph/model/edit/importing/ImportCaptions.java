package dynamorph.model.edit.importing;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.BoxLengths;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.FrameArea;
import dynamorph.model.value.Length;
import dynamorph.model.value.PlateExtent;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * Puts captions on a new track of a film, with their styles. A style of the project with the same
 * name and the same values is followed instead; one with other values keeps its name, and the one
 * that comes gets a number. The new track is shown alone: captions of two languages would lie over
 * each other.
 *
 * @param track the new track, without styles; where it follows none of its own it takes those of
 *     the captions
 * @param prefix of the ids of cues and styles, so that none is there twice
 */
public record ImportCaptions(
    ArtboardId film, Track.Captions track, CaptionList captions, String prefix) implements Edit {
  private static final Address FILL = Address.coat("fill");
  private static final Address PLATE = Address.plateCoat("ground");
  private static final double SIZE_SHARE = 0.05;
  private static final double WHOLE = 100;

  /** What the plate reaches below the words. */
  private static final double ABOVE_FOOT = 0.01;

  @Override
  public Project applyTo(Project before) {
    Artboard board =
        before
            .artboard(film)
            .filter(Artboard::isFilm)
            .orElseThrow(() -> new EditRefused(Messages.of("common.the-film-is-no-longer-in")));
    Map<StyleId, StyleId> there = new HashMap<>();
    StyleBook styles = brought(before.styles(), there);
    List<StyleId> follows = new ArrayList<>(track.follows());
    captions.follows().stream()
        .map(there::get)
        .filter(id -> !follows.contains(id))
        .forEach(follows::add);
    PropertySet brought = captions.local().overlaidBy(track.local());
    Track.Captions taken =
        track
            .withFollows(follows)
            .withLocal(usual(board, styles, follows, brought).overlaidBy(brought));
    List<Layer> cues = new ArrayList<>();
    Time end = board.timeline().orElseThrow().duration();
    int number = 1;
    for (CaptionList.Cue cue : captions.cues()) {
      cues.add(layer(cue, number++, there));
      end = Time.max(end, cue.out());
    }
    Time last = end;
    Project withStyles = before.withStyles(styles);
    return withStyles.mapArtboards(other ->
        other == board
            ? board
                .withLayers(board.layers().plusAll(cues))
                .mapTimeline(
                    line -> line.plus(taken).showingCaptions(taken.id()).withDuration(last))
            : other);
  }

  /**
   * What captions look like where neither the file nor a style says so: centred at the foot of the
   * title-safe area, in white on a dark plate, as high as a twentieth of the frame (W3C, WebVTT,
   * 7.2 and 7.4: {@code 5vh}, white, {@code rgba(0, 0, 0, 0.8)}).
   */
  private static PropertySet usual(
      Artboard board, StyleBook styles, List<StyleId> follows, PropertySet brought) {
    PropertySet told = brought;
    for (StyleId followed : follows) {
      for (Style style : styles.chain(followed)) {
        told = told.overlaidBy(style.properties());
      }
    }
    PropertySet usual = PropertySet.EMPTY;
    if (!told.has(Properties.ANCHOR.key())) {
      usual =
          usual
              .with(Properties.ANCHOR, Anchor.BOTTOM)
              .with(Properties.RELATIVE_TO, FrameArea.TITLE_SAFE)
              .with(Properties.POSITION_X, 0.0)
              .with(Properties.POSITION_Y, -board.height() * ABOVE_FOOT)
              .with(Properties.BOX, BoxFit.GROW)
              .with(Properties.BOX_SHARE, WHOLE)
              .with(Properties.ALIGNMENT, Alignment.CENTRE);
    }
    if (!told.has(Properties.SIZE.key())) {
      usual = usual.with(Properties.SIZE, FontSize.points(board.height() * SIZE_SHARE));
    }
    if (!told.has(Properties.COAT_COLOUR.at(FILL))) {
      usual =
          usual
              .with(Properties.COAT_COLOUR.at(FILL), Colour.of(Rgba.WHITE))
              .with(Properties.COAT_KIND.at(PLATE), CoatKind.FILL)
              .with(Properties.COAT_COLOUR.at(PLATE), Colour.hex("#000000cc"))
              .with(Properties.PLATE_EXTENT, PlateExtent.LINE)
              .with(Properties.PLATE_PADDING, BoxLengths.pairs(Length.em(0.1), Length.em(0.3)));
    }
    return usual;
  }

  /**
   * The styles of the project with those that the captions bring, but for such as are there.
   *
   * @param there is told which style each of them is in the project
   */
  private StyleBook brought(StyleBook styles, Map<StyleId, StyleId> there) {
    // sheets of ten thousand styles come along: nothing is looked for twice
    List<Style> all = new ArrayList<>(styles.list());
    Map<String, List<Style>> named = new HashMap<>();
    all.forEach(style -> note(style, named));
    Set<String> ids = new HashSet<>();
    all.forEach(style -> ids.add(style.id().value()));
    for (Style style : captions.styles()) {
      Style own = style.withBasedOn(style.basedOn().map(there::get));
      Optional<Style> same =
          named.getOrDefault(key(own.name()), List.of()).stream()
              .filter(other ->
                  other.level() == own.level() && other.properties().equals(own.properties()))
              .findFirst();
      if (same.isPresent()) {
        there.put(style.id(), same.get().id());
        continue;
      }
      String name = own.name();
      for (int count = 2; named.containsKey(key(name)) || ids.contains(name); count++) {
        name = own.name() + " " + count;
      }
      StyleId id = new StyleId(prefix + "-" + style.id().value());
      there.put(style.id(), id);
      Style added =
          new Style(
              id, name, own.group(), own.level(), own.basedOn(), own.properties(), own.sample());
      if (ids.add(id.value())) {
        all.add(added);
        note(added, named);
      }
    }
    return all.size() == styles.size() ? styles : StyleBook.of(all);
  }

  private static void note(Style style, Map<String, List<Style>> named) {
    named.computeIfAbsent(key(style.name()), _ -> new ArrayList<>()).add(style);
  }

  /** People do not tell capitals apart in names. */
  private static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }

  private Layer layer(CaptionList.Cue cue, int number, Map<StyleId, StyleId> there) {
    UnaryOperator<List<StyleId>> mapped =
        ids -> ids.stream().filter(there::containsKey).map(there::get).toList();
    return Layer.of(prefix + "-cue-" + number, Messages.of("import-captions.cue", number), "")
        .withId(new LayerId(prefix + "-cue-" + number))
        .withStory(
            cue.story()
                .mapParagraphs(paragraph ->
                    paragraph.mapSpans(span -> span.withFollows(mapped.apply(span.follows())))))
        .withFollows(mapped.apply(cue.follows()))
        .withLocal(cue.local())
        .withTiming(
            Timing.of(track.id(), cue.in(), cue.out())
                .withFades(cue.fadeIn(), cue.fadeOut())
                .withSpeaker(cue.speaker()));
  }

  @Override
  public String label(Project before) {
    return Messages.of("import-captions.import-cue", captions.cues().size());
  }
}
