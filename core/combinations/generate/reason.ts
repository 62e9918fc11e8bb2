import { categoryOf } from '../../model/categories';
import { showNumber } from '../../quantities/show';
import type { Permanent, Pick } from './pick';

const number = (value: number): string => showNumber(value, 4);

const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** What actions do in a line that do the same. */
function part(picks: readonly [Pick, ...Pick[]]): string {
  const [{ role, factor, value }] = picks;
  const names = listed(picks.map(({ variant }) => variant.title));
  const [one, many] = { leads: ['leads', 'lead'], accompanies: ['accompanies', 'accompany'], acts: ['acts', 'act'], favourable: [role, role], unfavourable: [role, role] }[role]; // oxfmt-ignore
  const by = value ? ` with ${value.symbol} = ${number(value.size)}` : role === 'leads' ? ` (γ ${number(factor)})` : role === 'accompanies' ? ` (${number(factor)})` : ''; // oxfmt-ignore
  return `${names} ${picks.length === 1 ? one : many}${by}`;
}

/** Those after each other that do the same, together. */
function alike(picks: readonly Pick[]): [Pick, ...Pick[]][] {
  const groups: [Pick, ...Pick[]][] = [];
  for (const pick of picks) {
    const last = groups.at(-1);
    const isSame =
      last && last[0].role === pick.role && last[0].factor === pick.factor && last[0].value?.size === pick.value?.size;
    if (isSame) last.push(pick);
    else groups.push([pick]);
  }
  return groups;
}

/** Why a line is as it is, in one sentence: what leads, what accompanies it and with what, and whether what is permanent helps. */
export function reasonOf(line: readonly Pick[], permanent: Permanent): string {
  const helping = line.filter(({ role }) => role === 'favourable' || role === 'unfavourable');
  const others = line.filter((pick) => !helping.includes(pick) && !categoryOf(pick.action.category).isPermanent);
  const [first] = helping;
  const ofPermanent =
    first && (permanent === 'as one' || helping.length === 1) ? [`permanent ${first.role}`] : alike(helping).map(part);
  const parts = [...alike(others).map(part), ...(others.length === 0 ? ['no variable action'] : []), ...ofPermanent];
  const text = parts.join('; ');
  return `${text[0]!.toUpperCase()}${text.slice(1)}.`;
}
