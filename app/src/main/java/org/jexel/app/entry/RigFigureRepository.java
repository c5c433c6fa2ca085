package org.jexel.app.entry;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Entries of rig fields. */
public interface RigFigureRepository extends JpaRepository<RigFigure, Long> {
  /** The newest row of every field; the older ones are history. */
  @Query(
      "select f from RigFigure f join fetch f.person where f.id in (select max(g.id) from RigFigure"
          + " g where g.part.id in :parts group by g.part.id, g.fieldCode) order by f.id")
  List<RigFigure> ofParts(Collection<Long> parts);

  /** Every row, oldest first. */
  @Query("select f from RigFigure f where f.part.id in :parts order by f.id")
  List<RigFigure> everyOf(Collection<Long> parts);
}
