package org.jexel.core.harness;

import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Verdict;

/**
 * One circuit of the plan, as a line of the harness table.
 *
 * @param name what it is called
 * @param function its pin
 * @param length all of its live conductor, m
 * @param sizes its wire sizes from the source on
 * @param amps design load, A
 * @param drop at its farthest load, out and back, V
 * @param limit the drop that is allowed, V
 * @param protection fuse or breaker that it calls for, A
 * @param binding what set the size
 * @param buy sizes that would fit where none on the shelf does; else empty
 * @param verdict whether current and drop are inside their limits
 * @param sum how the drop was found
 */
public record Circuit(
    String name,
    PinFunction function,
    double length,
    List<String> sizes,
    double amps,
    double drop,
    double limit,
    double protection,
    String binding,
    String buy,
    Verdict verdict,
    Sum sum) {}
