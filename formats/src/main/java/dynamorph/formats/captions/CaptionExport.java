package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Placement;
import dynamorph.model.property.Address;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.CaptionRules;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import dynamorph.model.value.WritingMode;
import dynamorph.typeset.caption.CaptionLineBreaker;
import dynamorph.typeset.caption.CueList;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A track of captions, worked out for files: what each cue says, where, and in which look. */
final class CaptionExport {
  private static final Address FILL = Address.coat("fill");

  private final Project project;
  private final Track.Captions track;
  private final Cascade cascade;
  private final FrameBox frame;
  private final Timeline line;
  private final PropertySet plain;
  private final Placement place;
  private final List<WrittenCue> cues = new ArrayList<>();
  private final int most;
  private int shortened;

  CaptionExport(Project project, Artboard film, Track.Captions track) {
    this(project, film, track, Integer.MAX_VALUE);
  }

  /**
   * A track for a format whose lines end somewhere.
   *
   * @param most letters of a line
   */
  CaptionExport(Project project, Artboard film, Track.Captions track, int most) {
    this.most = most;
    this.project = project;
    this.track = track;
    this.cascade = Cascade.of(project);
    this.line = film.timeline().orElseThrow();
    this.frame = new FrameBox(film.width(), film.height());
    Layer empty =
        Layer.of("plain", "plain", "x")
            .withTiming(Timing.of(track.id(), Time.ZERO, Time.ofMillis(1000)));
    this.plain = cascade.values(empty);
    this.place = cascade.placement(empty).on(film.width(), film.height());
    for (Layer cue : CueList.of(film, track).cues()) {
      cues.add(written(cue));
    }
  }

  List<WrittenCue> cues() {
    return cues;
  }

  Track.Captions track() {
    return track;
  }

  /** The rate of the film. */
  FrameRate rate() {
    return line.rate();
  }

  /** The frame at which the film begins, counted from midnight as its timecode counts. */
  long firstFrame() {
    return line.firstFrame();
  }

  /** How the film counts its frames. */
  Timecode timecode() {
    return line.timecode();
  }

  /** The time of the day at which the film begins, as clocks count it. */
  Time start() {
    return line.startOfDay();
  }

  FrameBox frame() {
    return frame;
  }

  /** The complete values of a cue that sets nothing itself. */
  PropertySet plain() {
    return plain;
  }

  Placement place() {
    return place;
  }

  Style style(StyleId id) {
    return project.styles().get(id);
  }

  /** The style and what it is based on, nearest first. */
  List<Style> chain(StyleId id) {
    return project.styles().chain(id);
  }

  /** The style with what it is based on laid under it. */
  PropertySet values(StyleId id) {
    PropertySet merged = PropertySet.EMPTY;
    for (Style style : project.styles().chain(id).reversed()) {
      merged = merged.overlaidBy(style.properties());
    }
    return merged;
  }

  /** The complete values of words that follow character styles and set nothing themselves. */
  PropertySet ofWords(List<StyleId> follows) {
    Span words = Span.of("x").withFollows(follows);
    Paragraph paragraph = Paragraph.of(words);
    Layer cue =
        Layer.of("plain", "plain", "")
            .withStory(Story.of(paragraph))
            .withTiming(Timing.of(track.id(), Time.ZERO, Time.ofMillis(1000)));
    return cascade.values(cue, paragraph, words);
  }

  Rgba colour(PropertySet values) {
    return cascade.colour(
        values.get(Properties.COAT_COLOUR.at(FILL)).orElse(Properties.COAT_COLOUR.defaultValue()));
  }

  Rgba colour(dynamorph.model.value.Colour colour) {
    return cascade.colour(colour);
  }

  /** Character styles that words of the cues follow, and styles that speakers bring. */
  Map<StyleId, Style> wordStyles() {
    Map<StyleId, Style> used = new LinkedHashMap<>();
    for (WrittenCue cue : cues) {
      for (WrittenCue.Run run : cue.runs()) {
        run.follows().forEach(id -> used.put(id, style(id)));
      }
    }
    return used;
  }

  private WrittenCue written(Layer cue) {
    Timing timing = CueList.time(cue);
    List<WrittenCue.Run> runs = new ArrayList<>();
    Layer bare = Layer.of("plain", "plain", "x").withFollows(cue.follows()).withTiming(timing);
    PropertySet base = cascade.values(bare);
    boolean first = true;
    for (Paragraph paragraph : cue.story().paragraphs()) {
      if (!first) {
        runs.add(run(Span.of("\u2028"), base, List.of()));
      }
      first = false;
      for (Span span : paragraph.spans()) {
        PropertySet values = cascade.values(cue, paragraph, span);
        List<StyleId> characters =
            span.follows().stream()
                .filter(id -> style(id).level() == StyleLevel.CHARACTER)
                .toList();
        runs.add(run(span, values, characters));
      }
    }
    Placement own = cascade.placement(cue).on(frame.width(), frame.height());
    WritingMode mode = own.inside().mode();
    boolean moved =
        mode.isVertical()
            || own.anchor() != place.anchor()
            || own.x() != place.x()
            || own.y() != place.y();
    // rounded up, a cue would be seen a frame late by players that ask where each frame begins
    Time in = timing.in().floorToMillis();
    Time out = Time.max(timing.out().floorToMillis(), in.plus(Time.ofMillis(1)));
    return new WrittenCue(
        cue.id(),
        in,
        out,
        timing.speaker(),
        broken(runs, cue),
        moved ? key(own.anchor()) : 2,
        moved && (mode.isVertical() || own.anchor().across() != 0.5 || own.x() != 0)
            ? Optional.of(frame.shareAcross(own.anchor(), own.x()))
            : Optional.empty(),
        moved ? Optional.of(frame.shareDown(own.anchor(), own.y())) : Optional.empty(),
        mode,
        own,
        cascade.placement(bare).on(frame.width(), frame.height()),
        cue.follows(),
        cue.local().where(key -> key.property().facet() != Facet.PLACEMENT),
        base,
        timing);
  }

  static int key(Anchor anchor) {
    int across = (int) Math.round(anchor.across() * 2);
    int down = (int) Math.round(anchor.down() * 2);
    return (2 - down) * 3 + across + 1;
  }

  private WrittenCue.Run run(Span span, PropertySet values, List<StyleId> follows) {
    double weight = number(values, Properties.FONT_WEIGHT.key());
    double usual = number(plain, Properties.FONT_WEIGHT.key());
    boolean italic = slant(values) == Slant.ITALIC && slant(plain) != Slant.ITALIC;
    boolean underline = flag(values) && !flag(plain);
    Rgba colour = colour(values);
    return new WrittenCue.Run(
        span.text().replace("\u2029", "\u2028"),
        weight >= 600 && weight > usual,
        italic,
        underline,
        colour.equals(colour(plain)) ? Optional.empty() : Optional.of(colour),
        follows,
        span.local(),
        values,
        span.ruby());
  }

  private static double number(PropertySet values, PropertyKey<Double> key) {
    return values.get(key).orElse(key.property().defaultValue());
  }

  private static Slant slant(PropertySet values) {
    return values.get(Properties.SLANT.key()).orElse(Slant.UPRIGHT);
  }

  private static boolean flag(PropertySet values) {
    return values.get(Properties.UNDERLINE.key()).orElse(false);
  }

  /** A cue that is not broken by hand is broken as its track wants it. */
  private List<WrittenCue.Run> broken(List<WrittenCue.Run> runs, Layer cue) {
    StringBuilder all = new StringBuilder();
    runs.forEach(run -> all.append(run.text()));
    boolean byHand = all.indexOf("\u2028") >= 0;
    List<String> own =
        byHand ? List.of(all.toString().split("\u2028", -1)) : CaptionLineBreaker.lines(cue, track);
    boolean fits = own.stream().allMatch(line -> line.codePointCount(0, line.length()) <= most);
    shortened += fits ? 0 : 1;
    List<String> lines = fits ? byHand ? List.of() : own : shortened(byHand ? own : List.of(all));
    if (lines.size() < 2) {
      return merged(runs);
    }
    List<Integer> ends = ends(all.toString(), lines);
    List<WrittenCue.Run> changed = new ArrayList<>();
    int start = 0;
    for (WrittenCue.Run run : runs) {
      StringBuilder text = new StringBuilder();
      for (int index = 0; index < run.text().length(); index++) {
        boolean ended = ends.contains(start + index);
        char unit = run.text().charAt(index);
        if (ended) {
          text.append('\u2028');
        }
        if (!ended || !Character.isWhitespace(unit)) {
          text.append(unit);
        }
      }
      start += run.text().length();
      changed.add(run.withText(text.toString()));
    }
    return merged(changed);
  }

  /** Lines that are broken again where they are longer than those of the format. */
  private List<String> shortened(List<? extends CharSequence> lines) {
    CaptionRules rules = track.rules();
    CaptionRules shorter =
        new CaptionRules(
            rules.lines(),
            Math.min(most, rules.lineLength()),
            rules.readingSpeed(),
            rules.shortest(),
            rules.longest(),
            rules.gap());
    return lines.stream()
        .flatMap(
            line -> CaptionLineBreaker.lines(line.toString(), track.language(), shorter).stream())
        .toList();
  }

  /** How many cues have lines that the format has no room for, and that were broken again. */
  int shortened() {
    return shortened;
  }

  /** A break that follows, with nothing but spaces before it, is that of the line. */
  private static int atBreak(String text, int end) {
    int at = end;
    while (at < text.length() && text.charAt(at) == ' ') {
      at++;
    }
    return at < text.length() && text.charAt(at) == '\u2028' ? at : end;
  }

  /** Where each line but the last ends in the text. */
  private static List<Integer> ends(String text, List<String> lines) {
    List<Integer> ends = new ArrayList<>();
    int at = 0;
    for (String line : lines.subList(0, lines.size() - 1)) {
      int left = line.replaceAll("\\s", "").length();
      while (left > 0) {
        left -= Character.isWhitespace(text.charAt(at++)) ? 0 : 1;
      }
      ends.add(atBreak(text, at));
    }
    return ends;
  }

  private static List<WrittenCue.Run> merged(List<WrittenCue.Run> runs) {
    List<WrittenCue.Run> merged = new ArrayList<>();
    for (WrittenCue.Run run : runs) {
      if (!merged.isEmpty() && merged.getLast().withText("").equals(run.withText(""))) {
        WrittenCue.Run last = merged.removeLast();
        merged.add(last.withText(last.text() + run.text()));
      } else if (!run.text().isEmpty()) {
        merged.add(run);
      }
    }
    return merged;
  }

  /** What a format leaves behind of the styles of the track, its speakers and its words. */
  List<Remark> losses(CaptionFiles.Format format) {
    List<Remark> losses = new ArrayList<>();
    if (format == CaptionFiles.Format.SUBRIP) {
      losses.add(
          new Remark(0, Messages.of("caption-export.fonts-sizes-plates-outlines-and-shadows")));
      if (cues.stream().anyMatch(cue -> cue.mode().isVertical())) {
        losses.add(new Remark(0, Messages.of("caption-export.vertical-text")));
      }
      if (hasRuby()) {
        losses.add(new Remark(0, Messages.of("caption-export.ruby-is-put-in-brackets-behind")));
      }
      return losses;
    }
    if (format == CaptionFiles.Format.SUBSTATION) {
      if (cues.stream().anyMatch(cue -> cue.mode().isVertical())) {
        losses.add(new Remark(0, Messages.of("caption-export.vertical-text-of-scripts")));
      }
      if (hasRuby()) {
        losses.add(new Remark(0, Messages.of("caption-export.ruby-is-put-in-brackets-behind")));
      }
    }
    Set<StyleId> all = new LinkedHashSet<>(track.follows());
    all.addAll(track.speakers().values());
    all.addAll(wordStyles().keySet());
    cues.forEach(cue -> all.addAll(cue.follows()));
    for (StyleId id : all) {
      PropertySet values = values(id);
      List<String> left =
          values.keys().stream()
              .filter(key -> !carries(format, values, key))
              .map(PropertyKey::label)
              .distinct()
              .toList();
      if (!left.isEmpty()) {
        losses.add(
            new Remark(
                0,
                Messages.of(
                    "caption-export.of-stays-behind", style(id).name(), String.join(", ", left))));
      }
    }
    return losses;
  }

  private boolean hasRuby() {
    return cues.stream().flatMap(cue -> cue.runs().stream()).anyMatch(run -> !run.ruby().isEmpty());
  }

  private boolean carries(CaptionFiles.Format format, PropertySet values, PropertyKey<?> key) {
    if (key.property().equals(Properties.COAT_REMOVED)) {
      return true;
    }
    return format == CaptionFiles.Format.SUBSTATION
        ? SubstationCoats.of(plain.overlaidBy(values)).carries(key)
        : CarriedProperties.is(values, key, format == CaptionFiles.Format.TTML);
  }

  /** The lines over, under and through letters, as style sheets name them. */
  static List<String> decorations(PropertySet values) {
    List<String> lines = new ArrayList<>();
    if (values.get(Properties.UNDERLINE.key()).orElse(false)) {
      lines.add("underline");
    }
    if (values.get(Properties.OVERLINE.key()).orElse(false)) {
      lines.add("overline");
    }
    if (values.get(Properties.STRIKE.key()).orElse(false)) {
      lines.add("line-through");
    }
    return lines;
  }
}
