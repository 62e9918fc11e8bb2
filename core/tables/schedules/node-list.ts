import type { Intent } from '../../model/edits/intent';
import type { Model, ModelNode } from '../../model/model';
import { kindOf, supportKindsOf, supportOf } from '../../model/support-kinds';
import { axisKeys, inReaderOrder, structureAxis } from '../../quantities/axis-names';
import { displayOf } from '../../quantities/display';
import { coordinateColumn, textColumn, type Row } from '../column';
import type { ScheduleKind } from './list';
import { columns as WORDS, schedules } from '../words';

const NONE = 'none';

/** Nodes with their places and the kind of their support. */
export const nodeList: ScheduleKind = {
  words: schedules.nodes,
  names: 'numbers',
  columns: (model) => {
    const display = displayOf(model);
    const unit = display.length;
    const kinds = [NONE, ...supportKindsOf(model.space).map(({ id }) => id)];
    return [
      textColumn('id', WORDS.node),
      ...inReaderOrder(model.space === 'space' ? axisKeys : (['x', 'y'] as const), display).map((key) =>
        coordinateColumn(key, structureAxis(display, key), unit),
      ),
      textColumn('support', WORDS.support, kinds),
    ];
  },
  rows: (model) => {
    const supports = new Map(model.supports.map((support) => [support.node, support]));
    return model.nodes.map((node: ModelNode) => {
      const support = supports.get(node.id);
      return { ...node, support: support ? (kindOf(support, model.space) ?? 'other') : NONE };
    });
  },
  newRow: (_, id) => ({ id, x: 0, y: 0, support: NONE }),
  put: putNode,
};

function putNode(model: Model, row: Row, old: Row | undefined): Intent[] {
  const { support, ...node } = row;
  const intents: Intent[] = [];
  const moved = !old || (['x', 'y', 'z'] as const).some((key) => old[key] !== row[key]);
  if (moved) intents.push({ type: 'put', list: 'nodes', entry: node });
  if (!old || support === old.support) {
    if (!old && support !== NONE)
      intents.push({ type: 'put', list: 'supports', entry: { ...supportOf(String(support), row.id, undefined, model.space) } });
    return intents;
  }
  const there = model.supports.find((one) => one.node === row.id);
  if (support !== NONE)
    intents.push({ type: 'put', list: 'supports', entry: { ...supportOf(String(support), row.id, there, model.space) } });
  else if (there) intents.push({ type: 'remove', list: 'supports', keys: [row.id] });
  return intents;
}
