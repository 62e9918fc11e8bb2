import type { Model } from '@rigid-beam/core/model/model';
import type { Subject } from '@rigid-beam/drawing/display-list';

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
