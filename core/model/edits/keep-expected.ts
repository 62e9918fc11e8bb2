import type { Draft } from 'immer';
import type { Expected } from '../expected';
import type { Model } from '../model';

/** After an edit: what was expected of something that is gone goes with it. */
export function keepExpected(draft: Draft<Model>): void {
  if (!draft.expected) return;
  const members = new Set(draft.members.map(({ id }) => id));
  const outcomes = new Set([...draft.cases, ...draft.combinations].map(({ id }) => id));
  const isThere = ({ member, outcome }: Expected): boolean => members.has(member) && outcomes.has(outcome);
  if (!draft.expected.every(isThere)) draft.expected = draft.expected.filter(isThere);
  if (draft.expected.length === 0) delete draft.expected;
}

/** After an edit: the report reads those of its members closely that are there. */
export function keepReported(draft: Draft<Model>): void {
  let members: ReadonlySet<string> | undefined;
  for (const chapter of draft.report?.chapters ?? []) {
    if (chapter.chapter !== 'members' || !chapter.members) continue;
    members ??= new Set(draft.members.map(({ id }) => id));
    if (!chapter.members.every((id) => members!.has(id))) chapter.members = chapter.members.filter((id) => members!.has(id));
    if (chapter.members.length === 0) delete chapter.members;
  }
}

/** After an edit: what the analysis is told of is there. */
export function keepAnalysed(draft: Draft<Model>): void {
  const { secondOrder } = draft.analysis ?? {};
  if (secondOrder?.stiffness) {
    const kept = factorsOf(secondOrder.stiffness, draft.materials);
    if (!kept) delete secondOrder.stiffness;
    else if (kept !== secondOrder.stiffness) secondOrder.stiffness = kept;
  }
  keepMasses(draft);
  if (!draft.analysis?.naturalModes?.spectrum)
    for (const one of draft.combinations) if (one.type === 'envelope' && one.earthquake) delete one.earthquake;
  const buckling = draft.analysis?.buckling;
  if (!buckling) return;
  const outcomes = new Set([...draft.cases, ...draft.combinations].map(({ id }) => id));
  if (!buckling.of.every((id) => outcomes.has(id))) buckling.of = buckling.of.filter((id) => outcomes.has(id));
  if (buckling.of.length === 0) delete draft.analysis!.buckling;
}

type Factors = Record<string, number>;

/** Factors of what is there: undefined where none is left, the very same where nothing changes. */
function factorsOf(factors: Factors, entries: readonly { readonly id: string }[]): Factors | undefined {
  const ids = new Set(entries.map(({ id }) => id));
  const kept = Object.entries(factors).filter(([id]) => ids.has(id));
  if (kept.length === 0) return undefined;
  return kept.length === Object.keys(factors).length ? factors : Object.fromEntries(kept);
}

/** Masses stand on nodes that are there, once each, and come from cases that are. */
function keepMasses(draft: Draft<Model>): void {
  const swinging = draft.analysis?.naturalModes;
  if (!swinging) return;
  if (swinging.cases) {
    const kept = factorsOf(swinging.cases, draft.cases);
    if (!kept) delete swinging.cases;
    else if (kept !== swinging.cases) swinging.cases = kept;
  }
  const { spectrum } = swinging;
  if (spectrum?.beside) {
    const kept = factorsOf(spectrum.beside, draft.cases);
    if (!kept) delete spectrum.beside;
    else if (kept !== spectrum.beside) spectrum.beside = kept;
  }
  const { harmonic } = swinging;
  if (!swinging.nodes && !harmonic) return;
  const nodes = new Set(draft.nodes.map(({ id }) => id));
  if (harmonic && !nodes.has(harmonic.node)) delete swinging.harmonic;
  else if (harmonic?.at !== undefined && !nodes.has(harmonic.at)) delete harmonic.at;
  if (!swinging.nodes) return;
  const masses = new Map<string, number>();
  for (const { node, mass } of swinging.nodes) if (nodes.has(node)) masses.set(node, (masses.get(node) ?? 0) + mass);
  if (masses.size === swinging.nodes.length) return;
  if (masses.size === 0) delete swinging.nodes;
  else swinging.nodes = [...masses].map(([node, mass]) => ({ node, mass }));
}
