package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.footage.FootageFiles;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.reach.Legibility;
import dynamorph.paint.reach.SeenCues;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.caption.CueChecks;
import dynamorph.typeset.caption.CueList;
import dynamorph.typeset.caption.CueProblem;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

@Command(
    name = "check",
    description = "${bundle:check-command.lists-what-is-wrong-with-the}",
    mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(names = "--json", description = "${bundle:check-command.prints-json-instead-of-lines}")
  private boolean json;

  @Spec private CommandSpec spec;

  private record Told(Artboard film, Track.Captions track, Layer cue, CueProblem problem) {}

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    List<Told> all = new ArrayList<>();
    try (FontLibrary fonts = FontLibrary.forProject(project.assets());
        FootageFiles footage = new FootageFiles()) {
      LayerPainter painter = new LayerPainter();
      Scene scene = new SceneMaker(new Typesetter(fonts), painter).make(project);
      SeenCues seen = new SeenCues(new Legibility(painter, FootagePainter.of(project, footage)));
      project
          .films()
          .forEach(film ->
              film.timeline()
                  .orElseThrow()
                  .captions()
                  .forEach(track -> collect(film, track, scene, seen, all)));
    }
    print(all, spec.commandLine().getOut());
    return 0;
  }

  private static void collect(
      Artboard film, Track.Captions track, Scene scene, SeenCues seen, List<Told> all) {
    CueList list = CueList.of(film, track);
    for (int index = 0; index < list.cues().size(); index++) {
      Layer cue = list.cues().get(index);
      List<CueProblem> problems = new ArrayList<>(CueChecks.of(list, index));
      boolean broken = CueList.lines(cue).size() > 1;
      seen.of(scene.find(cue.id()).orElseThrow(), track.rules(), broken).stream()
          .filter(problem -> problems.stream().noneMatch(one -> one.kind() == problem.kind()))
          .forEach(problems::add);
      problems.forEach(problem -> all.add(new Told(film, track, cue, problem)));
    }
  }

  private void print(List<Told> all, PrintWriter out) {
    ArrayNode nodes = JsonNodeFactory.instance.arrayNode();
    for (Told told : all) {
      Timeline line = told.film.timeline().orElseThrow();
      String code = line.codeAt(CueList.time(told.cue).in());
      String kind = told.problem.kind().name().toLowerCase(Locale.ROOT).replace('_', '-');
      if (json) {
        nodes
            .addObject()
            .put("timeline", told.film.name())
            .put("track", told.track.name())
            .put("cue", told.cue.id().value())
            .put("time", code)
            .put("problem", kind)
            .put("detail", told.problem.detail());
      } else {
        out.println(
            code
                + "  "
                + told.track.name()
                + ": "
                + told.problem.kind().label()
                + ", "
                + told.problem.detail());
      }
    }
    if (json) {
      out.println(nodes.toPrettyString());
    } else {
      out.println(Messages.of("check-command.problem", all.size()));
    }
  }
}
