import { expect } from '@jest/globals';
import { checkModel } from '../model/check';
import { emptyModel, type Model } from '../model/model';
import { typicals } from '../model/typical/all';
import { initialValues } from '../model/typical/typical';
import { applyIntent } from '../model/edits/apply-intent';
import type { Intent } from '../model/edits/intent';

export const edited = (model: Model, intent: Intent): Model => {
  const applied = applyIntent(model, intent);
  if (!applied.ok) throw new Error(applied.faults.map(({ message }) => message).join(' '));
  const back = applyIntent(applied.model, { type: 'patch', patches: applied.inverse });
  if (!back.ok) throw new Error('The edit cannot be undone');
  expect(back.model).toEqual(model);
  return applied.model;
};
export const refused = (model: Model, intent: Intent): string => {
  const applied = applyIntent(model, intent);
  if (applied.ok) throw new Error('The edit was not refused');
  return applied.faults[0]!.message;
};

export const placed = (id: string, change: Record<string, number | string | number[]> = {}): Model => {
  const typical = typicals.find((one) => one.id === id)!;
  const model = checkModel({ ...emptyModel(id), space: typical.space }).model!;
  const part = typical.build({ ...initialValues(typical), ...change }, { section: 'beam', material: 'steel' });
  return edited(model, { type: 'insert', part, at: [0, 0, 0], name: id });
};
