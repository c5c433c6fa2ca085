package org.jexel.app.entry;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Entries of lamps. */
public interface LampEntryRepository extends JpaRepository<LampEntry, Long> {
  /** The newest row of every lamp that somebody said something of. */
  @Query(
      "select l from LampEntry l where l.id in (select max(m.id) from LampEntry m where m.part.id ="
          + " :part group by m.slot) order by l.id")
  List<LampEntry> ofPart(long part);
}
