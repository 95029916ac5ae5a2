package dynamorph.model.cascade;

import java.util.List;

/** The box behind a layer's text; lengths in points. Without coats there is none. */
public record Plate(double paddingAcross, double paddingAlong, double radius, Finish finish) {
  /** No plate. */
  public static final Plate NONE = new Plate(0, 0, 0, new Finish(List.of(), List.of()));

  public List<Coat> coats() {
    return finish.coats();
  }
}
