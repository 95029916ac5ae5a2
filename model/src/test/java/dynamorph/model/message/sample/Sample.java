package dynamorph.model.message.sample;

/** Whose package has a bundle of texts for tests. */
public final class Sample {
  private Sample() {}
}
