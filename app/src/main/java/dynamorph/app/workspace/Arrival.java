package dynamorph.app.workspace;

import dynamorph.model.edit.BringStyles;
import dynamorph.model.edit.Edit;
import dynamorph.model.style.StyleBundle;
import java.util.List;
import java.util.function.Function;

/**
 * Styles that come from elsewhere, while it is settled what becomes of names that are taken.
 *
 * @param collisions styles of one name that differ
 * @param edit what is done once that is settled
 */
public record Arrival(
    StyleBundle bundle, List<BringStyles.Collision> collisions, Function<BringStyles, Edit> edit) {}
