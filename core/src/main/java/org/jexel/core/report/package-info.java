/** What is handed over: a job told in plain words, and what differs between two tellings of it. */
@NullMarked
package org.jexel.core.report;

import org.jspecify.annotations.NullMarked;
