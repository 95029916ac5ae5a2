package dynamorph.model.edit;

/** An edit that makes no sense here; the message says why and what can be done instead. */
public final class EditRefused extends RuntimeException {
  public EditRefused(String message) {
    super(message);
  }
}
