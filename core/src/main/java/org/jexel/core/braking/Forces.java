package org.jexel.core.braking;

/**
 * What acts on a train at one moment, with it known which wheels turn and which slide.
 *
 * <p>Output depends on what the rig feels, that on the magnets' currents, and those lag: so nothing
 * here has to be iterated. With A what turning wheels brake with and B·N what sliding ones do, and
 * F what vehicle and drag do,
 *
 * <pre>
 * N = (W·g·cos θ − k1·F − k2·A) / (1 + k2·B)
 * a = (F + A + B·N) / (m_v + m_t) + g·sin θ
 * F_c = m_t·(a − g·sin θ) − F_t − F_drag,t      push on the vehicle positive
 * k1 = m_t·(h_g − h_c) / ((m_v + m_t)·x),  k2 = k1 + h_c/x
 * </pre>
 *
 * @param vehicle its brakes, N
 * @param trailer its brakes at the ground, N
 * @param drag of the vehicle, N
 * @param trailerDrag N
 * @param deceleration m/s²
 * @param felt deceleration that a sensor in the rig feels, m/s²
 * @param coupler push of the trailer on the vehicle, N; negative where it tugs
 * @param wheel load of one trailer wheel, N
 */
record Forces(
    double vehicle,
    double trailer,
    double drag,
    double trailerDrag,
    double deceleration,
    double felt,
    double coupler,
    double wheel) {
  /**
   * @param speed m/s
   * @param forces of each brake while its wheel turns, N
   * @param slides which wheels slide
   */
  static Forces of(Train train, Drive drive, double speed, double[] forces, boolean[] slides) {
    double turning = 0;
    double sliding = 0;
    for (int i = 0; i < forces.length; i++) {
      if (slides[i]) {
        sliding += surface(train, drive, i).slide() / train.wheels();
      } else {
        turning += forces[i];
      }
    }
    double upright = Stop.G * Math.cos(drive.slope());
    double along = Stop.G * Math.sin(drive.slope());
    double most = drive.left().peak() * train.vehicleMass() * upright;
    double vehicle = Math.min(drive.pedal() * train.vehicleMass(), most);
    double drag = Drag.vehicle(train.vehicleMass(), speed, upright);
    double trailerDrag = Drag.trailer(train.trailerMass(), speed, upright);
    double others = vehicle + drag + trailerDrag;
    double pitching =
        train.trailerMass()
            * (Train.CENTRE_HEIGHT - Train.COUPLING_HEIGHT)
            / (train.mass() * train.toAxle());
    double relief = train.relief();
    double standing =
        Math.max(
            0,
            (train.axleGroup() * upright - pitching * others - relief * turning)
                / (1 + relief * sliding));
    double trailer = turning + sliding * standing;
    double felt = (others + trailer) / train.mass();
    return new Forces(
        vehicle,
        trailer,
        drag,
        trailerDrag,
        felt + along,
        felt,
        train.trailerMass() * felt - trailer - trailerDrag,
        standing / train.wheels());
  }

  static Surface surface(Train train, Drive drive, int brake) {
    return train.brakes().get(brake).left() ? drive.left() : drive.right();
  }
}
