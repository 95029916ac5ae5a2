package dynamorph.app.styles.desk;

import dynamorph.app.field.ValueEditor.Shown;
import dynamorph.app.message.Messages;
import dynamorph.app.property.Subject;
import dynamorph.app.session.Desk;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.Source;
import dynamorph.model.cascade.Trace;
import dynamorph.model.property.Address;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The draft of a style. A value of its own counts as from a style; what it leaves open shows what
 * plain text would have.
 */
final class DeskSubject implements Subject {
  private final Workspace workspace;
  private final Style draft;
  private final Cascade cascade;
  private final PropertySet values;

  DeskSubject(Workspace workspace, Desk desk) {
    this.workspace = workspace;
    this.draft = desk.draft();
    Project project = workspace.project();
    this.cascade = Cascade.of(project.withStyles(project.styles().with(draft)));
    this.values = cascade.values(draft);
  }

  @Override
  public boolean isEmpty() {
    return false;
  }

  @Override
  public <T> Shown<T> shown(PropertyKey<T> key) {
    T value = Coats.value(values, key);
    return new Shown<>(
        key, Optional.of(value), draft.properties().get(key).or(() -> Optional.of(value)));
  }

  @Override
  public Mark mark(PropertyKey<?> key) {
    return draft.properties().has(key) ? Mark.STYLE : Mark.DEFAULT;
  }

  @Override
  public boolean isOwn(PropertyKey<?> key) {
    return draft.properties().has(key);
  }

  @Override
  public void set(PropertySet set, Optional<Object> gesture) {
    for (PropertyKey<?> key : set.keys()) {
      if (!draft.level().carries(key.property())) {
        workspace.tell(
            Notice.problem(
                Messages.of(
                    "desk-subject.a-style-cannot-carry",
                    draft.level().label(),
                    key.property().label().toLowerCase(java.util.Locale.ROOT))));
        return;
      }
    }
    workspace.attempts().draft(draft.withProperties(draft.properties().overlaidBy(set)), gesture);
  }

  @Override
  public void drop(Set<PropertyKey<?>> keys) {
    workspace
        .attempts()
        .draft(
            draft.withProperties(draft.properties().where(key -> !keys.contains(key))),
            Optional.empty());
  }

  @Override
  public List<Address> coats(String host) {
    return Coats.of(values, host);
  }

  @Override
  public List<Address> effects(Address coat) {
    return Coats.effects(values, coat);
  }

  @Override
  public <T> Trace<T> trace(PropertyKey<T> key) {
    return cascade.trace(draft, key);
  }

  @Override
  public String origin(PropertyKey<?> key) {
    return switch (cascade.trace(draft, key).winner().source()) {
      case Source.Followed(var _, var _, var style) when style.equals(draft.id()) ->
          Messages.of("desk-subject.in-this-style");
      case Source.Followed(var _, var _, var style) ->
          from(style, Messages.of("desk-subject.its-base"));
      case Source.Base(var style) -> from(style, Messages.of("desk-subject.the-base-style"));
      default -> Messages.of("desk-subject.default");
    };
  }

  private String from(StyleId style, String otherwise) {
    return Messages.of(
        "desk-subject.from",
        workspace.project().styles().find(style).map(Style::name).orElse(otherwise));
  }
}
