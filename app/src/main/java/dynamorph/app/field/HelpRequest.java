package dynamorph.app.field;

import javafx.event.Event;
import javafx.event.EventType;

/** A control asks for the guide at a place; whoever holds the guide hears of it. */
public final class HelpRequest extends Event {
  public static final EventType<HelpRequest> ASKED = new EventType<>(ANY, "HELP");
  private final transient String place;

  /**
   * @param place such as {@code typesetting#kashida}
   */
  public HelpRequest(String place) {
    super(ASKED);
    this.place = place;
  }

  public String place() {
    return place;
  }
}
