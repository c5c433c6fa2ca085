/* Photographs are kept on this phone first and sent from there: whoever took one goes on at once, to
   another page or out of reach. */
import { sendNow } from "./queue.js";
import { say } from "./say.js";
import { add, freshKey } from "./waiting.js";

document.documentElement.classList.add("sends");

const keep = (form, photo) =>
  add({
    path: new URL(form.getAttribute("action"), window.location).pathname,
    fields: [
      ["about", form.elements.about.value],
      ["subject", form.elements.subject.value],
      ["requestKey", freshKey()],
    ],
    photo,
    words: `Photograph: ${form.dataset.camera}`,
    who: document.querySelector(".who").dataset.who,
    at: Date.now(),
    why: "",
  });

document.addEventListener("change", async (event) => {
  const form = event.target.closest("form[data-camera]");
  if (!form || event.target.type !== "file") return;
  try {
    for (const photo of [...event.target.files]) await keep(form, photo);
  } catch (full) {
    // Then the form sends it, as it does without this script.
    form.elements.photo.removeAttribute("name");
    event.target.name = "photo";
    document.documentElement.classList.remove("sends");
    say("There is no room on this phone to keep it. Press Send while the server is reached.");
    return;
  }
  form.reset();
  sendNow();
});
