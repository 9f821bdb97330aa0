// What was ticked off at the mixing bench stays ticked when the page is left and opened again on the same day.
(() => {
  const page = document.querySelector("[data-ticks]");
  if (!page) return;
  const key = "ticks";
  const kept = JSON.parse(localStorage.getItem(key) ?? "{}");
  const ticked = new Set(kept.day === page.dataset.ticks ? kept.ticked : []);
  for (const box of page.querySelectorAll("[data-tick]")) {
    box.checked = ticked.has(box.dataset.tick);
    box.addEventListener("change", () => {
      if (box.checked) ticked.add(box.dataset.tick);
      else ticked.delete(box.dataset.tick);
      localStorage.setItem(key, JSON.stringify({ day: page.dataset.ticks, ticked: [...ticked] }));
    });
  }
})();
