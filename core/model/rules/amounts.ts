import { FACTORS, PARTS, RESULT_NUMBERS } from '../../limits';
import { isObject, type Entity } from '../findings';
import { inOrderOfReference } from '../reference-order';
import { listOf, type RuleContext } from './context';

/** Numbers of a piece of a member, of a member and of a node in the results of one case. */
const OF_A_PIECE = { plane: 20, space: 34 } as const;
const OF_A_MEMBER = 12;
const OF_A_NODE = 12;

/** What combinations and results will hold is counted before anything is resolved or solved: a few lines of a file may ask for more than fits. */
export function checkAmounts({ model, findings }: RuleContext): void {
  const [cases, combinations] = [listOf(model, 'cases'), listOf(model, 'combinations')];
  const tooMuch = (path: string, count: number, limit: number, what: string): void => {
    if (count > limit)
      findings.fault({
        code: 'too-much',
        path,
        value: count,
        what: `${what}: at most ${limit.toLocaleString('en')} fit`,
        expected: `at most ${limit.toLocaleString('en')}`,
        remedy: 'Divide the model, or leave out what is not needed',
      });
  };
  const sums = combinations.filter(({ type }) => type === 'sum').length;
  tooMuch('combinations', sums * cases.length, FACTORS, 'The sums have too many factors when they are resolved to load cases');
  tooMuch('combinations', partsOfEnvelopes(combinations), PARTS, 'The envelopes have too many parts when they are resolved');

  const width = OF_A_PIECE[model.space === 'space' ? 'space' : 'plane'];
  const [nodes, members, loads] = ['nodes', 'members', 'loads'].map((list) => listOf(model, list)) as [
    Entity[],
    Entity[],
    Entity[],
  ];
  const whole = cases.length * (members.length * (width + OF_A_MEMBER) + nodes.length * OF_A_NODE);
  // A load that begins or ends inside a member cuts it there, in its own case.
  const cuts = loads.reduce((sum, load) => sum + cutsOf(load), 0);
  tooMuch('cases', whole + cuts * width, RESULT_NUMBERS, 'The results of all load cases would hold too many numbers');
}

const cutsOf = ({ type, from, to }: Entity): number =>
  type === 'point' ? 1 : Number(isObject(from) && from.at !== undefined) + Number(isObject(to) && to.at !== undefined);

/** How many there are in all when envelopes of envelopes are resolved; no more than is refused anyway is counted. */
function partsOfEnvelopes(combinations: readonly Entity[]): number {
  const envelopes = combinations.flatMap(({ id, of }) =>
    typeof id === 'string' && Array.isArray(of) ? [{ id, parts: of.filter((part) => typeof part === 'string') }] : [],
  );
  const known = new Map(envelopes.map(({ id, parts }) => [id, parts]));
  const resolved = new Map<string, ReadonlySet<string>>();
  let count = 0;
  for (const id of inOrderOfReference(envelopes)) {
    const own = new Set<string>();
    for (const part of known.get(id)!) for (const one of resolved.get(part) ?? [part]) own.add(one);
    resolved.set(id, own);
    count += own.size;
    if (count > PARTS) break;
  }
  return count;
}
