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
  dragged.part.setAttribute(
    "transform",
    `translate(${(dragged.x - dragged.part.dataset.x) * px} ${(dragged.y - dragged.part.dataset.y) * px})`,
  );
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
