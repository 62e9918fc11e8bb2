/** What was said of a file that became a model, by the model's id: for the page that opens it next. */
const said = new Map<string, readonly string[]>();

export const keepSaid = (id: string, words: readonly string[]): void => void (words.length > 0 && said.set(id, words));

/** Told once. */
export function takeSaid(id: string): readonly string[] {
  const words = said.get(id) ?? [];
  said.delete(id);
  return words;
}
