import { axisKeys, structureAxis } from '../quantities/axis-names';
import type { DisplayUnits } from '../quantities/display';
import { digitsOfShare, showNumber } from '../quantities/show';
import { symbolOf } from '../results/quantities';
import { FREEDOMS, isPlane, STIFFNESS_WIDTH } from '../stiffness/structure';
import type { Formula, WorkingsBlock, WorkingsStep, WorkingsStepId } from './blocks';
import { momentBlocks, trussBlocks } from './classic-steps';
import type { Dense } from './matrix';
import { tracedIn } from './forces-at';
import { piecesOf } from './pieces';
import { polynomialWords } from './polynomial-words';
import { numberWords, type WorkingsWay } from './number-words';
import { Scaled, type Sensed } from './scaled';
import { WORKINGS_DIGITS } from './units';
import { contributionsTo, type Worked } from './worked';
import type { WorkedMember } from './worked-member';
import { betweenJoints, type Share } from './following';
import { followWords, isHeldStill } from './follow-words';
import { classic as CLASSIC, fixedEndFormulas, formulas, steps as TITLES, words as WORDS } from './words';

/** Entries of K that are opened, at most: with more of them nobody reads on. */
const MOST_ENTRIES = 400;

/** The workings as steps that can be shown, in the reader's units and names of axes; `members`: which of them are shown, all where nothing is said. */
export function workingsStepsOf(
  of: Worked,
  display: DisplayUnits,
  members?: ReadonlySet<string>,
  way: WorkingsWay = 'plain',
): readonly WorkingsStep[] {
  const shown = of.members.filter(({ id }) => !members || members.has(id));
  const told = new Told(of, display, shown, way);
  // Of a part statics alone tells nothing.
  const truss = of.part ? { joints: [], cut: [] } : trussBlocks(of, display);
  const step = (id: WorkingsStepId, blocks: readonly WorkingsBlock[]): WorkingsStep => ({ id, title: TITLES[id], blocks });
  return [
    step('freedoms', told.freedoms()),
    step('lengths', told.lengths()),
    step('members', shown.flatMap((one) => told.member(one))),
    step('fixed-ends', told.fixedEnds()),
    step('joint-loads', told.jointLoads()),
    step('assembly', told.assembly()),
    step('partition', told.partition()),
    step('solution', told.solution()),
    step('axial', told.axial()),
    step('ends', shown.flatMap((one) => told.ends(one))),
    step('pieces', shown.flatMap((one) => told.pieces(one))),
    step('reactions', told.reactions()),
    step('joints', truss.joints),
    step('cut', truss.cut),
    step('three-moments', of.part ? [] : momentBlocks(of, display)),
    step('check', told.check()),
  ].filter(({ blocks }) => blocks.length > 0); // oxfmt-ignore
}

/** What resists beside members, in the parts of an entry. */
const BESIDE = { spring: WORDS.spring, holding: WORDS.heldBy } as const;

const text = (words: string): WorkingsBlock => ({ is: 'text', text: words });
const formula = (one: Formula): WorkingsBlock => ({ is: 'formula', ...one });

/** Writes the steps, of some members or of all. */
class Told extends Scaled {
  /** Freedoms of the members that are shown, by their places: matrices of the structure have these. */
  private readonly places: readonly number[];

  constructor(
    of: Worked,
    display: DisplayUnits,
    private readonly shown: readonly WorkedMember[],
    way: WorkingsWay,
  ) {
    super(of, display, way);
    const met = new Set(shown.flatMap(({ places }) => places));
    this.places = [...of.numbered.all.keys()].filter((i) => shown.length === of.members.length || met.has(i));
  }

  freedoms(): readonly WorkingsBlock[] {
    const { structure, numbered } = this.of;
    const components = structure.active.filter((k) => numbered.all.some(({ component }) => component === k));
    const names = components.map((k) => {
      const { letter } = structureAxis(this.display, axisKeys[k % 3]!);
      return k < 3 ? `u${letter}` : this.turn(letter);
    });
    const stiffness = (spring: number, k: number): string => showNumber(this.scaled(spring, 1, k < 3 ? -1 : 1), WORKINGS_DIGITS);
    const rows = structure.names.nodes.map((name, node) => [
      `${name}${structure.supportRotations.has(node) ? WORDS.ownAxes : ''}`,
      ...components.map((k) => {
        const one = numbered.all[numbered.places[FREEDOMS * node + k]!];
        const follower = numbered.followers.get(FREEDOMS * node + k);
        if (follower) {
          const words = followWords(follower, numbered, this.display);
          if (follower.spring > 0) return `${words} ${WORDS.sprung(stiffness(follower.spring, k))}`;
          return isHeldStill(follower, numbered) ? `${words} ${WORDS.held}` : words;
        }
        if (!one) return '·';
        if (one.state === 'held') return `${one.number} ${one.given ? WORDS.given : WORDS.held}`;
        return one.spring > 0 ? `${one.number} ${WORDS.sprung(stiffness(one.spring, k))}` : String(one.number);
      }),
    ]);
    return [
      ...(this.of.part
        ? [text(WORDS.partOf(this.of.part.chosen.join(', '), this.of.members.length, this.of.following ? 'kept' : 'changing'))]
        : []),
      text(WORDS.units(this.display.force, this.length)),
      ...(this.of.gone ? [text(WORDS.gone(this.of.gone))] : []),
      ...(this.EI === undefined
        ? []
        : [text(WORDS.inEI(structure.names.members[0]!, showNumber(this.scaled(this.EI, 1, 2), WORKINGS_DIGITS)))]),
      { is: 'table', columns: [WORDS.node, ...names], rows, freedoms: structure.names.nodes.map((_, node) => this.lightsOf(node)) }, // oxfmt-ignore
      ...(numbered.followers.size > 0 ? [text(WORDS.shared)] : []),
      ...(this.of.holding.length > 0 ? [text(WORDS.holding(this.of.holding.map((motion) => this.sumOf(motion, 0))))] : []),
      ...(numbered.places.some((place, f) => place < 0 && !numbered.followers.has(f) && structure.active.includes(f % 6))
        ? [text(WORDS.idle)]
        : []),
    ];
  }

  /** The numbers that stand at a node on the sheet. */
  private lightsOf(node: number): readonly string[] {
    const { numbered } = this.of;
    return this.of.structure.active.flatMap((k) => {
      const f = FREEDOMS * node + k;
      const follower = numbered.followers.get(f);
      if (follower) return [followWords(follower, numbered, this.display)];
      const one = numbered.all[numbered.places[f]!];
      return one ? [String(one.number)] : [];
    });
  }

  /** What each member that keeps its length asks of its nodes. */
  lengths(): readonly WorkingsBlock[] {
    const { following, structure } = this.of;
    const shown = new Set(this.shown.map(({ index }) => index));
    const rows = (following?.lengths ?? []).flatMap(({ member, shares, imposed }, i) => {
      if (!shown.has(member)) return [];
      const equation = `${this.sumOf(shares, 1) || '0'} = ${showNumber(this.scaled(imposed, 0, 1), WORKINGS_DIGITS)}`;
      return [[structure.names.members[member]!, equation, following!.telling.includes(i) ? '' : WORDS.tellsNothing]];
    });
    return rows.length === 0
      ? []
      : [formula(formulas.lengths), { is: 'table', columns: [CLASSIC.member, WORDS.lengthKept, ''], rows }];
  }

  /** Movements of freedoms (of 6n) times their factors, added up; those of turns are so many lengths. */
  private sumOf(shares: readonly Share[], ofTurns: 0 | 1): string {
    const sum = shares.map(([f, factor], k) => {
      const sense = structureAxis(this.display, axisKeys[f % 3]!).sign;
      const value = sense * (f % FREEDOMS < 3 ? factor : this.scaled(factor, 0, ofTurns));
      const size = showNumber(Math.abs(value), WORKINGS_DIGITS);
      const word = `${size === '1' ? '' : `${size}·`}${this.freedomName(f)}`;
      return k === 0 ? (value < 0 ? `−${word}` : word) : `${value < 0 ? '−' : '+'} ${word}`;
    });
    return sum.join(' ');
  }

  /** The axial forces that keep lengths. */
  axial(): readonly WorkingsBlock[] {
    const { following } = this.of;
    const kept = this.shown.filter((one) => one.kept !== undefined);
    if (!following || kept.length === 0) return [];
    return [
      text(WORDS.balance),
      formula(formulas.axial),
      ...(following.telling.length < following.lengths.length ? [text(WORDS.sharing)] : []),
      {
        is: 'table',
        columns: [CLASSIC.member, WORDS.keptForce],
        rows: kept.map(({ id, kept: N }) => [id, showNumber(this.scaled(N!, 1, 0), WORKINGS_DIGITS)]),
      },
    ];
  }

  member(one: WorkedMember): readonly WorkingsBlock[] {
    const { structure: s } = this.of;
    const local = this.localOf(one);
    const labels = local.map(({ label }) => label);
    const numbers = this.numbersOf(one);
    const o = STIFFNESS_WIDTH * one.index;
    const isSheared = s.stiffnesses[o + 5] !== Infinity || s.stiffnesses[o + 6] !== Infinity;
    const T = one.T.map((row, i) =>
      row.map(
        (value, j) =>
          local[i]!.sense *
            this.nodalOf(one)[j]!.sense *
            (local[i]!.turns !== this.nodalOf(one)[j]!.turns ? this.scaled(value, 0, 1) : value) +
          0,
      ),
    );
    const joints = betweenJoints(s, one.index);
    return [
      this.about(one),
      ...(one.kept !== undefined ? [text(WORDS.withoutAxial)] : []),
      ...(joints ? [text(WORDS.betweenJoints(showNumber(this.scaled(joints.stiffness, 1, -1), WORKINGS_DIGITS)))] : []),
      formula(
        !isPlane(s) && s.stiffnesses[o + 4] !== 0
          ? formulas.coupled
          : isSheared
            ? formulas.sheared
            : isPlane(s)
              ? formulas.plane
              : formulas.space,
      ),
      this.matrix(this.called(formulas.k, 'stiffness'), labels, labels, this.stiffness(one.k, local)),
      ...one.condensations.flatMap(({ freedom, spring, k }) => {
        const { label, turns } = local[one.own.indexOf(freedom)]!;
        const against =
          spring > 0 ? WORDS.againstSpring(showNumber(this.scaled(spring, 1, turns ? 1 : -1), WORKINGS_DIGITS)) : '';
        return [
          text(WORDS.released(label, against)),
          this.matrix(this.called(formulas.kReleased, 'stiffness'), labels, labels, this.stiffness(k, local)),
        ];
      }),
      this.matrix(formulas.T, labels, numbers, T),
      formula(formulas.turned),
      this.matrix(this.called(formulas.memberK, 'stiffness'), numbers, numbers, this.stiffness(one.K, this.nodalOf(one))),
    ];
  }

  fixedEnds(): readonly WorkingsBlock[] {
    const loaded = this.shown.filter(({ loads }) => loads.length > 0);
    if (loaded.length === 0) return [text(WORDS.noLoads)];
    const kinds = new Set(loaded.flatMap(({ loads }) => loads.map((load) => load.formula)));
    const notes = [
      ...(isPlane(this.of.structure) ? [] : [text(WORDS.otherPlane)]),
      ...(kinds.has('stretch') || kinds.has('point') ? [text(WORDS.shapes)] : []),
    ];
    const all = loaded.flatMap((one) => {
      const local = this.localOf(one);
      const labels = local.map(({ label }) => label);
      const columns = [...one.loads.map((load) => this.loadWords(load)), WORDS.sum, ...(one.condensations.length > 0 ? [WORDS.leftByReleases] : [])];
      const vectors = [...one.loads.map(({ actions }) => one.own.map((e) => actions[e]!)), one.fixed, ...(one.condensations.length > 0 ? [one.released] : [])];
      const told = vectors.map((values) => this.vector(values, local, 'forces').map(([value]) => value!));
      return [
        this.about(one),
        ...[...new Set(one.loads.map((load) => load.formula))].map((kind) => formula(fixedEndFormulas[kind])),
        this.matrix(formulas.f, labels, columns, labels.map((_, i) => told.map((values) => values[i]!))),
      ];
    });
    return [...notes, ...all];
  } // oxfmt-ignore

  jointLoads(): readonly WorkingsBlock[] {
    const { direct, equivalent, feet, loads } = this.of;
    const arePushed = feet.some((one) => one !== 0);
    const parts = [direct, equivalent, ...(arePushed ? [feet] : []), loads];
    const all = parts.map((values) => this.vector(values, this.sensed, 'forces'));
    const columns = [WORDS.direct, WORDS.fromMembers, ...(arePushed ? [WORDS.feet] : []), WORDS.together];
    const values = this.labels.map((_, i) => all.map((vector) => vector[i]![0]!));
    return [formula(formulas.joint), this.matrix(formulas.P, this.labels, columns, values)];
  }

  /** Some rows and columns of a matrix of the structure. */
  private some(
    name: Formula,
    places: readonly number[],
    values: Dense,
    scale: (values: Dense, rows: readonly Sensed[]) => Dense,
  ): WorkingsBlock {
    const labels = places.map((i) => this.labels[i]!);
    const picked = places.map((i) => places.map((j) => values[i]![j]!));
    return this.matrix(name, labels, labels, scale(picked, places.map((i) => this.sensed[i]!))); // oxfmt-ignore
  }

  private get ofWhich(): readonly WorkingsBlock[] {
    return this.shown.length === this.of.members.length ? [] : [text(WORDS.part(this.shown.map(({ id }) => id).join(', ')))];
  }

  /** Of the freedoms that are shown those that are free. */
  private get freePlaces(): readonly number[] {
    return this.places.filter((i) => i < this.of.numbered.free);
  }

  assembly(): readonly WorkingsBlock[] {
    const { K, structure } = this.of;
    const { places } = this;
    const rows: (string | number)[][] = [];
    const freedoms: string[][] = [];
    for (let a = 0; a < places.length && rows.length < MOST_ENTRIES; a++)
      for (let b = a; b < places.length && rows.length < MOST_ENTRIES; b++) {
        const [i, j] = [places[a]!, places[b]!];
        const parts = contributionsTo(this.of, i, j);
        if (parts.length < 2) continue;
        const shown = (value: number): string =>
          numberWords(this.stiffness([[value]], [this.sensed[i]!], [this.sensed[j]!])[0]![0]!, this.way);
        const sum = parts.map(
          ({ member, value }) =>
            `${shown(value)} (${typeof member === 'string' ? BESIDE[member] : structure.names.members[member]!})`,
        );
        freedoms.push([this.labels[i]!, this.labels[j]!]);
        rows.push([`${this.labels[i]!}, ${this.labels[j]!}`, `${sum.join(' + ')} = ${shown(K[i]![j]!)}`]);
      }
    return [
      ...this.ofWhich,
      formula(formulas.assembled),
      this.some(this.called(formulas.K, 'stiffness'), places, K, (values, of) => this.stiffness(values, of)),
      ...(rows.length > 0 ? ([{ is: 'table', columns: [WORDS.entry, WORDS.of], rows, freedoms }] as const) : []),
    ];
  }

  partition(): readonly WorkingsBlock[] {
    if (this.of.numbered.free === 0) return [formula(formulas.parted), text(WORDS.noneFree)];
    const Kff = this.some(this.called(formulas.Kff, 'stiffness'), this.freePlaces, this.of.K, (values, of) =>
      this.stiffness(values, of),
    );
    return [...this.ofWhich, formula(formulas.parted), Kff];
  }

  solution(): readonly WorkingsBlock[] {
    const { inverse, displacements } = this.of;
    const flexible = (values: Dense, of: readonly Sensed[]): Dense =>
      values.map((row, i) =>
        row.map(
          (value, j) => of[i]!.sense * of[j]!.sense * this.flexible(value, 1 - Number(of[i]!.turns) - Number(of[j]!.turns)) + 0,
        ),
      );
    return [
      formula(formulas.solved),
      ...(inverse
        ? [...this.ofWhich, this.some(this.called(formulas.inverse, 'movement'), this.freePlaces, inverse, flexible)]
        : []),
      this.matrix(this.called(formulas.d, 'movement'), this.labels, [''], this.vector(displacements, this.sensed, 'movements')),
    ];
  }

  ends(one: WorkedMember): readonly WorkingsBlock[] {
    const local = this.localOf(one);
    const [d, f, s] = [
      this.vector(one.ends, local, 'movements'),
      this.vector(one.fixed, local, 'forces'),
      this.vector(one.forces, local, 'forces'),
    ];
    const isKept = one.kept !== undefined;
    const axial = this.vector(one.own.map((e) => (e === 0 ? -(one.kept ?? 0) : e === FREEDOMS ? (one.kept ?? 0) : 0)), local, 'forces'); // oxfmt-ignore
    const values = local.map((_, i) => {
      const N = axial[i]![0]!;
      return [d[i]![0]!, s[i]![0]! - f[i]![0]! - N, f[i]![0]!, ...(isKept ? [N] : []), s[i]![0]!];
    });
    const columns = [this.called(formulas.d, 'movement').plain, 'k·d', 'f', ...(isKept ? [WORDS.keptForce] : []), 's'];
    return [this.about(one), formula(isKept ? formulas.keptEnds : formulas.ends), this.matrix(formulas.s, local.map(({ label }) => label), columns, values)]; // oxfmt-ignore
  }

  /** Forces as they run along a member: polynomials of x between the ends of its loads. */
  pieces(one: WorkedMember): readonly WorkingsBlock[] {
    const forces = tracedIn(one.own);
    const symbols = forces.map((force) => symbolOf(isPlane(this.of.structure) ? 'plane' : 'space', force, this.display));
    const place = (x: number): string => showNumber(this.scaled(x, 0, 1), WORKINGS_DIGITS);
    const rows = piecesOf(one).map(({ from, to, forces: all }) => [
      `${place(from)} … ${place(to)}`,
      ...forces.map((force) => {
        const lengths = force.startsWith('M') || force === 'T' ? 1 : 0;
        return polynomialWords(all[force]!.map((value, power) => this.scaled(value, 1, lengths - power)));
      }),
    ]);
    return [this.about(one), { is: 'table', columns: ['x', ...symbols], rows }];
  }

  reactions(): readonly WorkingsBlock[] {
    const { reactions, numbered, followed } = this.of;
    const held = numbered.all.flatMap(({ state, spring, given }, i) => (!given && (state === 'held' || spring > 0) ? [i] : []));
    if (held.length + followed.size === 0) return [];
    const values = this.vector(reactions, this.sensed, 'forces');
    const springs = [...followed].map(([f, { reaction }]) => ({
      name: this.freedomName(f),
      value: this.ofFreedom(reaction, f, 'forces'),
    }));
    const names = [...held.map((i) => this.labels[i]!), ...springs.map(({ name }) => name)];
    const all = [...held.map((i) => values[i]!), ...springs.map(({ value }) => [value])];
    return [
      formula(formulas.reactions),
      ...(numbered.all.some(({ spring }) => spring > 0) || followed.size > 0 ? [formula(formulas.springs)] : []),
      this.matrix(formulas.R, names, [''], all),
    ];
  }

  check(): readonly WorkingsBlock[] {
    const { differs } = this.of;
    const worst = Math.max(differs.displacements, differs.ends, differs.reactions);
    const said = (share: number): string => WORDS.digits(digitsOfShare(share));
    const rows = (['displacements', 'ends', 'reactions'] as const).map((key) => [WORDS[key], said(differs[key])]);
    return [text(WORDS.agrees(said(worst))), { is: 'table', columns: ['', WORDS.agreesTo], rows }];
  }
}
