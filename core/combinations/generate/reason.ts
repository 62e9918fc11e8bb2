import { categoryOf } from '../../model/categories';
import { showNumber } from '../../quantities/show';
import type { Permanent, Pick } from './pick';

const number = (value: number): string => showNumber(value, 4);

/** What one action does in a line. */
function part({ variant: { title }, role, factor, value }: Pick): string {
  const by = value ? `with ${value.symbol} = ${number(value.size)}` : undefined;
  if (role === 'leads') return `${title} leads ${by ?? `(γ ${number(factor)})`}`;
  if (role === 'accompanies') return `${title} accompanies ${by ?? `(${number(factor)})`}`;
  if (role === 'acts') return by === undefined ? `${title} acts` : `${title} acts ${by}`;
  return `${title} ${role}`;
}

/** Why a line is as it is, in one sentence: what leads, what accompanies it and with what, and whether what is permanent helps. */
export function reasonOf(line: readonly Pick[], permanent: Permanent): string {
  const helping = line.filter(({ role }) => role === 'favourable' || role === 'unfavourable');
  const others = line.filter((pick) => !helping.includes(pick) && !categoryOf(pick.action.category).isPermanent);
  const [first] = helping;
  const ofPermanent = first && (permanent === 'as one' || helping.length === 1) ? [`permanent ${first.role}`] : helping.map(part);
  const parts = [...others.map(part), ...(others.length === 0 ? ['no variable action'] : []), ...ofPermanent];
  const text = parts.join('; ');
  return `${text[0]!.toUpperCase()}${text.slice(1)}.`;
}
