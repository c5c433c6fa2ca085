package org.jexel.core.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;
import java.util.function.ToDoubleFunction;
import org.jexel.core.check.Check;
import org.jexel.core.network.FaultFamily;

/** What no check tells apart is one answer. */
final class Alike {
  /** Groups that are told; whatever cannot be told from one of them joins it all the same. */
  private static final int TOLD = 300;

  private final List<Check> checks;

  /** The check that told the last two apart: most often it tells the next two as well. */
  private int telling;

  Alike(List<Check> checks) {
    this.checks = checks;
  }

  /**
   * Places of rows that no check tells apart, most probable group first. A fault in another
   * severity goes with its own, be it near to something else as well; but where its own is too
   * slight to be told from a sound rig, one that is told from it is something else. So is one that
   * the readings speak for, against the sound rig: whatever a check would tell of others, of this
   * one it has told.
   *
   * @param rows most probable first
   * @param share of a group in all that is listed
   * @param spokenFor places of the rows that readings speak for
   */
  List<List<Integer>> groups(
      List<Row> rows, ToDoubleFunction<List<Integer>> share, IntPredicate spokenFor) {
    List<List<Integer>> groups = new ArrayList<>();
    Map<List<FaultFamily>, List<Integer>> ofFamily = new HashMap<>();
    for (int h = 0; h < rows.size(); h++) {
      Row row = rows.get(h);
      List<Integer> own = ofFamily.get(row.hypothesis().families());
      boolean shown = spokenFor.test(h);
      if (own == null || seen(rows.get(own.get(0)), row, shown)) {
        own =
            groups.stream()
                .filter(group -> !seen(rows.get(group.get(0)), row, shown))
                .filter(group -> same(rows.get(group.get(0)), row))
                .findFirst()
                .orElse(null);
      }
      if (own == null && groups.size() < TOLD) {
        own = new ArrayList<>();
        groups.add(own);
      }
      if (own != null) {
        own.add(h);
        ofFamily.put(row.hypothesis().families(), own);
      }
    }
    groups.sort(Comparator.comparingDouble(share).reversed());
    return groups;
  }

  private boolean seen(Row leader, Row row, boolean shown) {
    return leader.hypothesis().healthy()
        && !row.hypothesis().healthy()
        && (shown || !same(leader, row));
  }

  private boolean same(Row one, Row two) {
    if (telling < checks.size() && apart(one, two, telling)) {
      return false;
    }
    for (int c = 0; c < checks.size(); c++) {
      if (apart(one, two, c)) {
        telling = c;
        return false;
      }
    }
    return true;
  }

  private boolean apart(Row one, Row two, int check) {
    return one.apart(two, checks.get(check), check);
  }
}
