package dynamorph.shelf.entry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.merge.Conflict;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.Style;
import dynamorph.model.value.FontSize;
import dynamorph.shelf.Looks;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class EntryTest {
  private static final Style PLAIN = Style.text("notice-1", "Notice", "Signs");

  private static Version version(int second, Optional<Style> style, Version... parents) {
    return Version.of(
        Arrays.stream(parents).map(Version::id).toList(),
        Instant.ofEpochSecond(second),
        "Dessa Quill",
        "",
        style.map(Kept.OfStyle::new));
  }

  private static Style sized(Style style, double points) {
    return style.withProperties(style.properties().with(Properties.SIZE, FontSize.points(points)));
  }

  private static Style tracked(Style style, double thousandths) {
    return style.withProperties(style.properties().with(Properties.TRACKING, thousandths));
  }

  private static Style of(Entry entry) {
    return ((Kept.OfStyle) entry.kept().orElseThrow()).style();
  }

  @Test
  void twoSidesThatChangedOtherValuesComeTogether() {
    Version first = version(1, Optional.of(PLAIN));
    Version size = version(2, Optional.of(sized(PLAIN, 44)), first);
    Version tracking = version(3, Optional.of(tracked(PLAIN, 8)), first);
    Entry entry = Entry.of("notice-1", List.of(tracking, first, size));
    assertThat(of(entry)).isEqualTo(tracked(sized(PLAIN, 44), 8));
    assertThat(entry.head().conflicts()).isEmpty();
    assertThat(entry.versions()).containsExactly(first, size, tracking);
  }

  @Test
  void theLaterOfTwoValuesStandsAndTheOtherIsTold() {
    Version first = version(1, Optional.of(sized(PLAIN, 48)));
    Version mine = version(2, Optional.of(sized(PLAIN, 52)), first);
    Version theirs = version(3, Optional.of(sized(PLAIN, 44)), first);
    Entry entry = Entry.of("notice-1", List.of(first, mine, theirs));
    assertThat(of(entry)).isEqualTo(sized(PLAIN, 44));
    assertThat(entry.head().conflicts())
        .containsExactly(
            new Conflict(
                Conflict.Kind.STYLE, "Notice", new Conflict.Part.Value(Properties.SIZE.key())));
  }

  /** Against the first version, the size that was set back would seem to be untouched. */
  @Test
  void sidesAreComparedWithTheLatestVersionThatBothHad() {
    Version first = version(1, Optional.of(sized(PLAIN, 48)));
    Version common = version(2, Optional.of(sized(PLAIN, 50)), first);
    Version setBack = version(3, Optional.of(sized(PLAIN, 48)), common);
    Version tracking = version(4, Optional.of(tracked(sized(PLAIN, 50), 8)), common);
    assertThat(of(Entry.of("notice-1", List.of(first, common, setBack, tracking))))
        .isEqualTo(tracked(sized(PLAIN, 48), 8));
  }

  @Test
  void whatOneSideChangedIsNotGoneBecauseTheOtherDeletedIt() {
    Version first = version(1, Optional.of(PLAIN));
    Version changed = version(2, Optional.of(sized(PLAIN, 44)), first);
    Version deleted = version(3, Optional.empty(), first);
    assertThat(of(Entry.of("notice-1", List.of(first, changed, deleted))))
        .isEqualTo(sized(PLAIN, 44));
    Version deletedBefore = version(2, Optional.empty(), first);
    Version changedAfter = version(3, Optional.of(sized(PLAIN, 44)), first);
    assertThat(of(Entry.of("notice-1", List.of(first, deletedBefore, changedAfter))))
        .as("whichever came first")
        .isEqualTo(sized(PLAIN, 44));
    assertThat(Entry.of("notice-1", List.of(first, deleted)).kept()).isEmpty();
  }

  /**
   * Whatever order the versions of five machines come in, every machine has the same in the end.
   */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void theOrderInWhichVersionsArriveDoesNotMatter(long seed) {
    Random random = new Random(seed);
    List<Style> looks = Looks.threeStates(seed);
    List<Version> versions =
        new java.util.ArrayList<>(List.of(version(0, Optional.of(looks.getFirst()))));
    for (int index = 1; index < 9; index++) {
      Version[] parents = {
        versions.get(random.nextInt(versions.size())), versions.get(random.nextInt(versions.size()))
      };
      Style look = looks.get(random.nextInt(3));
      int time = random.nextInt(4);
      versions.add(
          version(time, random.nextInt(6) == 0 ? Optional.empty() : Optional.of(look), parents));
    }
    Entry whole = Entry.of("notice-1", versions);
    Collections.shuffle(versions, random);
    Entry grown = Entry.of("notice-1", versions.subList(0, 1));
    for (Version version : versions) {
      grown = grown.with(List.of(version)).with(List.of(version));
    }
    assertThat(grown.head()).isEqualTo(whole.head());
    assertThat(grown.versions()).isEqualTo(whole.versions());
  }

  /** By the definition: a value is what only one side made of it, else mine. */
  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22})
  void valuesAreMergedByTheDefinition(long seed) {
    List<Style> states = Looks.threeStates(seed);
    Style base = states.get(0);
    Style mine = states.get(1);
    Style theirs = states.get(2);
    Kept.Merge merge = merge(base, mine, theirs);
    Style merged = ((Kept.OfStyle) merge.kept().orElseThrow()).style();
    Set<PropertyKey<?>> keys = new TreeSet<>(base.properties().keys());
    keys.addAll(mine.properties().keys());
    keys.addAll(theirs.properties().keys());
    Set<Object> collisions = new HashSet<>();
    for (PropertyKey<?> key : keys) {
      Optional<?> before = base.properties().get(key);
      Optional<?> own = mine.properties().get(key);
      Optional<?> other = theirs.properties().get(key);
      boolean iChanged = !own.equals(before);
      boolean theyChanged = !other.equals(before);
      assertThat(merged.properties().get(key))
          .as(key.path())
          .isEqualTo(theyChanged && !iChanged ? other : own);
      if (iChanged && theyChanged && !own.equals(other)) {
        collisions.add(key);
      }
    }
    assertThat(
            merge.conflicts().stream()
                .filter(one -> one.part() instanceof Conflict.Part.Value)
                .<Object>map(one -> ((Conflict.Part.Value) one.part()).key()))
        .containsExactlyInAnyOrderElementsOf(collisions);
    Kept.Merge turned = merge(base, theirs, mine);
    if (merge.conflicts().isEmpty()) {
      assertThat(turned).isEqualTo(merge);
    }
    assertThat(turned.conflicts().stream().map(Conflict::part))
        .isEqualTo(merge.conflicts().stream().map(Conflict::part).toList());
    assertThat(merge(base, mine, mine).kept()).contains(new Kept.OfStyle(mine));
    assertThat(merge(base, merged, mine).kept()).as("once more").isEqualTo(merge.kept());
  }

  private static Kept.Merge merge(Style base, Style mine, Style theirs) {
    return Kept.merge(
        Optional.of(new Kept.OfStyle(base)),
        Optional.of(new Kept.OfStyle(mine)),
        Optional.of(new Kept.OfStyle(theirs)));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void anEntryIsReadAsItWasWritten(long seed) throws IOException {
    List<Style> states = Looks.threeStates(seed);
    Version first = version(1, Optional.of(states.get(0)));
    Version mine = version(2, Optional.of(states.get(1)), first);
    Version theirs = version(3, Optional.of(states.get(2)), first);
    Entry entry = Entry.of(states.getFirst().id().value(), List.of(first, mine, theirs));
    EntryJson.Read read = EntryJson.read(bytes(EntryJson.write(entry)));
    assertThat(read.problems()).isEmpty();
    assertThat(read.byHand()).isEmpty();
    assertThat(read.entry()).isEqualTo(entry);
    assertThat(read.entry().head()).isEqualTo(entry.head());
  }

  @Test
  void aChangedValueIsOneChangedLineAboveTheVersions() {
    Version first = version(1, Optional.of(sized(PLAIN, 48)));
    Version later = version(2, Optional.of(sized(PLAIN, 52)), first);
    String before = EntryJson.write(Entry.of("notice-1", List.of(first)));
    String after = EntryJson.write(Entry.of("notice-1", List.of(first, later)));
    List<String> now = after.lines().takeWhile(line -> !line.contains("\"versions\"")).toList();
    List<String> then = before.lines().takeWhile(line -> !line.contains("\"versions\"")).toList();
    assertThat(now).hasSameSizeAs(then);
    assertThat(now.stream().filter(line -> !then.contains(line)))
        .singleElement()
        .asString()
        .contains("52 pt");
  }

  @Test
  void aDamagedVersionIsLeftOutAndTold() throws IOException {
    Version first = version(1, Optional.of(PLAIN));
    Version later = version(2, Optional.of(PLAIN.withName("Notices")), first);
    String text = EntryJson.write(Entry.of("notice-1", List.of(first, later)));
    int last = text.lastIndexOf("Notices");
    EntryJson.Read read =
        EntryJson.read(bytes(text.substring(0, last) + "Natices" + text.substring(last + 7)));
    assertThat(read.entry().versions()).containsExactly(first);
    assertThat(read.problems()).singleElement().asString().contains(later.id(), "damaged");
    assertThatThrownBy(() -> EntryJson.read(bytes("{\"format\": \"poster\"}")))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("no style or swatch");
    assertThatThrownBy(() -> EntryJson.read(bytes("{\n\"format\": \n!")))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("line 3");
  }

  @Test
  void whatWasChangedByHandIsSeen() throws IOException {
    Version first = version(1, Optional.of(sized(PLAIN, 48)));
    String text = EntryJson.write(Entry.of("notice-1", List.of(first)));
    EntryJson.Read read = EntryJson.read(bytes(text.replaceFirst("48 pt", "50 pt")));
    assertThat(read.byHand()).contains(new Kept.OfStyle(sized(PLAIN, 50)));
    assertThat(read.entry().versions()).containsExactly(first);
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
