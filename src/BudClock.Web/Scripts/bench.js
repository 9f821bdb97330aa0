// Ticks on the Bench: kept while one searches, filters and turns pages; those that are out of sight go with the form.
(() => {
  const form = document.getElementById('many');
  if (!form) return;
  const ticked = new Set(JSON.parse(sessionStorage.getItem('ticked') ?? '[]'));
  const list = () => document.getElementById('bench-list');
  const boxes = () => [...list().querySelectorAll('[name=tags]')];

  function show() {
    sessionStorage.setItem('ticked', JSON.stringify([...ticked]));
    const seen = new Set(boxes().map((box) => box.value));
    for (const box of boxes()) box.checked = ticked.has(box.value);
    list().querySelector('[data-tick-all]')?.removeAttribute('hidden');
    document.getElementById('ticks').hidden = ticked.size === 0;
    form.querySelector('[data-count]').textContent = ticked.size;
    document.getElementById('kept-ticks').replaceChildren(
      ...[...ticked].filter((tag) => !seen.has(tag)).map((tag) => {
        const kept = document.createElement('input');
        [kept.type, kept.name, kept.value] = ['hidden', 'tags', tag];
        return kept;
      }),
    );
  }

  document.addEventListener('change', (event) => {
    if (event.target.name !== 'tags') return;
    if (event.target.checked) ticked.add(event.target.value);
    else ticked.delete(event.target.value);
    show();
  });
  document.addEventListener('click', (event) => {
    if (event.target.matches('[data-none]')) ticked.clear();
    else if (event.target.matches('[data-tick-all]')) list().dataset.all.split(',').forEach((tag) => ticked.add(tag));
    else return;
    show();
  });
  // A reading that was still on its way when the line was logged would wipe the answer away.
  let sent = null;
  const line = form.elements.text;
  document.body.addEventListener('htmx:beforeRequest', (event) => {
    if (event.detail.elt === form) sent = line.value;
    else if (event.detail.elt === line && line.value === sent) event.preventDefault();
    else if (event.detail.elt === line) sent = null;
  });
  document.body.addEventListener('journal-changed', () => {
    if (sent === null) return;
    line.value = sent = '';
  });
  document.body.addEventListener('htmx:afterSwap', show);
  show();
})();
