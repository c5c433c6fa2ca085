package org.jexel.app.rig;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Entries of rig fields. */
public interface RigFigureRepository extends JpaRepository<RigFigure, Long> {
  @Query("select f from RigFigure f join fetch f.person where f.part.id in :parts order by f.id")
  List<RigFigure> ofParts(Collection<Long> parts);
}
