/* Without connection: which pages are kept here, and what waits. */
import "./queue.js";

/* What a page is called by the last parts of its address. */
const called = (station, part) => {
  if (station === "care" && part) return `care, ${part.toLowerCase().replaceAll("_", " ")}`;
  if (part) return "road card";
  return station === "before" ? "before each journey" : station;
};

const list = async () => {
  const pages = await caches.open("jexel-pages");
  const kept = (await pages.keys()).map((request) => new URL(request.url));
  document.getElementById("pages-head").hidden = !kept.length;
  document.getElementById("pages").replaceChildren(
    ...kept.map((url) => {
      const link = document.createElement("a");
      link.href = url.pathname + url.search;
      const [, , job, station, part] = url.pathname.split("/");
      link.textContent = [job, called(station, part), url.searchParams.get("card")]
        .filter(Boolean)
        .join(", ");
      const item = document.createElement("li");
      item.append(link);
      return item;
    }),
  );
};
list().catch(() => {});
document.getElementById("again").addEventListener("click", (event) => {
  event.preventDefault();
  window.location.reload();
});
