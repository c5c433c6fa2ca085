package org.jexel.app.harness;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.Arrays;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.network.Fault;
import org.jexel.core.network.NetworkException;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.Spice;
import org.jexel.core.network.StateWord;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The rig as an electrical network, for programs and for a stock SPICE. */
@RestController
class NetworkApi {
  private static final String STATES =
      "Words between commas, any together: tail left right stop reverse hazard pedal lever running"
          + " breakaway unplugged";
  private static final String GAIN =
      "Mark on the controller's own scale; its greatest if it is left out";
  private static final String FAULTS =
      "Faults between commas, such as open:wire_cord_earth, ohms:pin_brake:2, short:box_tail,"
          + " bridge:box_tail:box_left, exchanged:wire_cord_left:wire_cord_tail,"
          + " draws:magnet_axle1_left:0.5, reversed:diode_breakaway, bypassed:diode_breakaway,"
          + " flat:battery:9, pulled:1.5, signal";

  /** The same for whoever is signed in and follows a link: a browser has no token. */
  private static final String PAGES = "/jobs/{ref}/harness/";

  private final JobFiles files;

  NetworkApi(JobFiles files) {
    this.files = files;
  }

  /**
   * A solved network.
   *
   * @param nodes voltage of every node against the vehicle battery's minus post, V
   * @param branches current of every element from its first node to its second, A
   */
  record Solved(Map<String, Double> nodes, Map<String, Double> branches) {}

  @Operation(summary = "Voltages and currents of the rig in a state and with faults")
  @GetMapping({"/api/jobs/{ref}/network", PAGES + "network"})
  Solved network(
      @PathVariable String ref,
      @Parameter(description = STATES) @RequestParam(defaultValue = "") String state,
      @Parameter(description = GAIN) @RequestParam(required = false) Double gain,
      @Parameter(description = FAULTS) @RequestParam(defaultValue = "") String fault,
      @Parameter(hidden = true) Person person) {
    Spice spice = solve(ref, state, gain, fault, person);
    return new Solved(spice.nodes(), spice.branches());
  }

  @Operation(summary = "The same network as a SPICE deck that runs unchanged in a stock ngspice")
  @GetMapping(
      value = {"/api/jobs/{ref}/network.cir", PAGES + "network.cir"},
      produces = MediaType.TEXT_PLAIN_VALUE)
  String deck(
      @PathVariable String ref,
      @Parameter(description = STATES) @RequestParam(defaultValue = "") String state,
      @Parameter(description = GAIN) @RequestParam(required = false) Double gain,
      @Parameter(description = FAULTS) @RequestParam(defaultValue = "") String fault,
      @Parameter(hidden = true) Person person) {
    return solve(ref, state, gain, fault, person).deck();
  }

  private Spice solve(String ref, String words, Double gain, String faults, Person person) {
    JobFile file = files.open(ref, person);
    RigState state = new RigState(StateWord.parse(Arrays.asList(words.split("[,\\s]+"))), 1, 1, 1);
    if (gain != null) {
      if (!file.work().road().scale().isMark(gain)) {
        throw new IllegalArgumentException(
            "Gain %s is no mark of this controller: from %s to %s in steps of %s."
                .formatted(
                    gain,
                    file.work().road().scale().least(),
                    file.work().road().scale().greatest(),
                    file.work().road().scale().step()));
      }
      state = state.withGain(file.work().road().scale().share(gain));
    }
    RigNetwork network =
        RigNetwork.of(file.rig(), file.work().harness().plan(), state, Fault.parse(faults));
    return Spice.of(
        network.network().solve(), "%s, state %s, fault %s".formatted(ref, words, faults));
  }

  /** What was asked for and cannot be, told to a program. */
  record Refusal(String error) {}

  @ExceptionHandler(IllegalArgumentException.class)
  ResponseEntity<Refusal> refused(IllegalArgumentException e) {
    return ResponseEntity.badRequest()
        .contentType(MediaType.APPLICATION_JSON)
        .body(new Refusal(String.valueOf(e.getMessage())));
  }

  @ExceptionHandler(NetworkException.class)
  ResponseEntity<Refusal> unsolved(NetworkException e) {
    return ResponseEntity.status(HttpStatus.UNPROCESSABLE_ENTITY)
        .contentType(MediaType.APPLICATION_JSON)
        .body(new Refusal(String.valueOf(e.getMessage())));
  }
}
