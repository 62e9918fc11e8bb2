import type { Structure } from '../../stiffness/structure';
import type { PlaceOnMember } from '../place-on-member';
import type { Path, Span } from './path';

/** The stretch of a path on which s lies: at a seam that before it. */
export const spanAt = ({ spans }: Path, s: number): Span => spans.find(({ to }) => s <= to) ?? spans.at(-1)!;

/** Where on a member a place of the path lies; undefined beside the path, and where no member carries the load. `among`: another place of the stretch that is meant, at a seam. */
export function placeOnMember(path: Path, s: number, among = s): PlaceOnMember | undefined {
  if (s < 0 || s > path.length) return undefined;
  const span = spanAt(path, among);
  if (span.kind !== 'member') return undefined;
  return { member: span.member, x: (span.way === 'along' ? s - span.from : span.to - s) + 0 };
}

/** Where a place of the path is, by names: “b at 2.4”, “between 3 and 4”; `length` writes metres. */
export function placeWords({ names }: Structure, path: Path, s: number, length: (metres: number) => string): string {
  const on = placeOnMember(path, s);
  if (on) return `${names.members[on.member]!} at ${length(on.x)}`;
  const span = spanAt(path, s);
  if (span.kind !== 'nodes') return length(s);
  const [from, to] = span.nodes.map((node) => names.nodes[node]!);
  if (s <= span.from) return `node ${from!}`;
  return s >= span.to ? `node ${to!}` : `between ${from!} and ${to!}`;
}
