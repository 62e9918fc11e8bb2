import type { Model } from '@rigid-beam/core/model/model';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
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

/**
 * The hidden nodes that an edit would move though nobody named them: a bay made wider takes along all that stands beyond. A node on a member
 * that shows is seen to move, and is not among them.
 */
export function movedUnseen(before: Model, after: Model, hidden: ReadonlySet<string>, intent: Intent): readonly string[] {
  if (hidden.size === 0 || !movesWhatItDoesNotName(intent)) return [];
  const showing = new Set(before.members.flatMap(({ id, start, end }) => (hidden.has(`member:${id}`) ? [] : [start, end])));
  const now = new Map(after.nodes.map((node) => [node.id, node]));
  return before.nodes.flatMap(({ id, x, y, z }) => {
    if (showing.has(id) || !hidden.has(`node:${id}`)) return [];
    const moved = now.get(id);
    return moved && (moved.x !== x || moved.y !== y || (moved.z ?? 0) !== (z ?? 0)) ? [id] : [];
  });
}

function movesWhatItDoesNotName(intent: Intent): boolean {
  if (intent.type === 'batch') return intent.intents.some(movesWhatItDoesNotName);
  return intent.type === 'stretch';
}

/** What of a selection a model still has. */
export function stillThere(model: Model, selection: readonly Subject[]): Subject[] {
  const lists = { node: model.nodes, member: model.members, load: model.loads };
  return selection.filter((subject) => {
    if (subject.kind === 'support') return model.supports.some(({ node }) => node === subject.id);
    return (
      subject.kind in lists && lists[subject.kind as keyof typeof lists].some(({ id }) => 'id' in subject && id === subject.id)
    );
  });
}
