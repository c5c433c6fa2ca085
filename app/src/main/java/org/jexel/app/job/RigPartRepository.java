package org.jexel.app.job;

import org.springframework.data.jpa.repository.JpaRepository;

/** Parts of rigs. */
public interface RigPartRepository extends JpaRepository<RigPart, Long> {}
