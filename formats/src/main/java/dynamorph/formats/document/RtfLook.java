package dynamorph.formats.document;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.TextDirection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Formatting commands of the Rich Text Format (specification 1.9.1) as values of a look. Lengths
 * are in twentieths of a point, sizes in half points.
 */
final class RtfLook {
  private static final double TWIPS = 20;

  private final Map<Integer, String> fonts;
  private final List<String> colours;

  /**
   * @param fonts families by their number
   * @param colours as six hexadecimal digits, empty for the automatic one
   */
  RtfLook(Map<Integer, String> fonts, List<String> colours) {
    this.fonts = fonts;
    this.colours = colours;
  }

  /** Letters after a command; the same where it says nothing of letters. */
  PropertySet letters(PropertySet before, String command, int value, boolean given) {
    LookBuilder look = new LookBuilder(before);
    boolean on = !given || value != 0;
    return switch (command) {
      case "b" -> look.bold(on).look();
      case "i" -> look.italic(on).look();
      case "ul", "uld", "uldash", "uldb", "ulw", "ulth", "ulwave" ->
          look.set(Properties.UNDERLINE, on).look();
      case "ulnone" -> look.set(Properties.UNDERLINE, false).look();
      case "strike", "striked" -> look.set(Properties.STRIKE, on).look();
      case "super" -> look.set(Properties.SCRIPT_POSITION, ScriptPosition.SUPERSCRIPT).look();
      case "sub" -> look.set(Properties.SCRIPT_POSITION, ScriptPosition.SUBSCRIPT).look();
      case "nosupersub" -> look.set(Properties.SCRIPT_POSITION, ScriptPosition.NORMAL).look();
      case "caps" -> look.set(Properties.CASE, on ? TextCase.UPPER : TextCase.AS_TYPED).look();
      case "scaps" ->
          look.set(Properties.CASE, on ? TextCase.SMALL_CAPITALS : TextCase.AS_TYPED).look();
      case "fs" -> look.size(value / 2.0).look();
      case "f" -> look.family(fonts.get(value)).look();
      case "cf" ->
          value >= 0 && value < colours.size() ? look.hex(colours.get(value)).look() : before;
      case "expndtw" -> look.spacing(value / TWIPS).look();
      case "charscalex" -> look.set(Properties.HORIZONTAL_SCALE, (double) value).look();
      case "lang" -> {
        String tag = LANGUAGES.get(value & 0x3FF);
        yield tag == null ? before : look.set(Properties.LANGUAGE, tag).look();
      }
      default -> before;
    };
  }

  /** A paragraph after a command; the same where it says nothing of paragraphs. */
  PropertySet paragraph(PropertySet before, String command, int value) {
    LookBuilder look = new LookBuilder(before);
    double points = value / TWIPS;
    return switch (command) {
      case "ql" -> look.set(Properties.ALIGNMENT, Alignment.START).look();
      case "qr" -> look.set(Properties.ALIGNMENT, Alignment.END).look();
      case "qc" -> look.set(Properties.ALIGNMENT, Alignment.CENTRE).look();
      case "qj" -> look.set(Properties.ALIGNMENT, Alignment.JUSTIFIED).look();
      case "li", "lin" -> look.points(Properties.INDENT_START, Math.max(0, points)).look();
      case "ri", "rin" -> look.points(Properties.INDENT_END, Math.max(0, points)).look();
      case "fi" -> look.points(Properties.INDENT_FIRST, points).look();
      case "sb" -> look.points(Properties.SPACE_BEFORE, Math.max(0, points)).look();
      case "sa" -> look.points(Properties.SPACE_AFTER, Math.max(0, points)).look();
      case "sl" -> value == 0 ? before : look.leadingPoints(Math.abs(points)).look();
      case "rtlpar" -> look.set(Properties.DIRECTION, TextDirection.RIGHT_TO_LEFT).look();
      case "ltrpar" -> look.set(Properties.DIRECTION, TextDirection.LEFT_TO_RIGHT).look();
      default -> before;
    };
  }

  /** The language of a language identifier's lower ten bits, for those that have no other. */
  private static final Map<Integer, String> LANGUAGES = languages();

  private static Map<Integer, String> languages() {
    Map<Integer, String> tags = new HashMap<>();
    String[] known = {
      "1:ar", "2:bg", "3:ca", "4:zh", "5:cs", "6:da", "7:de", "8:el", "9:en", "10:es", "11:fi",
      "12:fr", "13:he", "14:hu", "15:is", "16:it", "17:ja", "18:ko", "19:nl", "20:no", "21:pl",
      "22:pt", "24:ro", "25:ru", "26:hr", "27:sk", "28:sq", "29:sv", "30:th", "31:tr", "32:ur",
      "33:id", "34:uk", "35:be", "36:sl", "37:et", "38:lv", "39:lt", "41:fa", "42:vi", "45:eu",
      "54:af", "56:fo", "57:hi"
    };
    for (String one : known) {
      String[] sides = one.toLowerCase(Locale.ROOT).split(":");
      tags.put(Integer.valueOf(sides[0]), sides[1]);
    }
    return tags;
  }
}
