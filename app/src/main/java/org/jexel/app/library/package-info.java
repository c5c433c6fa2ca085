/**
 * The workshop's own controller models.
 *
 * <p>May touch {@code drawing}, {@code exchange}, {@code workshop}, {@code security}.
 */
@NullMarked
package org.jexel.app.library;

import org.jspecify.annotations.NullMarked;
