import type { Model } from '@rigid-beam/core/model/model';
import { checkModel } from '@rigid-beam/core/model/check';
import { solve } from '@rigid-beam/core/analysis/session';
import rib from '../../examples/glasshouse-rib.rbm.json';
import lintel from '../../examples/lintel.rbm.json';
import { fit } from '../camera';
import type { Item, Label, Path } from '../display-list';
import { plainView, type View } from '../view';

export const ribModel = checkModel(rib).model!;
export const lintelModel = checkModel(lintel).model!;
export const solutionOf = (model: Model) => solve(model).solution!;
export const view: View = {
  ...plainView,
  quantity: 'Mz',
  diagramFactor: 1,
  values: 'that matter',
  deflected: true,
  reactions: true,
  loads: 'said',
  dimensions: 'plain',
  names: true,
  scale: 60,
  weight: 1,
};
export const camera = fit({ left: 0, right: 9.9, bottom: 0, top: 0 }, 936, 640, { left: 150, right: 60, top: 80, bottom: 200 });
export const labels = (items: readonly Item[]): Label[] => items.filter((item): item is Label => item.kind === 'label');
export const paths = (items: readonly Item[]): Path[] => items.filter((item): item is Path => item.kind === 'path');
