package org.jexel.app.care;

import jakarta.persistence.Embeddable;

/** What was found at one place, as it is stored. */
@Embeddable
record CareFound(byte place, double si) {}
