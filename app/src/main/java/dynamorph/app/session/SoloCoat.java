package dynamorph.app.session;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import java.util.List;
import java.util.Set;

/** Shows one coat without the others, while looking. */
final class SoloCoat {
  private SoloCoat() {}

  /**
   * The project as it is shown: on these layers only one coat, and no other of letters or plate.
   */
  static Project alone(Project project, Set<LayerId> layers, Address coat) {
    Cascade cascade = Cascade.of(project);
    return project.mapLayers(layers, layer -> alone(cascade, layer, coat));
  }

  private static Layer alone(Cascade cascade, Layer layer, Address coat) {
    PropertySet values = cascade.values(layer);
    PropertySet hidden = layer.local();
    for (String host : List.of(Address.FINISH, Address.PLATE)) {
      for (Address one : Coats.of(values, host)) {
        hidden = hidden.with(Properties.COAT_SHOWN.at(one), one.equals(coat));
      }
    }
    return layer.withLocal(hidden);
  }
}
