/** How often it is looked whether somebody still needs the page as it is, in milliseconds. */
const LOOK_MS = 1_000;

/** Has the browser keep this page's shell, so that it opens without the server. Where that is not allowed (no secure
 *  context, a private window), the page works as long as it stays open. A new version takes over while nobody stands
 *  here: `isFree` says so. */
export function registerServiceWorker(page: 'station' | 'wall', isFree: () => boolean): void {
  if (!('serviceWorker' in navigator)) return;
  const workers = navigator.serviceWorker;
  // The first worker of a device takes over a page that is of its own version already.
  const isUpdate = workers.controller !== null;
  workers.register(`/${page}-worker.js`, { scope: `/${page}` }).catch(() => undefined);
  workers.addEventListener('controllerchange', () => {
    if (!isUpdate) return;
    const looking = setInterval(() => {
      if (!isFree()) return;
      clearInterval(looking);
      location.reload();
    }, LOOK_MS);
  });
  // Ask that what is kept here is not thrown away when the disk gets full.
  void navigator.storage?.persist?.();
}
