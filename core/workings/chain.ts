import type { Effect } from '../influence/effect';
import { axisKeys, structureAxis } from '../quantities/axis-names';
import type { DisplayUnits } from '../quantities/display';
import { showNumber } from '../quantities/show';
import { symbolOf } from '../results/quantities';
import { FREEDOMS, isPlane } from '../stiffness/structure';
import type { WorkingsBlock, WorkingsStepId } from './blocks';
import { FROM_ENDS, isTraced, upTo, type Traced } from './forces-at';
import { sharesOf } from './freedoms';
import { Scaled } from './scaled';
import { numberWords, type WorkingsWay } from './number-words';
import { WORKINGS_DIGITS } from './units';
import type { Worked } from './worked';
import type { WorkedMember } from './worked-member';
import { chain as WORDS, chainFormulas } from './words';

/** One link of the chain behind a number: what it is the sum of, and the step of the workings in which all of that stands. */
export interface ChainLink {
  readonly title: string;
  readonly blocks: readonly WorkingsBlock[];
  readonly leads: { readonly step: WorkingsStepId; readonly member?: string };
}

/** The number itself, as the sum that its first link shows (SI, in the sense of the file), and its chain down to the loads. */
export interface Chain {
  readonly title: string;
  readonly value: number;
  readonly links: readonly ChainLink[];
}

/** Terms of one sum: with more of them nobody reads on. */
const MOST_TERMS = 12;

/** Where a number of the results comes from: piece, end forces, movements, displacements, loads; each link the sum of what the next one tells. Why not, where it has no chain. */
export function chainOf(of: Worked, effect: Effect, display: DisplayUnits, way: WorkingsWay = 'plain'): Chain | string {
  const told = new Links(of, display, way);
  if (effect.kind !== 'along') return told.nodal(effect);
  const { quantity } = effect;
  return isTraced(quantity) ? told.along({ ...effect, quantity }) : WORDS.deflection;
}

/** Something that is added: how it is told, and how much it is. */
interface Term {
  readonly words: string;
  readonly value: number;
}
const sumOf = (terms: readonly Term[]): number => terms.reduce((sum, { value }) => sum + value, 0);
const isThere = (value: number, beside: number): boolean => Math.abs(value) > 1e-12 * Math.max(1e-300, beside);

class Links extends Scaled {
  along({ member: m, at: x, quantity }: Effect & { kind: 'along'; quantity: Traced }): Chain {
    const one = this.of.members[m]!;
    const piece = this.piece(one, quantity, x);
    const rows = Object.keys(FROM_ENDS[quantity]).map((action) => one.own.indexOf(Number(action)));
    const columns = one.own.flatMap((_, b) => (rows.some((a) => a >= 0 && one.k[a]![b] !== 0) ? [b] : []));
    const used = this.placesBehind(one, columns);
    const symbol = symbolOf(isPlane(this.of.structure) ? 'plane' : 'space', quantity, this.display);
    return {
      title: WORDS.along(symbol, one.id, this.shown(x, 0, 1)),
      value: piece.value,
      links: [
        { title: WORDS.piece, leads: { step: 'ends', member: one.id }, blocks: piece.blocks },
        {
          title: WORDS.ends,
          leads: { step: 'ends', member: one.id },
          blocks: this.ends(
            one,
            rows.filter((a) => a >= 0),
          ),
        },
        { title: WORDS.movements(one.id), leads: { step: 'members', member: one.id }, blocks: this.movements(one, columns) },
        ...this.displacements(used),
      ],
    };
  }

  nodal({ kind, node, component }: Effect & { kind: 'reaction' | 'movement' }): Chain | string {
    const { numbered, structure, displacements, reactions, followed } = this.of;
    const turn = structure.supportRotations.get(node);
    const half = component < 3 ? 0 : 3;
    // In axes of its own a support has a part of each of them.
    const shares = [0, 1, 2].map((own) => (turn ? turn[3 * own + component - half]! : own === component - half ? 1 : 0));
    let besides = 0;
    // A spring whose freedom follows others pushes by what these move.
    const springs: number[] = [];
    const parts = shares.flatMap((share, own) => {
      if (Math.abs(share) <= 1e-12) return [];
      const f = 6 * node + half + own;
      if (kind === 'movement') besides += share * (numbered.followers.get(f)?.besides ?? 0);
      if (kind === 'reaction' && numbered.places[f]! >= 0) return [{ place: numbered.places[f]!, share }];
      if (kind === 'reaction') {
        if (!followed.has(f)) return [];
        springs.push(f);
        besides += share * followed.get(f)!.reaction;
        return [];
      }
      return sharesOf(numbered, f).map(([place, factor]) => ({ place, share: share * factor }));
    });
    if (parts.length + springs.length === 0) return WORDS.idle;
    const name = structure.names.nodes[node]!;
    const letter = structureAxis(this.display, axisKeys[component % 3]!).letter;
    const values = kind === 'reaction' ? reactions : displacements;
    const value = parts.reduce((sum, { place, share }) => sum + share * values[place]!, besides);
    const turned = turn ? [{ is: 'text', text: WORDS.turned(name) } as const] : [];
    const title = WORDS.nodal(kind, component < 3 ? letter : this.turn(letter), name);
    const places = parts.map(({ place }) => place);
    if (kind === 'movement') return { title, value, links: this.displacements(places, turned) };
    const behind = new Set([
      ...places.flatMap((i) => this.columnsOf(i)),
      ...springs.flatMap((f) => sharesOf(numbered, f).map(([place]) => place)),
    ]);
    return {
      title,
      value,
      links: [
        {
          title: WORDS.reactions,
          leads: { step: 'reactions' },
          blocks: [...turned, ...(places.length > 0 ? this.reactions(places) : []), ...springs.map((f) => this.ofSpring(f))],
        },
        ...this.displacements([...behind]),
      ],
    };
  }

  /** What the end forces and the loads up to x make of it. */
  private piece(one: WorkedMember, quantity: Traced, x: number): { value: number; blocks: readonly WorkingsBlock[] } {
    const lengths = quantity.startsWith('M') || quantity === 'T' ? 1 : 0;
    const local = this.localOf(one);
    const terms: Term[] = Object.entries(FROM_ENDS[quantity]).flatMap(([action, factor]) => {
      const a = one.own.indexOf(Number(action));
      if (a < 0) return [];
      const { label, sense } = local[a]!;
      const [force, turns] = [one.forces[a]!, local[a]!.turns];
      const value = factor === 'x' ? force * x : factor * force;
      // The reader counts the action in his sense, the quantity has its own.
      const sign = (factor === 'x' ? 1 : factor) * sense < 0 ? '−' : '';
      const size = showNumber(sense * this.scaled(force, 1, Number(turns)), WORKINGS_DIGITS);
      return [
        {
          words: `${sign}${label}${factor === 'x' ? '·x' : ''}: ${sign}(${size})${factor === 'x' ? ` · ${this.shown(x, 0, 1)}` : ''}`,
          value,
        },
      ];
    });
    for (const load of one.loads) {
      const value = upTo(load, quantity, x, one.L);
      if (value !== 0) terms.push({ words: this.loadWords(load), value });
    }
    const symbol = symbolOf(isPlane(this.of.structure) ? 'plane' : 'space', quantity, this.display);
    return {
      value: sumOf(terms),
      blocks: [
        { is: 'formula', ...chainFormulas[quantity] },
        this.table(WORDS.term, terms, (value) => this.shown(value, 1, lengths), symbol),
      ],
    };
  }

  /** Rows of s = k·d + f, each opened. */
  private ends(one: WorkedMember, rows: readonly number[]): readonly WorkingsBlock[] {
    const local = this.localOf(one);
    return [
      { is: 'formula', ...chainFormulas.ends },
      ...rows.map((a): WorkingsBlock => {
        const { turns, sense, label } = local[a]!;
        const shown = (value: number): string => showNumber(sense * this.scaled(value, 1, Number(turns)), WORKINGS_DIGITS);
        const most = Math.max(...one.k[a]!.map((k, b) => Math.abs(k * one.ends[b]!)), Math.abs(one.fixed[a]!));
        const terms = one.k[a]!.flatMap((k, b): Term[] => {
          if (!isThere(k * one.ends[b]!, most)) return [];
          const stiffness = this.stiffness([[k]], [local[a]!], [local[b]!])[0]![0]!;
          const moved = this.vector([one.ends[b]!], [local[b]!], 'movements')[0]![0]!;
          return [
            {
              words: `k·${local[b]!.label}: ${numberWords(stiffness, this.way)} · ${numberWords(moved, this.way)}`,
              value: k * one.ends[b]!,
            },
          ];
        });
        if (one.fixed[a] !== 0) terms.push({ words: WORDS.fixedEnd, value: one.fixed[a]! });
        if (one.kept !== undefined && one.own[a]! % 6 === 0)
          terms.push({ words: WORDS.keptLength, value: one.own[a] === 0 ? -one.kept : one.kept });
        return this.table(WORDS.term, terms, shown, label);
      }),
    ];
  }

  /** How the ends move along the member’s axes as its nodes do. */
  private movements(one: WorkedMember, columns: readonly number[]): readonly WorkingsBlock[] {
    const { displacements } = this.of;
    const [local, nodal, numbers] = [this.localOf(one), this.nodalOf(one), this.numbersOf(one)];
    const rows = columns.map((b) => {
      const moved = (value: number): number => this.vector([value], [local[b]!], 'movements')[0]![0]!;
      let byNodes = 0;
      const terms = one.T[b]!.flatMap((t, j) => {
        const place = one.places[j]!;
        if (Math.abs(t) < 1e-12 || place < 0) return [];
        byNodes += t * displacements[place]!;
        const arm = local[b]!.turns !== nodal[j]!.turns ? this.scaled(t, 0, 1) : t;
        const factor = showNumber(local[b]!.sense * nodal[j]!.sense * arm, WORKINGS_DIGITS);
        return [
          `${factor} · ${showNumber(this.vector([displacements[place]!], [nodal[j]!], 'movements')[0]![0]!, WORKINGS_DIGITS)} (${numbers[j]})`,
        ];
      });
      const isReleased = Math.abs(byNodes - one.ends[b]!) > 1e-12 * Math.max(Math.abs(byNodes), Math.abs(one.ends[b]!));
      const own = showNumber(moved(one.ends[b]!), WORKINGS_DIGITS);
      return [
        local[b]!.label,
        terms.join(' + ') || '0',
        isReleased ? WORDS.released(showNumber(moved(byNodes), WORKINGS_DIGITS), own) : own,
      ];
    });
    return [
      { is: 'formula', ...chainFormulas.movements },
      { is: 'table', columns: ['d', WORDS.term, ''], rows },
    ];
  }

  /** Freedoms of the structure that these movements of a member’s ends come from. */
  private placesBehind(one: WorkedMember, columns: readonly number[]): readonly number[] {
    return [
      ...new Set(
        columns.flatMap((b) => one.T[b]!.flatMap((t, j) => (Math.abs(t) < 1e-12 || one.places[j]! < 0 ? [] : [one.places[j]!]))),
      ),
    ];
  }

  private columnsOf(i: number): number[] {
    return this.of.K[i]!.flatMap((k, j) => (k !== 0 ? [j] : []));
  }

  private reactions(places: readonly number[]): readonly WorkingsBlock[] {
    const { K, displacements, loads, numbered, reactions, imposed } = this.of;
    return [
      { is: 'formula', ...chainFormulas.reactions },
      ...places.map((i): WorkingsBlock => {
        const { spring, state } = numbered.all[i]!;
        const shown = (value: number): string => this.force(value, i);
        const name = `R ${this.labels[i]!}`;
        if (state !== 'held')
          return this.table(WORDS.term, [{ words: WORDS.spring(this.entry(i, i, spring), this.moved(imposed[i]! - displacements[i]!, i)), value: reactions[i]! }], shown, name); // oxfmt-ignore
        const terms = this.columnsOf(i).map((j): Term => ({
          words: `${this.entry(i, j, K[i]![j]!)} · ${this.moved(displacements[j]!, j)} (${this.labels[j]!})`,
          value: K[i]![j]! * displacements[j]!,
        }));
        const moving = terms.filter(({ value }) => value !== 0);
        if (loads[i] !== 0) moving.push({ words: WORDS.lessLoad, value: -loads[i]! });
        return this.table(WORDS.term, moving, shown, name);
      }),
    ];
  }

  /** What a spring pushes with whose freedom follows others. */
  private ofSpring(f: number): WorkingsBlock {
    const { structure, moved, followed } = this.of;
    const { reaction, foot } = followed.get(f)!;
    const turns = f % FREEDOMS >= 3;
    const stiffness = numberWords(this.scaled(structure.restraints[f]!, 1, turns ? 1 : -1), this.way);
    const said = numberWords(this.ofFreedom(foot - moved[f]!, f, 'movements'), this.way);
    const shown = (value: number): string => showNumber(this.ofFreedom(value, f, 'forces'), WORKINGS_DIGITS);
    return this.table(WORDS.term, [{ words: WORDS.spring(stiffness, said), value: reaction }], shown, `R ${this.freedomName(f)}`);
  }

  /** Displacements as K⁻¹ makes them of the loads, and the loads. */
  private displacements(places: readonly number[], before: readonly WorkingsBlock[] = []): readonly ChainLink[] {
    const { numbered, inverse, displacements, loads, imposed, K } = this.of;
    const free = places.filter((i) => i < numbered.free).sort((a, b) => a - b);
    const held = places.filter((i) => i >= numbered.free && imposed[i] !== 0);
    const side = loads
      .slice(0, numbered.free)
      .map((load, i) => load - K[i]!.reduce((sum, k, j) => sum + (j >= numbered.free ? k * imposed[j]! : 0), 0));
    const blocks: WorkingsBlock[] = [
      ...before,
      ...(held.length > 0
        ? [
            {
              is: 'text',
              text: WORDS.imposed(held.map((i) => `${this.labels[i]!}: ${this.moved(imposed[i]!, i)}`).join(', ')),
            } as const,
          ]
        : []),
      ...(free.length > 0
        ? [{ is: 'formula', ...(inverse ? chainFormulas.inverse : chainFormulas.solved) } as const]
        : [{ is: 'text', text: WORDS.noneFree } as const]),
      ...(inverse
        ? free.map((i): WorkingsBlock => {
            const most = Math.max(...inverse[i]!.map((one, j) => Math.abs(one * side[j]!)));
            const terms = inverse[i]!.flatMap((one, j): Term[] =>
              isThere(one * side[j]!, most)
                ? [
                    {
                      words: `${this.flexibility(i, j, one)} · ${this.force(side[j]!, j)} (${this.labels[j]!})`,
                      value: one * side[j]!,
                    },
                  ]
                : [],
            );
            return this.table(WORDS.term, terms, (value) => this.moved(value, i), `d ${this.labels[i]!}`);
          })
        : free.length > 0
          ? [
              {
                is: 'table',
                columns: ['d', ''],
                rows: free.map((i) => [this.labels[i]!, this.moved(displacements[i]!, i)]),
              } as const,
            ]
          : []),
    ];
    const behind =
      inverse && free.length > 0 ? [...Array(numbered.free).keys()].filter((j) => free.some((i) => inverse[i]![j] !== 0)) : free;
    return [{ title: WORDS.displacements, leads: { step: 'solution' }, blocks }, ...this.loads(behind)];
  }

  /** Loads of joints: on nodes, and what members hand on. */
  private loads(places: readonly number[]): readonly ChainLink[] {
    const { direct, members, loads, feet } = this.of;
    const rows = places.flatMap((i): string[][] => {
      if (loads[i] === 0) return [];
      const terms: string[] = direct[i] === 0 ? [] : [WORDS.onNode(this.force(direct[i]!, i))];
      for (const one of members) {
        let part = 0;
        one.places.forEach((place, a) => (part += place === i ? one.joint[a]! : 0));
        if (part !== 0) terms.push(WORDS.fromMember(this.force(part, i), one.id));
      }
      if (feet[i] !== 0) terms.push(WORDS.fromFoot(this.force(feet[i]!, i)));
      return [[this.labels[i]!, terms.join(' + '), this.force(loads[i]!, i)]];
    });
    if (rows.length === 0) return [];
    return [{ title: WORDS.loads, leads: { step: 'joint-loads' }, blocks: [{ is: 'formula', ...chainFormulas.joint }, { is: 'table', columns: ['P', WORDS.term, ''], rows }] }]; // oxfmt-ignore
  }

  private table(head: string, terms: readonly Term[], shown: (value: number) => string, name: string): WorkingsBlock {
    const kept =
      terms.length > MOST_TERMS
        ? [...terms].sort((a, b) => Math.abs(b.value) - Math.abs(a.value)).slice(0, MOST_TERMS - 1)
        : terms;
    const rest = terms.filter((one) => !kept.includes(one));
    const rows = kept.map(({ words, value }) => [words, shown(value)]);
    if (rest.length > 0) rows.push([WORDS.others(rest.length), shown(sumOf(rest))]);
    return { is: 'table', columns: [head, name], rows: [...rows, [WORDS.sum, shown(sumOf(terms))]] };
  }

  private shown(value: number, forces: number, lengths: number): string {
    return showNumber(this.scaled(value, forces, lengths), WORKINGS_DIGITS);
  }

  private force(value: number, i: number): string {
    return showNumber(this.vector([value], [this.sensed[i]!], 'forces')[0]![0]!, WORKINGS_DIGITS);
  }

  private moved(value: number, i: number): string {
    return numberWords(this.vector([value], [this.sensed[i]!], 'movements')[0]![0]!, this.way);
  }

  private entry(i: number, j: number, value: number): string {
    return numberWords(this.stiffness([[value]], [this.sensed[i]!], [this.sensed[j]!])[0]![0]!, this.way);
  }

  private flexibility(i: number, j: number, value: number): string {
    const [a, b] = [this.sensed[i]!, this.sensed[j]!];
    return numberWords(a.sense * b.sense * this.flexible(value, 1 - Number(a.turns) - Number(b.turns)), this.way);
  }
}
