import { say } from "./say.js";

/* A phone laid on the controller reads pitch and roll from its own sensor. */
const level = () => {
  const button = document.getElementById("level-here");
  if (!button || !("DeviceOrientationEvent" in window)) return;
  button.hidden = !window.matchMedia("(pointer: coarse)").matches;
};
level();
document.addEventListener("htmx:afterSettle", level);
document.addEventListener("click", async (event) => {
  if (event.target.id !== "level-here") return;
  if (
    window.DeviceOrientationEvent.requestPermission &&
    (await window.DeviceOrientationEvent.requestPermission()) !== "granted"
  ) {
    say("The phone does not give its angles. Type them.");
    return;
  }
  window.addEventListener(
    "deviceorientation",
    (read) => {
      if (read.beta === null) {
        say("This phone has no level. Type the angles.");
        return;
      }
      document.getElementById("mount-pitch").value = read.beta.toFixed(1);
      document.getElementById("mount-roll").value = read.gamma.toFixed(1);
      document.getElementById("mounting-form").requestSubmit();
    },
    { once: true },
  );
});
