import { axisKeys, memberAxis, structureAxis } from '../quantities/axis-names';
import type { DisplayUnits } from '../quantities/display';
import { showNumber, showQuantity } from '../quantities/show';
import { BEND_EI, bendingOf } from '../stiffness/bending';
import { FREEDOMS, isPlane } from '../stiffness/structure';
import type { Formula, WorkingsBlock } from './blocks';
import type { FixedEnds } from './fixed-ends';
import type { Dense } from './matrix';
import type { WorkingsWay } from './number-words';
import { scaledIn, WORKINGS_DIGITS } from './units';
import type { Worked } from './worked';
import type { WorkedMember } from './worked-member';
import { words as WORDS } from './words';

/** How a freedom is counted: whether it turns, and in which sense the reader counts it. */
export interface Sensed {
  readonly turns: boolean;
  readonly sense: 1 | -1;
}

/** Writes numbers in one unit of force, one of length and radians, and with the senses in which readers count. */
export class Scaled {
  protected readonly length: string;
  protected readonly labels: readonly string[];
  protected readonly sensed: readonly Sensed[];
  /** Of the first member, N·m²: the common factor of stiffness and movement, where there is one. */
  protected readonly EI: number | undefined;

  constructor(
    protected readonly of: Worked,
    protected readonly display: DisplayUnits,
    protected readonly way: WorkingsWay = 'plain',
  ) {
    this.EI = way === 'in EI' ? bendingOf(of.structure, 0)[BEND_EI]! : undefined;
    this.length = display.length;
    this.scaled = scaledIn(display);
    const all = of.numbered.all;
    this.labels = all.map(({ number }) => String(number));
    this.sensed = all.map(({ component }) => ({
      turns: component >= 3,
      sense: structureAxis(display, axisKeys[component % 3]!).sign,
    }));
  }

  /** What a quantity of so many forces and lengths is in the units of the workings. */
  protected readonly scaled: (value: number, forces: number, lengths: number) => number;

  protected matrix(name: Formula, rows: readonly string[], columns: readonly string[], values: Dense): WorkingsBlock {
    return { is: 'matrix', name, rows, columns, values, ...(this.way !== 'plain' && { way: this.way }) };
  }

  /** A stiffness between components: force over length, force, or force times length. */
  protected stiffness(values: Dense, rows: readonly Sensed[], columns = rows): Dense {
    return values.map((row, i) =>
      row.map(
        (value, j) =>
          rows[i]!.sense * columns[j]!.sense * this.stiff(value, Number(rows[i]!.turns) + Number(columns[j]!.turns) - 1) + 0,
      ),
    );
  }

  /** A vector of forces and couples, or of movements and turns. */
  protected vector(values: readonly number[], rows: readonly Sensed[], of: 'forces' | 'movements'): Dense {
    return values.map((value, i) => {
      const { turns, sense } = rows[i]!;
      return [sense * (of === 'forces' ? this.scaled(value, 1, Number(turns)) : this.moving(value, turns ? 0 : 1)) + 0];
    });
  }

  /** A stiffness of a force over so many lengths less, without its EI. */
  private stiff(value: number, lengths: number): number {
    return this.EI === undefined ? this.scaled(value, 1, lengths) : this.scaled(value / this.EI, 0, lengths - 2);
  }

  /** A length or an angle, times EI. */
  private moving(value: number, lengths: number): number {
    return this.EI === undefined ? this.scaled(value, 0, lengths) : this.scaled(value * this.EI, 1, lengths + 2);
  }

  /** A movement over a force, times EI. */
  protected flexible(value: number, lengths: number): number {
    return this.EI === undefined ? this.scaled(value, -1, lengths) : this.scaled(value * this.EI, 0, lengths + 2);
  }

  /** A stiffness, or a movement, as it is called beside the common factor. */
  protected called({ tex, plain }: Formula, what: 'stiffness' | 'movement'): Formula {
    if (this.EI === undefined) return { tex, plain };
    return what === 'stiffness'
      ? { tex: `\\tfrac{1}{EI}\\,${tex}`, plain: `${plain}/EI` }
      : { tex: `EI\\,${tex}`, plain: `EI·${plain}` };
  }

  protected localOf({ own }: WorkedMember): readonly (Sensed & { readonly label: string })[] {
    return own.map((e) => {
      const { letter, sign } = memberAxis(this.display, axisKeys[e % 3]!);
      const turns = e % 6 >= 3;
      return { turns, sense: sign, label: `${turns ? this.turn(letter) : letter}${e < 6 ? '₁' : '₂'}` };
    });
  }

  /** Numbers of the freedoms that a member's rows stand for. */
  protected numbersOf({ places }: WorkedMember): readonly string[] {
    return places.map((i) => (i < 0 ? '·' : this.labels[i]!));
  }

  protected nodalOf({ own, places }: WorkedMember): readonly Sensed[] {
    return places.map((place, j) => {
      if (place >= 0) return this.sensed[place]!;
      const e = own[j]!;
      return { turns: e % 6 >= 3, sense: structureAxis(this.display, axisKeys[e % 3]!).sign };
    });
  }

  protected about({ id, L }: WorkedMember): WorkingsBlock {
    return { is: 'text', text: WORDS.member(id, showQuantity(L, this.length, WORKINGS_DIGITS)), member: id };
  }

  /** A force or a movement along a freedom of a node (of 6n). */
  protected ofFreedom(value: number, f: number, of: 'forces' | 'movements'): number {
    const sense = structureAxis(this.display, axisKeys[f % 3]!).sign;
    return this.vector([value], [{ turns: f % FREEDOMS >= 3, sense }], of)[0]![0]!;
  }

  /** A freedom of a node (of 6n), by its name and its node: `ux 3`. */
  protected freedomName(f: number): string {
    const { letter } = structureAxis(this.display, axisKeys[f % 3]!);
    return `${f % FREEDOMS < 3 ? `u${letter}` : this.turn(letter)} ${this.of.structure.names.nodes[Math.floor(f / FREEDOMS)]!}`;
  }

  /** In the plane there is one. */
  protected turn(letter: string): string {
    return isPlane(this.of.structure) ? 'θ' : `θ${letter}`;
  }

  /** What a load is: its sizes and where it lies. */
  protected loadWords({ formula: kind, axis, a, b, at, to }: FixedEnds): string {
    if (kind === 'follows') return WORDS.follows;
    if (kind === 'strain') return `ε₀ ${showNumber(at, WORKINGS_DIGITS)}, κ₀ ${showNumber(to, WORKINGS_DIGITS)}`;
    const { letter, sign } = memberAxis(this.display, axisKeys[axis % 3]!);
    if (kind === 'gives') {
      const [turns, end] = [axis >= 3, a > 0 ? '₂' : '₁'];
      const by = showNumber(sign * this.scaled(at, 0, turns ? 0 : 1), WORKINGS_DIGITS);
      return WORDS.gives(`${turns ? this.turn(letter) : letter}${end}`, by);
    }
    const size = (value: number, lengths: number): string => showNumber(sign * this.scaled(value, 1, lengths), WORKINGS_DIGITS);
    const place = (x: number): string => showNumber(this.scaled(x, 0, 1), WORKINGS_DIGITS);
    if (a === b) return `${axis < 3 ? 'F' : 'M'}${letter} ${size(at, axis < 3 ? 0 : 1)}, a ${place(a)}`;
    const both = at === to ? size(at, -1) : `${size(at, -1)} … ${size(to, -1)}`;
    return `q${letter} ${both}${kind === 'uniform' || kind === 'linear' ? '' : `, ${place(a)} … ${place(b)}`}`;
  }
}
