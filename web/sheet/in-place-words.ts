import { counted } from '@rigid-beam/core/counted';
import { sectionRun } from '@rigid-beam/core/model/selecting';
import { namedPhraseOf } from '@rigid-beam/core/phrases/named-phrase';
import { ALL_DIGITS, phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import { saidLoad } from '@rigid-beam/core/phrases/said-load';
import { isPinEnded } from '@rigid-beam/core/model/behaviour';
import type { Load, Model, Restraint } from '@rigid-beam/core/model/model';
import { withEnd, withGap } from '@rigid-beam/core/model/member-ends';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { defaultDisplay, displayOf, lengthUnit } from '@rigid-beam/core/quantities/display';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { supportWords } from '@rigid-beam/core/model/support-words';
import { supportKindsOf, supportOf } from '@rigid-beam/core/model/support-kinds';
import { readStep } from './tools/read-step';

/** A text that can be typed over where it stands: what it asks, what it begins with, and the edit that another text means, or why none. */
export interface WordsInPlace {
  readonly label: string;
  readonly hint: string;
  readonly first: string;
  readonly read: (text: string) => Intent | string;
}

/** The name of a node or a member. */
export function nameInPlace(list: 'nodes' | 'members', id: string): WordsInPlace {
  return {
    label: `Name of ${list === 'nodes' ? 'node' : 'member'} ${id}`,
    hint: 'Enter renames it everywhere.',
    first: id,
    read: (text) => (text.trim() === '' ? 'Write a name.' : { type: 'rename', list, names: { [id]: text.trim() } }),
  };
}

/** Where a node stands: across by up, in space by forward. */
export function placeInPlace(model: Model, id: string): WordsInPlace {
  const node = model.nodes.find((one) => one.id === id)!;
  const unit = lengthUnit(model);
  const isPlane = model.space === 'plane';
  const parts = isPlane ? [node.x, node.y] : [node.x, node.y, node.z ?? 0];
  return {
    label: `Place of node ${id} (${unit})`,
    hint: `across by up${isPlane ? '' : ' by forward'}, from the origin`,
    first: parts.map((part) => showNumber(inUnit(part, unit), 10)).join(' by '),
    read: (text) => {
      const step = readStep(text, unit, [1, 0, 0], 'place', model.space);
      if (!step.ok) return step.reason;
      const [x, y, z] = step.by;
      return { type: 'moveNodes', moves: [{ id, x, y, ...((z !== 0 || node.z !== undefined) && { z }) }] };
    },
  };
}

const EXAMPLES = {
  thermal: '20 K warmer, 40 K/m warmer above, 10 K colder below',
  strain: '3 mm too long, 2 mm too short',
  settlement: '10 mm down',
} as const;

/** A load that stands on the sheet in words: a temperature, a lack of fit, a settlement without a turn. Undefined for others. */
export function loadInPlace(model: Model, load: Load): WordsInPlace | undefined {
  if (load.type !== 'thermal' && load.type !== 'strain' && load.type !== 'settlement') return undefined;
  const phrase = namedPhraseOf(load, model);
  if (!phrase) return undefined;
  return {
    label: `What acts on ${'node' in load ? `node ${load.node}` : `member ${load.member}`}`,
    hint: EXAMPLES[load.type],
    first: phraseWords(phrase, displayOf(model), ALL_DIGITS, 'expressions'),
    read: (text) => {
      const said = saidLoad({ text, target: load, id: load.id, case: load.case, bare: phrase.kind }, model);
      return typeof said === 'string'
        ? `“${text.trim()}”: ${said}.`
        : { type: 'put', list: 'loads', entry: { ...said.entry }, key: load.id };
    },
  };
}

/** The section of a run of members, by its name. */
export function sectionInPlace(model: Model, id: string): WordsInPlace {
  const member = model.members.find((one) => one.id === id)!;
  const run = sectionRun(model, member);
  const names = model.sections.map((section) => section.id);
  return {
    label: run.length === 1 ? `Section of ${id}` : `Section of ${run.length} members`,
    hint: names.length > 8 ? `one of ${names.length} names, as ${names.slice(0, 4).join(', ')}` : names.join(', '),
    first: member.section,
    read: (text) => {
      const section = names.find((name) => name.toLowerCase() === text.trim().toLowerCase());
      if (section === undefined) return `There is no section “${text.trim()}”. Sections are: ${names.join(', ')}.`;
      const own = new Set(run);
      const intents = model.members
        .filter((member) => own.has(member.id))
        .map((member): Intent => ({ type: 'put', list: 'members', entry: { ...member, section }, key: member.id }));
      return { type: 'batch', intents, label: `Section of ${run.length === 1 ? id : counted(run.length, 'member')}: ${section}` };
    },
  };
}

/** What a support does, by the name of its kind. */
export function supportInPlace(model: Model, node: string): WordsInPlace {
  const kinds = supportKindsOf(model.space);
  const support = model.supports.find((one) => one.node === node);
  return {
    label: `Support at node ${node}`,
    hint: `${kinds.map(({ text }) => text.toLowerCase()).join(' · ')} · none`,
    first: support ? supportWords(support, model.space, displayOf(model)) : '',
    read: (text) => {
      const said = text.trim().toLowerCase();
      if (said === 'none') return { type: 'remove', list: 'supports', keys: [node] };
      const kind =
        kinds.find((one) => one.text.toLowerCase() === said) ?? kinds.find((one) => one.text.toLowerCase().startsWith(said));
      if (!kind || said === '') return `Write one of: ${kinds.map((one) => one.text.toLowerCase()).join(', ')}, none.`;
      return { type: 'put', list: 'supports', entry: { ...supportOf(kind.id, node, support, model.space) } };
    },
  };
}

/** How a member's end is joined: hinged, rigid, or with a stiffness. */
export function releaseInPlace(model: Model, id: string, end: 'start' | 'end'): WordsInPlace {
  const member = model.members.find((one) => one.id === id)!;
  const unit = `${{ ...defaultDisplay, ...model.display }.moment}/rad`;
  const [now, gap] = [member.releases?.[end]?.mz, member.gaps?.[end]?.mz];
  return {
    label: `End of ${id} at node ${member[end]}`,
    hint: `hinged, rigid, or a stiffness in ${unit}, after a gap where it has one`,
    first:
      typeof now === 'number'
        ? `${showQuantity(now, unit)}${gap ? ` after ${showQuantity(gap, 'mrad')}` : ''}`
        : now === 'free' || isPinEnded(member)
          ? 'hinged'
          : 'rigid',
    read: (text) => {
      if (isPinEnded(member)) return `${id} is a bar, hinged at both ends. Change its behaviour on its card.`;
      const said = text.trim().toLowerCase();
      const put = (mz: Restraint, after?: number): Intent => ({
        type: 'put',
        list: 'members',
        entry: { ...withGap(withEnd(member, end, 'mz', mz), end, 'mz', after) },
        key: id,
      });
      if (said === 'hinged' || said === 'hinge') return put('free');
      if (said === 'rigid') return put('fixed');
      const [spring = '', after] = text.split(/\s+after\s+/iu);
      const stiffness = parseQuantity(spring, 'rotationalSpring', unit);
      if (!stiffness.ok) return `Write hinged, rigid, or a stiffness: ${stiffness.reason}`;
      const wide = after === undefined ? undefined : parseQuantity(after, 'angle', 'mrad');
      if (wide && !(wide.ok && wide.value >= 0)) return `Write the gap as an angle: ${wide.ok ? 'it has no sign' : wide.reason}`;
      return put(stiffness.value, wide?.value);
    },
  };
}
