/** What is wrong: hypotheses, what each predicts, and which check tells them apart. */
package org.jexel.core.diagnosis;
