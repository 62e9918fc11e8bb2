import { gridThrough, respace } from '@rigid-beam/core/model/grid-lines';
import { axisNames, ORIGIN, type AxisName, type Point } from '@rigid-beam/core/model/point';
import { typicals } from '@rigid-beam/core/model/typical/all';
import {
  initialValues,
  valueFault,
  type Typical,
  type TypicalField,
  type TypicalValues,
} from '@rigid-beam/core/model/typical/typical';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { parseSpacings } from '@rigid-beam/core/quantities/spacings';
import { lengthUnit } from '@rigid-beam/core/quantities/display';

import { make, type Command } from './command';
import { readVector } from './motions';
import { placing } from './placing';

interface Measures {
  readonly values: TypicalValues;
  readonly at: Point;
}

/** `span 17.5, panels 7, at 6 by 0`: each part begins with the name of a measure, or with `at` and where its corner stands. */
function readMeasures(typical: Typical, text: string, unit: string): Measures | string {
  const values: Record<string, TypicalValues[string]> = { ...initialValues(typical) };
  let at: Point = ORIGIN;
  for (const part of text.split(',').map((one) => one.trim())) {
    if (part === '') continue;
    const [, place] = /^at\b(.*)$/i.exec(part) ?? [];
    if (place !== undefined) {
      const found = readVector(place, unit);
      if (typeof found === 'string') return found;
      at = found;
      continue;
    }
    const field = typical.fields.find(({ label }) => startsWith(part, label));
    if (!field) return `“${part}” begins with none of: ${typical.fields.map(({ label }) => label.toLowerCase()).join(', ')}.`;
    const rest = part.slice(firstWord(field.label).length).trim();
    const value = readValue(field, rest, unit);
    if (typeof value === 'object' && 'fault' in value) return `${field.label}: ${value.fault}`;
    values[field.key] = value;
  }
  return typical.fields.map((field) => valueFault(field, values[field.key])).find(Boolean) ?? { values, at };
}

const firstWord = (label: string): string => label.split(' ')[0]!;
const startsWith = (part: string, label: string): boolean => part.toLowerCase().startsWith(firstWord(label).toLowerCase());

function readValue(field: TypicalField, text: string, unit: string): TypicalValues[string] | { readonly fault: string } {
  if (field.kind === 'choice') {
    const choice = field.of.find(({ id, text: words }) => id === text.toLowerCase() || words.startsWith(text.toLowerCase()));
    return choice ? choice.id : { fault: `choose ${field.of.map(({ id }) => id).join(', ')}` };
  }
  if (field.kind === 'spacings') {
    const parsed = parseSpacings(text, unit);
    return parsed.ok ? parsed.steps : { fault: parsed.reason };
  }
  const parsed = field.kind === 'length' ? parseQuantity(text, 'length', unit) : parseQuantity(text, 'number');
  return parsed.ok ? parsed.value : { fault: parsed.reason };
}

export const placingCommands: readonly Command[] = [
  ...typicals.map((typical): Command => ({
    name: `Place ${typical.title.toLowerCase()}`,
    changes: true,
    notation:
      typical.fields.map(({ label }) => firstWord(label).toLowerCase()).join(' …, ') +
      ' …, at … by … (what is left out is as usual)',
    run: (sheet, text) => {
      const { model } = sheet.editor.state;
      const measures = readMeasures(typical, text, lengthUnit(model));
      if (typeof measures === 'string') return measures;
      const refused = make(sheet, placing(model, typical, measures.values, measures.at));
      if (refused === undefined) {
        if (typical.space === 'space') sheet.view.lookAt('corner');
        else sheet.view.showAll();
      }
      return refused;
    },
  })),
  ...axisNames.map((axis: AxisName): Command => ({
    name: `Grid lines across {${axis.toUpperCase()}}`,
    changes: true,
    notation: '3×5.4 + 2.7 (the structure follows; write stay behind it where it must not)',
    fits: (sheet) => axis !== 'z' || sheet.editor.state.model.space === 'space',
    run: (sheet, text) => {
      const { model } = sheet.editor.state;
      const [, spacings, stay] = /^(.*?)(\bstay)?\s*$/.exec(text) as unknown as [string, string, string | undefined];
      const parsed = parseSpacings(spacings, lengthUnit(model));
      if (!parsed.ok) return `Write spacings: ${parsed.reason}`;
      const lines = model.grid?.[axis] ?? { from: gridThrough(model, axis)?.from ?? 0 };
      return make(sheet, respace(model, axis, { ...lines, steps: parsed.steps }, stay ? 'stay' : 'follow'));
    },
  })),
];
