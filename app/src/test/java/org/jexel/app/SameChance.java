package org.jexel.app;

import org.jexel.app.device.SimulatedChance;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.test.context.junit.jupiter.SpringExtension;

/**
 * What is simulated falls alike in a test, whichever tests ran before it: by how much a meter is
 * off, and where in its tolerance a part lies, must not hang on the order in which a machine lists
 * files.
 */
final class SameChance implements BeforeEachCallback {
  private static final long DICE = 16;

  @Override
  public void beforeEach(ExtensionContext context) {
    SpringExtension.getApplicationContext(context).getBean(SimulatedChance.class).setSeed(DICE);
  }
}
