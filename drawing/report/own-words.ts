import { alongAxis, axisCalled } from '@rigid-beam/core/quantities/axis-names';
import { massUnit } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { isRange } from '@rigid-beam/core/combinations/outcome';
import { readEffect } from '@rigid-beam/core/influence/read-effect';
import { extremesOverMembers } from '@rigid-beam/core/results/extremes-over-members';
import { nodalRange } from '@rigid-beam/core/results/nodal-range';
import { quiet, quietValue, sizesOf } from '@rigid-beam/core/results/noise';
import { symbolOf, unitOfQuantity } from '@rigid-beam/core/results/quantities';
import { memberReader } from '@rigid-beam/core/results/read-quantity';
import type { Solution } from '@rigid-beam/core/results/results';
import { billOf, together } from '@rigid-beam/core/sections/bill';
import { forceComponent, movementComponent } from '@rigid-beam/core/tables/results/components';
import { isQuantity, subjectOf } from '../paper/subjects';
import { quantitiesDrawn, type SheetQuantity } from '../view';
import type { Writing } from './asked';
import { words, type Block } from './blocks';
import { reportWords } from './words';

const WORDS = reportWords.fields;

/** A number, or why there is none. */
type Field = { readonly text: string } | { readonly refused: string };
const refused = (why: string): Field => ({ refused: why });

/** A line that is one of a list. */
const ITEM = /^\s*[-•–]\s+/u;

/**
 * What a user wrote for a report: paragraphs between empty lines, lists of lines that begin with a dash, and fields in braces, in whose place stands the
 * number that the model has now; `{{` is a brace. Why it cannot be written, in words: a report with a wrong number is none.
 */
export function ownWords(text: string, writing: Writing): readonly Block[] | string {
  const filled = fill(text.replace(/\r\n?/gu, '\n'), writing);
  if ('refused' in filled) return `${filled.refused}.`;
  return filled.text
    .split(/\n\s*\n/u)
    .flatMap((paragraph): Block[] => blocksOf(paragraph.split('\n').filter((line) => line.trim() !== '')));
}

/** Lines of a paragraph; those of a list stand each for itself. */
function blocksOf(lines: readonly string[]): Block[] {
  const blocks: Block[] = [];
  let [run, items]: [string[], string[]] = [[], []];
  const end = (): void => {
    if (run.length > 0) blocks.push(words(run.join(' ')));
    if (items.length > 0) blocks.push({ is: 'list', items: items.map((item) => `– ${item}`) });
    [run, items] = [[], []];
  };
  for (const line of lines) {
    const isItem = ITEM.test(line);
    if (isItem !== items.length > 0 && (isItem || items.length > 0)) end();
    if (isItem) items.push(line.replace(ITEM, ''));
    else run.push(line.trim());
  }
  end();
  return blocks;
}

/** The text with its fields filled in. */
export function fill(text: string, writing: Writing): Field {
  let out = '';
  for (let at = 0; at < text.length;) {
    const open = text.indexOf('{', at);
    if (open < 0) return { text: out + text.slice(at) };
    out += text.slice(at, open);
    if (text[open + 1] === '{') {
      out += '{';
      at = open + 2;
      continue;
    }
    const close = text.indexOf('}', open);
    if (close < 0) return refused(WORDS.unclosed(text.slice(open + 1, open + 30)));
    const field = valueOf(text.slice(open + 1, close).trim(), writing);
    if ('refused' in field) return field;
    out += field.text;
    at = close + 1;
  }
  return { text: out };
}

const FIELD = /^(.+?)(?:\.(max|min))?\s+of\s+(.+)$/u;
const ON_MEMBER = /^(.+?):([^@]+)$/u;

function valueOf(field: string, writing: Writing): Field {
  const { model, solution } = writing;
  switch (field) {
    case 'title':
      return { text: model.title };
    case 'members':
    case 'nodes':
      return { text: String(model[field].length) };
    case 'mass':
      return massOf(field, writing);
  }
  const [, what, side, id] = FIELD.exec(field) ?? [];
  if (what === undefined || id === undefined) return refused(WORDS.unread(field));
  if (!solution) return refused(WORDS.notSolved(field));
  const outcome = solution.outcomes.findIndex((one) => one.id === id.trim());
  if (outcome < 0) return refused(WORDS.noOutcome(field, id.trim(), solution.outcomes.map((one) => one.id).join(', ')));
  const asked = { field, what: what.trim(), side: side as Side, outcome, solution };
  const [, member, symbol] = ON_MEMBER.exec(asked.what) ?? [];
  if (asked.what.includes('@') || /\.[a-z]{2}$/u.test(asked.what)) return effect(asked, writing);
  return extreme(asked, { member, symbol: symbol ?? asked.what }, writing);
}

/** The mass of all members; where that of one is not known there is none, and no smaller one. */
function massOf(field: string, { model, display }: Writing): Field {
  const { mass } = together(billOf(model));
  return mass === undefined ? refused(WORDS.noMass(field)) : { text: showQuantity(mass, massUnit(display)) };
}

type Side = 'max' | 'min' | undefined;
interface Asked {
  readonly field: string;
  readonly what: string;
  readonly side: Side;
  readonly outcome: number;
  readonly solution: Solution;
}

/** A quantity by its symbol, as subjects of drawings are called. */
function quantityCalled(symbol: string, { model }: Writing): SheetQuantity | undefined {
  const found = subjectOf(symbol.trim(), model);
  return typeof found === 'string' && isQuantity(found) ? found : undefined;
}

/** A component of a node as the reader calls its axis (`3.fz`), as the file has it. */
const inFile = (what: string, { display }: Writing): string =>
  what.replace(/(?<=\.[a-z])[xyz]$/u, (letter) => axisCalled(display, letter)?.key ?? letter);

/** The greatest, the least, or the largest in size of a quantity, over all members or on one. */
function extreme(asked: Asked, { member, symbol }: { member: string | undefined; symbol: string }, writing: Writing): Field {
  const { field, side, outcome, solution } = asked;
  const { model, display } = writing;
  const quantity = quantityCalled(symbol, writing);
  const known = quantitiesDrawn(model.space).map((id) => symbolOf(model.space, id, display));
  if (!quantity) return refused(WORDS.noQuantity(field, symbol.trim(), known.join(', ')));
  const m = member === undefined ? undefined : solution.structure.names.members.indexOf(member.trim());
  if (m === -1) return refused(WORDS.noMember(field, member!.trim()));
  const found = extremesOverMembers(solution, outcome, quantity, ...(m === undefined ? [] : [[m]]));
  if (!found) return refused(WORDS.noValue(field));
  const { max, min } = found;
  const value = side ? found[side].value : Math.abs(max.value) >= Math.abs(min.value) ? max.value : min.value;
  return { text: showQuantity(quietValue(solution, outcome, quantity, value), unitOfQuantity(quantity, display)) };
}

/** What a reaction, a movement or a place on a member has: as influence lines are asked of it. */
function effect({ field, what, side, outcome, solution }: Asked, writing: Writing): Field {
  const { model, display } = writing;
  const [, member, symbol, place] = /^(.+?):([^@]+)@(.+)$/u.exec(what) ?? [];
  const quantity = symbol === undefined ? undefined : quantityCalled(symbol, writing);
  const found = readEffect(
    member === undefined ? inFile(what, writing) : `${member}:${quantity ?? symbol!}@${place!}`,
    model,
    solution.structure,
  );
  if ('message' in found) return refused(WORDS.badPlace(field, found.message));
  const range = isRange(solution.outcomes[outcome]!);
  if (range && side === undefined) return refused(WORDS.whichSide(field));
  const pick = ({ max, min }: { readonly max: number; readonly min: number }): number => (side === 'min' ? min : max);
  if (found.kind === 'along') {
    const at = memberReader(solution, outcome, found.member).at(found.quantity, found.at);
    if (!at) return refused(WORDS.noValue(field));
    return {
      text: showQuantity(quietValue(solution, outcome, found.quantity, pick(at)), unitOfQuantity(found.quantity, display)),
    };
  }
  const isReaction = found.kind === 'reaction';
  const component = (isReaction ? forceComponent : movementComponent)(found.component, solution.structure.active, display);
  const governed = nodalRange(solution, outcome, isReaction ? 'reactions' : 'displacements', 6 * found.node + found.component);
  const ends = [governed.max, governed.min].map((value) => alongAxis(component, value)) as [number, number];
  const value = pick({ max: Math.max(...ends), min: Math.min(...ends) });
  const sizes = sizesOf(solution, outcome);
  if (isReaction) {
    const [unit, size] = found.component < 3 ? [display.force, sizes.force] : [display.moment, sizes.couple];
    return { text: showQuantity(quiet(value, size), unit) };
  }
  return { text: found.component < 3 ? showQuantity(value, display.deflection) : `${showQuantity(value, 'mrad')}` };
}
