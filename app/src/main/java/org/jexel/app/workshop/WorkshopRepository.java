package org.jexel.app.workshop;

import org.springframework.data.jpa.repository.JpaRepository;

/** Workshops. */
public interface WorkshopRepository extends JpaRepository<Workshop, Long> {}
