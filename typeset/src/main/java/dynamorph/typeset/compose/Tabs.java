package dynamorph.typeset.compose;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.value.TabStops;
import java.util.ArrayList;
import java.util.List;

/** Where the tabs of a paragraph take its text. */
final class Tabs {
  /** A tab at a unit, and how far it reaches. */
  record Advance(int unit, double width, String leader) {}

  private final String text;
  private final WidthSums measures;
  private final ParagraphLook.Tabs settings;
  private final int first;
  private final double firstIndent;
  private final double indent;

  /**
   * @param first first unit of the paragraph's first line
   * @param firstIndent where the first line begins
   * @param indent where the other lines begin
   */
  Tabs(
      WidthSums measures,
      ParagraphLook.Tabs settings,
      int first,
      double firstIndent,
      double indent) {
    this.text = measures.shaped().text();
    this.measures = measures;
    this.settings = settings;
    this.first = first;
    this.firstIndent = firstIndent;
    this.indent = indent;
  }

  boolean between(int start, int end) {
    int tab = text.indexOf('\t', start);
    return tab >= 0 && tab < end;
  }

  /** What all the tabs of a line take together. */
  double width(int start, int ink) {
    return advances(start, ink).stream().mapToDouble(Advance::width).sum();
  }

  /** What each tab of a line takes. */
  List<Advance> advances(int start, int ink) {
    List<Advance> advances = new ArrayList<>();
    double x = start == first ? firstIndent : indent;
    int from = start;
    for (int tab = text.indexOf('\t', start);
        tab >= 0 && tab < ink;
        tab = text.indexOf('\t', from)) {
      x += measures.width(from, tab);
      int next = text.indexOf('\t', tab + 1);
      int end = next < 0 || next > ink ? ink : next;
      TabStops.Stop stop = stopAfter(x);
      double width = Math.max(0, stop.position() - x - share(stop.align(), tab + 1, end));
      advances.add(new Advance(tab, width, stop.leader()));
      x += width;
      from = tab + 1;
    }
    return advances;
  }

  private TabStops.Stop stopAfter(double x) {
    double least = x + LineWidths.SLACK;
    for (TabStops.Stop stop : settings.stops().stops()) {
      if (stop.position() > least) {
        return stop;
      }
    }
    double every = Math.max(1, settings.every());
    return new TabStops.Stop((Math.floor(least / every) + 1) * every, TabStops.Align.START, "");
  }

  /** How much of the text behind a tab stands before its stop. */
  private double share(TabStops.Align align, int start, int end) {
    return switch (align) {
      case START -> 0;
      case CENTRE -> measures.width(start, end) / 2;
      case END -> measures.width(start, end);
      case DECIMAL -> measures.width(start, decimal(start, end));
    };
  }

  private int decimal(int start, int end) {
    for (int unit = end - 1; unit >= start; unit--) {
      if (text.charAt(unit) == '.' || text.charAt(unit) == ',') {
        return unit;
      }
    }
    return end;
  }
}
