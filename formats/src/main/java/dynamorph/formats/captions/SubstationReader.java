package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads scripts of SubStation Alpha, versions 4 and 4+. There is no standard; styles become styles,
 * override codes local changes, places and fades those of cues. What moves or is drawn is left out,
 * and told.
 */
final class SubstationReader {
  /** Scripts count hundredths of a second. */
  static final Time GRAIN = Time.ofMillis(10);

  private static final Pattern CLOCK =
      Pattern.compile("(\\d{1,4}):(\\d{1,2}):(\\d{1,2})(?:[.:,](\\d{1,9}))?");

  private final SubstationScript script;
  private final SubstationScale scale;
  private final SubstationStyles styles;
  private final SubstationWrapping wrapping;
  private final List<Remark> remarks;

  private SubstationReader(
      SubstationScript script, FrameBox frame, CellHeights cells, List<Remark> remarks) {
    this.script = script;
    this.scale = SubstationScale.of(script.head(), frame, cells);
    this.wrapping = SubstationWrapping.of(script.head().getOrDefault("wrapstyle", ""));
    this.styles = SubstationStyles.of(script, scale, wrapping, remarks);
    this.remarks = remarks;
  }

  static CaptionList read(String text, FrameBox frame, CellHeights cells, List<Remark> remarks) {
    return new SubstationReader(SubstationScript.parse(text), frame, cells, remarks).captions();
  }

  private CaptionList captions() {
    if (script.pictures()) {
      remarks.add(new Remark(0, Messages.of("substation.packed-files-left-out")));
    }
    List<CaptionList.Cue> cues = new ArrayList<>();
    int comments = 0;
    for (SubstationScript.Row row : script.lines()) {
      if (row.kind().equals("dialogue")) {
        cue(row, cues.size() + 1).ifPresent(cues::add);
      } else if (row.kind().equals("comment")) {
        comments++;
      }
    }
    if (comments > 0) {
      remarks.add(new Remark(0, Messages.of("substation.comments-left-out", comments)));
    }
    Optional<StyleId> common = styles.common();
    cues.sort(Comparator.comparing(CaptionList.Cue::in));
    List<CaptionList.Cue> own =
        cues.stream()
            .map(cue ->
                common.filter(id -> cue.follows().equals(List.of(id))).isPresent()
                    ? cue.withFollows(List.of())
                    : cue)
            .toList();
    return new CaptionList(
            "", Optional.empty(), styles.made(), common.stream().toList(), PropertySet.EMPTY, own)
        .withGrain(GRAIN);
  }

  private Optional<CaptionList.Cue> cue(SubstationScript.Row row, int number) {
    Optional<Time> in = time(row.cell("start"));
    Optional<Time> out = time(row.cell("end"));
    if (in.isEmpty() || out.isEmpty()) {
      remarks.add(
          new Remark(
              row.number(),
              Messages.of(
                  "sub-rip.times-cannot-be-read", row.cell("start") + ", " + row.cell("end"))));
      return Optional.empty();
    }
    if (!in.get().isBefore(out.get()) || out.get().isAfter(Time.LONGEST)) {
      remarks.add(
          new Remark(
              row.number(), Messages.of("common.left-out-it-would-be-seen", in.get(), out.get())));
      return Optional.empty();
    }
    String named = row.cell("style");
    if (!styles.has(named)) {
      remarks.add(new Remark(row.number(), Messages.of("substation.no-such-style", named)));
    }
    SubstationStyles.Declared style = styles.get(named);
    SubstationPlace place =
        style
            .place()
            .withMargins(margin(row, "marginl"), margin(row, "marginr"), margin(row, "marginv"));
    SubstationWords words =
        new SubstationWords(styles, style, place, scale, wrapping, row.number(), remarks);
    Story story = words.story(row.cell("text"));
    if (story.text().isBlank()) {
      remarks.add(new Remark(row.number(), Messages.of("substation.no-words")));
      return Optional.empty();
    }
    if (!row.cell("effect").isEmpty()) {
      remarks.add(
          new Remark(row.number(), Messages.of("substation.effect-left-out", row.cell("effect"))));
    }
    PropertySet local =
        SubstationStyles.between(
            words.place().values(scale, words.wrapping()), style.place().values(scale, wrapping));
    String speaker = row.cell("name").isEmpty() ? row.cell("actor") : row.cell("name");
    return Optional.of(
        new CaptionList.Cue(
            Integer.toString(number),
            in.get(),
            out.get(),
            speaker,
            story,
            List.of(styles.ofEvent(style)),
            local,
            words.fadeIn(),
            words.fadeOut()));
  }

  private static double margin(SubstationScript.Row row, String column) {
    return Math.max(0, SubstationField.number(row.cell(column)).orElse(0.0));
  }

  private static Optional<Time> time(String text) {
    Matcher clock = CLOCK.matcher(text.strip());
    if (!clock.matches()) {
      return Optional.empty();
    }
    long seconds =
        Long.parseLong(clock.group(1)) * 3600
            + Long.parseLong(clock.group(2)) * 60
            + Long.parseLong(clock.group(3));
    String part = Optional.ofNullable(clock.group(4)).orElse("0");
    long millis = Math.round(Double.parseDouble("0." + part) * 1000);
    return Optional.of(Time.ofMillis(seconds * 1000 + millis));
  }
}
