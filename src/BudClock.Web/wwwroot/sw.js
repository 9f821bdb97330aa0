// Shows the daily digest, and opens the Round when it is pressed.
self.addEventListener('push', (event) => {
  const digest = event.data.json();
  event.waitUntil(self.registration.showNotification(digest.title, { body: digest.body, icon: '/bud.svg', tag: 'digest' }));
});

self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  event.waitUntil(self.clients.openWindow('/'));
});
