package org.jexel.app.handover;

import jakarta.persistence.Embeddable;

/** What was seen of one part before a journey, as it is stored. */
@Embeddable
record TowPart(String part, String verdict) {}
