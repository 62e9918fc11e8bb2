'use client';

import { alongAxis } from '@rigid-beam/core/quantities/axis-names';
import { axialStiffness } from '@rigid-beam/core/sections/axial-stiffness';
import { loadComponents, withComponent, type LoadComponent } from '@rigid-beam/core/model/loads/components';
import { isArea, type AreaLoad } from '@rigid-beam/core/model/loads/area/area';
import { barsOf } from '@rigid-beam/core/model/loads/bars';
import { compoundKinds, isCompound } from '@rigid-beam/core/model/loads/compound';
import { changedLike } from '@rigid-beam/core/model/loads/changed-like';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Load } from '@rigid-beam/core/model/model';
import type { LoadPhrase } from '@rigid-beam/core/phrases/phrase';
import { namedPhraseOf } from '@rigid-beam/core/phrases/named-phrase';
import { phraseOfLoad } from '@rigid-beam/core/phrases/phrase-of-load';
import { targetOfLoad } from '@rigid-beam/core/phrases/phrase-target';
import { ALL_DIGITS, phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import { saidLoad, type SaidLoad } from '@rigid-beam/core/phrases/said-load';
import { unitOf } from '@rigid-beam/core/quantities/display';
import { chosenOf } from '../editor/chosen';
import { useDisplay, useEditor, useEditorState, useModel } from '../editor/use-editor';
import { placeWords } from '../sheet/describe-items';
import { loadValue, sizing } from '../sheet/load-values';
import type { SheetController } from '../sheet/controller';
import { Button, Columns, Hint, PanelSubtitle, Select, Stack } from '../ui/controls';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { QuantityField, type Keeping } from '../ui/QuantityField';
import { TextLine } from '../ui/TextLine';
import { LoadActions } from './LoadActions';
import { TrainParts } from './TrainParts';
import { loadCard as WORDS } from './words';
import { axisOf, inAxes, labelOf, measured, placesSaid } from './load-fields';
import { shapeOf } from '@rigid-beam/core/model/loads/member-shape';

/** Loads of one kind in full, by the first of them: size, direction in all components, and where it lies. A change is made to all. */
export function LoadCard({ loads, sheet }: { readonly loads: readonly Load[]; readonly sheet: SheetController | undefined }) {
  const load = loads[0]!;
  const editor = useEditor();
  const display = useDisplay();
  const model = useEditorState((state) => state.model);
  const { space } = model;
  const put = (next: Load): boolean => {
    const intents = loads.map((one): Intent => ({ type: 'put', list: 'loads', entry: { ...changedLike(load, next, one) } }));
    return editor.edit(intents.length === 1 ? intents[0]! : { type: 'batch', intents, label: WORDS.change(loads.length) });
  };
  const { label, value, dimension, unit, resized } = loadValue(load, display);
  const sized = sizing(load, model);
  const keeping: Keeping = {
    text: sized.text,
    keep: (text, to) => {
      const intents = sized.become(to, text);
      if (intents) editor.edit({ type: 'batch', intents, label: WORDS.change(1) });
      else editor.refuse(WORDS.notKept);
    },
  };
  const phrase = namedPhraseOf(load, model);
  const components = loadComponents(load, space);
  const own = components.filter(({ path }) => path.length === 1);
  return (
    <Stack>
      <Hint>{loads.length === 1 ? WORDS.loadOnInCase(load.id, placeWords(load), load.case) : WORDS.several(loads.length)}</Hint>
      {phrase ? (
        <Phrase load={load} phrase={phrase} put={put} />
      ) : (
        <QuantityField
          label={label}
          value={value}
          dimension={dimension}
          unit={unit}
          keeping={loads.length === 1 ? keeping : undefined}
          onCommit={(next) => next !== undefined && put(resized(next))}
        />
      )}
      {'from' in load && (
        <Select label={WORDS.axes} choices={AXES} value={load.axes ?? 'global'} onChange={(axes) => put(inAxes(load, axes))} />
      )}
      {load.type === 'strain' && <Prestress load={load} put={put} />}
      {isArea(load) && <AreaParts load={load} put={put} />}
      {load.type === 'train' && <TrainParts load={load} put={put} />}
      {!isArea(load) && load.type !== 'train' && own.length > 1 && (
        <Components isAlone={loads.length === 1} load={load} components={own} put={put} />
      )}
      {load.type === 'point' && loads.length === 1 && <Places load={load} />}
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
              <Components
                isAlone={loads.length === 1}
                load={load}
                components={components.filter(({ path }) => path[0] === end)}
                put={put}
              />
            </div>
          ))}
          {load.type === 'line' && loads.length === 1 && <Places load={load} />}
        </>
      )}
      {loads.length === 1 && <LoadActions load={load} sheet={sheet} />}
    </Stack>
  );
}

interface PhraseProps {
  readonly load: Load;
  readonly phrase: LoadPhrase;
  readonly put: (load: Load) => boolean;
}

/** The load as it is said, and said again. */
function Phrase({ load, phrase, put }: PhraseProps) {
  const display = useDisplay();
  const model = useEditorState((state) => state.model);
  const said = (text: string): SaidLoad | string => {
    const target = targetOfLoad(load);
    return target ? saidLoad({ text, target, id: load.id, case: load.case, bare: phrase.kind }, model) : '';
  };
  return (
    <TextLine
      label={WORDS.whatActs}
      value={phraseWords(phrase, display, ALL_DIGITS, 'expressions')}
      understand={(text) => {
        const next = said(text);
        if (typeof next === 'string') return { ok: false, words: next };
        const again = phraseOfLoad(next.load, model);
        return { ok: true, words: again ? phraseWords(again, display) : text };
      }}
      onCommit={(text) => {
        const next = said(text);
        // What it has in place of numbers is read with the rest of the model.
        if (typeof next !== 'string') put(next.entry as unknown as Load);
      }}
    />
  );
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
          place={placeText('loads', load.id, 'width')}
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
  /** Whether no other load is changed with it. */
  readonly isAlone: boolean;
  readonly load: Load;
  readonly components: readonly LoadComponent[];
  readonly put: (load: Load) => boolean;
}

function Components({ load, components, put, isAlone }: ComponentsProps) {
  const { space } = useModel();
  const display = useDisplay();
  const own = 'axes' in load && load.axes === 'local' ? 'own ' : '';
  return (
    <Columns>
      {components.map(({ path, dimension, value }) => {
        const key = path.at(-1)!;
        const place = path.length === 2 && key === 'at';
        const sense = axisOf(key, own, { space, display }) ?? { sign: 1 };
        return (
          <QuantityField
            key={path.join('.')}
            label={labelOf(key, own, dimension, { space, display })}
            value={place || value === undefined ? value : alongAxis(sense, value)}
            dimension={dimension}
            unit={dimension === 'length' && key !== 'at' ? display.deflection : unitOf(dimension, display)}
            place={isAlone ? placeText('loads', load.id, ...path) : undefined}
            isTurned={!place && sense.sign < 0}
            {...(place && { mayBeEmpty: true, placeholder: path[0] === 'from' ? WORDS.theStart : WORDS.theEnd })}
            onCommit={(next) =>
              (next !== undefined || place) && put(withComponent(load, path, next === undefined ? next : alongAxis(sense, next)))
            }
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

/** Places on a member, said the other way than they are stored. */
function Places({ load }: { readonly load: Load }) {
  const display = useDisplay();
  const model = useEditorState((state) => state.model);
  const words = placesSaid(load, 'member' in load ? shapeOf(model, load.member)?.length : undefined, display);
  return words === undefined ? null : <Hint className="number">{words}</Hint>;
}
