package dynamorph.demo;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Swatch;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.pcollections.TreePVector;

/**
 * Makes a project as it came: the handwritten notes of the clock workshop, typed by three people.
 * Nothing in it follows a style. Inge set all by the numbers, Bas by eye, and Rahel pasted hers
 * from a letter.
 */
public final class AsItCame {
  private static final PropertyKey<Colour> FILL = Properties.COAT_COLOUR.at(Address.coat("fill"));
  private static final double WIDTH = 720;
  private static final double HEIGHT = 960;
  private static final double MARGIN = 56;

  /** Who typed a text, and so how exact it is. */
  private enum Typist {
    INGE,
    BAS,
    RAHEL
  }

  /** The five looks that were meant. */
  private enum Meant {
    HEADING,
    NOTE,
    HAND,
    NUMBER,
    LENDER
  }

  private final List<Layer> layers = new ArrayList<>();
  private int count;
  private double y = MARGIN;

  private AsItCame() {}

  /** The project; every call gives an equal one. */
  public static Project project() {
    return Project.empty("As It Came")
        .withPalette(
            new Palette(
                List.of(
                    new Swatch("ink", "Ink", Rgba.parse("#22303b")),
                    new Swatch("bottle", "Bottle green", Rgba.parse("#1e4d3c")))))
        .withWords(new TreeSet<>(List.of("arbor", "Halm", "Oostvoort", "verge")))
        .withArtboards(TreePVector.from(List.of(drawers(), doors(), oilBook())));
  }

  private static Artboard drawers() {
    AsItCame sheet = new AsItCame();
    sheet.add(Meant.HEADING, Typist.INGE, "From the drawers");
    sheet.add(Meant.NUMBER, Typist.INGE, "D 1");
    sheet.add(
        Meant.NOTE,
        Typist.INGE,
        "Kept in the drawer since 1951: the spare verge, wrapped in a page of the ferry gazette."
            + " It fits the second train and was never fitted.");
    sheet.add(Meant.LENDER, Typist.INGE, "Found by the keeper");
    sheet.add(Meant.NUMBER, Typist.BAS, "D 2");
    sheet.add(
        Meant.NOTE,
        Typist.BAS,
        "Eleven keys without locks.  Two of them wind the kitchen clock, so they were used after"
            + " all - for the wrong clock.");
    sheet.add(Meant.LENDER, Typist.BAS, "Lent by the ferry house");
    sheet.add(Meant.NUMBER, Typist.RAHEL, "D 3");
    sheet.add(
        Meant.NOTE,
        Typist.RAHEL,
        "A brass label that says \"not before Monday\". Nobody knows what was not to be done before"
            + " Monday.");
    sheet.add(Meant.LENDER, Typist.RAHEL, "Lent by a farmer");
    sheet.add(Meant.HAND, Typist.INGE, "oil the striking hammer");
    return sheet.board("drawers", "Drawers", 0);
  }

  private static Artboard doors() {
    AsItCame sheet = new AsItCame();
    sheet.add(Meant.HEADING, Typist.BAS, "On the door");
    sheet.add(Meant.HAND, Typist.INGE, "wound on Monday");
    sheet.add(Meant.HAND, Typist.BAS, "wound, but late");
    sheet.add(Meant.HAND, Typist.RAHEL, "who has the big key?");
    sheet.add(Meant.NUMBER, Typist.INGE, "T 1");
    sheet.add(
        Meant.NOTE,
        Typist.INGE,
        "Whoever went up last wrote it on the door. The oldest line that can still be read is from"
            + " the winter of 1907-1908.");
    sheet.add(Meant.NUMBER, Typist.BAS, "T 2");
    sheet.add(
        Meant.NOTE,
        Typist.BAS,
        "The handle was moved in 1933, because the new keeper was left-handed and said so every"
            + " day.");
    sheet.add(Meant.LENDER, Typist.INGE, "Door of the tower, lower room");
    sheet.add(Meant.LENDER, Typist.RAHEL, "Photographed before cleaning");
    return sheet.board("doors", "Door cards", WIDTH + 60);
  }

  private static Artboard oilBook() {
    AsItCame sheet = new AsItCame();
    sheet.add(Meant.HEADING, Typist.RAHEL, "The oil book");
    sheet.add(Meant.HEADING, Typist.INGE, "What it says");
    sheet.add(Meant.NUMBER, Typist.INGE, "B 1");
    sheet.add(
        Meant.NOTE,
        Typist.INGE,
        "Every eighth day a line, for forty-one years: the date, the oil, the weather, and how far"
            + " the clock was off.");
    sheet.add(Meant.NUMBER, Typist.RAHEL, "B 2");
    sheet.add(
        Meant.NOTE,
        Typist.RAHEL,
        "In March the line is missing twice. In its place it says \"stairs\" in pencil, and then"
            + " nothing about stairs.");
    sheet.add(Meant.HAND, Typist.INGE, "four minutes fast");
    sheet.add(Meant.HAND, Typist.INGE, "cold, thick oil");
    sheet.add(Meant.HAND, Typist.BAS, "stood still, reason unknown");
    sheet.add(Meant.HAND, Typist.INGE, "as good as new");
    sheet.add(Meant.LENDER, Typist.BAS, "Lent by the family Halm");
    return sheet.board("oil-book", "Oil book", 2 * (WIDTH + 60));
  }

  private Artboard board(String id, String name, double x) {
    Artboard board =
        Artboard.empty(id, name, WIDTH, HEIGHT, LengthUnit.PIXEL)
            .withBackground(Colour.hex("#fbf7ee"))
            .withOrigin(x, 0);
    for (int index = 0; index < layers.size(); index++) {
      Layer layer = layers.get(index);
      board = board.plus(layer.withId(new dynamorph.model.LayerId(id + "-" + (index + 1))));
    }
    return board;
  }

  private void add(Meant meant, Typist typist, String words) {
    count++;
    double height = height(meant, words);
    double x = meant == Meant.NUMBER ? MARGIN : MARGIN + 84;
    if (meant == Meant.HEADING) {
      x = MARGIN;
    }
    PropertySet frame =
        PropertySet.EMPTY
            .with(Properties.ANCHOR, Anchor.TOP_LEFT)
            .with(Properties.POSITION_X, x)
            .with(Properties.POSITION_Y, y)
            .with(Properties.BOX, BoxFit.GROW)
            .with(Properties.BOX_WIDTH, WIDTH - MARGIN - x);
    // a number stands beside its note
    y += meant == Meant.NUMBER ? 0 : height;
    layers.add(
        typed(Layer.of("text", name(meant), words).withFrame(frame), typist, look(meant, typist)));
  }

  private String name(Meant meant) {
    return switch (meant) {
      case HEADING -> "Heading " + count;
      case NOTE -> "Note " + count;
      case HAND -> "Hand " + count;
      case NUMBER -> "Number " + count;
      case LENDER -> "Lender " + count;
    };
  }

  private static double height(Meant meant, String words) {
    return switch (meant) {
      case HEADING -> 76;
      case NOTE -> 28 * Math.ceil(words.length() / 62.0) + 12;
      case HAND -> 58;
      case NUMBER -> 0;
      case LENDER -> 50;
    };
  }

  /** Inge set values on the text, Bas on its paragraph, and Rahel's came with every word. */
  private static Layer typed(Layer layer, Typist typist, PropertySet look) {
    return switch (typist) {
      case INGE -> layer.withLocal(look);
      case BAS -> layer.withStory(layer.story().mapParagraphs(one -> one.withLocal(look)));
      case RAHEL ->
          layer.withStory(
              Story.of(Paragraph.of(new Span(layer.story().text(), List.of(), look, ""))));
    };
  }

  private static PropertySet look(Meant meant, Typist typist) {
    boolean byEye = typist == Typist.BAS;
    boolean pasted = typist == Typist.RAHEL;
    return switch (meant) {
      case HEADING ->
          face("Barlow Condensed", 600, byEye ? 45 : 44, pasted ? "#1d4e3d" : "#1e4d3c");
      case NOTE ->
          face("EB Garamond", 400, byEye ? 20.4 : 20, pasted ? "#23313b" : "#22303b")
              .with(Properties.LEADING, new Leading.Relative(byEye ? 1.28 : 1.3));
      case HAND -> face("Caveat", 700, byEye ? 33 : pasted ? 38 : 34, "#9c4a12");
      case NUMBER -> face("Source Sans 3", 600, byEye ? 15.4 : 15, pasted ? "#76716a" : "#76716b");
      case LENDER ->
          face("EB Garamond", 400, 16, byEye ? "#5b6873" : "#5a6772")
              .with(Properties.SLANT, pasted ? Slant.UPRIGHT : Slant.ITALIC);
    };
  }

  private static PropertySet face(String family, double weight, double size, String colour) {
    return PropertySet.EMPTY
        .with(Properties.FONT_FAMILY, family)
        .with(Properties.FONT_WEIGHT, weight)
        .with(Properties.SIZE, FontSize.points(size))
        .with(FILL, Colour.of(Rgba.parse(colour)));
  }
}
