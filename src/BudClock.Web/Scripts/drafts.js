// What is typed into a long form stays with this browser until it was taken in: through a mistaken click, a reload, the Back button.
(() => {
  const prefix = 'draft ';
  const keepDays = 30;
  const posted = (form) => form.hasAttribute('data-posted');
  const arrived = performance.getEntriesByType('navigation')[0]?.type;
  const long = 'form.fields[method=post]:not([hx-post]), form[data-draft]';
  const forms = () => [...document.querySelectorAll(long)];
  const keyOf = (form) => `${prefix}${location.pathname} ${form.dataset.draft ?? forms().indexOf(form)}`;
  const named = (form) => form.dataset.draft ?? document.querySelector('h1')?.textContent.trim() ?? 'this form';
  const fieldsOf = (form) =>
    [...new FormData(form)].filter(([name, value]) => typeof value === 'string' && name !== 'act' && !name.startsWith('__'));
  const same = (a, b) => JSON.stringify(a) === JSON.stringify(b);
  const stored = (key) => JSON.parse(localStorage.getItem(key) ?? 'null');
  const keys = () => Object.keys(localStorage).filter((key) => key.startsWith(prefix));
  const store = (key, draft) => {
    try {
      localStorage.setItem(key, JSON.stringify(draft));
    } catch {
      // A full browser keeps no drafts; the page itself still works.
    }
  };
  const asRendered = new WeakMap();

  function keep(form) {
    const fields = fieldsOf(form);
    const key = keyOf(form);
    if (same(fields, asRendered.get(form)) && !('draftNow' in form.dataset)) localStorage.removeItem(key);
    else store(key, { name: named(form), at: Date.now(), again: form.dataset.draftAgain, fields });
  }

  // A line above the form, or above the page where its form is not on it now.
  function say(words, before, ...buttons) {
    const line = document.createElement('p');
    line.className = 'given-back';
    line.setAttribute('role', 'status');
    line.append(words, ...buttons.map(([label, act]) => {
      const button = document.createElement('button');
      [button.type, button.className, button.textContent] = ['button', 'btn btn-line btn-small', label];
      button.addEventListener('click', () => act(line));
      return button;
    }));
    before.parentElement.insertBefore(line, before);
  }

  const time = (at) => {
    const [then, now] = [new Date(at), new Date()];
    const clock = then.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
    if (then.toDateString() === now.toDateString()) return `at ${clock}`;
    return `on ${then.toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })}`;
  };

  function fill(form, fields) {
    const left = new Map();
    for (const [name, value] of fields) left.set(name, [...(left.get(name) ?? []), value]);
    for (const field of form.elements) {
      if (!field.name || field.name === 'act' || field.name.startsWith('__') || field.type === 'file' || field.type === 'submit') continue;
      const values = left.get(field.name) ?? [];
      if (field.type === 'checkbox' || field.type === 'radio') field.checked = values.includes(field.value);
      else if (values.length > 0) field.value = values.shift();
    }
  }

  function forget(key, line) {
    localStorage.removeItem(key);
    line.remove();
  }

  function giveBack(form, key, draft) {
    fill(form, draft.fields);
    say(`What you had typed here ${time(draft.at)} is back. `, form, ['Leave it as it was before', () => {
      localStorage.removeItem(key);
      location.assign(location.pathname + location.search);
    }]);
  }

  // The form that it was typed into is not on the page: it is sent once more to where it is shown again.
  function offer(key, draft) {
    const top = document.querySelector('main h1');
    if (!top || !draft.again) return;
    say(`${draft.name}, as it stood ${time(draft.at)}, is kept here. `, top.nextSibling ?? top, ['Go on with it', () => {
      const form = document.createElement('form');
      [form.method, form.action, form.hidden] = ['post', draft.again, true];
      const token = document.querySelector('[name=__RequestVerificationToken]').value;
      for (const [name, value] of [...draft.fields, ['__RequestVerificationToken', token]]) {
        const field = document.createElement('input');
        [field.type, field.name, field.value] = ['hidden', name, value];
        form.append(field);
      }
      document.body.append(form);
      form.submit();
    }], ['Forget it', (line) => forget(key, line)]);
  }

  function open() {
    const here = new Map(forms().map((form) => [keyOf(form), form]));
    // The page that came in answer to a form names it as where it came from; a page that was opened anew does not.
    const from = document.referrer && arrived === 'navigate' ? new URL(document.referrer).pathname : null;
    const answered = (key, draft) => draft.sent && from === key.slice(prefix.length).split(' ')[0];
    for (const key of keys()) {
      const draft = stored(key);
      if (!draft || Date.now() - draft.at > keepDays * 86400000 || (answered(key, draft) && !here.has(key))) localStorage.removeItem(key);
    }
    for (const form of here.values()) asRendered.set(form, fieldsOf(form));
    for (const key of keys().filter((one) => one.startsWith(`${prefix}${location.pathname} `))) {
      const draft = stored(key);
      const form = here.get(key);
      if (!form) offer(key, draft);
      // The answer to a form holds what was sent; only what was typed since, and lost by a reload, is given back over it.
      else if (same(draft.fields, asRendered.get(form)) || answered(key, draft) || (posted(form) && arrived === 'navigate')) keep(form);
      else giveBack(form, key, draft);
    }
    for (const form of here.values()) if ('draftNow' in form.dataset) keep(form);
  }

  let waiting;
  const flush = () => {
    clearTimeout(waiting?.timer);
    if (waiting?.form.isConnected) keep(waiting.form);
    waiting = null;
  };
  for (const event of ['input', 'change']) {
    document.addEventListener(event, ({ target }) => {
      const form = target.form;
      if (!form || !forms().includes(form)) return;
      if (waiting?.form !== form) flush();
      clearTimeout(waiting?.timer);
      waiting = { form, timer: setTimeout(flush, 250) };
    });
  }
  addEventListener('pagehide', flush);
  document.addEventListener('submit', ({ target }) => {
    if (!forms().includes(target)) return;
    flush();
    const draft = stored(keyOf(target));
    if (draft) store(keyOf(target), { ...draft, sent: Date.now() });
  });
  open();
})();
