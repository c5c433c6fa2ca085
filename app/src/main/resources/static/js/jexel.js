"use strict";

/* Keys, the number pad, and what the page says when the server is silent. Pages work without it. */
(() => {
  if (window.Idiomorph) {
    // What is being typed is never replaced under the finger.
    window.Idiomorph.defaults.ignoreActiveValue = true;
  }

  const say = (words) => {
    const said = document.getElementById("said");
    if (said) said.textContent = words;
  };

  /* Enter fires "change" and then "submit": the draft that the first would send is not wanted. */
  let submitted = 0;
  document.addEventListener("submit", () => {
    submitted = Date.now();
    if (document.activeElement.matches("input")) document.activeElement.blur();
  }, true);
  /* After a record the hand goes on: to the field that asks, else to the next act. */
  document.addEventListener("htmx:afterSettle", () => {
    if (Date.now() - submitted > 5000) return;
    submitted = 0;
    const asks = document.querySelector(".do [aria-invalid=true]");
    (asks || document.getElementById("next-act")).focus({ preventScroll: true });
  });
  document.addEventListener("htmx:beforeRequest", (event) => {
    const path = event.detail.requestConfig.path;
    if (path.endsWith("/draft") && Date.now() - submitted < 1500) event.preventDefault();
  });
  document.addEventListener("htmx:beforeSwap", (event) => {
    const answer = event.detail.xhr;
    if (answer.responseURL.includes("/sign-in")) {
      event.detail.shouldSwap = false;
      window.location.assign("/sign-in");
    } else if (!answer.responseText.includes('id="page"')) {
      event.detail.shouldSwap = false;
      say("Not taken. What you typed is still here; try again.");
    }
  });
  document.addEventListener("htmx:sendError", () => {
    say("The server does not answer. What you typed is still here.");
  });
  document.addEventListener("htmx:responseError", (event) => {
    say(event.detail.xhr.status === 403
      ? "Your role may look, not change."
      : "Not taken. What you typed is still here; try again.");
  });

  document.addEventListener("click", (event) => {
    const key = event.target.closest("[data-pad]");
    if (!key) return;
    const input = key.closest("form").querySelector("input[name=reading]");
    input.value = key.dataset.pad === "⌫" ? input.value.slice(0, -1) : input.value + key.dataset.pad;
  });

  /* The Towline folds to a strip; its place is kept, so nothing jumps. */
  const fold = () => document.body.classList.toggle("folded", window.scrollY > 200);
  window.addEventListener("scroll", fold, { passive: true });
  fold();

  const cards = () => [...document.querySelectorAll(".card-row > h2 > a, .card-row > h3 > a, .rows td.num > a")];
  const along = (step) => {
    const all = cards();
    if (!all.length) return;
    const now = all.indexOf(document.activeElement);
    all[Math.max(0, Math.min(all.length - 1, now < 0 ? 0 : now + step))].focus();
  };
  const next = () => {
    const act = document.getElementById("next-act");
    if (!act) return;
    const here = document.querySelector("[data-next]:not([disabled])");
    if (here && window.location.pathname + window.location.search === act.pathname + act.search) {
      here.focus();
      if (here.select) here.select();
    } else {
      act.click();
    }
  };
  const sums = () => {
    const all = [...document.querySelectorAll("details.sum")];
    const open = !all.some((sum) => sum.open);
    all.forEach((sum) => { sum.open = open; });
  };

  const acts = {
    n: next,
    j: () => along(1),
    k: () => along(-1),
    s: sums,
    u: () => document.getElementById("units-form").requestSubmit(),
    "/": () => document.getElementById("q").focus(),
    "?": () => document.getElementById("keys").showModal(),
  };

  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === "Escape" && event.target.blur) event.target.blur();
    if (event.target.closest("input, select, textarea, dialog")) return;
    const station = document.querySelector(`.rail a[data-key="${CSS.escape(event.key)}"]`);
    const act = station ? () => station.click() : acts[event.key];
    if (act) {
      event.preventDefault();
      act();
    }
  });
})();
