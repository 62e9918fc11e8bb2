/** The smallest whole number from 1 that is not an id yet. */
export function nextNumber(ids: Iterable<string>): string {
  const used = new Set(ids);
  let n = 1;
  while (used.has(String(n))) n++;
  return String(n);
}

/** a, b, … z, aa, ab, … for 1, 2, … */
export function lettersOf(n: number): string {
  let [rest, name] = [n, ''];
  while (rest > 0) {
    name = String.fromCharCode(97 + ((rest - 1) % 26)) + name;
    rest = Math.floor((rest - 1) / 26);
  }
  return name;
}

/** The first of a, b, … z, aa, ab, … that is not an id yet. */
export function nextLetters(ids: Iterable<string>): string {
  const used = new Set(ids);
  for (let n = 1; ; n++) if (!used.has(lettersOf(n))) return lettersOf(n);
}

/** `stem`, or `stem 2`, `stem 3`, … whichever is free. */
export function freeName(stem: string, ids: Iterable<string>): string {
  const used = new Set(ids);
  if (!used.has(stem)) return stem;
  let n = 2;
  while (used.has(`${stem} ${n}`)) n++;
  return `${stem} ${n}`;
}
