/** Hands a file to whoever asked for it. */
export function download(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  // The browser takes the file before the next turn of its loop.
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
