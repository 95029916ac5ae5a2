package dynamorph.app.styles.column;

import dynamorph.app.field.NameQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Exported;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Review;
import dynamorph.app.session.StyleDeletion;
import dynamorph.app.session.Workspace;
import dynamorph.model.edit.ChangeProject;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.style.AddStyle;
import dynamorph.model.edit.style.ArrangeStyles;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.edit.style.KeepStyle;
import dynamorph.model.edit.style.Proposal;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.ColourLabel;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.shape.Circle;

/** What can be done with one style card, or with several that are chosen. */
final class StyleMenu {
  private final Workspace workspace;
  private final BiConsumer<StyleCard, StyleId> rename;

  private Optional<ShelfPart> shelf = Optional.empty();

  void setShelf(ShelfPart part) {
    shelf = Optional.of(part);
  }

  private MenuItem put(Set<StyleId> ids) {
    boolean known =
        ids.stream().allMatch(id -> shelf.flatMap(one -> one.keeper().of(id)).isPresent());
    return item(
        known
            ? Messages.of("style-menu.put-changes", ids.size())
            : Messages.of("style-menu.put-on-shelf", ids.size()),
        shelf.filter(one -> one.keeper().takesLooks()).isEmpty(),
        () -> shelf.ifPresent(one -> one.keeper().put(ids)));
  }

  StyleMenu(Workspace workspace, BiConsumer<StyleCard, StyleId> rename) {
    this.workspace = workspace;
    this.rename = rename;
  }

  /** The menu of a card, for all that are chosen if the card is among them. */
  ContextMenu of(StyleCard card, StyleId id, SequencedSet<StyleId> chosen) {
    ContextMenu menu = new ContextMenu();
    if (chosen.size() > 1) {
      menu.getItems().addAll(forSeveral(chosen));
    } else {
      menu.getItems().addAll(forOne(card, workspace.project().styles().get(id)));
    }
    return menu;
  }

  private List<MenuItem> forOne(StyleCard card, Style style) {
    StyleId id = style.id();
    boolean none = workspace.selection().isEmpty();
    List<MenuItem> items = new ArrayList<>();
    items.add(
        item(Messages.of("style-menu.follow-on-the-selection"), none, () -> put(id, false, false)));
    items.add(
        item(Messages.of("style-menu.add-on-top-of-what-is"), none, () -> put(id, true, false)));
    items.add(
        item(
            Messages.of("style-menu.stamp-its-values-on-the-selection"),
            none,
            () -> put(id, false, true)));
    items.add(item(Messages.of("style-menu.give-it-the-look-of-the"), none, () -> takeLook(style)));
    items.add(
        item(Messages.of("style-menu.select-followers"), false, () -> selectFollowers(Set.of(id))));
    items.add(new SeparatorMenuItem());
    items.add(
        item(Messages.of("style-menu.edit-style"), false, () -> workspace.attempts().openDesk(id)));
    items.add(item(Messages.of("style-menu.derive-a-style"), false, () -> add(derived(style))));
    items.add(item(Messages.of("style-menu.duplicate"), false, () -> add(duplicated(style))));
    items.add(item(Messages.of("style-menu.rename"), false, () -> rename.accept(card, id)));
    items.add(labels(Set.of(id)));
    items.add(groups(new LinkedHashSet<>(List.of(id))));
    if (style.level() == StyleLevel.TEXT) {
      items.add(bases(id));
    }
    items.add(new SeparatorMenuItem());
    items.add(put(Set.of(id)));
    items.add(
        item(
            Messages.of("style-menu.merge-into-another"),
            false,
            () -> settle(StyleDeletion.merge(List.of(id)))));
    items.add(
        item(Messages.of("common.delete"), false, () -> delete(new LinkedHashSet<>(List.of(id)))));
    return items;
  }

  private List<MenuItem> forSeveral(SequencedSet<StyleId> chosen) {
    return List.of(
        item(
            Messages.of("style-menu.select-the-followers-of-all", chosen.size()),
            false,
            () -> selectFollowers(chosen)),
        labels(chosen),
        groups(chosen),
        item(
            Messages.of("style-menu.export"),
            false,
            () ->
                workspace
                    .exportedProperty()
                    .set(Optional.of(new Exported.OfProject(List.copyOf(chosen))))),
        put(chosen),
        new SeparatorMenuItem(),
        item(
            Messages.of("style-menu.merge-into-one"),
            false,
            () -> settle(StyleDeletion.merge(List.copyOf(chosen)))),
        item(Messages.of("style-menu.delete-all", chosen.size()), false, () -> delete(chosen)));
  }

  private void put(StyleId id, boolean onTop, boolean stamp) {
    workspace.following().put(id, onTop, stamp);
  }

  /** Lets a style become what the selection looks like; what that changes is shown first. */
  void takeLook(Style style) {
    try {
      Proposal proposal = Proposal.of(workspace.project(), workspace.target(), style.level());
      Set<PropertyKey<?>> included =
          proposal.values().keys().stream()
              .filter(key -> proposal.different().contains(key) || style.properties().has(key))
              .collect(Collectors.toSet());
      Style changed = style.withProperties(proposal.values().where(included::contains));
      workspace
          .attempts()
          .review(
              new Review(
                  Messages.of("style-menu.give-the-look-of-the-selection", style.name()),
                  new KeepStyle(proposal.source(), changed),
                  Messages.of("style-menu.replace")));
    } catch (EditRefused refused) {
      workspace.tell(Notice.problem(Messages.reason(refused)));
    }
  }

  private AddStyle derived(Style style) {
    return AddStyle.derived(
        style, newId(), workspace.freeName(Messages.of("style-menu.variant", style.name())));
  }

  private AddStyle duplicated(Style style) {
    return AddStyle.duplicate(
        style, newId(), workspace.freeName(Messages.of("style-menu.copy", style.name())));
  }

  private StyleId newId() {
    return new StyleId(workspace.ids().next("style"));
  }

  private void add(AddStyle edit) {
    if (workspace.apply(edit)) {
      workspace.attempts().openDesk(edit.style().id());
    }
  }

  private Menu labels(Set<StyleId> ids) {
    Menu menu = new Menu(Messages.of("style-menu.colour-label"));
    menu.getItems()
        .add(item(Messages.of("style-menu.none"), false, () -> label(ids, Optional.empty())));
    for (ColourLabel label : ColourLabel.values()) {
      MenuItem item = item(label.label(), false, () -> label(ids, Optional.of(label)));
      item.setGraphic(new Circle(5, StyleCard.colour(label)));
      menu.getItems().add(item);
    }
    return menu;
  }

  private void label(Set<StyleId> ids, Optional<ColourLabel> label) {
    workspace.apply(new ArrangeStyles.Label(ids, label));
  }

  private Menu groups(SequencedSet<StyleId> ids) {
    Menu menu = new Menu(Messages.of("style-menu.move-to-group"));
    workspace.project().styles().stream()
        .map(Style::group)
        .distinct()
        .forEach(group ->
            menu.getItems()
                .add(
                    item(
                        group.isEmpty() ? Messages.of("common.without-a-group") : group,
                        false,
                        () -> move(ids, group))));
    menu.getItems().add(new SeparatorMenuItem());
    menu.getItems().add(item(Messages.of("style-menu.new-group"), false, () -> askForGroup(ids)));
    return menu;
  }

  private void askForGroup(SequencedSet<StyleId> ids) {
    String title = Messages.of("style-menu.new-group-2");
    NameQuestion.ask(null, title, Messages.of("common.name"), "")
        .ifPresent(name -> move(ids, name));
  }

  private void move(SequencedSet<StyleId> ids, String group) {
    workspace.apply(new ArrangeStyles.Move(List.copyOf(ids), Optional.empty(), group));
  }

  private Menu bases(StyleId id) {
    Menu menu = new Menu(Messages.of("style-menu.base-style-of"));
    CheckMenuItem project = new CheckMenuItem(Messages.of("style-menu.the-project"));
    project.setSelected(workspace.project().baseStyle().filter(id::equals).isPresent());
    project.setOnAction(_ ->
        workspace
            .attempts()
            .review(
                new Review(
                    Messages.of("style-menu.change-the-base-style"),
                    new ChangeProject.SetBaseStyle(
                        project.isSelected() ? Optional.of(id) : Optional.empty()),
                    Messages.of("style-menu.change-it"))));
    menu.getItems().addAll(project, new SeparatorMenuItem());
    workspace
        .project()
        .artboards()
        .forEach(board -> {
          CheckMenuItem item = new CheckMenuItem(board.name());
          item.setSelected(board.baseStyle().filter(id::equals).isPresent());
          item.setOnAction(_ ->
              workspace
                  .attempts()
                  .review(
                      new Review(
                          Messages.of("style-menu.change-the-base-style-of", board.name()),
                          new ChangeProject.SetArtboardBase(
                              board.id(), item.isSelected() ? Optional.of(id) : Optional.empty()),
                          Messages.of("style-menu.change-it"))));
          menu.getItems().add(item);
        });
    return menu;
  }

  /** Styles that nothing uses go at once; for others the person settles what becomes of it. */
  void delete(SequencedSet<StyleId> ids) {
    Followers followers = Followers.of(workspace.project());
    boolean used =
        ids.stream()
            .anyMatch(id ->
                followers.count(id).all() > 0
                    || workspace.project().styles().derivedFrom(id).findAny().isPresent());
    if (used) {
      settle(StyleDeletion.delete(List.copyOf(ids)));
    } else {
      workspace.apply(new DeleteStyles(ids, Optional.empty()));
    }
  }

  private void settle(StyleDeletion settling) {
    workspace.attempts().openDeletion(settling);
  }

  private void selectFollowers(Set<StyleId> ids) {
    Followers followers = Followers.of(workspace.project());
    workspace.select(
        ids.stream()
            .flatMap(id -> followers.of(id).stream())
            .map(follower -> follower.layer().id())
            .toList());
  }

  private static MenuItem item(String label, boolean disabled, Runnable work) {
    MenuItem item = new MenuItem(label);
    item.setDisable(disabled);
    item.setOnAction(_ -> work.run());
    return item;
  }
}
