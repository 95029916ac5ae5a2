package dynamorph.app.styles.column;

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
import javafx.scene.control.Tooltip;

/** How styles are put on text: what is left alone, and whether values are only copied. */
final class ApplyMenu extends MenuButton {
  private static final PseudoClass UNUSUAL = PseudoClass.getPseudoClass("unusual");

  private final Following following;
  private final ToggleGroup ways = new ToggleGroup();

  ApplyMenu(Following following) {
    this.following = following;
    getStyleClass().addAll("quiet-menu", "options-menu");
    setId("options");
    setMaxWidth(Double.MAX_VALUE);
    setTooltip(
        new Tooltip(
            "What a style changes when it is clicked or dropped; holds until you change it."));
    following.applyOptionsProperty().addListener((_, _, _) -> update());
    following.stampingProperty().addListener((_, _, _) -> update());
    for (Way way : Way.values()) {
      getItems().add(choice(way));
    }
    getItems().add(new SeparatorMenuItem());
    for (Aspect aspect : Aspect.values()) {
      getItems().add(leaving(aspect));
    }
    MenuItem reset = new MenuItem("Apply everything and follow");
    reset.setOnAction(_ -> {
      set(ApplyOptions.PLAIN);
      following.stampingProperty().set(false);
    });
    getItems().addAll(new SeparatorMenuItem(), reset);
    update();
  }

  /** The ways of applying, of which one counts. */
  private enum Way {
    FOLLOW("Follow, in place of what is followed"),
    ON_TOP("Add on top of what is followed"),
    STAMP("Stamp: copy the values once, follow nothing");

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
    CheckMenuItem item = new CheckMenuItem("Leave out " + told(aspect));
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
      case PARAGRAPH -> "paragraph settings";
      case FONT -> "the font";
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
            ? "everything"
            : "all but "
                + leaves.stream().sorted().map(Aspect::label).collect(Collectors.joining(", "));
    String how =
        switch (way()) {
          case FOLLOW -> "Apply: ";
          case ON_TOP -> "Add on top: ";
          case STAMP -> "Stamp: ";
        };
    ways.getToggles().forEach(toggle -> toggle.setSelected(toggle.getUserData() == way()));
    setText(how + what);
    pseudoClassStateChanged(UNUSUAL, following.isUnusual());
  }
}
