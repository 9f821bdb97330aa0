// The text that Enter sent last; null once another is being typed.
let sent = null;

// The note line: cleared once its text is on disk, focused again for the next plant.
document.body.addEventListener('note-logged', () => {
  const note = document.getElementById('note-text');
  note.value = '';
  sent = '';
  note.focus();
});

// A reading that was still on its way when Enter sent the line would wipe the answer, and the questions in it, away.
document.body.addEventListener('htmx:beforeRequest', (event) => {
  const note = document.getElementById('note-text');
  if (event.detail.elt.id === 'note') sent = note.value;
  else if (event.detail.elt === note && note.value === sent) event.preventDefault();
  else if (event.detail.elt === note) sent = null;
});

// A form that was answered writes another act the next time; one that was not sends the same again, which is written once.
document.body.addEventListener('htmx:afterRequest', (event) => {
  const act = event.detail.successful && event.detail.elt.matches('form') && event.detail.elt.querySelector('[name=act]');
  if (act) act.value = crypto.randomUUID();
});

// How the line could go on: taken by a tap, the first by Tab. Escape puts them away, and Tab moves on again.
const noteText = () => document.getElementById('note-text');
const take = (button) => {
  const note = noteText();
  note.value = button.dataset.line;
  note.focus();
  note.setSelectionRange(note.value.length, note.value.length);
  note.dispatchEvent(new Event('input', { bubbles: true }));
};
document.addEventListener('click', (event) => {
  const button = event.target.closest('.take');
  if (button) take(button);
});
document.addEventListener('keydown', (event) => {
  if (event.target !== noteText() || event.shiftKey) return;
  const first = document.querySelector('#said .take');
  if (!first) return;
  if (event.key === 'Escape') document.querySelector('#said .completions').remove();
  else if (event.key === 'Tab') take(first);
  else return;
  event.preventDefault();
  event.stopImmediatePropagation();
});

// A request that did not come through leaves the text where it is and says so.
for (const trouble of ['htmx:sendError', 'htmx:responseError', 'htmx:timeout']) {
  document.body.addEventListener(trouble, (event) => {
    const words = document.createElement('span');
    words.className = 'trouble';
    words.textContent =
      event.detail.xhr?.getResponseHeader('X-Trouble') ??
      'Bud Clock did not answer. Your text is still here; send it again, it is written once.';
    document.getElementById('said').replaceChildren(words);
  });
}

// Folds stay as the grower left them when the round is drawn anew.
let open = [];
document.body.addEventListener('htmx:beforeSwap', () => {
  open = [...document.querySelectorAll('details[open][id]')].map((fold) => fold.id);
});
document.body.addEventListener('htmx:afterSwap', () => {
  for (const id of open) document.getElementById(id)?.setAttribute('open', '');
});
