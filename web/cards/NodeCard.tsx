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
import { axisOfComponent, forceComponent, inComponentOrder, movementComponent } from '@rigid-beam/core/tables/results/components';
import type { Component, Effect } from '@rigid-beam/core/influence/effect';
import { isHeld } from '@rigid-beam/core/influence/read-effect';
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
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { axisNames } from '@rigid-beam/core/model/point';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import { quiet, sizesOf } from '@rigid-beam/core/results/noise';
import { responseOf } from '@rigid-beam/core/results/sums';
import { membersAt, turnedAlong, type Meeting } from '@rigid-beam/core/model/support-along';
import { turnOf } from '@rigid-beam/core/model/support-axes';
import { kindOf, supportKindsOf, supportOf } from '@rigid-beam/core/model/support-kinds';
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
  const kind = support ? (kindOf(support, model.space) ?? 'other') : 'none';
  const choices = [
    { id: 'none', text: WORDS.noSupport },
    ...supportKindsOf(model.space).map(({ id, text }) => ({ id, text: withAxes(text, display) })),
    ...(kind === 'other' ? [{ id: 'other', text: WORDS.withSpringsOrOther }] : []),
  ];
  const choose = (id: string): void => {
    const intents = nodes.flatMap(({ id: name }): Intent[] => {
      const before = model.supports.find((one) => one.node === name);
      if (id !== 'none') return [{ type: 'put', list: 'supports', entry: { ...supportOf(id, name, before, model.space) } }];
      return before ? [{ type: 'remove', list: 'supports', keys: [name] }] : [];
    });
    if (intents.length > 0)
      editor.propose(intents.length === 1 ? intents[0]! : { type: 'batch', intents, label: WORDS.supportNodes(nodes.length) });
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
  const setFreedom = (freedom: Freedom, restraint: Restraint): void => {
    const set = { ...support, [freedom]: restraint };
    // What does not hold does not push.
    put(restraint === 'free' && isTranslation(freedom) ? pushing(set, freedom, undefined) : set);
  };
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
  const meeting = membersAt(model, support.node).slice(0, MOST_MEMBERS);
  const { angle: _, axes, ...along } = support;
  const isAlong = (one: Meeting): boolean => {
    const [own, other] = [turnOf(support), turnOf(turnedAlong(support, one, model.space))];
    return (own ?? IDENTITY).every((part, i) => Math.abs(part - (other ?? IDENTITY)[i]!) < 1e-9);
  };
  const turned = axes || support.angle ? meeting.find(isAlong) : undefined;
  const value = turned ? `along ${turned.id}` : axes ? 'own' : 'global';
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
          const member = meeting.find((one) => id === `along ${one.id}`);
          if (member) put(turnedAlong(support, member, model.space));
          else if (id === 'global') put(along);
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

const IDENTITY = Float64Array.of(1, 0, 0, 0, 1, 0, 0, 0, 1);
/** Members of a node that are offered. */
const MOST_MEMBERS = 12;

function Settlement({ support }: { readonly support: Support }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const acting = model.cases[useEditorState(actingIndex)];
  if (!acting) return null;
  const load = model.loads.find(
    ({ type, case: id, ...one }) => type === 'settlement' && 'node' in one && one.node === support.node && id === acting.id,
  );
  const holds = (['ux', 'uy', 'uz'] as const).filter(
    (freedom) => support[freedom] === 'fixed' || (typeof support[freedom] === 'number' && support[freedom] > 0),
  );
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
          value={load?.type === 'settlement' ? alongAxis(nameOf(freedom), load[freedom] ?? 0) : 0}
          dimension="length"
          unit={display.deflection}
          place={load?.type === 'settlement' ? placeText('loads', load.id, freedom) : undefined}
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

/** How a node moves, or what its support exerts, and what of it an influence line is of. */
interface MovementRow {
  readonly name: string;
  readonly value: string;
  readonly unit: string;
  readonly effect: Exclude<Effect, { kind: 'along' }>;
}

function Movement({ id }: { readonly id: string }) {
  const display = useDisplay();
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const linear = solution && responseOf(solution, outcome);
  const index = solution?.structure.names.nodes.indexOf(id) ?? -1;
  if (!solution || !linear || index < 0) return null;
  const { active } = solution.structure;
  const isPlane = active.length < 6;
  const order = inComponentOrder(active, display);
  const rows: MovementRow[] = order.map((k) => {
    const effect: MovementRow['effect'] = { kind: 'movement', node: index, component: k as Component };
    const axis = axisOfComponent(k, display);
    const amount = alongAxis(movementComponent(k, active, display), linear.displacements[6 * index + k]!);
    if (k < 3)
      return {
        name: WORDS.movesAlong(axis.letter),
        value: showNumber(inUnit(amount, display.deflection)),
        unit: display.deflection,
        effect,
      };
    return { name: isPlane ? WORDS.turns : WORDS.turnsAbout(axis.letter), value: showNumber(amount * 1e3), unit: 'mrad', effect };
  });
  if (solution.supported[index]) {
    const sizes = sizesOf(solution, outcome);
    for (const k of order) {
      const axis = axisOfComponent(k, display);
      const unit = k < 3 ? display.force : display.moment;
      const name = k < 3 ? WORDS.reaction(axis.letter) : isPlane ? WORDS.couple : WORDS.coupleAbout(axis.letter);
      const size = k < 3 ? sizes.force : sizes.couple;
      const amount = alongAxis(forceComponent(k, active, display), quiet(linear.reactions[6 * index + k]!, size));
      const effect: MovementRow['effect'] = { kind: 'reaction', node: index, component: k as Component };
      rows.push({ name, value: showNumber(inUnit(amount, unit)), unit, effect });
    }
  }
  return (
    <>
      <PanelSubtitle>{WORDS.inCase(solution.outcomes[outcome]!.id)}</PanelSubtitle>
      <Table>
        <tbody>
          {rows.map(({ name, value, unit, effect }) => (
            <tr key={name}>
              <td>{name}</td>
              <td>
                {effect.kind === 'movement' || isHeld(solution.structure, index, effect.component) ? (
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
