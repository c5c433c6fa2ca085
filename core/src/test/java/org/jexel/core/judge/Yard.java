package org.jexel.core.judge;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.jexel.core.check.Check;
import org.jexel.core.check.Probing;
import org.jexel.core.check.Setup;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.network.Fuse;
import org.jexel.core.network.Led;
import org.jexel.core.network.Network;
import org.jexel.core.network.Ngspice;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.Spice;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.rig.Rig;

/**
 * A rig in the yard, and a person with a meter: its netlists are solved by ngspice, its parts lie
 * within tolerances by rules of its own, its meter has noise and digits of its own. Of Jexel it
 * takes the healthy netlist and where the leads of a check go.
 */
final class Yard {
  /** What an editor put before a lamp's law. */
  private static final Pattern FACTOR = Pattern.compile("\\G(?:i=)?([0-9.e+-]+)\\*\\(");

  private static final double PROBE_VOLTS = 0.5;
  private static final double PROBE_OHMS = 1000;
  private static final List<StateWord> USED =
      List.of(
          StateWord.TAIL,
          StateWord.LEFT,
          StateWord.RIGHT,
          StateWord.STOP,
          StateWord.REVERSE,
          StateWord.LEVER);

  private static final double VOLTMETER_OHMS = 1e7;

  /** Share of a lamp's light, or amperes of a magnet, that anybody sees or hears go. */
  private static final double SEEN = 0.01;

  private static final double LIVE_VOLTS = 0.05;
  private static final double PULLS_AMPS = 0.8;

  /** A contact that breaks is off at so many visits in a hundred. */
  private static final int OFF = 40;

  /** The same rig while what makes and breaks is off; null where nothing does. */
  private Yard broken;

  private String loose = "";
  private boolean off;
  private final Rig rig;
  private final Harness harness;
  private UnaryOperator<Netlist> mischief;
  private final long seed;
  private Set<String> blown;
  private final Map<Setup, Netlist> decks = new HashMap<>();
  private final Map<Setup, Ngspice> solved = new HashMap<>();
  private final Map<Setup, Network> networks = new HashMap<>();

  Yard(Rig rig, Harness harness, UnaryOperator<Netlist> mischief, long seed) {
    this.rig = rig;
    this.harness = harness;
    this.mischief = mischief;
    this.seed = seed;
  }

  static Yard of(Rig rig, Harness harness, Mischief mischief, long seed) {
    if (!mischief.now()) {
      return new Yard(rig, harness, mischief.edit(), seed);
    }
    Yard yard = new Yard(rig, harness, net -> net, seed);
    yard.broken = new Yard(rig, harness, mischief.edit(), seed);
    yard.loose = mischief.parts().iterator().next();
    return yard;
  }

  /** Somebody comes to look: what makes and breaks stands as it happens to. */
  void visit(Random dice) {
    off = dice.nextInt(100) < OFF;
  }

  /** What can be read of it, at its worst. */
  Yard worst() {
    return broken == null ? this : broken;
  }

  /** Where a hand moves it, by what an editor calls it. */
  private String reach() {
    if (loose.startsWith("pin_")) {
      return "PLUG";
    } else if (loose.startsWith("wire_cord_")) {
      return "CORD";
    }
    String[] card = whole(rig, harness).card('r', loose).orElseThrow();
    boolean box =
        card[1].startsWith("box_") || card[2].startsWith("box_") || card[1].startsWith("cord_");
    return box ? "BOX" : "LOOM";
  }

  private boolean goesOut(Check check) {
    Setup setup = check.probing().setup();
    String fed =
        check.function() == PinFunction.BRAKE
            ? "magnet_|actuator"
            : "lamp_" + check.function().name().toLowerCase(Locale.ROOT) + "_";
    Netlist deck = deck(setup);
    return Stream.concat(deck.names('r').stream(), deck.names('b').stream())
        .filter(name -> name.matches("(" + fed + ").*"))
        .anyMatch(
            name -> {
              double made = fed.startsWith("lamp") ? light(setup, name) : amps(setup, name);
              double gone =
                  fed.startsWith("lamp") ? broken.light(setup, name) : broken.amps(setup, name);
              return Math.abs(made - gone) > Math.max(SEEN, 0.3 * Math.abs(made));
            });
  }

  /** What has been switched on before somebody comes to look blew its fuse if it drew too much. */
  private Set<String> blown() {
    if (blown == null) {
      blown = new TreeSet<>();
      boolean more = true;
      while (more) {
        more = false;
        for (StateWord word : USED) {
          Setup setup = Setup.rig(word);
          for (String fuse : deck(setup).names('r')) {
            if (fuse.startsWith("fuse_")
                && networks.get(setup).has(fuse)
                && Math.abs(amps(setup, fuse)) > 1.35 * rating(setup, fuse)) {
              more |= blown.add(fuse);
            }
          }
        }
        if (more) {
          UnaryOperator<Netlist> before = mischief;
          mischief =
              net -> blown.stream().reduce(before.apply(net), Netlist::open, (one, two) -> two);
          decks.clear();
          solved.clear();
        }
      }
    }
    return blown;
  }

  private double rating(Setup setup, String fuse) {
    return ((Fuse) networks.get(setup).element(fuse)).rating();
  }

  /** The whole rig as it is drawn, plugged in, for an editor to choose from. */
  static Netlist whole(Rig rig, Harness harness) {
    return netlist(RigNetwork.whole(rig, harness));
  }

  private static Netlist netlist(Network network) {
    return Netlist.of(
        Spice.of(network.solve(), "yard").deck().replaceAll("(?m)^(\\.save @|r_meter_).*\n", ""));
  }

  private Netlist deck(Setup setup) {
    return decks.computeIfAbsent(
        setup,
        s -> {
          Network network = s.network(rig, harness).network();
          networks.put(s, network);
          return mischief.apply(lying(netlist(network)));
        });
  }

  /** Every part somewhere within its tolerance, in the same place in every netlist. */
  private Netlist lying(Netlist whole) {
    Netlist lying = whole;
    for (String name : whole.names('r')) {
      double z = z(name);
      if (name.startsWith("wire_")) {
        lying = lying.ohms(name, ohms -> ohms * (1 + 0.015 * z));
      } else if (name.startsWith("magnet_")) {
        lying = lying.ohms(name, ohms -> ohms * (1 + 0.05 * z));
      } else if (name.matches("(pin|joint|screw|fuse|switch)_.*")) {
        lying = lying.ohms(name, ohms -> ohms * (z > 0 ? 1 + 1.5 * z : 1 + 0.3 * z));
      }
    }
    for (String name : whole.names('b')) {
      if (!name.equals("controller")) {
        lying = lying.draws(name, 1 + 0.075 * z(name));
      }
    }
    return lying;
  }

  private double z(String name) {
    return Math.max(
        -2, Math.min(2, new SplittableRandom(seed * 7919 + name.hashCode()).nextGaussian()));
  }

  private Ngspice solve(Setup setup) {
    return solved.computeIfAbsent(setup, s -> Ngspice.run(deck(s).text()));
  }

  /** Without noise: SI, or the place of the word. */
  double truth(Check check) {
    Probing at = check.probing();
    Setup setup = at.setup();
    boolean spent = blown().contains(at.red());
    return switch (check.measure()) {
      case FUSE -> spent ? 1.5 : open(setup, at.red()) ? 1 : 0;
      case VOLTS -> metered(setup, at.red(), at.black());
      case AMPS -> clamp(setup, at.red());
      case OHMS -> at.black().isEmpty() ? ohmsOf(setup, at.red()) : ohms(setup, at);
      case GLOW -> eye(light(setup, at.red()));
      case STAMP -> isOtherKind(setup, at.red()) ? 2 : stamp(setup, at.red());
      case KIND -> isOtherKind(setup, at.red()) ? 1 : 0;
      case COMING -> broken == null ? 0 : 2;
      case MOVING -> broken != null && reach().equals(at.red()) && goesOut(check) ? 1 : 0;
      case WAKING -> metered(setup, at.red(), at.black()) > 1 ? 1 : 0;
      case TURNING, HUMMING -> works(setup, at.red()) ? 1 : 0;
      case GRIPPING -> works(setup, at.red()) ? 1 : 0;
      case HEAT -> warm(setup, at.red());
      case PULLING -> drawn(setup);
      case ADJUSTING, LEANING -> 1;
      case PRESSING -> works(setup, at.red()) ? 2 : 0;
      case PLAY, TYRE, LININGS, MAGNET_FACE, LEVER -> 0;
      default -> throw new IllegalStateException(check.measure().name());
    };
  }

  /** A magnet pulls; a pump runs while it has its supply and is told to. */
  private boolean works(Setup setup, String part) {
    return part.equals("actuator")
        ? Math.abs(amps(setup, part)) > 1e-4 && Math.abs(amps(setup, "actuator_supply")) > 1
        : Math.abs(amps(setup, part)) > PULLS_AMPS;
  }

  /** A drum's work goes with what its magnet draws; a third of the best is felt as cold. */
  private double warm(Setup setup, String magnet) {
    double most = magnets(setup, "").max().orElse(0);
    return Math.abs(amps(setup, magnet)) > Math.max(PULLS_AMPS, most / 3) ? 1 : 0;
  }

  /** A quarter more on one side is felt. */
  private double drawn(Setup setup) {
    double left = magnets(setup, "left").sum();
    double right = magnets(setup, "right").sum();
    return right > 1.25 * left ? 2 : left > 1.25 * right ? 0 : 1;
  }

  private DoubleStream magnets(Setup setup, String side) {
    return harness.loads().stream()
        .filter(load -> load.kind() == Load.Kind.MAGNET && load.name().endsWith(side))
        .mapToDouble(load -> Math.abs(amps(setup, load.name())));
  }

  private boolean open(Setup setup, String fuse) {
    return deck(setup).card('r', fuse).map(c -> Double.parseDouble(c[3]) > 1e6).orElse(true);
  }

  private double clamp(Setup setup, String part) {
    double amps = Math.abs(amps(setup, part));
    boolean lead = part.equals("bench") && amps > 1.35 * rating(setup, "fuse_bench");
    return lead ? NoFigure.BLOWN.si() : amps;
  }

  private double volts(Setup setup, String red, String black) {
    return solve(setup).volts(red) - solve(setup).volts(black);
  }

  /** A voltmeter pulls together what hangs free; its own, not those of Jexel's networks. */
  private double metered(Setup setup, String red, String black) {
    Ngspice loaded =
        Ngspice.run(deck(setup).bridge("voltmeter", red, black, VOLTMETER_OHMS).text());
    return loaded.volts(red) - loaded.volts(black);
  }

  private double amps(Setup setup, String part) {
    Netlist deck = deck(setup);
    if (deck.card('r', part).isPresent()) {
      String[] card = deck.card('r', part).get();
      return volts(setup, card[1], card[2]) / Double.parseDouble(card[3]);
    }
    if (deck.card('v', part + "_sense").isPresent()) {
      return solve(setup).amps("v_" + part + "_sense");
    }
    return deck.card('v', part).isPresent() ? solve(setup).amps("v_" + part) : 0;
  }

  private double ohmsOf(Setup setup, String part) {
    return deck(setup)
        .card('r', part)
        .map(card -> Math.min(NoFigure.OPEN.si(), Double.parseDouble(card[3])))
        .orElse(NoFigure.OPEN.si());
  }

  private double ohms(Setup setup, Probing at) {
    Setup unplugged = Setup.rig(StateWord.UNPLUGGED);
    Netlist still = deck(unplugged);
    // An ohmmeter loads what it is put on: a leak through a diode is not live.
    if (still.hasNode(at.red()) && still.hasNode(at.black())) {
      Ngspice loaded = Ngspice.run(still.bridge("probe", at.red(), at.black(), PROBE_OHMS).text());
      if (Math.abs(loaded.volts(at.red()) - loaded.volts(at.black())) > LIVE_VOLTS) {
        return NoFigure.LIVE.si();
      }
    }
    Netlist deck = deck(setup).ohmmeter(at.red(), at.black(), PROBE_VOLTS, PROBE_OHMS);
    Ngspice probed = Ngspice.run(deck.text());
    double volts = probed.volts(at.red()) - probed.volts(at.black());
    double ohms = PROBE_OHMS * volts / Math.max(PROBE_VOLTS - volts, 1e-12);
    return Math.min(NoFigure.OPEN.si(), Math.max(0, ohms));
  }

  /** Light of a lamp, from the volts across it, its watts and the laws of the trade. */
  private double light(Setup setup, String lamp) {
    String[] card = deck(setup).card('b', lamp).orElse(null);
    if (card == null) {
      return 0;
    }
    double watts = watts(card);
    double volts = volts(setup, card[1], card[2]);
    if (Netlist.isDiodes(card)) {
      double u = Math.max(0, Math.min(1, (volts - 7) / 3.5));
      return watts * u * u * (3 - 2 * u);
    }
    return watts * Math.pow(Math.abs(volts) / 12.8, 3.4);
  }

  /** As a share of what it is listed with. */
  private static double watts(String[] lamp) {
    double watts = 1;
    Matcher factor = FACTOR.matcher(lamp[3]);
    while (factor.find()) {
      watts *= Double.parseDouble(factor.group(1));
    }
    return watts;
  }

  /** Stamps go by steps of a third and more, and are still read where the wire is burnt. */
  private double stamp(Setup setup, String lamp) {
    double watts = deck(setup).card('b', lamp).map(Yard::watts).orElse(1.0);
    return watts > 1e-6 && Math.abs(Math.log(watts)) > Math.log(4 / 3.0) ? 1 : 0;
  }

  private boolean isOtherKind(Setup setup, String lamp) {
    Optional<String[]> hangs = deck(setup).card('b', lamp);
    boolean listedDiodes = networks.get(setup).element(lamp) instanceof Led;
    return hangs.isPresent() && Netlist.isDiodes(hangs.get()) != listedDiodes;
  }

  private static double eye(double light) {
    return light < 0.004 ? 0 : light < 0.10 ? 1 : light < 0.65 ? 2 : 3;
  }

  /** What does not hang on how it stands at the moment. */
  private static boolean asked(Measure measure) {
    return measure == Measure.MOVING || measure == Measure.COMING;
  }

  /** What a person with a workshop meter says. */
  double read(Check check, Random noise) {
    if (off && broken != null && !asked(check.measure())) {
      return broken.read(check, noise);
    }
    double value = truth(check);
    List<String> words = check.measure().words();
    if (check.measure() == Measure.MOVING) {
      return value > 0 ? (noise.nextInt(10) == 0 ? 0 : 1) : noise.nextInt(500) == 0 ? 1 : 0;
    }
    if (check.measure() == Measure.COMING) {
      // One driver in four noticed nothing; of the others one in ten tells it wrong.
      return noise.nextInt(4) == 0 ? 1 : noise.nextInt(10) == 0 ? 2 - value : value;
    }
    if (!words.isEmpty()) {
      // Between two words either may be said.
      double word = value == Math.rint(value) ? value : Math.floor(value) + noise.nextInt(2);
      double said = noise.nextInt(100) == 0 ? word + (noise.nextBoolean() ? 1 : -1) : word;
      return Math.max(0, Math.min(words.size() - 1, said));
    }
    if (NoFigure.of(check.measure(), value).isPresent()) {
      return value;
    }
    double digit = check.measure() == Measure.OHMS ? (value > 1000 ? 10 : 0.1) : 0.01;
    double error = 0.0025 * Math.abs(value) + digit;
    double shown = Math.round((value + error * noise.nextGaussian()) / digit) * digit;
    return check.measure() == Measure.OHMS ? Math.max(0, shown) : shown;
  }
}
