import { fileDialog as WORDS, TAKEN_FILES } from './words';

const isFiles = ({ dataTransfer }: DragEvent): boolean => dataTransfer?.types.includes('Files') === true;

/**
 * A file that is let fall on the page is brought to it; one of another kind is refused in words. Without this the browser would leave the page for the
 * file. What is dragged within the page is not meant. Returns how to stop.
 */
export function bringDropped(bring: (file: File) => void, refuse: (words: string) => void): () => void {
  const over = (event: DragEvent): void => {
    if (isFiles(event)) event.preventDefault();
  };
  const drop = (event: DragEvent): void => {
    if (!isFiles(event)) return;
    event.preventDefault();
    const file = event.dataTransfer?.files[0];
    if (!file) return;
    const name = file.name.toLowerCase();
    if (TAKEN_FILES.split(',').some((extension) => name.endsWith(extension))) bring(file);
    else refuse(WORDS.otherKind(file.name));
  };
  window.addEventListener('dragover', over);
  window.addEventListener('drop', drop);
  return () => {
    window.removeEventListener('dragover', over);
    window.removeEventListener('drop', drop);
  };
}
