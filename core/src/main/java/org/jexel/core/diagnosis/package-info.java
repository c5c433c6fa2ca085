/** What is wrong: hypotheses, what each predicts, and which check tells them apart. */
@NullMarked
package org.jexel.core.diagnosis;

import org.jspecify.annotations.NullMarked;
