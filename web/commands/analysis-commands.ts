import { massShares } from '@rigid-beam/core/combinations/mass-shares';
import {
  displacedOutcomes,
  MOST_MODES,
  MOST_NATURAL_MODES,
  type AnalysisSettings,
  type DisplacedOutcomes,
} from '@rigid-beam/core/model/analysis-settings';
import type { SheetController } from '../sheet/controller';
import { make, type Command } from './command';

const analysisOf = (sheet: SheetController): AnalysisSettings => sheet.editor.state.model.analysis ?? {};
const set = (sheet: SheetController, analysis: AnalysisSettings): string | undefined =>
  make(sheet, { type: 'set', settings: { analysis } });

/** Which equilibrium is looked for, and whose critical loads are found. */
export const analysisCommands: readonly Command[] = [
  {
    name: 'Analyse in the first order',
    changes: true,
    run: (sheet) => {
      const { secondOrder: _, ...rest } = analysisOf(sheet);
      return set(sheet, rest);
    },
  },
  {
    name: 'Analyse in the second order',
    changes: true,
    notation: `${displacedOutcomes.join(', ')}; nothing: every combination`,
    run: (sheet, text) => {
      const of = text.trim().toLowerCase() || 'combinations';
      if (!(displacedOutcomes as readonly string[]).includes(of)) return `“${text}” is none of ${displacedOutcomes.join(', ')}.`;
      const analysis = analysisOf(sheet);
      return set(sheet, { ...analysis, secondOrder: { ...analysis.secondOrder, of: of as DisplacedOutcomes } });
    },
  },
  {
    name: 'Find critical loads of',
    changes: true,
    notation: 'a case or combination, and how many modes: U1, 6',
    run: (sheet, text) => {
      const { cases, combinations } = sheet.editor.state.model;
      const [id = '', typed, ...more] = text.split(',').map((part) => part.trim());
      const one = [...cases, ...combinations].find((entry) => entry.id.toLowerCase() === id.toLowerCase());
      if (!one) return `There is no case or combination “${id}”.`;
      const modes = typed === undefined || typed === '' ? undefined : Number(typed);
      if (more.length > 0 || (modes !== undefined && !(Number.isInteger(modes) && modes >= 1 && modes <= MOST_MODES)))
        return `Write a whole number of modes up to ${MOST_MODES} behind the name: U1, 6`;
      const refused = set(sheet, { ...analysisOf(sheet), buckling: { of: [one.id], ...(modes !== undefined && { modes }) } });
      if (refused === undefined) sheet.editor.go({ stage: 'results', acting: `Buckling 1 of ${one.id}` });
      return refused;
    },
  },
  {
    name: 'Find natural modes',
    changes: true,
    notation: 'how many; nothing: 6. Masses are the members’ own and the usual parts of the cases',
    run: (sheet, text) => {
      const typed = text.trim();
      const modes = typed === '' ? undefined : Number(typed);
      if (modes !== undefined && !(Number.isInteger(modes) && modes >= 1 && modes <= MOST_NATURAL_MODES))
        return `Write a whole number of modes up to ${MOST_NATURAL_MODES}: 6`;
      const analysis = analysisOf(sheet);
      const before = analysis.naturalModes ?? { cases: massShares(sheet.editor.state.model) };
      const refused = set(sheet, { ...analysis, naturalModes: { ...before, ...(modes !== undefined && { modes }) } });
      if (refused === undefined) sheet.editor.go({ stage: 'results', acting: 'Mode 1' });
      return refused;
    },
  },
  {
    name: 'Find no natural modes',
    changes: true,
    fits: (sheet) => analysisOf(sheet).naturalModes !== undefined,
    run: (sheet) => {
      const { naturalModes: _, ...rest } = analysisOf(sheet);
      return set(sheet, rest);
    },
  },
  {
    name: 'Find no critical loads',
    changes: true,
    fits: (sheet) => analysisOf(sheet).buckling !== undefined,
    run: (sheet) => {
      const { buckling: _, ...rest } = analysisOf(sheet);
      return set(sheet, rest);
    },
  },
];
