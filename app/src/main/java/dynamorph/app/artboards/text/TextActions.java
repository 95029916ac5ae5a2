package dynamorph.app.artboards.text;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.artboards.text.spelling.SpellingMenu;
import dynamorph.app.artboards.text.spelling.SpellingService;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Conditions;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Selection;
import dynamorph.app.session.ViewSettings;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.edit.text.FillWithPlaceholder;
import dynamorph.model.edit.text.KernPair;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.BoxFit;
import dynamorph.typeset.language.Placeholder;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.beans.property.BooleanProperty;
import javafx.geometry.Point2D;

/** The actions that are about words. */
public final class TextActions {
  /** Thousandths of an em by which a pair is kerned at once. */
  private static final double KERN_STEP = 10;

  private static final int WORDS_AT_A_POINT = 4;
  private static final int WORDS_IN_A_GROWING_BOX = 60;

  private final Workspace workspace;
  private final StageView stage;
  private final SpellingService spelling;
  private final Supplier<Studio> studio;
  private final BooleanSupplier askForRuby;

  /**
   * @param askForRuby goes to where the ruby of the selected letters is typed; whether it can
   */
  public TextActions(
      Workspace workspace,
      StageView stage,
      SpellingService spelling,
      Supplier<Studio> studio,
      BooleanSupplier askForRuby) {
    this.workspace = workspace;
    this.stage = stage;
    this.spelling = spelling;
    this.studio = studio;
    this.askForRuby = askForRuby;
  }

  public void register(Actions actions, Conditions when) {
    ViewSettings view = workspace.view();
    actions.add(
        "text.hidden-characters", "Shortcut+Alt+H", () -> toggle(view.hiddenCharactersProperty()));
    actions.add("text.spelling", "", () -> toggle(view.spellingProperty()));
    actions.add("text.typographic-quotes", "", () -> toggle(view.typographicQuotesProperty()));
    actions.add("text.next-misspelt", "Shortcut+Alt+M", this::nextMisspelt);
    actions.add("text.suggest", "Shortcut+PERIOD", this::suggest);
    actions.add("text.ruby", "Shortcut+Alt+Y", this::ruby);
    actions.add("text.soft-hyphen", "", () -> insert("\u00AD"));
    actions.add("text.no-break-space", "", () -> insert("\u00A0"));
    actions.add("text.line-break", "", () -> insert("\u2028"));
    actions.add("text.kern-tighter", "Shortcut+Alt+COMMA", () -> kern(-KERN_STEP));
    actions.add("text.kern-wider", "Shortcut+Alt+PERIOD", () -> kern(KERN_STEP));
    for (Placeholder script : Placeholder.values()) {
      actions.add(
          "text.placeholder-" + script.name().toLowerCase(Locale.ROOT),
          Messages.of("action.text.placeholder", script.label()),
          "",
          when.any(),
          () -> fill(script));
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
              spelling.isIdle()
                  ? Messages.of("text-actions.no-misspelt-word-was-found")
                  : Messages.of("text-actions.the-words-are-still-being-checked")));
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
    stage.reveal(hit.layer());
    stage.requestFocus();
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
            spelling
                .misspelt(cascade.dressed(layer).story(), cascade.resolve(layer))
                .forEach(wrong -> hits.add(new WordSearch.Hit(layer.id(), wrong.range()))));
    return hits;
  }

  private void suggest() {
    Optional<Selection.Cursor> cursor = workspace.selection().cursor();
    Optional<Layer> layer = cursor.flatMap(at -> workspace.project().layer(at.layer()));
    if (layer.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("text-actions.put-the-caret-into-a-marked")));
      return;
    }
    Cascade cascade = Cascade.of(workspace.project());
    ResolvedLayer look = cascade.resolve(layer.get());
    Optional<SpellingService.Misspelt> wrong =
        spelling.at(cascade.dressed(layer.get()).story(), look, cursor.get().caret());
    if (wrong.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("text-actions.the-word-at-the-caret-is")));
      return;
    }
    Point2D place = stage.caretOnScreen();
    new SpellingMenu(workspace, spelling)
        .open(stage, layer.get().id(), wrong.get(), place.getX(), place.getY());
  }

  // --- letters

  private void insert(String sign) {
    Optional<Selection.Cursor> cursor = workspace.selection().cursor();
    if (cursor.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("text-actions.put-the-caret-into-a-text")));
      return;
    }
    TextRange range = cursor.get().range();
    if (workspace.apply(EditText.plain(cursor.get().layer(), range, sign))) {
      int caret = range.start() + sign.length();
      workspace.selectionProperty().set(Selection.editing(cursor.get().layer(), caret, caret));
    }
    stage.requestFocus();
  }

  private void ruby() {
    if (!askForRuby.getAsBoolean()) {
      workspace.tell(Notice.info(Messages.of("text-actions.select-the-letters-that-the-ruby")));
    }
  }

  /** Moves what stands behind the caret towards what stands before it, or away. */
  private void kern(double by) {
    Optional<Selection.Cursor> cursor =
        workspace.selection().cursor().filter(at -> at.caret() > 0 && at.range().isEmpty());
    if (cursor.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("text-actions.put-the-caret-between-two-letters")));
      return;
    }
    KernPair kern = new KernPair(cursor.get().layer(), cursor.get().caret(), by);
    workspace.apply(kern, Optional.of("kern " + kern.layer() + " " + kern.offset()));
  }

  // --- placeholder

  /** Fills boxes; a point gets a few words. */
  private void fill(Placeholder script) {
    List<FillWithPlaceholder.Filling> fillings = new ArrayList<>();
    for (LayerId id : workspace.texts()) {
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
    LayerId last = LinkedBoxes.of(workspace.project()).chain(layer.id()).getLast();
    BoxFit fit =
        workspace
            .project()
            .layer(last)
            .map(box -> cascade.placement(box).fit())
            .orElse(BoxFit.POINT);
    return switch (fit) {
      case POINT -> script.words(WORDS_AT_A_POINT);
      case GROW -> script.words(WORDS_IN_A_GROWING_BOX);
      case FIXED, SHRINK -> script.filling(count -> fits(layer, last, script.words(count)));
    };
  }

  /** Whether words find room in a text, to the end of the last box that it flows through. */
  private boolean fits(Layer layer, LayerId last, String words) {
    Layer filled = layer.withStory(layer.story().replace(layer.story().all(), words));
    return studio
        .get()
        .maker()
        .make(workspace.project().mapLayers(Set.of(layer.id()), _ -> filled))
        .find(last)
        .filter(found -> found.text().layout().overset().isPresent())
        .isEmpty();
  }
}
