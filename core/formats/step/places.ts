/** Where an entity begins. */
export interface StepPlace {
  readonly id: number;
  /** In capitals; empty of one that is made of several. */
  readonly type: string;
  readonly line: number;
}

/**
 * The entities of a STEP file (ISO 10303-21) in their order, with the line in which each begins; texts and comments are passed over. `cut`: the line
 * of the last statement, where it has no end.
 */
export function placesIn(text: string): { readonly places: readonly StepPlace[]; readonly cut?: number } {
  const places: StepPlace[] = [];
  let [line, at, begins, fresh] = [1, 0, 1, true];
  while (at < text.length) {
    const letter = text[at]!;
    if (letter === '\n') line++;
    else if (letter === "'" || text.startsWith('/*', at)) {
      const close = letter === "'" ? "'" : '*/';
      const end = text.indexOf(close, at + close.length);
      if (end < 0) return { places, cut: line };
      for (let i = text.indexOf('\n', at); i >= 0 && i < end; i = text.indexOf('\n', i + 1)) line++;
      at = end + close.length;
      if (letter === "'") fresh = false;
      continue;
    } else if (letter === ';') fresh = true;
    else if (fresh && letter.trim() !== '') {
      [fresh, begins] = [false, line];
      if (letter === '#') {
        ENTITY.lastIndex = at;
        const [, id, type = ''] = ENTITY.exec(text) ?? [];
        if (id !== undefined) places.push({ id: Number(id), type: type.toUpperCase(), line });
      }
    }
    at++;
  }
  return fresh ? { places } : { places, cut: begins };
}

const ENTITY = /#(\d{1,15})\s*=\s*([A-Za-z][A-Za-z0-9_]*)?/y;
