package dynamorph.model.cascade;

import dynamorph.model.Asset;
import dynamorph.model.style.Palette;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Optional;

/**
 * What a look refers to by name.
 *
 * @param assets the files that travel with the project
 */
record ProjectAssets(Palette palette, List<Asset> assets) {
  Rgba colour(Colour colour) {
    return palette.colour(colour);
  }

  /** The image of a name, with or without its folder. */
  Optional<Asset> image(String name) {
    return assets.stream()
        .filter(Asset::isImage)
        .filter(asset -> asset.name().equals(name) || asset.shortName().equals(name))
        .findFirst();
  }
}
