/** Lets the browser keep a text as a file. */
export function keepFile(name: string, text: string, mediaType: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: mediaType }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 1000);
}
