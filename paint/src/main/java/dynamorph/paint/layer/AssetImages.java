package dynamorph.paint.layer;

import dynamorph.model.Asset;
import io.github.humbleui.skija.Image;
import java.util.Optional;

/** Images of a project, decoded once. */
public final class AssetImages {
  private AssetImages() {}

  /** The image in a file of the project, if it is one that can be read. */
  public static Optional<Image> image(Asset asset) {
    return PatternShaders.image(asset);
  }
}
