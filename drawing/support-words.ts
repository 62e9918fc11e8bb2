import type { Restraint, Support } from '@rigid-beam/core/model/model';
import { showNumber } from '@rigid-beam/core/quantities/show';

const held = (restraint: Restraint | undefined): boolean => restraint === 'fixed';

/** What a support does, as it is said: the textbook's name where it has one, else what is held. */
export function supportWords(support: Support, space: 'plane' | 'space'): string {
  return (space === 'plane' ? inPlane(support) : inSpace(support)) ?? directions(support, space);
}

function inPlane({ ux, uy, rz, angle }: Support): string | undefined {
  if ([ux, uy, rz].some((one) => typeof one === 'number')) return undefined;
  const turn = angle ?? 0;
  const along = (axis: 'X' | 'Y'): string =>
    turn === 0 ? (axis === 'X' ? 'level' : 'upwards') : `at ${showNumber(axis === 'X' ? turn : turn + 90)}°`;
  switch (`${held(ux)} ${held(uy)} ${held(rz)}`) {
    case 'true true true':
      return 'fixed';
    case 'true true false':
      return 'pinned';
    case 'false true false':
      return `rolls ${along('X')}`;
    case 'true false false':
      return `rolls ${along('Y')}`;
    case 'false true true':
      return `slides ${along('X')}, does not turn`;
    case 'true false true':
      return `slides ${along('Y')}, does not turn`;
    default:
      return undefined;
  }
}

function inSpace({ ux, uy, uz, rx, ry, rz }: Support): string | undefined {
  if (![ux, uy, uz].every(held)) return undefined;
  if ([rx, ry, rz].every(held)) return 'fixed';
  return [rx, ry, rz].every((one) => one === undefined || one === 'free') ? 'pinned' : undefined;
}

const AXES = { ux: 'X', uy: 'Y', uz: 'Z', rx: 'about X', ry: 'about Y', rz: 'about Z' } as const;

function directions(support: Support, space: 'plane' | 'space'): string {
  const own = space === 'plane' ? (['ux', 'uy', 'rz'] as const) : (Object.keys(AXES) as (keyof typeof AXES)[]);
  const list = (what: (restraint: Restraint | undefined) => boolean): string =>
    own
      .filter((freedom) => what(support[freedom]))
      .map((freedom) => (space === 'plane' && freedom === 'rz' ? 'turning' : AXES[freedom]))
      .join(', ');
  const [fixed, sprung] = [list(held), list((one) => typeof one === 'number')];
  return [fixed && `holds ${fixed}`, sprung && `spring ${sprung}`].filter(Boolean).join('; ') || 'holds nothing';
}
