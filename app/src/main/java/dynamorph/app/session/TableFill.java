package dynamorph.app.session;

import dynamorph.model.ArtboardId;
import dynamorph.model.fill.DataTable;

/**
 * A table whose rows are about to fill copies of an artboard.
 *
 * @param name of its file
 */
public record TableFill(String name, DataTable table, ArtboardId pattern) {}
