'use client';

import { useState } from 'react';
import { copyLoads } from '@rigid-beam/core/model/edits/copy-case';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { axialStiffness } from '@rigid-beam/core/model/loads/prestress';
import { mirroredOnMember } from '@rigid-beam/core/model/loads/mirrored';
import { phraseOfLoad } from '@rigid-beam/core/model/loads/phrase-of-load';
import { shapeOf } from '@rigid-beam/core/model/loads/member-shape';
import { phraseWords } from '@rigid-beam/core/model/loads/phrase-words';
import { scaledLoad } from '@rigid-beam/core/model/loads/scaled';
import { loadComponents, withComponent, type LoadComponent } from '@rigid-beam/core/model/loads/components';
import type { AreaLoad } from '@rigid-beam/core/model/loads/area/area';
import { barsOf } from '@rigid-beam/core/model/loads/bars';
import { compoundKinds, isCompound } from '@rigid-beam/core/model/loads/compound';
import type { Load } from '@rigid-beam/core/model/model';
import type { DimensionName } from '@rigid-beam/core/quantities/dimension';
import { unitOf } from '@rigid-beam/core/quantities/display';
import { showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { chosenOf } from '../session/chosen';
import { useDisplay, useEditor, useEditorState } from '../session/use-editor';
import { placeWords } from '../sheet/describe-items';
import { loadValue } from '../sheet/load-values';
import type { SheetController } from '../sheet/controller';
import { ApplyTool } from '../sheet/tools/apply-tool';
import { Button, Columns, Hint, PanelSubtitle, Row, Select, Stack } from '../ui/controls';
import { QuantityField } from '../ui/QuantityField';
import { loadCard as WORDS } from './words';

type Stretched = Extract<Load, { readonly from: object }>;

/** One load in full: its size, its direction in all components, and where it lies. */
export function LoadCard({ load, sheet }: { readonly load: Load; readonly sheet: SheetController | undefined }) {
  const editor = useEditor();
  const display = useDisplay();
  const space = useEditorState((state) => state.model.space);
  const put = (next: Load): boolean => editor.edit({ type: 'put', list: 'loads', entry: { ...next } });
  const { label, value, dimension, unit, resized } = loadValue(load, display);
  const components = loadComponents(load, space);
  const own = components.filter(({ path }) => path.length === 1);
  return (
    <Stack>
      <Hint>{WORDS.loadOnInCase(load.id, placeWords(load), load.case)}</Hint>
      {'from' in load && (
        <Select label={WORDS.axes} choices={AXES} value={load.axes ?? 'global'} onChange={(axes) => put(withAxes(load, axes))} />
      )}
      <QuantityField
        label={label}
        value={value}
        dimension={dimension}
        unit={unit}
        onCommit={(next) => next !== undefined && put(resized(next))}
      />
      {load.type === 'strain' && <Prestress load={load} put={put} />}
      {load.type === 'area' && <AreaParts load={load} put={put} />}
      {load.type !== 'area' && own.length > 1 && <Components load={load} components={own} put={put} />}
      {'from' in load && (
        <>
          <Select
            label={WORDS.positions}
            choices={POSITIONS}
            value={load.measure ?? 'ratio'}
            onChange={(measure) => put(measured(load, measure as 'ratio' | 'length'))}
          />
          {(['from', 'to'] as const).map((end) => (
            <div key={end}>
              <PanelSubtitle>{end === 'from' ? WORDS.begins : WORDS.ends}</PanelSubtitle>
              <Components load={load} components={components.filter(({ path }) => path[0] === end)} put={put} />
            </div>
          ))}
        </>
      )}
      <LoadActions load={load} sheet={sheet} />
    </Stack>
  );
}

/** What is done with a load as a whole: others like it, copies, another size, the other way round. */
function LoadActions({ load, sheet }: { readonly load: Load; readonly sheet: SheetController | undefined }) {
  const editor = useEditor();
  const display = useDisplay();
  const model = useEditorState((state) => state.model);
  const [factor, setFactor] = useState(2);
  const others = model.cases.filter(({ id }) => id !== load.case);
  const words = (one: Load): string => {
    const phrase = phraseOfLoad(one, model);
    return phrase ? phraseWords(phrase, display) : JSON.stringify(loadValue(one, display).value);
  };
  const alike = (): void => {
    const like = words(load);
    const found = model.loads.filter((one) => one.case === load.case && one.type === load.type && words(one) === like);
    editor.select(found.map(({ id }) => ({ kind: 'load', id })));
  };
  const put = (intents: readonly Intent[], label: string): boolean => editor.edit({ type: 'batch', intents, label });
  const mirrored = load.type === 'line' || load.type === 'point';
  return (
    <>
      <PanelSubtitle>{WORDS.asAWhole}</PanelSubtitle>
      <Row>
        <Button onPress={alike}>{WORDS.alike}</Button>
        {mirrored && (
          <Button
            onPress={() => {
              const length = shapeOf(model, load.member)?.length ?? 0;
              editor.edit({ type: 'put', list: 'loads', entry: { ...mirroredOnMember(load, length) } });
            }}
          >
            {WORDS.mirror}
          </Button>
        )}
        {'member' in load && sheet && (
          <Button
            onPress={() =>
              sheet.take(
                new ApplyTool(sheet, {
                  name: WORDS.copyTool,
                  hint: WORDS.copyHint,
                  on: 'member',
                  intent: (_, member) => {
                    const { id: __, ...rest } = load;
                    return { type: 'put', list: 'loads', entry: { ...rest, member } };
                  },
                }),
              )
            }
          >
            {WORDS.copyTool}
          </Button>
        )}
      </Row>
      <Row>
        <QuantityField
          label={WORDS.factor}
          value={factor}
          dimension="number"
          unit=""
          onCommit={(value) => value !== undefined && setFactor(value)}
        />
        <Button onPress={() => editor.edit({ type: 'put', list: 'loads', entry: { ...scaledLoad(load, factor) } })}>
          {WORDS.scale}
        </Button>
      </Row>
      <Places load={load} />
      {others.length > 0 && (
        <Select
          label={WORDS.copyTo}
          choices={[
            { id: '', text: WORDS.chooseCase },
            ...others.map(({ id, title }) => ({ id, text: title ? `${id} · ${title}` : id })),
          ]}
          value=""
          onChange={(id) => id !== '' && put(copyLoads([load], id, 1), WORDS.copied(load.id, id))}
        />
      )}
    </>
  );
}

/** Places on a member, said the other way than they are stored: lengths as parts, parts as lengths. */
function Places({ load }: { readonly load: Load }) {
  const display = useDisplay();
  const model = useEditorState((state) => state.model);
  const length = 'member' in load ? shapeOf(model, load.member)?.length : undefined;
  const all = load.type === 'point' ? [load.at] : load.type === 'line' ? [load.from.at ?? 0, load.to.at] : [];
  const isLength = 'measure' in load && load.measure === 'length';
  if (length === undefined || all.length === 0) return null;
  const words = all.map((at) => {
    const metres = at === undefined ? length : isLength ? at : at * length;
    return isLength ? showNumber(metres / length, 4) : showQuantity(metres, display.length, 4);
  });
  return <Hint className="number">{isLength ? WORDS.asParts(words.join(', ')) : WORDS.asLengths(words.join(', '))}</Hint>;
}

/** A lack of fit as the force that it would be between held ends. */
function Prestress({
  load,
  put,
}: {
  readonly load: Extract<Load, { readonly type: 'strain' }>;
  readonly put: (load: Load) => boolean;
}) {
  const display = useDisplay();
  const stiffness = useEditorState(({ model }) => axialStiffness(model, load.member));
  if (stiffness === undefined) return null;
  return (
    <>
      <QuantityField
        label={WORDS.prestress}
        value={-load.elongation * stiffness}
        dimension="force"
        unit={display.force}
        onCommit={(force) => force !== undefined && put({ ...load, elongation: -force / stiffness })}
      />
      <Hint>{WORDS.prestressHint}</Hint>
    </>
  );
}

interface AreaPartsProps {
  readonly load: AreaLoad;
  readonly put: (load: Load) => boolean;
}

/** How a pressure acts, and who carries it. */
function AreaParts({ load, put }: AreaPartsProps) {
  const editor = useEditor();
  const display = useDisplay();
  const model = useEditorState((state) => state.model);
  const chosen = chosenOf(useEditorState((state) => state.selection)).members;
  const carriers = isCompound(load) ? compoundKinds.area.members(load, barsOf(model)) : [];
  return (
    <>
      <Select
        label={WORDS.acts}
        choices={AREA_DIRECTIONS}
        value={load.direction ?? 'down'}
        onChange={(id) => put({ ...load, direction: id as AreaLoad['direction'] & string })}
      />
      {load.nodes ? (
        <Select
          label={WORDS.carried}
          choices={[
            { id: 'twoWay', text: WORDS.twoWay },
            { id: 'oneWay', text: WORDS.oneWay },
          ]}
          value={load.spread ?? 'twoWay'}
          onChange={(id) => {
            const { to: _, ...rest } = load;
            put({ ...rest, spread: id as AreaLoad['spread'] & string });
          }}
        />
      ) : (
        <QuantityField
          label={WORDS.width}
          value={load.width}
          dimension="length"
          unit={display.length}
          onCommit={(width) => width !== undefined && put({ ...load, width })}
        />
      )}
      {load.spread === 'oneWay' && chosen.length > 1 && (
        <Button onPress={() => put({ ...load, to: chosen })}>{WORDS.carryOn(chosen.length)}</Button>
      )}
      <Button onPress={() => editor.select(carriers.map((id) => ({ kind: 'member', id })))}>
        {WORDS.selectCarriers(carriers.length)}
      </Button>
    </>
  );
}

const AREA_DIRECTIONS = [
  { id: 'down', text: WORDS.downOnArea },
  { id: 'plan', text: WORDS.downOnPlan },
  { id: 'normal', text: WORDS.squareToPanel },
];

interface ComponentsProps {
  readonly load: Load;
  readonly components: readonly LoadComponent[];
  readonly put: (load: Load) => boolean;
}

function Components({ load, components, put }: ComponentsProps) {
  const display = useDisplay();
  const own = 'axes' in load && load.axes === 'local' ? 'own ' : '';
  return (
    <Columns>
      {components.map(({ path, dimension, value }) => {
        const key = path.at(-1)!;
        const place = path.length === 2 && key === 'at';
        return (
          <QuantityField
            key={path.join('.')}
            label={labelOf(key, own, dimension)}
            value={place ? value : (value ?? 0)}
            dimension={dimension}
            unit={dimension === 'length' && key !== 'at' ? display.deflection : unitOf(dimension, display)}
            {...(place && { mayBeEmpty: true, placeholder: path[0] === 'from' ? WORDS.theStart : WORDS.theEnd })}
            onCommit={(next) => (next !== undefined || place) && put(withComponent(load, path, next))}
          />
        );
      })}
    </Columns>
  );
}

const AXES = [
  { id: 'global', text: WORDS.globalAlongTheMember },
  { id: 'projected', text: WORDS.globalOnPlan },
  { id: 'local', text: WORDS.theMembersOwnAxes },
];
const POSITIONS = [
  { id: 'ratio', text: WORDS.asPartsOfTheLength },
  { id: 'length', text: WORDS.asLengthsFromTheStart },
];

const withAxes = (load: Stretched, axes: string): Load => ({ ...load, axes: axes as NonNullable<Stretched['axes']> });

/** A position keeps its number only where it means the same: the whole length does. */
function measured(load: Stretched, measure: 'ratio' | 'length'): Load {
  const { at: _, ...from } = load.from;
  const { at: __, ...to } = load.to;
  return { ...load, measure, from, to };
}

const KINDS: Readonly<Record<string, string>> = {
  f: WORDS.force,
  m: WORDS.couple,
  w: WORDS.intensity,
  u: WORDS.settlement,
  r: WORDS.rotation,
};
const NAMES: Readonly<Record<string, string>> = {
  uniform: WORDS.temperature,
  gradientY: WORDS.gradientAlongY,
  gradientZ: WORDS.gradientAlongZ,
  elongation: WORDS.tooLongBy,
};

function labelOf(key: string, own: string, dimension: DimensionName): string {
  if (key === 'at') return dimension === 'length' ? WORDS.fromTheStart : WORDS.partOfTheLength;
  const name = NAMES[key];
  if (name !== undefined) return name;
  const axis = key.slice(1);
  return `${KINDS[key.charAt(0)] ?? key} ${own}${own ? axis : axis.toUpperCase()}`;
}
