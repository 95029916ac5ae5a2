package dynamorph.app.artboards.text;

import dynamorph.app.MainWindow;
import dynamorph.app.action.Actions;
import dynamorph.app.artboards.text.spelling.SpellingMenu;
import dynamorph.app.artboards.text.spelling.SpellingService;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.edit.text.FillWithPlaceholder;
import dynamorph.model.edit.text.KernPair;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.BoxFit;
import dynamorph.typeset.language.Placeholder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.value.ObservableBooleanValue;
import javafx.geometry.Point2D;

/** The actions that are about words. */
public final class TextActions {
  /** Thousandths of an em by which a pair is kerned at once. */
  private static final double KERN_STEP = 10;

  private static final int WORDS_AT_A_POINT = 4;
  private static final int WORDS_IN_A_GROWING_BOX = 60;

  private final MainWindow main;
  private final Workspace workspace;

  public TextActions(MainWindow main, Workspace workspace) {
    this.main = main;
    this.workspace = workspace;
  }

  /**
   * Registers them.
   *
   * @param any whether anything is selected
   */
  public void list(Actions actions, ObservableBooleanValue any) {
    actions.add("Text", "Find and replace", "Shortcut+F", main.find()::open);
    actions.add("Text", "Fonts in this project", "", main.fonts()::open);
    actions.add(
        "Text",
        "Show hidden characters",
        "Shortcut+Alt+H",
        () -> toggle(workspace.hiddenLettersProperty()));
    actions.add("Text", "Mark misspelt words", "", () -> toggle(workspace.spellingShownProperty()));
    actions.add(
        "Text",
        "Typographic quotes while typing",
        "",
        () -> toggle(workspace.typographicQuotesProperty()));
    actions.add("Text", "Next misspelt word", "Shortcut+Alt+M", this::nextMisspelt);
    actions.add("Text", "Spelling suggestions", "Shortcut+PERIOD", this::suggest);
    actions.add("Text", "Add ruby\u2026", "Shortcut+Alt+Y", this::ruby);
    actions.add("Text", "Insert a soft hyphen", "", () -> insert("\u00AD"));
    actions.add("Text", "Insert a no-break space", "", () -> insert("\u00A0"));
    actions.add("Text", "Insert a line break", "", () -> insert("\u2028"));
    actions.add("Text", "Kern the pair tighter", "Shortcut+Alt+COMMA", () -> kern(-KERN_STEP));
    actions.add("Text", "Kern the pair wider", "Shortcut+Alt+PERIOD", () -> kern(KERN_STEP));
    for (Placeholder script : Placeholder.values()) {
      actions.add(
          "Text", "Fill with placeholder text, " + script.label(), "", any, () -> fill(script));
    }
  }

  private static void toggle(BooleanProperty property) {
    property.set(!property.get());
  }

  // --- spelling

  /** Places in project order, from the one behind the caret on and round again. */
  private void nextMisspelt() {
    List<WordSearch.Hit> wrong = misspelt();
    if (wrong.isEmpty()) {
      workspace.tell(
          Notice.info(
              main.spelling().isIdle()
                  ? "No misspelt word was found."
                  : "The words are still being checked; try again in a moment."));
      return;
    }
    int next = 0;
    Optional<Selection.Cursor> cursor = workspace.selection().cursor();
    if (cursor.isPresent()) {
      List<LayerId> order = workspace.project().layers().map(Layer::id).toList();
      while (next < wrong.size() && !isBehind(wrong.get(next), cursor.get(), order)) {
        next++;
      }
    }
    WordSearch.Hit hit = wrong.get(next % wrong.size());
    workspace
        .selectionProperty()
        .set(Selection.editing(hit.layer(), hit.range().start(), hit.range().end()));
    main.stage().reveal(hit.layer());
    main.stage().requestFocus();
  }

  private static boolean isBehind(
      WordSearch.Hit hit, Selection.Cursor cursor, List<LayerId> order) {
    int own = order.indexOf(cursor.layer());
    int at = order.indexOf(hit.layer());
    return at > own || at == own && hit.range().start() >= cursor.range().end();
  }

  private List<WordSearch.Hit> misspelt() {
    List<WordSearch.Hit> hits = new ArrayList<>();
    Cascade cascade = Cascade.of(workspace.project());
    workspace
        .project()
        .layers()
        .forEach(layer ->
            main.spelling()
                .misspelt(layer.story(), cascade.resolve(layer))
                .forEach(wrong -> hits.add(new WordSearch.Hit(layer.id(), wrong.range()))));
    return hits;
  }

  private void suggest() {
    Optional<Selection.Cursor> cursor = workspace.selection().cursor();
    Optional<Layer> layer = cursor.flatMap(at -> workspace.project().layer(at.layer()));
    if (layer.isEmpty()) {
      workspace.tell(Notice.info("Put the caret into a marked word first."));
      return;
    }
    ResolvedLayer look = Cascade.of(workspace.project()).resolve(layer.get());
    Optional<SpellingService.Misspelt> wrong =
        main.spelling().at(layer.get().story(), look, cursor.get().caret());
    if (wrong.isEmpty()) {
      workspace.tell(Notice.info("The word at the caret is spelt right."));
      return;
    }
    Point2D place = main.stage().caretOnScreen();
    new SpellingMenu(workspace, main.spelling())
        .open(main.stage(), layer.get().id(), wrong.get(), place.getX(), place.getY());
  }

  // --- letters

  private void insert(String sign) {
    Optional<Selection.Cursor> cursor = workspace.selection().cursor();
    if (cursor.isEmpty()) {
      workspace.tell(Notice.info("Put the caret into a text first."));
      return;
    }
    TextRange range = cursor.get().range();
    if (workspace.apply(EditText.plain(cursor.get().layer(), range, sign))) {
      int caret = range.start() + sign.length();
      workspace.selectionProperty().set(Selection.editing(cursor.get().layer(), caret, caret));
    }
    main.stage().requestFocus();
  }

  private void ruby() {
    if (!main.askForRuby()) {
      workspace.tell(Notice.info("Select the letters that the ruby stands over first."));
    }
  }

  /** Moves what stands behind the caret towards what stands before it, or away. */
  private void kern(double by) {
    Optional<Selection.Cursor> cursor =
        workspace.selection().cursor().filter(at -> at.caret() > 0 && at.range().isEmpty());
    if (cursor.isEmpty()) {
      workspace.tell(Notice.info("Put the caret between two letters first."));
      return;
    }
    KernPair kern = new KernPair(cursor.get().layer(), cursor.get().caret(), by);
    workspace.apply(kern, Optional.of("kern " + kern.layer() + " " + kern.offset()));
  }

  // --- placeholder

  /** Fills boxes; a point gets a few words. */
  private void fill(Placeholder script) {
    List<FillWithPlaceholder.Filling> fillings = new ArrayList<>();
    for (LayerId id : workspace.selection().layers()) {
      workspace
          .project()
          .layer(id)
          .ifPresent(
              layer -> fillings.add(new FillWithPlaceholder.Filling(id, words(layer, script))));
    }
    workspace.apply(new FillWithPlaceholder(fillings, script.language()));
  }

  private String words(Layer layer, Placeholder script) {
    Cascade cascade = Cascade.of(workspace.project());
    BoxFit fit = cascade.resolve(layer).placement().fit();
    return switch (fit) {
      case POINT -> script.words(WORDS_AT_A_POINT);
      case GROW -> script.words(WORDS_IN_A_GROWING_BOX);
      case FIXED, SHRINK -> script.filling(count -> fits(cascade, layer, script.words(count)));
    };
  }

  private boolean fits(Cascade cascade, Layer layer, String words) {
    Layer filled = layer.withStory(layer.story().replace(layer.story().all(), words));
    return main.studio()
        .maker()
        .typesetter()
        .layout(filled.story(), cascade.resolve(filled))
        .overset()
        .isEmpty();
  }
}
