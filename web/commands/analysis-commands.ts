import { massShares } from '@rigid-beam/core/combinations/mass-shares';
import {
  displacedOutcomes,
  MOST_MODES,
  MOST_NATURAL_MODES,
  type AnalysisSettings,
  type DisplacedOutcomes,
  type NaturalModesSettings,
} from '@rigid-beam/core/model/analysis-settings';
import { groundTypes, type GroundType, type SpectrumSettings } from '@rigid-beam/core/model/spectrum-settings';
import type { SheetController } from '../sheet/controller';
import { make, type Command } from './command';

const analysisOf = (sheet: SheetController): AnalysisSettings => sheet.editor.state.model.analysis ?? {};
const set = (sheet: SheetController, analysis: AnalysisSettings): string | undefined =>
  make(sheet, { type: 'set', settings: { analysis } });

/** How modes and directions are put together stays, whatever the ground does. */
function spectrumOf({ spectrum }: NaturalModesSettings): SpectrumSettings {
  const { modes, sum, damping, directions, beside } = spectrum ?? {};
  return {
    ...(modes && { modes }),
    ...(sum && { sum }),
    ...(damping && { damping }),
    ...(directions && { directions }),
    ...(beside && { beside }),
  };
}

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
    name: 'Shake by an earthquake',
    changes: true,
    notation: 'EN 1998-1: type 1 or 2, ground, agR in m/s², q; nothing behind it: elastic. 1, B, 1.5, 1.5',
    run: (sheet, text) => {
      const [type, ground, ...numbers] = text.split(',').map((part) => part.trim());
      const [acceleration, behaviour] = numbers.map(Number);
      if (
        !['1', '2'].includes(type!) ||
        !groundTypes.includes(ground?.toUpperCase() as GroundType) ||
        !(acceleration! > 0) ||
        numbers.length > 2 ||
        (numbers.length > 1 && !(behaviour! >= 1))
      )
        return 'Write type, ground and peak acceleration, and the behaviour factor where there is one: 1, B, 1.5, 1.5';
      const analysis = analysisOf(sheet);
      const before = analysis.naturalModes ?? { modes: 12, cases: massShares(sheet.editor.state.model) };
      const spectrum = {
        ...spectrumOf(before),
        shape: `type ${type as '1' | '2'}`,
        ground: ground!.toUpperCase() as GroundType,
        acceleration: acceleration!,
        ...(behaviour !== undefined && { behaviour }),
      } as const;
      const refused = set(sheet, { ...analysis, naturalModes: { ...before, spectrum } });
      if (refused === undefined) sheet.editor.go({ stage: 'results', acting: 'Earthquake right and left' });
      return refused;
    },
  },
  {
    name: 'Shake by no earthquake',
    changes: true,
    fits: (sheet) => analysisOf(sheet).naturalModes?.spectrum !== undefined,
    run: (sheet) => {
      const { spectrum: _, ...rest } = analysisOf(sheet).naturalModes!;
      return set(sheet, { ...analysisOf(sheet), naturalModes: rest });
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
