package dynamorph.shelf.folder;

import dynamorph.shelf.Action;
import dynamorph.shelf.entry.EntryJson;
import dynamorph.shelf.entry.Version;
import dynamorph.shelf.message.Messages;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** An action on a shelf as text. It holds what it made, so that it can be finished by anybody. */
final class ActionJson {
  static final String FORMAT = "dynamorph-shelf-action";
  private static final String FORMAT_NAME = "format";
  private static final String FORMAT_NUMBER = "formatVersion";
  private static final String ID = "id";
  private static final String TIME = "time";
  private static final String AUTHOR = "author";
  private static final String KIND = "kind";
  private static final String UNDOES = "undoes";
  private static final String ENTRIES = "entries";
  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  private ActionJson() {}

  static String write(Action action) {
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    node.put(FORMAT_NAME, FORMAT)
        .put(FORMAT_NUMBER, EntryJson.FORMAT_VERSION)
        .put(ID, action.id())
        .put(TIME, action.time().toString())
        .put(AUTHOR, action.author())
        .put(KIND, action.kind().id());
    action.undoes().ifPresent(undone -> node.put(UNDOES, undone));
    ObjectNode entries = node.putObject(ENTRIES);
    new TreeMap<>(action.versions())
        .forEach((id, versions) -> {
          ArrayNode list = entries.putArray(id);
          versions.forEach(version -> list.add(EntryJson.version(version)));
        });
    return JSON.writeValueAsString(node) + "\n";
  }

  static Action read(byte[] bytes) throws IOException {
    JsonNode node = EntryJson.parse(bytes);
    if (!FORMAT.equals(node.path(FORMAT_NAME).asString(""))) {
      throw new IOException(Messages.of("action-json.not-an-action"));
    }
    Map<String, List<Version>> versions = new TreeMap<>();
    JsonNode entries = node.path(ENTRIES);
    for (String id : entries.propertyNames()) {
      List<Version> made = new ArrayList<>();
      for (JsonNode each : entries.path(id)) {
        made.add(EntryJson.readVersion(each));
      }
      if (!made.isEmpty()) {
        versions.put(id, List.copyOf(made));
      }
    }
    String kind = node.path(KIND).asString("");
    return new Action(
        node.path(ID).asString(""),
        EntryJson.time(node.path(TIME).asString("")),
        node.path(AUTHOR).asString(""),
        Arrays.stream(Action.Kind.values())
            .filter(one -> one.id().equals(kind))
            .findFirst()
            .orElse(Action.Kind.CHANGE),
        versions,
        Optional.of(node.path(UNDOES).asString("")).filter(undone -> !undone.isEmpty()));
  }
}
