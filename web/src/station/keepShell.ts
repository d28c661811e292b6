/** Has the browser keep this page's shell, so that the station opens without the server. Where that is not allowed
 *  (no secure context, a private window), the page works as long as it stays open. */
export function keepShell(): void {
  if (!('serviceWorker' in navigator)) return;
  navigator.serviceWorker.register('/station-worker.js', { scope: '/station' }).catch(() => undefined);
  // Ask that what is kept here is not thrown away when the disk gets full.
  void navigator.storage?.persist?.();
}
