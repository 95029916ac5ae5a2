package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import java.util.AbstractList;
import java.util.ArrayList;
import java.util.List;

/** Remarks on a file; beyond some hundred of them they are only counted. */
final class Remarks extends AbstractList<Remark> {
  private static final int MOST = 200;

  private final List<Remark> told = new ArrayList<>();
  private int more;

  @Override
  public boolean add(Remark remark) {
    if (told.size() < MOST) {
      return told.add(remark);
    }
    more++;
    return true;
  }

  @Override
  public Remark get(int index) {
    return told.get(index);
  }

  @Override
  public int size() {
    return told.size();
  }

  /** The remarks, and how many more there would be. */
  List<Remark> all() {
    List<Remark> all = new ArrayList<>(told);
    if (more > 0) {
      all.add(new Remark(told.getLast().line(), Messages.of("remarks.and-more", more)));
    }
    return List.copyOf(all);
  }
}
