import glasshouseRib from '../../examples/glasshouse-rib.rbm.json';
import lintel from '../../examples/lintel.rbm.json';
import canopyWalk from '../../examples/canopy-walk.rbm.json';
import { checkModel } from '@rigid-beam/core/model/check';
import { database } from '../db/database';
import { insertModel } from '../db/model-repository';
import { insertProject, listProjects } from '../db/project-repository';
import { newId } from './new-id';

const DEMO_PROJECT = 'Larkmere Botanic Garden';

/** On the first start: the demo project with its models. */
export async function loadDemo(): Promise<void> {
  const db = await database();
  if ((await listProjects(db)).length > 0) return;
  await db.transaction(async (tx) => {
    const project = newId();
    await insertProject(tx, project, DEMO_PROJECT);
    for (const example of [glasshouseRib, lintel, canopyWalk]) {
      const { model, notices } = checkModel(example);
      if (!model) throw new Error(`The demo model is faulty: ${notices.map(({ message }) => message).join(' ')}`);
      await insertModel(tx, newId(), project, model);
    }
  });
}
