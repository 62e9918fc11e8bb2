import { axisKeys, type AxisKey } from '../quantities/axis-names';
import { limitStates, type LimitState } from './categories';
import { choice, neededPositive, positive, type Fields } from './fields';
import { isObject, type Entity } from './findings';
import { swayDirections, type SwayDirection } from './loads/notional';
import { byId, checkReference, listOf, type RuleContext } from './rules/context';
import { checkSpectrum, spectrumField, type SpectrumSettings } from './spectrum-settings';

/** Which outcomes are analysed in the displaced structure: every case and combination, every combination, or those of one limit state. */
export type DisplacedOutcomes = 'everything' | 'combinations' | LimitState;
export const displacedOutcomes = ['everything', 'combinations', ...limitStates] as const satisfies readonly DisplacedOutcomes[];

/** Initial bow e₀/L for elastic analysis by buckling curve: EN 1993-1-1, table 5.1. */
export const BOWS = { a0: 1 / 350, a: 1 / 300, b: 1 / 250, c: 1 / 200, d: 1 / 150 } as const;
export type BucklingCurve = keyof typeof BOWS;

/** The whole structure leans: by a typed angle, or by EN 1993-1-1, 5.3.2, from its height and the columns of a row that carry. */
export interface Sway {
  /** Radians. */
  readonly angle?: number;
  /** Metres. */
  readonly height?: number;
  readonly columns?: number;
  /** Which way; where it is left out the way in which the first order moves the loads. */
  readonly towards?: SwayDirection;
}

/** Members in compression are bowed between their ends: by e₀/L, or by that of a buckling curve. */
export interface Bow {
  readonly ratio?: number;
  readonly curve?: BucklingCurve;
}

export interface SecondOrderSettings {
  readonly of: DisplacedOutcomes;
  readonly sway?: Sway;
  readonly bow?: Bow;
  /** By material the part of its stiffness that counts, as direct analysis methods ask for it: 0.8. */
  readonly stiffness?: { readonly [material: string]: number };
}

/** Critical loads of cases and combinations, so many of each. */
export interface BucklingSettings {
  readonly of: readonly string[];
  readonly modes?: number;
  /** Whether those of the reversed loads are found too, whose factors are negative. */
  readonly negative?: boolean;
}

/** Where the mass of members is in natural modes: along them, so that they swing between their nodes as they bend; or lumped at their ends. */
export type BetweenNodes = 'swing' | 'lumped';
export const betweenNodes = ['swing', 'lumped'] as const satisfies readonly BetweenNodes[];

/** A force that swings at a node along an axis of the structure; its response is read at a node, along the same axis. */
export interface HarmonicSettings {
  readonly node: string;
  readonly along: AxisKey;
  /** Newtons, whatever the frequency. */
  readonly force?: number;
  /** A mass that turns off its axis, kg·m: its force grows with the square of the frequency. */
  readonly unbalance?: number;
  /** Of the critical one, such as 0.02. */
  readonly damping: number;
  /** Where it is read; at the node itself where nothing is said. */
  readonly at?: string;
  /** Hz: between which frequencies it swings. */
  readonly from?: number;
  readonly to?: number;
}

/** Natural modes, and what has mass in them. */
export interface NaturalModesSettings {
  /** How many are found. */
  readonly modes?: number;
  /** Whether the members' own mass counts; it does where nothing is said. */
  readonly selfWeight?: boolean;
  /** By case the part of its loads downwards that counts as mass. */
  readonly cases?: { readonly [id: string]: number };
  /** Masses at nodes, kg. */
  readonly nodes?: readonly { readonly node: string; readonly mass: number }[];
  readonly between?: BetweenNodes;
  readonly harmonic?: HarmonicSettings;
  /** What the ground does in an earthquake, and how modes and directions are put together. */
  readonly spectrum?: SpectrumSettings;
}

export interface AnalysisSettings {
  readonly shearDeformation?: boolean;
  /** False: members keep their lengths whatever acts along them, as a true constraint. */
  readonly axialDeformation?: boolean;
  readonly secondOrder?: SecondOrderSettings;
  readonly buckling?: BucklingSettings;
  readonly naturalModes?: NaturalModesSettings;
}

/** Natural modes that are found where no number is given, and at most; and nodes that may be given a mass. */
export const NATURAL_MODES = 6;
export const MOST_NATURAL_MODES = 60;
export const MOST_NODE_MASSES = 10_000;

/** Modes that are found of each where no number is given, and at most. */
export const MODES = 4;
export const MOST_MODES = 24;

const count = { kind: 'quantity', dimension: 'number', sign: 'positive' } as const;

export const analysisFields: Fields = {
  shearDeformation: { kind: 'flag' },
  axialDeformation: { kind: 'flag' },
  secondOrder: {
    kind: 'object',
    fields: {
      of: { kind: 'choice', of: displacedOutcomes, required: true },
      sway: {
        kind: 'object',
        fields: { angle: positive('number'), height: positive('length'), columns: count, towards: choice(...swayDirections) },
      },
      stiffness: { kind: 'factors' },
      bow: { kind: 'object', fields: { ratio: positive('number'), curve: choice(...Object.keys(BOWS)) } },
    },
  },
  buckling: { kind: 'object', fields: { of: { kind: 'names', required: true }, modes: count, negative: { kind: 'flag' } } },
  naturalModes: {
    kind: 'object',
    fields: {
      modes: count,
      selfWeight: { kind: 'flag' },
      cases: { kind: 'factors' },
      nodes: {
        kind: 'list',
        of: { kind: 'object', fields: { node: { kind: 'id', required: true }, mass: neededPositive('mass') } },
        most: MOST_NODE_MASSES,
        words: 'masses at nodes',
      },
      between: choice(...betweenNodes),
      harmonic: {
        kind: 'object',
        fields: {
          node: { kind: 'id', required: true },
          along: { kind: 'choice', of: axisKeys, required: true },
          force: positive('force'),
          unbalance: positive('number'),
          damping: neededPositive('number'),
          at: { kind: 'id' },
          from: positive('number'),
          to: positive('number'),
        },
      },
      spectrum: spectrumField,
    },
  },
};

/** No structure leans more than this and is still built, and no member is bowed more: a typing error. */
const MOST_LEAN = 0.1;

/** What is asked of the analysis makes sense together. */
export function checkAnalysis({ model, findings }: RuleContext): void {
  const settings = part(model, 'analysis');
  const sway = part(part(settings, 'secondOrder'), 'sway');
  const bow = part(part(settings, 'secondOrder'), 'bow');
  const at = 'analysis.secondOrder';
  const fault = (path: string, value: unknown, what: string, remedy: string): void =>
    void findings.fault({ code: 'analysis-settings', path, value, what, expected: remedy.charAt(0).toLowerCase() + remedy.slice(1), remedy }); // oxfmt-ignore
  if (sway) {
    const { angle, height, columns, towards } = sway;
    if (angle !== undefined && (height !== undefined || columns !== undefined))
      fault(
        `${at}.sway`,
        angle,
        'The sway is given twice: as an angle and by height and columns',
        'Give either the angle or the height with the columns',
      );
    else if (angle === undefined && height === undefined)
      fault(
        `${at}.sway`,
        undefined,
        'By how much the structure leans is not said',
        'Give an angle, or the height of the structure',
      );
    if (Number(angle) > MOST_LEAN)
      fault(
        `${at}.sway.angle`,
        angle,
        'A structure that leans by more than 1/10 is no imperfection',
        'Give at most 0.1, such as 1/200',
      );
    if (columns !== undefined && !Number.isInteger(columns))
      fault(`${at}.sway.columns`, columns, 'Columns are counted', 'Give a whole number');
    if (model.space === 'plane' && (towards === 'forward' || towards === 'back'))
      fault(`${at}.sway.towards`, towards, 'A plane model does not lean forward or back', 'Give right or left');
  }
  if (bow) {
    if ((bow.ratio === undefined) === (bow.curve === undefined))
      fault(
        `${at}.bow`,
        bow.ratio,
        'The bow is given by its ratio or by a curve, one of them',
        'Give either the ratio or the curve',
      );
    if (Number(bow.ratio) > MOST_LEAN)
      fault(
        `${at}.bow.ratio`,
        bow.ratio,
        'A member bowed by more than a tenth of its length is no imperfection',
        'Give at most 0.1, such as 1/250',
      );
  }
  const stiffness = part(part(settings, 'secondOrder'), 'stiffness') ?? {};
  const materials = byId(model, 'materials');
  for (const [id, factor] of Object.entries(stiffness)) {
    checkReference(findings, materials, id, `${at}.stiffness.${id}`, 'material');
    if (!(Number(factor) > 0 && Number(factor) <= 1))
      fault(
        `${at}.stiffness.${id}`,
        factor,
        'Of a stiffness more than nothing and no more than all of it counts',
        'Give a number up to 1, such as 0.8',
      );
  }
  checkNaturalModes({ model, findings }, part(settings, 'naturalModes'));
  const buckling = part(settings, 'buckling');
  if (!buckling) return;
  const { modes, of } = buckling;
  if (modes !== undefined && !(Number.isInteger(modes) && Number(modes) <= MOST_MODES))
    fault(
      'analysis.buckling.modes',
      modes,
      `Modes are counted, and at most ${MOST_MODES} are found`,
      `Give a whole number up to ${MOST_MODES}`,
    );
  const outcomes = new Map([...listOf(model, 'cases'), ...listOf(model, 'combinations')].map((one) => [one.id, one]));
  if (Array.isArray(of))
    of.forEach((id, i) => checkReference(findings, outcomes, id, `analysis.buckling.of[${i}]`, 'case or combination'));
}

function checkNaturalModes({ model, findings }: Pick<RuleContext, 'model' | 'findings'>, settings: Entity | undefined): void {
  if (!settings) return;
  const at = 'analysis.naturalModes';
  const { modes, cases = {}, nodes = [] } = settings;
  if (modes !== undefined && !(Number.isInteger(modes) && Number(modes) <= MOST_NATURAL_MODES))
    findings.fault({
      code: 'analysis-settings',
      path: `${at}.modes`,
      value: modes,
      what: `Modes are counted, and at most ${MOST_NATURAL_MODES} are found`,
      expected: `a whole number up to ${MOST_NATURAL_MODES}`,
      remedy: `Give a whole number up to ${MOST_NATURAL_MODES}`,
    });
  const known = byId(model, 'cases');
  if (isObject(cases))
    for (const [id, factor] of Object.entries(cases)) {
      checkReference(findings, known, id, `${at}.cases.${id}`, 'case');
      if (!(Number(factor) >= 0))
        findings.fault({
          code: 'analysis-settings',
          path: `${at}.cases.${id}`,
          value: factor,
          what: 'No part of a load under nothing counts as mass',
          expected: 'a number of 0 or more',
          remedy: 'Give 1, or a part such as 0.3',
        });
    }
  const places = byId(model, 'nodes');
  checkHarmonic({ model, findings }, part(settings, 'harmonic'), places);
  checkSpectrum({ model, findings }, part(settings, 'spectrum'));
  const before = new Set<unknown>();
  if (Array.isArray(nodes))
    nodes.forEach((one, i) => {
      if (!isObject(one)) return;
      const { node } = one as Entity;
      checkReference(findings, places, node, `${at}.nodes[${i}].node`, 'node');
      if (before.has(node))
        findings.fault({
          code: 'analysis-settings',
          path: `${at}.nodes[${i}].node`,
          value: node,
          what: 'The node is given a mass twice',
          expected: 'each node once',
          remedy: 'Give it their sum once',
        });
      before.add(node);
    });
}

function checkHarmonic(
  { model, findings }: Pick<RuleContext, 'model' | 'findings'>,
  harmonic: Entity | undefined,
  nodes: ReadonlyMap<unknown, Entity>,
): void {
  // oxfmt-ignore
  if (!harmonic) return;
  const at = 'analysis.naturalModes.harmonic';
  const { node, along, force, unbalance, damping, from, to } = harmonic;
  checkReference(findings, nodes, node, `${at}.node`, 'node');
  if (harmonic.at !== undefined) checkReference(findings, nodes, harmonic.at, `${at}.at`, 'node');
  const fault = (key: string, what: string, expected: string): void =>
    void findings.fault({ code: 'analysis-settings', path: `${at}.${key}`, value: harmonic[key], what, expected, remedy: `Give ${expected}` }); // oxfmt-ignore
  if ((force === undefined) === (unbalance === undefined))
    fault('force', 'A force that swings is a force or an unbalance, one of them', 'either “force” or “unbalance”');
  if (model.space === 'plane' && along === 'z') fault('along', 'Nothing swings out of a plane model', '“x” or “y”');
  if (!(Number(damping) < 1))
    fault('damping', 'What is damped so strongly does not swing', 'a part of the critical damping, such as 0.02');
  if (from !== undefined && to !== undefined && !(Number(from) < Number(to))) fault('to', 'The frequencies end before they begin', 'more than “from”'); // oxfmt-ignore
}

const part = (of: Entity | undefined, key: string): Entity | undefined => {
  const value = of?.[key];
  return isObject(value) ? (value as Entity) : undefined;
};

/** By which angle the structure leans, radians: φ = φ₀·αh·αm, EN 1993-1-1, 5.3.2 (3) a). */
export function swayAngle({ angle, height = 0, columns = 1 }: Sway): number {
  if (angle !== undefined) return angle;
  const byHeight = Math.min(1, Math.max(2 / 3, 2 / Math.sqrt(height)));
  const byColumns = Math.sqrt(0.5 * (1 + 1 / columns));
  return (byHeight * byColumns) / 200;
}

/** e₀/L. */
export const bowRatio = ({ ratio, curve }: Bow): number => ratio ?? BOWS[curve!];
