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

  /* What was typed after a request left is newer than its answer, however late that comes. */
  const typed = new WeakMap();
  const type = (event) => typed.set(event.target, performance.now());
  document.addEventListener("input", type, true);
  document.addEventListener("change", type, true);
  const sent = new WeakMap();
  document.addEventListener("htmx:beforeSend", (event) => {
    sent.set(event.detail.xhr, performance.now());
  });
  let newer = [];
  document.addEventListener("htmx:beforeSwap", (event) => {
    const left = sent.get(event.detail.xhr);
    newer = [...document.querySelectorAll("input:not([type=hidden]), select, textarea")]
      .filter((field) => typed.get(field) > left)
      .map((field) => [field, field.value, field.checked]);
  });
  document.addEventListener("htmx:afterSwap", () => {
    newer.forEach(([field, value, checked]) => { field.value = value; field.checked = checked; });
    newer = [];
  });

  /* Enter fires "change" and then "submit": the draft that the first would send is not wanted. */
  let submitted = 0;
  document.addEventListener("submit", (event) => {
    // A part that is being moved keeps the focus.
    if (event.target.id === "move-form") return;
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
  /* A draft never overtakes the record it belongs to: none leaves while one is on its way, and the
     answer to one that left before is old by then. */
  const isDraft = (event) => event.detail.requestConfig.path.endsWith("/draft");
  let recording = 0;
  let recorded = 0;
  document.addEventListener("htmx:beforeRequest", (event) => {
    if (isDraft(event) && (recording > 0 || Date.now() - submitted < 1500)) event.preventDefault();
  });
  document.addEventListener("htmx:beforeSend", (event) => {
    if (isDraft(event) || event.detail.requestConfig.verb !== "post") return;
    recording++;
    recorded = performance.now();
    event.detail.xhr.addEventListener("loadend", () => { recording--; });
  });
  document.addEventListener("htmx:beforeSwap", (event) => {
    if (isDraft(event) && sent.get(event.detail.xhr) < recorded) event.detail.shouldSwap = false;
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

  /* Parts of the plan drawing are moved by pointer or by arrow keys. */
  const metres = (svg, event) => {
    const scale = svg.querySelector("#plan-scale").dataset;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
    return [(at.x - scale.ball) / scale.px, (at.y - scale.middle) / scale.px];
  };
  const put = (part, x, y) => {
    const form = document.getElementById("move-form");
    if (!form) return;
    form.elements.part.value = part;
    form.elements.x.value = x.toFixed(3);
    form.elements.y.value = y.toFixed(3);
    form.requestSubmit();
  };
  let dragged = null;
  document.addEventListener("pointerdown", (event) => {
    const part = event.target.closest(".movable");
    if (!part || !document.getElementById("move-form")) return;
    const [x, y] = metres(part.ownerSVGElement, event);
    dragged = { part, dx: part.dataset.x - x, dy: part.dataset.y - y, moved: false };
    part.classList.add("dragged");
    part.focus({ preventScroll: true });
    event.preventDefault();
  });
  document.addEventListener("pointermove", (event) => {
    if (!dragged) return;
    const svg = dragged.part.ownerSVGElement;
    const px = svg.querySelector("#plan-scale").dataset.px;
    const [x, y] = metres(svg, event);
    dragged.x = x + dragged.dx;
    dragged.y = y + dragged.dy;
    dragged.moved = true;
    dragged.part.setAttribute("transform",
      `translate(${(dragged.x - dragged.part.dataset.x) * px} ${(dragged.y - dragged.part.dataset.y) * px})`);
  });
  const drop = () => {
    if (!dragged) return;
    dragged.part.classList.remove("dragged");
    if (dragged.moved) put(dragged.part.dataset.part, dragged.x, dragged.y);
    dragged = null;
  };
  document.addEventListener("pointerup", drop);
  document.addEventListener("pointercancel", drop);
  const arrows = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
  document.addEventListener("keydown", (event) => {
    const way = arrows[event.key];
    const part = event.target.closest(".movable");
    if (!way || !part) return;
    event.preventDefault();
    const step = event.shiftKey ? 0.01 : 0.05;
    // The next press starts from here, even if the server has not answered yet.
    part.dataset.x = (+part.dataset.x + way[0] * step).toFixed(3);
    part.dataset.y = (+part.dataset.y + way[1] * step).toFixed(3);
    put(part.dataset.part, +part.dataset.x, +part.dataset.y);
  });

  /* The Towline folds to a strip; its place is kept, so nothing jumps. */
  const fold = () => document.body.classList.toggle("folded", window.scrollY > 200);
  window.addEventListener("scroll", fold, { passive: true });
  fold();

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
    if (window.DeviceOrientationEvent.requestPermission
        && await window.DeviceOrientationEvent.requestPermission() !== "granted") {
      say("The phone does not give its angles. Type them.");
      return;
    }
    window.addEventListener("deviceorientation", (read) => {
      if (read.beta === null) { say("This phone has no level. Type the angles."); return; }
      document.getElementById("mount-pitch").value = read.beta.toFixed(1);
      document.getElementById("mount-roll").value = read.gamma.toFixed(1);
      document.getElementById("mounting-form").requestSubmit();
    }, { once: true });
  });

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

  const meter = () => {
    const take = document.getElementById("take-meter");
    if (take) take.click();
  };

  const acts = {
    m: meter,
    n: next,
    j: () => along(1),
    k: () => along(-1),
    s: sums,
    z: () => { const undo = document.getElementById("undo"); if (undo) undo.click(); },
    u: () => document.getElementById("units-form").requestSubmit(),
    "/": () => document.getElementById("q").focus(),
    "?": () => document.getElementById("keys").showModal(),
  };

  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === "Escape" && event.target.blur) event.target.blur();
    // An empty reading takes the meter's key; in one that is begun it may be the m of a unit.
    const empty = event.target.id === "reading" && !event.target.value && event.key === "m";
    const typing = "input:not([type=radio]):not([type=checkbox]), select, textarea, dialog";
    if (!empty && event.target.closest(typing)) return;
    const station = document.querySelector(`.rail a[data-key="${CSS.escape(event.key)}"]`);
    const act = station ? () => station.click() : acts[event.key];
    if (act) {
      event.preventDefault();
      act();
    }
  });
})();
