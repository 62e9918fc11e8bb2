import { memberEnds } from '../model';
import { isObject, type Entity } from '../findings';
import { outOfPlane } from '../schema';
import { listOf, numberOf, type RuleContext } from './context';

/** Nothing leads out of the plane of a plane model. */
export function checkPlane({ model, findings }: RuleContext): void {
  const refuse = (item: unknown, keys: readonly string[] | undefined, path: string): void => {
    if (!isObject(item) || !keys) return;
    for (const key of keys) {
      const value = item[key];
      if (value === undefined || value === 0 || value === 'free') continue;
      findings.fault({
        code: 'out-of-plane',
        path: `${path}.${key}`,
        value,
        what: `“${key}” is out of plane`,
        expected: '0 or "free" in a plane model',
        remedy: 'Remove it, or make this a space model',
      });
    }
  };
  listOf(model, 'nodes').forEach((node, i) => refuse(node, outOfPlane.nodes, `nodes[${i}]`));
  listOf(model, 'supports').forEach((support, i) => refuse(support, outOfPlane.supports, `supports[${i}]`));
  listOf(model, 'members').forEach((member, i) => {
    for (const end of memberEnds) {
      const releases = isObject(member.releases) ? member.releases : {};
      // Fixed is the default of a member's end, so it leads nowhere; anything else out of the plane does.
      const freed = isObject(releases[end])
        ? Object.fromEntries(Object.entries(releases[end]).filter(([, v]) => v !== 'fixed'))
        : {};
      refuse(freed, outOfPlane.releases, `members[${i}].releases.${end}`);
      const gaps = isObject(member.gaps) ? (member.gaps as Entity)[end] : undefined;
      if (isObject(gaps)) refuse(gaps, outOfPlane.releases, `members[${i}].gaps.${end}`);
      const arm = isObject(member.offset) ? (member.offset as Entity)[end] : undefined;
      if (Array.isArray(arm)) refuse({ '2': arm[2] }, ['2'], `members[${i}].offset.${end}`);
    }
    if (numberOf(member.roll) % 90 !== 0) {
      findings.fault({
        code: 'roll-in-plane',
        path: `members[${i}].roll`,
        value: member.roll,
        what: 'In a plane model a member can only stand upright or lie on its side',
        expected: 'a multiple of 90 degrees',
        remedy: 'Write 0 or 90',
        subjects: [`member ${String(member.id)}`],
      });
    }
  });
  listOf(model, 'loads').forEach((load, i) => {
    refuse(load, outOfPlane[String(load.type)], `loads[${i}]`);
    refuse(load.from, outOfPlane.intensity, `loads[${i}].from`);
    refuse(load.to, outOfPlane.intensity, `loads[${i}].to`);
  });
}
