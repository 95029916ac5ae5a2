package dynamorph.paint.film;

import dynamorph.model.Asset;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.paint.layer.AssetImages;
import io.github.humbleui.skija.Image;
import java.util.List;
import java.util.Optional;

/**
 * The pictures that a project carries; what lies outside it comes from elsewhere.
 *
 * @param assets of the project
 * @param others gives what is no still
 */
public record ProjectStills(List<Asset> assets, MediaSource others) implements MediaSource {
  @Override
  public Optional<Image> picture(Media media, Time at) {
    return media instanceof Media.Still(String name)
        ? assets.stream()
            .filter(asset -> asset.isImage() && asset.shortName().equals(name))
            .findFirst()
            .flatMap(AssetImages::image)
        : others.picture(media, at);
  }
}
