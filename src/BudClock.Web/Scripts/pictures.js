// Two dates of a plant: the slide uncovers one picture or the other.
function wipe(slide) {
  slide.closest('.two').querySelector('.over').style.clipPath = `inset(0 0 0 ${100 - slide.value}%)`;
}

document.addEventListener('input', (event) => {
  if (event.target.matches('.two-wipe input')) wipe(event.target);
});
for (const event of ['DOMContentLoaded', 'htmx:afterSettle']) {
  document.addEventListener(event, () => document.querySelectorAll('.two-wipe input').forEach(wipe));
}

// In the strip one picture is drawn over another, with a finger or the mouse, to compare the two.
let held = null;
document.addEventListener('pointerdown', (event) => {
  held = event.target.closest('.strip [data-picture]');
  if (event.target.hasPointerCapture?.(event.pointerId)) event.target.releasePointerCapture(event.pointerId);
});
document.addEventListener('pointerup', (event) => {
  const on = document.elementFromPoint(event.clientX, event.clientY)?.closest('.strip [data-picture]');
  if (held && on && on !== held) {
    const base = on.closest('.strip').dataset.compare;
    location.href = `${base}?a=${on.dataset.picture}&b=${held.dataset.picture}`;
  }
  held = null;
});

// A picture from the Round: one tap opens the camera or the folder, the choice sends it to its plant.
document.addEventListener('change', (event) => {
  const { of } = event.target.dataset;
  if (!of || event.target.files.length === 0) return;
  const form = document.getElementById('picture');
  form.action = `/plants/${of}?handler=Picture`;
  form.elements.returnUrl.value = location.pathname + location.search;
  form.submit();
});
