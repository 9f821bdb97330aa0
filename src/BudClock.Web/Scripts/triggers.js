// A start on the triggers view is dragged, or moved by the arrow keys; the server works out what follows and sends the board again.
const oneDay = 86400000;
let waiting;

const dayOf = (handle) => new Date(`${handle.dataset.day}T00:00Z`);
const iso = (day) => day.toISOString().slice(0, 10);
const words = (day) => day.toLocaleDateString('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });

function show(handle, days) {
  handle.dataset.days = days;
  handle.setAttribute('transform', `translate(${days * Number(handle.dataset.step)} 0)`);
  const start = new Date(dayOf(handle).getTime() + days * oneDay);
  const bloom = handle.dataset.bloom && new Date(new Date(`${handle.dataset.bloom}T00:00Z`).getTime() + days * oneDay);
  const said = bloom ? `${words(start)}, in bloom ${words(bloom)}` : words(start);
  handle.querySelector('.handle-words').textContent = days === 0 ? '' : said;
  handle.setAttribute('aria-valuetext', said);
}

function send(handle) {
  const days = Number(handle.dataset.days || 0);
  if (days === 0) return;
  const form = document.getElementById('move');
  form.elements.tag.value = handle.dataset.tag;
  form.elements.order.value = handle.dataset.order;
  form.elements.to.value = iso(new Date(dayOf(handle).getTime() + days * oneDay));
  form.dataset.back = document.activeElement === handle ? handle.dataset.tag : '';
  form.requestSubmit();
}

document.addEventListener('pointerdown', (event) => {
  const handle = event.target.closest?.('.handle');
  if (!handle) return;
  event.preventDefault();
  handle.focus();
  const scale = handle.ownerSVGElement.getScreenCTM().a;
  const from = event.clientX;
  const drag = (move) => show(handle, Math.round((move.clientX - from) / scale / Number(handle.dataset.step)));
  const drop = () => {
    document.removeEventListener('pointermove', drag);
    document.removeEventListener('pointerup', drop);
    send(handle);
  };
  document.addEventListener('pointermove', drag);
  document.addEventListener('pointerup', drop);
});

document.addEventListener('keydown', (event) => {
  const handle = event.target.closest?.('.handle');
  const step = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -7, PageUp: 7 }[event.key];
  if (!handle || !step) return;
  event.preventDefault();
  show(handle, Number(handle.dataset.days || 0) + step * (event.shiftKey ? 7 : 1));
  clearTimeout(waiting);
  waiting = setTimeout(() => send(handle), 500);
});

// The board came back: whoever moved a start by keys goes on from there.
let back = '';
document.body.addEventListener('htmx:beforeRequest', (event) => { back = event.detail.elt.dataset?.back || ''; });
document.body.addEventListener('htmx:afterSettle', () => {
  if (back) document.querySelector(`.handle[data-tag="${back}"]`)?.focus();
  back = '';
});

document.addEventListener('click', (event) => {
  if (event.target.closest('.print')) window.print();
});
