import type { DisplayUnits } from '../../../quantities/display';
import { showQuantity } from '../../../quantities/show';
import { nodeAt, type PlaceOnMember } from '../../../results/place-on-member';
import type { Structure } from '../../../stiffness/structure';
import { headlines as WORDS } from '../../words';

/** “in member b at node 3”, “in member b, 2.4 m from node 2”; of the only member that is read without its name. */
export function placeOnMemberWords(
  s: Structure,
  at: PlaceOnMember,
  { length }: Pick<DisplayUnits, 'length'>,
  named: 'named' | 'unnamed',
): string {
  const node = nodeAt(s, at);
  const name = (index: number): string => s.names.nodes[index]!;
  const place =
    node === undefined
      ? WORDS.fromNode(showQuantity(at.x, length, 3), name(s.memberNodes[2 * at.member]!))
      : WORDS.atNode(name(node));
  if (named === 'unnamed') return place;
  return `${WORDS.inMember(s.names.members[at.member]!)}${node === undefined ? ',' : ''} ${place}`;
}
