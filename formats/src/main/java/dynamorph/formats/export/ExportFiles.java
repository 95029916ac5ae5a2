package dynamorph.formats.export;

import dynamorph.model.Artboard;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.export.FileNamePattern;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Which files an export writes.
 *
 * @param files in the order of the artboards
 */
public record ExportFiles(List<OneFile> files) {
  /**
   * One file.
   *
   * @param name with its end; no two files of an export have the same
   * @param artboards that it holds, one at least
   */
  public record OneFile(String name, List<Artboard> artboards) {
    public OneFile {
      artboards = List.copyOf(artboards);
    }
  }

  public ExportFiles {
    files = List.copyOf(files);
  }

  /**
   * The files of some artboards.
   *
   * @param project its name
   * @param all artboards of the project, by which those that are exported are numbered
   */
  public static ExportFiles of(
      String project, List<Artboard> all, List<Artboard> exported, ExportPreset preset) {
    Set<String> taken = new HashSet<>();
    List<OneFile> files = new ArrayList<>();
    if (exported.isEmpty()) {
      return new ExportFiles(files);
    }
    if (preset.isOneFile()) {
      String artboard = exported.size() == 1 ? exported.getFirst().name() : project;
      Map<String, String> values = values(project, all, exported.getFirst(), preset);
      Map<String, String> whole = new java.util.HashMap<>(values);
      whole.put(FileNamePattern.ARTBOARD_NAME, artboard);
      files.add(new OneFile(free(preset.fileName().name(whole), preset, taken), exported));
    } else {
      for (Artboard artboard : exported) {
        String name = preset.fileName().name(values(project, all, artboard, preset));
        files.add(new OneFile(free(name, preset, taken), List.of(artboard)));
      }
    }
    return new ExportFiles(files);
  }

  /** Some file systems do not tell capitals apart. */
  private static String free(String name, ExportPreset preset, Set<String> taken) {
    String end = "." + preset.format().extension();
    String free = name;
    for (int number = 2; !taken.add(free.toLowerCase(Locale.ROOT)); number++) {
      free = name + " " + number;
    }
    return free + end;
  }

  private static Map<String, String> values(
      String project, List<Artboard> all, Artboard artboard, ExportPreset preset) {
    int digits = Math.max(2, String.valueOf(all.size()).length());
    int number = all.stream().map(Artboard::id).toList().indexOf(artboard.id()) + 1;
    return Map.of(
        FileNamePattern.PROJECT,
        project,
        FileNamePattern.ARTBOARD_NAME,
        artboard.name(),
        FileNamePattern.NUMBER,
        String.format(Locale.ROOT, "%0" + digits + "d", number),
        FileNamePattern.SIZE,
        size(artboard, preset),
        FileNamePattern.RESOLUTION,
        String.valueOf(Math.round(preset.resolution())));
  }

  /** In pixels, or in the unit of the artboard. */
  private static String size(Artboard artboard, ExportPreset preset) {
    if (preset.format().isRaster() || preset.format().isFilm()) {
      return preset.pixels(artboard.width()) + "x" + preset.pixels(artboard.height());
    }
    return artboard.unit().format(artboard.width())
        + "x"
        + artboard.unit().format(artboard.height())
        + artboard.unit().symbol();
  }
}
