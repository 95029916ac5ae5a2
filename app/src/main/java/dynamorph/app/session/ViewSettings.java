package dynamorph.app.session;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;

/** What the person chose to see, or not to see; nothing of it belongs to the project. */
public final class ViewSettings {
  private final BooleanProperty hiddenCharacters = new SimpleBooleanProperty();
  private final BooleanProperty rulers = new SimpleBooleanProperty();
  private final BooleanProperty snapping = new SimpleBooleanProperty(true);
  private final BooleanProperty alignsToArtboard = new SimpleBooleanProperty();
  private final BooleanProperty outlines = new SimpleBooleanProperty();
  private final BooleanProperty spelling = new SimpleBooleanProperty(true);
  private final BooleanProperty typographicQuotes = new SimpleBooleanProperty(true);
  private final BooleanProperty finishPresets = new SimpleBooleanProperty();
  private final BooleanProperty reach = new SimpleBooleanProperty();
  private final BooleanProperty sheet = new SimpleBooleanProperty();
  private final BooleanProperty survey = new SimpleBooleanProperty();
  private final BooleanProperty layers = new SimpleBooleanProperty();
  private final BooleanProperty stageAlone = new SimpleBooleanProperty();
  private final BooleanProperty stylesColumn = new SimpleBooleanProperty(true);
  private final BooleanProperty sideColumn = new SimpleBooleanProperty(true);
  private final BooleanProperty compactStyles = new SimpleBooleanProperty();
  private final BooleanProperty room = new SimpleBooleanProperty();

  /** Whether spaces, tabs and paragraph ends show in what is selected. */
  public BooleanProperty hiddenCharactersProperty() {
    return hiddenCharacters;
  }

  /** Whether rulers stand at the edges of the stage. */
  public BooleanProperty rulersProperty() {
    return rulers;
  }

  /** Whether what is dragged snaps to what it comes near. */
  public BooleanProperty snappingProperty() {
    return snapping;
  }

  /** Whether several texts are aligned to their artboard instead of to each other. */
  public BooleanProperty alignsToArtboardProperty() {
    return alignsToArtboard;
  }

  /** Whether the stage shows glyph contours, offset edges and dash centres instead of paint. */
  public BooleanProperty outlinesProperty() {
    return outlines;
  }

  /** Whether misspelt words are marked. */
  public BooleanProperty spellingProperty() {
    return spelling;
  }

  /** Whether styles are listed in a line each, without specimens. */
  public BooleanProperty compactStylesProperty() {
    return compactStyles;
  }

  /** Whether straight quotation marks become those of the language while typing. */
  public BooleanProperty typographicQuotesProperty() {
    return typographicQuotes;
  }

  /** Whether the finish presets are open. */
  public BooleanProperty finishPresetsProperty() {
    return finishPresets;
  }

  /** Whether everything that a style or a change reaches is shown at large. */
  public BooleanProperty reachProperty() {
    return reach;
  }

  /** Whether all texts are listed side by side instead of artboards or a film. */
  public BooleanProperty sheetProperty() {
    return sheet;
  }

  /** Whether what a survey found is listed at the right. */
  public BooleanProperty surveyProperty() {
    return survey;
  }

  /** Whether the layers are listed at the right. */
  public BooleanProperty layersProperty() {
    return layers;
  }

  /** Whether nothing but the stage and the head of the window is there. */
  public BooleanProperty stageAloneProperty() {
    return stageAlone;
  }

  /** Whether the styles are at the left, unless the stage is alone. */
  public BooleanProperty stylesColumnProperty() {
    return stylesColumn;
  }

  /** Whether properties, layers and so on are at the right, unless the stage is alone. */
  public BooleanProperty sideColumnProperty() {
    return sideColumn;
  }

  /** Brings the styles back, for who asks for something in them. */
  public void showStyles() {
    stageAlone.set(false);
    stylesColumn.set(true);
  }

  /** Brings the column at the right back, for who asks for something in it. */
  public void showSide() {
    stageAlone.set(false);
    sideColumn.set(true);
  }

  /**
   * Whether a room (export, versions, recovery) lies over the stage, which is not seen then; once
   * it is to be seen the rooms close.
   */
  public BooleanProperty roomProperty() {
    return room;
  }
}
