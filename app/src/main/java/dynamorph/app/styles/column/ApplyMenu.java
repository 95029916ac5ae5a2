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
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;

/** How styles are put on text: what is left alone, and whether values are only copied. */
final class ApplyMenu extends MenuButton {
  private static final PseudoClass UNUSUAL = PseudoClass.getPseudoClass("unusual");

  private final Following following;

  ApplyMenu(Following following) {
    this.following = following;
    getStyleClass().addAll("quiet-menu", "options-menu");
    setId("options");
    setMaxWidth(Double.MAX_VALUE);
    setTooltip(
        new Tooltip(
            "What a style changes when it is pressed; holds until you change it.\n"
                + "Alt adds a style on top, Alt+Shift stamps its values once."));
    following.applyOptionsProperty().addListener((_, _, _) -> update());
    following.stampingProperty().addListener((_, _, _) -> update());
    for (Aspect aspect : Aspect.values()) {
      getItems().add(leaving(aspect));
    }
    CheckMenuItem top = new CheckMenuItem("Add on top of what is followed");
    top.setOnAction(_ -> set(following.applyOptionsProperty().get().onTop(top.isSelected())));
    following.applyOptionsProperty().addListener((_, _, now) -> top.setSelected(now.onTop()));
    CheckMenuItem stamp = new CheckMenuItem("Stamp: copy the values once, follow nothing");
    stamp.selectedProperty().bindBidirectional(following.stampingProperty());
    MenuItem reset = new MenuItem("Apply everything and follow");
    reset.setOnAction(_ -> {
      set(ApplyOptions.PLAIN);
      following.stampingProperty().set(false);
    });
    getItems().addAll(new SeparatorMenuItem(), top, stamp, new SeparatorMenuItem(), reset);
    update();
  }

  private CheckMenuItem leaving(Aspect aspect) {
    CheckMenuItem item = new CheckMenuItem("Leave " + told(aspect) + " alone");
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
        following.stampingProperty().get()
            ? "Stamps "
            : following.applyOptionsProperty().get().onTop() ? "Adds on top " : "Puts on ";
    setText(how + what);
    pseudoClassStateChanged(UNUSUAL, following.isUnusual());
  }
}
