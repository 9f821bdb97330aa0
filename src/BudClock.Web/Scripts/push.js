// This browser asks for the daily digest as a notification.
const push = document.getElementById('push');
const bytes = (text) => Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), (c) => c.charCodeAt(0));

push?.addEventListener('click', async () => {
  const said = document.getElementById('push-said');
  try {
    if ((await Notification.requestPermission()) !== 'granted') throw new Error('This browser does not allow notifications from here.');
    const worker = await navigator.serviceWorker.register('/sw.js');
    await navigator.serviceWorker.ready;
    const key = bytes(push.dataset.key);
    const asked = await worker.pushManager.subscribe({ userVisibleOnly: true, applicationServerKey: key });
    const answer = await fetch('/api/push', {
      method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(asked),
    });
    if (!answer.ok) throw new Error('It could not be kept.');
    said.textContent = 'From the next digest on.';
  } catch (fault) {
    said.textContent = `Not here: ${fault.message}`;
  }
});
