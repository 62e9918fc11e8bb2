/** Where an entity begins. */
export interface StepPlace {
  readonly id: number;
  /** In capitals; empty of one that is made of several. */
  readonly type: string;
  readonly line: number;
}

/** Why a text is no STEP file, and in which line. */
export interface StepTrouble {
  readonly what: string;
  readonly line: number;
}

/** Entities are numbered up to this. */
const HIGHEST = 99_999_999;
/** Lists within lists. */
const DEEPEST = 40;

const TOKEN =
  /(\s+|\/\*[^]*?\*\/)|('(?:[^']|'')*'|"[0-9A-Fa-f]*"|\.[A-Za-z_][A-Za-z0-9_]*\.|[+-]?\d+(?:\.\d*)?(?:[Ee][+-]?\d+)?|#\d+|[$*])|(!?[A-Za-z_][A-Za-z0-9_]*(?:-[A-Za-z0-9]+)*)|([(),;=])/y;

/**
 * The entities of a STEP file (ISO 10303-21) in their order, with the line in which each begins. Only what has the grammar of such files is handed
 * on to the package that reads them: other things can keep it forever.
 */
export function placesIn(text: string): { readonly places: readonly StepPlace[] } | StepTrouble {
  const places: StepPlace[] = [];
  const statement = new Statement();
  let [line, at] = [1, 0];
  while (at < text.length) {
    TOKEN.lastIndex = at;
    const found = TOKEN.exec(text);
    if (!found) return { what: `“${text.slice(at, at + 12).split('\n')[0]!}” is not written as STEP files are`, line };
    const [all, blank, value, name, sign] = found;
    if (blank === undefined) {
      const trouble = statement.take(value, name, sign, line);
      if (trouble !== undefined) return { what: trouble, line: statement.line };
      if (sign === ';') {
        if (statement.id !== undefined) places.push({ id: statement.id, type: statement.type, line: statement.line });
        statement.begin();
      }
    }
    for (let i = all.indexOf('\n'); i >= 0; i = all.indexOf('\n', i + 1)) line++;
    at += all.length;
  }
  return statement.isEmpty ? { places } : { what: 'What begins here has no end', line: statement.line };
}

/** One statement while it is read: `#12=NAME(…)`, `#12=(NAME(…)NAME(…))`, `NAME(…)` or `NAME`. */
class Statement {
  id: number | undefined;
  type = '';
  line = 0;
  private last: 'nothing' | 'id' | 'is' | 'name' | 'open' | 'comma' | 'value' = 'nothing';
  private depth = 0;
  /** Whether it is one of several types, whose names stand side by side. */
  private isMixed = false;

  begin(): void {
    [this.id, this.type, this.last, this.depth, this.isMixed] = [undefined, '', 'nothing', 0, false];
  }

  get isEmpty(): boolean {
    return this.last === 'nothing';
  }

  /** Takes the next token; what is wrong with it, in words. */
  take(value: string | undefined, name: string | undefined, sign: string | undefined, line: number): string | undefined {
    if (this.isEmpty) this.line = line;
    const fits = value !== undefined ? this.value(value) : name !== undefined ? this.name(name) : this.sign(sign!);
    if (fits) return undefined;
    return `${this.id === undefined ? 'A statement' : `#${this.id}`} is not written as STEP files are, at “${(value ?? name ?? sign)!.slice(0, 20)}”`;
  }

  private value(value: string): boolean {
    if (this.last === 'nothing') {
      this.id = value.startsWith('#') ? Number(value.slice(1)) : Number.NaN;
      this.last = 'id';
      return this.id >= 1 && this.id <= HIGHEST;
    }
    if (value.startsWith('#') && Number(value.slice(1)) > HIGHEST) return false;
    const fits = this.depth > 0 && (this.last === 'open' || this.last === 'comma');
    this.last = 'value';
    return fits;
  }

  private name(name: string): boolean {
    if (this.last === 'is') this.type = name.toUpperCase();
    if (this.last === 'nothing' || this.last === 'is') return ((this.last = 'name'), true);
    const isNext = this.isMixed && this.depth === 1 && (this.last === 'open' || this.last === 'value');
    return (isNext || (this.depth > 0 && (this.last === 'open' || this.last === 'comma'))) && ((this.last = 'name'), true);
  }

  private sign(sign: string): boolean {
    switch (sign) {
      case '=':
        return this.last === 'id' && ((this.last = 'is'), true);
      case '(':
        if (this.last === 'is') this.isMixed = true;
        if (this.last !== 'is' && this.last !== 'name' && this.last !== 'open' && this.last !== 'comma') return false;
        this.last = 'open';
        return ++this.depth <= DEEPEST;
      case ')':
        if (this.depth === 0 || (this.last !== 'open' && this.last !== 'value')) return false;
        this.depth--;
        this.last = 'value';
        return true;
      case ',':
        return this.depth > 0 && this.last === 'value' && ((this.last = 'comma'), true);
      default:
        return this.depth === 0 && (this.last === 'value' || (this.last === 'name' && this.id === undefined));
    }
  }
}
