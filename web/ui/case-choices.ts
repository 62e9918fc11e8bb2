import type { LoadCase } from '@rigid-beam/core/model/model';

/** Cases as a list offers them: the name, and the title where there is one. */
export const caseChoices = (cases: readonly Pick<LoadCase, 'id' | 'title'>[]): readonly { id: string; text: string }[] =>
  cases.map(({ id, title }) => ({ id, text: title ? `${id} · ${title}` : id }));
