/**
 * The invented valley workshop, loaded on first start.
 *
 * <p>May touch everything.
 */
@NullMarked
package org.jexel.app.demo;

import org.jspecify.annotations.NullMarked;
