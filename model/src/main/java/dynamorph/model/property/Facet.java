package dynamorph.model.property;

/** A group of properties that can be included in a style or left out as one. */
public enum Facet {
  TYPEFACE("Typeface"),
  SPACING("Spacing"),
  LETTERFORMS("Letterforms"),
  PARAGRAPH("Paragraph"),
  FINISH("Finish"),
  PLACEMENT("Placement");

  private final String label;

  Facet(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }
}
