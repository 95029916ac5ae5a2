package dynamorph.app.files.recovery;

import dynamorph.app.session.Workspace;
import dynamorph.demo.LongHour;
import dynamorph.formats.journal.Journals;
import dynamorph.model.IdSource;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;

/** A process that works on a project until it is killed, and says what it has done. */
public final class WorkingProcess {
  static final LayerId LAYER = new LayerId("label-6-title");

  private WorkingProcess() {}

  public static void main(String[] arguments) throws InterruptedException {
    Workspace workspace =
        new Workspace(IdSource.random(RandomGenerator.of("L64X128MixRandom")), LongHour.project());
    JournalKeeper keeper =
        new JournalKeeper(workspace, new Journals(Path.of(arguments[0]), InstantSource.system()));
    for (int step = 1; ; step++) {
      workspace.apply(
          SetValues.of(
              new Target.Layers(List.of(LAYER)),
              PropertySet.EMPTY.with(Properties.TRACKING, (double) step)),
          Optional.empty());
      if (step == 20
          && !new Journals(Path.of(arguments[0]), InstantSource.system()).left().isEmpty()) {
        throw new IllegalStateException("its own work is offered");
      }
      System.out.println(step);
      System.out.flush();
      Thread.sleep(Long.parseLong(arguments[1]));
      if (arguments.length > 2 && step == Integer.parseInt(arguments[2])) {
        keeper.close();
        return;
      }
    }
  }
}
