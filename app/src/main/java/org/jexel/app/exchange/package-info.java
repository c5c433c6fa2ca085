/**
 * Files in and out in forms that others read: PDF, QR codes, controller files, whole jobs.
 *
 * <p>May touch {@code drawing}.
 */
@NullMarked
package org.jexel.app.exchange;

import org.jspecify.annotations.NullMarked;
