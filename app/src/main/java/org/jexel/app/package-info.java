/** The application's start, and nothing else: every room has a package of its own. */
@org.jspecify.annotations.NullMarked
package org.jexel.app;
