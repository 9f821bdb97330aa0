// Back, forward and reload: the browser asks for the whole page again, and it comes back to where it was.
(() => {
  const key = () => `scrolled ${location.pathname}${location.search}`;
  const arrived = performance.getEntriesByType('navigation')[0]?.type;
  const at = sessionStorage.getItem(key());
  if (at !== null && arrived !== 'navigate') {
    for (const event of ['DOMContentLoaded', 'load']) addEventListener(event, () => scrollTo({ top: Number(at), behavior: 'instant' }));
  }
  let where = key();
  let timer;
  addEventListener('scroll', () => {
    where = key();
    clearTimeout(timer);
    timer = setTimeout(() => sessionStorage.setItem(where, scrollY), 100);
  }, { passive: true });
  // Before the address changes, and before the page goes.
  const note = () => {
    clearTimeout(timer);
    sessionStorage.setItem(where, scrollY);
  };
  document.addEventListener('htmx:beforeRequest', note);
  addEventListener('pagehide', note);
  document.addEventListener('htmx:pushedIntoHistory', () => { where = key(); });
})();
