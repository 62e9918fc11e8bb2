import type { LoadCase } from '@rigid-beam/core/model/model';
import { nameOf } from '@rigid-beam/core/model/named';

/** Cases as a list offers them: the name, and the title where there is one. */
export const caseChoices = (cases: readonly Pick<LoadCase, 'id' | 'title'>[]): readonly { id: string; text: string }[] =>
  cases.map((one) => ({ id: one.id, text: nameOf(one) }));
