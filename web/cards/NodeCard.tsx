'use client';

import { inDegrees } from '@rigid-beam/core/quantities/in-degrees';
import {
  alongAxis,
  inReaderOrder,
  structureAxis,
  withAxes,
  type AxisKey,
  type CalledAxis,
} from '@rigid-beam/core/quantities/axis-names';
import { InfluenceButton } from './InfluenceButton';
import {
  isTranslation,
  oneWays,
  type Freedom,
  type ModelNode,
  type OneWay,
  type Restraint,
  type Support,
  type Translation,
} from '@rigid-beam/core/model/model';
import { pushing } from '@rigid-beam/core/model/one-way';
import { axisNames } from '@rigid-beam/core/model/point';
import { actingIndex } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState, useModel } from '../editor/use-editor';
import { placeOfNode } from '@rigid-beam/core/model/place-names';
import { capital } from '@rigid-beam/core/capital';
import { Columns, Hint, PanelSubtitle, Select, Stack } from '../ui/controls';
import { NameField } from '../ui/NameField';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { QuantityField } from '../ui/QuantityField';
import { Table } from '../ui/Table';
import { Fold } from '../ui/Fold';
import { directionsOf, settlementOf, supportChoices, supportEdit, turnedTo, withRestraint } from './node-edits';
import { movementRows } from './movement-rows';
import { WhereFrom } from './WhereFrom';
import { NodeReading } from './NodeReading';
import { memberReading as READING, nodeCard as WORDS } from './words';

/** A node's place, its support, and how it moves. */
export function NodeCard({ nodes }: { readonly nodes: readonly ModelNode[] }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const node = nodes[0]!;
  const support = model.supports.find((one) => one.node === node.id);
  const { kind, choices } = supportChoices(model, node.id, display);
  const choose = (id: string): void => {
    const intent = supportEdit(model, nodes, id);
    if (intent) editor.propose(intent);
  };
  const move = (to: { readonly x?: number; readonly y?: number; readonly z?: number }): boolean =>
    editor.edit({
      type: 'moveNodes',
      moves: [{ id: node.id, x: node.x, y: node.y, ...(node.z !== undefined && { z: node.z }), ...to }],
    });
  const place = nodes.length === 1 ? capital(placeOfNode(model, node)) : '';
  const stage = useEditorState((state) => state.stage);
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const editing = (
    <>
      {nodes.length === 1 && (
        <Columns>
          {inReaderOrder(model.space === 'plane' ? (['x', 'y'] as const) : axisNames, display).map((axis) => (
            <QuantityField
              key={axis}
              label={structureAxis(display, axis).letter}
              value={alongAxis(structureAxis(display, axis), node[axis] ?? 0)}
              dimension="length"
              unit={display.length}
              place={placeText('nodes', node.id, axis)}
              isTurned={structureAxis(display, axis).sign < 0}
              onCommit={(value) => value !== undefined && move({ [axis]: alongAxis(structureAxis(display, axis), value) })}
            />
          ))}
          <NameField
            label={WORDS.name}
            value={node.id}
            onCommit={(name) => {
              if (editor.edit({ type: 'rename', list: 'nodes', names: { [node.id]: name } }))
                editor.select([{ kind: 'node', id: name }]);
            }}
          />
        </Columns>
      )}
      <Select label={WORDS.support} choices={choices} value={kind} onChange={choose} />
      {support && nodes.length === 1 && <SupportDetails support={support} />}
    </>
  );
  // A shape is of no particular size.
  const isShape = solution?.outcomes[outcome]?.kind === 'shape';
  const movement = nodes.length === 1 && !isShape && <Movement id={node.id} />;
  const places = nodes.flatMap(({ id }) => solution?.structure.names.nodes.indexOf(id) ?? []).filter((i) => i >= 0);
  return (
    <Stack>
      {place !== '' && <Hint>{place}</Hint>}
      {stage === 'results' && solution?.outcomes[outcome] && !isShape ? (
        <>
          {movement}
          {places.length > 0 && <NodeReading nodes={places} solution={solution} outcome={outcome} />}
          <Fold title={READING.edit} remembered="change">
            {editing}
          </Fold>
        </>
      ) : (
        <>
          {editing}
          {movement}
        </>
      )}
    </Stack>
  );
}

const FREEDOM_WORDS = [
  { freedom: 'ux', text: WORDS.alongX, spring: 'spring' },
  { freedom: 'uy', text: WORDS.alongY, spring: 'spring' },
  { freedom: 'rz', text: WORDS.rotation, spring: 'rotationalSpring' },
] as const;
const FREEDOM_WORDS_IN_SPACE = [
  { freedom: 'ux', text: WORDS.alongX, spring: 'spring' },
  { freedom: 'uy', text: WORDS.alongY, spring: 'spring' },
  { freedom: 'uz', text: WORDS.alongZ, spring: 'spring' },
  { freedom: 'rx', text: WORDS.aboutX, spring: 'rotationalSpring' },
  { freedom: 'ry', text: WORDS.aboutY, spring: 'rotationalSpring' },
  { freedom: 'rz', text: WORDS.aboutZ, spring: 'rotationalSpring' },
] as const;

/** Each freedom of a support: held, free or a spring; the slope; and the settlement in the acting case. */
function SupportDetails({ support }: { readonly support: Support }) {
  const editor = useEditor();
  const display = useDisplay();
  const space = useModel().space;
  const put = (entry: Support): void => editor.propose({ type: 'put', list: 'supports', entry: { ...entry } });
  const setFreedom = (freedom: Freedom, restraint: Restraint): void => put(withRestraint(support, freedom, restraint));
  const translation = `${display.force}/${display.length}`;
  return (
    <Stack>
      {(space === 'plane' ? FREEDOM_WORDS : FREEDOM_WORDS_IN_SPACE).map(({ freedom, text, spring }) => {
        const restraint = support[freedom] ?? 'free';
        return (
          <Columns key={freedom}>
            <Select
              label={withAxes(text, display)}
              choices={[
                { id: 'fixed', text: WORDS.held },
                { id: 'free', text: WORDS.free },
                { id: 'spring', text: WORDS.spring },
              ]}
              value={typeof restraint === 'number' ? 'spring' : restraint}
              onChange={(id) => setFreedom(freedom, id === 'spring' ? 1e6 : (id as Restraint))}
            />
            {typeof restraint === 'number' && (
              <QuantityField
                label={WORDS.stiffness}
                value={restraint}
                dimension={spring}
                unit={spring === 'spring' ? translation : `${display.moment}/rad`}
                place={placeText('supports', support.node, freedom)}
                onCommit={(value) => value !== undefined && setFreedom(freedom, value)}
              />
            )}
            {restraint !== 'free' && restraint !== 0 && isTranslation(freedom) && (
              <Pushing support={support} along={freedom} put={put} />
            )}
          </Columns>
        );
      })}
      <Directions support={support} put={put} />
      <Settlement support={support} />
    </Stack>
  );
}

interface PushingProps {
  readonly support: Support;
  readonly along: Translation;
  readonly put: (entry: Support) => void;
}

/** Whether a support holds both ways along an axis, or only pushes, and after which gap. */
function Pushing({ support, along, put }: PushingProps) {
  const display = useDisplay();
  const { letter, sign } = structureAxis(display, along.charAt(1) as AxisKey);
  const way = support.oneWay?.[along];
  const towards = (one: OneWay): string => `${(one === 'positive') === sign > 0 ? '+' : '−'}${letter}`;
  return (
    <>
      <Select
        label={WORDS.pushes(letter)}
        choices={[{ id: 'both', text: WORDS.bothWays }, ...oneWays.map((id) => ({ id, text: WORDS.onlyTowards(towards(id)) }))]}
        value={way ?? 'both'}
        onChange={(id) => put(pushing(support, along, id === 'both' ? undefined : (id as OneWay), support.gaps?.[along]))}
      />
      {way && (
        <QuantityField
          label={WORDS.gap}
          value={support.gaps?.[along] ?? 0}
          dimension="length"
          unit={display.deflection}
          place={placeText('supports', support.node, 'gaps', along)}
          onCommit={(gap) => put(pushing(support, along, way, gap))}
        />
      )}
    </>
  );
}

interface DirectionsProps {
  readonly support: Support;
  readonly put: (entry: Support) => void;
}

/** Along what a support holds: the global axes, turned about Z, or a member of its node. */
function Directions({ support, put }: DirectionsProps) {
  const model = useModel();
  const { meeting, value } = directionsOf(model, support);
  const { angle: _, axes, ...along } = support;
  return (
    <Columns>
      <Select
        label={WORDS.directions}
        choices={[
          { id: 'global', text: WORDS.alongGlobal },
          ...meeting.map(({ id }) => ({ id: `along ${id}`, text: WORDS.alongMember(id) })),
          ...(value === 'own' ? [{ id: 'own', text: WORDS.ownAxes }] : []),
        ]}
        value={value}
        onChange={(id) => {
          const turned = turnedTo(model, support, id);
          if (turned) put(turned);
        }}
      />
      {!axes && (
        <QuantityField
          label={WORDS.turnedBy}
          value={((support.angle ?? 0) * Math.PI) / 180}
          dimension="angle"
          unit="°"
          place={placeText('supports', support.node, 'angle')}
          onCommit={(angle) => put({ ...along, ...(angle && { angle: inDegrees(angle) }) })}
        />
      )}
    </Columns>
  );
}

function Settlement({ support }: { readonly support: Support }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const acting = model.cases[useEditorState(actingIndex)];
  if (!acting) return null;
  const { load, holds } = settlementOf(model, support, acting);
  if (holds.length === 0) return null;
  const nameOf = (freedom: Freedom): CalledAxis => structureAxis(display, freedom.charAt(1) as AxisKey);
  // In the axes of the support, which are small letters where they are its own.
  const isTurned = support.axes !== undefined || Boolean(support.angle);
  return (
    <Columns>
      {holds.map((freedom) => (
        <QuantityField
          key={freedom}
          label={WORDS.settles(isTurned ? nameOf(freedom).letter.toLowerCase() : nameOf(freedom).letter, acting.id)}
          value={load ? alongAxis(nameOf(freedom), load[freedom] ?? 0) : 0}
          dimension="length"
          unit={display.deflection}
          place={load ? placeText('loads', load.id, freedom) : undefined}
          isTurned={nameOf(freedom).sign < 0}
          onCommit={(value) => {
            const next = {
              ...(load ?? { type: 'settlement', case: acting.id, node: support.node }),
              [freedom]: alongAxis(nameOf(freedom), value ?? 0),
            };
            editor.edit({ type: 'put', list: 'loads', entry: next });
          }}
        />
      ))}
    </Columns>
  );
}

function Movement({ id }: { readonly id: string }) {
  const display = useDisplay();
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const rows = solution && movementRows(solution, outcome, solution.structure.names.nodes.indexOf(id), display);
  if (!rows) return null;
  return (
    <>
      <PanelSubtitle>{WORDS.inCase(solution.outcomes[outcome]!.id)}</PanelSubtitle>
      <Table>
        <tbody>
          {rows.map(({ name, value, unit, effect, hasInfluence }) => (
            <tr key={name}>
              <td>{name}</td>
              <td>
                {hasInfluence ? (
                  <InfluenceButton structure={solution.structure} effect={effect}>
                    {value}
                  </InfluenceButton>
                ) : (
                  value
                )}{' '}
                {unit}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <WhereFrom solution={solution} outcome={outcome} />
    </>
  );
}
