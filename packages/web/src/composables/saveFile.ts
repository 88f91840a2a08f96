/** Hands a text to the person as a file. */
export function saveFile(name: string, type: string, text: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }));
  const link = Object.assign(document.createElement('a'), { href: address, download: name });
  link.click();
  // Not at once: the browser has only been asked so far.
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
