// Keys on the Round and the plant page: the first letters of what one does at the bench. They press what is already there, so each
// has a button or a link of its own.
const press = (selector) => document.querySelector(selector)?.click();
const line = () => document.getElementById('note-text');

// A likely entry by its number: a tap is pressed, a number is asked for.
function likely(number) {
  const tap = [...document.querySelectorAll('.likely > form')].filter((form) => form.checkVisibility())[number - 1];
  const amount = tap?.querySelector('input[name=amount]:not([type=hidden])');
  if (amount) amount.focus();
  else tap?.querySelector('button').click();
}

function move(step) {
  const rows = [...document.querySelectorAll('.row-plant')].filter((row) => row.checkVisibility());
  const now = rows.findIndex((row) => row.classList.contains('chosen'));
  rows[Math.min(Math.max(now + step, 0), rows.length - 1)]?.querySelector('.choose').click();
}

// A line about the chosen plant is begun, to be read before it is logged: what was given, seen or measured stands in its own words.
function begin(words) {
  const tag = document.querySelector('.chosen')?.dataset.tag;
  if (!tag || !line()) return;
  line().value = `${tag} ${words}`;
  line().focus();
  line().setSelectionRange(line().value.length, line().value.length);
  line().dispatchEvent(new Event('input', { bubbles: true }));
}

const visible = (selector) => [...document.querySelectorAll(selector)].find((one) => one.checkVisibility());

// The number that is asked for, else a line that begins with the roots.
function measure() {
  const field = visible('.likely input[name=amount]:not([type=hidden])');
  if (field) field.focus();
  else begin('roots ');
}

// The answers that are likely: from there 1 to 9 or the tab key choose.
const look = () => visible('.likely button')?.focus();

const keys = {
  '/': () => line()?.focus(),
  ArrowDown: () => move(1),
  ArrowUp: () => move(-1),
  Enter: () => press('.chosen .act'),
  w: () => begin('watered'),
  f: () => begin('fed'),
  m: () => measure(),
  r: () => begin('roots '),
  l: () => look(),
  t: () => begin('turned'),
  n: () => begin('note '),
  p: () => press('.chosen .open'),
  a: () => press('.chosen .later'),
  '?': () => document.getElementById('keys')?.showModal(),
};

document.addEventListener('keydown', (event) => {
  if (event.target.closest('input, textarea, select, dialog, [role=slider]')) return;
  const undo = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !event.shiftKey;
  if (!undo && (event.ctrlKey || event.metaKey || event.altKey)) return;
  if (event.key === 'Enter' && event.target.closest('a, button, summary')) return;
  if (event.key.startsWith('Arrow') && !document.querySelector('.row-plant')) return;
  const act = undo
    ? () => document.getElementById('undo')?.requestSubmit()
    : /^[1-9]$/.test(event.key)
      ? () => likely(Number(event.key))
      : keys[event.key];
  if (!act) return;
  event.preventDefault();
  act();
});

// Escape leaves the note line, so that the other keys work again.
document.addEventListener('keydown', (event) => {
  if (event.key === 'Escape') document.activeElement?.blur();
});

// The chosen row stays in sight when keys move it.
document.body.addEventListener('htmx:afterSwap', (event) => {
  if (event.detail.target.id === 'board') document.querySelector('.chosen')?.scrollIntoView({ block: 'nearest' });
});
