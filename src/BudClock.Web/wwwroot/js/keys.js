// A likely entry by its number: a tap is pressed, a number is asked for.
function likely(number) {
  const tap = [...document.querySelectorAll('.likely > form')].filter((form) => form.checkVisibility())[number - 1];
  const amount = tap?.querySelector('input[name=amount]:not([type=hidden])');
  if (amount) amount.focus();
  else tap?.querySelector('button').click();
}

// Keys on the Round and the plant page. They press what is already there, so each has a button or link of its own.
const press = (selector) => document.querySelector(selector)?.click();

function move(step) {
  const rows = [...document.querySelectorAll('.row-plant')].filter((row) => row.checkVisibility());
  const now = rows.findIndex((row) => row.classList.contains('chosen'));
  rows[Math.min(Math.max(now + step, 0), rows.length - 1)]?.querySelector('.choose').click();
}

const keys = {
  '/': () => document.getElementById('note-text')?.focus(),
  j: () => move(1),
  k: () => move(-1),
  Enter: () => press('.chosen .act'),
  l: () => press('.chosen .later'),
  o: () => press('.chosen .open'),
  u: () => document.getElementById('undo')?.requestSubmit(),
  '?': () => document.getElementById('keys')?.showModal(),
};

document.addEventListener('keydown', (event) => {
  const typing = event.target.closest('input, textarea, select, dialog');
  if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key === 'Enter' && event.target.closest('a, button, summary')) return;
  const act = /^[1-9]$/.test(event.key) ? () => likely(Number(event.key)) : keys[event.key];
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
