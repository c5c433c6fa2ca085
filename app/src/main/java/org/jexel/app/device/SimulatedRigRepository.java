package org.jexel.app.device;

import org.springframework.data.jpa.repository.JpaRepository;

/** Hidden faults by job. */
interface SimulatedRigRepository extends JpaRepository<SimulatedRig, Long> {}
