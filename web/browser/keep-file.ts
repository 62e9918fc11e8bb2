/** Lets the browser keep a file. */
export function keepFile(name: string, content: BlobPart, mediaType: string): void {
  const address = URL.createObjectURL(new Blob([content], { type: mediaType }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 1000);
}
