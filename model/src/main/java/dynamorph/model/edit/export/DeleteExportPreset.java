package dynamorph.model.edit.export;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.message.Messages;
import java.util.List;

/** Deletes an export preset. */
public record DeleteExportPreset(String name) implements Edit {
  @Override
  public Project applyTo(Project before) {
    List<ExportPreset> left =
        before.exports().stream().filter(preset -> !preset.name().equals(name)).toList();
    if (left.size() == before.exports().size()) {
      throw new EditRefused(Messages.of("delete-export-preset.is-no-longer-there", name));
    }
    return before.withExports(left);
  }

  @Override
  public String label(Project before) {
    return Messages.of("delete-export-preset.delete", name);
  }
}
