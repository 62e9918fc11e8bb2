import type { Reference } from '../step/values';
import { choice, count, type Writing } from './writing';

/** Base units, and those that are made of them: powers of length, mass, time, temperature, angle, force. */
const SI = {
  LENGTHUNIT: ['METRE'],
  MASSUNIT: ['GRAM', 'KILO'],
  TIMEUNIT: ['SECOND'],
  THERMODYNAMICTEMPERATUREUNIT: ['KELVIN'],
  PLANEANGLEUNIT: ['RADIAN'],
  FORCEUNIT: ['NEWTON'],
  PRESSUREUNIT: ['PASCAL'],
  AREAUNIT: ['SQUARE_METRE'],
  VOLUMEUNIT: ['CUBIC_METRE'],
} as const satisfies Readonly<Record<string, readonly [string, string?]>>;

type Base = keyof typeof SI;

export const DERIVED: Readonly<Record<string, Readonly<Partial<Record<Base, number>>>>> = {
  TORQUEUNIT: { FORCEUNIT: 1, LENGTHUNIT: 1 },
  LINEARFORCEUNIT: { FORCEUNIT: 1, LENGTHUNIT: -1 },
  LINEARMOMENTUNIT: { FORCEUNIT: 1 },
  LINEARSTIFFNESSUNIT: { FORCEUNIT: 1, LENGTHUNIT: -1 },
  ROTATIONALSTIFFNESSUNIT: { FORCEUNIT: 1, LENGTHUNIT: 1, PLANEANGLEUNIT: -1 },
  MODULUSOFELASTICITYUNIT: { FORCEUNIT: 1, LENGTHUNIT: -2 },
  SHEARMODULUSUNIT: { FORCEUNIT: 1, LENGTHUNIT: -2 },
  MASSDENSITYUNIT: { MASSUNIT: 1, LENGTHUNIT: -3 },
  MOMENTOFINERTIAUNIT: { LENGTHUNIT: 4 },
  SECTIONMODULUSUNIT: { LENGTHUNIT: 3 },
  THERMALEXPANSIONCOEFFICIENTUNIT: { THERMODYNAMICTEMPERATUREUNIT: -1 },
};

/** Every unit is that of the SI, without prefixes but the kilogram's. */
export function unitsOf(writing: Writing): Reference {
  const base = new Map<string, Reference>();
  for (const [type, [name, prefix]] of Object.entries(SI) as [Base, readonly [string, string?]][])
    base.set(
      type,
      writing.add('IfcSIUnit', {
        UnitType: choice(type),
        Prefix: prefix === undefined ? null : choice(prefix),
        Name: choice(name),
      }),
    );
  const derived = Object.entries(DERIVED).map(([type, powers]) =>
    writing.add('IfcDerivedUnit', {
      Elements: Object.entries(powers).map(([unit, power]) =>
        writing.add('IfcDerivedUnitElement', { Unit: base.get(unit)!, Exponent: count(power) }),
      ),
      UnitType: choice(type),
    }),
  );
  return writing.add('IfcUnitAssignment', { Units: [...base.values(), ...derived] });
}
