import type { Factor } from '../../linear-algebra/factor';
import { FixedPoint } from '../../linear-algebra/fixed-point';
import type { Kernels } from '../../linear-algebra/kernels';
import { maxNorm } from '../../linear-algebra/max-norm';
import type { StructuralResponse } from '../../results/results';
import { MEMBER_FREEDOMS } from '../../stiffness/structure';
import type { System } from '../factorise';
import type { Lean } from './along';
import { Columns } from './leaning';
import { EXACT, Pressing } from './pressing';
import { recoverLeaning, type DisplacedResponse } from './recover-leaning';

/** Axial forces are found anew until they change by less than this part of the largest one, or so often. */
const SETTLED = 1e-9;
const MOST_ROUNDS = 40;
/** Where they change by less than this, members lean on a line through what is known of them, and in full at the end. */
const CLOSE = 1e-3;
/** On such a line they have settled where they change by so many times as much. */
const NEARLY = 10;
/** So much of the right-hand side is left, beside the last change, of what only leads on. */
const ROUGH = 1e-3;

/** What the last outcome of a system has left for the next one: the factor from which it begins, and room for its members. */
export interface Leading {
  factor?: Factor | undefined;
  columns?: Columns;
}

interface Pressed {
  readonly first: StructuralResponse;
  readonly leanOf: (m: number) => Lean;
}

/**
 * The response of the displaced structure beside that of the first order: the axial forces that act on it are those that it has. 'beyond' where those of the first
 * order are more than it can bear, 'unsettled' where there is no end to their changing.
 */
export function displaced(
  system: System,
  supported: Uint8Array,
  kernels: Kernels,
  { leading = {}, ...pressed }: Pressed & { readonly leading?: Leading | undefined },
): DisplacedResponse | 'beyond' | 'unsettled' {
  const { factor } = leading;
  const isOfUse = factor?.isCurrent() && factor.kernels === kernels && factor.analysis === system.numbering.analysis;
  const found = (begin: Factor | undefined): ReturnType<typeof displaced> => {
    const acting = { response: pressed.first, leanOf: pressed.leanOf };
    const columns = (leading.columns ??= new Columns(system.structure, system.matrices, acting));
    columns.press(acting);
    const pressing = new Pressing(system, columns, kernels, begin);
    const response = settled(system, supported, pressed.first, columns, pressing);
    leading.factor = pressing.lastFactor;
    return response;
  };
  const soon = isOfUse ? found(factor) : undefined;
  // What began with the factor of another knows no forces under which it stood, to go back to: only a factor of its own says that there is none.
  return soon && typeof soon !== 'string' ? soon : found(undefined);
}

function settled(
  { structure, matrices }: System,
  supported: Uint8Array,
  first: StructuralResponse,
  columns: Columns,
  pressing: Pressing,
): DisplacedResponse | 'beyond' | 'unsettled' {
  const members = structure.lengths.length;
  const largest = maxNorm(Float64Array.from({ length: members }, (_, m) => first.ends[MEMBER_FREEDOMS * m + 6]!));
  const search = new FixedPoint();
  let more: Float64Array = new Float64Array(members);
  /** The last axial forces under which it stood, and whether its factor is near enough to lead on from there. */
  let sure: Float64Array | undefined;
  let isNear = pressing.lastFactor !== undefined;
  /** By how much the axial forces have changed, beside the largest one, and whether that was little enough where members lean on a line. */
  let [change, isLast] = [1, false];
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const isOnLine = isNear && !isLast && change <= CLOSE && pressing.leanNear(more);
    const isLeaning = isOnLine || pressing.lean({ more, factor: 1 });
    const soon = isLeaning && isNear && !isLast ? pressing.addedSoon(Math.max(EXACT, ROUGH * change)) : undefined;
    if (isOnLine && !soon) {
      isNear = false;
      continue;
    }
    let exact = isLeaning && !soon ? pressing.added() : undefined;
    const moved = soon ?? exact?.displacements;
    if (moved) {
      const next = columns.axialForces(pressing.leaning, moved);
      const differs = maxNorm(next.map((force, m) => force - more[m]!));
      // What a line leads to is found once more in full, and changes by much less then.
      const isSettled = differs <= (isOnLine ? NEARLY : 1) * SETTLED * largest;
      change = largest === 0 ? 0 : differs / largest;
      isLast = isSettled && isOnLine;
      if (isLast) {
        more = next;
        continue;
      }
      // Whether it is stable only a factor of its own can tell.
      if (isSettled) exact ??= pressing.added();
      if (isSettled && exact) {
        const added = pressing.responseTo(exact, supported);
        return recoverLeaning({ structure, matrices }, first, { columns, leaning: pressing.leaning, added });
      }
      if (!isSettled) {
        if (exact) sure = more;
        isNear = true;
        more = search.next(more, next);
        continue;
      }
    }
    // A step that went too far is taken back by half.
    if (!sure) return 'beyond';
    more = more.map((force, m) => (force + sure![m]!) / 2);
    [isNear, isLast] = [false, false];
  }
  return 'unsettled';
}
