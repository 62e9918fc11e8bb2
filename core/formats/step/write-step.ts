import { decoded } from '../decoded';
import { stepEngine } from './engine';
import { Choice, Measure, Reference, type StepValue } from './values';

type Schema = Record<string, new (...values: readonly unknown[]) => Record<string, unknown>>;

/** What is told to a writer: numbers need no kind where the schema says one. */
export type Said = StepValue | number | readonly Said[];

/** Writes a STEP file of IFC 4.3, one entity after the other. `readyStep` comes before it. */
export class StepWriter {
  private readonly engine = stepEngine();
  private readonly classes = this.engine.schema.IFC4X3 as unknown as Schema;
  private readonly model = this.engine.api.CreateModel({ schema: this.engine.schema.Schemas.IFC4X3 });
  private count = 0;

  /** An entity, its attributes by their names: what is not said of them is left out. */
  add(type: string, attributes: Readonly<Record<string, Said | undefined>>): Reference {
    const made = new (this.made(type))();
    // Nothing is said by a null; what is not even that is derived from others.
    for (const name of Object.keys(made))
      if (!isDerived(type, name) && name !== 'type' && name !== 'expressID') made[name] = null;
    for (const [name, value] of Object.entries(attributes)) {
      if (!(name in made)) throw new Error(`${type} has no attribute ${name}`);
      made[name] = value === undefined ? null : this.handed(value);
    }
    made['expressID'] = ++this.count;
    this.engine.api.WriteLine(this.model, made as never);
    return new Reference(this.count);
  }

  /** The file. It is the same for the same entities: nothing of it is taken from the clock. */
  parts(name: string): readonly string[] {
    const { api } = this.engine;
    const text = decoded(api.SaveModel(this.model));
    api.CloseModel(this.model);
    return [
      "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION(('Structural analysis model'),'2;1');\n",
      `FILE_NAME(${inText(name)},'',(''),(''),'','Rigid Beam','');\nFILE_SCHEMA(('IFC4X3_ADD2'));\nENDSEC;\n`,
      text.slice(text.indexOf('\nDATA;') + 1),
    ];
  }

  private made(type: string) {
    const found = this.classes[type];
    if (!found) throw new Error(`There is no ${type}`);
    return found;
  }

  private handed(value: Said): unknown {
    if (value === null) return null;
    if (typeof value === 'number') return new (this.made('IfcReal'))(value);
    if (typeof value === 'boolean') return new (this.made('IfcBoolean'))(value);
    if (typeof value === 'string') return new (this.made('IfcLabel'))(value);
    if (value instanceof Reference) return new this.engine.schema.Handle(value.id);
    if (value instanceof Choice) return { type: this.engine.schema.ENUM, value: value.name };
    if (value instanceof Measure) return new (this.made(value.measure))(value.value);
    return value.map((one) => this.handed(one));
  }
}

/** Whether an attribute follows from others, so that a file has an asterisk in its place. */
const isDerived = (type: string, name: string): boolean => type === 'IfcSIUnit' && name === 'Dimensions';

/** A text as STEP writes it: letters beyond those of ISO 646 by their codes. */
function inText(text: string): string {
  const plain = (part: string): string => part.replaceAll('\\', '\\\\').replaceAll("'", "''");
  const coded = (part: string): string => `\\X2\\${Array.from({ length: part.length }, (_, i) => part.charCodeAt(i).toString(16).toUpperCase().padStart(4, '0')).join('')}\\X0\\`; // oxfmt-ignore
  return `'${text.replace(/[^ -~]+|[ -~]+/gu, (part) => (/^[ -~]/u.test(part) ? plain(part) : coded(part)))}'`;
}
