package dynamorph.formats.captions;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Story;
import java.util.ArrayList;
import java.util.List;

/** What the elements of WebVTT cues mean for spans. */
final class VttSpans {
  /**
   * What a cue says.
   *
   * @param speaker the first voice; empty if there is none
   */
  record Read(Story story, String speaker) {}

  /** What words take from the elements around them. */
  private record Look(List<StyleId> follows, PropertySet local) {}

  private final VttReader.CueStyles styles;
  private final CueTextBuilder runs = new CueTextBuilder();

  private VttSpans(VttReader.CueStyles styles) {
    this.styles = styles;
  }

  static Read read(String text, VttReader.CueStyles styles) {
    List<CueTree.Node> tree = CueTree.parse(text);
    VttSpans words = new VttSpans(styles);
    words.put(tree, new Look(List.of(), PropertySet.EMPTY));
    return new Read(words.runs.story(), CueTree.voice(tree).orElse(""));
  }

  private void put(List<CueTree.Node> nodes, Look look) {
    for (CueTree.Node node : nodes) {
      switch (node) {
        case CueTree.Words words -> runs.add(words.text(), look.follows, look.local);
        case CueTree.Element element -> put(element, look);
        // the words behind a moment are seen from the beginning
        case CueTree.Moment _ -> {}
      }
    }
  }

  private void put(CueTree.Element element, Look outer) {
    switch (element.name()) {
      case "rt" -> {
        StringBuilder ruby = new StringBuilder();
        plain(element.children(), ruby);
        runs.endBase(ruby.toString());
      }
      case "ruby" -> {
        runs.beginBase();
        put(element.children(), inner(element, outer));
        // what has no ruby behind it is no base
        runs.beginBase();
      }
      default -> put(element.children(), inner(element, outer));
    }
  }

  private static void plain(List<CueTree.Node> nodes, StringBuilder into) {
    for (CueTree.Node node : nodes) {
      switch (node) {
        case CueTree.Words words -> into.append(words.text());
        case CueTree.Element element -> plain(element.children(), into);
        case CueTree.Moment _ -> {}
      }
    }
  }

  private Look inner(CueTree.Element element, Look outer) {
    List<StyleId> follows = new ArrayList<>(outer.follows);
    PropertySet local = outer.local.overlaidBy(VttReader.element(element.name()));
    styles.style(element.name()).ifPresent(follows::add);
    element.classes().forEach(name -> follows.add(styles.ofClass(name)));
    if (element.name().equals("v")) {
      styles.ofVoice(element.note()).ifPresent(follows::add);
    }
    if (element.name().equals("lang") && !element.note().isEmpty()) {
      local = local.with(Properties.LANGUAGE, element.note());
    }
    return new Look(follows.stream().distinct().toList(), local);
  }
}
