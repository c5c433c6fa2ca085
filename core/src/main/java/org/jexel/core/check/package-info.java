/** What a reading should be before it is taken, and what it means afterwards. */
package org.jexel.core.check;
