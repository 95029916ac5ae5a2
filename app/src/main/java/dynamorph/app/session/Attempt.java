package dynamorph.app.session;

import dynamorph.model.Project;
import java.util.Optional;

/**
 * What is being tried and is not committed yet. There is one attempt at a time: whatever is opened
 * takes the place of what was open, unless that has to be committed or discarded first.
 */
public sealed interface Attempt {
  /** Nothing is being tried. */
  record Nothing() implements Attempt {}

  /** A style is edited on the desk. */
  record StyleDraft(Desk draft) implements Attempt {
    @Override
    public Optional<Desk> desk() {
      return Optional.of(draft);
    }
  }

  /** An edit is looked at before it is done. */
  record Reviewing(Review change) implements Attempt {
    @Override
    public Optional<Review> review() {
      return Optional.of(change);
    }
  }

  /**
   * It is settled what becomes of the followers of styles that go.
   *
   * @param review what would be done as settled so far
   */
  record Deleting(StyleDeletion styles, Optional<Review> review) implements Attempt {
    @Override
    public Optional<StyleDeletion> deletion() {
      return Optional.of(styles);
    }
  }

  /**
   * It is settled what becomes of names that are taken, when styles come from elsewhere.
   *
   * @param review what would be done as settled so far
   */
  record Importing(StyleImport styles, Optional<Review> review) implements Attempt {
    @Override
    public Optional<StyleImport> styleImport() {
      return Optional.of(styles);
    }
  }

  /**
   * It is settled what becomes of a document that comes from elsewhere.
   *
   * @param review what would be done as settled so far
   */
  record ImportingDocument(DocumentImport coming, Optional<Review> review) implements Attempt {
    @Override
    public Optional<DocumentImport> document() {
      return Optional.of(coming);
    }
  }

  /**
   * It is settled what is made of the rows of a table.
   *
   * @param review what would be done as settled so far
   */
  record Filling(TableFill table, Optional<Review> review) implements Attempt {
    @Override
    public Optional<TableFill> fill() {
      return Optional.of(table);
    }
  }

  /**
   * A swatch is edited.
   *
   * @param id of the swatch
   * @param review what would be done as edited so far
   */
  record SwatchDraft(String id, Optional<Review> review) implements Attempt {
    @Override
    public Optional<String> swatch() {
      return Optional.of(id);
    }
  }

  /**
   * It is chosen what is taken of styles that are newer on the shelf.
   *
   * @param review what would be done as chosen so far
   */
  record Updating(Optional<Review> review) implements Attempt {}

  /** The look of the selection is about to be kept as a style. */
  record KeepingStyle() implements Attempt {}

  /** The style on the desk. */
  default Optional<Desk> desk() {
    return Optional.empty();
  }

  /** The edit that is looked at. */
  default Optional<Review> review() {
    return Optional.empty();
  }

  /** The styles that are to go. */
  default Optional<StyleDeletion> deletion() {
    return Optional.empty();
  }

  /** The styles that come from elsewhere. */
  default Optional<StyleImport> styleImport() {
    return Optional.empty();
  }

  /** The document that comes from elsewhere. */
  default Optional<DocumentImport> document() {
    return Optional.empty();
  }

  /** The table that fills artboards. */
  default Optional<TableFill> fill() {
    return Optional.empty();
  }

  /** The id of the swatch that is edited. */
  default Optional<String> swatch() {
    return Optional.empty();
  }

  /** Whether it is chosen what is taken from the shelf. */
  default boolean isUpdating() {
    return this instanceof Updating;
  }

  /** Whether a look is about to be kept as a style. */
  default boolean isKeeping() {
    return this instanceof KeepingStyle;
  }

  /** Whether a project still has what it is about; an undo may have taken it away. */
  default boolean isAbout(Project project) {
    return switch (this) {
      case Deleting(StyleDeletion deletion, _) ->
          deletion.styles().stream().allMatch(id -> project.styles().find(id).isPresent());
      case SwatchDraft(String id, _) -> project.palette().find(id).isPresent();
      case Nothing _,
          StyleDraft _,
          Reviewing _,
          Importing _,
          ImportingDocument _,
          Updating _,
          KeepingStyle _ ->
          true;
      case Filling(TableFill table, _) -> project.artboard(table.pattern()).isPresent();
    };
  }

  /** Whether it must be committed or discarded before anything else changes the project. */
  default boolean isPending() {
    return desk().isPresent() || review().isPresent();
  }

  /** Whether it has a pane of its own with buttons to commit and to discard. */
  default boolean hasOwnButtons() {
    return switch (this) {
      case Deleting _, Importing _, ImportingDocument _, Filling _, SwatchDraft _, Updating _ ->
          true;
      case Nothing _, StyleDraft _, Reviewing _, KeepingStyle _ -> false;
    };
  }

  /** Whether the inspector stays where it is meanwhile. */
  default boolean leavesInspector() {
    return switch (this) {
      case Nothing _, Reviewing _ -> true;
      case StyleDraft _,
          Deleting _,
          Importing _,
          ImportingDocument _,
          Filling _,
          SwatchDraft _,
          Updating _,
          KeepingStyle _ ->
          false;
    };
  }

  /** The same, with an edit that is looked at. */
  default Attempt reviewing(Review change) {
    return switch (this) {
      case Deleting(StyleDeletion styles, _) -> new Deleting(styles, Optional.of(change));
      case Importing(StyleImport styles, _) -> new Importing(styles, Optional.of(change));
      case ImportingDocument(DocumentImport coming, _) ->
          new ImportingDocument(coming, Optional.of(change));
      case Filling(TableFill table, _) -> new Filling(table, Optional.of(change));
      case SwatchDraft(String id, _) -> new SwatchDraft(id, Optional.of(change));
      case Updating _ -> new Updating(Optional.of(change));
      case Nothing _, StyleDraft _, Reviewing _, KeepingStyle _ -> new Reviewing(change);
    };
  }
}
