package dynamorph.formats.captions;

import static java.util.Objects.requireNonNull;

import dynamorph.formats.file.SafeXml;
import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.Time;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
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

  private final List<Remark> remarks;
  private final XMLStreamReader xml;
  private final TtmlStyles styles = new TtmlStyles();
  private final Map<String, PropertySet> regions = new LinkedHashMap<>();
  private final TtmlCues cues = new TtmlCues();
  private final Map<String, String> agents = new LinkedHashMap<>();
  private String language = "";
  private TtmlClock clock = TtmlClock.USUAL;
  private TtmlValues values;
  private final StringBuilder ruby = new StringBuilder();
  private @Nullable String currentRegion;
  private @Nullable String openAgent;
  private boolean inAgentName;
  private Optional<OpenCue> openCue = Optional.empty();

  private TtmlReader(XMLStreamReader xml, FrameBox frame, List<Remark> remarks) {
    this.xml = xml;
    this.values = new TtmlValues(frame, 15, Optional.empty(), remarks);
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
    XMLInputFactory factory = SafeXml.factory();
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
    Deque<TtmlContext> open = new ArrayDeque<>();
    open.push(
        new TtmlContext(
            Time.ZERO,
            Optional.empty(),
            List.of(),
            PropertySet.EMPTY,
            "",
            false,
            "",
            TtmlContext.Shown.VISIBLE,
            false,
            Optional.empty()));
    while (xml.hasNext()) {
      switch (xml.next()) {
        case XMLStreamConstants.START_ELEMENT -> {
          refuse(open.size(), xml.getLocalName());
          TtmlContext inner = inner(open.peek(), xml.getLocalName());
          begin(xml.getLocalName(), inner, open.peek());
          open.push(inner);
        }
        case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> characters(open.peek());
        case XMLStreamConstants.END_ELEMENT -> {
          TtmlContext ended = open.pop();
          end(xml.getLocalName(), ended, open.peek());
        }
        case XMLStreamConstants.DTD ->
            throw new CaptionException(
                Messages.of("ttml-reader.line-a-document-type-is-not", line()));
        default -> {}
      }
    }
    cues.giveEnds(remarks);
    List<StyleId> shared = cues.shared();
    CaptionList list =
        new CaptionList(
            language,
            clock.rate(),
            styles.made(),
            shared,
            PropertySet.EMPTY,
            cues.without(shared.size()));
    boolean nonDrop =
        clock
            .timecode()
            .filter(code -> !code.drop() && code.rate().denominator() == 1001)
            .isPresent();
    return nonDrop ? list.withNonDrop() : list;
  }

  private void refuse(int depth, String name) throws CaptionException {
    if (depth > DEEPEST) {
      throw new CaptionException(
          Messages.of("ttml-reader.line-elements-lie-more-than-deep", line(), DEEPEST));
    }
    if (depth == 1 && !name.equals("tt")) {
      throw new CaptionException(Messages.of("ttml-reader.line-this-is-no-ttml", line(), name));
    }
  }

  private void begin(String name, TtmlContext inner, TtmlContext outer) {
    switch (name) {
      case "tt" -> root();
      case "style" -> style();
      case "region" -> region();
      case "agent" -> agent();
      case "name" -> inAgentName = openAgent != null;
      case "p" -> openCue = Optional.of(openCue(inner));
      case "br" ->
          openCue
              .filter(_ -> inner.shown() == TtmlContext.Shown.VISIBLE)
              .ifPresent(cue ->
                  cue.words.add(
                      inner.begin(),
                      inner.end(),
                      words -> words.add("\n", List.of(), PropertySet.EMPTY)));
      case "span" -> {
        if (openCue.isPresent() && begins("container", inner, outer)) {
          openCue.get().words.add(inner.begin(), inner.end(), CueTextBuilder::beginBase);
        } else if (begins("text", inner, outer) && !ruby.isEmpty()) {
          ruby.append(' ');
        }
      }
      default -> {}
    }
  }

  private void characters(TtmlContext context) {
    if (openCue.isPresent() && context.inWords()) {
      add(openCue.get(), context);
    } else if (inAgentName && openAgent != null && !xml.getText().isBlank()) {
      agents.put(openAgent, xml.getText().strip());
    }
  }

  private void end(String name, TtmlContext ended, TtmlContext outer) {
    if (openCue.isPresent() && begins("container", ended, outer)) {
      String read = ruby.toString();
      openCue.get().words.add(ended.begin(), ended.end(), words -> words.endBase(read));
      ruby.setLength(0);
    }
    inAgentName = false;
    if (name.equals("region")) {
      currentRegion = null;
    }
    if (name.equals("p") && openCue.isPresent()) {
      close(openCue.get());
      openCue = Optional.empty();
    }
  }

  private static boolean begins(String part, TtmlContext inner, TtmlContext outer) {
    return inner.ruby().equals(part) && !outer.ruby().equals(part);
  }

  /** What part of a ruby an element is: by itself, by its styles, or by what it lies in. */
  private String rubyPart(TtmlContext outer) {
    String own = attribute(STYLING, "ruby");
    if (own != null) {
      return own.strip().equals("none") ? "" : own.strip();
    }
    return styles.ruby(names(xml.getAttributeValue(null, "style"))).orElse(outer.ruby());
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
        new TtmlClock(
            frames, multiplier[0], multiplier[1], number(attribute(PARAMETER, "tickRate"), 0));
    if ("smpte".equals(attribute(PARAMETER, "timeBase"))) {
      clock =
          clock.counting(Optional.ofNullable(attribute(PARAMETER, "dropMode")).orElse("nonDrop"));
    }
    values = new TtmlValues(values.frame(), rows(), pixels(), remarks);
  }

  private double rows() {
    String cells = attribute(PARAMETER, "cellResolution");
    return cells != null && cells.strip().matches("\\d{1,4}\\s+\\d{1,4}")
        ? Math.max(1, Double.parseDouble(cells.strip().split("\\s+")[1]))
        : values.rows();
  }

  private Optional<double[]> pixels() {
    String extent = attribute(STYLING, "extent");
    Matcher pixels =
        Pattern.compile("(\\d{1,9}(?:\\.\\d{1,9})?)px\\s+(\\d{1,9}(?:\\.\\d{1,9})?)px")
            .matcher(extent == null ? "" : extent);
    return pixels.matches()
        ? Optional.of(
            new double[] {Double.parseDouble(pixels.group(1)), Double.parseDouble(pixels.group(2))})
        : Optional.empty();
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

  private void style() {
    String id = attribute(XML, "id");
    if (id != null) {
      String ruby = Optional.ofNullable(attribute(STYLING, "ruby")).orElse("").strip();
      List<String> based = names(xml.getAttributeValue(null, "style"));
      styles.declare(new TtmlStyles.Declared(id, based, values(), ruby, saysShown()));
    } else if (currentRegion != null) {
      regions.merge(currentRegion, values(), PropertySet::overlaidBy);
    }
  }

  private void region() {
    String id = Optional.ofNullable(attribute(XML, "id")).orElse("");
    currentRegion = id;
    PropertySet own = values();
    for (String style : names(xml.getAttributeValue(null, "style"))) {
      own = styles.chain(style).overlaidBy(own);
    }
    PropertySet placed =
        values.placed(
            attribute(STYLING, "origin"),
            attribute(STYLING, "extent"),
            Optional.ofNullable(attribute(STYLING, "displayAlign")).orElse("before"),
            Optional.ofNullable(attribute(STYLING, "textAlign")).orElse(""),
            TtmlValues.mode(attribute(STYLING, "writingMode")));
    regions.put(id, own.overlaidBy(placed));
  }

  /** What an element says itself of whether it is displayed; empty if it does not. */
  private String saysShown() {
    String display = Optional.ofNullable(attribute(STYLING, "display")).orElse("").strip();
    return display.equals("none")
        ? display
        : Optional.ofNullable(attribute(STYLING, "visibility")).orElse("").strip();
  }

  private TtmlContext.Shown shown(TtmlContext outer) {
    String own = saysShown();
    String said =
        own.isEmpty() ? styles.shown(names(xml.getAttributeValue(null, "style"))).orElse("") : own;
    if (outer.shown() == TtmlContext.Shown.NOT_DISPLAYED || said.equals("none")) {
      return TtmlContext.Shown.NOT_DISPLAYED;
    }
    return switch (said) {
      case "hidden" -> TtmlContext.Shown.HIDDEN;
      case "visible" -> TtmlContext.Shown.VISIBLE;
      default -> outer.shown();
    };
  }

  private boolean keepsSpace(TtmlContext outer) {
    String own = attribute(XML, "space");
    return own == null ? outer.keepsSpace() : own.strip().equals("preserve");
  }

  private PropertySet values() {
    PropertySet all = PropertySet.EMPTY;
    for (int index = 0; index < xml.getAttributeCount(); index++) {
      String space = xml.getAttributeNamespace(index);
      if (space != null && space.endsWith("styling")) {
        String name = xml.getAttributeLocalName(index);
        all = all.overlaidBy(values.of(name, xml.getAttributeValue(index).strip(), line()));
      }
    }
    return all;
  }

  private void agent() {
    String agent = Optional.ofNullable(attribute(XML, "id")).orElse("");
    openAgent = agent;
    agents.put(agent, agent);
  }

  private String agentOf() {
    String id = attribute(METADATA, "agent");
    return id == null ? "" : agents.getOrDefault(id.strip(), id.strip());
  }

  /** A paragraph whose end has not been read. */
  private record OpenCue(
      TtmlContext context, String id, String speaker, int line, TimedWords words) {}

  private OpenCue openCue(TtmlContext context) {
    String id = Optional.ofNullable(attribute(XML, "id")).orElse("");
    return new OpenCue(context, id, agentOf(), line(), new TimedWords());
  }

  /** The time that an attribute gives; one that is none is told in a remark. */
  private Optional<Time> time(String attribute) {
    Optional<String> text = Optional.ofNullable(xml.getAttributeValue(null, attribute));
    Optional<Time> time = text.flatMap(clock::time);
    if (text.isPresent() && time.isEmpty()) {
      remarks.add(new Remark(line(), Messages.of("ttml-reader.is-no-time", text.get().strip())));
    }
    return time;
  }

  private TtmlContext inner(TtmlContext outer, String name) {
    boolean words = name.equals("p") || name.equals("span") && outer.inWords();
    boolean timed = words || List.of("body", "div").contains(name);
    boolean keepsSpace = keepsSpace(outer);
    if (!timed) {
      TtmlContext plain = outer.plain();
      return name.equals("tt")
          ? new TtmlContext(
              plain.begin(),
              plain.end(),
              plain.styles(),
              plain.local(),
              plain.region(),
              false,
              "",
              plain.shown(),
              keepsSpace,
              plain.sequence())
          : plain;
    }
    Time from = outer.sequence().map(children -> children.next).orElse(outer.begin());
    Time begin = time("begin").map(from::plus).orElse(from);
    Optional<Time> end =
        Stream.of(time("end").map(from::plus), time("dur").map(begin::plus), outer.end())
            .flatMap(Optional::stream)
            .min(Comparator.naturalOrder());
    outer.sequence().ifPresent(children -> children.next = end.orElse(begin));
    Optional<TtmlContext.Sequence> sequence =
        "seq".equals(xml.getAttributeValue(null, "timeContainer"))
            ? Optional.of(new TtmlContext.Sequence(begin))
            : Optional.empty();
    List<String> named = new ArrayList<>(outer.styles());
    named.addAll(names(xml.getAttributeValue(null, "style")));
    String region =
        Optional.ofNullable(xml.getAttributeValue(null, "region")).orElse(outer.region());
    PropertySet local = outer.local().overlaidBy(values());
    // what a paragraph has is a matter of the cue, not of each of its spans
    return new TtmlContext(
        begin,
        end,
        List.copyOf(named),
        local,
        region,
        words,
        name.equals("p") ? "" : rubyPart(outer),
        shown(outer),
        keepsSpace,
        sequence);
  }

  private void add(OpenCue cue, TtmlContext context) {
    if (context.shown() != TtmlContext.Shown.VISIBLE) {
      return;
    }
    String plain =
        context.keepsSpace() ? xml.getText() : xml.getText().replaceAll("[\\t\\n\\r ]+", " ");
    switch (context.ruby()) {
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
    int ofCue = Math.min(cue.context.styles().size(), context.styles().size());
    List<String> own = context.styles().subList(ofCue, context.styles().size());
    PropertySet local =
        context
            .local()
            .where(key -> !context.local().get(key).equals(cue.context.local().get(key)));
    List<StyleId> follows = styles.followedByWords(own);
    cue.words.add(context.begin(), context.end(), words -> words.add(plain, follows, local));
  }

  private void close(OpenCue cue) {
    TtmlContext context = cue.context;
    if (hides(cue)) {
      remarks.add(new Remark(cue.line, Messages.of("ttml-reader.left-out-it-is-hidden")));
      return;
    }
    Optional<Time> told = context.end().or(cue.words::end);
    Time out = told.orElse(Time.LONGEST);
    if (!context.begin().isBefore(out) || out.isAfter(Time.LONGEST)) {
      remarks.add(
          new Remark(
              cue.line, Messages.of("common.left-out-it-would-be-seen", context.begin(), out)));
      return;
    }
    PropertySet inRegion = regions.getOrDefault(context.region(), PropertySet.EMPTY);
    for (TimedWords.Part part : cue.words.parts(context.begin(), out)) {
      cues.add(
          cue.line,
          new CaptionList.Cue(
              cue.id,
              part.in(),
              part.out(),
              cue.speaker,
              context.keepsSpace() ? part.story() : TtmlCues.stripped(part.story()),
              styles.followedByCue(context.styles()),
              inRegion.overlaidBy(context.local())));
    }
  }

  private boolean hides(OpenCue cue) {
    return cue.context.shown() == TtmlContext.Shown.NOT_DISPLAYED
        || cue.context.shown() == TtmlContext.Shown.HIDDEN
            && cue.words.parts(Time.ZERO, Time.LONGEST).stream()
                .allMatch(part -> part.story().text().isBlank());
  }
}
