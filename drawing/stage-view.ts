import type { View } from './view';

/** What one can have shown or not, in any stage. */
export const switchNames = [
  'diagram',
  'values',
  'kinks',
  'governing',
  'deflected',
  'moving',
  'reactions',
  'loads',
  'dimensions',
  'names',
  'sections',
  'localAxes',
  'solids',
  'otherLoads',
] as const;
export type SwitchName = (typeof switchNames)[number];
export type Switches = Readonly<Partial<Record<SwitchName, boolean>>>;

interface StageView {
  /** What is shown until it is switched off; everything else is shown when it is switched on. */
  readonly on: readonly SwitchName[];
  readonly style: Partial<View>;
}

const GEOMETRY: StageView = { on: ['dimensions'], style: {} };

/** What each stage shows strongly, and what faintly: one stage, one question. A new stage is entered here. */
const STAGES: Readonly<Record<string, StageView>> = {
  geometry: GEOMETRY,
  sections: { on: ['sections', 'dimensions'], style: { dimensions: 'faint' } },
  supports: { on: ['reactions'], style: { supports: 'said', members: 'faint' } },
  loads: { on: ['loads'], style: { loads: 'said', supports: 'faint', members: 'faint', resultant: true } },
  combinations: { on: ['loads', 'deflected'], style: { loads: 'said', supports: 'faint' } },
  results: { on: ['diagram', 'values', 'governing', 'reactions', 'loads'], style: { loads: 'faint' } },
};

const stageView = (stage: string): StageView => STAGES[stage] ?? GEOMETRY;

/** Whether something is shown in a stage, as it was switched or as the stage has it. */
export const isOn = (stage: string, switches: Switches, name: SwitchName): boolean =>
  switches[name] ?? stageView(stage).on.includes(name);

type StagePart = Pick<
  View,
  | 'members'
  | 'supports'
  | 'loads'
  | 'resultant'
  | 'dimensions'
  | 'values'
  | 'kinks'
  | 'governing'
  | 'deflected'
  | 'reactions'
  | 'names'
  | 'sections'
  | 'localAxes'
  | 'solids'
  | 'otherLoads'
>;

/** The part of a view that a stage decides. Whether a diagram is drawn is told by `isOn`: which one, is the user's choice. */
export function viewOfStage(stage: string, switches: Switches): StagePart {
  const { style } = stageView(stage);
  const shown = (name: SwitchName): boolean => isOn(stage, switches, name);
  return {
    members: shown('solids') ? 'faint' : (style.members ?? 'plain'),
    supports: style.supports ?? 'plain',
    loads: shown('loads') ? (style.loads ?? 'said') : 'none',
    resultant: shown('loads') && style.resultant === true,
    dimensions: shown('dimensions') ? (style.dimensions ?? 'plain') : 'none',
    values: shown('values') ? 'that matter' : 'none',
    kinks: shown('kinks'),
    governing: shown('governing'),
    deflected: shown('deflected'),
    reactions: shown('reactions'),
    names: shown('names'),
    sections: shown('sections'),
    localAxes: shown('localAxes'),
    solids: shown('solids'),
    otherLoads: shown('otherLoads'),
  };
}
