package org.jexel.app.device;

import java.util.Random;
import org.springframework.stereotype.Component;

/** The chance in everything that is simulated; from a seed on it falls alike each time. */
@Component
public class SimulatedChance extends Random {
  private static final long serialVersionUID = 1;
}
