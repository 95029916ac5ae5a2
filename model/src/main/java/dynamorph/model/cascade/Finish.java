package dynamorph.model.cascade;

import java.util.List;

/** The whole painted appearance: the coats that show, in paint order. */
public record Finish(List<Coat> coats) {
  public Finish {
    coats = List.copyOf(coats);
  }
}
