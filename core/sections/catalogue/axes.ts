import type { DisplayUnits } from '../../quantities/display';
import type { CatalogueShape } from './family';

/** How those who work by a standard call axes: Eurocode 3 has y for the strong axis, and its drawings Z upwards. */
const CALLED: readonly (readonly [standard: RegExp, called: Pick<DisplayUnits, 'up' | 'strong'>])[] = [
  [/^(?:EN|BS) /, { up: 'Z', strong: 'y' }],
];

/** What a shape of the catalogue suggests; undefined where its standard suggests nothing. */
export const axesCalled = ({ family: { standard } }: CatalogueShape): Pick<DisplayUnits, 'up' | 'strong'> | undefined =>
  CALLED.find(([pattern]) => pattern.test(standard))?.[1];
