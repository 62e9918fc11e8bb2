import { freedoms, translations, type Freedom, type Model, type Support } from './model';
import { showQuantity } from '../quantities/show';
import { structureAxis, type AxisKey } from '../quantities/axis-names';
import type { DisplayUnits } from '../quantities/display';
import { kindOf, supportKindsOf, supportKindWords } from './support-kinds';

/** A support in words: its kind where it has a name, what it holds and what it springs where not. */
export function supportWords(support: Support, space: Model['space'], display: DisplayUnits): string {
  const sprung = freedoms.filter((freedom) => typeof support[freedom] === 'number' && support[freedom] > 0);
  const held = freedoms.filter((freedom) => support[freedom] === 'fixed');
  const kind = kindOf(support, space);
  const named = supportKindsOf(space).find(({ id }) => id === kind);
  const text = named && supportKindWords(named, display);
  const name = sprung.length === 0 && text ? text.replace(/^./, (c) => c.toLowerCase()) : partsOf(held, sprung, display);
  const pushes = translations.flatMap((along) => {
    const way = support.oneWay?.[along];
    if (!way) return [];
    const { letter, sign } = structureAxis(display, along.charAt(1) as AxisKey);
    const isUp = (way === 'positive') === sign > 0;
    const gap = support.gaps?.[along];
    return [`pushes towards ${isUp ? '+' : '−'}${letter} only${gap ? ` after ${showQuantity(gap, display.deflection)}` : ''}`];
  });
  const whole = [name, ...pushes].join(', ');
  if (support.axes) return `${whole}, in axes of its own`;
  return support.angle ? `${whole}, turned by ${support.angle}°` : whole;
}

/** “held along X and about Z, sprung along Y”. */
function partsOf(held: readonly Freedom[], sprung: readonly Freedom[], display: DisplayUnits): string {
  const axisOf = (freedom: Freedom): string => structureAxis(display, freedom.charAt(1) as AxisKey).letter;
  const said = (word: string, some: readonly Freedom[]): string => {
    const [along, about] = ['u', 'r'].map((way) => some.filter((freedom) => freedom.startsWith(way)).map(axisOf));
    const parts = [along!.length > 0 ? `along ${along!.join(', ')}` : '', about!.length > 0 ? `about ${about!.join(', ')}` : ''];
    return some.length > 0 ? `${word} ${parts.filter(Boolean).join(' and ')}` : '';
  };
  return [said('held', held), said('sprung', sprung)].filter(Boolean).join(', ') || 'free';
}
