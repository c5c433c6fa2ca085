package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.List;

/** Conductors and joints while a harness is being planned. */
final class Wiring {
  final Ratings ratings;
  final List<Span> spans = new ArrayList<>();
  final List<Joint> joints = new ArrayList<>();
  final List<Load> loads = new ArrayList<>();
  final List<Problem> problems = new ArrayList<>();

  Wiring(Ratings ratings) {
    this.ratings = ratings;
  }
}
