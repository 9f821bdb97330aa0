// One of several towns of a name: the field takes it.
document.addEventListener('click', ({ target }) => {
  const { fill, value } = target.dataset ?? {};
  if (!fill) return;
  document.getElementById(fill).value = value;
  document.getElementById(fill).focus();
});

// Where on earth: a tap on the map fills the field in, and the browser's time zone is proposed for a garden that has none yet.
(() => {
  const map = document.getElementById('world');
  if (!map) return;
  const where = document.getElementById('where');
  const here = document.getElementById('here');
  map.addEventListener('click', (event) => {
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(map.getScreenCTM().inverse());
    const [east, north] = [Math.round(at.x * 10) / 10, Math.round(-at.y * 10) / 10];
    where.value = `${Math.abs(north)} ${north < 0 ? 'S' : 'N'} ${Math.abs(east)} ${east < 0 ? 'W' : 'E'}`;
    here.setAttribute('cx', east);
    here.setAttribute('cy', -north);
    here.setAttribute('visibility', 'visible');
    where.focus();
  });
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const zones = document.getElementById('time-zone');
  if (document.querySelector('[data-propose-zone]') && [...zones.options].some((option) => option.value === zone)) zones.value = zone;
})();
