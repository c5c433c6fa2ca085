/* The road card goes on by itself: each stop that waits leads to its next row. */
import { all, follow, wait } from "./waiting.js";
import { sendNow } from "./queue.js";

const now = document.getElementById("card-now");
const form = now ? now.querySelector("form") : null;
const column = { LOCKED: "locked", VERGE: "verge" };
const value = (entry, name) => (entry.fields.find(([field]) => field === name) || ["", ""])[1];
const figure = (text) => Number(text.replace(",", "."));

/* The row that the stops of this card lead to; null where they lead off it. */
const reached = (entries) =>
  entries.reduce((row, entry) => {
    if (!row || value(entry, "way") !== "LEVER" || figure(value(entry, "gain")) !== Number(row.dataset.gain))
      return null;
    const next = row.dataset[column[value(entry, "outcome")] || "held"];
    return next ? document.getElementById(`row${next}`) : null;
  }, document.getElementById("row1"));

const show = (entries) => {
  const mine = entries.filter((entry) => !entry.why && entry.path === new URL(form.action).pathname);
  const row = reached(mine);
  document.querySelectorAll("tr.here").forEach((tr) => tr.classList.remove("here"));
  form.hidden = Boolean(row) && !row.dataset.asks;
  now.querySelector("h2").textContent = row
    ? `Row ${row.id.slice(3)}: ${row.querySelector("b.do").textContent}`
    : "Off the card";
  now.querySelector(".reason").textContent = row
    ? row.dataset.reason
    : "What was driven leads to no row of this card. Write on, or go back to where there is a connection.";
  if (!row) return;
  row.classList.add("here");
  if (row.dataset.asks) form.elements.gain.value = row.dataset.gain;
};

if (form) {
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    if (!form.reportValidity()) return;
    const button = event.submitter;
    button.disabled = true;
    try {
      await wait(form, button);
      form.reset();
      show(await all());
    } catch (full) {
      now.querySelector(".reason").textContent = "This phone has no room to keep it. Write it down.";
    }
    button.disabled = false;
    sendNow();
  });
  follow(show);
}
