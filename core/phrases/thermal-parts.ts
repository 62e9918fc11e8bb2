import { extentOfShape } from '../sections/outline';
import type { Model } from '../model/model';
import { dot, type Point } from '../model/point';
import { shapeOf } from '../model/loads/member-shape';
import type { LoadPhrase, ThermalPart } from './phrase';

export interface ThermalParts {
  readonly uniform?: number;
  readonly gradientY?: number;
  readonly gradientZ?: number;
}

/**
 * What a change of temperature means on a member: kelvin, and kelvin per metre along its local y and z. A difference between two faces is
 * spread over the depth of the section; a reason where the section has none, or the member no such side.
 */
export function thermalPartsOf({ from, across = [] }: LoadPhrase, member: string, model: Model): ThermalParts | string {
  const shape = shapeOf(model, member);
  if (!shape) return `there is no member ${member}`;
  const parts: { gradientY?: number; gradientZ?: number } = {};
  for (const one of across) {
    const [y, z] = [3, 6].map((k) => dot(one.towards, shape.axes.subarray(k, k + 3) as unknown as Point)) as [number, number];
    if (Math.max(Math.abs(y), Math.abs(z)) < 1e-6) return `member ${member} runs that way: it has no such side`;
    const isY = Math.abs(y) >= Math.abs(z) - 1e-9;
    const key = isY ? 'gradientY' : 'gradientZ';
    if (parts[key] !== undefined) return `member ${member} would be warmer along its local ${isY ? 'y' : 'z'} twice`;
    const gradient = gradientOf(one, isY ? 'y' : 'z', member, model);
    if (typeof gradient === 'string') return gradient;
    parts[key] = gradient * Math.sign(isY ? y : z);
  }
  return { ...((from !== 0 || across.length === 0) && { uniform: from }), ...parts };
}

function gradientOf({ size, per }: ThermalPart, axis: 'y' | 'z', id: string, model: Model): number | string {
  if (per === 'metre') return size;
  const member = model.members.find((one) => one.id === id)!;
  const shape = model.sections.find((one) => one.id === member.section)?.shape;
  const extent = shape && extentOfShape(shape);
  // In the plane a section that lies on its side shows its width; in space local axes turn with it.
  const isOnItsSide = model.space === 'plane' && Math.abs((member.roll ?? 0) % 180) === 90;
  const faces = extent?.[isOnItsSide ? 'z' : axis];
  if (!faces) return `section ${member.section} has no shape, so no depth: say the gradient, such as 40 K/m`;
  return size / (faces[1] - faces[0]);
}
