import { Measure, type StepEntity } from '../step/values';
import { DERIVED } from './write-units';
import { ifcReading as WORDS } from './words';

const PREFIXES: Readonly<Record<string, number>> = {
  ...{ EXA: 1e18, PETA: 1e15, TERA: 1e12, GIGA: 1e9, MEGA: 1e6, KILO: 1e3, HECTO: 1e2, DECA: 1e1 },
  ...{ DECI: 1e-1, CENTI: 1e-2, MILLI: 1e-3, MICRO: 1e-6, NANO: 1e-9, PICO: 1e-12, FEMTO: 1e-15, ATTO: 1e-18 },
};

/** What one of a unit of the SI without prefix is in m, kg, s, K, rad, N; and to which power a prefix counts. */
const NAMED: Readonly<Record<string, readonly [value: number, power: number]>> = {
  ...{ METRE: [1, 1], GRAM: [1e-3, 1], SECOND: [1, 1], KELVIN: [1, 1], RADIAN: [1, 1], NEWTON: [1, 1], PASCAL: [1, 1] },
  // Differences of temperature are meant wherever one is read.
  ...{ DEGREE_CELSIUS: [1, 1], SQUARE_METRE: [1, 2], CUBIC_METRE: [1, 3] },
};

/** Which unit a measure is in; nothing of those that are plain numbers. */
const UNIT_OF: Readonly<Record<string, string | undefined>> = {
  ...{ IFCLENGTHMEASURE: 'LENGTHUNIT', IFCPOSITIVELENGTHMEASURE: 'LENGTHUNIT', IFCNONNEGATIVELENGTHMEASURE: 'LENGTHUNIT' },
  ...{ IFCPLANEANGLEMEASURE: 'PLANEANGLEUNIT', IFCPOSITIVEPLANEANGLEMEASURE: 'PLANEANGLEUNIT' },
  ...{ IFCFORCEMEASURE: 'FORCEUNIT', IFCTORQUEMEASURE: 'TORQUEUNIT', IFCLINEARFORCEMEASURE: 'LINEARFORCEUNIT' },
  ...{ IFCLINEARMOMENTMEASURE: 'LINEARMOMENTUNIT', IFCLINEARSTIFFNESSMEASURE: 'LINEARSTIFFNESSUNIT' },
  ...{ IFCROTATIONALSTIFFNESSMEASURE: 'ROTATIONALSTIFFNESSUNIT', IFCAREAMEASURE: 'AREAUNIT' },
  ...{ IFCMOMENTOFINERTIAMEASURE: 'MOMENTOFINERTIAUNIT', IFCSECTIONMODULUSMEASURE: 'SECTIONMODULUSUNIT' },
  ...{ IFCMODULUSOFELASTICITYMEASURE: 'MODULUSOFELASTICITYUNIT', IFCSHEARMODULUSMEASURE: 'SHEARMODULUSUNIT' },
  ...{ IFCPRESSUREMEASURE: 'PRESSUREUNIT', IFCMASSDENSITYMEASURE: 'MASSDENSITYUNIT' },
  IFCTHERMALEXPANSIONCOEFFICIENTMEASURE: 'THERMALEXPANSIONCOEFFICIENTUNIT',
  IFCTHERMODYNAMICTEMPERATUREMEASURE: 'THERMODYNAMICTEMPERATUREUNIT',
};
const PLAIN =
  /^IFC(REAL|INTEGER|NUMERICMEASURE|(POSITIVE|NORMALISED)?RATIOMEASURE|COUNTMEASURE|DIMENSIONCOUNT|CARDINALPOINTREFERENCE)$/;

/** A modulus may be in the unit of a pressure. */
const INSTEAD: Readonly<Record<string, string>> = {
  MODULUSOFELASTICITYUNIT: 'PRESSUREUNIT',
  SHEARMODULUSUNIT: 'PRESSUREUNIT',
};

/** What is asked of the file that units stand in. */
interface Asked {
  readonly ref: (entity: StepEntity, name: string) => StepEntity | undefined;
  readonly refs: (entity: StepEntity, name: string) => readonly StepEntity[];
  readonly choice: (entity: StepEntity, name: string) => string | undefined;
  readonly fault: (entity: StepEntity | undefined, what: string, remedy: string) => void;
}

/** The units of a file, by which its numbers become ours. */
export class Units {
  private readonly known = new Map<string, number>();
  private readonly missed = new Set<string>();

  constructor(
    private readonly reading: Asked,
    assignment: StepEntity | undefined,
  ) {
    for (const unit of assignment ? reading.refs(assignment, 'Units') : []) {
      const type = reading.choice(unit, 'UnitType');
      if (type === undefined) continue;
      const size = this.sizeOf(unit, 0);
      if (size !== undefined) this.known.set(type, size);
    }
  }

  /** A number of a file in SI; what has no unit there is a fault. */
  inSi({ measure, value }: Measure, entity: StepEntity, unit?: StepEntity): number {
    if (unit) return value * (this.sizeOf(unit, 0) ?? this.lacks('', entity));
    const type = UNIT_OF[measure];
    if (type === undefined) return PLAIN.test(measure) ? value : value * this.lacks(measure, entity);
    return value * (this.declared(type) ?? this.lacks(type, entity));
  }

  private declared(type: string): number | undefined {
    const found = this.known.get(type) ?? this.known.get(INSTEAD[type] ?? '');
    if (found !== undefined || !this.isCoherent) return found;
    // Where length, force and mass are in the SI's own units, so is what is made of them.
    return type in DERIVED || BY_THEMSELVES.has(type) ? 1 : undefined;
  }

  private get isCoherent(): boolean {
    return (
      this.known.get('LENGTHUNIT') === 1 && (this.known.get('FORCEUNIT') ?? 1) === 1 && (this.known.get('MASSUNIT') ?? 1) === 1
    );
  }

  private lacks(unit: string, entity: StepEntity): number {
    if (!this.missed.has(unit)) this.reading.fault(entity, WORDS.noUnit(unit), WORDS.sayUnit);
    this.missed.add(unit);
    return 1;
  }

  /** What one of a unit is in SI; undefined where it is not understood. */
  private sizeOf(unit: StepEntity, depth: number): number | undefined {
    const { reading } = this;
    if (depth > 8) return undefined;
    switch (unit.type) {
      case 'IFCSIUNIT': {
        const named = NAMED[reading.choice(unit, 'Name') ?? ''];
        const prefix = reading.choice(unit, 'Prefix');
        const factor = prefix === undefined ? 1 : PREFIXES[prefix];
        return named && factor !== undefined ? named[0] * factor ** named[1] : undefined;
      }
      case 'IFCCONVERSIONBASEDUNIT':
      case 'IFCCONVERSIONBASEDUNITWITHOFFSET': {
        const factor = reading.ref(unit, 'ConversionFactor');
        const of = factor && reading.ref(factor, 'UnitComponent');
        const value = factor?.attributes['ValueComponent'];
        const size = of && this.sizeOf(of, depth + 1);
        return value instanceof Measure && size !== undefined ? value.value * size : undefined;
      }
      case 'IFCDERIVEDUNIT': {
        let size = 1;
        for (const element of reading.refs(unit, 'Elements')) {
          const of = reading.ref(element, 'Unit');
          const part = of && this.sizeOf(of, depth + 1);
          const power = element.attributes['Exponent'];
          if (part === undefined || !(power instanceof Measure)) return undefined;
          size *= part ** power.value;
        }
        return size;
      }
      default:
        return undefined;
    }
  }
}

/** Units of the SI that may be left out where it is the one of the file. */
const BY_THEMSELVES: ReadonlySet<string> = new Set([
  ...['FORCEUNIT', 'PRESSUREUNIT', 'AREAUNIT', 'PLANEANGLEUNIT', 'THERMODYNAMICTEMPERATUREUNIT'],
]);
