package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jexel.core.quantity.Must;
import org.jgrapht.GraphPath;
import org.jgrapht.alg.interfaces.ShortestPathAlgorithm.SingleSourcePaths;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.DefaultWeightedEdge;

/**
 * Shortest ways along the frame from one point to several parts: a tree, so that runs which share a
 * member share its loom.
 */
final class RouteTree {
  /**
   * A stretch of the tree without a branch.
   *
   * @param path every point on the way, nearer end first
   */
  record Limb(List<FramePoint> path) {
    FramePoint from() {
      return path.get(0);
    }

    FramePoint to() {
      return path.get(path.size() - 1);
    }
  }

  private final SingleSourcePaths<FramePoint, DefaultWeightedEdge> ways;
  private final FramePoint root;

  RouteTree(Frame frame, FramePoint root) {
    this.root = root;
    this.ways = new DijkstraShortestPath<>(frame.graph()).getPaths(root);
  }

  /** Points on the way to a part, the root first. */
  List<FramePoint> way(FramePoint to) {
    GraphPath<FramePoint, DefaultWeightedEdge> path = ways.getPath(to);
    if (path == null) {
      throw new IllegalArgumentException(to.id() + " is not joined to the frame");
    }
    return path.getVertexList();
  }

  /** The tree's limbs, cut wherever it branches and at every part; nearer limbs first. */
  List<Limb> limbs(Collection<FramePoint> parts) {
    Map<FramePoint, Set<FramePoint>> children = new LinkedHashMap<>();
    for (FramePoint part : parts) {
      List<FramePoint> way = way(part);
      for (int i = 1; i < way.size(); i++) {
        children.computeIfAbsent(way.get(i - 1), p -> new LinkedHashSet<>()).add(way.get(i));
      }
    }
    List<Limb> limbs = new ArrayList<>();
    grow(root, children, Set.copyOf(parts), limbs);
    return limbs;
  }

  private static void grow(
      FramePoint from,
      Map<FramePoint, Set<FramePoint>> children,
      Set<FramePoint> parts,
      List<Limb> limbs) {
    for (FramePoint child : children.getOrDefault(from, Set.of())) {
      List<FramePoint> path = new ArrayList<>(List.of(from, child));
      FramePoint end = child;
      while (!parts.contains(end) && Must.have(children, end).size() == 1) {
        end = Must.have(children, end).iterator().next();
        path.add(end);
      }
      limbs.add(new Limb(List.copyOf(path)));
      grow(end, children, parts, limbs);
    }
  }

  /** Length of a way along the frame, m. */
  static double length(List<FramePoint> path) {
    double length = 0;
    for (int i = 1; i < path.size(); i++) {
      length += Frame.metres(path.get(i - 1), path.get(i));
    }
    return length;
  }
}
