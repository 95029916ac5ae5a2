package dynamorph.formats.captions;

import dynamorph.model.timeline.Time;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.jsoup.parser.Parser;

/**
 * The text of a WebVTT cue as a tree: the tokenizer and the tree construction of the standard (W3C,
 * WebVTT, 6.4). Tags without a partner, unknown ones and those that cross are passed over as it
 * says.
 */
final class CueTree {
  /** Elements inside each other; deeper ones are passed over. */
  private static final int DEEPEST = 200;

  /** A part of the text. */
  sealed interface Node {}

  record Words(String text) implements Node {}

  /** A moment inside the cue from which on what follows is seen. */
  record Moment(Time time) implements Node {}

  /**
   * An element.
   *
   * @param name {@code c}, {@code i}, {@code b}, {@code u}, {@code ruby}, {@code rt}, {@code v} or
   *     {@code lang}
   * @param note the voice, or the language
   */
  record Element(String name, List<String> classes, String note, List<Node> children)
      implements Node {}

  private final String text;
  private final List<Node> root = new ArrayList<>();
  private final Deque<Element> open = new ArrayDeque<>();
  private int at;

  private CueTree(String text) {
    this.text = text;
  }

  static List<Node> parse(String text) {
    CueTree tree = new CueTree(text);
    tree.parse();
    return tree.root;
  }

  private void parse() {
    while (at < text.length()) {
      if (text.charAt(at) == '<') {
        at++;
        tag();
      } else {
        int end = text.indexOf('<', at);
        end = end < 0 ? text.length() : end;
        add(new Words(unescaped(text.substring(at, end))));
        at = end;
      }
    }
  }

  /** References to characters are those of HTML. */
  private static String unescaped(String words) {
    return words.indexOf('&') < 0 ? words : Parser.unescapeEntities(words, false);
  }

  private void add(Node node) {
    (open.isEmpty() ? root : open.peek().children).add(node);
  }

  private static boolean isWhite(char sign) {
    return " \t\n\f".indexOf(sign) >= 0;
  }

  /** What stands behind {@code <}; one that is never closed goes to the end. */
  private void tag() {
    int end = text.indexOf('>', at);
    String inside = text.substring(at, end < 0 ? text.length() : end);
    at = end < 0 ? text.length() : end + 1;
    if (inside.startsWith("/")) {
      close(inside.substring(1));
    } else if (!inside.isEmpty() && inside.charAt(0) >= '0' && inside.charAt(0) <= '9') {
      VttFile.time(inside).ifPresent(time -> add(new Moment(time)));
    } else {
      start(inside);
    }
  }

  private void start(String inside) {
    int white = 0;
    while (white < inside.length() && !isWhite(inside.charAt(white))) {
      white++;
    }
    String[] head = inside.substring(0, white).split("\\.", -1);
    List<String> classes = new ArrayList<>();
    for (int index = 1; index < head.length; index++) {
      if (!head[index].isEmpty()) {
        classes.add(head[index]);
      }
    }
    String note =
        unescaped(inside.substring(white)).replaceAll("[ \\t\\n\\f]+", " ").replaceAll("^ | $", "");
    switch (head[0]) {
      case "c", "i", "b", "u", "ruby" ->
          attach(new Element(head[0], classes, "", new ArrayList<>()));
      case "v", "lang" -> attach(new Element(head[0], classes, note, new ArrayList<>()));
      case "rt" -> {
        if (isIn("ruby")) {
          attach(new Element("rt", classes, "", new ArrayList<>()));
        }
      }
      default -> {}
    }
  }

  private boolean isIn(String name) {
    return !open.isEmpty() && open.peek().name.equals(name);
  }

  private void attach(Element element) {
    if (open.size() < DEEPEST) {
      add(element);
      open.push(element);
    }
  }

  private void close(String name) {
    if (isIn(name)) {
      open.pop();
    } else if (name.equals("ruby") && isIn("rt")) {
      open.pop();
      open.pop();
    }
  }

  /** The first voice of a text; empty if there is none. */
  static Optional<String> voice(List<Node> nodes) {
    for (Node node : nodes) {
      if (node instanceof Element element) {
        Optional<String> inner =
            element.name.equals("v") ? Optional.of(element.note) : voice(element.children);
        if (inner.isPresent()) {
          return inner;
        }
      }
    }
    return Optional.empty();
  }
}
