/**
 * Lets the user choose a file of these kinds. The field that asks stays on the page until it is answered: one that nobody holds may be
 * cleared away while the dialog is open, and the choice is lost with it.
 */
export function chooseFile(kinds: string, then: (file: File) => void): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = kinds;
  input.hidden = true;
  input.addEventListener('change', () => {
    const file = input.files?.[0];
    input.remove();
    if (file) then(file);
  });
  input.addEventListener('cancel', () => input.remove());
  document.body.append(input);
  input.click();
}
