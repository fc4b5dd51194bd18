/** Keeps a lesson on the phone it was opened on, so that it can be read before any mirror. */
async function keepThisLesson(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  await navigator.serviceWorker.register('/lesson-worker.js', { scope: '/l/' });
  const { active } = await navigator.serviceWorker.ready;
  active?.postMessage(window.location.href);
}
// A phone that keeps nothing shows the lesson all the same.
keepThisLesson().catch(() => undefined);
