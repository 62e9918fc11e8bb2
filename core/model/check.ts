import { giveLoadIds, hasLoadIds } from './loads/ids';
import type { Formula, Model } from './model';
import { isFault, type Notice } from './notice';
import { Findings, isObject, type Entity } from './findings';
import { fieldsOfEntry, ofType } from './entry-fields';
import { readFields } from './read-fields';
import { placeOfPath } from './parameters/place-of-path';
import { readParameters } from './parameters/read';
import { checkRelations } from './rules/relations';
import type { Fields } from './fields';
import { combinationFields, listFields, loadFields, optionalLists, rootFields, structureFields } from './schema';

export interface Checked {
  /** Present only when there is no fault. */
  readonly model?: Model;
  readonly notices: readonly Notice[];
  /** True when `model` is not the same as what was given: quantities in texts became numbers, missing lists empty ones. */
  readonly converted?: boolean;
}

const MAXIMUM_NOTICES = 1000;

/**
 * Checks any value as a model: types, units, references, ranges and the other rules of the model format that do not depend on
 * solving. All faults are found in one pass. Quantities written as texts come back as SI numbers; unknown keys are kept and noted. `sound`: a model that was
 * checked and came back as it was; lists that are its own are not read a second time, only held against the others.
 */
export function checkModel(value: unknown, sound?: Model): Checked {
  const findings = new Findings(value);
  const model = readRoot(value, findings, sound as Entity | undefined);
  if (model) checkRelations(model, findings);
  const notices = limited(findings.notices);
  return model && !notices.some(isFault)
    ? { model: model as unknown as Model, notices, converted: findings.converted }
    : { notices };
}

function limited(notices: readonly Notice[]): readonly Notice[] {
  if (notices.length <= MAXIMUM_NOTICES) return notices;
  const rest = notices.slice(MAXIMUM_NOTICES);
  const more: Notice = {
    code: 'more-notices',
    severity: rest.some(isFault) ? 'error' : 'note',
    message: `${rest.length} further notices are not listed. Mend the ones above first.`,
    subjects: [],
  };
  return [...notices.slice(0, MAXIMUM_NOTICES), more];
}

function readRoot(value: unknown, findings: Findings, sound?: Entity): Entity | undefined {
  if (!isObject(value) || value.format !== 'rigid-beam/model') {
    return findings.fault({
      code: 'wrong-format',
      path: 'format',
      value: isObject(value) ? value.format : value,
      what: 'This is not a model file',
      expected: '"rigid-beam/model"',
      remedy: 'Begin the file with "format": "rigid-beam/model"',
    });
  }
  if (value.version !== 1) {
    return findings.fault({
      code: 'wrong-version',
      path: 'version',
      value: value.version,
      what: 'This version of the model format is not known',
      expected: '1',
      remedy: 'Write "version": 1, or use a newer Rigid Beam',
    });
  }
  const listNames = [...Object.keys(listFields), ...Object.keys(optionalLists), 'loads', 'combinations', 'structures'];
  const parameters = readParameters(value, findings);
  findings.scope = parameters.scope;
  const model = readFields(value, rootFields, '', findings, ['format', 'version', ...listNames]);
  if (!model) return undefined;
  if (!Object.hasOwn(model, 'title')) {
    model.title = '';
    findings.converted = true;
  }
  const read = (list: string, fieldsOf: FieldsOf): Entity[] => {
    const own = list === 'parameters' ? parameters.entries : value[list];
    return own !== undefined && own === sound?.[list] ? (own as Entity[]) : readList(own, list, findings, fieldsOf);
  };
  for (const [list, fields] of Object.entries(listFields)) model[list] = read(list, () => fields);
  for (const [list, fields] of Object.entries(optionalLists))
    if (value[list] !== undefined) model[list] = read(list, (item) => (isObject(item) ? fieldsOfEntry(list, item) : fields));
  if (value.structures !== undefined) model.structures = read('structures', byType(structureFields));
  const loads = read('loads', byType(loadFields));
  if (!hasLoadIds(loads)) {
    giveLoadIds(loads);
    findings.converted = true;
  }
  model.loads = loads;
  model.combinations = read('combinations', byType(combinationFields));
  addFormulas(model, parameters.formulas, findings);
  return model;
}

/** What was written as an expression stands in the list of them, and the number that it gives in its place. */
function addFormulas(model: Entity, ofParameters: readonly Formula[], findings: Findings): void {
  const more = new Map(ofParameters.map(({ of, is }) => [of, is]));
  for (const { path, text } of findings.expressions) {
    const of = placeOfPath(path, model);
    if (of !== undefined) more.set(of, text);
  }
  if (more.size === 0) return;
  const written = (model.formulas as Formula[] | undefined) ?? [];
  model.formulas = [...written.filter(({ of }) => !more.has(of)), ...[...more].map(([of, is]) => ({ of, is }))];
}

type FieldsOf = (item: unknown, path: string, findings: Findings) => Fields | undefined;

const byType =
  (tables: { readonly [type: string]: Fields }): FieldsOf =>
  (item, path, findings) => {
    const type = isObject(item) ? item.type : undefined;
    if (typeof type === 'string' && Object.hasOwn(tables, type)) return ofType(tables, item as Entity);
    const expected = `one of ${Object.keys(tables).join(', ')}`;
    return findings.fault({
      code: 'wrong-choice',
      path: `${path}.type`,
      value: type,
      what: 'This type is not known',
      expected,
      remedy: `Choose ${expected}`,
    });
  };

function readList(value: unknown, list: string, findings: Findings, fieldsOf: FieldsOf): Entity[] {
  if (value === undefined) {
    findings.converted = true;
    return [];
  }
  if (!Array.isArray(value)) {
    findings.fault({
      code: 'wrong-type',
      path: list,
      value,
      what: 'A list was expected here',
      expected: 'a list',
      remedy: 'Write [ … ]',
    });
    return [];
  }
  return value.map((item, i) => {
    const path = `${list}[${i}]`;
    const fields = fieldsOf(item, path, findings);
    return (fields && readFields(item, fields, path, findings, ['type'])) ?? {};
  });
}
