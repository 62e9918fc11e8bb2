import * as Comlink from 'comlink';
import type { Share, SolvedShare } from '@rigid-beam/core/analysis/run';
import { AnalysisSession } from '@rigid-beam/core/analysis/session';
import type { Model } from '@rigid-beam/core/model/model';
import { assembled, type ModelParts } from './model-parts';

const session = new AnalysisSession();
let current: Model | undefined;

const solver = {
  /** Solves a share of a model; undefined where there is nothing to share, as whoever shares it finds as well. */
  solve(parts: ModelParts, share: Share): SolvedShare | undefined {
    current = assembled(parts, current);
    session.update(current, { share, notes: 'unread' });
    const solved = session.ownShare;
    // Diagrams are most of it; nothing else of this session stands in their memory.
    const diagrams = [...(solved?.values() ?? [])].flatMap((one) => ('fault' in one ? [] : [one.response.coefficients.buffer]));
    return solved && Comlink.transfer(solved, diagrams as ArrayBuffer[]);
  },
};

export type ShareSolver = typeof solver;
Comlink.expose(solver);
