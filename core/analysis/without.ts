import { translations } from '../model/model';
import { FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';
import { jointAt } from '../results/slack';
import type { Named } from './one-sided';

/** A structure while some of what acts one way (by place) has let go: it has nothing of its stiffness. Of a joint with a gap each way is half of what both are. */
export function without(s: Structure, { cases, devices }: Named, gone: readonly number[]): Structure {
  if (gone.length === 0) return s;
  const [stiffnesses, restraints, releases] = [s.stiffnesses.slice(), s.restraints.slice(), s.releases.slice()];
  for (const i of gone) {
    const [one, { place }] = [cases[i]!, devices[i]!];
    if (one.of === 'member') stiffnesses[STIFFNESS_WIDTH * place] = 0;
    else if (one.of === 'support') restraints[FREEDOMS * place + translations.indexOf(one.along)] = 0;
    else releases[jointAt(one, place)] = Math.max(0, releases[jointAt(one, place)]! - one.spring);
  }
  return { ...s, stiffnesses, restraints, releases };
}
