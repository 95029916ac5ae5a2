package dynamorph.formats.captions;

import static java.util.Objects.requireNonNull;

import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Slant;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jspecify.annotations.Nullable;

/**
 * Reads TTML (W3C, Timed Text Markup Language 2) as the text profile of IMSC 1.1 uses it: styles
 * and chains of them, regions, paragraphs and spans, times as clock, frames, ticks and offsets.
 * Document types are not read, so entities cannot grow.
 */
final class TtmlReader {
  private static final String STYLING = "http://www.w3.org/ns/ttml#styling";
  private static final String PARAMETER = "http://www.w3.org/ns/ttml#parameter";
  private static final String METADATA = "http://www.w3.org/ns/ttml#metadata";
  private static final String XML = "http://www.w3.org/XML/1998/namespace";

  /** Elements inside each other; no sound file goes deeper. */
  private static final int DEEPEST = 60;

  private final FrameBox frame;
  private final List<Remark> remarks;
  private final XMLStreamReader xml;
  private final Map<String, Declared> declared = new LinkedHashMap<>();
  private final Map<String, PropertySet> regions = new LinkedHashMap<>();
  private final Set<String> used = new LinkedHashSet<>();
  private final List<CaptionList.Cue> cues = new ArrayList<>();
  private final Map<String, String> agents = new LinkedHashMap<>();
  private String language = "";
  private double rows = 15;
  private Optional<double[]> extent = Optional.empty();
  private Clock clock = new Clock(30, 1, 1, 0);

  /**
   * A style as the document has it.
   *
   * @param ruby what part of a ruby its words are; empty for none
   */
  private record Declared(String id, List<String> based, PropertySet values, String ruby) {
    boolean saysOnlyRuby() {
      return !ruby.isEmpty() && values.isEmpty();
    }
  }

  /** How times are counted. */
  private record Clock(int frames, int multiplier, int divisor, long ticks) {
    Optional<FrameRate> rate() {
      try {
        return Optional.of(new FrameRate(frames * multiplier, divisor));
      } catch (IllegalArgumentException unusual) {
        return Optional.empty();
      }
    }

    Time frame(double count) {
      // frames are counted in thousandths, which no file goes below
      return Time.ofSeconds(Math.round(count * 1000) * divisor, 1000L * frames * multiplier);
    }
  }

  /**
   * What an element hands to those in it.
   *
   * @param ruby what part of a ruby its words are, such as {@code text}; empty for none
   */
  private record Context(
      Time begin,
      Optional<Time> end,
      List<String> styles,
      PropertySet local,
      String region,
      boolean inWords,
      String ruby) {}

  private TtmlReader(XMLStreamReader xml, FrameBox frame, List<Remark> remarks) {
    this.xml = xml;
    this.frame = frame;
    this.remarks = remarks;
  }

  static boolean isOne(String text) {
    String start = text.substring(0, Math.min(text.length(), 3000));
    return start.contains("<tt ")
        || start.contains(":tt ")
        || start.contains("<tt>")
        || start.contains("http://www.w3.org/ns/ttml");
  }

  static CaptionList read(String text, FrameBox frame, List<Remark> remarks)
      throws CaptionException {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_COALESCING, true);
    try {
      XMLStreamReader xml = factory.createXMLStreamReader(new StringReader(text.strip()));
      return new TtmlReader(xml, frame, remarks).captions();
    } catch (XMLStreamException broken) {
      int line = broken.getLocation() == null ? 0 : broken.getLocation().getLineNumber();
      String why = requireNonNull(broken.getMessage()).replaceAll("(?s).*Message:\\s*", "");
      throw new CaptionException(
          Messages.of("ttml-reader.line-this-is-not-xml", Math.max(1, line), why));
    } catch (IllegalArgumentException | ArithmeticException wrong) {
      throw new CaptionException(String.valueOf(wrong.getMessage()));
    }
  }

  private int line() {
    return xml.getLocation().getLineNumber();
  }

  private CaptionList captions() throws XMLStreamException, CaptionException {
    Deque<Context> open = new ArrayDeque<>();
    open.push(
        new Context(Time.ZERO, Optional.empty(), List.of(), PropertySet.EMPTY, "", false, ""));
    CueTextBuilder words = null;
    Paragraph paragraph = null;
    while (xml.hasNext()) {
      switch (xml.next()) {
        case XMLStreamConstants.START_ELEMENT -> {
          if (open.size() > DEEPEST) {
            throw new CaptionException(
                Messages.of("ttml-reader.line-elements-lie-more-than-deep", line(), DEEPEST));
          }
          String name = xml.getLocalName();
          if (open.size() == 1 && !name.equals("tt")) {
            throw new CaptionException(
                Messages.of("ttml-reader.line-this-is-no-ttml", line(), name));
          }
          Context inner = inner(open.peek(), name);
          switch (name) {
            case "tt" -> root();
            case "style" -> style();
            case "region" -> region();
            case "agent" -> agent();
            case "name" -> inAgentName = openAgent != null;
            case "p" -> {
              words = new CueTextBuilder();
              paragraph = new Paragraph(inner, attribute(XML, "id"), agentOf(), line());
            }
            case "br" -> {
              if (words != null) {
                words.add("\n", List.of(), PropertySet.EMPTY);
              }
            }
            case "span" -> {
              if (words != null && begins("container", inner, open.peek())) {
                words.beginBase();
              } else if (begins("text", inner, open.peek()) && !ruby.isEmpty()) {
                ruby.append(' ');
              }
            }
            default -> {}
          }
          open.push(inner);
        }
        case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
          if (words != null && paragraph != null && open.peek().inWords) {
            add(words, open.peek(), paragraph);
          } else if (inAgentName && openAgent != null && !xml.getText().isBlank()) {
            agents.put(openAgent, xml.getText().strip());
          }
        }
        case XMLStreamConstants.END_ELEMENT -> {
          Context ended = open.pop();
          if (words != null && begins("container", ended, open.peek())) {
            words.endBase(ruby.toString());
            ruby.setLength(0);
          }
          inAgentName = false;
          if (xml.getLocalName().equals("region")) {
            currentRegion = null;
          }
          if (xml.getLocalName().equals("p") && paragraph != null && words != null) {
            cue(paragraph, words);
            words = null;
            paragraph = null;
          }
        }
        case XMLStreamConstants.DTD ->
            throw new CaptionException(
                Messages.of("ttml-reader.line-a-document-type-is-not", line()));
        default -> {}
      }
    }
    return new CaptionList(
        language, clock.rate(), styles(), shared(), PropertySet.EMPTY, unshared());
  }

  private final StringBuilder ruby = new StringBuilder();

  private static boolean begins(String part, Context inner, Context outer) {
    return inner.ruby.equals(part) && !outer.ruby.equals(part);
  }

  /** What part of a ruby an element is: by itself, by its styles, or by what it lies in. */
  private String rubyPart(Context outer) {
    String own = attribute(STYLING, "ruby");
    if (own != null) {
      return own.strip().equals("none") ? "" : own.strip();
    }
    return names(xml.getAttributeValue(null, "style")).stream()
        .map(declared::get)
        .filter(style -> style != null && !style.ruby.isEmpty())
        .reduce((_, last) -> last)
        .map(Declared::ruby)
        .orElse(outer.ruby);
  }

  private void root() {
    language = Optional.ofNullable(attribute(XML, "lang")).orElse("");
    int frames = number(attribute(PARAMETER, "frameRate"), 30);
    int[] multiplier = {1, 1};
    String given = attribute(PARAMETER, "frameRateMultiplier");
    if (given != null && given.strip().matches("\\d{1,5}[ :]\\d{1,5}")) {
      String[] parts = given.strip().split("[ :]");
      multiplier[0] = Math.max(1, Integer.parseInt(parts[0]));
      multiplier[1] = Math.max(1, Integer.parseInt(parts[1]));
    }
    clock =
        new Clock(
            frames, multiplier[0], multiplier[1], number(attribute(PARAMETER, "tickRate"), 0));
    String cells = attribute(PARAMETER, "cellResolution");
    if (cells != null && cells.strip().matches("\\d{1,4}\\s+\\d{1,4}")) {
      rows = Math.max(1, Double.parseDouble(cells.strip().split("\\s+")[1]));
    }
    String size = attribute(STYLING, "extent");
    Matcher pixels =
        Pattern.compile("([\\d.]{1,9})px\\s+([\\d.]{1,9})px").matcher(size == null ? "" : size);
    if (pixels.matches()) {
      extent =
          Optional.of(
              new double[] {
                Double.parseDouble(pixels.group(1)), Double.parseDouble(pixels.group(2))
              });
    }
  }

  private static int number(String text, int usual) {
    return text != null && text.strip().matches("\\d{1,9}") && !text.strip().matches("0+")
        ? Integer.parseInt(text.strip())
        : usual;
  }

  private String attribute(String space, String name) {
    String value = xml.getAttributeValue(space, name);
    if (value == null && !space.isEmpty()) {
      // older drafts of the standard have the same names in other spaces
      for (int index = 0; index < xml.getAttributeCount(); index++) {
        String own = xml.getAttributeNamespace(index);
        if (xml.getAttributeLocalName(index).equals(name)
            && own != null
            && own.endsWith(space.substring(space.lastIndexOf('#') + 1))) {
          return xml.getAttributeValue(index);
        }
      }
    }
    return value;
  }

  private static List<String> names(String text) {
    return text == null || text.isBlank() ? List.of() : List.of(text.strip().split("\\s+"));
  }

  // --- styles and regions
  // ----------------------------------------------------------------------------------------

  private void style() {
    String id = attribute(XML, "id");
    PropertySet values = values();
    if (id != null) {
      List<String> based = names(xml.getAttributeValue(null, "style"));
      declared.put(
          id,
          new Declared(
              id,
              based,
              values,
              Optional.ofNullable(attribute(STYLING, "ruby")).orElse("").strip()));
    } else if (currentRegion != null) {
      regions.merge(currentRegion, values, PropertySet::overlaidBy);
    }
  }

  private @Nullable String currentRegion;

  private void region() {
    String id = Optional.ofNullable(attribute(XML, "id")).orElse("");
    currentRegion = id;
    PropertySet values = values();
    for (String style : names(xml.getAttributeValue(null, "style"))) {
      values = chain(style).overlaidBy(values);
    }
    regions.put(id, values.overlaidBy(placed()));
  }

  private PropertySet chain(String id) {
    PropertySet merged = PropertySet.EMPTY;
    Deque<String> left = new ArrayDeque<>(List.of(id));
    Set<String> seen = new LinkedHashSet<>();
    while (!left.isEmpty()) {
      String next = left.pop();
      Declared style = declared.get(next);
      if (style != null && seen.add(next)) {
        merged = style.values.overlaidBy(merged);
        style.based.reversed().forEach(left::push);
      }
    }
    return merged;
  }

  /** Where a region stands, by its origin, its extent and where its text gathers. */
  private PropertySet placed() {
    double[] origin = pair(attribute(STYLING, "origin"), 0, 0);
    double[] size = pair(attribute(STYLING, "extent"), 100, 100);
    String gathers = Optional.ofNullable(attribute(STYLING, "displayAlign")).orElse("before");
    String align = Optional.ofNullable(attribute(STYLING, "textAlign")).orElse("");
    double across = align.equals("left") ? 0 : align.equals("right") ? 1 : 0.5;
    double down = gathers.equals("after") ? 1 : gathers.equals("center") ? 0.5 : 0;
    Anchor anchor =
        java.util.Arrays.stream(Anchor.values())
            .filter(one -> one.across() == across && one.down() == down)
            .findFirst()
            .orElse(Anchor.TOP);
    PropertySet placed =
        frame.place(
            anchor,
            Optional.of(origin[0] + across * size[0]),
            Optional.of(origin[1] + down * size[1]));
    return size[0] < 100 ? placed.overlaidBy(frame.width(size[0])) : placed;
  }

  private double[] pair(String text, double x, double y) {
    if (text == null) {
      return new double[] {x, y};
    }
    String[] parts = text.strip().split("\\s+");
    if (parts.length != 2) {
      return new double[] {x, y};
    }
    return new double[] {share(parts[0], x, true), share(parts[1], y, false)};
  }

  private double share(String text, double usual, boolean across) {
    Matcher found = Pattern.compile("(-?[\\d.]{1,9})(%|px|c|rw|rh)").matcher(text);
    if (!found.matches() || !found.group(1).matches("-?\\d+(\\.\\d+)?")) {
      return usual;
    }
    double number = Double.parseDouble(found.group(1));
    double whole = extent.map(size -> size[across ? 0 : 1]).orElse(across ? 1920.0 : 1080.0);
    return switch (found.group(2)) {
      case "px" -> number / whole * 100;
      case "c" -> across ? number / 32 * 100 : number / rows * 100;
      default -> number;
    };
  }

  private PropertySet values() {
    PropertySet values = PropertySet.EMPTY;
    for (int index = 0; index < xml.getAttributeCount(); index++) {
      String space = xml.getAttributeNamespace(index);
      if (space != null && space.endsWith("styling")) {
        String name = xml.getAttributeLocalName(index);
        values = values.overlaidBy(value(name, xml.getAttributeValue(index).strip(), line()));
      }
    }
    return values;
  }

  private PropertySet value(String name, String text, int line) {
    PropertySet none = PropertySet.EMPTY;
    Optional<PropertySet> read =
        switch (name) {
          case "color" ->
              CssColours.parseTtml(text)
                  .map(rgba -> none.with(Properties.COAT_COLOUR.at(CueCss.FILL), Colour.of(rgba)));
          case "backgroundColor" ->
              CssColours.parseTtml(text)
                  .map(rgba -> rgba.alpha() == 0 ? none : CueCss.ground(rgba));
          case "fontFamily" -> {
            String family = text.split(",")[0].replaceAll("[\"']", "").strip();
            boolean generic =
                family.matches(
                    "default|monospace|sansSerif|serif|monospaceSansSerif|monospaceSerif"
                        + "|proportionalSansSerif|proportionalSerif");
            yield Optional.of(generic ? none : none.with(Properties.FONT_FAMILY, family));
          }
          case "fontSize" -> size(text).map(size -> none.with(Properties.SIZE, size));
          case "fontWeight" ->
              Optional.of(none.with(Properties.FONT_WEIGHT, text.equals("bold") ? 700.0 : 400.0));
          case "fontStyle" ->
              Optional.of(
                  none.with(
                      Properties.SLANT, text.equals("normal") ? Slant.UPRIGHT : Slant.ITALIC));
          case "textDecoration" ->
              Optional.of(
                  none.with(Properties.UNDERLINE, List.of(text.split("\\s+")).contains("underline"))
                      .with(Properties.STRIKE, List.of(text.split("\\s+")).contains("lineThrough"))
                      .with(Properties.OVERLINE, List.of(text.split("\\s+")).contains("overline")));
          case "textAlign" ->
              switch (text) {
                case "left" -> Optional.of(none.with(Properties.ALIGNMENT, Alignment.LEFT));
                case "right" -> Optional.of(none.with(Properties.ALIGNMENT, Alignment.RIGHT));
                case "start" -> Optional.of(none.with(Properties.ALIGNMENT, Alignment.START));
                case "end" -> Optional.of(none.with(Properties.ALIGNMENT, Alignment.END));
                default -> Optional.of(none.with(Properties.ALIGNMENT, Alignment.CENTRE));
              };
          case "lineHeight" ->
              text.equals("normal")
                  ? Optional.of(none)
                  : text.matches("\\d{1,4}(\\.\\d{1,6})?%")
                      ? Optional.of(
                          none.with(
                              Properties.LEADING,
                              new Leading.Relative(
                                  Double.parseDouble(text.substring(0, text.length() - 1)) / 100)))
                      : Optional.empty();
          case "textShadow" -> CueCss.shadow(text);
          case "origin",
              "extent",
              "displayAlign",
              "position",
              "overflow",
              "showBackground",
              "unicodeBidi",
              "direction",
              "wrapOption",
              "visibility",
              "ruby",
              "rubyAlign",
              "display",
              "zIndex" ->
              Optional.of(none);
          default -> Optional.empty();
        };
    if (read.isEmpty()) {
      remarks.add(new Remark(line, Messages.of("ttml-reader.left-out", name, text)));
    }
    return read.orElse(none);
  }

  /** Cells and hundredths are of what the root gives: a row of the grid. */
  private Optional<FontSize> size(String text) {
    String one = text.strip().split("\\s+")[0];
    Matcher found = Pattern.compile("(\\d{1,5}(?:\\.\\d{1,6})?)(%|px|c|em|rh)").matcher(one);
    if (!found.matches()) {
      return Optional.empty();
    }
    double number = Double.parseDouble(found.group(1));
    double scale = extent.map(size -> frame.height() / size[1]).orElse(1.0);
    if (!(number > 0)) {
      return Optional.empty();
    }
    return Optional.of(
        switch (found.group(2)) {
          case "%" -> new FontSize.Times(number / 100);
          case "em" -> new FontSize.Times(number);
          case "c" -> FontSize.points(number * frame.height() / rows);
          case "rh" -> FontSize.points(number * frame.height() / 100);
          default -> FontSize.points(number * scale);
        });
  }

  // --- speakers
  // --------------------------------------------------------------------------------------------------

  private @Nullable String openAgent;
  private boolean inAgentName;

  private void agent() {
    String agent = Optional.ofNullable(attribute(XML, "id")).orElse("");
    openAgent = agent;
    agents.put(agent, agent);
  }

  private String agentOf() {
    String id = attribute(METADATA, "agent");
    return id == null ? "" : agents.getOrDefault(id.strip(), id.strip());
  }

  // --- times
  // -----------------------------------------------------------------------------------------------------

  private static final Pattern CLOCK_TIME =
      Pattern.compile("(\\d{1,6}):(\\d{2}):(\\d{2})(?:\\.(\\d{1,12})|:(\\d{1,4})(?:\\.(\\d+))?)?");
  private static final Pattern OFFSET_TIME =
      Pattern.compile("(\\d{1,15}(?:\\.\\d{1,12})?)(h|m|s|ms|f|t)");

  private Optional<Time> time(String text) {
    if (text == null) {
      return Optional.empty();
    }
    Matcher counted = CLOCK_TIME.matcher(text.strip());
    if (counted.matches()) {
      long seconds =
          Long.parseLong(counted.group(1)) * 3600
              + Long.parseLong(counted.group(2)) * 60
              + Long.parseLong(counted.group(3));
      Time whole = Time.ofSeconds(seconds, 1);
      if (counted.group(4) != null) {
        return Optional.of(whole.plus(Time.ofSeconds(Double.parseDouble("0." + counted.group(4)))));
      }
      return Optional.of(
          counted.group(5) == null
              ? whole
              : whole.plus(clock.frame(Double.parseDouble(counted.group(5)))));
    }
    Matcher offset = OFFSET_TIME.matcher(text.strip());
    if (!offset.matches()) {
      remarks.add(new Remark(line(), Messages.of("ttml-reader.is-no-time", text.strip())));
      return Optional.empty();
    }
    double number = Double.parseDouble(offset.group(1));
    return Optional.of(
        switch (offset.group(2)) {
          case "h" -> Time.ofSeconds(number * 3600);
          case "m" -> Time.ofSeconds(number * 60);
          case "ms" -> Time.ofSeconds(number / 1000);
          case "f" -> clock.frame(number);
          case "t" ->
              Time.ofSeconds(
                  Math.round(number),
                  clock.ticks > 0
                      ? clock.ticks
                      : Math.max(1, (long) clock.frames * clock.multiplier / clock.divisor));
          default -> Time.ofSeconds(number);
        });
  }

  // --- words
  // -----------------------------------------------------------------------------------------------------

  private record Paragraph(Context context, String id, String speaker, int line) {}

  private Context inner(Context outer, String name) {
    boolean timed = List.of("body", "div", "p").contains(name);
    boolean words = name.equals("p") || name.equals("span") && outer.inWords;
    if (!timed && !words) {
      return new Context(
          outer.begin, outer.end, outer.styles, outer.local, outer.region, false, "");
    }
    Time begin =
        timed
            ? time(xml.getAttributeValue(null, "begin")).map(outer.begin::plus).orElse(outer.begin)
            : outer.begin;
    Optional<Time> end = outer.end;
    if (timed) {
      Optional<Time> own =
          time(xml.getAttributeValue(null, "end"))
              .map(outer.begin::plus)
              .or(() -> time(xml.getAttributeValue(null, "dur")).map(begin::plus));
      end = own.or(() -> outer.end);
    }
    List<String> styles = new ArrayList<>(outer.styles);
    styles.addAll(names(xml.getAttributeValue(null, "style")));
    String region = Optional.ofNullable(xml.getAttributeValue(null, "region")).orElse(outer.region);
    PropertySet local = outer.local.overlaidBy(values());
    // what a paragraph has is a matter of the cue, not of each of its spans
    return name.equals("p")
        ? new Context(begin, end, List.copyOf(styles), local, region, true, "")
        : new Context(begin, end, List.copyOf(styles), local, region, words, rubyPart(outer));
  }

  private void add(CueTextBuilder words, Context context, Paragraph paragraph) {
    String plain = xml.getText().replaceAll("[\\t\\n\\r ]+", " ");
    switch (context.ruby) {
      case "text" -> {
        ruby.append(plain);
        return;
      }
      case "delimiter" -> {
        // brackets for those who cannot show ruby
        return;
      }
      case "container", "baseContainer", "textContainer" -> {
        // white between the parts is no words; others should not be there, but are not lost
        if (plain.isBlank()) {
          return;
        }
      }
      default -> {}
    }
    List<String> own =
        context
            .styles
            .subList(
                Math.min(paragraph.context.styles.size(), context.styles.size()),
                context.styles.size())
            .stream()
            .filter(style -> declared.get(style) == null || !declared.get(style).saysOnlyRuby())
            .toList();
    own.forEach(used::add);
    PropertySet local =
        context.local.where(
            key -> !context.local.get(key).equals(paragraph.context.local.get(key)));
    words.add(
        plain,
        own.stream().filter(declared::containsKey).map(TtmlReader::characterId).distinct().toList(),
        local);
  }

  private void cue(Paragraph paragraph, CueTextBuilder words) {
    Context context = paragraph.context;
    if (context.end.isEmpty()) {
      remarks.add(new Remark(paragraph.line, Messages.of("ttml-reader.left-out-it-has-no-end")));
      return;
    }
    Time out = context.end.get();
    if (!context.begin.isBefore(out) || out.isAfter(Time.LONGEST)) {
      remarks.add(
          new Remark(
              paragraph.line, Messages.of("common.left-out-it-would-be-seen", context.begin, out)));
      return;
    }
    PropertySet local =
        regions.getOrDefault(context.region, PropertySet.EMPTY).overlaidBy(context.local);
    List<StyleId> follows =
        context.styles.stream()
            .filter(declared::containsKey)
            .map(TtmlReader::textId)
            .distinct()
            .toList();
    context.styles.forEach(textStyles::add);
    cues.add(
        new CaptionList.Cue(
            Optional.ofNullable(paragraph.id).orElse(""),
            context.begin,
            out,
            paragraph.speaker,
            stripped(words.story()),
            follows,
            local));
  }

  /** Spaces at the ends of lines come from how the file is laid out. */
  private static dynamorph.model.text.Story stripped(dynamorph.model.text.Story story) {
    var spans = new ArrayList<>(story.paragraphs().getFirst().spans());
    for (int index = 0; index < spans.size(); index++) {
      String text = spans.get(index).text().replaceAll(" *\u2028 *", "\u2028");
      text = index == 0 || endsLine(spans.get(index - 1).text()) ? text.stripLeading() : text;
      text = index == spans.size() - 1 ? text.stripTrailing() : text;
      spans.set(index, spans.get(index).withText(text));
    }
    spans.removeIf(span -> span.text().isEmpty() && spans.size() > 1);
    return dynamorph.model.text.Story.of(
        dynamorph.model.text.Paragraph.of(spans.toArray(dynamorph.model.text.Span[]::new)));
  }

  private static boolean endsLine(String text) {
    return text.endsWith("\u2028");
  }

  private final Set<String> textStyles = new LinkedHashSet<>();

  private static StyleId textId(String id) {
    return new StyleId("tt-" + id.replaceAll("[^A-Za-z0-9_.-]", "-"));
  }

  private static StyleId characterId(String id) {
    return new StyleId("tt-" + id.replaceAll("[^A-Za-z0-9_.-]", "-") + "-words");
  }

  /** A style that cues use is a text style, one that words use a character style. */
  private List<Style> styles() {
    Map<StyleId, Style> made = new LinkedHashMap<>();
    textStyles.forEach(id -> make(id, StyleLevel.TEXT, made, new LinkedHashSet<>()));
    used.forEach(id -> make(id, StyleLevel.CHARACTER, made, new LinkedHashSet<>()));
    return List.copyOf(made.values());
  }

  private void make(String id, StyleLevel level, Map<StyleId, Style> made, Set<String> above) {
    Declared style = declared.get(id);
    StyleId own = level == StyleLevel.TEXT ? textId(id) : characterId(id);
    if (style == null || made.containsKey(own) || !above.add(id)) {
      return;
    }
    Optional<String> base =
        style.based.stream()
            .filter(declared::containsKey)
            .filter(other -> !above.contains(other))
            .reduce((_, last) -> last);
    base.ifPresent(other -> make(other, level, made, above));
    PropertySet values = style.values;
    for (String other : style.based) {
      if (base.filter(other::equals).isEmpty()) {
        values = chain(other).overlaidBy(values);
      }
    }
    String name = id.replace('-', ' ').replace('_', ' ').strip();
    String shown =
        name.isEmpty()
            ? Messages.of("ttml-reader.style")
            : Character.toUpperCase(name.charAt(0)) + name.substring(1);
    made.put(
        own,
        new Style(
            own,
            shown,
            Messages.of("ttml-reader.captions"),
            level,
            base.map(other -> level == StyleLevel.TEXT ? textId(other) : characterId(other))
                .filter(made::containsKey),
            values,
            ""));
  }

  /** Styles that all cues begin with are those of the track. */
  private List<StyleId> shared() {
    if (cues.isEmpty()) {
      return List.of();
    }
    List<StyleId> shared = new ArrayList<>(cues.getFirst().follows());
    for (CaptionList.Cue cue : cues) {
      while (!shared.isEmpty()
          && !(cue.follows().size() >= shared.size()
              && cue.follows().subList(0, shared.size()).equals(shared))) {
        shared.removeLast();
      }
    }
    return shared;
  }

  private List<CaptionList.Cue> unshared() {
    int shared = shared().size();
    return cues.stream()
        .map(cue ->
            new CaptionList.Cue(
                cue.name(),
                cue.in(),
                cue.out(),
                cue.speaker(),
                cue.story(),
                cue.follows().subList(shared, cue.follows().size()),
                cue.local()))
        .toList();
  }
}
