package org.jexel.app.job;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import java.time.Instant;

/**
 * Where a job was begun that came in a file. What was recorded before it came is what the file
 * tells.
 *
 * @param workshop by name
 * @param ref how it was called there
 * @param at when it came
 * @param sha256 of the file, so that the same one does not come twice
 */
@Embeddable
public record Begun(
    @Column(name = "begun_in") String workshop,
    @Column(name = "begun_ref") String ref,
    @Column(name = "brought_at") Instant at,
    @Column(name = "brought_sha256") String sha256) {}
