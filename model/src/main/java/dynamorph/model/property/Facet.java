package dynamorph.model.property;

import dynamorph.model.message.Messages;

/** A group of properties that can be included in a style or left out as one. */
public enum Facet {
  TYPEFACE(Messages.of("facet.typeface")),
  SPACING(Messages.of("facet.spacing")),
  LETTERFORMS(Messages.of("facet.letterforms")),
  PARAGRAPH(Messages.of("facet.paragraph")),
  FINISH(Messages.of("facet.finish")),
  PLACEMENT(Messages.of("facet.placement"));

  private final String label;

  Facet(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }
}
