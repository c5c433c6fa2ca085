/**
 * SVG: the rig in plan, faces, boxes, templates, and the marks and colours that everything is drawn
 * with.
 *
 * <p>May touch the core alone.
 */
@NullMarked
package org.jexel.app.drawing;

import org.jspecify.annotations.NullMarked;
