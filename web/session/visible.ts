import type { Model } from '@rigid-beam/core/model/model';
import { subjectKey, type Subject } from '@rigid-beam/drawing/display-list';

/** Of some things those that can be seen: not hidden themselves, nor on a member or node that is. */
export function visibleOf(subjects: readonly Subject[], model: Model, hidden: ReadonlySet<string>): readonly Subject[] {
  if (hidden.size === 0) return subjects;
  const onHidden = new Set(
    model.loads.flatMap((load) =>
      ('member' in load && hidden.has(`member:${load.member}`)) || ('node' in load && hidden.has(`node:${load.node}`))
        ? [load.id]
        : [],
    ),
  );
  return subjects.filter((one) => {
    if (one.kind === 'support') return !hidden.has(`node:${one.id}`);
    if (one.kind === 'load') return !onHidden.has(one.id);
    return !hidden.has(subjectKey(one));
  });
}
