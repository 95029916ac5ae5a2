package dynamorph.app.styles.column;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Following;
import dynamorph.model.edit.style.ApplyOptions;
import dynamorph.model.property.Aspect;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleGroup;

/** How styles are put on text: what is left alone, and whether values are only copied. */
final class ApplyMenu extends MenuButton {
  private static final PseudoClass UNUSUAL = PseudoClass.getPseudoClass("unusual");

  private final Following following;
  private final ToggleGroup ways = new ToggleGroup();

  ApplyMenu(Following following) {
    this.following = following;
    getStyleClass().addAll("quiet-menu", "options-menu");
    setId("apply-options");
    setMaxWidth(Double.MAX_VALUE);
    Tips.on(this, Messages.of("apply-menu.what-a-style-changes-when-it"));
    following.applyOptionsProperty().addListener((_, _, _) -> update());
    following.stampingProperty().addListener((_, _, _) -> update());
    for (Way way : Way.values()) {
      getItems().add(choice(way));
    }
    getItems().add(new SeparatorMenuItem());
    for (Aspect aspect : Aspect.values()) {
      getItems().add(leaving(aspect));
    }
    MenuItem reset = new MenuItem(Messages.of("apply-menu.apply-everything-and-follow"));
    reset.setOnAction(_ -> {
      set(ApplyOptions.PLAIN);
      following.stampingProperty().set(false);
    });
    getItems().addAll(new SeparatorMenuItem(), reset);
    update();
  }

  /** The ways of applying, of which one counts. */
  private enum Way {
    FOLLOW(Messages.of("apply-menu.follow-in-place-of-what-is")),
    ON_TOP(Messages.of("apply-menu.add-on-top-of-what-is")),
    STAMP(Messages.of("apply-menu.stamp-copy-the-values-once-follow"));

    private final String label;

    Way(String label) {
      this.label = label;
    }
  }

  private Way way() {
    return following.stampingProperty().get()
        ? Way.STAMP
        : following.applyOptionsProperty().get().onTop() ? Way.ON_TOP : Way.FOLLOW;
  }

  private RadioMenuItem choice(Way way) {
    RadioMenuItem item = new RadioMenuItem(way.label);
    item.setToggleGroup(ways);
    item.setUserData(way);
    item.setOnAction(_ -> {
      following.stampingProperty().set(way == Way.STAMP);
      set(following.applyOptionsProperty().get().onTop(way == Way.ON_TOP));
    });
    return item;
  }

  private CheckMenuItem leaving(Aspect aspect) {
    CheckMenuItem item = new CheckMenuItem(Messages.of("apply-menu.leave-out", told(aspect)));
    item.setOnAction(_ -> {
      EnumSet<Aspect> leaves = EnumSet.noneOf(Aspect.class);
      leaves.addAll(following.applyOptionsProperty().get().leaves());
      if (item.isSelected()) {
        leaves.add(aspect);
      } else {
        leaves.remove(aspect);
      }
      set(following.applyOptionsProperty().get().leaving(leaves));
    });
    following
        .applyOptionsProperty()
        .addListener((_, _, now) -> item.setSelected(now.leaves().contains(aspect)));
    return item;
  }

  private static String told(Aspect aspect) {
    return switch (aspect) {
      case PARAGRAPH -> Messages.of("apply-menu.paragraph-settings");
      case FONT -> Messages.of("apply-menu.the-font");
      default -> aspect.label();
    };
  }

  private void set(ApplyOptions options) {
    following.applyOptionsProperty().set(options);
  }

  private void update() {
    Set<Aspect> leaves = following.applyOptionsProperty().get().leaves();
    String what =
        leaves.isEmpty()
            ? Messages.of("apply-menu.everything")
            : Messages.of(
                "apply-menu.all-but",
                leaves.stream().sorted().map(Aspect::label).collect(Collectors.joining(", ")));
    String how =
        switch (way()) {
          case FOLLOW -> Messages.of("apply-menu.apply");
          case ON_TOP -> Messages.of("apply-menu.add-on-top");
          case STAMP -> Messages.of("apply-menu.stamp");
        };
    ways.getToggles().forEach(toggle -> toggle.setSelected(toggle.getUserData() == way()));
    setText(how + what);
    pseudoClassStateChanged(UNUSUAL, following.isUnusual());
  }
}
