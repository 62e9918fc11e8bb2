import { checkAnalysis } from '../analysis-settings';
import type { Entity, Findings } from '../findings';
import { checkActions } from './actions';
import { checkCombinations } from './combinations';
import { ruleContext } from './context';
import { checkAmounts } from './amounts';
import { checkExtent } from './extent';
import { checkLoads } from './loads';
import { checkMembers, checkSupports } from './members';
import { checkParameters } from './parameters';
import { checkPlane } from './plane';
import { checkSections } from './sections';
import { checkStructures } from './structures';
import { checkTrains } from './trains';
import { checkDuplicates, checkExpected, checkGroups, checkReport } from './references';

/** Rules between the entries of a model: duplicates, references, lengths, positions, planes, combinations. */
export function checkRelations(model: Entity, findings: Findings): void {
  const context = ruleContext(model, findings);
  checkDuplicates(context);
  checkExtent(context);
  if (!checkAmounts(context)) return;
  checkMembers(context);
  checkSupports(context);
  checkSections(context);
  checkLoads(context);
  checkActions(context);
  checkCombinations(context);
  checkGroups(context);
  checkExpected(context);
  checkReport(context);
  checkTrains(context);
  checkStructures(context);
  checkParameters(context);
  checkAnalysis(context);
  if (model.space === 'plane') checkPlane(context);
}
