'use client';

import { useMemo, useState, type PointerEvent } from 'react';
import styled from 'styled-components';
import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { Effect } from '@rigid-beam/core/influence/effect';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { inUnit, showQuantity } from '@rigid-beam/core/quantities/show';
import { quietValue, sizesOf } from '@rigid-beam/core/results/noise';
import {
  inLetterOrder,
  isLine,
  nameOf,
  quantitiesOf,
  quantityTable,
  unitOfQuantity,
  type LineQuantity,
  type Quantity,
  type QuantityRow,
  symbolOf,
} from '@rigid-beam/core/results/quantities';
import type { RunReader } from '@rigid-beam/core/results/run-reader';
import type { Solution } from '@rigid-beam/core/results/results';
import { isPlane } from '@rigid-beam/core/stiffness/structure';
import { drawnSide } from '@rigid-beam/drawing/diagram-items';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import { useEditorState } from '../../editor/use-editor';
import { capital } from '@rigid-beam/core/capital';
import { Fold } from '../../ui/Fold';
import { Slider } from '../../ui/Slider';
import { TextLine } from '../../ui/TextLine';
import { InfluenceButton } from '../InfluenceButton';
import { memberCharts as CHARTS, runCharts as WORDS } from '../words';
import { Formulas } from './Formulas';
import { Governed } from './Governed';
import { LEFT, RIGHT } from './places';
import { MemberBodyHere } from './MemberBodyHere';
import { useAppearance } from '../../ui/use-appearance';
import { QuantityChart } from './QuantityChart';
import { readPlace } from './read-place';
import { seriesOf, type Series } from './run-series';
import { SectionHere } from './SectionHere';

/** What each kind of quantity is drawn with, by its sign. */
const INKS: Record<QuantityRow['ink'], { readonly positive: string; readonly negative: string }> = {
  axial: { positive: '--draw-tension', negative: '--draw-compression' },
  shear: { positive: '--draw-shear', negative: '--draw-shear' },
  moment: { positive: '--draw-moment', negative: '--draw-moment' },
  deflection: { positive: '--draw-deflection', negative: '--draw-deflection' },
  stress: { positive: '--draw-tension', negative: '--draw-compression' },
};

const Cursor = styled.div`
  position: sticky;
  top: 0;
  z-index: 1;
  display: grid;
  grid-template-columns: minmax(9rem, 12rem) 1fr;
  gap: 0.8rem;
  align-items: end;
  padding-bottom: 0.3rem;
  background: var(--panel);
`;

const Stacked = styled.div`
  position: relative;
  touch-action: pan-y;
  figure {
    margin: 0;
  }
  figcaption {
    display: flex;
    gap: 0.8rem;
    align-items: baseline;
    font-size: 0.8rem;
    small {
      margin-left: auto;
      color: var(--soft);
    }
  }
`;

const Line = styled.div`
  position: absolute;
  top: 0;
  bottom: 1.4rem;
  border-left: 1.5px solid var(--draw-selection);
  pointer-events: none;
`;

/** The nodes under the charts: those with a support stand on it. */
const Nodes = styled.ol`
  position: relative;
  height: 1.4rem;
  margin: 0 ${RIGHT}px 0 ${LEFT}px;
  padding: 0;
  list-style: none;
  font-size: 0.75rem;
  li {
    position: absolute;
    transform: translateX(-50%);
    white-space: nowrap;
  }
`;

interface RunChartsProps {
  readonly solution: Solution;
  readonly outcome: number;
  /** The member, or members that follow each other as one line. */
  readonly run: RunReader;
  /** The nodes from its beginning to its end. */
  readonly nodes: readonly string[];
  readonly display: DisplayUnits;
  /** The same line in other outcomes, which are drawn in the same charts. */
  readonly others: readonly { readonly id: string; readonly outcome: number; readonly run: RunReader }[];
}

/** All quantities along a member or a run, one above the other over the same places, with one line through all of them. */
export function RunCharts({ solution, outcome, run, nodes, display, others }: RunChartsProps) {
  const [ratio, setRatio] = useState(0.5);
  const face = useEditorState((state) => state.face);
  const appearance = useAppearance();
  const { length, stretches } = run;
  const { structure } = solution;
  const acts = solution.outcomes[outcome]!;
  const all = useChartedOf(solution, outcome, run, display);
  const beside = useBeside(solution, others, display);
  const here = stretches.find(({ to }) => ratio * length < to) ?? stretches.at(-1)!;
  const effectAt = (quantity: LineQuantity): Effect => {
    const member = structure.names.members.indexOf(here.member);
    return { kind: 'along', member, at: here.placeOf(ratio * length), quantity };
  };
  const point = ({ currentTarget, clientX, buttons, type }: PointerEvent): void => {
    if (type === 'pointermove' && buttons === 0) return;
    const { left, width } = currentTarget.getBoundingClientRect();
    setRatio(Math.min(Math.max((clientX - left - LEFT) / (width - LEFT - RIGHT), 0), 1));
  };
  const valueAt = (quantity: Quantity, of: RunReader = run): string => {
    const value = of.at(quantity, ratio * length);
    const unit = unitOfQuantity(quantity, display);
    if (!value) return WORDS.unknown;
    return value.max === value.min
      ? showQuantity(value.max, unit)
      : `${showQuantity(value.min, unit)} … ${showQuantity(value.max, unit)}`;
  };
  /** Which outcomes of an envelope have the least and the greatest value here. */
  const governing = (quantity: Quantity): string => {
    const value = isRange(acts) ? run.at(quantity, ratio * length) : undefined;
    if (!value) return '';
    const [least, most] = [value.minFrom, value.maxFrom].map((from) => solution.outcomes[from]!.id);
    return least === most ? WORDS.by(most!) : WORDS.byBoth(least!, most!);
  };
  const supported = new Set(structure.names.nodes.filter((_, i) => solution.supported[i]));
  const places = [0, ...stretches.map(({ to }) => to)];
  return (
    <>
      <Cursor>
        <TextLine
          label={WORDS.place(nodes[0]!)}
          value={showQuantity(ratio * length, display.length)}
          placeholder={WORDS.example}
          understand={(text) => {
            const read = readPlace(text, length, display.length);
            return read.ok ? { ok: true, words: showQuantity(read.x, display.length) } : read;
          }}
          onCommit={(text) => {
            const read = readPlace(text, length, display.length);
            if (read.ok) setRatio(read.x / length);
          }}
        />
        <Slider label={CHARTS.distanceFromTheStart} range={[0, 1]} step={0.005} value={ratio} onChange={setRatio} />
      </Cursor>
      <Stacked onPointerDown={point} onPointerMove={point}>
        {all.map(({ quantity, name, series, told, label, governed }, i) => (
          <figure key={quantity} data-quantity={quantity}>
            <figcaption>
              <span>{name}</span>
              <b className="number">
                {isLine(quantity) ? (
                  <InfluenceButton structure={structure} effect={effectAt(quantity)}>
                    {valueAt(quantity)}
                  </InfluenceButton>
                ) : (
                  valueAt(quantity)
                )}
              </b>
              {isRange(acts) && <span>{governing(quantity)}</span>}
              {others.map(({ id, run: own }) => (
                <span key={id} className="number">
                  {WORDS.of(id, valueAt(quantity, own))}
                </span>
              ))}
              <small className="number">{told}</small>
            </figcaption>
            <QuantityChart
              series={series}
              others={beside.get(quantity) ?? NONE}
              length={inUnit(length, display.length)}
              positive={drawnSide({ quantity: quantity as SheetQuantity, face }) < 0 ? 'down' : 'up'}
              inks={INKS[quantityTable[quantity].ink]}
              appearance={appearance}
              label={label}
              place={i === all.length - 1 ? 'last' : 'above'}
            />
            {governed.map(({ side, stretches: parts }) => (
              <Governed
                key={side}
                side={side}
                stretches={parts}
                length={length}
                nameOf={(from) => solution.outcomes[from]!.id}
                place={(x) => showQuantity(x, display.length, 3)}
              />
            ))}
          </figure>
        ))}
        <Nodes aria-label={WORDS.along(acts.id)}>
          {nodes.map((id, i) => (
            <li key={id} style={{ left: `${(100 * places[i]!) / length}%` }}>
              {supported.has(id) ? `△ ${id}` : id}
            </li>
          ))}
        </Nodes>
        <Line style={{ left: `calc(${LEFT}px + ${ratio} * (100% - ${LEFT + RIGHT}px))` }} />
      </Stacked>
      {!isRange(acts) && (
        <SectionHere solution={solution} outcome={outcome} member={here.member} at={here.placeOf(ratio * length)} />
      )}
      {!isRange(acts) && (
        <MemberBodyHere {...{ solution, outcome, display }} member={structure.names.members.indexOf(here.member)} />
      )}
      {!isRange(acts) && (
        <Fold title={WORDS.formulas(here.member)} remembered="formulas">
          <Formulas
            solution={solution}
            outcome={outcome}
            member={structure.names.members.indexOf(here.member)}
            display={display}
          />
        </Fold>
      )}
    </>
  );
}

const NONE: readonly Series[] = [];

/** The curves of other outcomes by quantity. */
function useBeside(
  solution: Solution,
  others: RunChartsProps['others'],
  display: DisplayUnits,
): ReadonlyMap<Quantity, readonly Series[]> {
  return useMemo(() => {
    return new Map(
      quantitiesOf(solution.structure).map((quantity) => {
        const { derived } = quantityTable[quantity];
        const all = others.flatMap(({ outcome, run }) => {
          const has = isRange(solution.outcomes[outcome]!) || derived?.spreads === true ? 'a range' : 'one value';
          return seriesOf(run, quantity, { length: display.length, value: unitOfQuantity(quantity, display) }, has) ?? [];
        });
        return [quantity, all] as const;
      }),
    );
  }, [solution, others, display]);
}

/** The quantities that there are along the run, each with its curve and its extremes in words; what is noise beside the others is left out. */
function useChartedOf(solution: Solution, outcome: number, run: RunReader, display: DisplayUnits) {
  return useMemo(() => {
    const { structure } = solution;
    const sizes = sizesOf(solution, outcome);
    return inLetterOrder(quantitiesOf(structure), display).flatMap((quantity) => {
      const found = run.extremes(quantity);
      const unit = unitOfQuantity(quantity, display);
      const { derived } = quantityTable[quantity];
      const has = isRange(solution.outcomes[outcome]!) || derived?.spreads === true ? 'a range' : 'one value';
      const series = found && seriesOf(run, quantity, { length: display.length, value: unit }, has);
      if (!found || !series) return [];
      const quiet = (value: number): number => quietValue(solution, outcome, quantity, value);
      const [most, least] = [quiet(found.max.value), quiet(found.min.value)];
      const isNothing = most === 0 && least === 0 && Math.max(sizes.force, sizes.couple) > 0;
      if (isNothing) return [];
      const name = `${capital(nameOf(structure, quantity, display))} ${symbolOf(isPlane(structure) ? 'plane' : 'space', quantity, display)}`;
      const at = (x: number): string => showQuantity(x, display.length, 3);
      const sides = derived?.isMagnitude
        ? [WORDS.most(showQuantity(most, unit), at(found.max.x))]
        : [WORDS.most(showQuantity(most, unit), at(found.max.x)), WORDS.least(showQuantity(least, unit), at(found.min.x))];
      return [
        {
          quantity,
          name: `${name}, ${unit}`,
          series,
          told: sides.join(' · '),
          governed: isRange(solution.outcomes[outcome]!)
            ? (['max', 'min'] as const).flatMap((side) => {
                const stretches = run.governed(quantity, side);
                return stretches ? [{ side, stretches }] : [];
              })
            : [],
          label: CHARTS.fromTo(name, showQuantity(least, unit), showQuantity(most, unit)),
        },
      ];
    });
  }, [solution, outcome, run, display]);
}
