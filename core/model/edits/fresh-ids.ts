import type { Model } from '../model';
import { lettersOf } from './next-id';

/** Numbers, letters, or numbers behind letters that they all begin with. */
export type IdStyle = 'numbers' | 'letters' | { readonly stem: string };

/** Gives one free id after the other, quickly also in large models. */
export class FreshIds {
  private readonly used: Set<string>;
  private n = 0;

  constructor(
    ids: Iterable<string>,
    private readonly style: IdStyle,
  ) {
    this.used = new Set(ids);
  }

  next(): string {
    for (;;) {
      this.n++;
      const { style, n } = this;
      const id = style === 'letters' ? lettersOf(n) : `${style === 'numbers' ? '' : style.stem}${n}`;
      if (this.used.has(id)) continue;
      this.used.add(id);
      return id;
    }
  }
}

/** Numbers for new nodes and letters for new members of a model. */
export const freshIdsOf = ({ nodes, members }: Model): { readonly nodeIds: FreshIds; readonly memberIds: FreshIds } => ({
  nodeIds: new FreshIds(
    nodes.map(({ id }) => id),
    'numbers',
  ),
  memberIds: new FreshIds(
    members.map(({ id }) => id),
    'letters',
  ),
});
