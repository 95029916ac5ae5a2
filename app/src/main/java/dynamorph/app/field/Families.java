package dynamorph.app.field;

import dynamorph.typeset.font.FontFamily;
import dynamorph.typeset.font.FontTraits;
import java.util.List;
import java.util.Set;
import javafx.scene.image.ImageView;

/** What the font chooser asks the machine, the project and the person's own folder. */
public interface Families {
  /** Every family that can be chosen, by name. */
  List<FontFamily> all();

  /** What a family is chosen by; reads the font, so not for the interface thread. */
  FontTraits facts(String family);

  /** Families that styles and texts of the project ask for, whether or not they are there. */
  Set<String> used();

  /** Families chosen lately, latest first. */
  List<String> recent();

  /** Takes note that a family was chosen. */
  void chosen(String family);

  Set<String> favourites();

  void favour(String family, boolean favourite);

  /** The selection's own words. */
  String words();

  /** Shows words in a family. */
  void show(ImageView view, String family, String words, int width, int height);
}
