package dynamorph.model.edit.export;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.message.Messages;
import java.util.ArrayList;
import java.util.List;

/** Keeps an export preset; it takes the place of one of the same name. */
public record KeepExportPreset(ExportPreset preset) implements Edit {
  @Override
  public Project applyTo(Project before) {
    List<ExportPreset> kept = new ArrayList<>(before.exports());
    int at = kept.stream().map(ExportPreset::name).toList().indexOf(preset.name());
    if (at < 0) {
      kept.add(preset);
    } else {
      kept.set(at, preset);
    }
    return kept.equals(before.exports()) ? before : before.withExports(kept);
  }

  @Override
  public String label(Project before) {
    return Messages.of("keep-export-preset.keep", preset.name());
  }
}
