package dynamorph.formats.captions;

import dynamorph.formats.css.CssColours;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Slant;
import dynamorph.model.value.WritingMode;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Writes TTML in the text profile of IMSC 1.1: our styles with what they are based on become styles
 * that refer to each other, places become regions, words of one look spans.
 */
final class TtmlWriter {
  private static final String TT = "http://www.w3.org/ns/ttml";
  private static final String STYLING = TT + "#styling";
  private static final String PARAMETER = TT + "#parameter";
  private static final String METADATA = TT + "#metadata";
  private static final String PROFILE = TT + "/profile/imsc1.1/text";

  /** The margin that the foot of captions keeps, in hundredths of the height, if none is set. */
  private static final double FOOT = 8.33;

  private final CaptionExport captions;
  private final XMLStreamWriter xml;
  private final Map<StyleId, String> names = new LinkedHashMap<>();
  private final Set<String> taken = new HashSet<>();
  private final Map<String, String> regions = new LinkedHashMap<>();
  private final Map<String, String> agents = new LinkedHashMap<>();
  private int depth;

  private TtmlWriter(CaptionExport captions, XMLStreamWriter xml) {
    this.captions = captions;
    this.xml = xml;
  }

  static String write(CaptionExport captions) {
    StringWriter text = new StringWriter();
    try {
      XMLStreamWriter xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(text);
      new TtmlWriter(captions, xml).document();
      xml.close();
    } catch (XMLStreamException impossible) {
      throw new IllegalStateException(impossible);
    }
    return text.append('\n').toString();
  }

  private void document() throws XMLStreamException {
    nameStyles();
    xml.writeStartDocument("UTF-8", "1.0");
    open("tt");
    xml.writeDefaultNamespace(TT);
    xml.writeNamespace("tts", STYLING);
    xml.writeNamespace("ttp", PARAMETER);
    xml.writeNamespace("ttm", METADATA);
    xml.writeAttribute("xml:lang", captions.track().language());
    xml.writeAttribute("xml:space", "preserve");
    parameter("contentProfiles", PROFILE);
    parameter("timeBase", "media");
    styling(
        "extent",
        Math.round(captions.frame().width())
            + "px "
            + Math.round(captions.frame().height())
            + "px");
    open("head");
    agents();
    open("styling");
    for (StyleId id : names.keySet()) {
      style(id);
    }
    close();
    open("layout");
    regions();
    close();
    close();
    open("body");
    String track = styles(captions.track().follows());
    if (!track.isEmpty()) {
      xml.writeAttribute("style", track);
    }
    open("div");
    for (WrittenCue cue : captions.cues()) {
      cue(cue);
    }
    close();
    close();
    close();
    xml.writeEndDocument();
  }

  private void open(String element) throws XMLStreamException {
    xml.writeCharacters("\n" + "  ".repeat(depth++));
    xml.writeStartElement(element);
  }

  private void close() throws XMLStreamException {
    xml.writeCharacters("\n" + "  ".repeat(--depth));
    xml.writeEndElement();
  }

  private void empty(String element) throws XMLStreamException {
    xml.writeCharacters("\n" + "  ".repeat(depth));
    xml.writeEmptyElement(element);
  }

  private void parameter(String name, String value) throws XMLStreamException {
    xml.writeAttribute("ttp", PARAMETER, name, value);
  }

  private void styling(String name, String value) throws XMLStreamException {
    xml.writeAttribute("tts", STYLING, name, value);
  }

  private void agents() throws XMLStreamException {
    Set<String> speakers = new LinkedHashSet<>();
    captions.cues().stream()
        .map(WrittenCue::speaker)
        .filter(name -> !name.isEmpty())
        .forEach(speakers::add);
    if (speakers.isEmpty()) {
      return;
    }
    open("metadata");
    for (String speaker : speakers) {
      String id = "agent" + (agents.size() + 1);
      agents.put(speaker, id);
      open("ttm:agent");
      xml.writeAttribute("xml:id", id);
      xml.writeAttribute("type", "person");
      xml.writeCharacters("\n" + "  ".repeat(depth));
      xml.writeStartElement("ttm:name");
      xml.writeAttribute("type", "full");
      xml.writeCharacters(speaker);
      xml.writeEndElement();
      close();
    }
    close();
  }

  // --- styles
  // ----------------------------------------------------------------------------------------------------

  private void nameStyles() {
    List<StyleId> all = new ArrayList<>(captions.track().follows());
    all.addAll(captions.wordStyles().keySet());
    all.addAll(captions.track().speakers().values());
    captions.cues().forEach(cue -> all.addAll(cue.follows()));
    for (StyleId id : all) {
      name(id);
    }
  }

  /** Bases come before what refers to them. */
  private void name(StyleId id) {
    captions.chain(id).reversed().forEach(this::name);
  }

  private void name(Style style) {
    if (!names.containsKey(style.id())) {
      String plain = style.name().replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
      String wanted =
          plain.isEmpty() || !Character.isLetter(plain.charAt(0)) ? "style-" + plain : plain;
      String free = wanted;
      for (int number = 2; !taken.add(free); number++) {
        free = wanted + "-" + number;
      }
      names.put(style.id(), free);
    }
  }

  private String styles(List<StyleId> ids) {
    return String.join(" ", ids.stream().map(names::get).toList());
  }

  private void style(StyleId id) throws XMLStreamException {
    Style style = captions.style(id);
    empty("style");
    xml.writeAttribute("xml:id", names.get(id));
    if (style.basedOn().isPresent()) {
      xml.writeAttribute("style", names.get(style.basedOn().get()));
    }
    boolean root = style.basedOn().isEmpty() && captions.track().follows().contains(id);
    look(root ? captions.plain() : style.properties(), root);
  }

  /**
   * Values as attributes.
   *
   * @param whole complete values, of which the usual ones are left out
   */
  private void look(PropertySet values, boolean whole) throws XMLStreamException {
    Optional<String> colour =
        values
            .get(Properties.COAT_COLOUR.at(CueCss.FILL))
            .map(given -> CssColours.hex(captions.colour(given)));
    if (colour.isPresent()) {
      styling("color", colour.get());
    }
    if (values.get(Properties.COAT_KIND.at(CueCss.GROUND)).isPresent()
        && values.get(Properties.COAT_COLOUR.at(CueCss.GROUND)).isPresent()) {
      styling(
          "backgroundColor",
          CssColours.hex(
              captions.colour(values.get(Properties.COAT_COLOUR.at(CueCss.GROUND)).orElseThrow())));
    }
    if (values.get(Properties.FONT_FAMILY.key()).isPresent()) {
      styling(
          "fontFamily",
          values.get(Properties.FONT_FAMILY.key()).orElseThrow() + ", proportionalSansSerif");
    }
    Optional<FontSize> size = values.get(Properties.SIZE.key());
    if (size.isPresent() && !(size.get() instanceof FontSize.Plus)) {
      styling("fontSize", size(size.get()));
    }
    Optional<Double> weight = values.get(Properties.FONT_WEIGHT.key());
    if (weight.isPresent() && !(whole && weight.get() < 600)) {
      styling("fontWeight", weight.get() >= 600 ? "bold" : "normal");
    }
    Optional<Slant> slant = values.get(Properties.SLANT.key());
    if (slant.isPresent() && !(whole && slant.get() == Slant.UPRIGHT)) {
      styling("fontStyle", slant.get() == Slant.ITALIC ? "italic" : "normal");
    }
    List<String> lines = CaptionExport.decorations(values);
    if (!lines.isEmpty()) {
      styling("textDecoration", String.join(" ", lines).replace("line-through", "lineThrough"));
    }
    Optional<VttWriter.Shadow> shadow = VttWriter.shadow(captions, values);
    if (shadow.isPresent()) {
      styling("textShadow", shadow.get().lengths() + " " + shadow.get().colour());
    }
    Optional<Leading> leading = values.get(Properties.LEADING.key());
    if (leading.isPresent() && leading.get() instanceof Leading.Relative(double share)) {
      styling("lineHeight", VttWriter.plain(share * 100) + "%");
    }
    Optional<Alignment> alignment = values.get(Properties.ALIGNMENT.key());
    if (alignment.isPresent()) {
      styling("textAlign", align(alignment.get()));
    }
  }

  private static String align(Alignment alignment) {
    return switch (alignment) {
      case CENTRE -> "center";
      case LEFT -> "left";
      case RIGHT -> "right";
      case END -> "end";
      default -> "start";
    };
  }

  /** Absolute sizes in hundredths of the height of the frame, which no screen changes. */
  private String size(FontSize size) {
    return switch (size) {
      case FontSize.Times(double factor) -> VttWriter.plain(factor * 100) + "%";
      default ->
          VttWriter.plain(Math.round(size.over(0) / captions.frame().height() * 1e6) / 1e4) + "rh";
    };
  }

  // --- places
  // ----------------------------------------------------------------------------------------------------

  private void regions() throws XMLStreamException {
    var place = captions.place();
    double x = captions.frame().shareAcross(place.anchor(), place.x());
    double y = captions.frame().shareDown(place.anchor(), place.y());
    boolean unset = place.x() == 0 && place.y() == 0;
    if (captions.plain().get(Properties.ANCHOR.key()).isEmpty()) {
      // nobody has said where
      region("usual", CaptionExport.key(Anchor.BOTTOM), 50, 100 - FOOT, WritingMode.HORIZONTAL);
    } else {
      region(
          "usual",
          CaptionExport.key(place.anchor()),
          x,
          unset ? 100 - FOOT : y,
          WritingMode.HORIZONTAL);
    }
    for (WrittenCue cue : captions.cues()) {
      if (cue.y().isPresent()) {
        double across = cue.x().orElse(50.0);
        String key = regionKey(cue);
        if (!regions.containsKey(key)) {
          String id = "region" + (regions.size() + 1);
          regions.put(key, id);
          region(id, cue.key(), across, cue.y().get(), cue.mode());
        }
      }
    }
  }

  private static String regionKey(WrittenCue cue) {
    return cue.key() + " " + cue.x().orElse(50.0) + " " + cue.y().orElse(0.0) + " " + cue.mode();
  }

  /** The largest region whose corner, edge or middle lies at a place. */
  private void region(String id, int key, double x, double y, WritingMode mode)
      throws XMLStreamException {
    int across = (key - 1) % 3;
    int down = (key - 1) / 3;
    double half = Math.min(x, 100 - x);
    double left = across == 0 ? x : across == 1 ? x - half : 0;
    double width = across == 0 ? 100 - x : across == 1 ? 2 * half : x;
    double upper = Math.min(y, 100 - y);
    double top = down == 0 ? 0 : down == 1 ? y - upper : y;
    double height = down == 0 ? y : down == 1 ? 2 * upper : 100 - y;
    empty("region");
    xml.writeAttribute("xml:id", id);
    styling("origin", percent(left) + " " + percent(top));
    styling("extent", percent(width) + " " + percent(height));
    if (mode.isVertical()) {
      boolean leftwards = mode == WritingMode.VERTICAL_RIGHT_TO_LEFT;
      int first = leftwards ? 2 : 0;
      styling("writingMode", leftwards ? "tbrl" : "tblr");
      styling("displayAlign", across == first ? "before" : across == 1 ? "center" : "after");
      styling("textAlign", down == 2 ? "start" : down == 1 ? "center" : "end");
      return;
    }
    styling("displayAlign", down == 0 ? "after" : down == 1 ? "center" : "before");
    styling("textAlign", across == 0 ? "left" : across == 1 ? "center" : "right");
  }

  private static String percent(double share) {
    return VttWriter.plain(Math.round(Math.clamp(share, 0, 100) * 100) / 100.0) + "%";
  }

  // --- words
  // -----------------------------------------------------------------------------------------------------

  private void cue(WrittenCue cue) throws XMLStreamException {
    xml.writeCharacters("\n" + "  ".repeat(depth));
    xml.writeStartElement("p");
    xml.writeAttribute("begin", cue.in().toString());
    xml.writeAttribute("end", cue.out().toString());
    xml.writeAttribute("region", cue.y().isPresent() ? regions.get(regionKey(cue)) : "usual");
    List<StyleId> follows = new ArrayList<>(cue.follows());
    Optional.ofNullable(captions.track().speakers().get(cue.speaker())).ifPresent(follows::add);
    if (!follows.isEmpty()) {
      xml.writeAttribute("style", styles(follows));
    }
    if (!cue.speaker().isEmpty()) {
      xml.writeAttribute("ttm", METADATA, "agent", agents.get(cue.speaker()));
    }
    look(cue.local(), false);
    for (WrittenCue.Base base : cue.bases()) {
      base(base);
    }
    xml.writeEndElement();
  }

  /** Words with what stands over them, as a container of both. */
  private void base(WrittenCue.Base base) throws XMLStreamException {
    boolean ruby = !base.ruby().isEmpty();
    if (ruby) {
      ruby("container");
      ruby("base");
    }
    for (WrittenCue.Run run : base.runs()) {
      run(run);
    }
    if (ruby) {
      xml.writeEndElement();
      ruby("text");
      xml.writeCharacters(clean(base.ruby()));
      xml.writeEndElement();
      xml.writeEndElement();
    }
  }

  private void ruby(String part) throws XMLStreamException {
    xml.writeStartElement("span");
    styling("ruby", part);
  }

  private void run(WrittenCue.Run run) throws XMLStreamException {
    boolean plain = run.follows().isEmpty() && run.local().isEmpty();
    if (!plain) {
      xml.writeStartElement("span");
      if (!run.follows().isEmpty()) {
        xml.writeAttribute("style", styles(run.follows()));
      }
      look(run.local(), false);
    }
    String[] lines = run.text().split("\u2028", -1);
    for (int index = 0; index < lines.length; index++) {
      if (index > 0) {
        xml.writeEmptyElement("br");
      }
      xml.writeCharacters(clean(lines[index]));
    }
    if (!plain) {
      xml.writeEndElement();
    }
  }

  /** Characters that XML cannot hold. */
  private static String clean(String text) {
    return text.replaceAll("[\\x00-\\x08\\x0B\\x0C\\x0E-\\x1F\\uFFFE\\uFFFF]", "");
  }
}
