package dynamorph.formats.document;

import com.rtfparserkit.parser.RtfListenerAdaptor;
import com.rtfparserkit.parser.RtfStreamSource;
import com.rtfparserkit.parser.standard.StandardRtfParser;
import com.rtfparserkit.rtf.Command;
import dynamorph.formats.message.Messages;
import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Slant;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the words and styles of documents in the Rich Text Format (specification 1.9.1). */
final class RtfReader extends RtfListenerAdaptor {
  /** Groups in each other, at most. */
  private static final int DEEPEST = 10_000;

  private static final Pattern HEADING = Pattern.compile("heading (\\d)");

  /** Letters are of this size where nothing is said. */
  private static final PropertySet PLAIN =
      PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(12));

  /** What the words of a group are for. */
  private enum Into {
    TEXT,
    FONTS,
    COLOURS,
    STYLES,
    LIST_MARK,
    NOTHING
  }

  private static final Set<String> NOTHING =
      Set.of(
          "info",
          "header",
          "headerl",
          "headerr",
          "headerf",
          "footer",
          "footerl",
          "footerr",
          "footerf",
          "fldinst",
          "listtable",
          "listoverridetable",
          "themedata",
          "xmlnstbl",
          "rsidtbl",
          "datastore",
          "latentstyles",
          "bkmkstart",
          "bkmkend",
          "nonshppict",
          "generator",
          "colorschememapping",
          "atnid",
          "atnauthor",
          "pgdsctbl",
          "revtbl",
          "filetbl",
          "template");

  /** What holds within a group. */
  private static final class Group {
    private Into into;
    private PropertySet letters = PLAIN;
    private PropertySet paragraph = PropertySet.EMPTY;
    private int style;
    private int words;

    /** Of a heading without a style, from 0; none if negative. */
    private int outline = -1;

    private boolean hidden;
    private boolean deleted;

    Group(Into into) {
      this.into = into;
    }

    Group copy() {
      Group copy = new Group(into);
      copy.letters = letters;
      copy.paragraph = paragraph;
      copy.style = style;
      copy.words = words;
      copy.outline = outline;
      copy.hidden = hidden;
      copy.deleted = deleted;
      return copy;
    }
  }

  /** A style as the style sheet has it. */
  private record Sheet(String name, boolean paragraph, PropertySet look) {}

  private final DocumentBuilder into;
  private final String name;
  private final Deque<Group> groups = new ArrayDeque<>();
  private final Map<Integer, String> fonts = new HashMap<>();
  private final List<String> colours = new ArrayList<>();
  private final Map<Integer, Sheet> sheet = new HashMap<>();
  private final RtfLook look = new RtfLook(fonts, colours);
  private int font;
  private int red = -1;
  private int green;
  private int blue;
  private int sheetNumber;
  private boolean sheetParagraph = true;
  private final StringBuilder named = new StringBuilder();
  private Optional<Boolean> numbered = Optional.empty();
  private int level;
  private boolean listed;
  private boolean inRow;

  /** Since the last paragraph outside of rows. */
  private boolean inTable;

  private RtfReader(String name) {
    this.name = name;
    this.into = new DocumentBuilder(name);
  }

  static WrittenDocument read(byte[] bytes, String name) throws IOException {
    RtfReader reader = new RtfReader(name);
    try {
      new StandardRtfParser().parse(new RtfStreamSource(new ByteArrayInputStream(bytes)), reader);
    } catch (UncheckedIOException refused) {
      throw refused.getCause();
    } catch (RuntimeException | IOException broken) {
      // the parser does not say what it cannot read, nor that a file ends too early
      throw new IOException(Messages.of("document.is-damaged", name, "RTF"), broken);
    }
    return reader.into.build();
  }

  @Override
  public void processGroupStart() {
    if (groups.size() == DEEPEST) {
      throw new UncheckedIOException(
          new IOException(Messages.of("document.grows-without-end", name)));
    }
    groups.push(groups.isEmpty() ? new Group(Into.TEXT) : groups.getFirst().copy());
  }

  @Override
  public void processGroupEnd() {
    if (groups.isEmpty()) {
      return;
    }
    Group ended = groups.pop();
    if (ended.into == Into.STYLES && !groups.isEmpty() && groups.getFirst().into == Into.STYLES) {
      addStyle(ended);
    }
  }

  private void addStyle(Group group) {
    String plain = named.toString().replaceAll(";.*", "").strip();
    named.setLength(0);
    if (!plain.isEmpty()) {
      sheet.put(
          sheetNumber * 2 + (sheetParagraph ? 0 : 1),
          new Sheet(plain, sheetParagraph, group.letters.overlaidBy(group.paragraph)));
    }
    sheetNumber = 0;
    sheetParagraph = true;
  }

  @Override
  public void processCommand(
      Command command, int parameter, boolean hasParameter, boolean optional) {
    if (groups.isEmpty()) {
      return;
    }
    Group group = groups.getFirst();
    String word = command.getCommandName();
    Into before = group.into;
    destination(group, word, optional);
    if (group.into != before || group.into == Into.NOTHING) {
      return;
    }
    try {
      switch (group.into) {
        case FONTS -> font = word.equals("f") ? parameter : font;
        case COLOURS -> colour(word, parameter);
        case STYLES -> styleCommand(group, word, parameter, hasParameter);
        case TEXT -> textCommand(group, word, parameter, hasParameter);
        case LIST_MARK, NOTHING -> {}
      }
    } catch (IOException refused) {
      throw new UncheckedIOException(refused);
    }
  }

  private void destination(Group group, String word, boolean optional) {
    switch (word) {
      case "fonttbl" -> group.into = Into.FONTS;
      case "colortbl" -> group.into = Into.COLOURS;
      case "stylesheet" -> group.into = Into.STYLES;
      case "listtext", "pntext" -> group.into = Into.LIST_MARK;
      case "pict", "object" -> {
        into.omit(Omitted.PICTURE);
        group.into = Into.NOTHING;
      }
      case "footnote" -> {
        into.omit(Omitted.NOTE);
        group.into = Into.NOTHING;
      }
      case "annotation" -> {
        into.omit(Omitted.COMMENT);
        group.into = Into.NOTHING;
      }
      default -> {
        boolean known =
            word.equals("shppict")
                || word.equals("cs")
                || word.equals("listtext")
                || word.equals("shpinst")
                || word.equals("shptxt");
        if (NOTHING.contains(word) || optional && !known) {
          group.into = Into.NOTHING;
        }
      }
    }
  }

  private void colour(String word, int value) {
    switch (word) {
      case "red" -> red = value;
      case "green" -> green = value;
      case "blue" -> blue = value;
      default -> {}
    }
  }

  private void styleCommand(Group group, String word, int value, boolean given) {
    switch (word) {
      case "s" -> sheetNumber = value;
      case "cs" -> {
        sheetNumber = value;
        sheetParagraph = false;
        group.letters = PropertySet.EMPTY;
      }
      case "ds", "ts" -> group.into = Into.NOTHING;
      case "outlinelevel" -> {}
      default -> {
        group.letters = look.letters(group.letters, word, value, given);
        group.paragraph = look.paragraph(group.paragraph, word, value);
      }
    }
  }

  private void textCommand(Group group, String word, int value, boolean given) throws IOException {
    switch (word) {
      case "pard" -> {
        group.paragraph = PropertySet.EMPTY;
        group.style = 0;
        group.outline = -1;
        listed = false;
        level = 0;
        numbered = Optional.empty();
      }
      case "plain" -> {
        group.letters = PLAIN;
        group.words = 0;
        group.hidden = false;
      }
      case "s" -> group.style = value;
      case "cs" -> group.words = value;
      case "outlinelevel" -> group.outline = value;
      case "ls" -> listed = value > 0;
      case "ilvl" -> level = Math.clamp(value, 0, 8);
      case "v" -> group.hidden = !given || value != 0;
      case "deleted" -> group.deleted = !given || value != 0;
      case "par", "sect" -> {
        if (!inRow) {
          ready(group);
          into.end();
        } else if (!into.endsWithSpace()) {
          words(group, " ");
        }
      }
      case "line", "softline" -> words(group, "\u2028");
      case "tab" -> words(group, "\t");
      case "cell" -> {
        into.trimEnd();
        words(group, "\t");
      }
      case "intbl" -> {
        if (!inTable) {
          into.omit(Omitted.TABLE);
        }
        inTable = true;
        inRow = true;
      }
      case "row" -> {
        into.trimTab();
        into.endWritten();
        inRow = false;
      }
      default -> {
        group.letters = look.letters(group.letters, word, value, given);
        group.paragraph = look.paragraph(group.paragraph, word, value);
      }
    }
  }

  @Override
  public void processString(String text) {
    if (groups.isEmpty()) {
      return;
    }
    Group group = groups.getFirst();
    switch (group.into) {
      case TEXT -> {
        try {
          words(group, text.replace("\r", "").replace("\n", ""));
        } catch (IOException refused) {
          throw new UncheckedIOException(refused);
        }
      }
      case FONTS ->
          fonts.merge(
              font, text.replace(";", "").strip(), (one, other) -> one.isEmpty() ? other : one);
      case COLOURS -> {
        for (int index = 0; index < text.length(); index++) {
          if (text.charAt(index) == ';') {
            colours.add(
                red < 0
                    ? ""
                    : String.format(
                        Locale.ROOT, "%02x%02x%02x", red & 255, green & 255, blue & 255));
            red = -1;
            green = 0;
            blue = 0;
          }
        }
      }
      case STYLES -> named.append(text);
      case LIST_MARK -> {
        listed = true;
        boolean number = text.strip().matches("[\\p{Nd}ivxlcIVXLC]+[.)]?|[A-Za-z][.)]");
        if (!text.isBlank()) {
          numbered = Optional.of(number);
        }
      }
      case NOTHING -> {}
    }
  }

  private void words(Group group, String text) throws IOException {
    if (text.isEmpty()) {
      return;
    }
    if (group.deleted) {
      into.omit(Omitted.DELETED_TEXT);
      return;
    }
    if (group.hidden) {
      into.omit(Omitted.HIDDEN_TEXT);
      return;
    }
    ready(group);
    PropertySet around = look(group);
    PropertySet direct =
        group.letters.where(key -> !group.letters.get(key).equals(around.get(key)));
    List<String> styles = new ArrayList<>();
    Sheet character = sheet.get(group.words * 2 + 1);
    if (character != null && group.words > 0) {
      styles.add(key(character));
      PropertySet said = character.look();
      direct = direct.where(key -> !group.letters.get(key).equals(said.get(key)));
    }
    if (direct
        .get(Properties.FONT_WEIGHT.key())
        .filter(weight -> weight >= LookBuilder.BOLDISH)
        .isPresent()) {
      styles.add(into.standard(Role.STRONG));
      direct = direct.without(Properties.FONT_WEIGHT.key());
    }
    if (direct.get(Properties.SLANT.key()).filter(slant -> slant == Slant.ITALIC).isPresent()) {
      styles.add(into.standard(Role.EMPHASIS));
      direct = direct.without(Properties.SLANT.key());
    }
    into.words(text, styles, direct);
  }

  private PropertySet look(Group group) {
    Sheet paragraph = sheet.get(group.style * 2);
    return paragraph == null
        ? PLAIN.overlaidBy(DocumentBuilder.look(role(group)))
        : paragraph.look();
  }

  private static Role role(Group group) {
    return group.outline >= 0 && group.outline < 9 ? Role.heading(group.outline + 1) : Role.BODY;
  }

  /** A paragraph begins with its first words. */
  private void ready(Group group) throws IOException {
    if (into.isOpen()) {
      return;
    }
    if (inRow) {
      into.begin(into.standard(Role.TABLE), PropertySet.EMPTY);
      return;
    }
    inTable = false;
    Sheet style = sheet.get(group.style * 2);
    String key = style == null ? into.standard(role(group)) : key(style);
    PropertySet around = into.style(key).orElseThrow().look();
    PropertySet direct =
        group.paragraph.where(one -> !group.paragraph.get(one).equals(around.get(one)));
    if (listed) {
      key = into.list(numbered.orElse(false), level, PropertySet.EMPTY);
      direct = direct.where(one -> !one.property().id().startsWith("indent"));
    }
    into.begin(key, direct);
  }

  private String key(Sheet style) {
    String key = (style.paragraph ? "paragraph:" : "character:") + style.name;
    into.add(
        new WrittenStyle(
            key,
            style.name.substring(0, 1).toUpperCase(Locale.ROOT) + style.name.substring(1),
            role(style),
            Optional.empty(),
            style.look.where(one -> !one.equals(Properties.LANGUAGE.key()))));
    return key;
  }

  private static Role role(Sheet style) {
    String plain = style.name.toLowerCase(Locale.ROOT);
    if (!style.paragraph) {
      return switch (plain) {
        case "strong" -> Role.STRONG;
        case "emphasis" -> Role.EMPHASIS;
        case "hyperlink" -> Role.LINK;
        default -> Role.OTHER_WORDS;
      };
    }
    Matcher heading = HEADING.matcher(plain);
    if (heading.matches()) {
      return Role.heading(Integer.parseInt(heading.group(1)));
    }
    return switch (plain) {
      case "title" -> Role.TITLE;
      case "subtitle" -> Role.SUBTITLE;
      case "normal", "body text", "standard" -> Role.BODY;
      case "quote" -> Role.QUOTATION;
      case "caption" -> Role.CAPTION;
      default -> Role.OTHER;
    };
  }
}
