package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.Grouping;
import dynamorph.model.sheet.view.RowUnit;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.sheet.view.SheetView;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The views of the sheet that a project keeps, as documents say them. */
final class SheetViewJson {
  private SheetViewJson() {}

  static ObjectNode node(SheetView view) {
    SheetOrder order = view.order();
    ObjectNode node =
        JsonNodeFactory.instance
            .objectNode()
            .put(Names.NAME, view.name())
            .put(Names.UNIT, id(order.unit()))
            .put(Names.GROUP, id(order.grouping()));
    order.sorted().ifPresent(column -> node.put(Names.SORTED, column.id()));
    if (order.falling()) {
      node.put(Names.FALLING, true);
    }
    if (!order.query().isEmpty()) {
      node.put(Names.QUERY, order.query());
    }
    if (!order.onlyMatching()) {
      node.put(Names.ONLY_MATCHING, false);
    }
    ArrayNode columns = node.putArray(Names.COLUMNS);
    view.columns().forEach(column -> columns.add(column.id()));
    if (view.inFrames()) {
      node.put(Names.IN_FRAMES, true);
    }
    return node.put(Names.PICTURE_WIDTH, view.pictureWidth());
  }

  static SheetView view(JsonCursor cursor) {
    cursor.only(Names.OF_SHEET_VIEW);
    SheetView usual = SheetView.USUAL;
    SheetOrder order =
        new SheetOrder(
            cursor
                .find(Names.UNIT)
                .map(unit -> one(unit, RowUnit.values()))
                .orElse(usual.order().unit()),
            cursor
                .find(Names.GROUP)
                .map(group -> one(group, Grouping.values()))
                .orElse(usual.order().grouping()),
            cursor.find(Names.SORTED).map(SheetViewJson::column),
            cursor.find(Names.FALLING).map(JsonCursor::truth).orElse(false),
            cursor.find(Names.QUERY).map(JsonCursor::text).orElse(""),
            cursor.find(Names.ONLY_MATCHING).map(JsonCursor::truth).orElse(true));
    Optional<JsonCursor> width = cursor.find(Names.PICTURE_WIDTH);
    return cursor.checked(() ->
        new SheetView(
            cursor.field(Names.NAME).text(),
            order,
            cursor
                .find(Names.COLUMNS)
                .map(columns -> columns.items(SheetViewJson::column))
                .orElse(usual.columns()),
            cursor.find(Names.IN_FRAMES).map(JsonCursor::truth).orElse(false),
            width.map(number -> (int) Math.rint(number.number())).orElse(usual.pictureWidth())));
  }

  private static Column column(JsonCursor cursor) {
    return cursor.checked(() -> Column.of(cursor.text()));
  }

  private static <E extends Enum<E>> E one(JsonCursor cursor, E[] values) {
    return Arrays.stream(values)
        .filter(value -> id(value).equals(cursor.text()))
        .findFirst()
        .orElseThrow(() ->
            cursor.wrong(
                Messages.of(
                    "sheet-view.expected-one-of", String.join(", ", ids(values)), cursor.text())));
  }

  private static String id(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT);
  }

  private static List<String> ids(Enum<?>[] values) {
    return Arrays.stream(values).map(SheetViewJson::id).toList();
  }

  static ObjectNode schema() {
    ObjectNode schema = JsonNodeFactory.instance.objectNode();
    ObjectNode column =
        ProjectSchema.choice(
            Stream.concat(
                    Arrays.stream(Column.Fact.values()).map(Column.Fact::id),
                    Properties.of(Property.Part.TEXT).map(property -> property.key().path()))
                .toList());
    ProjectSchema.fields(
        schema,
        Map.of(
            Names.NAME, ProjectSchema.text(),
            Names.UNIT, ProjectSchema.choice(ids(RowUnit.values())),
            Names.GROUP, ProjectSchema.choice(ids(Grouping.values())),
            Names.SORTED, column,
            Names.FALLING, ProjectSchema.flag(),
            Names.QUERY, ProjectSchema.text(),
            Names.ONLY_MATCHING, ProjectSchema.flag(),
            Names.COLUMNS, ProjectSchema.list(column.deepCopy()),
            Names.IN_FRAMES, ProjectSchema.flag(),
            Names.PICTURE_WIDTH, ProjectSchema.number(SheetView.SMALLEST, SheetView.LARGEST)),
        List.of(Names.NAME));
    return schema;
  }
}
