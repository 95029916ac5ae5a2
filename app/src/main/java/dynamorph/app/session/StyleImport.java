package dynamorph.app.session;

import dynamorph.model.edit.Edit;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import java.util.List;
import java.util.function.Function;

/**
 * Styles that come from elsewhere, while it is settled what becomes of names that are taken.
 *
 * @param swatches swatches of one name that differ
 * @param edit what is done once that is settled
 */
public record StyleImport(
    StyleBundle bundle,
    List<ImportStyles.SwatchCollision> swatches,
    Function<ImportStyles, Edit> edit) {}
