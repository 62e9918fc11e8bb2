import { listOf, type RuleContext } from './context';

/** A train has an axle at least, a spacing between each two of them, and at most one that varies, upwards. */
export function checkTrains({ model, findings }: RuleContext): void {
  listOf(model, 'trains').forEach((train, i) => {
    const path = `trains[${i}]`;
    const subjects = [`train ${String(train.id)}`];
    const [axles, spacings] = [train.axles, train.spacings].map((list) => (Array.isArray(list) ? (list as number[]) : []));
    const asked = axles!.length - 1;
    if (axles!.length === 0)
      findings.fault({
        code: 'no-axles',
        path: `${path}.axles`,
        value: train.axles,
        what: `Train “${String(train.id)}” has no axle`,
        expected: 'a force at least',
        remedy: 'Give the force of each axle, from the front',
        subjects,
      });
    else if (spacings!.length !== asked)
      findings.fault({
        code: 'wrong-spacings',
        path: `${path}.spacings`,
        value: spacings!.length,
        what: `Train “${String(train.id)}” has ${axles!.length} axles, between which there are ${asked} spacings`,
        expected: `${asked} spacings`,
        remedy: 'Give the distance from each axle to the next one',
        subjects,
      });
    const varies = train.varies as { behind?: number; most?: number } | undefined;
    if (varies?.behind === undefined || varies.most === undefined) return;
    const least = spacings![varies.behind];
    if (least === undefined || !(varies.most > least))
      findings.fault({
        code: 'wrong-variation',
        path: `${path}.varies.${least === undefined ? 'behind' : 'most'}`,
        value: least === undefined ? varies.behind : varies.most,
        what: least === undefined ? 'There is no spacing behind this axle' : 'A spacing that varies goes up from its least value',
        expected: least === undefined ? `0 to ${asked - 1}` : `more than ${least} m`,
        remedy:
          least === undefined ? 'Name the axle in front of the spacing; 0 is the first' : 'Give a greater value, or leave it out',
        subjects,
      });
  });
}
