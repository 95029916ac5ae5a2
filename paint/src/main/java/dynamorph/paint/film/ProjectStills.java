package dynamorph.paint.film;

import dynamorph.model.Asset;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.paint.layer.AssetImages;
import io.github.humbleui.skija.Image;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * The pictures that a project carries; what lies outside it comes from elsewhere.
 *
 * @param assets of the project
 * @param others gives what is no still
 */
public record ProjectStills(List<Asset> assets, MediaSource others) implements MediaSource {
  @Override
  public boolean isOpaque(Media media) {
    return others.isOpaque(media);
  }

  @Override
  public boolean show(Media media, Time at, FrameRate rate, Room room, Consumer<Image> taker) {
    if (!(media instanceof Media.Still(String name))) {
      return others.show(media, at, rate, room, taker);
    }
    Optional<Image> image =
        assets.stream()
            .filter(asset -> asset.isImage() && asset.shortName().equals(name))
            .findFirst()
            .flatMap(AssetImages::image);
    image.ifPresent(taker);
    return image.isPresent();
  }
}
