// The page that says that the garden is being opened: it becomes the page that was asked for once the garden has been read.
(() => {
  if (!document.querySelector('[data-waits]')) return;
  const look = () => fetch('/readyz').then(() => location.reload(), () => setTimeout(look, 1000));
  look();
})();
