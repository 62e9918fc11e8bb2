import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showMoment } from '@rigid-beam/core/quantities/show-load';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { solve } from '@rigid-beam/core/analysis/session';
import { governingValues, largestOf } from '@rigid-beam/drawing/diagram-scale';
import { sketchMarkup } from '@rigid-beam/drawing/sketch';
import { database } from '../db/database';
import { listModels, listProjects, type StoredModel } from '../db/model-repository';
import { TILE, type ModelTile, type ProjectTiles } from '../projects/tile';

/** Larger models get their tile without being solved for it. */
const MANY_MEMBERS = 1500;

/** Tiles by model and revision: a model is drawn again only when it has changed. */
const known = new Map<string, ModelTile>();

export async function projectTiles(): Promise<ProjectTiles[]> {
  const db = await database();
  const [projects, models] = [await listProjects(db), await listModels(db)];
  return projects.map(({ id, name }) => ({ id, name, models: models.filter(({ projectId }) => projectId === id).map(tileOf) }));
}

function tileOf(stored: StoredModel): ModelTile {
  const key = `${stored.id} ${stored.revision}`;
  const before = known.get(key);
  if (before) return before;
  const { content: model } = stored;
  const results = model.members.length <= MANY_MEMBERS ? solve(model) : undefined;
  const solution = results?.solution;
  const outcome = Math.max(0, solution?.outcomes.findIndex(({ kind }) => kind === 'sum') ?? 0);
  const display = { ...defaultDisplay, ...model.display };
  const acts = solution?.outcomes[outcome];
  const figure =
    solution && acts
      ? `${acts.id}: moment ${showMoment(largestOf(governingValues(solution, outcome, 'Mz')), display)}, deflection ${showQuantity(largestOf(governingValues(solution, outcome, 'v')), display.deflection, 3)}`
      : (results?.notices.find(({ severity }) => severity === 'error')?.message ?? 'Nothing to solve yet');
  const tile: ModelTile = {
    id: stored.id,
    title: model.title || 'Untitled',
    changed: `Changed ${stored.updatedAt.toISOString().slice(0, 16).replace('T', ' ')} UTC`,
    words: `${model.nodes.length} nodes, ${model.members.length} members, ${model.cases.length} cases`,
    figure,
    markup: sketchMarkup(model, solution, outcome, TILE),
  };
  known.set(key, tile);
  return tile;
}
