'use client';

import { useEffect, useMemo, useState } from 'react';
import { minus, type AxisName } from '@rigid-beam/core/model/point';
import type { Chosen } from '@rigid-beam/core/model/selecting';
import { along, beginning } from '../../commands/change-edits';
import type { Edit } from '../../commands/command';
import type { Arguments, Value, Values } from '../../commands/grammar';
import { useEditor, useModel } from '../../editor/use-editor';
import type { SheetController } from '../../sheet/controller';
import { PickTool } from '../../sheet/tools/pick-tool';
import { Button, Columns, Hint, Row } from '../../ui/controls';
import { ArgumentField } from './ArgumentField';
import { editForm as WORDS } from './words';

interface EditFormProps<A extends Arguments> {
  readonly sheet: SheetController;
  readonly edit: Edit<A>;
  readonly chosen: Chosen;
}

type Typed = { readonly [name: string]: Value | undefined };

/** An edit as a form: a field for each of its arguments, and what it would do drawn and solved before it is done. */
export function EditForm<A extends Arguments>({ sheet, edit, chosen }: EditFormProps<A>) {
  const editor = useEditor();
  const model = useModel();
  const [typed, setTyped] = useState<Typed>({});
  const [touched, setTouched] = useState(false);
  const stored = editor.state.model;
  const first = useMemo((): Typed => beginning(stored, chosen), [stored, chosen]);
  const change = (name: string, value: Value | undefined): void => {
    setTyped((before) => ({ ...before, [name]: value }));
    setTouched(true);
  };
  const names = Object.keys(edit.arguments).filter((name) => !(edit.arguments[name]!.inSpace && model.space === 'plane'));
  const values = useMemo(
    (): Typed =>
      Object.fromEntries(
        Object.keys(edit.arguments).map((name) => [
          name,
          name in typed ? typed[name] : (edit.arguments[name]!.default ?? first[name]),
        ]),
      ),
    [edit, typed, first],
  );
  const lacks = Object.entries(edit.arguments).some(([name, { optional }]) => !optional && values[name] === undefined);
  const made = useMemo(
    () => (lacks ? '' : edit.edit(values as Values<A>, editor.state, chosen)),
    [lacks, edit, values, editor, chosen],
  );
  const intent = typeof made === 'string' ? undefined : made;
  const fault = useMemo(() => (touched && intent ? editor.refusalOf(intent)[0]?.message : undefined), [touched, intent, editor]);
  const refused = touched && typeof made === 'string' && made !== '' ? made : fault;

  // What would be done is drawn and solved until it is done, or something else is selected.
  useEffect(() => {
    if (touched && intent) editor.preview(intent);
    else editor.endPreview();
  }, [editor, intent, touched]);
  useEffect(() => () => editor.endPreview(), [editor]);

  const show = (name: string): void => {
    const { shown, kind } = edit.arguments[name]!;
    const asked = shown === 'way' ? [WORDS.clickWhereTheWayBegins, WORDS.clickWhereItLeads] : [WORDS.clickThePoint];
    sheet.take(
      new PickTool(sheet, asked, ([from, to]) => {
        if (shown === 'way') change(name, minus(to!, from!));
        else change(name, kind === 'length' ? along(from!, (values.along ?? 'x') as AxisName) : from!);
      }),
    );
  };
  const apply = (): void => {
    if (!intent) return;
    editor.endPreview();
    if (!editor.edit(intent, edit.label)) return;
    setTouched(false);
    setTyped({});
  };

  return (
    <>
      <Columns>
        {names.map((name) => (
          <ArgumentField
            key={name}
            argument={edit.arguments[name]!}
            value={values[name]}
            model={model}
            onChange={(value) => change(name, value)}
          />
        ))}
      </Columns>
      {names.map((name) => {
        const { shown } = edit.arguments[name]!;
        return (
          shown && (
            <Button key={name} onPress={() => show(name)}>
              {shown === 'way' ? WORDS.byTwoPoints : WORDS.pointAtIt}
            </Button>
          )
        );
      })}
      {refused && <Hint role="alert">{refused}</Hint>}
      <Row>
        <Button isDisabled={intent === undefined || refused !== undefined} onPress={apply}>
          {edit.done ?? edit.name}
        </Button>
        {touched && <Button onPress={() => setTouched(false)}>{WORDS.cancel}</Button>}
      </Row>
    </>
  );
}
