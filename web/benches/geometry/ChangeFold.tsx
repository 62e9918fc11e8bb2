'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Motion } from '@rigid-beam/core/model/edits/motion';
import type { Model } from '@rigid-beam/core/model/model';
import { axisNames, minus, type AxisName, type Point } from '@rigid-beam/core/model/point';
import { middleOf, nodesOf, type Chosen } from '@rigid-beam/core/model/selecting';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { chosenOf } from '../../session/chosen';
import { NORMALS, repeatOf, transformOf } from '../../commands/motions';
import { useEditor, useEditorState } from '../../session/use-editor';
import type { SheetController } from '../../sheet/controller';
import { PickTool } from '../../sheet/tools/pick-tool';
import { Button, Columns, Hint, Row, Select, ToggleButton } from '../../ui/controls';
import { Fold } from '../../ui/Fold';
import { QuantityField } from '../../ui/QuantityField';

type How = 'move' | 'turn' | 'mirror';
type What = 'itself' | 'copy';

interface Form {
  readonly how: How;
  readonly what: What;
  readonly by: Point;
  readonly degrees: number;
  readonly axis: AxisName;
  readonly about: Point | undefined;
  readonly times: number;
  readonly link: string;
  readonly belongings: 'copied' | 'left';
}

const START: Form = {
  how: 'move',
  what: 'itself',
  by: [0, 0, 0],
  degrees: 90,
  axis: 'z',
  about: undefined,
  times: 1,
  link: '',
  belongings: 'copied',
};

/** Moves, turns, mirrors, copies and repeats what is selected, shown on the sheet before it is done; splits and joins members. */
export function ChangeFold({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  const selection = useEditorState((state) => state.selection);
  const chosen = useMemo(() => chosenOf(selection), [selection]);
  const any = chosen.nodes.length + chosen.members.length > 0;
  return (
    <Fold title="Change the selection" note={any ? undefined : 'nothing is selected'} startsOpen>
      {any ? (
        <ChangeForm key={model.space} sheet={sheet} model={model} chosen={chosen} />
      ) : (
        <Hint>Select nodes and members on the sheet first.</Hint>
      )}
      {chosen.members.length > 0 && <SplitRow chosen={chosen} />}
      {chosen.members.length > 1 && (
        <Row>
          <Button onPress={() => editor.edit({ type: 'join', members: chosen.members })}>Join in one line</Button>
          <Button onPress={() => editor.edit({ type: 'joints', members: chosen.members })}>Joints at crossings</Button>
        </Row>
      )}
    </Fold>
  );
}

interface ChangeFormProps {
  readonly sheet: SheetController;
  readonly model: Model;
  readonly chosen: Chosen;
}

function ChangeForm({ sheet, model, chosen }: ChangeFormProps) {
  const editor = useEditor();
  const [form, setForm] = useState<Form>(START);
  const [touched, setTouched] = useState(false);
  const unit = lengthUnit(model);
  const change = (part: Partial<Form>): void => {
    setForm((before) => ({ ...before, ...part }));
    setTouched(true);
  };
  const nodes = useMemo(() => nodesOf(model, chosen), [model, chosen]);
  const about = form.about ?? middleOf(model, nodes);
  const axes = model.space === 'plane' ? (['x', 'y'] as const) : axisNames;
  const intent = useMemo(() => intentOf(model, chosen, form, about), [model, chosen, form, about]);
  const refused = touched && isReady(form) ? refusalOf(editor.refusalOf(intent)) : undefined;

  // What would be done is drawn and solved until it is done, or something else is selected.
  useEffect(() => {
    if (touched && isReady(form)) editor.preview(intent);
    else editor.endPreview();
  }, [editor, intent, touched, form]);
  useEffect(() => () => editor.endPreview(), [editor]);

  const pickWay = (): void =>
    sheet.take(
      new PickTool(sheet, ['Click where the way begins.', 'Click where it leads.'], ([from, to]) =>
        change({ by: minus(to!, from!) }),
      ),
    );
  const pickMiddle = (): void =>
    sheet.take(new PickTool(sheet, ['Click the point that stays where it is.'], ([at]) => change({ about: at })));
  const apply = (): void => {
    editor.endPreview();
    if (editor.edit(intent)) setTouched(false);
  };

  return (
    <>
      <Row role="group" aria-label="How">
        {(['move', 'turn', 'mirror'] as const).map((how) => (
          <ToggleButton
            key={how}
            isSelected={form.how === how}
            onChange={() => change({ how, axis: how === 'turn' ? 'z' : 'x' })}
          >
            {how === 'move' ? 'Move' : how === 'turn' ? 'Turn' : 'Mirror'}
          </ToggleButton>
        ))}
        <ToggleButton isSelected={form.what === 'copy'} onChange={(on) => change({ what: on ? 'copy' : 'itself' })}>
          as a copy
        </ToggleButton>
      </Row>
      {form.how === 'move' && (
        <>
          <Columns>
            {axes.map((axis, k) => (
              <QuantityField
                key={axis}
                label={WAYS[axis]}
                value={form.by[k]!}
                dimension="length"
                unit={unit}
                onCommit={(value) =>
                  change({ by: form.by.map((part, i) => (i === k ? (value ?? 0) : part)) as unknown as Point })
                }
              />
            ))}
          </Columns>
          <Button onPress={pickWay}>Show the way by two points</Button>
        </>
      )}
      {form.how !== 'move' && (
        <>
          <Columns>
            {form.how === 'turn' && (
              <QuantityField
                label="By"
                value={(form.degrees * Math.PI) / 180}
                dimension="angle"
                unit="deg"
                onCommit={(value) => change({ degrees: Number((((value ?? 0) * 180) / Math.PI).toFixed(9)) })}
              />
            )}
            {(form.how === 'mirror' || model.space === 'space') && (
              <Select
                label={form.how === 'turn' ? 'About' : 'Mirror across'}
                choices={(form.how === 'turn' ? axisNames : axes).map((id) => ({ id, text: id.toUpperCase() }))}
                value={form.axis}
                onChange={(axis) => change({ axis: axis as AxisName })}
              />
            )}
            {(form.how === 'mirror' ? [form.axis] : axes.filter((axis) => axis !== form.axis)).map((axis) => {
              const k = axisNames.indexOf(axis);
              return (
                <QuantityField
                  key={axis}
                  label={form.how === 'mirror' ? `Mirror stands at ${axis.toUpperCase()}` : `Around ${axis.toUpperCase()}`}
                  value={about[k]}
                  dimension="length"
                  unit={unit}
                  onCommit={(value) =>
                    change({ about: about.map((part, i) => (i === k ? (value ?? 0) : part)) as unknown as Point })
                  }
                />
              );
            })}
          </Columns>
          <Button onPress={pickMiddle}>Show that point on the sheet</Button>
        </>
      )}
      {form.what === 'copy' && <CopyFields model={model} form={form} change={change} />}
      {refused && <Hint role="alert">{refused}</Hint>}
      <Row>
        <Button isDisabled={!isReady(form) || !touched || refused !== undefined} onPress={apply}>
          {form.what === 'copy' ? (form.times > 1 ? `Make ${form.times} copies` : 'Make the copy') : DONE[form.how]}
        </Button>
        {touched && <Button onPress={() => setTouched(false)}>Leave it</Button>}
      </Row>
    </>
  );
}

const WAYS: Record<AxisName, string> = { x: 'Across', y: 'Up', z: 'Forward' };
const DONE: Record<How, string> = { move: 'Move it', turn: 'Turn it', mirror: 'Mirror it' };

interface CopyFieldsProps {
  readonly model: Model;
  readonly form: Form;
  readonly change: (part: Partial<Form>) => void;
}

function CopyFields({ model, form, change }: CopyFieldsProps) {
  return (
    <Columns>
      {form.how !== 'mirror' && (
        <QuantityField
          label="Times"
          value={form.times}
          dimension="number"
          unit=""
          onCommit={(value) => change({ times: Math.max(1, Math.round(value ?? 1)) })}
        />
      )}
      <Select
        label="Loads and supports"
        choices={[
          { id: 'copied', text: 'copied' },
          { id: 'left', text: 'left out' },
        ]}
        value={form.belongings}
        onChange={(id) => change({ belongings: id as Form['belongings'] })}
      />
      <Select
        label="Members to the copy"
        choices={[{ id: '', text: 'none' }, ...model.sections.map(({ id }) => ({ id, text: id }))]}
        value={form.link}
        onChange={(link) => change({ link })}
      />
    </Columns>
  );
}

function motionOf({ how, by, degrees, axis }: Form, about: Point): Motion {
  if (how === 'move') return { kind: 'move', by };
  if (how === 'turn') return { kind: 'turn', about, axis, degrees };
  return { kind: 'mirror', at: about, normal: NORMALS[axis] };
}

function intentOf(model: Model, chosen: Chosen, form: Form, about: Point): Intent {
  const motion = motionOf(form, about);
  if (form.what === 'itself') return transformOf(model, chosen, motion);
  const material = model.members.at(-1)?.material ?? model.materials[0]?.id ?? '';
  return repeatOf(chosen, motion, {
    times: form.how === 'mirror' ? 1 : form.times,
    supports: form.belongings,
    loads: form.belongings,
    ...(form.link !== '' && { link: { section: form.link, material } }),
  });
}

const isReady = ({ how, by }: Form): boolean => how !== 'move' || by.some((part) => part !== 0);
const refusalOf = (faults: readonly { readonly message: string }[]): string | undefined => faults[0]?.message;

function SplitRow({ chosen }: { readonly chosen: Chosen }) {
  const editor = useEditor();
  const [parts, setParts] = useState(2);
  const split = (): void => {
    const at = Array.from({ length: parts - 1 }, (_, i) => (i + 1) / parts);
    editor.edit({ type: 'split', cuts: chosen.members.map((member) => ({ member, at })) });
  };
  return (
    <Columns>
      <QuantityField
        label="Equal parts"
        value={parts}
        dimension="number"
        unit=""
        onCommit={(value) => setParts(Math.min(200, Math.max(2, Math.round(value ?? 2))))}
      />
      <Button onPress={split}>Split</Button>
    </Columns>
  );
}
