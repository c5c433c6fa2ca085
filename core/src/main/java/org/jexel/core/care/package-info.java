/** What wears, works loose or ages, and the usual figures of the handbooks for it. */
package org.jexel.core.care;
